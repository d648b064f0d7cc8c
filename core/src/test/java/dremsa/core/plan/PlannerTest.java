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

  @Test
  void whatLastsIsBroughtIntoOneSession() {
    Brewable gel = brewable("gel", 5, 300, Optional.empty());
    Brewable spray = brewable("spray", 5, 300, Optional.empty());
    Situation situation =
        situation(
            List.of(gel, spray),
            List.of(need(5, "gel", 50), need(6, "spray", 50)),
            List.of(),
            evenings(1, 2, 3, 4),
            List.of());

    BrewPlan plan = Planner.first(situation);

    assertThat(plan.brews()).hasSize(2);
    assertThat(plan.sessions()).isEqualTo(1);
    assertThat(plan.words(PlanWeights.USUAL))
        .isEqualTo("1 session, 60 min of hands, nothing of it thrown away. Every use is served.");
    assertThat(Because.of(situation, plan, 0))
        .anyMatch(because -> because instanceof Because.Shares)
        .anyMatch(because -> because instanceof Because.Feeds)
        .anyMatch(because -> because instanceof Because.Instead);
  }

  @Test
  void anEveningSaysWhatItIsFor() {
    Situation situation =
        situation(
            List.of(brewable("gel", 5, 300, Optional.empty())),
            List.of(need(5, "gel", 52)),
            List.of(),
            evenings(4),
            List.of());
    BrewPlan plan = Planner.judge(situation, Planner.first(situation).measurable(situation));

    assertThat(plan.brewedMl()).isEqualTo(55);
    assertThat(Tonight.of(situation, plan, TODAY.plusDays(4)).orElseThrow().words())
        .isEqualTo("Brew 55 mL of gel today, 40 min of hands: for gel on Saturday 7");
    assertThat(Tonight.of(situation, plan, TODAY)).isEmpty();
  }

  @Test
  void anEveningOfManyBrewsNamesTwo() {
    List<Brewable> three =
        List.of(
            brewable("gel", 5, 300, Optional.empty()),
            brewable("spray", 5, 300, Optional.empty()),
            brewable("tea", 5, 300, Optional.empty()));
    Situation situation =
        situation(
            three,
            List.of(need(2, "gel", 50), need(2, "spray", 50), need(2, "tea", 50)),
            List.of(),
            evenings(1),
            List.of());
    BrewPlan plan = Planner.first(situation);

    assertThat(Tonight.of(situation, plan, TODAY.plusDays(1)).orElseThrow().words())
        .isEqualTo("Brew gel, spray and 1 more today, 80 min of hands: for gel on Wednesday 4");
  }

  @Test
  void whatFillsThePotIsNotRoundedBeyondIt() {
    Situation situation =
        situation(
            List.of(brewable("gel", 5, 52, Optional.empty())),
            List.of(need(5, "gel", 52)),
            List.of(),
            evenings(4),
            List.of());

    assertThat(Planner.first(situation).measurable(situation))
        .singleElement()
        .satisfies(brew -> assertThat(brew.millilitres()).isEqualTo(52));
  }

  @Test
  void whatIsPastItsLifeIsFrozenAndSaysWhy() {
    Brewable gel = brewable("gel", 2, 300, Optional.of(new Brewable.Freezing(30, 25)));
    Situation situation =
        situation(
            List.of(gel),
            List.of(need(2, "gel", 50), need(6, "gel", 50)),
            List.of(),
            evenings(1),
            List.of());

    BrewPlan plan = Planner.first(situation);

    assertThat(plan.without()).isEmpty();
    assertThat(plan.brews().get(0).frozenMl()).isGreaterThanOrEqualTo(50);
    assertThat(plan.servings()).anyMatch(BrewPlan.Serving::thawed);
    assertThat(Because.of(situation, plan, 0).stream().map(Because::words))
        .anyMatch(words -> words.contains("into the freezer: gel on Sunday 8 is past"));
  }

  @Test
  void whatStandsIsUsedFirstAndNothingPastItsDay() {
    Brewable gel = brewable("gel", 5, 300, Optional.empty());
    Supply old = Supply.standing("b1", "gel", 120, TODAY, TODAY.plusDays(3), 0);
    Situation situation =
        situation(
            List.of(gel),
            List.of(need(2, "gel", 50), need(3, "gel", 50), need(4, "gel", 50)),
            List.of(old),
            evenings(1, 3),
            List.of());

    BrewPlan plan = Planner.first(situation);

    assertThat(plan.without()).isEmpty();
    assertThat(plan.servings().stream().filter(s -> s.source().supply().isPresent()))
        .allMatch(serving -> !serving.need().day().isAfter(old.lastDay()))
        .hasSize(2);
    // The last uses in date take the rest of the bottle.
    assertThat(plan.thrownMl()).isLessThan(1);
  }

  @Test
  void whatWasAgreedOnStaysWhereItIsNoWorse() {
    Brewable gel = brewable("gel", 5, 300, Optional.empty());
    Agreed agreed = new Agreed(TODAY.plusDays(2), "gel", 100, false);
    Situation situation =
        situation(
            List.of(gel),
            List.of(need(5, "gel", 50), need(6, "gel", 45)),
            List.of(),
            evenings(1, 2, 3, 4),
            List.of(agreed));

    assertThat(Planner.first(situation).agreed()).containsExactly(agreed);
    Agreed pinned = new Agreed(TODAY.plusDays(1), "gel", 40, true);
    assertThat(Planner.first(situation.withAgreed(List.of(pinned))).agreed()).contains(pinned);
  }

  @Test
  void judgingTellsWhatAMovedBrewDoes() {
    Brewable gel = brewable("gel", 3, 300, Optional.empty());
    Situation situation =
        situation(
            List.of(gel), List.of(need(4, "gel", 50)), List.of(), evenings(0, 2, 4), List.of());

    BrewPlan late =
        Planner.judge(situation, List.of(new Agreed(TODAY.plusDays(4), "gel", 60, false)));
    BrewPlan early = Planner.judge(situation, List.of(new Agreed(TODAY, "gel", 60, false)));

    assertThat(late.without()).hasSize(1);
    assertThat(early.without()).hasSize(1);
    assertThat(early.thrownMl()).isEqualTo(60);
    assertThat(
            Planner.judge(situation, List.of(new Agreed(TODAY.plusDays(2), "gel", 60, false)))
                .without())
        .isEmpty();
  }

  @Test
  void whatStandsInTheWayIsSaidWithItsNumbers() {
    Brewable gel = brewable("gel", 3, 300, Optional.empty());
    assertThat(obstacle(gel, need(5, "gel", 50), List.of()))
        .isEqualTo("No evening is free for brewing.");
    assertThat(obstacle(gel, need(5, "balm", 50), evenings(1)))
        .isEqualTo("No formula that can be brewed here serves balm.");
    assertThat(obstacle(gel, need(5, "gel", 5000), evenings(3)))
        .isEqualTo("gel takes 5000 mL at once, and no more than 300 mL of gel can be brewed.");
    assertThat(obstacle(brewable("gel", 3, 0, Optional.empty()), need(5, "gel", 50), evenings(3)))
        .isEqualTo("No pot and container here takes gel.");
    assertThat(obstacle(gel, need(0, "gel", 50), evenings(0)))
        .startsWith("gel is ready 1 day after it is brewed");
    assertThat(obstacle(gel, need(6, "gel", 50), evenings(1)))
        .startsWith("gel keeps 3 days, and no free evening");
  }

  @Test
  void fiveLitresADayAreServedAsFarAsTheyCanBe() {
    Brewable rinse = brewable("rinse", 3, 2000, Optional.empty());
    List<Need> needs = new ArrayList<>();
    for (int day = 1; day < 7; day++) {
      for (int i = 0; i < 10; i++) {
        needs.add(
            new Need(
                day + "-" + i,
                TODAY.plusDays(day),
                "p" + i,
                "rinse",
                List.of(new Need.Accepted("rinse", 0)),
                500,
                true));
      }
    }
    Situation situation = situation(List.of(rinse), needs, List.of(), evenings(0, 2, 4), List.of());

    BrewPlan plan = Planner.best(situation, EFFORT, better -> {});

    assertThat(plan.score().hard()).isZero();
    assertThat(plan.brews()).isNotEmpty();
    assertThat(plan.servings()).isNotEmpty();
    assertThat(Obstacle.of(situation, plan).stream().map(Obstacle::words))
        .anyMatch(words -> words.startsWith("30000 mL of rinse is wanted in 7 days; 2000 mL"));
  }

  private static String obstacle(Brewable brewable, Need need, List<Evening> evenings) {
    Situation situation =
        situation(List.of(brewable), List.of(need), List.of(), evenings, List.of());
    BrewPlan plan = Planner.first(situation);
    assertThat(plan.without()).hasSize(1);
    return Obstacle.of(situation, plan).get(0).words();
  }

  private static Brewable brewable(
      String name, int life, double most, Optional<Brewable.Freezing> freezing) {
    return new Brewable(name, name, 1, life, Math.min(most, 40), most, 20, 30, freezing, 0.01);
  }

  private static List<Evening> evenings(int... days) {
    return IntStream.of(days).mapToObj(day -> new Evening(TODAY.plusDays(day), 120)).toList();
  }
}
