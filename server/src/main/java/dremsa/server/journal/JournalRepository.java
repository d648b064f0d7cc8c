package dremsa.server.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface JournalRepository extends JpaRepository<EntryRow, UUID> {
  List<EntryRow> findByHouseholdIdAndDayBetweenOrderByDayDescId(
      UUID household, LocalDate from, LocalDate to);

  /** In whose words these stand, the newest first, at most 100; not in the form that keeps them. */
  @Query(
      nativeQuery = true,
      value =
          "select * from journal_entry where household_id = :household"
              + " and locate(:words, json_value(content, '$.words')) > 0"
              + " order by `day` desc, id limit 100")
  List<EntryRow> saying(String household, String words);

  List<EntryRow> findByHouseholdIdAndPersonIdOrderByDayAscId(UUID household, UUID person);

  List<EntryRow> findByHouseholdIdAndBatchIdInOrderByDayAscId(
      UUID household, Collection<UUID> batches);

  Optional<EntryRow> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdId(UUID household);
}
