package dremsa.core.formula;

import java.util.Objects;

/**
 * One line of a formula.
 *
 * @param key names it within the formula
 * @param material id in the catalogue
 * @param proportion how much
 */
public record Ingredient(String key, String material, Proportion proportion) {
  public Ingredient {
    Objects.requireNonNull(key, "key");
    Objects.requireNonNull(material, "material");
    Objects.requireNonNull(proportion, "proportion");
  }

  /** An ingredient whose key is its material's id. */
  public static Ingredient parts(String material, double grams) {
    return new Ingredient(material, material, new Proportion.Parts(grams));
  }
}
