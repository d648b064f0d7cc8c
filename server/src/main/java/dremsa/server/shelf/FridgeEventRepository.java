package dremsa.server.shelf;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FridgeEventRepository extends JpaRepository<FridgeEvent, UUID> {
  List<FridgeEvent> findByHouseholdId(UUID household);

  List<FridgeEvent> findByHouseholdIdAndUndoneFalseAndToAtAfterOrderByFromAt(
      UUID household, Instant after);

  List<FridgeEvent> findFirst20ByHouseholdIdAndUndoneFalseOrderByMadeAtDesc(UUID household);

  Optional<FridgeEvent> findByIdAndHouseholdId(UUID id, UUID household);
}
