package dremsa.server.kitchens;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ClimateRepository extends JpaRepository<ClimateRow, UUID> {
  List<ClimateRow> findByHouseholdIdOrderByFromAt(UUID householdId);
}
