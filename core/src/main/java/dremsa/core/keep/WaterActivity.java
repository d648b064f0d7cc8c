package dremsa.core.keep;

import dremsa.core.brew.Contents;

/**
 * How free the water in a brew is, against pure water: Norrish's equation for glycerin, {@code aw =
 * x_w exp(−K x_g²)} with mole fractions (Norrish, J. Food Technol. 1 (1966) 25; K 1.16 for
 * glycerol, from memory). Alcohol and sugar bind water too and are not counted.
 */
public final class WaterActivity {
  /** Below this nothing that makes ill grows: 21 CFR 114.3. */
  public static final double NOTHING_GROWS = 0.85;

  private static final double GLYCERIN_MOLAR = 92.09;
  private static final double WATER_MOLAR = 18.015;

  private static final double K = 1.16;

  /** On the side of caution, for glycerin that has drawn water from the air; our estimate. */
  private static final double K_CAREFUL = 0.9;

  private WaterActivity() {}

  /** By Norrish's equation, 0 to 1; 1 without glycerin. */
  public static double of(Contents brew) {
    return of(brew, K);
  }

  /** The highest that is believable. */
  static double atMost(Contents brew) {
    return of(brew, K_CAREFUL);
  }

  private static double of(Contents brew, double k) {
    double glycerin = brew.glycerin() / GLYCERIN_MOLAR;
    double water = (brew.water() + brew.juice() + brew.waterOfSolids()) / WATER_MOLAR;
    if (glycerin <= 0) {
      return 1;
    }
    double share = glycerin / (glycerin + water);
    return (1 - share) * Math.exp(-k * share * share);
  }
}
