package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Window;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.formulas.KeptFormulas;
import dremsa.server.predictions.PouredBottles;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import dremsa.server.wire.SurroundingsJson;
import dremsa.server.wire.TargetJson;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Batches with their steps, taps, logs and photos, in a backup. */
@Component
class KeptBatches implements KeptTables {
  private static final int MOST_BATCHES = 60_000;
  private static final double MOST_ML = 100_000;
  private static final double MOST_MINUTES = Window.MOST_MINUTES;
  private static final int MOST_STEPS = 2 * Formula.MOST_STEPS;

  private final BatchRepository repository;
  private final Runs runs;
  private final RunViews views;
  private final RunReminders reminders;
  private final PouredBottles bottles;
  private final Stored stored;
  private final EntityManager entities;

  KeptBatches(
      BatchRepository repository,
      Runs runs,
      RunViews views,
      RunReminders reminders,
      PouredBottles bottles,
      Stored stored,
      EntityManager entities) {
    this.repository = repository;
    this.runs = runs;
    this.views = views;
    this.reminders = reminders;
    this.bottles = bottles;
    this.stored = stored;
    this.entities = entities;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(batch(), step(), tap(), entry(), photo());
  }

  private KeptTable batch() {
    return KeptTable.of(
            "batch",
            // A part of a divided batch stands after the whole.
            "parent_id is not null, started_at, code",
            Column.id(),
            Column.text("code", 12),
            KeptFormulas.formulaId("formula_id"),
            Column.text("formula_name", 120),
            Column.json("formula", stored::checkedFormula),
            Column.json("kitchen", text -> stored.checked(text, KitchenJson.class).toCore()),
            Column.json("target", text -> stored.checked(text, TargetJson.class)),
            Column.json("plan", stored::checkedPlan),
            Column.schema(),
            Column.number("scale", 1e-6, 1e6),
            Column.word("status", Batch.Status.class),
            Column.whole("step", 0, MOST_STEPS),
            Column.moment("started_at"),
            Column.moment("ended_at").orNull(),
            Column.number("bottled_ml", 0, MOST_ML).orNull(),
            Column.version(),
            Column.json("surroundings", this::checkSurroundings).orNull(),
            Column.whole("formula_version", 1, 1_000_000).orNull(),
            Column.reference("parent_id", "batch").orNull(),
            Column.json("planned_formula", stored::checkedFormula).orNull(),
            Column.text("overridden", 1000).orNull(),
            Column.text("override_reason", 300).orNull())
        .atMost(MOST_BATCHES)
        .where(
            row ->
                !ended(Objects.requireNonNull(row.get("status"))) || row.get("ended_at") != null);
  }

  private static boolean ended(Object status) {
    return !Batch.Status.PLANNED.name().equals(status)
        && !Batch.Status.RUNNING.name().equals(status);
  }

  private void checkSurroundings(String text) {
    SurroundingsJson surroundings = stored.checked(text, SurroundingsJson.class);
    surroundings.materialsToCore();
    surroundings.stock();
    surroundings.ages();
  }

  private KeptTable step() {
    return KeptTable.of(
            "batch_step",
            "started_at, step_index, note",
            Column.reference("batch_id", "batch"),
            Column.whole("step_index", 0, MOST_STEPS),
            Column.moment("started_at"),
            Column.moment("ended_at").orNull(),
            Column.word("timing", Window.Timing.class).orNull(),
            Column.yesNo("cue_seen"),
            Column.json("readings", this::checkReadings),
            Column.text("note", 500),
            Column.yesNo("skipped"),
            Column.number("extended_min", 0, MOST_MINUTES),
            Column.number("water_ml", 0, MOST_ML),
            Column.number("water_c", 0, 100))
        .lifted(row -> EarlierReadings.lift(row, stored));
  }

  private void checkReadings(String text) {
    if (!sound(stored.readings(text))) {
      throw new IllegalArgumentException("no brew reads so");
    }
  }

