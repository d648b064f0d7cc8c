package dremsa.core.brew;

/**
 * What keeping needs to know of how the brew was made.
 *
 * @param firstWetMinute when water first met plant or vessel
 * @param boiledMinutes held at the boil, in all
 * @param pouredHot made with just-boiled water
 * @param strainedMinute when it was last strained; the end when it never was
 * @param bottledMinute when it was filled
 * @param soured it stood to ferment, and surely has: then that time is no spoilage
 */
public record HeatHistory(
    double firstWetMinute,
    double boiledMinutes,
    boolean pouredHot,
    double strainedMinute,
    double bottledMinute,
    boolean soured) {
  /** Hot long enough that the clock of spoilage starts anew on cooling: 5 minutes at the boil. */
  public boolean wasHot() {
    return pouredHot || boiledMinutes >= 5;
  }
}
