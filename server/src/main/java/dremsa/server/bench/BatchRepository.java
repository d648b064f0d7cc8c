package dremsa.server.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchRepository extends JpaRepository<Batch, UUID> {
  Optional<Batch> findByIdAndHouseholdId(UUID id, UUID household);

  List<Batch> findByHouseholdIdAndStatusOrderByStartedAt(UUID household, Batch.Status status);

  List<Batch> findByHouseholdIdOrderByStartedAtDesc(UUID household, Pageable page);

  List<Batch> findFirst30ByHouseholdIdAndFormulaIdOrderByStartedAtDesc(
      UUID household, String formula);

  long countByHouseholdId(UUID household);
}
