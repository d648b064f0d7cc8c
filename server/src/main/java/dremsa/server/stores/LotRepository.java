package dremsa.server.stores;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotRepository extends JpaRepository<Lot, UUID> {
  List<Lot> findByHouseholdId(UUID household);

  Optional<Lot> findByIdAndHouseholdId(UUID id, UUID household);

  List<Lot> findByHouseholdIdAndEndedAtIsNullOrderByGotOn(UUID household);

  List<Lot> findByHouseholdIdAndMaterialIdAndEndedAtIsNullOrderByGotOn(
      UUID household, String material);

  long countByHouseholdId(UUID household);
}
