package dremsa.server.practice;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PracticeRepository extends JpaRepository<PracticeRow, UUID> {
  List<PracticeRow> findByHouseholdIdOrderByBegunAtDesc(UUID household);

  Optional<PracticeRow> findByIdAndHouseholdId(UUID id, UUID household);
}
