package dremsa.core.formula;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What hair or scalp asks for, and what makers use for it; common practice throughout. It says what
 * a brew is used for, not what it does.
 */
public enum Need {
  OILY_SCALP(
      "oily scalp",
      Set.of(
          "sage",
          "birch-leaf",
          "nettle-leaf",
          "nettle-powder",
          "horsetail",
          "green-tea",
          "willow-bark",
          "oak-bark",
          "apple-vinegar",
          "lemon-juice"),
      "oily-scalp"),
  FLAKES(
      "flakes",
      Set.of(
          "burdock-root",
          "thyme",
          "rosemary",
          "rosemary-fresh",
          "nettle-leaf",
          "willow-bark",
          "tea-tree-essential",
          "amla-juice",
          "fenugreek",
          "fenugreek-powder"),
      "flakes"),
  DRY_LENGTHS(
      "dry lengths",
      Set.of(
          "marshmallow-root",
          "mallow-leaf",
          "oats",
          "aloe-leaf",
          "aloe-juice",
          "glycerin",
          "panthenol",
          "conditioner-base",
          "jojoba-oil",
          "almond-oil",
          "olive-oil",
          "avocado-oil",
          "sunflower-oil",
          "coconut-oil",
          "argan-oil",
          "shea-butter"),
      "dry-ends"),
  HOLD("curls that want hold", Set.of(), ""),
  TANGLES(
      "tangles",
      Set.of(
          "marshmallow-root",
          "mallow-leaf",
          "slippery-bark",
          "okra",
          "linseed",
          "conditioner-base"),
      ""),
  LIGHT_HAIR("light hair that must not stain", Set.of(), "half-strength"),
  NO_SCENT("no scent", Set.of(), "no-scent");

  /** Plants that stain light hair; common practice. */
  private static final Set<String> STAINING =
      Set.of(
          "hibiscus",
          "hibiscus-powder",
          "sage",
          "black-tea",
          "oak-bark",
          "nettle-powder",
          "amla-powder",
          "rosemary",
          "birch-leaf",
          "burdock-root",
          "cinnamon-bark",
          "clove",
          "clove-powder",
          "nettle-root");

  private final String words;
  private final Set<String> materials;
  private final String variant;

  Need(String words, Set<String> materials, String variant) {
    this.words = words;
    this.materials = materials;
    this.variant = variant;
  }

  public String words() {
    return words;
  }

  /**
   * What a formula serves, as it stands or as one of its variants.
   *
   * @return by need the id of the variant, empty for the formula as it stands
   */
  public static Map<Need, String> servedBy(Formula formula, Materials all) {
    Map<Need, String> served = new EnumMap<>(Need.class);
    List<Variant> offered = Variants.offeredFor(formula, all);
    for (Need need : values()) {
      if (need.serves(formula, all)) {
        served.put(need, "");
      } else if (offered.stream().anyMatch(v -> v.id().equals(need.variant))) {
        served.put(need, need.variant);
      }
    }
    return served;
  }

  private boolean serves(Formula formula, Materials all) {
    return switch (this) {
      case HOLD ->
          formula.purposes().contains(Purpose.STYLER) && formula.method() != Method.INFUSED_OIL;
      case LIGHT_HAIR ->
          formula.ingredients().stream().noneMatch(i -> STAINING.contains(i.material()));
      case NO_SCENT ->
          formula.ingredients().stream()
              .map(i -> all.find(i.material()).map(Material::kind))
              .flatMap(Optional::stream)
              .noneMatch(k -> k == MaterialKind.ESSENTIAL_OIL || k == MaterialKind.FRAGRANCE);
      default -> formula.ingredients().stream().anyMatch(i -> materials.contains(i.material()));
    };
  }
}
