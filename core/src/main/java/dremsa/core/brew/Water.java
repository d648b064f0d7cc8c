package dremsa.core.brew;

/** Properties of liquid water at the pressure of the air, for 0 to 100 °C. */
public final class Water {
  /** Where water boils at sea level, °C; higher up it boils cooler. */
  public static final double BOILING_C = 100;

  /** International Standard Atmosphere: kPa at sea level, and how it falls with the height. */
  private static final double SEA_LEVEL_KPA = 101.325;

  private static final double FALL_PER_METRE = 2.25577e-5;
  private static final double FALL_EXPONENT = 5.25588;

  private static final double CRITICAL_K = 647.096;
  private static final double BOILING_K = 373.15;

  private Water() {}

  /**
   * Density, g/mL.
   *
   * <p>Source: Kell, J. Chem. Eng. Data 20 (1975) 97; within 0.02 % of IAPWS-IF97.
   */
  public static double density(double celsius) {
    double t = celsius;
    double above =
        999.83952
            + t
                * (16.945176
                    + t
                        * (-7.9870401e-3
                            + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
    return above / (1 + 16.879850e-3 * t) / 1000;
  }

  /**
   * Where water boils at a height, °C.
   *
   * <p>Pressure of the International Standard Atmosphere (ISO 2533), boiling point where the vapour
   * pressure is as high; about 0.1 °C from IAPWS-IF97.
   *
   * @param metres above the sea, −500 to 6000
   */
  public static double boilingC(double metres) {
    double kpa = SEA_LEVEL_KPA * Math.pow(1 - FALL_PER_METRE * metres, FALL_EXPONENT);
    double celsius = BOILING_C;
    for (int i = 0; i < 12; i++) {
      // Newton's method on the logarithm; d ln p/dT is about latent heat over R T².
      double slope =
          (Math.log(saturationPressure(celsius + 0.05)) - Math.log(saturationPressure(celsius)))
              / 0.05;
      celsius -= Math.log(saturationPressure(celsius) / kpa) / slope;
    }
    return celsius;
  }

  /**
   * Latent heat of evaporation, J/g.
   *
   * <p>Watson's relation through 2256.5 J/g at the boil, its exponent fitted to IAPWS-IF97; within
   * 0.3 % of it.
   */
  public static double latentHeat(double celsius) {
    double above = (CRITICAL_K - 273.15 - celsius) / (CRITICAL_K - BOILING_K);
    return 2256.5 * Math.pow(above, 0.327);
  }

  /**
   * Saturation pressure of its vapour, kPa.
   *
   * <p>Source: Buck's equation in its 1996 form; within 0.2 % of IAPWS-IF97.
   */
  public static double saturationPressure(double celsius) {
    return 0.61121 * Math.exp((18.678 - celsius / 234.5) * (celsius / (257.14 + celsius)));
  }

  /**
   * Viscosity, mPa·s.
   *
   * <p>Vogel's relation, from memory; within 2.5 % of IAPWS 2008.
   */
  public static double viscosity(double celsius) {
    return 2.414e-2 * Math.pow(10, 247.8 / (celsius + 133.15));
  }
}
