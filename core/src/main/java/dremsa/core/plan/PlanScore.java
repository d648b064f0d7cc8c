package dremsa.core.plan;

import java.util.Comparator;

/**
 * How good a plan is: what is broken first, then who goes without, then the rest.
 *
 * @param hard minutes and millilitres by which limits are broken; 0 in a plan that can be done
 * @param medium who goes without or gets what is liked less, {@link PlanWeights#WITHOUT} each
 * @param soft thousandths of a minute of hands, all weights summed up
 */
public record PlanScore(long hard, long medium, long soft) implements Comparable<PlanScore> {
  private static final Comparator<PlanScore> BEST_FIRST =
      Comparator.comparingLong(PlanScore::hard)
          .thenComparingLong(PlanScore::medium)
          .thenComparingLong(PlanScore::soft);

  /** The better plan comes first. */
  @Override
  public int compareTo(PlanScore other) {
    return BEST_FIRST.compare(this, other);
  }

  /** All that counts in the last level, as minutes of hands. */
  public double minutes() {
    return soft / 1000.0;
  }

  /** Less than this is not worth agreeing anew, thousandths of a minute. */
  private static final long WORTH = 15_000;

  /**
   * Whether another plan is so much better that it is worth offering: more are served, or it saves
   * a quarter of an hour.
   */
  public boolean worthChangingFor(PlanScore other) {
    return other.hard < hard
        || other.hard == hard
            && (other.medium < medium || other.medium == medium && other.soft < soft - WORTH);
  }
}
