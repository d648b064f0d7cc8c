package dremsa.core.scale;

import dremsa.core.brew.Ranges;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
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
 * @param weighed as the kitchen's scale shows it, g, never above the amount for what has a limit;
 *     empty where the scale is too coarse to tell it within 10 %, or there is none
 */
public record Portion(
    String ingredient,
    Material material,
    double grams,
    double millilitres,
    ScoopedAmount scooped,
    Optional<Integer> drops,
    Optional<Double> weighed) {
  /** Coarser than this the scale does not tell an amount. */
  private static final double COARSEST = 0.1;

  static Portion of(Ingredient ingredient, Material material, double grams, Kitchen kitchen) {
    double millilitres = grams / material.density();
    boolean limited = material.kind().role() == MaterialKind.Role.ADDITIVE;
    Optional<Integer> drops =
        ingredient.proportion() instanceof Proportion.DropsPer100Ml
            ? Optional.of((int) Math.floor(millilitres / material.dropMl() + 1e-6))
            : Optional.empty();
    return new Portion(
        ingredient.key(),
        material,
        grams,
        millilitres,
        kitchen.scoops().round(millilitres, limited ? Rounding.DOWN : Rounding.NEAREST),
        drops,
        weighed(grams, kitchen.scaleStep(), limited));
  }

  /**
   * What the scoops weigh, g, with the range of what a spoon of it weighs; empty without scoops.
   */
  public Optional<Ranges.Range> scoopGrams() {
    Figure density = material.figures().get(Property.DENSITY);
    double volume = scooped.millilitres();
    return density == null || volume <= 0
        ? Optional.empty()
        : Optional.of(
            new Ranges.Range(
                volume * density.low(), volume * density.value(), volume * density.high()));
  }

  private static Optional<Double> weighed(double grams, double step, boolean limited) {
    if (step == 0) {
      return Optional.empty();
    }
    double steps = limited ? Math.floor(grams / step + 1e-9) : Math.rint(grams / step);
    double shown = steps * step;
    return Math.abs(shown - grams) <= COARSEST * grams ? Optional.of(shown) : Optional.empty();
  }
}
