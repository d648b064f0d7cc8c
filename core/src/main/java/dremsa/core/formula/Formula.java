package dremsa.core.formula;

import dremsa.core.kitchen.Container;
import dremsa.core.measure.Said;
import java.util.ArrayList;
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
 * @param branches the ways that shares of the batch go after these steps; empty when it is not
 *     divided
 */
public record Formula(
    String id,
    String name,
    Method method,
    Set<Purpose> purposes,
    String about,
    List<Ingredient> ingredients,
    List<Step> steps,
    List<Branch> branches) {
  /** More steps than any kitchen does; a bound for what is computed. */
  public static final int MOST_STEPS = 60;

  public static final int MOST_INGREDIENTS = 40;

  /** More ways than a batch is ever divided into. */
  public static final int MOST_BRANCHES = 6;

  /** A formula that is not divided. */
  public Formula(
      String id,
      String name,
      Method method,
      Set<Purpose> purposes,
      String about,
      List<Ingredient> ingredients,
      List<Step> steps) {
    this(id, name, method, purposes, about, ingredients, steps, List.of());
  }

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
    branches = List.copyOf(branches);
    bounded("ingredients", ingredients.size(), MOST_INGREDIENTS);
    bounded("steps", steps.size(), MOST_STEPS);
    divided(steps, branches);
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
    known(keys, steps, "steps");
    for (int i = 0; i < branches.size(); i++) {
      known(keys, branches.get(i).steps(), "branches[" + i + "].steps");
    }
  }

  private static void known(Set<String> keys, List<Step> steps, String at) {
    for (int i = 0; i < steps.size(); i++) {
      for (String key : steps.get(i).ingredients()) {
        if (!keys.contains(key)) {
          throw new InvalidFormulaException(
              at + "[" + i + "].ingredients", "'" + key + "' is not an ingredient of this formula");
        }
      }
    }
  }

  private static void divided(List<Step> steps, List<Branch> branches) {
    if (branches.isEmpty()) {
      return;
    }
    bounded("branches", branches.size(), MOST_BRANCHES);
    double sum = 0;
    Set<String> names = new HashSet<>();
    for (int i = 0; i < branches.size(); i++) {
      Branch branch = branches.get(i);
      sum += branch.share();
      if (!names.add(branch.name())) {
        throw new InvalidFormulaException(
            "branches[" + i + "].name", "'" + branch.name() + "' stands twice");
      }
      if (steps.size() + 1 + branch.steps().size() > MOST_STEPS) {
        throw new InvalidFormulaException(
            "branches[" + i + "].steps", "with the common ones there are more than " + MOST_STEPS);
      }
    }
    if (sum > 1 + 1e-9) {
      throw new InvalidFormulaException(
          "branches", Said.of("the shares make %.0f %% of the batch, more than all", sum * 100));
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

  /**
   * One way of a divided batch as a formula of its own: the common steps, the dividing, and what is
   * done to this share alone. Its step {@code steps().size()} is the dividing.
   */
  public Formula way(Branch branch) {
    List<Step> all = new ArrayList<>(steps);
    all.add(new Step.Divide(branch.name(), branch.share(), Guide.NONE));
    all.addAll(branch.steps());
    return new Formula(
        id, name + ", " + branch.name(), method, purposes, about, ingredients, all, List.of());
  }

  /** The same formula with other steps. */
  public Formula withSteps(List<Step> changed) {
    return new Formula(id, name, method, purposes, about, ingredients, changed, branches);
  }

  /** The same formula with other ingredients and steps. */
  public Formula with(List<Ingredient> otherIngredients, List<Step> otherSteps) {
    return new Formula(id, name, method, purposes, about, otherIngredients, otherSteps, branches);
  }

  /** What it is filled into at its end; a jar where it does not say. */
  public Container container() {
    return steps.stream().flatMap(step -> step.fills().stream()).findFirst().orElse(Container.JAR);
  }

  /** The same formula with another name. */
  public Formula named(String newName) {
    return new Formula(id, newName, method, purposes, about, ingredients, steps, branches);
  }

  /** The same formula with another id. */
  public Formula identified(String newId) {
    return new Formula(newId, name, method, purposes, about, ingredients, steps, branches);
  }

  /** The same formula with other ingredients. */
  public Formula withIngredients(List<Ingredient> changed) {
    return new Formula(id, name, method, purposes, about, changed, steps, branches);
  }
}
