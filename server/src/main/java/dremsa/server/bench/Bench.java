package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepWords;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.server.accounts.Households;
import dremsa.server.formulas.Formulas;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.Planner;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts batches and takes them through their steps. Every method is told what time it is. */
@Service
public class Bench {
  private final BatchRepository repository;
  private final Runs runs;
  private final Kitchens kitchens;
  private final Formulas formulas;
  private final Planner planner;
  private final Households households;
  private final History history;
  private final Stored stored;
  private final ApplicationEventPublisher events;

  Bench(
      BatchRepository repository,
      Runs runs,
      Kitchens kitchens,
      Formulas formulas,
      Planner planner,
      Households households,
      History history,
      Stored stored,
      ApplicationEventPublisher events) {
    this.repository = repository;
    this.runs = runs;
    this.kitchens = kitchens;
    this.formulas = formulas;
    this.planner = planner;
    this.households = households;
    this.history = history;
    this.stored = stored;
    this.events = events;
  }

  /** What the maker says when a step is done. */
  public record Done(
      boolean cueSeen,
      Double measuredMl,
      Double measuredC,
      String note,
      List<BatchBottled.Filled> bottles) {}

  /** Starts a batch. */
  @Transactional
  public UUID start(UUID household, Plan plan, Instant at) {
    households.changed(household);
    Kitchen kitchen = kitchens.of(household);
    Planner.Planned planned = planner.solve(household, plan, kitchen, at);
    Brew brew = planned.reached().brew();
    Formula formula = brew.formula();
    Batch batch =
        new Batch(
            UUID.randomUUID(),
            household,
            code(formula, repository.countByHouseholdId(household) + 1),
            formula.id(),
            formulas.keepForBatch(household, formula.id(), at).orElse(null),
            formula.name(),
            new Batch.Snapshot(
                stored.write(FormulaJson.of(formula)),
                stored.write(KitchenJson.of(kitchen)),
                stored.write(plan.target()),
                stored.write(minutes(plan)),
                stored.write(planned.surroundings()),
                Stored.VERSION),
            planned.reached().scale(),
            at);
    repository.saveAndFlush(batch);
    note(
        batch,
        at,
        Happening.Kind.STARTED,
        planned.reached().prediction().finished().millilitres(),
        formula.name());
    pour(batch, plan, planned, at);
    events.publishEvent(new MeasuredOut(household, batch.id(), batch.code(), weighed(planned), at));
    return batch.id();
  }

  /** Grams of each material; water comes from the tap, brews from the shelf. */
  private static Map<String, Double> weighed(Planner.Planned planned) {
    Brew brew = planned.reached().brew();
    Map<String, Double> grams = new LinkedHashMap<>();
    for (int i = 0; i < brew.materials().size(); i++) {
      Material material = brew.materials().get(i);
      Double amount =
          planned.reached().prediction().amounts().get(brew.formula().ingredients().get(i).key());
      if (amount != null
          && material.kind() != MaterialKind.WATER
          && material.kind() != MaterialKind.BREW) {
        grams.merge(material.id(), amount, Double::sum);
      }
    }
    return grams;
  }

  private static Map<Integer, Double> minutes(Plan plan) {
    Map<Integer, Double> minutes = new LinkedHashMap<>();
    if (plan.steps() != null) {
      plan.steps().forEach(step -> minutes.put(step.index(), step.minutes()));
    }
    return minutes;
  }

  /** What is poured in from bottles of the shelf is taken out of them. */
  private void pour(Batch batch, Plan plan, Planner.Planned planned, Instant at) {
    if (plan.pours() == null) {
      return;
    }
    Brew brew = planned.reached().brew();
    for (int i = 0; i < brew.materials().size(); i++) {
      Ingredient ingredient = brew.formula().ingredients().get(i);
      UUID bottle = plan.pours().get(ingredient.material());
      Double grams = planned.reached().prediction().amounts().get(ingredient.key());
      if (bottle != null && grams != null) {
        events.publishEvent(
            new BrewPoured(
                batch.householdId(),
                batch.id(),
                batch.code(),
                bottle,
                grams / brew.materials().get(i).density(),
                at));
      }
    }
  }

  /** Initials and a running number: short enough to write on tape. */
  private static String code(Formula formula, long number) {
    StringBuilder initials = new StringBuilder();
    for (String word : formula.name().split("[^\\p{L}]+")) {
      if (!word.isEmpty() && initials.length() < 3) {
        initials.appendCodePoint(word.codePointAt(0));
      }
    }
    return initials.toString().toUpperCase(Locale.ROOT) + "-" + number;
  }

