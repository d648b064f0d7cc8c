package dremsa.core.learn;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A batch of which it is known how much came of it.
 *
 * @param batch its id
 * @param facts what really happened, its readings among them
 * @param observed what was measured, in the order of the steps
 */
public record Weighed(
    String batch,
    Brew brew,
    double scale,
    VesselChoice vessels,
    Facts facts,
    List<Observed> observed) {
  /** How well a jug tells a volume, share; our estimate. */
  private static final double JUG = 0.02;

  /** How well its marks are read, mL; our estimate. */
  private static final double MARKS_ML = 1;

  /**
   * An amount that was measured.
   *
   * @param step at whose end; the number of steps for what was bottled
   * @param millilitres above 0
   */
  public record Observed(int step, double millilitres) {
    public Observed {
      if (!(millilitres > 0)) {
        throw new IllegalArgumentException("something was measured: " + millilitres);
      }
    }

    /** How well it is known: the standard deviation of its logarithm. */
    double error() {
      return Math.hypot(JUG, MARKS_ML / millilitres);
    }
  }

  public Weighed {
    observed = List.copyOf(observed);
  }

  /**
   * Takes what was measured out of what happened: how much ran off at each straining, and what was
   * bottled, where nothing was measured before that says the same and it is not just what was
   * foretold.
   *
   * @param bottledMl in all bottles together
   */
  public static Weighed of(
      String batch,
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      OptionalDouble bottledMl) {
    List<Observed> observed = new ArrayList<>();
    List<Step> steps = brew.formula().steps();
    for (int i = 0; i < steps.size(); i++) {
      OptionalDouble read = facts.of(i).read(Reading.VOLUME);
      if (steps.get(i).strainer().isPresent() && read.orElse(0) > 0) {
        observed.add(new Observed(i, read.getAsDouble()));
      }
    }
    Weighed ranOff = new Weighed(batch, brew, scale, vessels, facts, observed);
    if (ranOff.tells() || bottledMl.orElse(0) <= 0 || !brew.formula().branches().isEmpty()) {
      return ranOff;
    }
    Observed bottled = new Observed(steps.size(), bottledMl.getAsDouble());
    // What is written in the bottles' fields beforehand and left there is no measurement.
    return Math.abs(ranOff.predicted(brew, bottled) - bottled.millilitres()) < MARKS_ML
        ? ranOff
        : new Weighed(batch, brew, scale, vessels, facts, List.of(bottled));
  }

  /** Whether it says anything. */
  public boolean tells() {
    return !observed.isEmpty();
  }

  /** What it came to, mL. */
  public double came() {
    return this.yield().millilitres();
  }

  /** What was foretold for that in its own kitchen, mL. */
  public double foretold() {
    return predicted(brew, this.yield());
  }

  /** What the batch came to: the last that was measured. */
  Observed yield() {
    return observed.get(observed.size() - 1);
  }

  /**
   * What the model says of an amount, knowing only what was measured before it; mL.
   *
   * @param figured the brew with the figures to be tried
   */
  double predicted(Brew figured, Observed wanted) {
    Facts before = facts;
    for (int i = wanted.step(); i < brew.formula().steps().size(); i++) {
      StepFacts known = before.of(i);
      if (!known.readings().isEmpty()) {
        before = before.with(i, known.unread());
      }
    }
    Prediction prediction = figured.untraced(scale, vessels, before);
    return wanted.step() < prediction.steps().size()
        ? prediction.steps().get(wanted.step()).millilitres()
        : prediction.finished().millilitres();
  }
}
