package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LotSizingTest {
  private static final double[] DEMAND = {69, 29, 36, 61, 61, 26, 34, 67, 45, 67, 79, 56};
  private static final double[] SETUP = {85, 102, 102, 101, 98, 114, 105, 86, 119, 110, 98, 114};

  /** Wagner and Whitin, Management Science 5 (1958), the worked example; from memory. */
  @Test
  void thePublishedExample() {
    LotSizing.Answer answer = classic(LotSizing.Terms.lasting(1)).solve();

    assertThat(answer.cost()).isCloseTo(864, within(1e-9));
    assertThat(answer.lots().stream().map(LotSizing.Lot::day)).containsExactly(0, 2, 4, 7, 9, 10);
  }

  @Test
  void aLotEachPeriodWhereNothingKeeps() {
    LotSizing.Answer answer = classic(keeping(0)).solve();

    assertThat(answer.lots()).hasSize(12);
    assertThat(answer.cost()).isCloseTo(Arrays.stream(SETUP).sum(), within(1e-9));
  }

  @Test
  void longerLifeNeverCostsMore() {
    double before = Double.POSITIVE_INFINITY;
    for (int life = 0; life <= 12; life++) {
      double cost = classic(keeping(life)).solve().cost();
      assertThat(cost).isLessThanOrEqualTo(before);
      before = cost;
    }
    assertThat(before).isCloseTo(864, within(1e-9));
  }

  /**
   * All ways to serve each need from some brew. A brew is used up before the next is begun; where
   * freezing costs nothing by itself, breaking that gains nothing either.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void asGoodAsAllWaysTried(long seed) {
    Random dice = new Random(seed);
    for (int round = 0; round < 40; round++) {
      int days = 6;
      double[] setup = new double[days];
      Arrays.setAll(
          setup, i -> dice.nextInt(4) == 0 ? Double.POSITIVE_INFINITY : 10 + dice.nextInt(40));
      int[] on = IntStream.range(0, days).filter(i -> dice.nextInt(4) > 0).toArray();
      double[] amounts = Arrays.stream(on).mapToDouble(i -> 1 + dice.nextInt(30)).toArray();
      LotSizing.Terms terms =
          new LotSizing.Terms(
              dice.nextInt(2),
              1 + dice.nextInt(3),
              dice.nextBoolean() ? 0 : 5,
              0,
              Double.POSITIVE_INFINITY,
              dice.nextInt(3),
              round % 2 == 0 ? 0 : dice.nextInt(8),
              dice.nextInt(3),
              0,
              1e4,
              0);

      double cost = new LotSizing(setup, on, amounts, terms).solve().cost();

      assertThat(cost)
          .as("%s %s %s", Arrays.toString(setup), Arrays.toString(on), terms)
          .isCloseTo(tried(setup, on, amounts, terms, new int[on.length], 0), within(1e-6));
    }
  }

  @Test
  void aLeastBrewThrowsTheRestAwayAndALargestNeedsAnother() {
    LotSizing.Terms terms =
        new LotSizing.Terms(0, 10, 0, 100, 150, 0, 0, 0, 2, Double.POSITIVE_INFINITY, 0);

    LotSizing.Answer answer =
        new LotSizing(
                new double[] {10, 10, 10}, new int[] {0, 1, 2}, new double[] {70, 70, 70}, terms)
            .solve();

    assertThat(answer.lots()).hasSize(2);
    assertThat(answer.cost()).isCloseTo(10 + 10 + 2 * 30, within(1e-9));
  }

  private static double tried(
      double[] setup, int[] on, double[] amounts, LotSizing.Terms terms, int[] from, int k) {
    if (k == on.length) {
      return paid(setup, on, amounts, terms, from);
    }
    double best = Double.POSITIVE_INFINITY;
    for (int each = -1; each < setup.length; each++) {
      int day = each;
      int age = on[k] - day;
      boolean can =
          day < 0
              || !Double.isInfinite(setup[day])
                  && age >= terms.lead()
                  && age <= Math.max(terms.life(), terms.frozen());
      boolean inOrder =
          day < 0
              || terms.freezing() == 0
              || Arrays.stream(from, 0, k).allMatch(earlier -> earlier <= day);
      if (can && inOrder) {
        from[k] = day;
        best = Math.min(best, tried(setup, on, amounts, terms, from, k + 1));
      }
    }
    return best;
  }

  private static double paid(
      double[] setup, int[] on, double[] amounts, LotSizing.Terms terms, int[] from) {
    boolean[] brewed = new boolean[setup.length];
    boolean[] froze = new boolean[setup.length];
    double sum = 0;
    for (int k = 0; k < on.length; k++) {
      if (from[k] < 0) {
        sum += terms.skip();
        continue;
      }
      int age = on[k] - from[k];
      brewed[from[k]] = true;
      sum += amounts[k] * age * terms.holding();
      if (age > terms.life()) {
        sum += terms.thawing();
        froze[from[k]] = true;
      }
    }
    for (int day = 0; day < setup.length; day++) {
      sum += (brewed[day] ? setup[day] : 0) + (froze[day] ? terms.freezing() : 0);
    }
    return sum;
  }

  private static LotSizing.Terms keeping(int life) {
    return new LotSizing.Terms(
        0, life, 0, 0, Double.POSITIVE_INFINITY, 1, 0, 0, 0, Double.POSITIVE_INFINITY, 0);
  }

  private static LotSizing classic(LotSizing.Terms terms) {
    return new LotSizing(SETUP, IntStream.range(0, 12).toArray(), DEMAND, terms);
  }
}
