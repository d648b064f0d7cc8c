package dremsa.server.bench;

import dremsa.core.today.Today;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What runs or waits for its beginning, with when it wants hands next. */
@Service
public class WaitingPots {
  private final BatchRepository repository;
  private final Runs runs;
  private final RunViews views;

  WaitingPots(BatchRepository repository, Runs runs, RunViews views) {
    this.repository = repository;
    this.runs = runs;
    this.views = views;
  }

  /** The pots of a household at a moment. */
  @Transactional(readOnly = true)
  public List<Today.Pot> of(UUID household, Instant now) {
    return repository
        .findByHouseholdIdAndStatusInOrderByStartedAt(
            household, List.of(Batch.Status.RUNNING, Batch.Status.PLANNED))
        .stream()
        .map(batch -> views.line(batch, runs.of(batch, now), now))
        .flatMap(WaitingPots::pot)
        .toList();
  }

  private static Stream<Today.Pot> pot(RunJson.RunLine line) {
    return Optional.ofNullable(line.hands()).stream()
        .map(
            hands ->
                new Today.Pot(
                    line.id().toString(),
                    line.name(),
                    line.status() == Batch.Status.PLANNED,
                    hands.at(),
                    Optional.ofNullable(line.window()).map(RunJson.WindowMoments::lateFrom),
                    hands.words()));
  }
}
