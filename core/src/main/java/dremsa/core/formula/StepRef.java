package dremsa.core.formula;

import java.util.List;

/**
 * Names a step by its kind and how many of that kind came before, so that the name still fits when
 * other steps are put in or taken out.
 *
 * @param kind as {@link StepKind#key}
 * @param nth 1 for the first of its kind
 */
public record StepRef(String kind, int nth) {
  public StepRef {
    if (nth < 1 || nth > Formula.MOST_STEPS) {
      throw new IllegalArgumentException("the first of a kind is 1, not " + nth);
    }
  }

  /** The first step of a kind. */
  public static StepRef first(String kind) {
    return new StepRef(kind, 1);
  }

  /** The name of a step by its place in a list. */
  public static StepRef of(List<Step> steps, int index) {
    String kind = steps.get(index).kind().key();
    int nth = 1;
    for (int i = 0; i < index; i++) {
      nth += steps.get(i).kind().key().equals(kind) ? 1 : 0;
    }
    return new StepRef(kind, nth);
  }

  /**
   * Where the step is.
   *
   * @throws InvalidFormulaException when the formula has no such step
   */
  public int in(Formula formula) {
    int seen = 0;
    for (int i = 0; i < formula.steps().size(); i++) {
      if (formula.steps().get(i).kind().key().equals(kind) && ++seen == nth) {
        return i;
      }
    }
    throw new InvalidFormulaException("step", "there is no step '" + kind + "' number " + nth);
  }
}
