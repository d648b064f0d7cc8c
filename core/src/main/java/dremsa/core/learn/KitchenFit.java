package dremsa.core.learn;

import dremsa.core.brew.Brew;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Calibrates a kitchen from what was measured in it: the figures of the model that make what came
 * out most likely, with what was believed before as prior (maximum a posteriori, by
 * Levenberg-Marquardt). A figure's low and high are read as two standard deviations of its
 * logarithm on either side.
 */
public final class KitchenFit {
  /** So far beside what is believable, in standard deviations, something was mistyped. */
  private static final double PLAINLY_WRONG = 4;

  /** A figure is told where no more of its uncertainty than this is left. */
  private static final double TOLD = 0.85;

  /** A batch says something of a figure that moves it by at least this over its range. */
  private static final double SAYS = 0.01;

  /** Two-sided 95 %. */
  private static final double Z95 = 1.959964;

  /** Knobs are moved by so many prior deviations for their slope. */
  private static final double STEP = 0.25;

  /** It has settled where no knob moves by more than this, in prior deviations. */
  private static final double NEAR = 0.005;

  /** Nor where the whole gets better by a smaller share than this: the model steps through time. */
  private static final double SETTLED = 1e-4;

  /** So many batches are looked at side by side before it is told how far it is. */
  private static final int AT_ONCE = 16;

  private static final int MOST_EVALUATIONS = 40;

  private final List<Weighed> batches;
  private final List<Knob> knobs;
  private final List<Figure> priors;
  private final IntConsumer progress;

  /** Of each batch the numbers of the knobs that it may say something of. */
  private final List<int[]> open = new ArrayList<>();

  /** What is done with a batch. */
  public enum Standing {
    /** It counts. */
    COUNTS,
    /** It is plainly wrong, and counts only once somebody says so. */
    ASKED,
    /** Somebody left it out. */
    LEFT_OUT
  }

  /**
   * One batch as it was foretold from those before it, and as it came out.
   *
   * @param real what was measured, mL
   * @param uncalibrated what the model foretold without having learned anything, mL
   * @param low 95 % likely above this, mL
   * @param predicted from the batches before it, mL
   * @param high 95 % likely below this, mL
   */
  public record Foretold(
      String batch,
      double real,
      double uncalibrated,
      double low,
      double predicted,
      double high,
      Standing standing) {
    /** By how much it came out otherwise than foretold, share. */
    double off() {
      return Math.abs(real / predicted - 1);
    }

    double offUncalibrated() {
      return Math.abs(real / uncalibrated - 1);
    }
  }

  /**
   * What came of it.
   *
   * @param figures all that the batches could say something of
   * @param batches in their order
   */
  public record Result(List<Taught> figures, List<Foretold> batches) {
    public Result {
      figures = List.copyOf(figures);
      batches = List.copyOf(batches);
    }
  }

  /** One measured amount, as a line in the knobs: all logarithms, knobs in prior deviations. */
  private record Line(
      int batch, Weighed.Observed of, double measured, double predicted, double[] slopes) {}

  private KitchenFit(
      List<Weighed> batches, Kitchen kitchen, Materials materials, IntConsumer progress) {
    this.batches = batches;
    this.progress = progress;
    Map<String, Integer> places = new LinkedHashMap<>();
    List<Knob> found = new ArrayList<>();
    List<Figure> believed = new ArrayList<>();
    for (Weighed batch : batches) {
      List<Integer> mine = new ArrayList<>();
      for (Knob knob : Knob.of(batch)) {
        Integer place = places.get(knob.key());
        if (place == null) {
          Figure figure = knob.figure(kitchen, materials).filter(Knob::open).orElse(null);
          if (figure == null) {
            continue;
          }
          place = found.size();
          places.put(knob.key(), place);
          found.add(knob);
          believed.add(figure);
        }
        mine.add(place);
      }
      open.add(mine.stream().mapToInt(Integer::intValue).toArray());
    }
    knobs = found;
    priors = believed;
  }

  /**
   * Calibrates.
   *
   * @param batches the oldest first; those that tell nothing are passed over
   * @param kitchen as it is believed to be without having learned
   * @param materials as they are believed to be without having learned
   * @param counted ids of batches that count although they look wrong
   * @param leftOut ids of batches that do not count
   * @param progress hears now and then, in the thread that asks, how many batches were looked at
   */
  public static Result of(
      List<Weighed> batches,
      Kitchen kitchen,
      Materials materials,
      Set<String> counted,
      Set<String> leftOut,
      IntConsumer progress) {
    List<Weighed> telling = batches.stream().filter(Weighed::tells).toList();
    return new KitchenFit(telling, kitchen, materials, progress).result(counted, leftOut);
  }

