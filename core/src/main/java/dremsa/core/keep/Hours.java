package dremsa.core.keep;

import dremsa.core.measure.Said;

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
      return rounded(hours) + " h";
    }
    return rounded(hours / 24) + " days";
  }

  private static String rounded(double value) {
    return value < 10 ? Said.tenths(value) : Long.toString(Math.round(value));
  }
}
