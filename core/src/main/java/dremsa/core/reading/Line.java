package dremsa.core.reading;

import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** An ingredient in the making: what it is, how much, and where it was named. */
final class Line {
  private final String key;
  private final String id;
  private final @Nullable Material material;
  private final Set<String> states = new LinkedHashSet<>();
  private final List<String> words;
  private final int from;
  private final int to;
  private @Nullable Proportion proportion;
  private String amount = "";
  private int firstClause = -1;

  /**
   * @param id of the material, or of a brew
   * @param material null for a brew
   */
  Line(String key, String id, @Nullable Material material, int from, int to) {
    this.key = key;
    this.id = id;
    this.material = material;
    words = material == null ? List.of() : Lexicon.split(material.name());
    this.from = from;
    this.to = to;
  }

  /** The words of its name, singular; none for a brew. */
  List<String> words() {
    return words;
  }

  String key() {
    return key;
  }

  String id() {
    return id;
  }

  @Nullable Material material() {
    return material;
  }

  Set<String> states() {
    return states;
  }

  int from() {
    return from;
  }

  int to() {
    return to;
  }

  @Nullable Proportion proportion() {
    return proportion;
  }

  /** The amount as written; empty where none is. */
  String amount() {
    return amount;
  }

  void measured(Proportion said, String words) {
    proportion = said;
    amount = words;
  }

  /** Takes note that a step names it. */
  void namedIn(int clause) {
    if (firstClause < 0) {
      firstClause = clause;
    }
  }

  /** The first step that names it; -1 where none does. */
  int firstClause() {
    return firstClause;
  }

  /**
   * Whether it goes in at the end where the note does not say: what must not be boiled, and in a
   * pot that is heated what a boil would waste.
   */
  boolean goesInLate(boolean heated) {
    if (material == null) {
      return true;
    }
    return switch (material.kind()) {
      case ESSENTIAL_OIL, FRAGRANCE, PRESERVATIVE, POWDER_ADDITIVE, JUICE, FOOD, CONDITIONER ->
          true;
      case HYDROLAT, GLYCERIN, ACID -> heated;
      default -> false;
    };
  }

  /** Whether what is said of it being added late is what is done by habit: oils too. */
  boolean isStirredIn() {
    return goesInLate(true) || material != null && material.kind().role() == MaterialKind.Role.OIL;
  }

  double grams() {
    return proportion instanceof Proportion.Parts parts ? parts.grams() : 0;
  }

  /** The ingredient; only once it is measured. */
  Ingredient ingredient() {
    if (proportion == null) {
      throw new IllegalStateException(key + " has no amount");
    }
    return new Ingredient(key, id, proportion);
  }

  boolean is(java.util.function.Predicate<Material> what) {
    return material != null && what.test(material);
  }
}
