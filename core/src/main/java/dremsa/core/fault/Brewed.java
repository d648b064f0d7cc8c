package dremsa.core.fault;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.VesselChoice;

/**
 * A batch as it went, as far as that is known.
 *
 * @param facts what really happened; none where nothing was written down
 */
public record Brewed(Brew brew, double scale, VesselChoice vessels, Facts facts) {
  /** A formula of which nothing is known but that it was brewed. */
  public static Brewed unrecorded(Brew brew) {
    return new Brewed(brew, 1, brew.vesselsFor(1), Facts.NONE);
  }

  Prediction prediction() {
    return brew.untraced(scale, vessels, facts);
  }

  Prediction usual() {
    return brew.untraced(scale, vessels, Facts.NONE);
  }

  Brewed with(Brew other) {
    return new Brewed(other, scale, vessels, facts);
  }

  Brewed with(Facts other) {
    return new Brewed(brew, scale, vessels, other);
  }
}
