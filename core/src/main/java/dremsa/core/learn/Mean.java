package dremsa.core.learn;

import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.moment.Variance;

/**
 * A mean with its interval, by Student's t.
 *
 * @param n how many it is of
 * @param value the mean; NaN of none
 * @param low the lower end of its 95 % interval; empty of fewer than two
 * @param high the upper end
 */
public record Mean(int n, double value, OptionalDouble low, OptionalDouble high) {
  static final double SURE = 0.975;

  /** Of some numbers, each as good as another. */
  public static Mean of(List<Double> values) {
    int n = values.size();
    double mean = values.stream().mapToDouble(Double::doubleValue).average().orElse(Double.NaN);
    if (n < 2) {
      return new Mean(n, mean, OptionalDouble.empty(), OptionalDouble.empty());
    }
    double half =
        new TDistribution(n - 1).inverseCumulativeProbability(SURE)
            * Math.sqrt(variance(values) / n);
    return new Mean(n, mean, OptionalDouble.of(mean - half), OptionalDouble.of(mean + half));
  }

  static double variance(List<Double> values) {
    return new Variance().evaluate(values.stream().mapToDouble(Double::doubleValue).toArray());
  }
}
