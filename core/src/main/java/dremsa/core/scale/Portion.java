package dremsa.core.scale;

import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.ScoopSet;
import dremsa.core.measure.ScoopSet.Rounding;
import dremsa.core.measure.ScoopedAmount;
import java.util.Optional;

/**
 * What is measured out of one ingredient.
 *
 * @param ingredient key in the formula
 * @param material what it is
 * @param grams exact
 * @param millilitres exact; of a dry herb its bulk
 * @param scooped rounded to the kitchen's measures; never above the amount for what has a limit
 * @param drops for what is counted in drops, never rounded up
 */
public record Portion(
    String ingredient,
    Material material,
    double grams,
    double millilitres,
    ScoopedAmount scooped,
    Optional<Integer> drops) {

  static Portion of(Ingredient ingredient, Material material, double grams, ScoopSet scoops) {
    double millilitres = grams / material.density();
    boolean limited = material.kind().role() == MaterialKind.Role.ADDITIVE;
    Optional<Integer> drops =
        ingredient.proportion() instanceof Proportion.DropsPer100Ml
            ? Optional.of(
                (int) Math.floor(millilitres / material.value(Property.DROP, 0.05) + 1e-6))
            : Optional.empty();
    return new Portion(
        ingredient.key(),
        material,
        grams,
        millilitres,
        scoops.round(millilitres, limited ? Rounding.DOWN : Rounding.NEAREST),
        drops);
  }
}
