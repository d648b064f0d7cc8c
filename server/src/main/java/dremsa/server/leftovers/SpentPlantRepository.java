package dremsa.server.leftovers;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface SpentPlantRepository extends JpaRepository<SpentPlant, UUID> {
  List<SpentPlant> findByHouseholdIdAndOutcomeOrderByLastDayAscStrainedAtAsc(
      UUID household, SpentPlant.Outcome outcome, Pageable page);

  List<SpentPlant> findByHouseholdIdAndOutcomeNotOrderByEndedAtDesc(
      UUID household, SpentPlant.Outcome outcome, Pageable page);

  Optional<SpentPlant> findByIdAndHouseholdId(UUID id, UUID household);

  List<SpentPlant> findByHouseholdIdAndBatchId(UUID household, UUID batch);
}
