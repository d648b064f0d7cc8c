package dremsa.core.learn;

import dremsa.core.measure.Said;
import java.util.List;
import java.util.Optional;

/**
 * How well the last batches were foretold from those before them.
 *
 * @param batches how many, 1 to {@value #LAST}
 * @param learned half of them came out within this share of what was foretold
 * @param unlearned the same, had nothing been learned
 */
public record Accuracy(int batches, double learned, double unlearned) {
  /** So many of the last count: what a kitchen did a year ago says little of today. */
  static final int LAST = 12;

  /** Fewer than this say nothing. */
  private static final int FEW = 4;

  /** Of the batches that count; empty while there are fewer than four. */
  public static Optional<Accuracy> of(List<KitchenFit.Foretold> all) {
    List<KitchenFit.Foretold> counting =
        all.stream().filter(each -> each.standing() == KitchenFit.Standing.COUNTS).toList();
    if (counting.size() < FEW) {
      return Optional.empty();
    }
    List<KitchenFit.Foretold> last =
        counting.subList(Math.max(0, counting.size() - LAST), counting.size());
    return Optional.of(
        new Accuracy(
            last.size(),
            median(last.stream().map(KitchenFit.Foretold::off).toList()),
            median(last.stream().map(KitchenFit.Foretold::offUncalibrated).toList())));
  }

  private static double median(List<Double> all) {
    List<Double> sorted = all.stream().sorted().toList();
    int n = sorted.size();
    return (sorted.get((n - 1) / 2) + sorted.get(n / 2)) / 2;
  }

  /** As a sentence; that nothing was won is said as well. */
  public String words() {
    String now =
        Said.of(
            "Half of the last %d batches came out within %.1f %% of what was foretold; ",
            batches, 100 * learned);
    return now
        + (learned < unlearned
            ? Said.of("without what your kitchen taught it would be %.1f %%.", 100 * unlearned)
            : Said.of(
                "without what your kitchen taught it would be %.1f %%: nothing is won yet.",
                100 * unlearned));
  }
}
