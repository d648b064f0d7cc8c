package dremsa.server.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EntryRepository extends JpaRepository<BatchEntry, Long> {
  List<BatchEntry> findByBatchIdOrderByEnteredAtAscIdAsc(UUID batch);

  Optional<BatchEntry> findByIdAndBatchId(Long id, UUID batch);

  long countByBatchId(UUID batch);
}
