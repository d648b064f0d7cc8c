package dremsa.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the bench will bring to bottles, as it stands now. */
@Service
public class Brewing {
  private final BatchRepository repository;
  private final Runs runs;

  Brewing(BatchRepository repository, Runs runs) {
    this.repository = repository;
    this.runs = runs;
  }

  /**
   * A brew on its way.
   *
   * @param ready when it is bottled, by the model
   */
  public record OnItsWay(BatchRecord batch, Instant ready) {}

  /** What runs or is planned, in the order of its beginning; what comes to nothing is left out. */
  @Transactional(readOnly = true)
  public List<OnItsWay> of(UUID household, Instant now) {
    return repository
        .findByHouseholdIdAndStatusInOrderByStartedAt(
            household, List.of(Batch.Status.RUNNING, Batch.Status.PLANNED))
        .stream()
        .map(batch -> runs.record(batch, now))
        .filter(record -> record.prediction().works())
        .map(record -> new OnItsWay(record, ready(record, now)))
        .toList();
  }

  private static Instant ready(BatchRecord record, Instant now) {
    int last = record.prediction().steps().size() - 1;
    double minutes = record.prediction().steps().get(last).endMinute();
    Instant ready = record.startedAt().plusMillis(Math.round(minutes * 60_000));
    return ready.isBefore(now) ? now : ready;
  }
}
