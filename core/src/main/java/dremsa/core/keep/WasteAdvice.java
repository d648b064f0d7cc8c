package dremsa.core.keep;

import dremsa.core.measure.Said;

/** Says what would throw less of a formula away; common practice. */
public final class WasteAdvice {
  /** Less than this share thrown away is no matter. */
  private static final double SMALL_SHARE = 0.08;

  private WasteAdvice() {}

  /** Share thrown away of all that is gone, 0 to 1; 0 where nothing is. */
  public static double share(double usedMl, double thrownMl) {
    double gone = usedMl + thrownMl;
    return gone > 0 ? thrownMl / gone : 0;
  }

  /**
   * Advice for one formula, over its record.
   *
   * @param brewedMl in all
   * @param batches that it was brewed in
   * @param datedMl thrown away because its last day was over
   * @param spoiledMl thrown away spoiled before its last day
   * @param dislikedMl thrown away because nobody liked it
   * @return one or two sentences; empty where little was wasted
   */
  public static String of(
      double brewedMl, int batches, double datedMl, double spoiledMl, double dislikedMl) {
    double thrown = datedMl + spoiledMl + dislikedMl;
    if (brewedMl <= 0 || batches == 0 || thrown / brewedMl < SMALL_SHARE) {
      return "";
    }
    if (datedMl >= spoiledMl && datedMl >= dislikedMl) {
      double left = datedMl / brewedMl;
      double batch = brewedMl / batches;
      return Said.of(
          "A batch has about %.0f mL and %.0f %% of it runs over its date. Brew about %.0f mL, or"
              + " freeze what is not used in the first days.",
          batch, left * 100, (double) Math.max(50, Math.round(batch * (1 - left) / 10) * 10));
    }
    return spoiledMl >= dislikedMl
        ? "It spoils before its date. Sterilise the bottles, strain finer, cool it faster, or use a"
            + " working preservative."
        : "It is thrown away because nobody likes it: change the formula, or brew another.";
  }
}
