package dremsa.core.material;

import java.util.List;

/** What one material stands in for another. */
public final class Substitution {
  /** Kitchen rule of thumb, by volume; common practice. */
  public static final double FRESH_TO_DRIED_BY_VOLUME = 3;

  /** The exponent of thickness over gum content; as in the brew model. */
  private static final double GUM_EXPONENT = 1.8;

  private Substitution() {}

  /** How thirsty hair is; decides which oils suit. */
  public enum Porosity {
    LOW(List.of("grapeseed-oil", "sunflower-oil", "jojoba-oil", "argan-oil", "almond-oil")),
    HIGH(List.of("castor-oil", "shea-butter", "avocado-oil", "coconut-oil", "olive-oil"));

    private final List<String> oils;

    Porosity(List<String> oils) {
      this.oils = oils;
    }

    /** Ids of the oils makers use for it, light or rich; common practice. */
    public List<String> oils() {
      return oils;
    }
  }

  /**
   * Dried mass for a fresh mass of the same plant, by the water in both.
   *
   * @param freshGrams 0 or more
   * @param freshWater share of water in the fresh plant, below 1
   * @param driedWater share of water in the dried plant, below 1
   */
  public static double driedFor(double freshGrams, double freshWater, double driedWater) {
    return freshGrams * (1 - freshWater) / (1 - driedWater);
  }

  /**
   * How much of one gum gives the thickness of another, in the same liquid.
   *
   * @param grams of {@code from}
   * @throws IllegalArgumentException when either gives no gum
   */
  public static double gumFor(Material from, double grams, Material to) {
    double want = strength(from);
    double have = strength(to);
    if (want <= 0 || have <= 0) {
      throw new IllegalArgumentException("both must give gum");
    }
    return grams * want / have;
  }

  private static double strength(Material material) {
    return material.value(Property.GUM_YIELD, 0)
        * Math.pow(material.value(Property.GUM_POWER, 0), 1 / GUM_EXPONENT);
  }
}
