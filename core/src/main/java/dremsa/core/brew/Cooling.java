package dremsa.core.brew;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.StepKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * Cooling as it is really going: corrects the model by temperatures that were read, and compares
 * the ways to cool before one is chosen.
 */
public final class Cooling {
  /** How well a kitchen thermometer and its reader tell a temperature, °C; our estimate. */
  static final double READING_ERROR_C = 0.7;

  /**
   * How far a vessel's cooling may differ from the model's before anything was read, as the
   * standard deviation of the factor's logarithm: two thirds lie within 0.67 and 1.5; our estimate.
   */
  static final double PRIOR_LOG = 0.4;

  private static final double NORMAL_95 = 1.96;
  private static final int MOST_READINGS = 60;
  private static final double LEAST = 0.1;
  private static final double MOST = 10;

  private Cooling() {}

  /**
   * How a step really cools.
   *
   * @param fromMinute of the step: when the first temperature was read
   * @param fromC the temperature then, smoothed by the later ones
   * @param factor on the heat that the model lets it lose; 1 is as predicted
   * @param low of the factor's 95 % interval
   * @param high of the factor's 95 % interval
   * @param readings how many temperatures it rests on
   * @param errorC root mean square of what is left between readings and fit, °C
   */
  public record Fit(
      double fromMinute,
      double fromC,
      double factor,
      double low,
      double high,
      int readings,
      double errorC) {
    /** The same fit with another factor, for the ends of its interval. */
    public Fit with(double otherFactor) {
      return new Fit(fromMinute, fromC, otherFactor, low, high, readings, errorC);
    }
  }

  /**
   * The facts with the fit of every cooling step whose temperatures were read. Least squares over
   * the starting temperature and the logarithm of the factor, by the model itself; the factor's
   * prior counts as one more observation, so that one reading already moves the curve without
   * pretending to know its steepness.
   */
  public static Facts fitted(Brew brew, double scale, VesselChoice vessels, Facts facts) {
    Facts result = facts;
    List<Step> steps = brew.formula().steps();
    for (int i = 0; i < steps.size(); i++) {
      StepFacts known = facts.of(i);
      if (!known.temperatures().isEmpty() && steps.get(i).onlyCools()) {
        Fit fit = fit(brew, scale, vessels, result.before(i), i, known.temperatures());
        result = result.with(i, known.withCooling(fit));
      }
    }
    return result;
  }

  private static Fit fit(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts before,
      int index,
      List<StepFacts.Temperature> all) {
    List<StepFacts.Temperature> read = thinned(all);
    double from = read.get(0).minute();
    double last = read.get(read.size() - 1).minute();
    // Nothing that follows the step matters, and it must last as long as it was read.
    Brew untilThen =
        brew.with(brew.formula().withSteps(brew.formula().steps().subList(0, index + 1)));
    MultivariateJacobianFunction model =
        point -> {
          RealVector at = residualFree(untilThen, scale, vessels, before, index, read, last, point);
          RealMatrix slopes = new Array2DRowRealMatrix(read.size() + 1, 2);
          double[] shift = {0.05, 0.01};
          for (int p = 0; p < 2; p++) {
            RealVector moved = point.copy();
            moved.addToEntry(p, shift[p]);
            RealVector there =
                residualFree(untilThen, scale, vessels, before, index, read, last, moved);
            slopes.setColumnVector(p, there.subtract(at).mapDivide(shift[p]));
          }
          return new Pair<>(at, slopes);
        };
    double[] observed = new double[read.size() + 1];
    for (int i = 0; i < read.size(); i++) {
      observed[i] = read.get(i).celsius() / READING_ERROR_C;
    }
    LeastSquaresOptimizer.Optimum found =
        new LevenbergMarquardtOptimizer()
            .optimize(
                new LeastSquaresBuilder()
                    .start(new double[] {read.get(0).celsius(), 0})
                    .model(model)
                    .target(observed)
                    .lazyEvaluation(false)
                    .maxEvaluations(60)
                    .maxIterations(60)
                    .build());
    double squares = 0;
    for (int i = 0; i < read.size(); i++) {
      double left = found.getResiduals().getEntry(i) * READING_ERROR_C;
      squares += left * left;
    }
    int free = read.size() - 2;
    double spread = free > 0 ? Math.sqrt(squares / free) / READING_ERROR_C : 0;
    // Readings that scatter more than a thermometer does widen the interval; fewer never narrow it.
    double quantile =
        spread > 1
            ? spread * new TDistribution(free).inverseCumulativeProbability(0.975)
            : NORMAL_95;
    double error = quantile * Math.sqrt(found.getCovariances(1e-12).getEntry(1, 1));
    double log = found.getPoint().getEntry(1);
    return new Fit(
        from,
        found.getPoint().getEntry(0),
        bounded(log),
        bounded(log - error),
        bounded(log + error),
        read.size(),
        Math.sqrt(squares / read.size()));
  }

  /** A probe may write for hours; so many readings, evenly taken, say as much. */
  private static List<StepFacts.Temperature> thinned(List<StepFacts.Temperature> all) {
    if (all.size() <= MOST_READINGS) {
      return all;
    }
    List<StepFacts.Temperature> some = new ArrayList<>();
    for (int i = 0; i < MOST_READINGS; i++) {
      some.add(all.get((int) Math.round(i * (all.size() - 1.0) / (MOST_READINGS - 1))));
    }
    return some;
  }

  private static double bounded(double log) {
    return Math.max(LEAST, Math.min(MOST, Math.exp(log)));
  }

