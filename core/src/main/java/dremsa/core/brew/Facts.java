package dremsa.core.brew;

import java.util.Map;
import java.util.TreeMap;

/**
 * What is known of a brew beside its formula: facts by step index. The same type carries a plan
 * that differs from the usual and a record of what happened, so that one model serves both.
 */
public record Facts(Map<Integer, StepFacts> steps) {
  public static final Facts NONE = new Facts(Map.of());

  public Facts {
    steps = Map.copyOf(steps);
  }

  /** What is known of one step. */
  public StepFacts of(int step) {
    return steps.getOrDefault(step, StepFacts.NONE);
  }

  /** The same facts with those of one step replaced. */
  public Facts with(int step, StepFacts facts) {
    Map<Integer, StepFacts> changed = new TreeMap<>(steps);
    changed.put(step, facts);
    return new Facts(changed);
  }

  /** The same facts where a step was put in: those from its index on belong to the next one. */
  public Facts shiftedFrom(int step) {
    Map<Integer, StepFacts> changed = new TreeMap<>();
    steps.forEach((index, facts) -> changed.put(index >= step ? index + 1 : index, facts));
    return new Facts(changed);
  }

  /** Only the facts of the steps before an index. */
  public Facts before(int step) {
    Map<Integer, StepFacts> kept = new TreeMap<>(steps);
    kept.keySet().removeIf(index -> index >= step);
    return new Facts(kept);
  }
}
