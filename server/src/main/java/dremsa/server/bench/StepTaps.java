package dremsa.server.bench;

import dremsa.core.brew.Cooling;
import dremsa.core.brew.Facts;
import dremsa.core.check.Caution;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Window;
import dremsa.core.measure.Said;
import dremsa.server.history.Happening;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Departs from the plan at the present step, each time with its reason. */
@Service
class StepTaps {
  /** Which tap; {@code at} is when. */
  record At(UUID household, UUID batch, int index, long version, Instant at) {}

  private final Runs runs;
  private final Log log;
  private final Stored stored;

  StepTaps(Runs runs, Log log, Stored stored) {
    this.runs = runs;
    this.log = log;
    this.stored = stored;
  }

  private Batch present(At tap) {
    return log.present(tap.household(), tap.batch(), tap.version(), tap.index(), tap.at());
  }

  private static Step step(Runs.Run run, At tap) {
    return run.brew().formula().steps().get(tap.index());
  }

  private void keep(
      Batch batch, At tap, Happening.Kind kind, @Nullable Double millilitres, String words) {
    log.saved(batch, tap.at());
    log.note(batch, tap.at(), kind, millilitres, words);
  }

  /** Leaves the present step out. */
  @Transactional
  void skip(At tap, String reason) {
    Batch batch = present(tap);
    Step step = step(runs.of(batch, tap.at()), tap);
    if (!step.skippable()) {
      throw Problem.invalid(
          FieldProblem.of(
              "step",
              tap.index(),
              step.headline() + " cannot be left out: nothing goes on without it."));
    }
    String headline = step.headline();
    boolean latex = step.readies().equals(Optional.of(Step.Treatment.DRAIN_LATEX));
    log.tapped(batch, "Left out: " + headline, false);
    batch.skipStep(tap.at(), reason);
    keep(
        batch,
        tap,
        Happening.Kind.STEP_SKIPPED,
        null,
        headline + ": " + reason + (latex ? " (" + Caution.LATEX.words() + ")" : ""));
  }

  /** Gives the present step more time. */
  @Transactional
  void extend(At tap, double minutes, @Nullable String reason) {
    Batch batch = present(tap);
    Step step = step(runs.of(batch, tap.at()), tap);
    Window window =
        step.window()
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of("minutes", minutes, "This step has no time to extend.")));
    double most = Math.max(60, window.longest() * 3);
    if (!(minutes > 0 && minutes <= most)) {
      throw Problem.invalid(
          FieldProblem.range(
              "minutes",
              Double.isFinite(minutes) ? (Object) minutes : String.valueOf(minutes),
              Said.of("Above 0 and up to %.0f min here.", most),
              1,
              most));
    }
    log.tapped(batch, Said.of("%.0f min more", minutes), false);
    batch.present().extend(minutes);
    keep(
        batch,
        tap,
        Happening.Kind.STEP_EXTENDED,
        null,
        Said.of("%s: %.0f min more%s", step.headline(), minutes, because(reason)));
  }

  /** Pours plain water in. */
  @Transactional
  void pourWater(At tap, double millilitres, double celsius, @Nullable String reason) {
    Batch batch = present(tap);
    Runs.Run run = runs.of(batch, tap.at());
    Step step = step(run, tap);
    double most = Math.max(100, run.prediction().account().in());
    if (!(millilitres > 0 && millilitres <= most)) {
      throw Problem.invalid(
          FieldProblem.range(
              "millilitres",
              Double.isFinite(millilitres) ? (Object) millilitres : String.valueOf(millilitres),
              Said.of("Above 0 and not more than went in before: %.0f mL.", most),
              1,
              most));
    }
    if (!(celsius >= 0 && celsius <= 100)) {
      throw Problem.invalid(
          FieldProblem.range("celsius", celsius, "Water is 0 to 100 °C.", 0, 100));
    }
    log.tapped(batch, Said.of("%.0f mL of water", millilitres), false);
    batch.present().pour(millilitres, celsius);
    keep(batch, tap, Happening.Kind.WATER_ADDED, millilitres, step.headline() + because(reason));
  }

  /** Does the step before once more, now. */
  @Transactional
  void again(At tap, @Nullable String reason) {
    Batch batch = present(tap);
    Runs.Run run = runs.of(batch, tap.at());
    if (tap.index() == 0) {
      throw Problem.conflict("No step was done yet that could be done again.");
    }
    Formula formula = run.brew().formula();
    Step before = formula.steps().get(tap.index() - 1);
    if (!before.skippable() || before.puts()) {
      throw Problem.conflict(
          before.headline() + " puts something in: it cannot simply be done again.");
    }
    if (formula.steps().size() >= Formula.MOST_STEPS) {
      throw Problem.conflict("This run has as many steps as it can have.");
    }
    List<Step> steps = new ArrayList<>(formula.steps());
    steps.add(tap.index(), before);
    log.tapped(batch, "Once more: " + before.headline(), true);
    change(batch, formula.withSteps(steps), planOf(batch).shiftedFrom(tap.index()));
    keep(batch, tap, Happening.Kind.STEP_AGAIN, null, before.headline() + because(reason));
  }

  /** Cools in another way from now on. */
  @Transactional
  void cool(At tap, CoolingWay way, boolean cover) {
    Batch batch = present(tap);
    Runs.Run run = runs.of(batch, tap.at());
    if (!(step(run, tap) instanceof Cool planned)) {
      throw Problem.conflict("This step is no cooling.");
    }
    Cool taken = new Cool(planned.toC(), way, cover, planned.guide());
    double elapsed = Happened.minutes(batch.steps().get(tap.index()).startedAt(), tap.at());
    log.tapped(batch, "Cooling: " + taken.headline(), true);
    Cooling.Changed changed = Cooling.taken(run.brew(), planOf(batch), tap.index(), elapsed, taken);
    change(batch, changed.formula(), changed.facts());
    if (changed.step() > tap.index()) {
      batch.finishStep(StepDone.Report.NOTHING, tap.at(), false);
    }
    keep(
        batch,
        tap,
        Happening.Kind.COOLING_CHANGED,
        null,
        taken.headline() + (cover ? ", lid on" : ", lid off"));
  }

  private Facts planOf(Batch batch) {
    return stored.plan(batch.snapshot().plan(), batch.snapshot().schemaVersion());
  }

  private void change(Batch batch, Formula formula, Facts plan) {
    Map<Integer, Double> minutes = new LinkedHashMap<>();
    plan.steps().forEach((i, known) -> known.minutes().ifPresent(m -> minutes.put(i, m)));
    batch.change(stored.write(FormulaJson.of(formula)), stored.write(minutes));
  }

  private static String because(@Nullable String reason) {
    return reason == null || reason.isBlank() ? "" : ": " + reason;
  }
}
