package dremsa.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Lives through the days of a situation with some brews: what is brewed, frozen, used, thawed and
 * thrown away, by the rules that a maker goes by. What goes off first is used first; a dose gives
 * way within its range where a bottle would not last or would be left over; of a brew that freezes,
 * what its life does not need goes into the freezer the same evening.
 */
final class Ledger {
  /** The brew that was agreed on, in its amount. */
  static final int AS_AGREED = -1;

  /** Less than this is a drop in the bottle, mL. */
  private static final double DROP = 1;

  /** Less than this is not worth a portion of its own, mL. */
  private static final double LEAST_FROZEN = 5;

  private static final double EPS = 1e-9;

  /** Listens while the days pass. */
  interface Told {
    /** What is still to be bottled is parted then. */
    default void parted(int lot, double frozen) {}

    default void brewed(int day, int formula, double ml, double frozen, int lot) {}

    default void served(int need, int lot, double ml, boolean thawed) {}

    default void thrown(int day, int lot, double ml) {}

    default void without(int need, double there) {}
  }

  /** Some of a brew or a bottle. */
  static final class Lot {
    final int number;
    final int from;
    final int last;
    final double portion;
    double ml;

    Lot(int number, int from, int last, double portion, double ml) {
      this.number = number;
      this.from = from;
      this.last = last;
      this.portion = portion;
      this.ml = ml;
    }

    boolean frozen() {
      return portion > 0;
    }

    boolean goesBefore(Lot other) {
      return last != other.last ? last < other.last : !frozen() && other.frozen();
    }
  }

  private final Compiled at;
  private final PlanWeights weights;
  private final int[] covers;

  /** Every dose is this share of the usual; 0 where doses give way as they must. */
  private final double share;

  private final @Nullable Told told;
  private final List<List<Lot>> lots = new ArrayList<>();
  private final int[][] nextReady;
  private final double[] servedToday;
  private int numbers;
  private double frozenMl;
  private double fridgeStart;
  private double hard;
  private long medium;
  private double soft;

  private Ledger(Compiled at, int[] covers, double share, @Nullable Told told) {
    this.share = share;
    this.at = at;
    this.weights = at.situation.weights();
    this.covers = covers;
    this.told = told;
    servedToday = new double[at.formulas.size()];
    nextReady = nextReady();
  }

  /**
   * Lives the days through.
   *
   * @param covers for each evening and formula how many needs a brew is to cover that nothing else
   *     covers; 0 where none is brewed
   */
  static PlanScore score(Compiled at, int[] covers) {
    return new Ledger(at, covers, 0, null).live();
  }

  /** Lives the days through and tells of them. */
  static PlanScore tell(Compiled at, int[] covers, Told told) {
    return new Ledger(at, covers, 0, told).live();
  }

  /**
   * As {@link #tell}, where no dose gives way: who goes without then is to be brewed for.
   *
   * @param share of the usual that every dose is
   */
  static void tellRigidly(Compiled at, int[] covers, double share, Told told) {
    new Ledger(at, covers, share, told).live();
  }

  private int[][] nextReady() {
    int[][] next = new int[at.formulas.size()][at.days + 1];
    for (int p = 0; p < next.length; p++) {
      Arrays.fill(next[p], at.days);
    }
    for (Supply supply : at.situation.supplies()) {
      int from = at.dayOf(supply.from());
      if (from > 0 && from < at.days) {
        next[at.formulas.indexOf(supply.formula())][from] = from;
      }
    }
    for (int day = 0; day < at.days; day++) {
      for (int p = 0; p < at.brewables; p++) {
        int ready = day + at.lead[p];
        if (covers[at.slot(day, p)] != 0 && ready < at.days) {
          next[p][ready] = ready;
        }
      }
    }
    for (int[] of : next) {
      for (int day = at.days - 1; day >= 0; day--) {
        of[day] = Math.min(of[day], of[day + 1]);
      }
    }
    return next;
  }

