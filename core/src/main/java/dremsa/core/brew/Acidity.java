package dremsa.core.brew;

/** The pH of diluted vinegar or lemon in soft water. */
public final class Acidity {
  private static final double ACETIC_CONSTANT = 1.75e-5;
  private static final double ACETIC_MOLAR_MASS = 60.05;

  private Acidity() {}

  /**
   * pH of acetic acid in pure water, from its constant 1.75e-5: x² = K (c − x). Hard water buffers
   * and ends higher.
   *
   * @param gramsPer100Ml of acid, above 0
   * @throws IllegalArgumentException when it is not above 0
   */
  public static double ofAceticAcid(double gramsPer100Ml) {
    if (!(gramsPer100Ml > 0)) {
      throw new IllegalArgumentException("acid must be above 0, not " + gramsPer100Ml);
    }
    double molar = gramsPer100Ml * 10 / ACETIC_MOLAR_MASS;
    double k = ACETIC_CONSTANT;
    double hydrogen = (-k + Math.sqrt(k * k + 4 * k * molar)) / 2;
    return -Math.log10(hydrogen);
  }

  /**
   * The acetic acid that gives a pH in pure water, the inverse of {@link #ofAceticAcid}.
   *
   * @param ph below 7
   * @return g per 100 mL
   */
  public static double aceticAcidFor(double ph) {
    double hydrogen = Math.pow(10, -ph);
    double molar = hydrogen + hydrogen * hydrogen / ACETIC_CONSTANT;
    return molar * ACETIC_MOLAR_MASS / 10;
  }
}
