package dremsa.core.formula;

/**
 * How long a step takes: early before {@code shortest}, right from there to {@code longest}, late
 * after. All in minutes; {@code usual} is what a plan uses.
 */
public record Window(double shortest, double usual, double longest) {
  /** The longest that any step may take: a year. */
  public static final double MOST_MINUTES = 366.0 * 24 * 60;

  public Window {
    if (!(shortest >= 0 && shortest <= usual && usual <= longest && longest <= MOST_MINUTES)) {
      throw new IllegalArgumentException(
          "a window is 0 ≤ short ≤ usual ≤ long ≤ a year, not "
              + shortest
              + ", "
              + usual
              + ", "
              + longest
              + " min");
    }
  }

  public static Window minutes(double shortest, double usual, double longest) {
    return new Window(shortest, usual, longest);
  }

  public static Window hours(double shortest, double usual, double longest) {
    return new Window(shortest * 60, usual * 60, longest * 60);
  }

  public static Window days(double shortest, double usual, double longest) {
    return hours(shortest * 24, usual * 24, longest * 24);
  }

  /** Where so many minutes fall. */
  public Timing judge(double minutes) {
    if (minutes < shortest) {
      return Timing.EARLY;
    }
    return minutes <= longest ? Timing.RIGHT : Timing.LATE;
  }

  /** Early, right or late. */
  public enum Timing {
    EARLY,
    RIGHT,
    LATE
  }
}
