package dremsa.server.washdays;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WashRunRepository extends JpaRepository<WashRunRow, UUID> {
  List<WashRunRow> findByHouseholdIdOrderByBeganAt(UUID household);

  Optional<WashRunRow> findByIdAndHouseholdId(UUID id, UUID household);
}
