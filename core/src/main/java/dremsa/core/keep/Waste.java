package dremsa.core.keep;

import dremsa.core.keep.DiscardReason.Because;
import dremsa.core.measure.Said;
import java.util.EnumMap;
import java.util.Map;

/**
 * What was made and what became of it, over some time: of one formula, of a month, of all.
 *
 * @param batches that were bottled
 * @param brewedMl bottled in all, mL
 * @param usedMl of it used, mL
 * @param thrownMl of it thrown away, mL for each reason; reasons without waste are left out
 * @param cost of the materials of the batches, in the household's currency, as far as their prices
 *     are known
 */
public record Waste(
    int batches, double brewedMl, double usedMl, Map<DiscardReason, Double> thrownMl, double cost) {
  /** Less than this share thrown away is no matter; common practice. */
  private static final double SMALL_SHARE = 0.08;

  /** Nothing was made. */
  public static final Waste NONE = new Waste(0, 0, 0, Map.of(), 0);

  public Waste {
    thrownMl = Map.copyOf(thrownMl);
  }

  /** One batch, mL. */
  public static Waste brewed(double millilitres) {
    return new Waste(1, millilitres, 0, Map.of(), 0);
  }

  /** Used, mL. */
  public static Waste used(double millilitres) {
    return new Waste(0, 0, millilitres, Map.of(), 0);
  }

  /** Thrown away, mL. */
  public static Waste thrown(DiscardReason reason, double millilitres) {
    return new Waste(0, 0, 0, Map.of(reason, millilitres), 0);
  }

  /** Materials at their price. */
  public static Waste cost(double money) {
    return new Waste(0, 0, 0, Map.of(), money);
  }

  /** Both together. */
  public Waste plus(Waste other) {
    Map<DiscardReason, Double> sum = new EnumMap<>(DiscardReason.class);
    sum.putAll(thrownMl);
    other.thrownMl.forEach((reason, ml) -> sum.merge(reason, ml, Double::sum));
    return new Waste(
        batches + other.batches,
        brewedMl + other.brewedMl,
        usedMl + other.usedMl,
        sum,
        cost + other.cost);
  }

  /** Thrown away in all, mL. */
  public double thrownInAllMl() {
    return thrownMl.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** Share thrown away of all that is gone, 0 to 1; 0 where nothing is. */
  public double thrownShare() {
    double gone = usedMl + thrownInAllMl();
    return gone > 0 ? thrownInAllMl() / gone : 0;
  }

  /** What the materials of that cost which was thrown away; never more than all of them. */
  public double thrownCost() {
    return brewedMl > 0 ? cost * Math.min(1, thrownInAllMl() / brewedMl) : 0;
  }

  private double thrownFor(Because because) {
    return thrownMl.entrySet().stream()
        .filter(entry -> entry.getKey().because() == because)
        .mapToDouble(Map.Entry::getValue)
        .sum();
  }

  /**
   * What would throw less of it away; common practice.
   *
   * @return one or two sentences; empty where little was wasted, or by chance
   */
  public String advice() {
    double dated = thrownFor(Because.DATED);
    double spoiled = thrownFor(Because.SPOILED);
    double disliked = thrownFor(Because.DISLIKED);
    if (brewedMl <= 0 || batches == 0 || (dated + spoiled + disliked) / brewedMl < SMALL_SHARE) {
      return "";
    }
    if (dated >= spoiled && dated >= disliked) {
      double left = dated / brewedMl;
      double batch = brewedMl / batches;
      return Said.of(
          "A batch has about %.0f mL and %.0f %% of it runs over its date. Brew about %.0f mL, or"
              + " freeze what is not used in the first days.",
          batch, left * 100, (double) Math.max(50, Math.round(batch * (1 - left) / 10) * 10));
    }
    return spoiled >= disliked
        ? "It spoils before its date. Sterilise the bottles, strain finer, cool it faster, or use a"
            + " working preservative."
        : "It is thrown away because nobody likes it: change the formula, or brew another.";
  }
}
