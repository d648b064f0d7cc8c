package dremsa.server.shelf;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface BottleRepository extends JpaRepository<Bottle, UUID> {
  Optional<Bottle> findByIdAndHouseholdId(UUID id, UUID household);

  List<Bottle> findByHouseholdIdAndStatusOrderByLastDayAscRunsOutAscNumberAsc(
      UUID household, Bottle.Status status, Pageable page);

  List<Bottle> findByHouseholdIdAndStatus(UUID household, Bottle.Status status);

  List<Bottle> findByHouseholdIdAndBatchIdOrderByNumber(UUID household, UUID batch);
}
