package dremsa.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The spoons, cups and jugs a kitchen owns, and the rounding of an amount to them: at most four
 * kinds, any number of the largest, at most three of each other, within three percent where
 * possible and then with the fewest scoops; else the nearest with its error.
 */
public final class ScoopSet {
  /** The error up to which fewer scoops matter more than a closer amount. */
  public static final double TOLERANCE = 0.03;

  private static final int MOST_KINDS = 4;
  private static final int MOST_OF_A_SMALLER = 3;

  /** Which way an amount may be off. */
  public enum Rounding {
    /** Nearest, for herbs and water. */
    NEAREST,
    /** Never above the wanted amount, for what has a limit. */
    DOWN
  }

  private final List<Scoop> scoops;

  private ScoopSet(List<Scoop> scoops) {
    this.scoops = scoops;
  }

  /** A set of these scoops, in any order. */
  public static ScoopSet of(List<Scoop> scoops) {
    List<Scoop> sorted = new ArrayList<>(scoops);
    sorted.sort(Comparator.comparingDouble(Scoop::millilitres).reversed());
    return new ScoopSet(List.copyOf(sorted));
  }

  /** What a kitchen of this system usually owns. */
  public static ScoopSet usual(MeasureSystem system) {
    List<Scoop> set = new ArrayList<>();
    switch (system) {
      case US -> {
        cups(set, KitchenMeasures.US_CUP.size());
        spoons(
            set, KitchenMeasures.US_TABLESPOON.size(), KitchenMeasures.US_TEASPOON.size(), false);
      }
      case US_LABEL -> {
        cups(set, KitchenMeasures.LABEL_CUP.size());
        spoons(set, 15, 5, false);
      }
      case METRIC -> {
        jug(set);
        cups(set, KitchenMeasures.METRIC_CUP.size());
        spoons(set, 15, 5, false);
      }
      case UK -> {
        jug(set);
        spoons(set, 15, 5, true);
      }
      case AUSTRALIAN -> {
        cups(set, KitchenMeasures.METRIC_CUP.size());
        spoons(set, KitchenMeasures.AU_TABLESPOON.size(), 5, false);
      }
      default -> throw new AssertionError(system);
    }
    return of(set);
  }

  /** The scoops, largest first. */
  public List<Scoop> scoops() {
    return scoops;
  }

  /**
   * Rounds an amount to these scoops.
   *
   * @param millilitres wanted, 0 or more
   * @param rounding which way it may be off
   * @return the best found; with no scoops at all when none is owned, or when none is nearer than
   *     the smallest, or, rounding down, when even the smallest holds too much
   * @throws IllegalArgumentException when the amount is negative or not a number
   */
  public ScoopedAmount round(double millilitres, Rounding rounding) {
    if (!(millilitres >= 0) || !Double.isFinite(millilitres)) {
      throw new IllegalArgumentException("amount must be 0 mL or more, not " + millilitres);
    }
    Search search = new Search(millilitres, rounding);
    boolean worthAScoop =
        !scoops.isEmpty() && millilitres >= scoops.get(scoops.size() - 1).millilitres() / 2;
    if (worthAScoop) {
      for (int i = 0; i < scoops.size(); i++) {
        search.from(i);
      }
    }
    return search.best();
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof ScoopSet same && scoops.equals(same.scoops);
  }

  @Override
  public int hashCode() {
    return scoops.hashCode();
  }

  private final class Search {
    private final double wanted;
    private final Rounding rounding;
    private final int[] number = new int[scoops.size()];
    private int[] best = new int[scoops.size()];
    private double bestError = 1;
    private int bestScoops = 0;

    Search(double wanted, Rounding rounding) {
      this.wanted = wanted;
      this.rounding = rounding;
    }

    /** Tries the largest kind {@code first}, in any number, with smaller ones added. */
    void from(int first) {
      int whole = (int) Math.floor(wanted / scoops.get(first).millilitres() + 1e-9);
      for (int n = Math.max(1, whole - 1); n <= whole + 1; n++) {
        number[first] = n;
        double rest = wanted - n * scoops.get(first).millilitres();
        consider(rest);
        if (rest > 0) {
          add(first + 1, rest, 1);
        }
        number[first] = 0;
      }
    }

    private void add(int next, double rest, int kinds) {
      if (kinds == MOST_KINDS) {
        return;
      }
      for (int i = next; i < scoops.size(); i++) {
        double size = scoops.get(i).millilitres();
        for (int n = 1; n <= MOST_OF_A_SMALLER && (n - 1) * size < rest; n++) {
          number[i] = n;
          consider(rest - n * size);
          add(i + 1, rest - n * size, kinds + 1);
        }
        number[i] = 0;
      }
    }

    private void consider(double rest) {
      if (rounding == Rounding.DOWN && rest < -1e-9 * wanted) {
        return;
      }
      double error = Math.abs(rest) / wanted;
      int count = 0;
      for (int i = 0; i < number.length; i++) {
        // A jug filled to a mark is one pouring, however high the mark.
        count += scoops.get(i).kind() == Scoop.Kind.JUG ? Math.min(1, number[i]) : number[i];
      }
      boolean within = error <= TOLERANCE;
      boolean bestWithin = bestScoops > 0 && bestError <= TOLERANCE;
      boolean better =
          bestScoops == 0
              || (within && !bestWithin)
              || (within && bestWithin && fewer(count, error))
              || (!within && !bestWithin && nearer(count, error));
      if (better) {
        best = number.clone();
        bestError = error;
        bestScoops = count;
      }
    }

    private boolean fewer(int count, double error) {
      return count < bestScoops || (count == bestScoops && error < bestError - 1e-12);
    }

    private boolean nearer(int count, double error) {
      return error < bestError - 1e-12 || (error < bestError + 1e-12 && count < bestScoops);
    }

    ScoopedAmount best() {
      List<ScoopedAmount.Count> counts = new ArrayList<>();
      double sum = 0;
      for (int i = 0; i < best.length; i++) {
        if (best[i] > 0) {
          counts.add(new ScoopedAmount.Count(scoops.get(i), best[i]));
          sum += best[i] * scoops.get(i).millilitres();
        }
      }
      return new ScoopedAmount(counts, sum, wanted == 0 ? 0 : (sum - wanted) / wanted);
    }
  }

  private static void jug(List<Scoop> set) {
    set.add(new Scoop("jug-50", "jug", 50, Scoop.Kind.JUG));
  }

  private static void cups(List<Scoop> set, double cup) {
    set.add(new Scoop("cup", "1 cup", cup, Scoop.Kind.CUP));
    set.add(new Scoop("cup-2", "½ cup", cup / 2, Scoop.Kind.CUP));
    set.add(new Scoop("cup-3", "⅓ cup", cup / 3, Scoop.Kind.CUP));
    set.add(new Scoop("cup-4", "¼ cup", cup / 4, Scoop.Kind.CUP));
  }

  private static void spoons(
      List<Scoop> set, double tablespoon, double teaspoon, boolean dessertspoon) {
    set.add(new Scoop("tbsp", "1 tbsp", tablespoon, Scoop.Kind.SPOON));
    if (dessertspoon) {
      set.add(new Scoop("dsp", "1 dsp", 10, Scoop.Kind.SPOON));
    }
    set.add(new Scoop("tsp", "1 tsp", teaspoon, Scoop.Kind.SPOON));
    set.add(new Scoop("tsp-2", "½ tsp", teaspoon / 2, Scoop.Kind.SPOON));
    set.add(new Scoop("tsp-4", "¼ tsp", teaspoon / 4, Scoop.Kind.SPOON));
  }
}
