package dremsa.server.shelf;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BottleUseRepository extends JpaRepository<BottleUse, Long> {
  Optional<BottleUse> findFirstByBottleIdAndUndoneFalseOrderByIdDesc(UUID bottle);
}
