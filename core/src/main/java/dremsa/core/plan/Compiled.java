package dremsa.core.plan;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A situation as numbers, for what is reckoned many thousand times. Days count from today, formulas
 * and needs by their places.
 */
final class Compiled {
  /** No formula. */
  static final int NONE = -1;

  final Situation situation;
  final int days;

  /** Formulas that can be brewed come first, then those that only stand. */
  final List<String> formulas = new ArrayList<>();

  final int brewables;
  final int[] lead;
  final int[] life;
  final int[] frozenLife;
  final double[] portion;
  final double[] least;
  final double[] most;
  final double[] hands;
  final double[] cost;

  /** In the order of their days. */
  final List<Need> needs;

  final int[] needDay;
  final double[] dose;
  final int[][] accepted;
  final int[][] liking;

  /** The formula a need is reckoned with. */
  final int[] primary;

  /** Whether the primaries were chosen by what stands; before that they are only a guess. */
  boolean reckoned;

  /** Needs by their formula, ascending. */
  int[][] needsOf = new int[0][];

  /** Doses of a formula on days before a day. */
  double[][] dosesBefore = new double[0][];

  /** Minutes of each day; 0 where nothing is brewed. */
  final double[] minutes;

  final double[] agreed;
  final boolean[] pinned;

  Compiled(Situation situation) {
    this.situation = situation;
    days = situation.days();
    Map<String, Integer> places = new HashMap<>();
    for (Brewable brewable : situation.brewables()) {
      places.put(brewable.formula(), formulas.size());
      formulas.add(brewable.formula());
    }
    brewables = formulas.size();
    for (Supply supply : situation.supplies()) {
      if (!places.containsKey(supply.formula())) {
        places.put(supply.formula(), formulas.size());
        formulas.add(supply.formula());
      }
    }
    lead = new int[brewables];
    life = new int[brewables];
    frozenLife = new int[brewables];
    portion = new double[brewables];
    least = new double[brewables];
    most = new double[brewables];
    hands = new double[brewables];
    cost = new double[brewables];
    for (int p = 0; p < brewables; p++) {
      Brewable brewable = situation.brewables().get(p);
      lead[p] = brewable.lead();
      life[p] = brewable.life();
      frozenLife[p] = brewable.freezing().map(Brewable.Freezing::life).orElse(0);
      portion[p] = brewable.freezing().map(Brewable.Freezing::portionMl).orElse(0.0);
      least[p] = brewable.leastMl();
      most[p] = brewable.mostMl();
      hands[p] = brewable.hands();
      cost[p] = brewable.costPerMl();
    }
    needs =
        situation.needs().stream()
            .filter(need -> dayOf(need.day()) >= 0 && dayOf(need.day()) < days)
            .sorted(java.util.Comparator.comparing(Need::day))
            .toList();
    needDay = needs.stream().mapToInt(need -> dayOf(need.day())).toArray();
    dose = needs.stream().mapToDouble(Need::millilitres).toArray();
    accepted = new int[needs.size()][];
    liking = new int[needs.size()][];
    primary = new int[needs.size()];
    for (int k = 0; k < needs.size(); k++) {
      List<Need.Accepted> known =
          needs.get(k).accepted().stream()
              .filter(each -> places.containsKey(each.formula()))
              .toList();
      accepted[k] =
          known.stream().mapToInt(each -> places.getOrDefault(each.formula(), NONE)).toArray();
      liking[k] = known.stream().mapToInt(Need.Accepted::liking).toArray();
      primary[k] =
          Arrays.stream(accepted[k])
              .filter(p -> p < brewables)
              .findFirst()
              .orElse(accepted[k].length > 0 ? accepted[k][0] : NONE);
    }
    minutes = new double[days];
    for (Evening evening : situation.evenings()) {
      int day = dayOf(evening.day());
      if (day >= 0 && day < days) {
        minutes[day] = evening.minutes();
      }
    }
    agreed = new double[days * brewables];
    pinned = new boolean[days * brewables];
    for (Agreed each : situation.agreed()) {
      int day = dayOf(each.day());
      Integer p = places.get(each.formula());
      if (day >= 0 && day < days && p != null && p < brewables) {
        agreed[slot(day, p)] += each.millilitres();
        pinned[slot(day, p)] |= each.pinned();
      }
    }
    index();
  }

  /** Reckons with other formulas for the needs. */
  void primaries(int[] chosen) {
    System.arraycopy(chosen, 0, primary, 0, chosen.length);
    reckoned = true;
    index();
  }

  private void index() {
    int all = formulas.size();
    needsOf = new int[all][];
    dosesBefore = new double[all][days + 1];
    for (int p = 0; p < all; p++) {
      int formula = p;
      needsOf[p] =
          java.util.stream.IntStream.range(0, needs.size())
              .filter(k -> primary[k] == formula)
              .toArray();
      for (int k : needsOf[p]) {
        dosesBefore[p][needDay[k] + 1] += dose[k];
      }
      for (int day = 0; day < days; day++) {
        dosesBefore[p][day + 1] += dosesBefore[p][day];
      }
    }
  }

  /** What is needed of a formula from a day through another, mL. */
  double needed(int formula, int from, int through) {
    double[] before = dosesBefore[formula];
    int end = Math.min(days, through + 1);
    int start = Math.min(end, Math.max(0, from));
    return before[end] - before[start];
  }

  int dayOf(java.time.LocalDate day) {
    long between = ChronoUnit.DAYS.between(situation.today(), day);
    return (int) Math.max(Integer.MIN_VALUE / 4, Math.min(Integer.MAX_VALUE / 4, between));
  }

  int slot(int day, int formula) {
    return day * brewables + formula;
  }

  /** Whether there is an evening long enough for a brew. */
  boolean canBrew(int day, int formula) {
    Brewable brewable = situation.brewables().get(formula);
    double least = Math.max(brewable.minutes(), brewable.hands() + situation.weights().session());
    return minutes[day] > 0 && minutes[day] >= least && most[formula] > 0;
  }

  /** The most needs that one brew of a formula is planned for. */
  int mostCovered(int formula) {
    int most = 0;
    int[] of = needsOf[formula];
    double room = this.most[formula];
    int longest = Math.max(life[formula], frozenLife[formula]);
    for (int a = 0, b = 0; a < of.length; a++) {
      b = Math.max(a, b);
      double sum = 0;
      for (b = a; b < of.length && needDay[of[b]] - needDay[of[a]] < longest; b++) {
        sum += dose[of[b]];
        if (sum > room) {
          break;
        }
      }
      most = Math.max(most, b - a);
    }
    return Math.max(most, of.length > 0 ? 1 : 0);
  }
}
