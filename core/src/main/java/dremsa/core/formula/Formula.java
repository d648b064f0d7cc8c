package dremsa.core.formula;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A reusable description of a brew.
 *
 * @param id stable
 * @param name as the maker calls it
 * @param method the family it follows
 * @param purposes what it is used for, at least one
 * @param about what it is, in a sentence or two; may be empty
 * @param ingredients 1 to {@value #MOST_INGREDIENTS}, with keys of their own
 * @param steps 1 to {@value #MOST_STEPS}, naming only ingredients of this formula
 */
public record Formula(
    String id,
    String name,
    Method method,
    Set<Purpose> purposes,
    String about,
    List<Ingredient> ingredients,
    List<Step> steps) {
  /** More steps than any kitchen does; a bound for what is computed. */
  public static final int MOST_STEPS = 60;

  public static final int MOST_INGREDIENTS = 40;

  /**
   * Checks what must hold for a formula to mean anything. Whether it is wise is for the self-check.
   *
   * @throws InvalidFormulaException names the place and what is wrong there
   */
  public Formula {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(method, "method");
    Objects.requireNonNull(about, "about");
    purposes = purposes.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(purposes));
    ingredients = List.copyOf(ingredients);
    steps = List.copyOf(steps);
    bounded("ingredients", ingredients.size(), MOST_INGREDIENTS);
    bounded("steps", steps.size(), MOST_STEPS);
    Set<String> keys = new HashSet<>();
    boolean parts = false;
    for (int i = 0; i < ingredients.size(); i++) {
      if (!keys.add(ingredients.get(i).key())) {
        throw new InvalidFormulaException(
            "ingredients[" + i + "].key",
            "'" + ingredients.get(i).key() + "' stands twice in this formula");
      }
      parts |= ingredients.get(i).proportion() instanceof Proportion.Parts;
    }
    if (!parts) {
      throw new InvalidFormulaException("ingredients", "at least one must be given in parts");
    }
    for (int i = 0; i < steps.size(); i++) {
      for (String key : steps.get(i).ingredients()) {
        if (!keys.contains(key)) {
          throw new InvalidFormulaException(
              "steps[" + i + "].ingredients", "'" + key + "' is not an ingredient of this formula");
        }
      }
    }
  }

  private static void bounded(String what, int size, int most) {
    if (size < 1 || size > most) {
      throw new InvalidFormulaException(what, "there must be 1 to " + most + ", not " + size);
    }
  }

  /** The ingredient with this key, if there is one. */
  public Optional<Ingredient> ingredient(String key) {
    return ingredients.stream().filter(ingredient -> ingredient.key().equals(key)).findFirst();
  }
}
