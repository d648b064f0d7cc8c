package dremsa.server.washdays;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WashDayRepository extends JpaRepository<WashDayRow, UUID> {
  List<WashDayRow> findByHouseholdIdAndPlannedAfter(UUID household, LocalDate since);

  Optional<WashDayRow> findByHouseholdIdAndPersonIdAndOccasionAndPlanned(
      UUID household, UUID person, String occasion, LocalDate planned);

  Optional<WashDayRow> findByIdAndHouseholdId(UUID id, UUID household);
}
