package dremsa.server.bench;

import dremsa.core.brew.Cooling;
import dremsa.core.check.Plausibility;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.devices.DeviceException;
import dremsa.server.devices.DeviceReading;
import dremsa.server.devices.Devices;
import dremsa.server.devices.PotState;
import dremsa.server.http.Problem;
import dremsa.server.reminders.Repeated;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes readings from devices: one at a tap, or one a minute for as long as a run is followed. */
@Service
class Follows {
  private static final Logger LOG = LoggerFactory.getLogger(Follows.class);

  /** Between two readings that are kept. */
  private static final Duration KEPT_EVERY = Duration.ofSeconds(55);

  private final JdbcTemplate jdbc;
  private final Devices devices;
  private final BatchRepository batches;
  private final Runs runs;
  private final Entries entries;
  private final Households households;
  private final TransactionTemplate transaction;
  private final Turns turns;

  Follows(
      JdbcTemplate jdbc,
      Devices devices,
      BatchRepository batches,
      Runs runs,
      Entries entries,
      Households households,
      TransactionTemplate transaction,
      Turns turns) {
    this.jdbc = jdbc;
    this.devices = devices;
    this.batches = batches;
    this.runs = runs;
    this.entries = entries;
    this.households = households;
    this.transaction = transaction;
    this.turns = turns;
  }

  /** The device work that the scheduler repeats. */
  @Configuration
  static class Work {
    @Bean
    Repeated readDevices(Follows follows) {
      return new Repeated("read-devices", Duration.ofSeconds(10), follows::readAll);
    }
  }

  /**
   * A run that is followed.
   *
   * @param problem of the last try; empty when it gave a reading
   */
  record Following(String device, Instant since, @Nullable Instant lastAt, String problem) {}

  Optional<Following> of(UUID batch) {
    return jdbc
        .query(
            "select device, since, last_at, problem from batch_follow where batch_id = ?",
            (row, n) ->
                new Following(
                    row.getString(1),
                    row.getTimestamp(2).toInstant(),
                    row.getTimestamp(3) == null ? null : row.getTimestamp(3).toInstant(),
                    row.getString(4)),
            batch.toString())
        .stream()
        .findFirst();
  }

  void follow(UUID household, UUID batch, String device, Instant now) {
    turns.take(
        household,
        () -> {
          get(household, batch);
          jdbc.update(
              "replace into batch_follow (batch_id, household_id, device, since, problem)"
                  + " values (?, ?, ?, ?, '')",
              batch.toString(),
              household.toString(),
              device,
              Timestamp.from(now));
        });
    step(new Row(household, batch, device));
  }

  void stop(UUID household, UUID batch) {
    turns.require(household);
    jdbc.update(
        "delete from batch_follow where batch_id = ? and household_id = ?",
        batch.toString(),
        household.toString());
  }

  private Batch get(UUID household, UUID batch) {
    return batches
        .findByIdAndHouseholdId(batch, household)
        .orElseThrow(() -> Problem.notFound("batch"));
  }