  private KeptTable tap() {
    return KeptTable.counted(
        "batch_tap",
        Column.reference("batch_id", "batch"),
        Column.text("words", 200),
        Column.json("state", this::checkMemento));
  }

  /** What a tap can be taken back to has to be as whole as the batch itself. */
  private void checkMemento(String text) {
    Batch.Memento memento = stored.read(text, Batch.Memento.class);
    boolean begun = memento.status() != Batch.Status.PLANNED;
    if (memento.status() == null
        || memento.startedAt() == null
        || memento.steps() == null
        || memento.step() < 0
        || (begun && memento.step() >= memento.steps().size())
        || memento.steps().size() > MOST_STEPS
        || memento.steps().stream()
            .anyMatch(s -> s.startedAt() == null || s.note() == null || !sound(s.readings()))
        || (memento.formula() == null) != (memento.plan() == null)) {
      throw new IllegalArgumentException("it is no state of a batch");
    }
    if (memento.formula() != null) {
      stored.checkedFormula(memento.formula());
      stored.checkedPlan(memento.plan());
    }
  }

  private static boolean sound(Map<Reading, Double> readings) {
    return readings.entrySet().stream()
        .allMatch(read -> read.getValue() != null && read.getKey().holds(read.getValue()));
  }

  private KeptTable entry() {
    return KeptTable.counted(
            "batch_entry",
            Column.reference("batch_id", "batch"),
            Column.whole("step_index", 0, MOST_STEPS),
            Column.moment("entered_at"),
            Column.word("kind", BatchEntry.Kind.class),
            Column.number("amount", -100, MOST_ML).orNull(),
            Column.material("subject").orNull(),
            Column.text("words", 400),
            Column.text("source", 80))
        .where(
            row ->
                switch (BatchEntry.Kind.valueOf(Objects.requireNonNull((String) row.get("kind")))) {
                  case SMELL, SHAKEN, NOTE -> true;
                  case INGREDIENT -> row.get("amount") != null && row.get("subject") != null;
                  case TEMPERATURE, WEIGHT, VOLUME, PH -> row.get("amount") != null;
                });
  }

  private static KeptTable photo() {
    return KeptTable.of(
        "batch_photo",
        "taken_at, caption",
        Column.id(),
        Column.reference("batch_id", "batch"),
        Column.whole("step_index", 0, MOST_STEPS),
        Column.moment("taken_at"),
        Column.text("caption", 200),
        Column.picture("content"));
  }

  @Override
  public void open(UUID household, Instant now) {
    for (UUID id : repository.ids(household)) {
      Batch batch = repository.findByIdAndHouseholdId(id, household).orElseThrow();
      checkSteps(batch);
      if (!runs.bottles(batch).values().stream().allMatch(b -> bottles.known(household, b))) {
        throw new IllegalArgumentException(
            "what was poured into " + batch.code() + " is not there");
      }
      runs.planned(batch);
      views.view(household, id);
      // One at a time: a household's whole life does not fit into memory.
      entities.clear();
    }
  }

  private void checkSteps(Batch batch) {
    List<StepDone.State> steps = batch.steps();
    int formulaSteps =
        stored.formula(batch.snapshot().formula(), batch.snapshot().schemaVersion()).steps().size();
    boolean begun = batch.status() != Batch.Status.PLANNED;
    boolean fits =
        batch.step() < formulaSteps
            && steps.size() <= formulaSteps
            && (batch.status() == Batch.Status.GIVEN_UP
                || (begun ? batch.step() == steps.size() - 1 : steps.isEmpty()));
    for (int i = 0; fits && i < steps.size() - 1; i++) {
      fits = steps.get(i).endedAt() != null;
    }
    if (!fits) {
      throw new IllegalArgumentException("the steps of " + batch.code() + " do not fit");
    }
  }

  @Override
  public void planAgain(UUID household, Instant now) {
    repository
        .findByHouseholdIdAndStatusInOrderByStartedAt(
            household, List.of(Batch.Status.RUNNING, Batch.Status.PLANNED))
        .forEach(batch -> reminders.plan(batch, now));
  }
}
