package dremsa.core.brew;

import dremsa.core.acid.Sourness;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.measure.Figure;

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

  /** Of starch water that has not begun to sour; our estimate. */
  private static final double FRESH_PH = 6.5;

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
   * Estimated pH of starch water, replaced by a reading as soon as there is one; our estimate.
   *
   * @param hours at 22 °C
   * @param timeConstant hours
   * @param end the pH at which it comes to rest
   */
  public static double ph(double hours, double timeConstant, double end) {
    return end + (FRESH_PH - end) * Math.exp(-hours / timeConstant);
  }

  /** The same in a kitchen, with its range: a slow ferment at its high end. */
  public static Sourness.Ph ph(double hours, Kitchen kitchen) {
    Figure time = kitchen.parameters().figure(Parameter.FERMENT_TIME);
    Figure end = kitchen.parameters().figure(Parameter.FERMENT_END);
    return new Sourness.Ph(
        ph(hours, time.low(), end.low()),
        ph(hours, time.value(), end.value()),
        ph(hours, time.high(), end.high()),
        false);
  }
}
