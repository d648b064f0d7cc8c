package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlannerTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);
  private static final Effort EFFORT = new Effort(12_000, Duration.ofMinutes(1), 0, () -> false);

  /** All ways to brew two or three formulas in a week. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void asGoodAsAllPlansTried(long seed) {
    Random dice = new Random(seed);
    int formulas = 2 + (int) (seed % 2);
    Situation situation = small(dice, formulas, formulas == 2 ? 3 : 2);

    BrewPlan plan = Planner.best(situation, EFFORT, better -> {});

    assertThat(plan.score()).isEqualTo(tried(situation));
  }

  private static Situation small(Random dice, int formulas, int evenings) {
    List<Brewable> brewables = new ArrayList<>();
    List<Need> needs = new ArrayList<>();
    for (int p = 0; p < formulas; p++) {
      String name = "f" + p;
      brewables.add(
          new Brewable(
              name,
              name,
              1,
              1 + dice.nextInt(4),
              20 + dice.nextInt(60),
              150 + dice.nextInt(200),
              10 + dice.nextInt(20),
              20,
              dice.nextBoolean()
                  ? Optional.of(new Brewable.Freezing(6, 20 + dice.nextInt(20)))
                  : Optional.empty(),
              0.01 * dice.nextInt(3)));
      for (int day = 1; day < 7; day++) {
        if (dice.nextInt(2) == 0) {
          needs.add(need(day, name, 20 + dice.nextInt(60)));
        }
      }
    }
    List<Integer> days = new ArrayList<>(IntStream.range(0, 6).boxed().toList());
    Collections.shuffle(days, dice);
    return situation(
        brewables,
        needs,
        List.of(),
        days.stream().limit(evenings).map(day -> new Evening(TODAY.plusDays(day), 75)).toList(),
        List.of());
  }

  private static PlanScore tried(Situation situation) {
    Compiled at = new Compiled(situation);
    int[] slots =
        IntStream.range(0, at.days * at.brewables)
            .filter(slot -> at.canBrew(slot / at.brewables, slot % at.brewables))
            .toArray();
    int[] covers = new int[at.days * at.brewables];
    PlanScore best = Ledger.score(at, covers);
    int values = 7;
    long all = Math.round(Math.pow(values, slots.length));
    for (long n = 1; n < all; n++) {
      long rest = n;
      for (int slot : slots) {
        covers[slot] = (int) (rest % values);
        rest /= values;
      }
      PlanScore score = Ledger.score(at, covers);
      best = score.compareTo(best) < 0 ? score : best;
    }
    return best;
  }

  static Situation situation(
      List<Brewable> brewables,
      List<Need> needs,
      List<Supply> supplies,
      List<Evening> evenings,
      List<Agreed> agreed) {
    return new Situation(
        TODAY, 7, brewables, needs, supplies, evenings, agreed, 1000, 3000, PlanWeights.USUAL);
  }

  static Need need(int day, String formula, double ml) {
    return new Need(
        day + formula,
        TODAY.plusDays(day),
        "a",
        formula,
        List.of(new Need.Accepted(formula, 0)),
        ml,
        true);
  }

  @Test
  void theSameAgain() {
    Situation situation = small(new Random(9), 3, 4);
    assertThat(Planner.best(situation, EFFORT, better -> {}))
        .isEqualTo(Planner.best(situation, EFFORT, better -> {}));
  }
}
