package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.StrainTool;
import java.util.ArrayList;
import java.util.List;

/**
 * A step that is done in several fillings, because blender or strainer are smaller than the batch.
 *
 * @param step index in the formula
 * @param equipment what is filled several times
 * @param fillings 2 or more
 */
public record Load(int step, String equipment, int fillings) {
  /** The steps of a batch that take several fillings; empty when all goes at once. */
  public static List<Load> of(Brew brew, Prediction prediction) {
    List<Load> loads = new ArrayList<>();
    for (StepOutcome outcome : prediction.steps()) {
      if (outcome.fillings() > 1) {
        Step step = brew.formula().steps().get(outcome.index());
        String equipment = step.strainer().map(StrainTool::noun).orElse("blender");
        loads.add(new Load(outcome.index(), equipment, outcome.fillings()));
      }
    }
    return loads;
  }
}
