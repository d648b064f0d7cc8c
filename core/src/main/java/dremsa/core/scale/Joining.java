package dremsa.core.scale;

import dremsa.core.brew.Stock;
import dremsa.core.formula.Change;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.formula.StepRef;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/**
 * Where one more ingredient belongs in a formula, in which unit and in what amount to begin with: a
 * preservative as a percentage into the cool brew, an essential oil in drops, a herb with the
 * herbs. The amounts are common practice and on the low side; a maker changes them.
 */
public final class Joining {
  /** What is stirred in at the end goes in below this, °C; common practice. */
  private static final double COOL_C = 40;

  /** Drops of a scent to 100 mL; common practice, and far below the house limit. */
  private static final double DROPS = 2;

  /** Percent of what has no dose of its own, and of a preservative whose dose is not known. */
  private static final double ADDITIVE_PERCENT = 1;

  private static final double UNKNOWN_PRESERVATIVE_PERCENT = 0.5;
  private static final double GLYCERIN_PERCENT = 2;

  /** Grams to begin with where nothing is in the formula yet to go by. */
  private static final double FIRST_LIQUID = 500;

  private final Formula formula;
  private final Materials materials;

  private Joining(Formula formula, Materials materials) {
    this.formula = formula;
    this.materials = materials;
  }

  /**
   * The change that takes a material into a formula.
   *
   * @param material id of a material, or of a brew from the shelf
   * @throws dremsa.core.material.UnknownMaterialException when there is none of that id
   */
  public static Change.With of(Formula formula, String material, Materials materials) {
    return new Joining(formula, materials).with(material);
  }

  private Change.With with(String id) {
    String key = key(id);
    if (Stock.isBrew(id)) {
      return inThePot(new Ingredient(key, id, parts(0.1)));
    }
    Material material = materials.get(id);
    Ingredient ingredient = new Ingredient(key, id, proportion(material));
    return belongsInThePot(material.kind())
        ? inThePot(ingredient)
        : Change.With.atTheEnd(formula, ingredient, Math.min(COOL_C, hottest(material)));
  }

  /** Where nothing is known of how hot it may be it is taken for what must be cool. */
  private static double hottest(Material material) {
    return material.figure(Property.MAX_TEMPERATURE).map(f -> f.value()).orElse(COOL_C);
  }

  private Proportion proportion(Material material) {
    return switch (material.kind()) {
      case WATER -> parts(1);
      case JUICE, FOOD, HYDROLAT, CONDITIONER, BREW -> parts(0.1);
      case FRESH_LEAF, FRESH_PLANT, ALOE_LEAF -> parts(0.1);
      case LEAF, FLOWER, ROOT, BARK, BUD, SEED, GUM_SEED, GRAIN, SEAWEED, POWDER -> parts(0.05);
      case GUM_POWDER -> parts(0.005);
      case ACID, SPIRIT -> parts(0.05);
      case GLYCERIN -> likeTheRest(material, 0.1, GLYCERIN_PERCENT);
      case CARRIER_OIL, INFUSED_OIL -> likeTheRest(material, 0.1, ADDITIVE_PERCENT);
      case ESSENTIAL_OIL, FRAGRANCE -> scent(material);
      case PRESERVATIVE ->
          new Proportion.PercentOfFinished(
              material.value(Property.DOSE, UNKNOWN_PRESERVATIVE_PERCENT));
      case POWDER_ADDITIVE ->
          new Proportion.PercentOfFinished(material.value(Property.DOSE, ADDITIVE_PERCENT));
    };
  }

  /** By weight where its like is the liquid of the pot, as a share of the brew elsewhere. */
  private Proportion likeTheRest(Material material, double share, double percent) {
    return belongsInThePot(material.kind())
        ? parts(share)
        : new Proportion.PercentOfFinished(percent);
  }

  private static Proportion scent(Material material) {
    double limit = material.value(Property.LIMIT_LEAVE_ON, Double.POSITIVE_INFINITY);
    double dropsPercent =
        DROPS * material.value(Property.DROP, Property.DROP.most()) * material.density();
    return dropsPercent <= limit
        ? new Proportion.DropsPer100Ml(DROPS)
        : new Proportion.PercentOfFinished(limit);
  }

  private boolean belongsInThePot(MaterialKind kind) {
    return switch (kind) {
      case ACID, SPIRIT, GLYCERIN, CARRIER_OIL, INFUSED_OIL -> isPutTogether(kind);
      default -> kind.isPlant() || kind.role() == MaterialKind.Role.LIQUID;
    };
  }

  /** Whether something of the kind goes in where the brew is put together. */
  private boolean isPutTogether(MaterialKind kind) {
    return firstPot()
        .map(
            step ->
                step.ingredients().stream()
                    .flatMap(key -> formula.ingredient(key).stream())
                    .flatMap(i -> materials.find(i.material()).stream())
                    .anyMatch(m -> m.kind() == kind))
        .orElse(false);
  }

  private Optional<Step> firstPot() {
    return formula.steps().stream().filter(s -> s.kind() == StepKind.COMBINE).findFirst();
  }

  /** A share of the liquids that are given in parts. */
  private Proportion parts(double share) {
    double liquid = 0;
    for (Ingredient ingredient : formula.ingredients()) {
      MaterialKind kind =
          materials.find(ingredient.material()).map(Material::kind).orElse(MaterialKind.BREW);
      if (ingredient.proportion() instanceof Proportion.Parts parts
          && (kind.role() == MaterialKind.Role.LIQUID || kind.role() == MaterialKind.Role.OIL)) {
        liquid += parts.grams();
      }
    }
    return new Proportion.Parts(share * (liquid > 0 ? liquid : FIRST_LIQUID));
  }

  private Change.With inThePot(Ingredient ingredient) {
    return firstPot().isPresent()
        ? new Change.With(ingredient, Optional.of(StepRef.first(StepKind.COMBINE.key())), COOL_C)
        : Change.With.atTheEnd(formula, ingredient, COOL_C);
  }

  private String key(String id) {
    Set<String> taken = new HashSet<>();
    formula.ingredients().forEach(i -> taken.add(i.key()));
    String plain = id.replaceAll("[^a-z0-9-]", "-");
    String key = plain;
    for (int n = 2; taken.contains(key); n++) {
      key = plain + "-" + n;
    }
    return key;
  }
}
