package dremsa.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * When to brew one formula, and how much: the dynamic programme of Wagner and Whitin (Management
 * Science 5, 1958), with a shelf life, a second life in the freezer, and a least and a largest
 * brew. Exact where each brew is used up before the next is begun, and a need is served from one
 * brew.
 */
public final class LotSizing {
  private final double[] setup;
  private final int[] days;
  private final double[] amounts;
  private final Terms terms;

  /**
   * A formula's needs.
   *
   * @param setup cost of brewing on each day; infinite where nothing can be brewed
   * @param days of the needs, ascending
   * @param amounts of the needs
   */
  public LotSizing(double[] setup, int[] days, double[] amounts, Terms terms) {
    this.setup = setup.clone();
    this.days = days.clone();
    this.amounts = amounts.clone();
    this.terms = terms;
  }

  /**
   * What holds for the formula.
   *
   * @param lead days until a brew can be used
   * @param life days after brewing that it may be used
   * @param frozen days after brewing that what was frozen may be used; 0 where it cannot be
   * @param least smallest brew; the rest of it is thrown away
   * @param most largest brew
   * @param holding cost of keeping one unit for a day
   * @param freezing cost of a brew of which anything is frozen
   * @param thawing cost of a need that is served frozen
   * @param waste cost of a unit thrown away
   * @param skip cost of leaving a need out; infinite where none may be
   * @param tight cost of a need for which no later day than that of its brew would do
   */
  public record Terms(
      int lead,
      int life,
      int frozen,
      double least,
      double most,
      double holding,
      double freezing,
      double thawing,
      double waste,
      double skip,
      double tight) {
    /** Nothing spoils, nothing is frozen, any amount can be brewed. */
    public static Terms lasting(double holding) {
      return new Terms(
          0,
          Integer.MAX_VALUE / 2,
          0,
          0,
          Double.POSITIVE_INFINITY,
          holding,
          0,
          0,
          0,
          Double.POSITIVE_INFINITY,
          0);
    }

    int longest() {
      return Math.max(life, frozen);
    }
  }

  /**
   * A brew.
   *
   * @param from number of the first need that it serves
   * @param to number after the last one
   */
  public record Lot(int day, int from, int to) {}

  /**
   * The answer.
   *
   * @param cost infinite where some need cannot be served at all
   * @param lots in the order of their days
   */
  public record Answer(double cost, List<Lot> lots) {}

  /** Nothing ends here. */
  private static final int NOTHING = -1;

  /** The last need was left out. */
  private static final int SKIPPED = -2;

  /** The cheapest way to serve the needs. */
  public Answer solve() {
    int needs = days.length;
    // best[k]: the first k needs are dealt with, by brews up to the day before.
    double[] best = new double[needs + 1];
    for (int k = 1; k <= needs; k++) {
      best[k] = best[k - 1] + terms.skip;
    }
    int[][] startOf = new int[setup.length][needs + 1];
    int[] nextDay = nextDays();
    for (int day = 0; day < setup.length; day++) {
      Arrays.fill(startOf[day], NOTHING);
      double[] next = best.clone();
      for (int from = 0; from < needs && !Double.isInfinite(setup[day]); from++) {
        if (!Double.isInfinite(best[from]) && days[from] - day >= terms.lead) {
          extend(day, nextDay[day], from, best[from], next, startOf[day]);
        }
      }
      for (int k = 1; k <= needs; k++) {
        if (next[k - 1] + terms.skip < next[k]) {
          next[k] = next[k - 1] + terms.skip;
          startOf[day][k] = SKIPPED;
        }
      }
      best = next;
    }
    if (Double.isInfinite(best[needs])) {
      return new Answer(Double.POSITIVE_INFINITY, List.of());
    }
    return new Answer(best[needs], lots(startOf));
  }

  /** The next day after each on which anything can be brewed. */
  private int[] nextDays() {
    int[] next = new int[setup.length];
    int following = Integer.MAX_VALUE / 2;
    for (int day = setup.length - 1; day >= 0; day--) {
      next[day] = following;
      following = Double.isInfinite(setup[day]) ? following : day;
    }
    return next;
  }

  private List<Lot> lots(int[][] startOf) {
    List<Lot> lots = new ArrayList<>();
    int end = days.length;
    for (int day = startOf.length - 1; day >= 0; day--) {
      while (startOf[day][end] == SKIPPED) {
        end--;
      }
      if (startOf[day][end] != NOTHING) {
        lots.add(0, new Lot(day, startOf[day][end], end));
        end = startOf[day][end];
      }
    }
    return List.copyOf(lots);
  }

  /** All runs of needs that a brew of a day may serve from one need on. */
  private void extend(
      int day, int following, int from, double before, double[] next, int[] startOf) {
    double sum = 0;
    double cost = before + setup[day];
    double freezing = 0;
    for (int k = from; k < days.length; k++) {
      int age = days[k] - day;
      sum += amounts[k];
      if (age > terms.longest() || sum > terms.most) {
        return;
      }
      cost += amounts[k] * age * terms.holding;
      cost += following + terms.lead > days[k] ? terms.tight : 0;
      if (age > terms.life) {
        freezing = terms.freezing;
        cost += terms.thawing;
      }
      double all = cost + freezing + Math.max(0, terms.least - sum) * terms.waste;
      if (all < next[k + 1]) {
        next[k + 1] = all;
        startOf[k + 1] = from;
      }
    }
  }
}
