package dremsa.server.learning;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialRepository extends JpaRepository<TrialRow, UUID> {
  List<TrialRow> findByHouseholdIdOrderByBegunAtDesc(UUID household);

  Optional<TrialRow> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdId(UUID household);
}
