package dremsa.core.kitchen;

import dremsa.core.measure.Figure;

/**
 * A cooking place. Powers are net into the pot, in watts, calibrated by timing a litre to the boil.
 *
 * @param id stable within its kitchen
 * @param name as the household calls it
 * @param low net power at its low setting
 * @param medium at its medium setting
 * @param high at its highest setting
 */
public record Hob(String id, String name, Figure low, Figure medium, Figure high) {
  /** The usual hob of a home. */
  public static Hob usual(String id, String name) {
    return new Hob(
        id,
        name,
        Figure.estimate(250, 150, 350, "W"),
        Figure.estimate(700, 500, 900, "W"),
        Figure.estimate(1300, 900, 1800, "W"));
  }

  /** Settings of a hob. */
  public enum Setting {
    LOW,
    MEDIUM,
    HIGH
  }

  /** Net power at a setting, W. */
  public double watts(Setting setting) {
    return switch (setting) {
      case LOW -> low.value();
      case MEDIUM -> medium.value();
      case HIGH -> high.value();
    };
  }
}
