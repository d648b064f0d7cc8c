package dremsa.server.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PatchTestRepository extends JpaRepository<PatchTestRow, UUID> {
  List<PatchTestRow> findByHouseholdIdOrderByStartedAtDescId(UUID household);

  Optional<PatchTestRow> findByIdAndHouseholdId(UUID id, UUID household);
}
