package dremsa.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Brews of single formulas, each exact by itself, made to share their evenings: what an evening
 * costs is divided between the formulas that are brewed on it, and the shares are moved to and fro
 * (a subgradient method). It gives brews to begin with, and a bound that no plan can fall below.
 */
final class Bound {
  private static final int ROUNDS = 30;

  /** What is left out weighs more than any minutes. */
  private static final double SKIP = 1e7;

  private final Compiled at;
  private final PlanWeights weights;
  private final int[] kept;
  private final int[][] open;
  private final int[][] openAtLeast;
  private final List<int[]> starts = new ArrayList<>();
  private double bound;
  private double always;

  /**
   * @param kept brews that stay, as covers
   * @param open needs of each formula that nothing serves yet
   * @param openAtLeast the same, where every dose is as small as it may be
   */
  Bound(Compiled at, int[] kept, int[][] open, int[][] openAtLeast) {
    this.openAtLeast = openAtLeast;
    this.at = at;
    this.weights = at.situation.weights();
    this.kept = kept;
    this.open = open;
    run();
  }

  /** Brews to begin with, the shares of the evenings moved from one to the next. */
  List<int[]> starts() {
    return starts;
  }

  /** Thousandths of a minute; no plan that serves the same costs less. */
  long bound() {
    return Math.max(0, (long) Math.floor(bound * 1000));
  }

  private void run() {
    int formulas = at.brewables;
    always = always();
    double[][] share = new double[formulas][at.days];
    for (double[] of : share) {
      Arrays.fill(of, weights.session() / Math.max(1, formulas));
    }
    double step = weights.session() / 3;
    for (int round = 0; round < ROUNDS; round++) {
      int[] covers = kept.clone();
      double low = fixed() + always;
      int[][] brewed = new int[formulas][at.days];
      for (int p = 0; p < formulas; p++) {
        LotSizing.Answer real = problem(p, share[p], false).solve();
        for (LotSizing.Lot lot : real.lots()) {
          covers[at.slot(lot.day(), p)] = lot.to() - lot.from();
        }
        LotSizing.Answer least = problem(p, share[p], true).solve();
        low += least.cost();
        for (LotSizing.Lot lot : least.lots()) {
          brewed[p][lot.day()] = 1;
        }
      }
      bound = Math.max(bound, low);
      starts.add(covers);
      move(share, brewed, step);
      step *= 0.9;
    }
  }

  /** What the needs cost whenever they are brewed for: ingredients, and waiting or thawing. */
  private double always() {
    double sum = 0;
    for (int p = 0; p < at.brewables; p++) {
      for (int k : openAtLeast[p]) {
        double ml = at.dose[k] * Need.LEAST;
        sum += ml * at.cost[p] * weights.money();
        sum += at.frozenLife[p] > 0 ? Math.min(weights.thaw(), ml * at.lead[p] * weights.age()) : 0;
      }
    }
    return sum;
  }

  /** Evenings of kept brews are laid out for anyway, and are free for the others. */
  private double fixed() {
    double sum = 0;
    for (int day = 0; day < at.days; day++) {
      double hands = 0;
      for (int p = 0; p < at.brewables; p++) {
        hands += kept[at.slot(day, p)] != 0 ? at.hands[p] : 0;
      }
      sum += hands > 0 ? hands + weights.session() : 0;
    }
    return sum;
  }

  private boolean laidOut(int day) {
    for (int p = 0; p < at.brewables; p++) {
      if (kept[at.slot(day, p)] != 0) {
        return true;
      }
    }
    return false;
  }

  private LotSizing problem(int p, double[] share, boolean least) {
    double[] setup = new double[at.days];
    for (int day = 0; day < at.days; day++) {
      boolean taken = kept[at.slot(day, p)] != 0;
      setup[day] =
          at.canBrew(day, p) && !taken
              ? at.hands[p] + (laidOut(day) ? 0 : share[day])
              : Double.POSITIVE_INFINITY;
    }
    int[] needs = least ? openAtLeast[p] : open[p];
    int[] days = Arrays.stream(needs).map(k -> at.needDay[k]).toArray();
    double part = least ? Need.LEAST : 1;
    double[] amounts = Arrays.stream(needs).mapToDouble(k -> at.dose[k] * part).toArray();
    double largest = Arrays.stream(amounts).max().orElse(0);
    boolean freezes = at.frozenLife[p] > 0;
    LotSizing.Terms terms =
        least
            ? new LotSizing.Terms(
                at.lead[p],
                Math.max(at.life[p], at.frozenLife[p]),
                0,
                0,
                at.most[p] + largest,
                freezes ? 0 : weights.age(),
                0,
                0,
                0,
                SKIP,
                0)
            : new LotSizing.Terms(
                at.lead[p],
                at.life[p],
                at.frozenLife[p],
                at.least[p],
                Math.max(largest, at.most[p] / (1 + weights.margin())),
                weights.age(),
                weights.freeze(),
                weights.thaw(),
                weights.waste(),
                SKIP,
                weights.tight());
    return new LotSizing(setup, days, amounts, terms);
  }

  /** Who brews on an evening takes more of what it costs; no evening is paid for twice. */
  private void move(double[][] share, int[][] brewed, double step) {
    for (int day = 0; day < at.days; day++) {
      double[] of = new double[share.length];
      for (int p = 0; p < of.length; p++) {
        of[p] = share[p][day] + step * brewed[p][day];
      }
      ontoSimplex(of, weights.session());
      for (int p = 0; p < of.length; p++) {
        share[p][day] = of[p];
      }
    }
  }

  /** The nearest shares that are not below nothing and add up to the whole. */
  private static void ontoSimplex(double[] of, double whole) {
    double[] sorted = of.clone();
    Arrays.sort(sorted);
    double sum = 0;
    double over = 0;
    for (int i = sorted.length - 1, n = 1; i >= 0; i--, n++) {
      sum += sorted[i];
      double each = (sum - whole) / n;
      if (sorted[i] > each) {
        over = each;
      }
    }
    for (int i = 0; i < of.length; i++) {
      of[i] = Math.max(0, of[i] - over);
    }
  }
}
