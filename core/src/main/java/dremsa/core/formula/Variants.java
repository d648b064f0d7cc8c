package dremsa.core.formula;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The variants by need that makers ask for, worked out for a formula; common practice. */
public final class Variants {
  /** Of the finished mass, where it is rinsed off: about pH 3.3. */
  private static final double VINEGAR_RINSE_PERCENT = 1.5;

  /** Of the finished mass, where it stays on: stays above pH 3.5. */
  private static final double VINEGAR_LEAVE_ON_PERCENT = 0.5;

  private static final double JUICE_PERCENT = 5;
  private static final double OIL_PERCENT = 3;

  private Variants() {}

  /** Those that make sense for a formula. */
  public static List<Variant> offeredFor(Formula formula, Materials materials) {
    List<Variant> offered = new ArrayList<>();
    List<Change> halved = new ArrayList<>();
    List<Change> unscented = new ArrayList<>();
    boolean water = false;
    for (Ingredient ingredient : formula.ingredients()) {
      Optional<Material> material = materials.find(ingredient.material());
      if (material.isEmpty()) {
        continue;
      }
      MaterialKind kind = material.get().kind();
      water |= kind == MaterialKind.WATER;
      if (colours(kind)) {
        halved.add(new Change.Times(ingredient.key(), 0.5));
      } else if (kind == MaterialKind.ESSENTIAL_OIL || kind == MaterialKind.FRAGRANCE) {
        unscented.add(new Change.Without(ingredient.key()));
      }
    }
    if (!halved.isEmpty() && formula.method() != Method.PASTE) {
      offered.add(
          new Variant(
              "half-strength",
              "half strength",
              "Half the herb for the same water: the usual cure for staining light hair.",
              halved));
    }
    if (!unscented.isEmpty()) {
      offered.add(new Variant("no-scent", "no scent", "For offices and noses.", unscented));
    }
    if (!water || formula.method() == Method.PASTE) {
      return offered;
    }
    boolean leftOn = formula.purposes().stream().anyMatch(Purpose::leftOn);
    if (absent(formula, materials, "apple-vinegar")) {
      offered.add(
          more(
              "oily-scalp",
              "oily scalp",
              "A little vinegar; it does not preserve.",
              "apple-vinegar",
              leftOn ? VINEGAR_LEAVE_ON_PERCENT : VINEGAR_RINSE_PERCENT));
    }
    if (absent(formula, materials, "amla-juice")) {
      offered.add(
          more(
              "flakes",
              "flakes",
              "A spoon or two of sour fruit juice. Raw juice: it then keeps only for days.",
              "amla-juice",
              JUICE_PERCENT));
    }
    if (absent(formula, materials, "jojoba-oil")) {
      offered.add(
          more(
              "dry-ends",
              "dry ends",
              "A little light oil; shake before use.",
              "jojoba-oil",
              OIL_PERCENT));
    }
    return offered;
  }

  private static boolean absent(Formula formula, Materials materials, String material) {
    return materials.find(material).isPresent()
        && formula.ingredients().stream().noneMatch(i -> i.material().equals(material));
  }

  private static Variant more(String id, String name, String why, String material, double percent) {
    return new Variant(
        id,
        name,
        why,
        List.of(
            Change.With.atTheEnd(
                new Ingredient(material, material, new Proportion.PercentOfFinished(percent)))));
  }

  /** Plants that give colour; gum seed and grain give body instead. */
  private static boolean colours(MaterialKind kind) {
    return kind.isPlant()
        && kind != MaterialKind.GUM_SEED
        && kind != MaterialKind.GUM_POWDER
        && kind != MaterialKind.GRAIN
        && kind != MaterialKind.SEAWEED
        && kind != MaterialKind.ALOE_LEAF;
  }
}
