package dremsa.server.bench;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TapRepository extends JpaRepository<BatchTap, Long> {
  Optional<BatchTap> findFirstByBatchIdOrderByIdDesc(UUID batch);
}