  private PlanScore live() {
    begin();
    int k = 0;
    double agreedTo = lastAgreed();
    for (int day = 0; day < at.days; day++) {
      Arrays.fill(servedToday, 0);
      while (k < at.needs.size() && at.needDay[k] == day) {
        serve(k++, day);
      }
      evening(day, agreedTo);
      throwAway(day);
    }
    return new PlanScore((long) Math.ceil(hard), medium, Math.round(soft * 1000));
  }

  private void begin() {
    for (int p = 0; p < at.formulas.size(); p++) {
      lots.add(new ArrayList<>());
    }
    for (Supply supply : at.situation.supplies()) {
      int number = numbers++;
      int last = at.dayOf(supply.lastDay());
      if (supply.millilitres() <= 0) {
        continue;
      }
      if (last < 0) {
        continue;
      }
      int formula = at.formulas.indexOf(supply.formula());
      int from = Math.max(0, at.dayOf(supply.from()));
      double frozen = supply.frozen() ? supply.millilitres() : 0;
      if (supply.frozenTo().isPresent()) {
        // It is bottled on its day: what its life does not need is frozen then.
        frozen = frozen(formula, from, last, supply.portionMl(), supply.millilitres());
        if (told != null && frozen > 0) {
          told.parted(number, frozen);
        }
      }
      int lastFrozen = supply.frozenTo().map(at::dayOf).orElse(last);
      if (frozen > 0) {
        put(formula, new Lot(number, from, lastFrozen, supply.portionMl(), frozen));
      }
      if (supply.millilitres() - frozen > EPS) {
        put(formula, new Lot(number, from, last, 0, supply.millilitres() - frozen));
      }
      frozenMl += frozen;
      fridgeStart += supply.millilitres() - frozen;
    }
  }

  private double lastAgreed() {
    int last = -1;
    for (int slot = 0; slot < at.agreed.length; slot++) {
      if (at.agreed[slot] > 0) {
        last = slot / Math.max(1, at.brewables);
      }
    }
    return last;
  }

  private void put(int formula, Lot lot) {
    List<Lot> all = lots.get(formula);
    int place = 0;
    while (place < all.size() && !lot.goesBefore(all.get(place))) {
      place++;
    }
    all.add(place, lot);
  }

  private void serve(int k, int day) {
    Need need = at.needs.get(k);
    int best = Compiled.NONE;
    int bestLiking = Integer.MAX_VALUE;
    int soonest = Integer.MAX_VALUE;
    double most = 0;
    for (int c = 0; c < at.accepted[k].length; c++) {
      int formula = at.accepted[k][c];
      double there = there(formula, day);
      most = Math.max(most, there);
      if (there + EPS < need.least() || at.liking[k][c] > bestLiking) {
        continue;
      }
      // What a need is reckoned with goes first; where nothing was reckoned yet, what goes off
      // first.
      int last = formula == at.primary[k] && at.reckoned ? -1 : goesOff(formula, day);
      boolean better = at.liking[k][c] < bestLiking || last < soonest;
      if (better) {
        best = formula;
        bestLiking = at.liking[k][c];
        soonest = last;
      }
    }
    if (best == Compiled.NONE) {
      medium += PlanWeights.WITHOUT;
      if (told != null) {
        told.without(k, most);
      }
      return;
    }
    medium += PlanWeights.LIKED_LESS * bestLiking;
    double ratio = 1;
    if (need.elastic() && best == at.primary[k]) {
      ratio = share > 0 ? share : ratio(best, day);
    }
    take(k, best, day, at.dose[k] * ratio);
    servedToday[best] += at.primary[k] == best ? at.dose[k] : 0;
  }

  private double there(int formula, int day) {
    double sum = 0;
    for (Lot lot : lots.get(formula)) {
      if (lot.from <= day) {
        sum += lot.ml;
      }
    }
    return sum;
  }

