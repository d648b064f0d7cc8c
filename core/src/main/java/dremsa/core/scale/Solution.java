package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Trouble;
import dremsa.core.brew.VesselChoice;
import java.util.List;
import java.util.OptionalDouble;

/** The answer to a target. */
public sealed interface Solution {

  /**
   * It can be had.
   *
   * @param brew with the proportions that meet the target; the one asked for where only its size
   *     was sought
   * @param scale on the formula's parts
   * @param vessels used
   * @param prediction of that batch
   * @param predictions how many predictions the search took; for benchmarks
   */
  record Reached(
      Brew brew, double scale, VesselChoice vessels, Prediction prediction, int predictions)
      implements Solution {}

  /**
   * It cannot be had in this kitchen.
   *
   * @param wantedMl what was asked for; empty when the target was no volume
   * @param mostMl the most that can be had at once; 0 when nothing runs off at any size
   * @param troubles what stands in the way, with numbers
   */
  record Unreachable(OptionalDouble wantedMl, double mostMl, List<Trouble> troubles)
      implements Solution {
    public Unreachable {
      troubles = List.copyOf(troubles);
    }

    /**
     * In how many equal batches it could be had; 0 when in none, 1 when the size is not at fault.
     */
    public int batches() {
      if (!(mostMl >= Target.LEAST_ML)) {
        return 0;
      }
      return wantedMl.isEmpty()
          ? 1
          : (int) Math.max(1, Math.ceil(wantedMl.getAsDouble() / mostMl - 1e-9));
    }
  }
}
