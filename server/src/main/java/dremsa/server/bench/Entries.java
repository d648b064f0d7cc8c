package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes the log of a run: what was measured, smelt, done and noted. */
@Service
class Entries {
  private static final int MOST = 3000;
  private static final Duration CLOCKS = Duration.ofSeconds(2);

  private final EntryRepository repository;
  private final Runs runs;
  private final Log log;

  Entries(EntryRepository repository, Runs runs, Log log) {
    this.repository = repository;
    this.runs = runs;
    this.log = log;
  }

  /**
   * Adds a line at the present step.
   *
   * @param sure the maker was asked back already, and says that it is right
   * @param at not before the present step began
   */
  @Transactional
  void add(UUID household, UUID id, BatchEntry.What what, boolean sure, Instant at) {
    Batch batch = log.get(household, id);
    if (batch.status() != Batch.Status.RUNNING) {
      throw Problem.conflict("This brew does not run: nothing can be entered.");
    }
    if (at.isBefore(batch.present().startedAt().minus(CLOCKS))) {
      throw Problem.invalid(
          FieldProblem.of("secondsAgo", null, "This step had not begun then: it began later."));
    }
    if (repository.countByBatchId(id) >= MOST) {
      throw new Problem(
          HttpStatus.CONFLICT, "full", "The log of this run is full.", java.util.List.of());
    }
    check(runs.of(batch, at), batch, what, sure, at);
    repository.save(new BatchEntry(batch, batch.step(), at, what));
    log.saved(batch, at);
  }

  private static void check(
      Runs.Run run, Batch batch, BatchEntry.What what, boolean sure, Instant at) {
    Optional<Reading> reading = what.kind().reading();
    if (reading.isPresent()) {
      double minute = Happened.minutes(batch.startedAt(), at);
      Claims.check("amount", number(what), sure, run, reading.get(), batch.step(), minute);
      return;
    }
    switch (what.kind()) {
      case INGREDIENT -> {
        Double planned =
            what.subject() == null ? null : run.prediction().amounts().get(what.subject());
        if (planned == null) {
          throw Problem.invalid(
              FieldProblem.of("subject", what.subject(), "This brew has no such ingredient."));
        }
        double most = Math.max(5, planned * 10);
        if (!(number(what) >= 0 && number(what) <= most)) {
          throw Problem.invalid(
              FieldProblem.range(
                  "amount", what.amount(), Said.of("0 to %.0f g here.", most), 0, most));
        }
      }
      case SMELL, NOTE -> {
        if (what.words().isBlank()) {
          throw Problem.invalid(FieldProblem.of("words", "", "Say it in a few words."));
        }
      }
      default -> {
        // Shaken: nothing to say but that it was done.
      }
    }
  }

  private static double number(BatchEntry.What what) {
    if (what.amount() == null) {
      throw Problem.invalid(FieldProblem.of("amount", null, "Say the number."));
    }
    return what.amount();
  }

  /** Takes a line out again. */
  @Transactional
  void remove(UUID household, UUID id, long entry, Instant at) {
    Batch batch = log.get(household, id);
    BatchEntry found =
        repository
            .findByIdAndBatchId(entry, id)
            .orElseThrow(() -> Problem.notFound("line in this log"));
    if (batch.status() != Batch.Status.RUNNING) {
      throw Problem.conflict("This brew is over: its log stays as it is.");
    }
    repository.delete(found);
    repository.flush();
    log.saved(batch, at);
  }
}