  private int goesOff(int formula, int day) {
    for (Lot lot : lots.get(formula)) {
      if (lot.from <= day && lot.ml > 0) {
        return lot.last;
      }
    }
    return Integer.MAX_VALUE;
  }

  /** How much of the usual dose is used, so that nothing is left over and nobody goes without. */
  private double ratio(int formula, int day) {
    double fresh = 0;
    double all = 0;
    double more = 1;
    for (Lot lot : lots.get(formula)) {
      if (lot.from > day) {
        continue;
      }
      all += lot.ml;
      if (!lot.frozen()) {
        fresh += lot.ml;
        if (lot.last < at.days) {
          more = Math.max(more, fresh / needed(formula, day, lot.last));
        }
      }
    }
    if (more > 1) {
      return Math.min(Need.MOST, more);
    }
    double until = needed(formula, day, nextReady[formula][Math.min(at.days, day + 1)] - 1);
    return all < until ? Math.max(Need.LEAST, all / until) : 1;
  }

  private double needed(int formula, int day, int through) {
    return Math.max(EPS, at.needed(formula, day, through) - servedToday[formula]);
  }

  private void take(int k, int formula, int day, double target) {
    Need need = at.needs.get(k);
    double got = 0;
    Lot thawed = null;
    for (Lot lot : lots.get(formula)) {
      if (lot.from > day || lot.ml <= 0 || target - got <= EPS) {
        continue;
      }
      if (!lot.frozen()) {
        double some = Math.min(lot.ml, target - got);
        lot.ml -= some;
        got += some;
        say(k, lot, some, false);
        continue;
      }
      if (got + EPS >= need.least()) {
        break;
      }
      double portions =
          Math.max(
              Math.ceil((need.least() - got) / lot.portion - EPS),
              Math.rint((target - got) / lot.portion));
      double out = Math.min(lot.ml, portions * lot.portion);
      double some = Math.min(out, need.most() - got);
      lot.ml -= out;
      frozenMl -= out;
      got += some;
      soft += weights.thaw();
      say(k, lot, some, true);
      if (out - some > EPS) {
        thawed = new Lot(lot.number, day, Math.min(lot.last, day + Supply.THAWED), 0, out - some);
      }
    }
    if (thawed != null) {
      put(formula, thawed);
    }
    lots.get(formula).removeIf(lot -> lot.ml <= EPS);
  }

  private void say(int k, Lot lot, double ml, boolean thaws) {
    if (told != null) {
      told.served(k, lot.number, ml, thaws);
    }
  }

  private void evening(int day, double agreedTo) {
    double used = 0;
    for (int p = 0; p < at.brewables; p++) {
      int slot = at.slot(day, p);
      double agreed = at.agreed[slot];
      int cover = covers[slot];
      if (cover == 0) {
        soft += agreed > 0 ? weights.change() : 0;
        continue;
      }
      double sized = size(p, day, Math.max(1, cover));
      double ml = cover == AS_AGREED ? agreed : sized;
      if (ml <= 0) {
        continue;
      }
      if (cover != AS_AGREED) {
        soft +=
            agreed > 0
                ? weights.change() * Math.min(1, Math.abs(ml - agreed) / agreed) / 2
                : day <= agreedTo ? weights.change() / 2 : 0;
      }
      used += at.hands[p];
      soft += at.hands[p] + ml * at.cost[p] * weights.money();
      if (!at.canBrew(day, p) || ml > at.most[p] + EPS) {
        hard += 1 + Math.max(0, ml - at.most[p]);
      }
      brew(day, p, ml);
    }
    if (used > 0) {
      used += weights.session();
      soft += weights.session();
      hard += Math.max(0, used - at.minutes[day]);
    }
  }

