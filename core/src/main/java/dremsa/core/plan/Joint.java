package dremsa.core.plan;

import dremsa.core.search.LocalSearch;
import dremsa.core.search.Weight;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * All formulas together: a local search over what is brewed on which evening, for the days lived
 * through by {@link Ledger}.
 */
final class Joint {
  private final Compiled at;
  private final int[] start;

  /** Which brew each of the numbers looked for is: one formula on one evening. */
  private final List<Integer> slots = new ArrayList<>();

  private final List<LocalSearch.Range> ranges = new ArrayList<>();

  private Joint(Compiled at, int[] start) {
    this.at = at;
    this.start = start;
    for (int p = 0; p < at.brewables; p++) {
      int most = at.mostCovered(p);
      for (int day = 0; day < at.days && most > 0; day++) {
        int slot = at.slot(day, p);
        if (at.canBrew(day, p) && !at.pinned[slot]) {
          int least = at.agreed[slot] > 0 ? Ledger.AS_AGREED : 0;
          slots.add(slot);
          ranges.add(new LocalSearch.Range(least, Math.max(most, start[slot]), start[slot]));
        }
      }
    }
  }

  /**
   * Looks for a better plan.
   *
   * @param start covers to begin with
   * @param bound no plan costs less, thousandths of a minute
   * @param better hears of each better one
   */
  static int[] improve(
      Compiled at, int[] start, long bound, Effort effort, Consumer<int[]> better) {
    Joint joint = new Joint(at, start);
    long enough = bound > 0 ? (long) Math.floor(bound * (1 + effort.enough())) : 0;
    int[] found =
        LocalSearch.best(
            joint.ranges,
            joint::weigh,
            new LocalSearch.Ends(effort.moves(), effort.longest(), enough, effort.stopped()),
            numbers -> better.accept(joint.covers(numbers)));
    return joint.covers(found);
  }

  private Weight weigh(int[] numbers) {
    PlanScore score = Ledger.score(at, covers(numbers));
    return new Weight(score.hard(), score.medium(), score.soft());
  }

  private int[] covers(int[] numbers) {
    int[] covers = start.clone();
    for (int i = 0; i < numbers.length; i++) {
      covers[slots.get(i)] = numbers[i];
    }
    return covers;
  }
}
