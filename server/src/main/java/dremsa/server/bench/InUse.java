package dremsa.server.bench;

import dremsa.core.brew.Holding;
import dremsa.server.predictions.ThingsInUse;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says which things of a kitchen the runs of its bench hold, and until when. */
@Component
class InUse implements ThingsInUse {
  private final BatchRepository repository;
  private final Runs runs;

  InUse(BatchRepository repository, Runs runs) {
    this.repository = repository;
    this.runs = runs;
  }

  @Override
  @Transactional(readOnly = true)
  public List<Held> of(UUID household, Instant now) {
    return repository
        .findByHouseholdIdAndStatusInOrderByStartedAt(
            household, List.of(Batch.Status.RUNNING, Batch.Status.PLANNED))
        .stream()
        .flatMap(
            batch -> {
              Runs.Run run = runs.of(batch, now);
              return Holding.of(run.brew(), run.prediction(), run.vessels()).stream()
                  .map(
                      h ->
                          new Held(
                              h.kind(),
                              h.id(),
                              h.name(),
                              batch.id(),
                              batch.formulaName(),
                              Moment.after(batch.startedAt(), h.fromMinute()),
                              Moment.after(batch.startedAt(), h.toMinute())));
            })
        .filter(held -> held.until().isAfter(now))
        .sorted(Comparator.comparing(Held::until))
        .toList();
  }
}
