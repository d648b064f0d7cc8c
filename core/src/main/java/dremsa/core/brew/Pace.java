package dremsa.core.brew;

import java.util.ArrayList;
import java.util.List;

/**
 * Guesses when each step of a batch ended of which only the beginning and the end are known. What
 * it took longer or shorter than predicted is laid to the step that waits longest: a brew stands
 * longer or shorter, it is not stirred for hours. So hours in the warm are billed to its life
 * rather than lost.
 */
public final class Pace {
  private Pace() {}

  /**
   * Minutes since the first step at which each step ended; the last is {@code minutes}.
   *
   * @param prediction of the batch, by the book
   * @param minutes from its first step to the end of its last, above 0
   */
  public static List<Double> ends(Prediction prediction, double minutes) {
    if (!(minutes > 0 && Double.isFinite(minutes))) {
      throw new IllegalArgumentException("minutes must be above 0, not " + minutes);
    }
    List<StepOutcome> steps = prediction.steps();
    double planned = steps.get(steps.size() - 1).endMinute();
    int longest = 0;
    for (int i = 1; i < steps.size(); i++) {
      if (steps.get(i).minutes() > steps.get(longest).minutes()) {
        longest = i;
      }
    }
    double more = minutes - planned;
    boolean fits = steps.get(longest).minutes() + more > 0;
    List<Double> ends = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      double end = steps.get(i).endMinute();
      ends.add(fits ? end + (i >= longest ? more : 0) : end * minutes / planned);
    }
    return ends;
  }
}