  /** One reading at a tap; its entry stands in the log afterwards. */
  void readOnce(UUID household, UUID batch, String device, boolean sure) {
    Instant now = households.now(household);
    PotState pot = transaction.execute(t -> pot(get(household, batch), now));
    try {
      take(household, batch, devices.read(device, pot), sure, now);
    } catch (DeviceException e) {
      throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, "device", Problem.why(e), List.of());
    }
  }

  private void take(UUID household, UUID batch, DeviceReading reading, boolean sure, Instant now) {
    BatchEntry.Kind kind =
        switch (reading.kind()) {
          case SCALE -> BatchEntry.Kind.WEIGHT;
          case THERMOMETER -> BatchEntry.Kind.TEMPERATURE;
          case PH_METER -> BatchEntry.Kind.PH;
          case FRIDGE_LOGGER ->
              throw new DeviceException("A fridge logger watches bottles, not pots.");
        };
    String source = reading.device().substring(0, Math.min(80, reading.device().length()));
    BatchEntry.What what = new BatchEntry.What(kind, reading.value(), null, "", source);
    turns.take(household, () -> entries.add(household, batch, what, sure, now));
  }

  private PotState pot(Batch batch, Instant now) {
    Runs.Run run = runs.of(batch, now);
    List<Double> minutes = new ArrayList<>();
    double elapsed = 0;
    for (StepDone.State step : batch.steps()) {
      if (step.endedAt() != null) {
        minutes.add(Happened.minutes(step.startedAt(), step.endedAt()));
      } else {
        elapsed = Happened.minutes(step.startedAt(), now);
      }
    }
    return new PotState(
        batch.formulaId(), run.brew().formula().method().name(), batch.scale(), minutes, elapsed);
  }

  private record Row(UUID household, UUID batch, String device) {}

  /** Reads every device that follows a run. */
  void readAll() {
    List<Row> rows =
        jdbc.query(
            "select f.household_id, f.batch_id, f.device from batch_follow f"
                + " join batch b on b.id = f.batch_id where b.status = 'RUNNING' limit 200",
            (row, n) ->
                new Row(
                    UUID.fromString(row.getString(1)),
                    UUID.fromString(row.getString(2)),
                    row.getString(3)));
    for (Row row : rows) {
      try {
        step(row);
      } catch (Problem e) {
        // A household that is busy, or gone by now, holds up no other: it is read the next time.
        LOG.info("A device of {} was not read: {}", row.household(), e.getMessage());
      }
    }
  }

  private void step(Row row) {
    Instant now = households.now(row.household());
    Following following = of(row.batch()).orElse(null);
    boolean recent =
        following == null
            || (following.lastAt() != null && following.lastAt().plus(KEPT_EVERY).isAfter(now));
    if (recent) {
      return;
    }
    String problem = "";
    try {
      PotState pot = transaction.execute(t -> pot(get(row.household(), row.batch()), now));
      DeviceReading reading = devices.read(row.device(), pot);
      // A probe out of the pot reads the room: what surprises is told, not taken.
      take(row.household(), row.batch(), reading, false, now);
      problem = stuck(row, now) ? "It reads the same again and again: is it stuck?" : "";
      if (problem.isEmpty() && reading.battery() != null && reading.battery() < 0.1) {
        problem = "Its battery is low.";
      }
    } catch (DeviceException | Problem e) {
      problem = Problem.why(e);
    }
    note(row, problem, now);
  }

  private boolean stuck(Row row, Instant now) {
    return Boolean.TRUE.equals(
        transaction.execute(
            t -> {
              Batch batch = get(row.household(), row.batch());
              Runs.Run planned = runs.planned(batch);
              List<BatchEntry> read =
                  runs.of(batch, now).log().stream()
                      .filter(e -> e.what().source().equals(row.device()))
                      .filter(e -> e.stepIndex() == batch.step())
                      .filter(e -> e.what().kind() == BatchEntry.Kind.TEMPERATURE)
                      .toList();
              int size = read.size();
              if (size < Plausibility.STUCK_READINGS) {
                return false;
              }
              double from =
                  Happened.minutes(
                      batch.startedAt(), read.get(size - Plausibility.STUCK_READINGS).enteredAt());
              double to = Happened.minutes(batch.startedAt(), now);
              return Plausibility.stuck(
                  read.stream().map(e -> e.what().amount()).toList(),
                  Cooling.celsiusAt(planned.prediction(), to)
                      - Cooling.celsiusAt(planned.prediction(), from));
            }));
  }

  private void note(Row row, String problem, Instant now) {
    String kept = problem.length() > 200 ? problem.substring(0, 200) : problem;
    if (kept.equals(of(row.batch()).map(Following::problem).orElse("")) && !kept.isEmpty()) {
      return;
    }
    turns.take(
        row.household(),
        () -> {
          jdbc.update(
              "update batch_follow set problem = ? where batch_id = ?",
              kept,
              row.batch().toString());
          if (kept.isEmpty()) {
            jdbc.update(
                "update batch_follow set last_at = ? where batch_id = ?",
                Timestamp.from(now),
                row.batch().toString());
          }
        });
  }
}