  /** So much that the next needs which nothing covers are covered, mL. */
  private double size(int formula, int day, int cover) {
    List<Lot> standing = lots.get(formula);
    double[] left = new double[standing.size()];
    for (int i = 0; i < left.length; i++) {
      left[i] = standing.get(i).ml;
    }
    int ready = day + at.lead[formula];
    int longest = day + Math.max(at.life[formula], at.frozenLife[formula]);
    double sum = 0;
    int count = 0;
    for (int k : at.needsOf[formula]) {
      int on = at.needDay[k];
      if (on <= day || on > longest) {
        continue;
      }
      if (covered(standing, left, on, at.dose[k], at.needs.get(k).least()) || on < ready) {
        continue;
      }
      soft += tight(formula, day, on) ? weights.tight() : 0;
      sum += at.dose[k];
      if (++count == cover) {
        break;
      }
    }
    if (count == 0) {
      return 0;
    }
    return Math.min(at.most[formula], Math.max(at.least[formula], sum * (1 + weights.margin())));
  }

  /** Takes a dose from what stands, if there is enough of it. */
  private static boolean covered(
      List<Lot> standing, double[] left, int on, double dose, double least) {
    double there = 0;
    for (int i = 0; i < left.length; i++) {
      Lot lot = standing.get(i);
      there += lot.from <= on && lot.last >= on ? left[i] : 0;
    }
    if (there + EPS < least) {
      return false;
    }
    double wanted = dose;
    for (int i = 0; i < left.length && wanted > EPS; i++) {
      Lot lot = standing.get(i);
      if (lot.from <= on && lot.last >= on) {
        double some = Math.min(left[i], wanted);
        left[i] -= some;
        wanted -= some;
      }
    }
    return true;
  }

  /** Whether no later evening would do for a need: if this one falls out, somebody goes without. */
  private boolean tight(int formula, int day, int on) {
    for (int later = day + 1; later + at.lead[formula] <= on; later++) {
      if (at.canBrew(later, formula)) {
        return false;
      }
    }
    return true;
  }

  private void brew(int day, int formula, double ml) {
    int number = numbers++;
    int from = day + at.lead[formula];
    double frozen =
        frozen(formula, Math.min(from, day + 1), day + at.life[formula], at.portion[formula], ml);
    if (ml - frozen > EPS) {
      put(formula, new Lot(number, from, day + at.life[formula], 0, ml - frozen));
    }
    if (frozen > 0) {
      soft += weights.freeze();
      frozenMl += frozen;
      put(
          formula,
          new Lot(number, from, day + at.frozenLife[formula], at.portion[formula], frozen));
    }
    if (told != null) {
      told.brewed(day, formula, ml, frozen, number);
    }
  }

  /**
   * What the life of a brew does not need, as far as there is room; the last portion is smaller.
   *
   * @param from the first day on which it can be used
   */
  private double frozen(int formula, int from, int last, double portion, double ml) {
    if (portion <= 0) {
      return 0;
    }
    double needed = at.needed(formula, from, last);
    for (Lot lot : lots.get(formula)) {
      if (!lot.frozen()) {
        needed -= Math.min(lot.ml, at.needed(formula, from, lot.last));
      }
    }
    double rest = Math.min(ml - Math.max(0, needed), at.situation.freezerMl() - frozenMl);
    return rest < Math.max(LEAST_FROZEN, portion / 2) ? 0 : rest;
  }

  private void throwAway(int day) {
    double fresh = 0;
    for (List<Lot> all : lots) {
      for (int i = 0; i < all.size(); i++) {
        Lot lot = all.get(i);
        if (!lot.frozen() && lot.from <= day + 1) {
          fresh += lot.ml;
        }
        if (lot.last == day) {
          if (lot.ml > DROP) {
            soft += lot.ml * weights.waste();
            if (told != null) {
              told.thrown(day, lot.number, lot.ml);
            }
          }
          frozenMl -= lot.frozen() ? lot.ml : 0;
          all.remove(i--);
        }
      }
    }
    soft += fresh * weights.age();
    hard += Math.max(0, fresh - Math.max(at.situation.fridgeMl(), fridgeStart));
  }
}
