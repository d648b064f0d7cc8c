package dremsa.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Consumer;

/**
 * Makes plans. The same situation always gives the same plan, however fast the machine is, unless
 * time ran out.
 */
public final class Planner {
  /** So many ways are tried for the first answer at most. */
  private static final int QUICK = 1500;

  /** What is brewed besides may leave others short: so often it is looked at again. */
  private static final int MORE_ROUNDS = 5;

  private final Situation situation;
  private final Compiled at;
  private long bound;
  private int[] best;
  private PlanScore bestScore;

  private Planner(Situation situation) {
    this.situation = situation;
    at = new Compiled(situation);
    best = new int[at.days * at.brewables];
    for (int slot = 0; slot < best.length; slot++) {
      best[slot] = at.pinned[slot] ? Ledger.AS_AGREED : 0;
    }
    reckonWithWhatStands();
    bestScore = Ledger.score(at, best);
  }

  /** A first answer: single formulas exactly, brought onto the same evenings. */
  public static BrewPlan first(Situation situation) {
    Planner planner = new Planner(situation);
    planner.begin();
    return planner.told(planner.best);
  }

  /**
   * The best that is found within an effort; begins with the first answer.
   *
   * @param better hears of each better plan
   */
  public static BrewPlan best(Situation situation, Effort effort, Consumer<BrewPlan> better) {
    Planner planner = new Planner(situation);
    planner.begin();
    better.accept(planner.told(planner.best));
    int[] found =
        Joint.improve(
            planner.at,
            planner.best,
            planner.bound,
            effort,
            covers -> better.accept(planner.told(covers)));
    planner.tryOut(found);
    return planner.told(planner.best);
  }

  /** What comes of exactly these brews, whether they are wise or not. */
  public static BrewPlan judge(Situation situation, List<Agreed> exactly) {
    Planner planner = new Planner(situation.withAgreed(exactly));
    return planner.told(planner.agreed());
  }

  private void begin() {
    int[] pinned = best;
    Bound fresh = bound(pinned);
    bound = fresh.bound();
    fresh.starts().forEach(this::tryOut);
    if (!situation.agreed().isEmpty()) {
      int[] agreed = agreed();
      tryOut(agreed);
      bound(agreed).starts().forEach(this::tryOut);
    }
    polish(QUICK / 2);
    for (int round = 0; round < MORE_ROUNDS && bestScore.medium() > 0; round++) {
      // Where somebody still goes without, more is brewed beside what is planned.
      PlanScore before = bestScore;
      bound(best.clone()).starts().forEach(this::tryOut);
      if (bestScore.compareTo(before) == 0) {
        break;
      }
    }
    polish(QUICK / 2);
  }

  private Bound bound(int[] kept) {
    return new Bound(at, kept, open(kept, 1), open(kept, Need.LEAST));
  }

  private int[] agreed() {
    int[] covers = new int[best.length];
    for (int slot = 0; slot < covers.length; slot++) {
      covers[slot] = at.agreed[slot] > 0 ? Ledger.AS_AGREED : 0;
    }
    return covers;
  }

  /** Where nobody minds which, what stands already serves; the rest is brewed for. */
  private void reckonWithWhatStands() {
    int[] primary = at.primary.clone();
    int[] none = new int[best.length];
    Ledger.tell(
        at,
        none,
        new Ledger.Told() {
          @Override
          public void served(int need, int lot, double ml, boolean thawed) {
            String formula = situation.supplies().get(lot).formula();
            int place = at.formulas.indexOf(formula);
            for (int c = 0; c < at.accepted[need].length; c++) {
              if (at.accepted[need][c] == place && at.liking[need][c] == at.liking[need][0]) {
                primary[need] = place;
              }
            }
          }
        });
    at.primaries(primary);
  }

  /** Needs of each formula that some brews and what stands leave open. */
  private int[][] open(int[] covers, double share) {
    List<Integer> open = new ArrayList<>();
    Ledger.tellRigidly(
        at,
        covers,
        share,
        new Ledger.Told() {
          @Override
          public void without(int need, double there) {
            open.add(need);
          }
        });
    int[][] of = new int[at.brewables][];
    for (int p = 0; p < of.length; p++) {
      int formula = p;
      of[p] =
          open.stream().filter(k -> at.primary[k] == formula).mapToInt(Integer::intValue).toArray();
    }
    return of;
  }

  private boolean tryOut(int[] covers) {
    PlanScore score = Ledger.score(at, covers);
    if (score.compareTo(bestScore) < 0) {
      best = covers.clone();
      bestScore = score;
      return true;
    }
    return false;
  }

  /** Takes brews out, moves them and makes them larger or smaller as long as that helps. */
  private void polish(int tries) {
    int left = tries;
    boolean helped = true;
    while (helped && left > 0) {
      helped = false;
      for (int slot = 0; slot < best.length && left > 0; slot++) {
        if (best[slot] == 0 || at.pinned[slot]) {
          continue;
        }
        for (int[] other : around(slot)) {
          left--;
          if (tryOut(other)) {
            helped = true;
            break;
          }
        }
      }
    }
  }

  private List<int[]> around(int slot) {
    List<int[]> all = new ArrayList<>();
    int day = slot / at.brewables;
    int formula = slot % at.brewables;
    all.add(with(slot, 0));
    for (int more : new int[] {1, -1, 2, -2, 4, -4}) {
      int cover = Math.max(0, best[slot]) + more;
      if (cover > 0) {
        all.add(with(slot, cover));
      }
    }
    for (int direction : new int[] {-1, 1}) {
      int steps = 0;
      for (int other = day + direction;
          other >= 0 && other < at.days && steps < 3;
          other += direction) {
        if (at.canBrew(other, formula)) {
          steps++;
          int[] covers = with(slot, 0);
          int to = at.slot(other, formula);
          covers[to] = Math.max(1, Math.max(0, covers[to]) + Math.max(1, best[slot]));
          all.add(covers);
        }
      }
    }
    return all;
  }

  private int[] with(int slot, int cover) {
    int[] covers = best.clone();
    covers[slot] = cover;
    return covers;
  }

  private BrewPlan told(int[] covers) {
    Teller teller = new Teller(at);
    PlanScore score = Ledger.tell(at, covers, teller);
    boolean known = score.hard() == 0 && score.medium() == 0 && bound > 0;
    return teller.plan(
        score,
        known
            ? OptionalDouble.of(Math.max(0, score.soft() - bound) / (double) bound)
            : OptionalDouble.empty());
  }
}
