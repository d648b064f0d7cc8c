package dremsa.server.bench;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, UUID> {
  Optional<Batch> findByIdAndHouseholdId(UUID id, UUID household);

  Optional<Batch> findByHouseholdIdAndCode(UUID household, String code);

  List<Batch> findByHouseholdIdAndStatusInOrderByStartedAt(
      UUID household, Collection<Batch.Status> statuses);

  List<Batch> findByHouseholdIdAndParentIdOrderByCode(UUID household, UUID parent);

  List<Batch> findByHouseholdIdOrderByStartedAtDesc(UUID household, Pageable page);

  List<Batch> findFirst30ByHouseholdIdAndFormulaIdOrderByStartedAtDesc(
      UUID household, String formula);

  List<Batch> findByHouseholdIdAndParentIdIsNullAndStartedAtBetweenOrderByStartedAtDesc(
      UUID household, Instant from, Instant to);

  List<Batch> findFirst100ByHouseholdIdAndFormulaNameContainingOrderByStartedAtDesc(
      UUID household, String words);

  List<Batch> findByHouseholdIdAndIdIn(UUID household, Collection<UUID> ids);

  long countByHouseholdId(UUID household);

  @Query("select b.id from Batch b where b.householdId = :household order by b.startedAt")
  List<UUID> ids(UUID household);
}
