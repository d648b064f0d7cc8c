package dremsa.server.history;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what happened and reads it back. */
@Service
public class History {
  private static final Set<Happening.Kind> NOT_UNDONE =
      Set.of(Happening.Kind.FRIDGE_WARM, Happening.Kind.LABELLED);

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
    note(household, batch, bottle, null, at, kind, millilitres, detail);
  }

  /**
   * Writes down a part of a change.
   *
   * @param change what belongs together has the same; null for what stands alone
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void note(
      UUID household,
      UUID batch,
      UUID bottle,
      UUID change,
      Instant at,
      Happening.Kind kind,
      Double millilitres,
      String detail) {
    String kept = detail.length() > DETAIL ? detail.substring(0, DETAIL) : detail;
    repository.save(new Happening(household, batch, bottle, change, at, kind, millilitres, kept));
  }

  /** Everything on record of a batch and its bottles, the oldest first. */
  public List<Happening> allOf(UUID household, UUID batch) {
    return repository.findByHouseholdIdAndBatchIdOrderById(household, batch);
  }

  /** Writes down what a table says; of what was undone it says so. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(Happening happening, boolean undone) {
    if (undone) {
      happening.undo();
    }
    repository.save(happening);
  }

  /**
   * The last thing that was done to a bottle and was not undone. What befell the whole fridge is
   * taken back there, and a printed label cannot be unprinted.
   */
  public Optional<Happening> lastOfBottle(UUID household, UUID bottle) {
    return repository.findFirstByHouseholdIdAndBottleIdAndUndoneFalseAndKindNotInOrderByIdDesc(
        household, bottle, NOT_UNDONE);
  }

  /** What happened to bottles that were never filled after all stays, but names them no more. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void forgetBottles(UUID household, UUID batch) {
    repository.forgetBottles(household, batch);
  }

  /** All that belongs to a change. */
  public List<Happening> ofChange(UUID household, UUID change) {
    return repository.findByHouseholdIdAndChangeIdOrderById(household, change);
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
