package dremsa.core.brew;

import java.util.List;
import java.util.Map;

/**
 * How a brew goes, from the first step to the bottle in its place.
 *
 * @param amounts grams of each ingredient by key, additions after straining included
 * @param steps one for each step of the formula
 * @param trace moments from the first step to the bottling, at most about 1 °C apart
 * @param account where the liquid went
 * @param contents what the finished brew consists of
 * @param finished what stands ready
 * @param strengths of each plant, in the order of the formula
 * @param heat how hot it was for how long
 * @param chilling how its bottles come to the temperature of a fridge
 * @param troubles what keeps it from working; empty when nothing does
 */
public record Prediction(
    Map<String, Double> amounts,
    List<StepOutcome> steps,
    List<TracePoint> trace,
    WaterAccount account,
    Contents contents,
    Finished finished,
    List<Strength> strengths,
    HeatHistory heat,
    Chilling chilling,
    List<Trouble> troubles) {
  public Prediction {
    amounts = Map.copyOf(amounts);
    steps = List.copyOf(steps);
    trace = List.copyOf(trace);
    strengths = List.copyOf(strengths);
    troubles = List.copyOf(troubles);
  }

  /**
   * The last moment of the trace at or before a minute since the first step, the first where there
   * is none before.
   *
   * @throws IllegalStateException when it was made without its trace
   */
  public TracePoint momentAt(double minute) {
    if (trace.isEmpty()) {
      throw new IllegalStateException("this prediction has no trace");
    }
    TracePoint last = trace.get(0);
    for (TracePoint point : trace) {
      if (point.minute() > minute + 1e-6) {
        break;
      }
      last = point;
    }
    return last;
  }

  /** Whether it comes to a bottle. */
  public boolean works() {
    return troubles.isEmpty();
  }
}
