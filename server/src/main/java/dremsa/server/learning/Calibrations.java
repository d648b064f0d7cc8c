package dremsa.server.learning;

import dremsa.core.brew.Thickness;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.learn.Accuracy;
import dremsa.core.learn.KitchenFit;
import dremsa.core.learn.Taught;
import dremsa.core.learn.Weighed;
import dremsa.core.material.Materials;
import dremsa.server.accounts.Turns;
import dremsa.server.bench.BatchBottled;
import dremsa.server.bench.BottlingUndone;
import dremsa.server.bench.Runs;
import dremsa.server.http.Problem;
import dremsa.server.journal.Journal;
import dremsa.server.journal.ThicknessFound;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.learning.CalibrationJson.CalibrationState;
import dremsa.server.learning.CalibrationJson.CalibrationView;
import dremsa.server.learning.CalibrationJson.Foretold;
import dremsa.server.learning.CalibrationJson.ForetoldBatch;
import dremsa.server.learning.CalibrationJson.Said;
import dremsa.server.learning.CalibrationJson.TaughtJson;
import dremsa.server.learning.CalibrationJson.TaughtView;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.reminders.Repeated;
import dremsa.server.wire.FigureJson;
import dremsa.server.wire.Stored;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Calibrates kitchens while nobody waits: after each bottling, and when somebody says that a batch
 * counts or does not. What was asked for stands in the database; one instance at a time takes it
 * up, and what an instance that died was at is begun again.
 */
@Service
public class Calibrations {
  private static final Logger LOG = LoggerFactory.getLogger(Calibrations.class);

  /** Nobody reads faster. */
  private static final Duration TELLS_EVERY = Duration.ofMillis(500);

  private static final int AT_ONCE = 20;

  private final JdbcTemplate jdbc;
  private final Runs runs;
  private final Journal journal;
  private final Kitchens kitchens;
  private final HouseholdMaterials materials;
  private final TaughtFigures taught;
  private final TaughtRepository figures;
  private final ChoiceRepository choices;
  private final Turns turns;
  private final Stored stored;
  private final Clock clock;

  Calibrations(
      JdbcTemplate jdbc,
      Runs runs,
      Journal journal,
      Kitchens kitchens,
      HouseholdMaterials materials,
      TaughtFigures taught,
      TaughtRepository figures,
      ChoiceRepository choices,
      Turns turns,
      Stored stored,
      Clock clock) {
    this.jdbc = jdbc;
    this.runs = runs;
    this.journal = journal;
    this.kitchens = kitchens;
    this.materials = materials;
    this.taught = taught;
    this.figures = figures;
    this.choices = choices;
    this.turns = turns;
    this.stored = stored;
    this.clock = clock;
  }