  /**
   * Ends the present step.
   *
   * @param index that the maker saw; another one means that somebody else was quicker
   * @param version that the maker saw
   */
  @Transactional
  public void finish(UUID household, UUID id, int index, long version, Done done, Instant at) {
    households.changed(household);
    Batch batch = running(household, id, version);
    if (batch.step() != index) {
      throw Problem.conflict("This step was finished already, perhaps on another device.");
    }
    Runs.Run run = runs.of(batch, at);
    List<Step> steps = run.brew().formula().steps();
    Step step = steps.get(index);
    checkReadings(run, index, done);
    double minutes =
        (at.toEpochMilli() - batch.steps().get(index).startedAt().toEpochMilli()) / 60_000.0;
    Window.Timing timing = step.window().map(w -> w.judge(minutes)).orElse(null);
    boolean last = index == steps.size() - 1;
    if (last) {
      checkBottles(run, done);
    }
    batch.finishStep(
        new StepDone.Report(
            timing, done.cueSeen(), done.measuredMl(), done.measuredC(), done.note()),
        at,
        last);
    note(batch, at, Happening.Kind.STEP_DONE, done.measuredMl(), words(step, timing, done));
    if (last) {
      double millilitres =
          done.bottles().stream().mapToDouble(BatchBottled.Filled::millilitres).sum();
      batch.bottled(millilitres, at);
      repository.saveAndFlush(batch);
      note(
          batch,
          at,
          Happening.Kind.BOTTLED,
          millilitres,
          done.bottles().size() == 1 ? "1 bottle" : done.bottles().size() + " bottles");
      events.publishEvent(new BatchBottled(household, runs.record(batch, at), done.bottles(), at));
    } else {
      repository.saveAndFlush(batch);
    }
  }

  private static String words(Step step, Window.Timing timing, Done done) {
    StringBuilder words = new StringBuilder(StepWords.headline(step));
    if (timing != null && timing != Window.Timing.RIGHT) {
      words.append(timing == Window.Timing.EARLY ? ", early" : ", late");
    }
    if (done.cueSeen()) {
      words.append(", cue seen");
    }
    if (done.note() != null && !done.note().isBlank()) {
      words.append(": ").append(done.note());
    }
    return words.toString();
  }

  private static void checkReadings(Runs.Run run, int index, Done done) {
    if (done.measuredMl() != null) {
      double most = Math.max(1, run.prediction().account().in() * 1.03);
      if (!(done.measuredMl() > 0 && done.measuredMl() <= most)) {
        throw Problem.invalid(
            FieldProblem.range(
                "measuredMl",
                done.measuredMl(),
                "Not more than went in: up to %.0f mL.".formatted(most),
                1,
                most));
      }
    }
    if (done.measuredC() != null && !(done.measuredC() >= -5 && done.measuredC() <= 105)) {
      throw Problem.invalid(
          FieldProblem.range("measuredC", done.measuredC(), "A brew is -5 to 105 °C.", -5, 105));
    }
  }

  private static void checkBottles(Runs.Run run, Done done) {
    if (done.bottles() == null || done.bottles().isEmpty()) {
      throw Problem.invalid(FieldProblem.of("bottles", null, "Say which bottles it went into."));
    }
    double there = Math.max(1, run.prediction().finished().millilitres());
    double sum = 0;
    for (int i = 0; i < done.bottles().size(); i++) {
      BatchBottled.Filled bottle = done.bottles().get(i);
      if (bottle.millilitres() > bottle.sizeMl()) {
        throw Problem.invalid(
            FieldProblem.range(
                "bottles[" + i + "].millilitres",
                bottle.millilitres(),
                "This bottle holds %.0f mL.".formatted(bottle.sizeMl()),
                1,
                bottle.sizeMl()));
      }
      sum += bottle.millilitres();
    }
    // Jugs and eyes differ by some millilitres; a bottle more than there was is a slip.
    double most = there * 1.05 + 10;
    if (sum > most) {
      throw Problem.invalid(
          FieldProblem.range(
              "bottles",
              sum,
              "There are about %.0f mL to fill, not %.0f mL.".formatted(there, sum),
              1,
              most));
    }
  }

  /** Takes the last tap back. */
  @Transactional
  public void undo(UUID household, UUID id, long version, Instant at) {
    households.changed(household);
    Batch batch = find(household, id, version);
    if (batch.status() == Batch.Status.GIVEN_UP
        || (batch.status() == Batch.Status.RUNNING && batch.step() == 0)) {
      throw Problem.conflict("There is nothing to take back here.");
    }
    if (batch.status() == Batch.Status.BOTTLED) {
      events.publishEvent(new BottlingUndone(household, id));
    }
    batch.reopen();
    repository.saveAndFlush(batch);
    note(batch, at, Happening.Kind.STEP_UNDONE, null, "Step " + (batch.step() + 1) + " again");
  }

  /** Ends a run without bottles. */
  @Transactional
  public void giveUp(UUID household, UUID id, long version, String reason, Instant at) {
    households.changed(household);
    Batch batch = running(household, id, version);
    batch.giveUp(at);
    repository.saveAndFlush(batch);
    note(batch, at, Happening.Kind.GIVEN_UP, null, reason);
  }

  Batch get(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("batch"));
  }

  private Batch running(UUID household, UUID id, long version) {
    Batch batch = find(household, id, version);
    if (batch.status() != Batch.Status.RUNNING) {
      throw Problem.conflict("This brew is over already.");
    }
    return batch;
  }

  private Batch find(UUID household, UUID id, long version) {
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

  private void note(
      Batch batch, Instant at, Happening.Kind kind, Double millilitres, String detail) {
    history.note(batch.householdId(), batch.id(), null, at, kind, millilitres, detail);
  }
}