  /** What the model says at the minutes that were read, and the prior; in units of their errors. */
  private static RealVector residualFree(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts before,
      int index,
      List<StepFacts.Temperature> read,
      double lastMinute,
      RealVector point) {
    double factor = bounded(point.getEntry(1));
    Fit tried = new Fit(read.get(0).minute(), point.getEntry(0), factor, factor, factor, 0, 0);
    Facts facts = before.with(index, StepFacts.lasting(lastMinute + 1e-6).withCooling(tried));
    Prediction prediction = brew.predict(scale, vessels, facts);
    double began = prediction.steps().get(index).startMinute();
    RealVector values = new ArrayRealVector(read.size() + 1);
    for (int i = 0; i < read.size(); i++) {
      double at = began + read.get(i).minute();
      values.setEntry(
          i, (i == 0 ? point.getEntry(0) : celsiusAt(prediction, at)) / READING_ERROR_C);
    }
    values.setEntry(read.size(), point.getEntry(1) / PRIOR_LOG);
    return values;
  }

  /**
   * The temperature at a minute since the first step, between the moments of the trace around it;
   * after its end the last one.
   */
  public static double celsiusAt(Prediction prediction, double minute) {
    List<TracePoint> trace = prediction.trace();
    int low = 0;
    int high = trace.size() - 1;
    if (high < 0) {
      return Double.NaN;
    }
    while (low < high) {
      int middle = (low + high) / 2;
      if (trace.get(middle).minute() < minute) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    TracePoint b = trace.get(low);
    if (low == 0 || b.minute() <= minute) {
      return b.celsius();
    }
    TracePoint a = trace.get(low - 1);
    double share = (minute - a.minute()) / (b.minute() - a.minute());
    return a.celsius() + share * (b.celsius() - a.celsius());
  }

  /**
   * One way to cool from a moment on.
   *
   * @param way where
   * @param cover lid on
   * @param formula the batch's formula with this way taken
   * @param facts that go with it
   * @param prediction how the whole brew goes then
   * @param minutes from that moment until each landmark; one that is not reached is left out, one
   *     that was reached before is 0
   * @param toC the temperature that the step cools to, °C
   * @param toTarget minutes until the step's own temperature; empty when it is never reached
   */
  public record Choice(
      CoolingWay way,
      boolean cover,
      Formula formula,
      Facts facts,
      Prediction prediction,
      Map<Landmark, Double> minutes,
      double toC,
      OptionalDouble toTarget) {}

  /** The first cooling step from one on; empty when none is to come. */
  public static OptionalInt next(List<Step> steps, int from) {
    return IntStream.range(from, steps.size())
        .filter(i -> steps.get(i).kind() == StepKind.COOL)
        .findFirst();
  }

  /**
   * The ways to cool at a cooling step, as it is planned first.
   *
   * @param index of a {@link Cool} step
   * @param elapsed minutes that it has lasted; 0 before it begins
   * @throws IllegalArgumentException when the step is no cooling
   */
  public static List<Choice> choices(
      Brew brew, double scale, VesselChoice vessels, Facts facts, int index, double elapsed) {
    if (!(brew.formula().steps().get(index) instanceof Cool planned)) {
      throw new IllegalArgumentException("step " + index + " is no cooling");
    }
    List<Choice> choices = new ArrayList<>();
    choices.add(choice(brew, scale, vessels, facts, index, elapsed, planned));
    for (CoolingWay way : CoolingWay.values()) {
      for (boolean cover : new boolean[] {true, false}) {
        boolean same = way == planned.way() && cover == planned.cover();
        // A lid on a wide bowl undoes it; a fridge is closed anyway and wants the lid on.
        boolean sensible = cover ? way != CoolingWay.SHALLOW_BOWL : way != CoolingWay.FRIDGE;
        if (!same && sensible) {
          Cool other = new Cool(planned.toC(), way, cover, planned.guide());
          choices.add(choice(brew, scale, vessels, facts, index, elapsed, other));
        }
      }
    }
    return List.copyOf(choices);
  }

  private static Choice choice(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      int index,
      double elapsed,
      Cool taken) {
    boolean same = brew.formula().steps().get(index).equals(taken);
    Changed changed =
        same
            ? new Changed(brew.formula(), facts, index)
            : taken(brew, facts, index, elapsed, taken);
    Prediction p = brew.with(changed.formula()).predict(scale, vessels, changed.facts());
    StepOutcome outcome = p.steps().get(changed.step());
    double now = p.steps().get(index).startMinute() + elapsed;
    Map<Landmark, Double> minutes = new EnumMap<>(Landmark.class);
    for (Landmark landmark : Landmark.values()) {
      OptionalDouble reached = landmark.reachedIn(p);
      if (reached.isPresent()) {
        minutes.put(landmark, Math.max(0, reached.getAsDouble() - now));
      }
    }
    boolean there = outcome.endC() <= taken.toC() + 0.5;
    return new Choice(
        taken.way(),
        taken.cover(),
        changed.formula(),
        changed.facts(),
        p,
        minutes,
        taken.toC(),
        there ? OptionalDouble.of(Math.max(0, outcome.endMinute() - now)) : OptionalDouble.empty());
  }

  /**
   * A formula and its facts after a way was taken.
   *
   * @param step the index of the step that cools in the new way
   */
  public record Changed(Formula formula, Facts facts, int step) {}

  /**
   * Takes another way to cool: before the step has begun in its place, later as a step of its own
   * after what has passed.
   */
  public static Changed taken(Brew brew, Facts facts, int index, double elapsed, Cool way) {
    List<Step> steps = new ArrayList<>(brew.formula().steps());
    if (elapsed <= 0) {
      steps.set(index, way);
      return new Changed(brew.formula().withSteps(steps), facts, index);
    }
    steps.add(index + 1, way);
    Facts shifted = facts.shiftedFrom(index + 1).with(index, facts.of(index).withMinutes(elapsed));
    return new Changed(brew.formula().withSteps(steps), shifted, index + 1);
  }
}
