package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Cooling;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.VesselChoice;
import dremsa.core.brew.Weighing;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Window;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** Says to the model what is known of a batch: its taps and its log over its plan. */
final class Happened {
  private final Batch batch;
  private final Formula formula;
  private final List<BatchEntry> log;

  Happened(Batch batch, Formula formula, List<BatchEntry> log) {
    this.batch = batch;
    this.formula = formula;
    this.log = log;
  }

  Facts facts(Facts plan, Instant now, Brew brew, double scale, VesselChoice vessels) {
    Facts facts = plan;
    List<StepDone.State> steps = batch.steps();
    for (int i = 0; i < steps.size(); i++) {
      facts = facts.with(i, logged(i, steps.get(i), tapped(i, steps.get(i), facts.of(i), now)));
    }
    facts = stillOn(facts, now, brew, scale, vessels);
    facts = Cooling.fitted(brew, scale, vessels, facts);
    for (BatchEntry entry : log) {
      if (entry.what().kind() == BatchEntry.Kind.WEIGHT && entry.stepIndex() < steps.size()) {
        double minute = minutes(steps.get(entry.stepIndex()).startedAt(), entry.enteredAt());
        facts =
            Weighing.read(
                brew, scale, vessels, facts, entry.stepIndex(), minute, entry.what().number());
      }
    }
    return facts;
  }

  private StepFacts tapped(int index, StepDone.State step, StepFacts planned, Instant now) {
    StepFacts known = planned;
    if (step.waterMl() > 0) {
      known = known.withWater(step.waterMl(), step.waterC());
    }
    if (step.endedAt() != null) {
      known = known.withMinutes(minutes(step.startedAt(), step.endedAt()));
      if (step.skipped()) {
        known = known.left();
      }
      for (Map.Entry<Reading, Double> read : step.readings().entrySet()) {
        known = known.with(read.getKey(), read.getValue());
      }
      return step.cueSeen() ? known.asSeen() : known;
    }
    if (batch.status() != Batch.Status.RUNNING) {
      return known;
    }
    // The present step lasts at least until now: being late shows in the date at once.
    double usual =
        known.minutes().orElse(formula.steps().get(index).window().map(Window::usual).orElse(0.0))
            + step.extendedMin();
    double elapsed = minutes(step.startedAt(), now);
    boolean timed = usual > 0;
    if (timed && elapsed > usual) {
      return known.withMinutes(elapsed);
    }
    return timed && step.extendedMin() > 0 ? known.withMinutes(usual) : known;
  }

  /** A step without a time of its own that lasts longer than predicted lasts until now, too. */
  private Facts stillOn(Facts facts, Instant now, Brew brew, double scale, VesselChoice vessels) {
    int index = batch.step();
    if (batch.status() != Batch.Status.RUNNING || facts.of(index).minutes().isPresent()) {
      return facts;
    }
    double elapsed = minutes(batch.steps().get(index).startedAt(), now);
    double predicted = brew.untraced(scale, vessels, facts).steps().get(index).minutes();
    return elapsed > predicted ? facts.with(index, facts.of(index).withMinutes(elapsed)) : facts;
  }

  private StepFacts logged(int index, StepDone.State step, StepFacts tapped) {
    StepFacts known = tapped;
    for (BatchEntry entry : log) {
      // What was read at a step that was taken back and begun anew belongs to neither.
      if (entry.stepIndex() != index || entry.enteredAt().isBefore(step.startedAt())) {
        continue;
      }
      BatchEntry.What what = entry.what();
      known =
          switch (what.kind()) {
            case TEMPERATURE ->
                known.withTemperature(minutes(step.startedAt(), entry.enteredAt()), what.number());
            case VOLUME -> unlessAtItsEnd(Reading.VOLUME, what.number(), step, known);
            case PH -> unlessAtItsEnd(Reading.PH, what.number(), step, known);
            case INGREDIENT ->
                known.withWeighed(Objects.requireNonNull(what.subject()), what.number());
            case WEIGHT, SMELL, SHAKEN, NOTE -> known;
          };
    }
    return known;
  }

  private static StepFacts unlessAtItsEnd(
      Reading kind, double amount, StepDone.State step, StepFacts known) {
    return step.readings().containsKey(kind) ? known : known.with(kind, amount);
  }

  static double minutes(Instant from, Instant to) {
    return Math.max(0, Duration.between(from, to).toMillis() / 60_000.0);
  }
}
