package dremsa.core.brew;

import java.util.OptionalDouble;

/** Temperatures that matter to hands, blender, additions and scalp. */
public enum Landmark {
  /** Cool enough to strain without scalding. */
  STRAIN(60, "cool enough to strain"),
  /** Below this a blender's lid stays on; the same temperature, another danger. */
  BLEND(60, "cool enough to blend"),
  /** Cool enough for oils, drops and preservative. */
  ADD(40, "cool enough to stir in oils and drops"),
  /** At most this warm on the scalp, tested on the wrist. */
  SCALP(38, "cool enough for the scalp");

  private final double celsius;
  private final String words;

  Landmark(double celsius, String words) {
    this.celsius = celsius;
    this.words = words;
  }

  public double celsius() {
    return celsius;
  }

  public String words() {
    return words;
  }

  /**
   * The minute from which a brew stays at or below this temperature.
   *
   * @return empty when it was never warmer, or is not so cool by the end of its trace
   */
  public OptionalDouble reachedIn(Prediction prediction) {
    double since = Double.NaN;
    boolean wasWarmer = false;
    for (TracePoint moment : prediction.trace()) {
      if (moment.celsius() > celsius) {
        wasWarmer = true;
        since = Double.NaN;
      } else if (wasWarmer && Double.isNaN(since)) {
        since = moment.minute();
      }
    }
    return Double.isNaN(since) ? OptionalDouble.empty() : OptionalDouble.of(since);
  }
}
