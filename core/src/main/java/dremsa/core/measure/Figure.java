package dremsa.core.measure;

import java.util.Objects;

/**
 * A number with its unit, its believable range and where it comes from.
 *
 * @param value the value used, within {@code low..high}
 * @param low the lowest believable value
 * @param high the highest believable value
 * @param unit the unit as written, e.g. {@code "g/mL"}; empty for a plain ratio
 * @param provenance what kind of knowledge it is
 * @param source the published work, or an empty string where there is none
 */
public record Figure(
    double value, double low, double high, String unit, Provenance provenance, String source) {

  /**
   * Checks the range.
   *
   * @throws IllegalArgumentException when a number is not finite or the value lies outside its
   *     range
   */
  public Figure {
    Objects.requireNonNull(unit, "unit");
    Objects.requireNonNull(provenance, "provenance");
    Objects.requireNonNull(source, "source");
    if (!Double.isFinite(value) || !(low <= value && value <= high)) {
      throw new IllegalArgumentException(
          "value " + value + " must be a number within " + low + ".." + high);
    }
  }

  /** A figure of our own estimate. */
  public static Figure estimate(double value, double low, double high, String unit) {
    return new Figure(value, low, high, unit, Provenance.ESTIMATE, "");
  }

  /** A published figure; {@code source} must name the work. */
  public static Figure published(
      double value, double low, double high, String unit, String source) {
    return new Figure(value, low, high, unit, Provenance.PUBLISHED, source);
  }

  /** A published figure recalled from memory. */
  public static Figure fromMemory(
      double value, double low, double high, String unit, String source) {
    return new Figure(value, low, high, unit, Provenance.FROM_MEMORY, source);
  }

  /** A fact of the trade. */
  public static Figure commonPractice(double value, double low, double high, String unit) {
    return new Figure(value, low, high, unit, Provenance.COMMON_PRACTICE, "");
  }

  /**
   * The same figure with a value of this kitchen or household.
   *
   * @param newValue widens the range when it lies outside
   * @param by {@link Provenance#CALIBRATED} or {@link Provenance#HOUSEHOLD}
   */
  public Figure withValue(double newValue, Provenance by) {
    return new Figure(
        newValue, Math.min(low, newValue), Math.max(high, newValue), unit, by, source);
  }
}
