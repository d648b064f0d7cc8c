package dremsa.core.measure;

import java.util.Locale;

/**
 * Numbers in words, the same on every machine: always a point, never the machine's language. All
 * sentences with numbers in them are made here.
 */
public final class Said {
  private Said() {}

  /**
   * A sentence with its figures.
   *
   * @param format as {@link java.util.Formatter} takes it
   */
  public static String of(String format, Object... figures) {
    return String.format(Locale.ROOT, format, figures);
  }

  /** All that a number holds, whole numbers without a point: {@code "7"}, {@code "0.125"}. */
  public static String exactly(double value) {
    return isWhole(value) ? Long.toString((long) value) : Double.toString(value);
  }

  /** Rounded half up to tenths, whole numbers without a point: {@code "7"}, {@code "2.5"}. */
  public static String tenths(double value) {
    return exactly(Math.round(value * 10) / 10.0);
  }

  /**
   * Rounded to so many figures, whole numbers in full: {@code "12345"}, {@code "0.1235"} with four.
   */
  public static String figures(double value, int figures) {
    if (isWhole(value)) {
      return Long.toString((long) value);
    }
    String rounded = of("%." + figures + "g", value);
    return rounded.contains("e") ? rounded : rounded.replaceAll("\\.?0+$", "");
  }

  private static boolean isWhole(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e15;
  }
}
