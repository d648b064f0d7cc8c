package dremsa.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlannedBrewRepository extends JpaRepository<PlannedBrewRow, UUID> {
  List<PlannedBrewRow> findByHouseholdIdAndDayGreaterThanEqualOrderByDayAscNameAsc(
      UUID household, LocalDate day);

  List<PlannedBrewRow> findByHouseholdIdAndDayOrderByName(UUID household, LocalDate day);
}
