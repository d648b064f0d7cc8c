package dremsa.core.measure;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
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

  /**
   * A length of time as it is said: {@code "40 s"}, {@code "12 min"}, {@code "2 h 30 min"}, {@code
   * "3 days"}. Rounded to seconds below 2 min, to minutes below 12 h, to quarters of an hour below
   * 48 h, to half days above.
   *
   * @param minutes 0 or more
   */
  public static String duration(double minutes) {
    if (minutes < 2) {
      return of("%.0f s", minutes * 60);
    } else if (minutes < 90) {
      return of("%.0f min", minutes);
    } else if (minutes < 48 * 60) {
      long rounded = minutes < 12 * 60 ? Math.round(minutes) : Math.round(minutes / 15) * 15;
      return rounded % 60 == 0
          ? rounded / 60 + " h"
          : of("%d h %d min", rounded / 60, rounded % 60);
    }
    return exactly(Math.round(minutes / 60 / 24 * 2) / 2.0) + " days";
  }

  /** A day with its year, for any year: {@code "Thu 26 Nov 2026"}. */
  public static String day(LocalDate day) {
    return DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.UK).format(day);
  }

  /** Several in a row: {@code "sage, thyme and birch"}; empty for none. */
  public static String and(List<String> several) {
    int last = several.size() - 1;
    return last < 1
        ? String.join("", several)
        : String.join(", ", several.subList(0, last)) + " and " + several.get(last);
  }

  private static boolean isWhole(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e15;
  }
}
