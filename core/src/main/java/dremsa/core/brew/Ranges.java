package dremsa.core.brew;

import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * How far results may be off: every figure that can matter is moved alone to its low and its high;
 * the shifts are combined by root sum of squares, upward and downward apart. Independent errors are
 * assumed. What cannot be negative is combined in its logarithm, what is a percentage is held
 * within 0 and 100, so that no end is one that cannot be.
 */
public final class Ranges {
  /** What a result may be. */
  public enum Kind {
    /** Never below 0: amounts, minutes, thickness. */
    POSITIVE,
    /** 0 to 100. */
    PERCENT,
    /** Anything. */
    PLAIN
  }

  /**
   * A result of which the range is asked.
   *
   * @param name of the result
   * @param kind what it may be
   * @param of the number; NaN where there is none, which then counts as unmoved
   * @param <T> what it is taken from
   */
  public record Result<T>(String name, Kind kind, ToDoubleFunction<T> of) {}

  /**
   * A value with its believable range.
   *
   * @param low at or below the value
   * @param value predicted
   * @param high at or above the value
   */
  public record Range(double low, double value, double high) {
    /** Exactly known. */
    public static Range of(double value) {
      return new Range(value, value, value);
    }
  }

  /**
   * What one uncertain figure does to a result.
   *
   * @param what the parameter, or the material's figure
   * @param figure with its range and source
   * @param result name of the result
   * @param atLow the result when the figure is at its low
   * @param atHigh the result when the figure is at its high
   */
  public record Influence(String what, Figure figure, String result, double atLow, double atHigh) {
    /** How far the result moves over the figure's range. */
    public double span() {
      return Math.abs(atHigh - atLow);
    }
  }

  /**
   * A figure at its two ends, and what comes of it.
   *
   * @param what the figure, in words
   * @param low what comes of its low end
   * @param high what comes of its high end
   */
  public record Moved<T>(String what, Figure figure, T low, T high) {}

  /**
   * Ranges with what makes them.
   *
   * @param ranges a range for each result that is a number, in the given order
   * @param influences for each result what moves it, the most first; what does not move it is left
   *     out
   */
  public record Study(Map<String, Range> ranges, List<Influence> influences) {}

  private Ranges() {}

  /** The middle of the runs that {@link #moved} makes. */
  public static Prediction coarse(Brew brew, double scale, VesselChoice vessels, Facts facts) {
    return brew.coarse().predict(scale, vessels, facts);
  }

  /**
   * Runs a brew with every figure that can matter at its ends, one at a time.
   *
   * @param seen what is kept of a run
   */
  public static <T> List<Moved<T>> moved(
      Brew brew, double scale, VesselChoice vessels, Facts facts, Function<Prediction, T> seen) {
    List<Moved<T>> all = new ArrayList<>();
    for (Moves.Move move : Moves.of(brew, scale, facts)) {
      all.add(
          new Moved<>(
              move.what(),
              move.figure(),
              seen.apply(move.at(move.figure().low(), scale, vessels)),
              seen.apply(move.at(move.figure().high(), scale, vessels))));
    }
    return all;
  }

  /**
   * Combines the shifts.
   *
   * @param middle what is told
   * @param around the middle of the runs that were moved; coarser ones shift alike
   */
  public static <T> Study study(T middle, T around, List<Moved<T>> moved, List<Result<T>> results) {
    Map<String, Range> ranges = new LinkedHashMap<>();
    List<Influence> influences = new ArrayList<>();
    for (Result<T> result : results) {
      double value = result.of().applyAsDouble(middle);
      double from = result.of().applyAsDouble(around);
      if (!Double.isFinite(value) || !Double.isFinite(from)) {
        continue;
      }
      boolean logarithmic = result.kind() == Kind.POSITIVE && value > 0 && from > 0;
      double up = 0;
      double down = 0;
      List<Influence> own = new ArrayList<>();
      for (Moved<T> pair : moved) {
        double a = shift(result.of().applyAsDouble(pair.low()), from, logarithmic);
        double b = shift(result.of().applyAsDouble(pair.high()), from, logarithmic);
        double rise = Math.max(0, Math.max(a, b));
        double fall = Math.min(0, Math.min(a, b));
        up += rise * rise;
        down += fall * fall;
        if (a != b) {
          own.add(
              new Influence(
                  pair.what(),
                  pair.figure(),
                  result.name(),
                  end(value, a, logarithmic, result.kind()),
                  end(value, b, logarithmic, result.kind())));
        }
      }
      ranges.put(
          result.name(),
          new Range(
              end(value, -Math.sqrt(down), logarithmic, result.kind()),
              value,
              end(value, Math.sqrt(up), logarithmic, result.kind())));
      own.sort(Comparator.comparingDouble(Influence::span).reversed());
      influences.addAll(own);
    }
    return new Study(ranges, influences);
  }

  private static double shift(double at, double from, boolean logarithmic) {
    if (!Double.isFinite(at)) {
      return 0;
    }
    // Nothing left of it: as far down as a millionth, so that the end is nothing as well.
    return logarithmic ? Math.log(Math.max(at, from * 1e-6) / from) : at - from;
  }

  private static double end(double value, double shift, boolean logarithmic, Kind kind) {
    if (logarithmic) {
      double end = value * Math.exp(shift);
      return end < value * 1e-5 ? 0 : end;
    }
    double end = value + shift;
    return switch (kind) {
      case PLAIN -> end;
      case POSITIVE -> Math.max(0, end);
      case PERCENT -> Math.min(Math.max(end, Math.min(0, value)), Math.max(100, value));
    };
  }
}
