package dremsa.core.keep;

/**
 * How fast the life of a perishable brew is spent, against 5 °C.
 *
 * <p>Square-root model of Ratkowsky et al. 1982 with the relative rate (1 + 0.1 T)² used for
 * chilled fish in FAO Fisheries Technical Paper 348 (from memory), valid to about 15 °C; our
 * cautious extension above.
 */
public final class Spoilage {
  /** Above this nothing grows, °C. */
  public static final double HOT_HOLDING_C = 57;

  /** From here down it is surely frozen through, °C; a fridge at freezing point is not. */
  static final double FROZEN_C = -5;

  private static final double FAST_C = 40;
  private static final double SLOWING_C = 50;

  private Spoilage() {}

  /**
   * Hours of life at 5 °C that one hour costs.
   *
   * @param celsius of the brew
   * @return 0 when frozen through or at 57 °C and above; never below 1 between; a colder fridge
   *     earns nothing extra
   */
  public static double rate(double celsius) {
    return celsius <= FROZEN_C ? 0 : above(celsius);
  }

  /**
   * The even temperature that costs as much as a rate, from 5 to 40 °C: the inverse of {@link
   * #rate}.
   *
   * @param rate 1 or more; less counts as 1
   */
  static double celsiusOf(double rate) {
    return Math.min(FAST_C, (Math.sqrt(Math.max(1, rate) * 2.25) - 1) / 0.1);
  }

  private static double above(double celsius) {
    if (celsius >= HOT_HOLDING_C) {
      return 0;
    }
    if (celsius <= FAST_C) {
      double root = 1 + 0.1 * celsius;
      return Math.max(1, root * root / 2.25);
    }
    double fast = 25 / 2.25;
    return celsius <= SLOWING_C
        ? fast
        : fast * (HOT_HOLDING_C - celsius) / (HOT_HOLDING_C - SLOWING_C);
  }
}
