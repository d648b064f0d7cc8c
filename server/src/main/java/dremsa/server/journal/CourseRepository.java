package dremsa.server.journal;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CourseRepository extends JpaRepository<CourseRow, UUID> {
  List<CourseRow> findByHouseholdIdOrderByFromDayDescId(UUID household);

  Optional<CourseRow> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdId(UUID household);
}
