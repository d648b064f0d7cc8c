package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Pace;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import dremsa.core.scale.Target;
import dremsa.server.formulas.Formulas;
import dremsa.server.history.Happening;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.Planner;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import dremsa.server.wire.TargetJson;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Batches that were brewed elsewhere, or before: of each its formula, its beginning and its end.
 * Its kitchen is the household's of today; how long each step took is guessed from the whole.
 */
@Component
class BatchTable implements HouseholdTable {
  private static final String QUERY =
      """
      select b.code, w.code as part_of, b.formula_name as name, b.formula_id as formula, b.status,
        b.started_at as started, b.ended_at as ended, b.bottled_ml, b.scale
      from batch b left join batch w on w.id = b.parent_id
      where b.household_id = ? order by b.started_at, b.code
      """;

  static final int CODE = 14;

  /** Where a file says no amount, a batch is measured for this much, mL. */
  private static final double USUAL_ML = 500;

  private final BatchRepository repository;
  private final Log log;
  private final Formulas formulas;
  private final Planner planner;
  private final Kitchens kitchens;
  private final Stored stored;

  BatchTable(
      BatchRepository repository,
      Log log,
      Formulas formulas,
      Planner planner,
      Kitchens kitchens,
      Stored stored) {
    this.repository = repository;
    this.log = log;
    this.formulas = formulas;
    this.planner = planner;
    this.kitchens = kitchens;
    this.stored = stored;
  }

  @Override
  public String name() {
    return "batches";
  }

  @Override
  public List<String> columns() {
    return List.of(
        "code", "part_of", "name", "formula", "status", "started", "ended", "bottled_ml", "scale");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    Kitchen kitchen = kitchens.of(household);
    List<Formula> known = formulas.all(household);
    return row -> take(household, kitchen, known, row, now);
  }

  private record Meant(String formulaId, TargetJson target) implements Plan {}

  private Taken take(UUID household, Kitchen kitchen, List<Formula> known, Row row, Instant now) {
    String code = row.needed("code", CODE);
    if (repository.findByHouseholdIdAndCode(household, code).isPresent()) {
      return Taken.THERE;
    }
    Batch.Status status = row.choice("status", Batch.Status.class, Batch.Status.BOTTLED);
    if (status != Batch.Status.BOTTLED && status != Batch.Status.GIVEN_UP) {
      return Taken.leftOut("A brew that is not at its end comes with the backup only.");
    }
    if (!row.text("part_of", CODE).isEmpty()) {
      return Taken.leftOut("A part of a divided brew comes with the backup only.");
    }
    Formula formula = formula(known, row);
    Instant started = row.past("started", now);
    Double bottledMl = row.number("bottled_ml", 0, Target.MOST_ML);
    double wanted = bottledMl == null ? USUAL_ML : Math.max(Target.LEAST_ML, bottledMl);
    TargetJson target = TargetJson.volume(wanted);
    Planner.Planned planned =
        planner.solve(household, new Meant(formula.id(), target), kitchen, started);
    Brew brew = planned.reached().brew();
    if (brew.materials().stream().anyMatch(m -> m.kind() == MaterialKind.BREW)) {
      return Taken.leftOut(
          "It was made with a brew from the shelf, whose age comes with the backup only.");
    }
    Double given = row.number("scale", 1e-6, 1e6);
    double scale = given == null ? planned.reached().scale() : given;
    Prediction prediction = brew.predict(scale, brew.vesselsFor(scale), planned.facts());
    Instant ended = ended(row, started, prediction, now);
    Batch batch =
        new Batch(
            UUID.randomUUID(),
            household,
            new Batch.Naming(
                code,
                formula.id(),
                formulas.keepForBatch(household, formula.id(), now).orElse(null),
                formula.name()),
            new Batch.Snapshot(
                stored.write(FormulaJson.of(brew.formula())),
                stored.write(KitchenJson.of(kitchen)),
                stored.write(target),
                stored.write(Map.of()),
                stored.write(planned.surroundings()),
                Stored.VERSION),
            scale,
            started);
    batch.begin(started);
    steps(batch, brew.formula(), prediction, started, ended);
    if (status == Batch.Status.BOTTLED) {
      batch.bottled(bottledMl == null ? prediction.finished().millilitres() : bottledMl, ended);
    } else {
      batch.giveUp(ended);
    }
    repository.saveAndFlush(batch);
    log.note(
        batch,
        started,
        Happening.Kind.STARTED,
        prediction.finished().millilitres(),
        formula.name());
    log.note(
        batch,
        ended,
        status == Batch.Status.BOTTLED ? Happening.Kind.BOTTLED : Happening.Kind.GIVEN_UP,
        batch.bottledMl(),
        status == Batch.Status.BOTTLED ? "bottles" : "");
    return Taken.NEW;
  }

  /** By its id, or by its name where the id is of another household. */
  private static Formula formula(List<Formula> known, Row row) {
    String id = row.text("formula", 200);
    String name = row.text("name", 200);
    Optional<Formula> found =
        known.stream()
            .filter(f -> f.id().equals(id))
            .findFirst()
            .or(
                () ->
                    known.stream()
                        .filter(f -> f.name().equalsIgnoreCase(name.isEmpty() ? id : name))
                        .findFirst());
    return found.orElseThrow(
        () ->
            new Row.WrongException(
                "formula",
                Said.of(
                    "There is no formula '%s' here: take your formulas in first.",
                    id.isEmpty() ? name : id)));
  }

  private static Instant ended(Row row, Instant started, Prediction prediction, Instant now) {
    Instant given = row.moment("ended");
    if (given == null) {
      double minutes = prediction.steps().get(prediction.steps().size() - 1).endMinute();
      return Moment.after(started, minutes);
    }
    if (given.isAfter(now)) {
      throw new Row.WrongException("ended", "That is still to come.");
    }
    if (!given.isAfter(started)) {
      throw new Row.WrongException("ended", "It cannot end before it begins.");
    }
    return given;
  }

  private static void steps(
      Batch batch, Formula formula, Prediction prediction, Instant started, Instant ended) {
    List<Double> ends =
        Pace.ends(prediction, Duration.between(started, ended).toMillis() / 60_000.0);
    for (int i = 0; i < ends.size(); i++) {
      double minutes = ends.get(i) - (i == 0 ? 0 : ends.get(i - 1));
      Window.Timing timing =
          formula.steps().get(i).window().map(w -> w.judge(minutes)).orElse(null);
      boolean last = i == ends.size() - 1;
      batch.finishStep(
          new StepDone.Report(timing, false, Map.of(), ""),
          last ? ended : Moment.after(started, ends.get(i)),
          last);
    }
  }
}
