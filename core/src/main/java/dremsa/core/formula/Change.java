package dremsa.core.formula;

import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One difference between a formula and its variant. Changes name ingredients by key and steps by
 * {@link StepRef}, so that a variant follows when its formula is improved.
 */
public sealed interface Change {
  /**
   * The formula with this change.
   *
   * @throws InvalidFormulaException when the formula does not have what is to be changed
   */
  Formula apply(Formula formula);

  /** What it does, in a few words. */
  String words();

  /**
   * More or less of an ingredient.
   *
   * @param factor above 0, at most 20
   */
  record Times(String key, double factor) implements Change {
    public Times {
      Objects.requireNonNull(key, "key");
      checkFactor(factor);
    }

    @Override
    public Formula apply(Formula formula) {
      return replace(
          formula, key, old -> new Ingredient(old.key(), old.material(), times(old, factor)));
    }

    @Override
    public String words() {
      return Said.of("%s × %s", key, Said.exactly(factor));
    }
  }

  /** Another material in the place of an ingredient, in an amount times {@code factor}. */
  record Instead(String key, String material, double factor) implements Change {
    public Instead {
      Objects.requireNonNull(key, "key");
      Objects.requireNonNull(material, "material");
      checkFactor(factor);
    }

    @Override
    public Formula apply(Formula formula) {
      return replace(formula, key, old -> new Ingredient(old.key(), material, times(old, factor)));
    }

    @Override
    public String words() {
      return material + " instead of " + key + (factor == 1 ? "" : " × " + Said.exactly(factor));
    }
  }

  /** Leaves an ingredient out, and steps that were for it alone. */
  record Without(String key) implements Change {
    public Without {
      Objects.requireNonNull(key, "key");
    }

    @Override
    public Formula apply(Formula formula) {
      present(formula, key);
      List<Ingredient> left =
          formula.ingredients().stream().filter(i -> !i.key().equals(key)).toList();
      List<Step> steps = new ArrayList<>();
      for (Step step : formula.steps()) {
        if (!step.ingredients().contains(key)) {
          steps.add(step);
        } else if (step.ingredients().size() > 1) {
          steps.add(naming(step, step.ingredients().stream().filter(k -> !k.equals(key)).toList()));
        }
      }
      return formula.with(left, steps);
    }

    @Override
    public String words() {
      return "no " + key;
    }
  }

  /**
   * One ingredient more.
   *
   * @param into the step that it goes in with; empty to stir it in at the end, below {@code belowC}
   * @param belowC °C; counts only at the end
   */
  record With(Ingredient ingredient, Optional<StepRef> into, double belowC) implements Change {
    public With {
      Objects.requireNonNull(ingredient, "ingredient");
      Objects.requireNonNull(into, "into");
    }

    /** Stirred in at the end, when cool. */
    public static With atTheEnd(Ingredient ingredient) {
      return new With(ingredient, Optional.empty(), 40);
    }

    /**
     * Stirred in at the end: with what is stirred in there already, where that is cool enough, else
     * by itself.
     *
     * @param belowC °C
     */
    public static With atTheEnd(Formula formula, Ingredient ingredient, double belowC) {
      List<Step> steps = formula.steps();
      for (int i = beforeFilling(steps) - 1; i >= 0 && !heats(steps.get(i)); i--) {
        if (steps.get(i).stirredBelow().orElse(Double.POSITIVE_INFINITY) <= belowC) {
          return new With(ingredient, Optional.of(StepRef.of(steps, i)), belowC);
        }
      }
      return new With(ingredient, Optional.empty(), belowC);
    }

