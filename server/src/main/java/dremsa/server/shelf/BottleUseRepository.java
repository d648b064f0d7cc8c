package dremsa.server.shelf;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BottleUseRepository extends JpaRepository<BottleUse, Long> {
  Optional<BottleUse> findFirstByBottleIdAndUndoneFalseOrderByIdDesc(UUID bottle);

  Optional<BottleUse> findByMarkAndHouseholdIdAndUndoneFalse(UUID mark, UUID household);

  List<BottleUse> findByHouseholdIdAndPersonId(UUID household, UUID person);
}