  private Result result(Set<String> counted, Set<String> leftOut) {
    List<Line> lines = lines(new ArrayRealVector(knobs.size()), true);
    List<Foretold> foretold = new ArrayList<>();
    List<Line> counting = new ArrayList<>();
    Belief belief = new Belief(knobs.size());
    for (int batch = 0; batch < batches.size(); batch++) {
      int number = batch;
      Weighed weighed = batches.get(batch);
      List<Line> mine = lines.stream().filter(line -> line.batch == number).toList();
      Standing standing =
          leftOut.contains(weighed.batch())
              ? Standing.LEFT_OUT
              : wrong(mine) && !counted.contains(weighed.batch())
                  ? Standing.ASKED
                  : Standing.COUNTS;
      foretold.add(foretold(weighed, came(mine), belief, standing));
      if (standing == Standing.COUNTS) {
        mine.forEach(belief::learn);
        counting.addAll(mine);
      }
    }
    return new Result(counting.isEmpty() ? List.of() : figures(counting, belief), foretold);
  }

  /** The line of what a batch came to. */
  private static Line came(List<Line> lines) {
    return lines.stream()
        .filter(line -> line.of.kind() == Weighed.Kind.AMOUNT)
        .reduce((before, last) -> last)
        .orElseThrow();
  }

  /** Nothing that is believable of the kitchen explains it. */
  private static boolean wrong(List<Line> lines) {
    return lines.stream()
        .anyMatch(
            line -> {
              double variance = line.of.error() * line.of.error();
              for (double slope : line.slopes) {
                variance += slope * slope;
              }
              return !(Math.abs(line.measured - line.predicted)
                  <= PLAINLY_WRONG * Math.sqrt(variance));
            });
  }

  private static Foretold foretold(Weighed batch, Line line, Belief belief, Standing standing) {
    double middle = line.predicted + belief.mean(line.slopes);
    double error = line.of.error();
    double spread = Z95 * Math.sqrt(belief.variance(line.slopes) + error * error);
    return new Foretold(
        batch.batch(),
        line.of.value(),
        Math.exp(line.predicted),
        Math.exp(middle - spread),
        Math.exp(middle),
        Math.exp(middle + spread),
        standing);
  }

  /** What is believed of the knobs, learned line by line; right for lines that are straight. */
  private static final class Belief {
    private final double[] mean;
    private final double[][] covariance;

    Belief(int knobs) {
      mean = new double[knobs];
      covariance = new double[knobs][knobs];
      for (int i = 0; i < knobs; i++) {
        covariance[i][i] = 1;
      }
    }

    double mean(double[] slopes) {
      double sum = 0;
      for (int i = 0; i < slopes.length; i++) {
        sum += slopes[i] * mean[i];
      }
      return sum;
    }

    double variance(double[] slopes) {
      double[] gain = times(slopes);
      double sum = 0;
      for (int i = 0; i < slopes.length; i++) {
        sum += slopes[i] * gain[i];
      }
      return Math.max(0, sum);
    }

    private double[] times(double[] slopes) {
      double[] gain = new double[slopes.length];
      for (int i = 0; i < slopes.length; i++) {
        if (slopes[i] != 0) {
          for (int j = 0; j < gain.length; j++) {
            gain[j] += covariance[j][i] * slopes[i];
          }
        }
      }
      return gain;
    }

    void learn(Line line) {
      double error = line.of.error();
      double[] gain = times(line.slopes);
      double variance = variance(line.slopes) + error * error;
      double off = line.measured - line.predicted - mean(line.slopes);
      for (int i = 0; i < mean.length; i++) {
        mean[i] += gain[i] * off / variance;
        for (int j = 0; j < mean.length; j++) {
          covariance[i][j] -= gain[i] * gain[j] / variance;
        }
      }
    }
  }

  /** Each measured amount as the model tells it at some values of the knobs, with its slopes. */
  private List<Line> lines(RealVector at, boolean tells) {
    List<Line> all = new ArrayList<>();
    for (int from = 0; from < batches.size(); from += AT_ONCE) {
      int to = Math.min(batches.size(), from + AT_ONCE);
      IntStream.range(from, to)
          .parallel()
          .mapToObj(batch -> lines(batch, at))
          .toList()
          .forEach(all::addAll);
      if (tells) {
        // Told by whoever asked, and by no helper: they may hold what is needed to hear it.
        progress.accept(to);
      }
    }
    return all;
  }

  private List<Line> lines(int batch, RealVector at) {
    Weighed weighed = batches.get(batch);
    Brew middle = figured(weighed.brew(), batch, at);
    List<Line> lines = new ArrayList<>();
    for (Weighed.Observed observed : weighed.observed()) {
      double predicted = log(weighed.predicted(middle, observed));
      double[] slopes = new double[knobs.size()];
      for (int knob : open.get(batch)) {
        Brew moved = knobs.get(knob).with(middle, figure(knob, at.getEntry(knob) + STEP));
        slopes[knob] = (log(weighed.predicted(moved, observed)) - predicted) / STEP;
      }
      lines.add(new Line(batch, observed, Math.log(observed.value()), predicted, slopes));
    }
    return lines;
  }

