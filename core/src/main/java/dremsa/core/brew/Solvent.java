package dremsa.core.brew;

import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * Volumes and thickness of water mixed with spirit and glycerin at 20 °C: poured together they take
 * less room than apart, and are thicker than either.
 */
public final class Solvent {
  static final double WATER_DENSITY = Water.density(20);

  /** OIML R 22 (from memory), g/mL. */
  static final double ETHANOL_DENSITY = 0.78924;

  static final double GLYCERIN_DENSITY = 1.26108;
  private static final double OIL_DENSITY = 0.915;
  private static final double JUICE_DENSITY = 1.01;

  private static final double[] SHARES = {
    0, 0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85,
    0.9, 0.95, 1
  };

  /** g/mL by the mass share of ethanol: CRC Handbook of Chemistry and Physics (from memory). */
  private static final PolynomialSplineFunction SPIRIT =
      new SplineInterpolator()
          .interpolate(
              SHARES,
              new double[] {
                WATER_DENSITY,
                0.98938,
                0.98187,
                0.97514,
                0.96864,
                0.96168,
                0.95382,
                0.94494,
                0.93518,
                0.92472,
                0.91384,
                0.90258,
                0.89113,
                0.87948,
                0.86766,
                0.85564,
                0.84344,
                0.83095,
                0.81797,
                0.80424,
                ETHANOL_DENSITY
              });

  /** g/mL by the mass share of glycerin: Bosart & Snoddy, Ind. Eng. Chem. 20 (1928) 1377 (M). */
  private static final PolynomialSplineFunction GLYCERIN =
      new SplineInterpolator()
          .interpolate(
              new double[] {0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1},
              new double[] {
                WATER_DENSITY,
                1.02207,
                1.04690,
                1.07270,
                1.09930,
                1.12630,
                1.15380,
                1.18125,
                1.20850,
                1.23510,
                GLYCERIN_DENSITY
              });

  /** mPa·s of spirit at 20 °C by its mass share: CRC Handbook of Chemistry and Physics (M). */
  private static final PolynomialSplineFunction SPIRIT_VISCOSITY =
      new SplineInterpolator()
          .interpolate(
              new double[] {0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1},
              new double[] {1.002, 1.54, 2.18, 2.71, 2.91, 2.87, 2.67, 2.37, 2.01, 1.61, 1.20});

  private Solvent() {}

  /**
   * mL at 20 °C of so many grams of each; what is neither mixes without loss of room.
   *
   * @param other g, taken at 1 g/mL
   */
  static double millilitres(
      double water, double ethanol, double glycerin, double oil, double juice, double other) {
    double apart =
        water / WATER_DENSITY
            + ethanol / ETHANOL_DENSITY
            + glycerin / GLYCERIN_DENSITY
            + oil / OIL_DENSITY
            + juice / JUICE_DENSITY
            + other;
    return apart
        - contraction(water, ethanol, ETHANOL_DENSITY, SPIRIT)
        - contraction(water, glycerin, GLYCERIN_DENSITY, GLYCERIN);
  }

  /** By how much less room the two take together, mL. */
  private static double contraction(
      double water, double other, double density, PolynomialSplineFunction mixed) {
    if (other <= 0 || water <= 0) {
      return 0;
    }
    double both = water + other;
    return water / WATER_DENSITY + other / density - both / mixed.value(other / both);
  }

  /**
   * The mass share of ethanol in spirit.
   *
   * @param percent by volume at 20 °C, 0 to 100
   */
  static double ethanolShare(double percent) {
    // Percent by volume times its own density is what is in a litre; the density depends on it.
    double share = percent / 100;
    for (int i = 0; i < 40; i++) {
      share = Math.min(1, percent / 100 * ETHANOL_DENSITY / SPIRIT.value(share));
    }
    return share;
  }

  /** g/mL of spirit of a strength, percent by volume at 20 °C. */
  static double spiritDensity(double percent) {
    return SPIRIT.value(ethanolShare(percent));
  }

  /**
   * mPa·s of what is thin in a brew.
   *
   * <p>Glycerin and water by Cheng, Ind. Eng. Chem. Res. 47 (2008) 3285 (from memory), within 5 %
   * of the handbook; spirit in proportion to water's own thinning with warmth.
   */
  static double viscosity(double water, double ethanol, double glycerin, double celsius) {
    double plain = Water.viscosity(celsius);
    if (ethanol > 0 && water > 0) {
      plain *= SPIRIT_VISCOSITY.value(ethanol / (ethanol + water)) / SPIRIT_VISCOSITY.value(0);
    }
    double all = water + ethanol + glycerin;
    if (glycerin <= 0 || all <= 0) {
      return plain;
    }
    double c = glycerin / all;
    double a = 0.705 - 0.0017 * celsius;
    double b = (4.9 + 0.036 * celsius) * Math.pow(a, 2.5);
    double alpha = 1 - c + a * b * c * (1 - c) / (a * c + b * (1 - c));
    double pure = 12_100 * Math.exp((-1233 + celsius) * celsius / (9900 + 70 * celsius));
    return Math.pow(plain, alpha) * Math.pow(pure, 1 - alpha);
  }
}
