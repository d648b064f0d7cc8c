package dremsa.server.bench;

import dremsa.server.http.Problem;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps photos of a run. */
@Service
class Photos {
  static final int MOST = 12;
  private final PhotoRepository repository;
  private final Log log;

  Photos(PhotoRepository repository, Log log) {
    this.repository = repository;
    this.log = log;
  }

  @Transactional
  UUID add(UUID household, UUID id, byte[] clean, String caption, Instant at) {
    Batch batch = log.get(household, id);
    if (repository.countByBatchId(id) >= MOST) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "full",
          "A run keeps at most " + MOST + " photos. Take one out first.",
          List.of());
    }
    BatchPhoto photo = new BatchPhoto(batch, at, caption, clean);
    return repository.save(photo).id();
  }

  @Transactional(readOnly = true)
  byte[] content(UUID household, UUID photo) {
    return repository
        .findByIdAndHouseholdId(photo, household)
        .orElseThrow(() -> Problem.notFound("photo"))
        .content();
  }

  @Transactional
  void remove(UUID household, UUID photo) {
    repository.delete(
        repository
            .findByIdAndHouseholdId(photo, household)
            .orElseThrow(() -> Problem.notFound("photo")));
  }
}
