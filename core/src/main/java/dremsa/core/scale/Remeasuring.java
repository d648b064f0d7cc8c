package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import java.math.BigDecimal;
import java.math.MathContext;

/** Writes the same amount of an ingredient in another unit, by the batch as it comes out. */
public final class Remeasuring {
  private static final MathContext THREE_FIGURES = new MathContext(3);
  private static final int ROUNDS = 4;

  private Remeasuring() {}

  /** How an ingredient's amount is written. */
  public enum Unit {
    PARTS,
    PERCENT,
    DROPS
  }

  /**
   * The formula with one ingredient written in another unit and otherwise the same, to three
   * figures.
   *
   * @param batch the formula solved for any size
   * @param key of the ingredient
   * @throws IllegalArgumentException when there is no such ingredient, or so much of it that the
   *     other unit has no number for it
   */
  public static Formula of(Solution.Reached batch, String key, Unit unit) {
    Brew brew = batch.brew();
    return of(batch, key, unit, batch.prediction().amounts().getOrDefault(key, 0.0), brew);
  }

  /**
   * The same for an amount that was counted out for the batch as the formula is written: so many
   * grams beside its other parts.
   *
   * @param grams above 0
   */
  public static Formula counted(Solution.Reached batch, String key, Unit unit, double grams) {
    return of(batch, key, unit, grams * batch.scale(), batch.brew());
  }

  private static Formula of(
      Solution.Reached batch, String key, Unit unit, double grams, Brew brew) {
    Ingredient old =
        brew.formula()
            .ingredient(key)
            .orElseThrow(
                () -> new IllegalArgumentException("'" + key + "' is not an ingredient here"));
    Material material = brew.materialOf(key).orElseThrow();
    double finished = Math.max(1e-9, batch.prediction().finished().grams());
    double millilitres = Math.max(1e-9, batch.prediction().finished().millilitres());
    double value =
        switch (unit) {
          case PARTS -> grams / batch.scale();
          case PERCENT -> 100 * grams / finished;
          case DROPS -> grams / dropGrams(material) / (millilitres / 100);
        };
    Formula formula = written(brew, old, unit, value);
    // What goes in before the end changes what comes out: found by trying.
    for (int round = 0; round < ROUNDS; round++) {
      double real =
          brew.with(formula)
              .predict(batch.scale(), batch.vessels(), Facts.NONE)
              .amounts()
              .getOrDefault(key, grams);
      value *= grams / real;
      formula = written(brew, old, unit, value);
    }
    return formula;
  }

  private static Formula written(Brew brew, Ingredient old, Unit unit, double value) {
    double rounded = new BigDecimal(value).round(THREE_FIGURES).doubleValue();
    Proportion proportion =
        switch (unit) {
          case PARTS -> new Proportion.Parts(rounded);
          case PERCENT -> new Proportion.PercentOfFinished(rounded);
          case DROPS -> new Proportion.DropsPer100Ml(rounded);
        };
    Formula formula = brew.formula();
    return formula.withIngredients(
        formula.ingredients().stream()
            .map(i -> i == old ? new Ingredient(old.key(), old.material(), proportion) : i)
            .toList());
  }

  private static double dropGrams(Material material) {
    if (!material.kind().isCountedInDrops()) {
      throw new IllegalArgumentException(material.name() + " cannot be counted in drops");
    }
    return material.dropMl() * material.density();
  }
}
