package dremsa.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PhotoRepository extends JpaRepository<BatchPhoto, UUID> {
  Optional<BatchPhoto> findByIdAndHouseholdId(UUID id, UUID household);

  long countByBatchId(UUID batch);

  /** The photos of a batch without their pictures. */
  @Query(
      """
      select p.id as id, p.stepIndex as stepIndex, p.takenAt as takenAt, p.caption as caption
      from BatchPhoto p where p.batchId = :batch order by p.takenAt
      """)
  List<Line> lines(UUID batch);

  /** A photo without its picture. */
  interface Line {
    UUID getId();

    int getStepIndex();

    Instant getTakenAt();

    String getCaption();
  }
}
