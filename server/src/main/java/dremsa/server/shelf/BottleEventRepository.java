package dremsa.server.shelf;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BottleEventRepository extends JpaRepository<BottleEvent, Long> {
  List<BottleEvent> findByBottleIdAndUndoneFalseOrderByHappenedAtAscIdAsc(UUID bottle);

  List<BottleEvent> findByBottleIdInAndUndoneFalseOrderByHappenedAtAscIdAsc(
      Collection<UUID> bottles);

  List<BottleEvent> findByBottleIdOrderById(UUID bottle);

  List<BottleEvent> findByHouseholdIdAndChangeId(UUID household, UUID change);
}
