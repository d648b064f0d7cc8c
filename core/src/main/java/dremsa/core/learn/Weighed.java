package dremsa.core.learn;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Cooling;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.Thickness;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Parameter;
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

  /** Fewer temperatures do not tell how fast it cools. */
  private static final int FEWEST_READINGS = 3;

  /** How well its marks are read, mL; our estimate. */
  private static final double MARKS_ML = 1;

  /** What can be measured of a batch. */
  public enum Kind {
    /** mL. */
    AMOUNT,
    /** mPa·s at 20 °C, by its band. */
    THICKNESS,
    /** How fast it cooled, as a factor on what the kitchen it was brewed in foretold. */
    COOLING
  }

  /**
   * Something that was measured.
   *
   * @param step at whose end; the number of steps for what was bottled
   * @param value above 0, in the unit of its kind
   * @param error how well it is known: the standard deviation of its logarithm
   */
  public record Observed(int step, double value, Kind kind, double error) {
    /** Bands are told apart no better than this; our estimate. */
    private static final double EYE = 0.2;

    private static final double THINNEST = 5;
    private static final double STIFFEST = 6000;

    /** A fitted cooling stands for other days no better than this; our estimate. */
    private static final double DRAUGHT = 0.1;

    private static final double Z95 = 1.96;

    public Observed {
      if (!(value > 0) || !(error > 0)) {
        throw new IllegalArgumentException("something was measured: " + value + " ± " + error);
      }
    }

    /** An amount, mL. */
    public Observed(int step, double millilitres) {
      this(step, millilitres, Kind.AMOUNT, Math.hypot(JUG, MARKS_ML / millilitres));
    }

    /** How thick it was found when cold: the middle of the band, known as well as it is wide. */
    static Observed of(int step, Thickness band) {
      double low = band == Thickness.SPRAY ? THINNEST : before(band).below();
      double high = band == Thickness.STIFF ? STIFFEST : band.below();
      double width = Math.log(high / low) / Math.sqrt(12);
      return new Observed(step, Math.sqrt(low * high), Kind.THICKNESS, Math.hypot(width, EYE));
    }

    private static Thickness before(Thickness band) {
      return Thickness.values()[band.ordinal() - 1];
    }

    static Observed of(int step, Cooling.Fit fit) {
      double told = Math.log(fit.high() / fit.low()) / 2 / Z95;
      return new Observed(step, fit.factor(), Kind.COOLING, Math.hypot(told, DRAUGHT));
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
      cooled(observed, i, facts.of(i));
    }
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
    return Math.abs(ranOff.predicted(brew, bottled) - bottled.value()) < MARKS_ML
        ? ranOff
        : new Weighed(batch, brew, scale, vessels, facts, with(observed, bottled));
  }

  private static void cooled(List<Observed> observed, int step, StepFacts known) {
    known
        .cooling()
        .filter(fit -> fit.readings() >= FEWEST_READINGS && fit.low() > 0)
        .ifPresent(fit -> observed.add(Observed.of(step, fit)));
  }

  private static List<Observed> with(List<Observed> observed, Observed last) {
    List<Observed> all = new ArrayList<>(observed);
    all.add(last);
    return all;
  }

  /** The same, of which it was said how thick it was when cold, if the model knows of that. */
  public Weighed found(Thickness band) {
    if (Double.isNaN(brew.untraced(scale, vessels, facts).finished().thickness())) {
      return this;
    }
    List<Observed> all = new ArrayList<>(List.of(Observed.of(brew.formula().steps().size(), band)));
    all.addAll(observed);
    return new Weighed(batch, brew, scale, vessels, facts, all);
  }

  /** Whether an amount was measured: without one nothing is foretold of it. */
  public boolean tells() {
    return observed.stream().anyMatch(each -> each.kind() == Kind.AMOUNT);
  }

  /** Whether it says something of this kind. */
  boolean tells(Kind kind) {
    return observed.stream().anyMatch(each -> each.kind() == kind);
  }

  /** What it came to, mL. */
  public double came() {
    return this.yield().value();
  }

  /** What was foretold for that in its own kitchen, mL. */
  public double foretold() {
    return predicted(brew, this.yield());
  }

  /** What the batch came to: the last amount that was measured. */
  Observed yield() {
    return observed.stream()
        .filter(each -> each.kind() == Kind.AMOUNT)
        .reduce((before, last) -> last)
        .orElseThrow();
  }

  /**
   * What the model says of something measured, knowing only what was measured before it.
   *
   * @param figured the brew with the figures to be tried
   */
  double predicted(Brew figured, Observed wanted) {
    if (wanted.kind() == Kind.COOLING) {
      return figured.kitchen().parameters().value(Parameter.HEAT_LOSS)
          / brew.kitchen().parameters().value(Parameter.HEAT_LOSS);
    }
    Facts before = facts;
    for (int i = wanted.step(); i < brew.formula().steps().size(); i++) {
      StepFacts known = before.of(i);
      if (!known.readings().isEmpty()) {
        before = before.with(i, known.unread());
      }
    }
    Prediction prediction = figured.untraced(scale, vessels, before);
    if (wanted.kind() == Kind.THICKNESS) {
      return prediction.finished().thickness();
    }
    return wanted.step() < prediction.steps().size()
        ? prediction.steps().get(wanted.step()).millilitres()
        : prediction.finished().millilitres();
  }
}
