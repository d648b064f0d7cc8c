package dremsa.core.brew;

/**
 * How starch water sours: hours as at 22 °C, by the square-root relation of Ratkowsky et al. 1982
 * with its zero at 5 °C (from memory); none below 5 °C, falling from 35 °C to none at 45 °C.
 */
public final class Souring {
  /**
   * From this on it is a mild ferment, a full one, a strong one; hours at 22 °C, common practice.
   */
  public static final double MILD_H = 24;

  public static final double FULL_H = 48;
  public static final double STRONG_H = 120;

  private static final double COLD_C = 5;
  private static final double WARM_C = 35;
  private static final double DEAD_C = 45;
  private static final double SPAN = 17;

  private Souring() {}

  /** Hours at 22 °C that one hour at this temperature is worth. */
  public static double hoursAt22(double celsius) {
    if (celsius <= COLD_C || celsius >= DEAD_C) {
      return 0;
    }
    double root = (Math.min(celsius, WARM_C) - COLD_C) / SPAN;
    double warmth = root * root;
    return celsius <= WARM_C ? warmth : warmth * (DEAD_C - celsius) / (DEAD_C - WARM_C);
  }

  /**
   * Estimated pH, replaced by a reading as soon as there is one; our estimate.
   *
   * @param hours at 22 °C
   * @param timeConstant hours
   */
  public static double ph(double hours, double timeConstant) {
    return 4.0 + 2.5 * Math.exp(-hours / timeConstant);
  }
}
