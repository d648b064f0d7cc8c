package dremsa.core.formula;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Virtue;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What hair or scalp asks for, and what makers use for it; common practice throughout. It says what
 * a brew is used for, not what it does.
 */
public enum Need {
  OILY_SCALP("oily scalp", Virtue.OILY_SCALP, "oily-scalp"),
  FLAKES("flakes", Virtue.FLAKES, "flakes"),
  DRY_LENGTHS("dry lengths", Virtue.DRY_LENGTHS, "dry-ends"),
  HOLD("curls that want hold", null, ""),
  TANGLES("tangles", Virtue.TANGLES, ""),
  LIGHT_HAIR("light hair that must not stain", null, "half-strength"),
  NO_SCENT("no scent", null, "no-scent");

  private final String words;

  /** What a material has that serves it; null where no single material does. */
  private final @Nullable Virtue virtue;

  private final String variant;

  Need(String words, @Nullable Virtue virtue, String variant) {
    this.words = words;
    this.virtue = virtue;
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
          formula.ingredients().stream()
              .noneMatch(i -> Virtue.STAINS.materials().contains(i.material()));
      case NO_SCENT ->
          formula.ingredients().stream()
              .map(i -> all.find(i.material()).map(Material::kind))
              .flatMap(Optional::stream)
              .noneMatch(k -> k == MaterialKind.ESSENTIAL_OIL || k == MaterialKind.FRAGRANCE);
      default ->
          virtue != null
              && formula.ingredients().stream()
                  .anyMatch(i -> virtue.materials().contains(i.material()));
    };
  }
}
