package dremsa.core.learn;

import dremsa.core.measure.Said;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How far two groups of judgements differ: the difference of their means with its 95 % interval,
 * their scatters taken as different (Welch). Judgements on a scale of a few steps are no normal
 * numbers: the interval is a help to honesty, not a proof, and with fewer than {@value #FEWEST} on
 * a side nothing is told.
 *
 * @param before the one
 * @param after the other
 * @param difference after minus before; NaN where one of them is empty
 * @param low the lower end of its interval; empty while it cannot be told
 * @param high the upper end
 * @param more how many more on each side would tell a difference of this size, at most {@value
 *     #MOST_MORE}; empty where it is told already, or where there is nothing to go by
 */
public record Shift(
    Mean before,
    Mean after,
    double difference,
    OptionalDouble low,
    OptionalDouble high,
    OptionalInt more) {
  /** With fewer on a side scatter is not known. */
  static final int FEWEST = 3;

  static final int MOST_MORE = 60;

  /** Steps of a scale are not told finer; where all judge alike they may be off by so much. */
  private static final double LEAST_VARIANCE = 1 / 12.0;

  /**
   * Of two groups.
   *
   * @param step the least difference that the scale can show, 1 for ratings
   */
  public static Shift of(List<Double> before, List<Double> after, double step) {
    Mean one = Mean.of(before);
    Mean other = Mean.of(after);
    double difference = other.value() - one.value();
    if (one.n() < FEWEST || other.n() < FEWEST) {
      int missing = FEWEST - Math.min(one.n(), other.n());
      return new Shift(
          one,
          other,
          difference,
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalInt.of(missing));
    }
    double least = LEAST_VARIANCE * step * step;
    double vBefore = Math.max(least, Mean.variance(before));
    double vAfter = Math.max(least, Mean.variance(after));
    double half = half(vBefore, one.n(), vAfter, other.n());
    OptionalInt more =
        Math.abs(difference) > half
            ? OptionalInt.empty()
            : more(difference, vBefore, vAfter, one.n(), other.n());
    return new Shift(
        one,
        other,
        difference,
        OptionalDouble.of(difference - half),
        OptionalDouble.of(difference + half),
        more);
  }

  /** Half the width of the interval of a difference. */
  static double half(double vBefore, int nBefore, double vAfter, int nAfter) {
    double a = vBefore / nBefore;
    double b = vAfter / nAfter;
    double freedom = (a + b) * (a + b) / (a * a / (nBefore - 1) + b * b / (nAfter - 1));
    return new TDistribution(freedom).inverseCumulativeProbability(Mean.SURE) * Math.sqrt(a + b);
  }

  private static OptionalInt more(double difference, double vBefore, double vAfter, int n, int m) {
    for (int more = 1; more <= MOST_MORE; more++) {
      if (half(vBefore, n + more, vAfter, m + more) < Math.abs(difference)) {
        return OptionalInt.of(more);
      }
    }
    return OptionalInt.empty();
  }

  /** Whether chance alone hardly makes such a difference. */
  public boolean settled() {
    return low.isPresent() && (low.getAsDouble() > 0 || high.getAsDouble() < 0);
  }

  /**
   * In a sentence.
   *
   * @param of what was judged
   * @param one where the one was: {@code "before it"}, {@code "with version 1"}
   * @param other where the other was
   */
  public String words(Criterion of, String one, String other) {
    if (before.n() == 0 || after.n() == 0) {
      return Said.of("%s: no judgement yet %s.", of.words(), before.n() == 0 ? one : other);
    }
    String means =
        Said.of(
            "%s: %.1f %s (%d), %.1f %s (%d)",
            of.words(), before.value(), one, before.n(), after.value(), other, after.n());
    if (low.isEmpty()) {
      return Said.of("%s: too few to tell, at least %d of each.", means, FEWEST);
    }
    String range = Said.of("the difference is %.1f to %.1f", low.getAsDouble(), high.getAsDouble());
    if (settled()) {
      boolean better = difference > 0 != of.lessIsBetter();
      return Said.of("%s: %s; it was better %s.", means, range, better ? other : one);
    }
    return more.isPresent()
        ? Said.of(
            "%s: %s, which may be chance. About %d more of each would tell a difference like this.",
            means, range, more.getAsInt())
        : Said.of("%s: %s, which is no difference worth telling.", means, range);
  }
}
