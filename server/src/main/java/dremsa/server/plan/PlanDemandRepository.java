package dremsa.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlanDemandRepository extends JpaRepository<PlanDemandRow, UUID> {
  List<PlanDemandRow> findByHouseholdIdAndByDayGreaterThanEqualOrderByByDayAscWordsAsc(
      UUID household, LocalDate day);

  Optional<PlanDemandRow> findByIdAndHouseholdId(UUID id, UUID household);

  int countByHouseholdId(UUID household);
}