  /** Nothing left counts as a drop, so that a brew which boils dry has a logarithm. */
  private static double log(double millilitres) {
    return Math.log(Math.max(0.05, millilitres));
  }

  private Brew figured(Brew brew, int batch, RealVector at) {
    Brew figured = brew;
    for (int knob : open.get(batch)) {
      figured = knobs.get(knob).with(figured, figure(knob, at.getEntry(knob)));
    }
    return figured;
  }

  /** A knob so many prior standard deviations from what was believed. */
  private Figure figure(int knob, double deviations) {
    Figure prior = priors.get(knob);
    return prior.withValue(
        prior.value() * Math.exp(deviation(prior) * deviations), Provenance.CALIBRATED);
  }

  /** Of the logarithm of a figure, from its ends. */
  private static double deviation(Figure figure) {
    return (Math.log(figure.high()) - Math.log(figure.low())) / 4;
  }

  private List<Taught> figures(List<Line> counting, Belief belief) {
    Set<Integer> counted = Set.copyOf(counting.stream().map(Line::batch).toList());
    Settled settled = settled(counted, belief);
    List<Taught> all = new ArrayList<>();
    for (int knob = 0; knob < knobs.size(); knob++) {
      int number = knob;
      List<String> said =
          counting.stream()
              .filter(line -> Math.abs(line.slopes[number]) > SAYS)
              .map(line -> batches.get(line.batch).batch())
              .distinct()
              .toList();
      if (said.isEmpty()) {
        continue;
      }
      double left = Math.sqrt(settled.covariance.getEntry(knob, knob));
      Figure prior = priors.get(knob);
      double value = figure(knob, settled.point.getEntry(knob)).value();
      double half = Math.exp(Z95 * left * deviation(prior));
      all.add(
          new Taught(
              knobs.get(knob),
              prior,
              new Figure(
                  value,
                  value / half,
                  value * half,
                  prior.unit(),
                  Provenance.CALIBRATED,
                  Said.of(
                      "learned in your kitchen from %d %s",
                      said.size(), said.size() == 1 ? "batch" : "batches")),
              left < TOLD,
              said));
    }
    return all;
  }

  /** The most likely knobs, and how far each may be off with the others. */
  private record Settled(RealVector point, RealMatrix covariance) {}

  /** What was measured weighs by its error, what was believed by one. */
  private Settled settled(Set<Integer> counted, Belief belief) {
    RealVector start = new ArrayRealVector(belief.mean);
    int measured = batches.stream().mapToInt(batch -> batch.observed().size()).sum();
    try {
      LeastSquaresOptimizer.Optimum optimum =
          new LevenbergMarquardtOptimizer()
              .withCostRelativeTolerance(SETTLED)
              .withParameterRelativeTolerance(SETTLED)
              .optimize(
                  new LeastSquaresBuilder()
                      .start(start)
                      .target(new double[measured + knobs.size()])
                      .model(at -> residuals(lines(at, false), counted, at))
                      .checkerPair((n, before, now) -> near(before.getPoint(), now.getPoint()))
                      .maxEvaluations(MOST_EVALUATIONS)
                      .maxIterations(MOST_EVALUATIONS)
                      .lazyEvaluation(false)
                      .build());
      return new Settled(optimum.getPoint(), optimum.getCovariances(1e-12));
    } catch (MathIllegalStateException e) {
      // It does not come to rest: straight lines from what was believed are near enough.
      return new Settled(start, MatrixUtils.createRealMatrix(belief.covariance));
    }
  }

  private static boolean near(double[] before, double[] now) {
    return new ArrayRealVector(before).getLInfDistance(new ArrayRealVector(now)) < NEAR;
  }

  private Pair<RealVector, RealMatrix> residuals(
      List<Line> lines, Set<Integer> counted, RealVector at) {
    int rows = lines.size() + knobs.size();
    RealVector values = new ArrayRealVector(rows);
    RealMatrix slopes = MatrixUtils.createRealMatrix(rows, knobs.size());
    for (int row = 0; row < lines.size(); row++) {
      Line line = lines.get(row);
      if (counted.contains(line.batch)) {
        double error = line.of.error();
        values.setEntry(row, (line.predicted - line.measured) / error);
        for (int knob = 0; knob < knobs.size(); knob++) {
          slopes.setEntry(row, knob, line.slopes[knob] / error);
        }
      }
    }
    for (int knob = 0; knob < knobs.size(); knob++) {
      values.setEntry(lines.size() + knob, at.getEntry(knob));
      slopes.setEntry(lines.size() + knob, knob, 1);
    }
    return new Pair<>(values, slopes);
  }
}
