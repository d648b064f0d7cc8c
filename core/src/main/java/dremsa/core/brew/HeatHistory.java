package dremsa.core.brew;

import java.util.OptionalDouble;

/**
 * What keeping needs to know of how the brew was made.
 *
 * @param firstWetMinute when water first met plant or vessel
 * @param boiledMinutes held at the boil, in all
 * @param pouredHot made with just-boiled water
 * @param strainedMinute when it was last strained; the end when it never was
 * @param bottledMinute when it was filled
 * @param souredMinute when it had surely fermented: that time is no spoilage; empty when it has not
 */
public record HeatHistory(
    double firstWetMinute,
    double boiledMinutes,
    boolean pouredHot,
    double strainedMinute,
    double bottledMinute,
    OptionalDouble souredMinute) {
  /** Whether it stood to ferment, and surely has. */
  public boolean soured() {
    return souredMinute.isPresent();
  }

  /** Hot long enough that the clock of spoilage starts anew on cooling: 5 minutes at the boil. */
  public boolean wasHot() {
    return pouredHot || boiledMinutes >= 5;
  }
}
