package dremsa.server.shelf;

import dremsa.server.containers.FullContainers;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BottleRepository extends JpaRepository<Bottle, UUID> {
  Optional<Bottle> findByIdAndHouseholdId(UUID id, UUID household);

  List<Bottle> findByHouseholdIdAndStatusOrderByLastDayAscRunsOutAscNumberAsc(
      UUID household, Bottle.Status status, Pageable page);

  Optional<Bottle> findByHouseholdIdAndCodeAndNumber(UUID household, String code, int number);

  List<Bottle> findByHouseholdIdAndStatus(UUID household, Bottle.Status status);

  @Query(
      """
      select new dremsa.server.containers.FullContainers$Full(b.container, b.sizeMl, count(*))
      from Bottle b where b.householdId = :household and b.status = :status
      group by b.container, b.sizeMl
      """)
  List<FullContainers.Full> counts(UUID household, Bottle.Status status);

  List<Bottle> findByHouseholdIdAndBatchIdOrderByNumber(UUID household, UUID batch);

  @Query("select b.id from Bottle b where b.householdId = :household order by b.filledAt")
  List<UUID> ids(UUID household);
}
