package dremsa.core.check;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Virtue;

/** Whose hair a brew is for, as far as limits depend on it. */
public enum Wearer {
  ADULT("an adult scalp", 1.0),
  CHILD_OVER_6("a child over 6", 0.5),
  CHILD_3_TO_6("a child of 3 to 6", 0.25),
  UNDER_3("a child under 3", 0);

  private final String words;
  private final double essentialPercent;

  Wearer(String words, double essentialPercent) {
    this.words = words;
    this.essentialPercent = essentialPercent;
  }

  /** With its article: {@code "a child over 6"}. */
  public String words() {
    return words;
  }

  /** House limit for all essential oils together, percent of the finished mass. */
  public double essentialPercent() {
    return essentialPercent;
  }

  /** Whether a material is kept from this head at any dose. */
  public boolean mayNotHave(Material material) {
    return switch (this) {
      case ADULT, CHILD_OVER_6 -> false;
      case CHILD_3_TO_6 ->
          Virtue.NOT_BELOW_SIX.of(material)
              || (material.kind() == MaterialKind.ESSENTIAL_OIL
                  && !Virtue.GENTLE_SCENT.of(material));
      case UNDER_3 -> material.kind() == MaterialKind.ESSENTIAL_OIL;
    };
  }
}
