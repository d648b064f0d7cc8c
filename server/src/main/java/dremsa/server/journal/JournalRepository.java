package dremsa.server.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface JournalRepository extends JpaRepository<EntryRow, UUID> {
  List<EntryRow> findByHouseholdIdAndDayBetweenOrderByDayDescId(
      UUID household, LocalDate from, LocalDate to);

  List<EntryRow> findFirst100ByHouseholdIdAndContentContainingOrderByDayDescId(
      UUID household, String words);

  List<EntryRow> findByHouseholdIdAndPersonIdOrderByDayAscId(UUID household, UUID person);

  List<EntryRow> findByHouseholdIdAndBatchIdInOrderByDayAscId(
      UUID household, Collection<UUID> batches);

  Optional<EntryRow> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdId(UUID household);
}
