package dremsa.server.history;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what happened and reads it back. */
@Service
public class History {
  private static final int DETAIL = 500;
  private static final int MOST_OF_ONE = 200;

  private final HappeningRepository repository;

  History(HappeningRepository repository) {
    this.repository = repository;
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void note(
      UUID household,
      UUID batch,
      UUID bottle,
      Instant at,
      Happening.Kind kind,
      Double millilitres,
      String detail) {
    String kept = detail.length() > DETAIL ? detail.substring(0, DETAIL) : detail;
    repository.save(new Happening(household, batch, bottle, at, kind, millilitres, kept));
  }

  /** The last thing that happened to a bottle and was not undone. */
  public Optional<Happening> lastOfBottle(UUID household, UUID bottle) {
    return repository.findFirstByHouseholdIdAndBottleIdAndUndoneFalseOrderByIdDesc(
        household, bottle);
  }

  /** What happened to a bottle, the newest first, at most 200. */
  public List<Happening> ofBottle(UUID household, UUID bottle) {
    return repository.findByHouseholdIdAndBottleIdOrderByHappenedAtDescIdDesc(
        household, bottle, PageRequest.of(0, MOST_OF_ONE));
  }

  /** What happened to a batch and its bottles, the newest first, at most 200. */
  public List<Happening> ofBatch(UUID household, UUID batch) {
    return repository.findByHouseholdIdAndBatchIdOrderByHappenedAtDescIdDesc(
        household, batch, PageRequest.of(0, MOST_OF_ONE));
  }
}
