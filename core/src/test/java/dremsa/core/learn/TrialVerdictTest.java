package dremsa.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class TrialVerdictTest {
  private static final List<String> TWO = List.of("a", "b");

  private static SectionTrial trial(Criterion criterion, double... scores) {
    List<String> products = List.of("a", "b", "c", "d").subList(0, scores.length);
    Map<HeadSection, Integer> on = new TreeMap<>();
    Map<String, Double> each = new HashMap<>();
    for (int i = 0; i < scores.length; i++) {
      on.put(HeadSection.values()[i], i);
      each.put(products.get(i), scores[i]);
    }
    return new SectionTrial(products, on, Map.of(criterion, each));
  }

  private static List<double[]> alike(int trials, double... scores) {
    return Collections.nCopies(trials, scores);
  }

  /** Exact by hand: both tails of 4 of 5 heads are 12 of 32. */
  @Test
  void fourOfFiveIsNotSettled() {
    List<SectionTrial> trials = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      trials.add(i == 2 ? trial(Criterion.SLIP, 2, 4) : trial(Criterion.SLIP, 5, 3));
    }

    TrialVerdict verdict = TrialVerdict.of(TWO, trials).get(0);

    assertThat(verdict.chance()).isCloseTo(0.375, within(1e-12));
    assertThat(verdict.settled()).isFalse();
    assertThat(verdict.leader()).isEqualTo("a");
    assertThat(verdict.words("Gel A"))
        .isEqualTo(
            "Gel A slipped better in 4 of 5 trials; by chance alone that happens about one time in"
                + " 3: not settled. 4 more won in a row would settle it.");
  }

  /** Exact by hand: six of six is 2 of 64. */
  @Test
  void sixOfSixIsSettledAndEqualsSayNothing() {
    List<SectionTrial> trials =
        new ArrayList<>(Collections.nCopies(6, trial(Criterion.HOLD, 4, 3)));
    trials.add(trial(Criterion.HOLD, 3, 3));

    TrialVerdict verdict = TrialVerdict.of(TWO, trials).get(0);

    assertThat(verdict.chance()).isCloseTo(0.03125, within(1e-12));
    assertThat(verdict.settled()).isTrue();
    assertThat(verdict.more()).isZero();
    assertThat(verdict.ties()).isEqualTo(1);
    assertThat(verdict.words("Gel A")).contains("in 6 of 7 trials (1 equal)").endsWith("settled.");
    assertThat(TrialVerdict.of(TWO, List.of(trial(Criterion.HOLD, 3, 3))).get(0).chance())
        .isEqualTo(1);
  }

  @Test
  void lessIsBetterWhereItIs() {
    TrialVerdict verdict = TrialVerdict.of(TWO, List.of(trial(Criterion.DETANGLING, 12, 7))).get(0);

    assertThat(verdict.leader()).isEqualTo("b");
    assertThat(verdict.words("Gel B")).startsWith("Gel B was detangled sooner in 1 of 1 trial;");
  }

  /**
   * Friedman's exact distribution for full agreement: k! of (k!)^n; Siegel and Castellan,
   * Nonparametric Statistics (1988), table M, from memory: 0.028, 0.0046, 0.042, 0.0017.
   */
  @Test
  void fullAgreementOfThreeAndFourProducts() {
    assertThat(TrialVerdict.chance(alike(3, 1, 2, 3))).isCloseTo(6.0 / 216, within(1e-12));
    assertThat(TrialVerdict.chance(alike(4, 1, 2, 3))).isCloseTo(6.0 / 1296, within(1e-12));
    assertThat(TrialVerdict.chance(alike(2, 1, 2, 3, 4))).isCloseTo(24.0 / 576, within(1e-12));
    assertThat(TrialVerdict.chance(alike(3, 1, 2, 3, 4))).isCloseTo(24.0 / 13824, within(1e-12));
  }

  /** Against all ways to deal the ranks out, counted one by one. */
  @Test
  void theExactDistributionIsThatOfAllDeals() {
    Random dice = new Random(12);
    for (int round = 0; round < 12; round++) {
      List<double[]> scores = new ArrayList<>();
      for (int trial = 0; trial < 4; trial++) {
        scores.add(new double[] {1 + dice.nextInt(4), 1 + dice.nextInt(4), 1 + dice.nextInt(4)});
      }
      assertThat(TrialVerdict.chance(scores)).isCloseTo(counted(scores), within(1e-9));
    }
  }

  private static final int[][] DEALS = {
    {0, 1, 2}, {0, 2, 1}, {1, 0, 2}, {1, 2, 0}, {2, 0, 1}, {2, 1, 0}
  };

  private static double counted(List<double[]> scores) {
    double seen = squares(scores, new int[scores.size()]);
    int all = (int) Math.pow(6, scores.size());
    int asFar = 0;
    for (int n = 0; n < all; n++) {
      int[] deal = new int[scores.size()];
      for (int i = 0, rest = n; i < deal.length; i++, rest /= 6) {
        deal[i] = rest % 6;
      }
      asFar += squares(scores, deal) >= seen - 1e-9 ? 1 : 0;
    }
    return (double) asFar / all;
  }

  private static double squares(List<double[]> scores, int[] deal) {
    double[] sums = new double[3];
    for (int trial = 0; trial < scores.size(); trial++) {
      int[] ranks = TrialVerdict.doubledRanks(scores.get(trial));
      for (int i = 0; i < 3; i++) {
        sums[i] += ranks[DEALS[deal[trial]][i]];
      }
    }
    double middle = (sums[0] + sums[1] + sums[2]) / 3;
    double squares = 0;
    for (double sum : sums) {
      squares += (sum - middle) * (sum - middle);
    }
    return squares;
  }

  @Test
  void equalsShareTheirRanks() {
    assertThat(TrialVerdict.doubledRanks(new double[] {2, 5, 2, 1})).containsExactly(5, 8, 5, 2);
  }

  /** Holm (1979): the smallest against the level over all; where one fails, those after it do. */
  @Test
  void severalCriteriaShareTheThreshold() {
    List<SectionTrial> trials = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      trials.add(
          new SectionTrial(
              TWO,
              Map.of(HeadSection.LEFT, 0, HeadSection.RIGHT, 1),
              Map.of(
                  Criterion.SLIP, Map.of("a", 5.0, "b", 3.0),
                  Criterion.SHINE, Map.of("a", i < 6 ? 4.0 : 3.0, "b", 3.0),
                  Criterion.HOLD, Map.of("a", i < 4 ? 4.0 : 2.0, "b", 3.0))));
    }

    Map<Criterion, TrialVerdict> by = new HashMap<>();
    TrialVerdict.of(TWO, trials).forEach(verdict -> by.put(verdict.criterion(), verdict));

    assertThat(by.get(Criterion.SLIP).threshold()).isCloseTo(0.05 / 3, within(1e-12));
    assertThat(by.get(Criterion.SLIP).settled()).isTrue();
    // 2 of 64 is below 0.05, but not below its share.
    assertThat(by.get(Criterion.SHINE).chance()).isCloseTo(0.03125, within(1e-12));
    assertThat(by.get(Criterion.SHINE).settled()).isFalse();
    assertThat(by.get(Criterion.HOLD).threshold()).isZero();
    assertThat(by.get(Criterion.HOLD).chance()).isEqualTo(1);
  }

  @Test
  void whatWasNotScoredForAllDoesNotCount() {
    SectionTrial half =
        new SectionTrial(
            TWO,
            Map.of(HeadSection.LEFT, 0, HeadSection.RIGHT, 1),
            Map.of(Criterion.SLIP, Map.of("a", 5.0)));

    assertThat(TrialVerdict.of(TWO, List.of(half))).isEmpty();
  }

  @Test
  void lotsAreFairAndTheSameForTheSameSeed() {
    List<HeadSection> all = List.of(HeadSection.values());
    Map<HeadSection, Integer> drawn = SectionTrial.lots(3, all, new Random(4));

    assertThat(new TreeSet<>(drawn.values())).isEqualTo(Set.of(0, 1, 2));
    assertThat(SectionTrial.lots(3, all, new Random(4))).isEqualTo(drawn);
    int left = 0;
    for (long seed = 0; seed < 400; seed++) {
      left += SectionTrial.lots(2, all, new Random(seed)).get(HeadSection.LEFT);
    }
    assertThat(left).isBetween(160, 240);
    assertThatThrownBy(() -> SectionTrial.lots(3, all.subList(0, 2), new Random(1)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void whatIsNoTrialIsRefused() {
    Map<HeadSection, Integer> one = Map.of(HeadSection.LEFT, 0, HeadSection.RIGHT, 0);
    assertThatThrownBy(() -> new SectionTrial(TWO, one, Map.of()))
        .hasMessageContaining("b is on no section");
    assertThatThrownBy(() -> new SectionTrial(List.of("a", "a"), one, Map.of()))
        .hasMessageContaining("two to four different products");
    assertThatThrownBy(() -> trial(Criterion.SLIP, 6, 1))
        .hasMessageContaining("slip is scored 1.0 to 5.0");
    for (Criterion criterion : Criterion.values()) {
      assertThat(criterion.holds(criterion.least())).isTrue();
      assertThat(criterion.holds(criterion.most() + 0.5)).isFalse();
      assertThat(criterion.holds(Double.NaN)).isFalse();
      assertThat(criterion.words()).isNotBlank();
    }
  }
}