  @Configuration
  static class Work {
    @Bean
    Repeated calibrateKitchens(Calibrations calibrations) {
      return new Repeated("calibrate-kitchens", Duration.ofSeconds(1), calibrations::runDue);
    }
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  void found(ThicknessFound event) {
    ask(event.household());
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  void bottled(BatchBottled event) {
    ask(event.household());
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  void undone(BottlingUndone event) {
    ask(event.household());
  }

  /** Asks for a calibration with all that is known by now. */
  @Transactional
  void ask(UUID household) {
    turns.require(household);
    jdbc.update(
        "insert into calibration (household_id, state, asked_at, done, total)"
            + " values (?, 'ASKED', ?, 0, 0) on duplicate key update"
            + " state = 'ASKED', asked_at = values(asked_at), ended_at = null, done = 0, total = 0",
        household.toString(),
        Timestamp.from(clock.instant()));
  }

  /** Takes up all that was asked for. Only ever run by one instance. */
  void runDue() {
    List<UUID> waiting =
        jdbc.query(
            "select household_id from calibration where state in ('ASKED', 'RUNNING')"
                + " order by asked_at limit "
                + AT_ONCE,
            (row, n) -> UUID.fromString(row.getString(1)));
    for (UUID household : waiting) {
      try {
        calibrate(household);
      } catch (RuntimeException e) {
        LOG.warn("A calibration failed.", e);
        state(household, CalibrationState.FAILED);
      }
    }
  }

  private void state(UUID household, CalibrationState state) {
    turns.take(
        household,
        () ->
            jdbc.update(
                "update calibration set state = ?, ended_at = now(6) where household_id = ?",
                state.name(),
                household.toString()));
  }

  /** Calibrates at once. */
  public void calibrate(UUID household) {
    Timestamp asked =
        jdbc
            .queryForList(
                "select asked_at from calibration where household_id = ?",
                Timestamp.class,
                household.toString())
            .stream()
            .findFirst()
            .orElse(null);
    List<UUID> ids = runs.bottledBatches(household);
    Progress progress = new Progress(household, ids.size());
    Map<String, Runs.Weighing> weighings = new HashMap<>();
    Map<UUID, Thickness> found = journal.found(household, ids);
    List<Weighed> weighed = new ArrayList<>();
    for (UUID id : ids) {
      Optional<Runs.Weighing> one = runs.weighed(household, id);
      one.ifPresent(
          weighing -> {
            weighings.put(id.toString(), weighing);
            weighed.add(
                Optional.ofNullable(found.get(id))
                    .map(weighing.weighed()::found)
                    .orElse(weighing.weighed()));
          });
      progress.read();
    }
    Kitchen kitchen = kitchens.untaught(household);
    Materials known = materials.untaught(household);
    KitchenFit.Result result =
        KitchenFit.of(
            weighed,
            kitchen,
            known,
            chosen(household, true),
            chosen(household, false),
            progress::fitted);
    List<ForetoldBatch> foretold =
        result.batches().stream()
            .map(each -> foretold(Objects.requireNonNull(weighings.get(each.batch())), each))
            .toList();
    turns.take(household, () -> keep(household, asked, result, foretold, ids.size()));
  }

  /** Batches of which somebody said that they count, or that they do not. */
  private Set<String> chosen(UUID household, boolean counts) {
    Set<String> chosen = new HashSet<>();
    for (ChoiceRow row : choices.findByHouseholdId(household)) {
      UUID batch = row.batch();
      if (batch != null && row.counts() == counts) {
        chosen.add(batch.toString());
      }
    }
    return chosen;
  }

  private static ForetoldBatch foretold(Runs.Weighing weighing, KitchenFit.Foretold each) {
    return new ForetoldBatch(
        weighing.id(),
        weighing.code(),
        weighing.name(),
        weighing.at(),
        each.real(),
        each.uncalibrated(),
        each.low(),
        each.predicted(),
        each.high(),
        each.standing());
  }

  private void keep(
      UUID household,
      @Nullable Timestamp asked,
      KitchenFit.Result result,
      List<ForetoldBatch> foretold,
      int looked) {
    figures.deleteByHouseholdId(household);
    figures.flush();
    for (Taught each : result.figures()) {
      figures.save(new TaughtRow(household, each.knob().key(), stored.write(TaughtJson.of(each))));
    }
    figures.flush();
    // Asked for anew meanwhile, it stays so and runs again.
    jdbc.update(
        "update calibration set foretold = ?, done = ?, total = ?,"
            + " state = if(asked_at = ?, 'DONE', state),"
            + " ended_at = if(asked_at = ?, now(6), ended_at) where household_id = ?",
        stored.write(new Foretold(foretold)),
        looked,
        looked,
        asked,
        asked,
        household.toString());
  }

  /** What a kitchen taught, and how far it is. */
  @Transactional(readOnly = true)
  public CalibrationView view(UUID household) {
    return jdbc
        .query(
            "select state, done, total, ended_at, foretold from calibration where household_id = ?",
            (row, n) -> {
              String text = row.getString(5);
              Timestamp ended = row.getTimestamp(4);
              return view(
                  household,
                  CalibrationState.valueOf(row.getString(1)),
                  row.getInt(2),
                  row.getInt(3),
                  ended == null ? null : ended.toInstant(),
                  text == null ? List.of() : stored.read(text, Foretold.class).batches());
            },
            household.toString())
        .stream()
        .findFirst()
        .orElseGet(() -> new CalibrationView(null, 0, 0, null, "", List.of(), List.of()));
  }

  private CalibrationView view(
      UUID household,
      CalibrationState state,
      int done,
      int total,
      @Nullable Instant endedAt,
      List<ForetoldBatch> batches) {
    Map<String, String> codes =
        batches.stream()
            .collect(Collectors.toMap(each -> each.id().toString(), ForetoldBatch::code));
    Set<String> back = taught.putBack(household);
    List<TaughtView> views =
        taught.all(household).stream()
            .map(
                each ->
                    new TaughtView(
                        each.knob().key(),
                        each.knob().words(),
                        FigureJson.of(each.before()),
                        FigureJson.of(each.after()),
                        each.told(),
                        each.told() && !back.contains(each.knob().key()),
                        each.batches().stream()
                            .flatMap(
                                id ->
                                    Stream.ofNullable(codes.get(id))
                                        .map(code -> new Said(UUID.fromString(id), code)))
                            .toList()))
            .toList();
    String words =
        Accuracy.of(batches.stream().map(ForetoldBatch::toCore).toList())
            .map(Accuracy::words)
            .orElse("");
    return new CalibrationView(state, done, total, endedAt, words, views, batches);
  }

  /** Uses a figure, or puts it back to what was believed before. */
  @Transactional
  void choose(UUID household, String knob, boolean inUse) {
    if (taught.all(household).stream().noneMatch(each -> each.knob().key().equals(knob))) {
      throw Problem.notFound("learned figure");
    }
    Optional<ChoiceRow> row = choices.findByHouseholdIdAndKnob(household, knob);
    if (inUse) {
      row.ifPresent(choices::delete);
    } else if (row.isEmpty()) {
      choices.save(ChoiceRow.putBack(household, knob));
    }
    choices.flush();
  }

  /** Lets a batch count, or leaves it out, and calibrates anew. */
  @Transactional
  void choose(UUID household, UUID batch, boolean counts) {
    if (runs.weighed(household, batch).isEmpty()) {
      throw Problem.notFound("bottled batch");
    }
    choices
        .findByHouseholdIdAndBatchId(household, batch)
        .ifPresentOrElse(
            row -> row.counts(counts), () -> choices.save(ChoiceRow.of(household, batch, counts)));
    choices.flush();
    ask(household);
  }

  /** Tells now and then how far it is: reading a batch is half of what is done with it. */
  private final class Progress {
    private final UUID household;
    private final int total;
    private int read;
    private Instant told = clock.instant();

    Progress(UUID household, int total) {
      this.household = household;
      this.total = total;
    }

    void read() {
      tell(++read / 2);
    }

    void fitted(int batches) {
      tell((read + batches) / 2);
    }

    private void tell(int done) {
      Instant now = clock.instant();
      if (now.isAfter(told.plus(TELLS_EVERY))) {
        told = now;
        turns.take(
            household,
            () ->
                jdbc.update(
                    "update calibration set state = 'RUNNING', done = ?, total = ?"
                        + " where household_id = ?",
                    done,
                    total,
                    household.toString()));
      }
    }
  }
}
