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
}
