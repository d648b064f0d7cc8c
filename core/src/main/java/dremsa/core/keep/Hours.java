package dremsa.core.keep;

import dremsa.core.measure.Said;
import java.time.Duration;
import java.time.Instant;

/** Hours between moments, and in a maker's words. */
public final class Hours {
  private static final double MILLIS = 3_600_000;

  private Hours() {}

  /** Hours from one moment to another, to the millisecond; negative when it lies before. */
  public static double between(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / MILLIS;
  }

  /** So many hours after a moment, rounded to the millisecond; before it for a negative number. */
  public static Instant after(Instant from, double hours) {
    return from.plusMillis(Math.round(hours * MILLIS));
  }

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
