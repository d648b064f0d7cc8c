package dremsa.server.containers;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnedSetRepository extends JpaRepository<OwnedSet, UUID> {
  List<OwnedSet> findByHouseholdIdOrderByKindAscSizeMlAsc(UUID household);

  Optional<OwnedSet> findByIdAndHouseholdId(UUID id, UUID household);
}
