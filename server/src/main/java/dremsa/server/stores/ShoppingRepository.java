package dremsa.server.stores;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShoppingRepository extends JpaRepository<ShoppingItem, UUID> {
  List<ShoppingItem> findByHouseholdIdOrderByBoughtAscWordsAsc(UUID household);

  Optional<ShoppingItem> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdId(UUID household);
}
