package dremsa.core.material;

import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What one material stands in for another. */
public final class Substitution {
  /** Kitchen rule of thumb, by volume; common practice. */
  public static final double FRESH_TO_DRIED_BY_VOLUME = 3;

  /** The exponent of thickness over gum content; as in the brew model. */
  private static final double GUM_EXPONENT = 1.8;

  private Substitution() {}

  /** How thirsty hair is; decides which oils suit. */
  public enum Porosity {
    LOW(Virtue.LIGHT_OIL, "Light, for low porosity; the same weight."),
    HIGH(Virtue.RICH_OIL, "Rich, for high porosity; the same weight.");

    private final Virtue virtue;
    private final String how;

    Porosity(Virtue virtue, String how) {
      this.virtue = virtue;
      this.how = how;
    }

    /** Ids of the oils makers use for it, light or rich; common practice. */
    public Set<String> oils() {
      return virtue.materials();
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

  /**
   * Something that may stand in.
   *
   * @param material which
   * @param grams of it for the grams asked about
   * @param how what the figure goes by
   */
  public record Offer(Material material, double grams, String how) {}

  /**
   * What may stand in for an amount: the other forms of the same plant by the water in them, other
   * gums by what they thicken, other oils of the same lightness.
   *
   * @param grams 0 or more
   */
  public static List<Offer> offers(Material material, double grams, Materials materials) {
    List<Offer> offers = new ArrayList<>();
    double dry = 1 - material.value(Property.WATER_SHARE, 0.1);
    for (Material other : materials.otherForms(material.id())) {
      double otherDry = 1 - other.value(Property.WATER_SHARE, 0.1);
      if (otherDry <= 0) {
        continue;
      }
      boolean fresh = material.kind().isFresh() != other.kind().isFresh();
      offers.add(
          new Offer(
              other,
              grams * dry / otherDry,
              fresh
                  ? Said.of(
                      "By weight, from the water in both (%.0f %% and %.0f %%). By volume the kitchen's rule is 3 fresh to 1 dried.",
                      100 * (1 - dry), 100 * (1 - otherDry))
                  : "By weight, the same dry matter."));
    }
    if (strength(material) > 0) {
      for (Material other : materials.all()) {
        if (!other.id().equals(material.id())
            && strength(other) > 0
            && materials.otherForms(material.id()).stream()
                .noneMatch(form -> form.id().equals(other.id()))) {
          offers.add(
              new Offer(
                  other, gumFor(material, grams, other), "For the same thickness when cold."));
        }
      }
    }
    for (Porosity porosity : Porosity.values()) {
      if (porosity.oils().contains(material.id())) {
        for (String oil : porosity.oils()) {
          if (!oil.equals(material.id())) {
            offers.add(new Offer(materials.get(oil), grams, porosity.how));
          }
        }
      }
    }
    return offers;
  }

  private static double strength(Material material) {
    return material.value(Property.GUM_YIELD, 0)
        * Math.pow(material.value(Property.GUM_POWER, 0), 1 / GUM_EXPONENT);
  }
}