    @Override
    public Formula apply(Formula formula) {
      List<Ingredient> more = new ArrayList<>(formula.ingredients());
      more.add(ingredient);
      List<Step> steps = new ArrayList<>(formula.steps());
      if (into.isPresent()) {
        int at = into.get().in(formula);
        List<String> keys = new ArrayList<>(steps.get(at).ingredients());
        keys.add(ingredient.key());
        steps.set(at, naming(steps.get(at), keys));
      } else {
        int end = beforeFilling(steps);
        steps.add(end, new Step.Add(List.of(ingredient.key()), belowC, Guide.NONE));
        if (mayBeHotterThan(belowC, steps.subList(0, end))) {
          // What must not be hot waits until the brew is cool.
          steps.add(end, new Step.Cool(belowC, Step.CoolingWay.COUNTER, true, Guide.NONE));
        }
      }
      return formula.with(more, steps);
    }

    @Override
    public String words() {
      return "with " + ingredient.key();
    }
  }

  /** Another step in the place of one. */
  record StepInstead(StepRef at, Step step) implements Change {
    @Override
    public Formula apply(Formula formula) {
      List<Step> steps = new ArrayList<>(formula.steps());
      steps.set(at.in(formula), step);
      return formula.withSteps(steps);
    }

    @Override
    public String words() {
      return step.headline() + " instead";
    }
  }

  /** A step left out. */
  record StepWithout(StepRef at) implements Change {
    @Override
    public Formula apply(Formula formula) {
      List<Step> steps = new ArrayList<>(formula.steps());
      steps.remove(at.in(formula));
      return formula.withSteps(steps);
    }

    @Override
    public String words() {
      return "no step '" + at.kind() + "' " + at.nth();
    }
  }

  /** One step more, before another. */
  record StepBefore(StepRef at, Step step) implements Change {
    @Override
    public Formula apply(Formula formula) {
      List<Step> steps = new ArrayList<>(formula.steps());
      steps.add(at.in(formula), step);
      return formula.withSteps(steps);
    }

    @Override
    public String words() {
      return step.headline() + " first";
    }
  }

  /** Where what is stirred in at the end goes: before the brew is divided or bottled. */
  private static int beforeFilling(List<Step> steps) {
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).fills().isPresent() || steps.get(i).kind() == StepKind.DIVIDE) {
        return i;
      }
    }
    return steps.size();
  }

  /** Whether the brew was heated and has not been cooled to a temperature since. */
  private static boolean mayBeHotterThan(double celsius, List<Step> steps) {
    boolean hot = false;
    for (Step step : steps) {
      hot |= heats(step);
      if (step instanceof Step.Cool cool && cool.toC() <= celsius) {
        hot = false;
      }
    }
    return hot;
  }

  private static boolean heats(Step step) {
    return step.onHob() || step.pouredHot();
  }

  private static void present(Formula formula, String key) {
    if (formula.ingredient(key).isEmpty()) {
      throw new InvalidFormulaException("key", "'" + key + "' is not an ingredient here");
    }
  }

  private static Formula replace(
      Formula formula, String key, java.util.function.UnaryOperator<Ingredient> by) {
    present(formula, key);
    return formula.withIngredients(
        formula.ingredients().stream().map(i -> i.key().equals(key) ? by.apply(i) : i).toList());
  }

  private static Proportion times(Ingredient old, double factor) {
    Proportion p = old.proportion();
    if (p instanceof Proportion.Parts parts) {
      return new Proportion.Parts(parts.grams() * factor);
    } else if (p instanceof Proportion.PercentOfFinished percent) {
      return new Proportion.PercentOfFinished(percent.percent() * factor);
    } else if (p instanceof Proportion.DropsPer100Ml drops) {
      return new Proportion.DropsPer100Ml(drops.drops() * factor);
    }
    throw new AssertionError(p);
  }

  /** The same step for other ingredients. */
  private static Step naming(Step step, List<String> keys) {
    if (step instanceof Step.Naming naming) {
      return naming.naming(keys);
    }
    throw new InvalidFormulaException("step", "'" + step.kind().key() + "' names no ingredients");
  }

  private static void checkFactor(double factor) {
    if (!(factor > 0 && factor <= 20)) {
      throw new IllegalArgumentException("a factor is above 0 and at most 20, not " + factor);
    }
  }
}
