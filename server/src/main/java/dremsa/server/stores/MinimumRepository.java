package dremsa.server.stores;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MinimumRepository extends JpaRepository<StoreMinimum, StoreMinimum.Key> {
  List<StoreMinimum> findByKeyHouseholdId(UUID household);
}
