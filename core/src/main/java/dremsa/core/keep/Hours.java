package dremsa.core.keep;

/** Hours in a maker's words. */
public final class Hours {
  private Hours() {}

  /**
   * {@code "20 min"}, {@code "3 h"}, {@code "2.5 days"}, {@code "7 days"}; two figures are enough.
   */
  public static String words(double hours) {
    if (hours < 1) {
      return Math.round(hours * 60) + " min";
    }
    if (hours < 48) {
      return trim(hours) + " h";
    }
    return trim(hours / 24) + " days";
  }

  private static String trim(double value) {
    double rounded = value < 10 ? Math.round(value * 10) / 10.0 : Math.round(value);
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
