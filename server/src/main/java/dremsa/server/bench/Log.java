package dremsa.server.bench;

import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.Stored;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Finds a batch for a tap, keeps what it was before, saves it, and plans what is due next. */
@Component
class Log {
  /** A tap that waited longer on a phone is asked back: a week, s. */
  static final long LONGEST_AGO_S = 7 * 24 * 3600;

  /** Clocks of two machines may differ by so much. */
  private static final Duration CLOCKS = Duration.ofSeconds(2);

  private final BatchRepository repository;
  private final TapRepository taps;
  private final RunReminders reminders;
  private final History history;
  private final Stored stored;

  Log(
      BatchRepository repository,
      TapRepository taps,
      RunReminders reminders,
      History history,
      Stored stored) {
    this.repository = repository;
    this.taps = taps;
    this.reminders = reminders;
    this.history = history;
    this.stored = stored;
  }

  Batch get(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("batch"));
  }

  /**
   * When a tap was made: now, or so long before. A server's clock that went back does not set a tap
   * before its step began; a phone that says so is told.
   *
   * @param secondsAgo null for a tap that is sent at once
   */
  Instant at(UUID household, UUID id, Instant now, @Nullable Long secondsAgo) {
    if (secondsAgo != null) {
      return now.minusSeconds(secondsAgo);
    }
    Batch batch = get(household, id);
    if (batch.status() != Batch.Status.RUNNING) {
      return now;
    }
    Instant began = batch.present().startedAt();
    return now.isBefore(began) ? began : now;
  }

  /** A batch as the maker saw it. */
  Batch find(UUID household, UUID id, long version) {
    Batch batch = get(household, id);
    if (batch.version() != version) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "conflict",
          "Somebody was quicker, perhaps on another device: this brew is now at step "
              + (batch.step() + 1)
              + ".",
          List.of(FieldProblem.of("version", version, "It is " + batch.version() + " now.")));
    }
    return batch;
  }

  /** A running batch at the step that the maker saw. */
  Batch present(UUID household, UUID id, long version, int index, Instant at) {
    Batch batch = find(household, id, version);
    if (batch.status() != Batch.Status.RUNNING) {
      throw Problem.conflict(
          batch.status() == Batch.Status.PLANNED
              ? "This brew has not begun yet."
              : "This brew is over already.");
    }
    if (batch.step() != index) {
      throw Problem.conflict("This step was finished already, perhaps on another device.");
    }
    Instant began = batch.present().startedAt();
    if (at.isBefore(began.minus(CLOCKS))) {
      throw Problem.invalid(
          FieldProblem.of("secondsAgo", null, "This step had not begun then: it began later."));
    }
    return batch;
  }

  /** Keeps what a batch was before a tap, so that it can be taken back. */
  void tapped(Batch batch, String words, boolean changesSteps) {
    taps.save(new BatchTap(batch, words, stored.write(batch.memento(changesSteps))));
  }

  /** The last tap, in words; empty when there is none to take back. */
  String lastTap(Batch batch) {
    return taps.findFirstByBatchIdOrderByIdDesc(batch.id()).map(BatchTap::words).orElse("");
  }

  /** Restores a batch to what it was before its last tap. */
  String takeBack(Batch batch) {
    BatchTap tap =
        taps.findFirstByBatchIdOrderByIdDesc(batch.id())
            .orElseThrow(() -> Problem.conflict("There is nothing to take back here."));
    batch.restore(stored.read(tap.state(), Batch.Memento.class));
    taps.delete(tap);
    return tap.words();
  }

  void saved(Batch batch, Instant at) {
    repository.saveAndFlush(batch);
    reminders.plan(batch, at);
  }

  /** Takes the parts of a divided batch away, as long as nothing was done to them. */
  void removeParts(Batch whole) {
    List<Batch> parts =
        repository.findByHouseholdIdAndParentIdOrderByCode(whole.householdId(), whole.id());
    boolean touched =
        parts.stream().anyMatch(p -> p.version() > 0 || p.status() != Batch.Status.RUNNING);
    if (touched) {
      throw Problem.conflict("Its parts went on already: take their taps back first.");
    }
    for (Batch part : parts) {
      reminders.forget(part);
      repository.delete(part);
    }
    repository.flush();
  }

  void note(
      Batch batch, Instant at, Happening.Kind kind, @Nullable Double millilitres, String detail) {
    history.note(
        batch.householdId(), batch.id(), null, at, kind, millilitres, new Told.Words(detail));
  }
}
