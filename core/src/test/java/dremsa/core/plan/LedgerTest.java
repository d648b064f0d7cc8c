package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The rules by which the days are lived through. */
class LedgerTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  private static Need need(int day, String formula, double ml, boolean elastic) {
    return new Need(
        day + formula + ml,
        TODAY.plusDays(day),
        "a",
        formula,
        List.of(new Need.Accepted(formula, 0)),
        ml,
        elastic);
  }

  private static Supply bottle(String id, String formula, double ml, int last) {
    return Supply.standing(id, formula, ml, TODAY, TODAY.plusDays(last), 0);
  }

  private static Supply cubes(String id, String formula, double ml, int last, double portion) {
    return Supply.standing(id, formula, ml, TODAY, TODAY.plusDays(last), portion);
  }

  private static BrewPlan lived(List<Need> needs, Supply... supplies) {
    return Planner.judge(
        new Situation(
            TODAY,
            14,
            List.of(),
            needs,
            List.of(supplies),
            List.of(),
            List.of(),
            1000,
            5000,
            PlanWeights.USUAL),
        List.of());
  }

  private static double taken(BrewPlan plan, String bottle) {
    return plan.servings().stream()
        .filter(serving -> serving.source().supply().filter(bottle::equals).isPresent())
        .mapToDouble(BrewPlan.Serving::millilitres)
        .sum();
  }

  @Test
  void whatGoesOffFirstIsUsedFirst() {
    BrewPlan plan =
        lived(
            List.of(need(1, "gel", 50, true)),
            bottle("later", "gel", 100, 20),
            bottle("sooner", "gel", 50, 3));

    assertThat(taken(plan, "sooner")).isCloseTo(50, within(1e-9));
    assertThat(taken(plan, "later")).isZero();
  }

  @Test
  void theLastUseInDateTakesTheRestAndNoMoreThanAQuarterMore() {
    assertThat(taken(lived(List.of(need(1, "gel", 50, true)), bottle("b", "gel", 58, 2)), "b"))
        .isCloseTo(58, within(1e-9));
    BrewPlan much = lived(List.of(need(1, "gel", 50, true)), bottle("b", "gel", 100, 2));
    assertThat(taken(much, "b")).isCloseTo(62.5, within(1e-9));
    assertThat(much.thrownMl()).isCloseTo(37.5, within(1e-9));
  }

  @Test
  void twoShareWhatIsALittleTooLittle() {
    BrewPlan plan =
        lived(
            List.of(need(1, "gel", 50, true), need(2, "gel", 50, true)), bottle("b", "gel", 84, 5));

    assertThat(plan.without()).isEmpty();
    assertThat(plan.servings()).allMatch(serving -> Math.abs(serving.millilitres() - 42) < 1e-6);
  }

  @Test
  void lessThanFourFifthsIsNoDose() {
    BrewPlan plan = lived(List.of(need(1, "gel", 50, true)), bottle("b", "gel", 39, 5));

    assertThat(plan.without()).hasSize(1);
    assertThat(plan.without().get(0).there()).isCloseTo(39, within(1e-9));
    assertThat(plan.thrownMl()).isCloseTo(39, within(1e-9));
  }

  @Test
  void aPromiseDoesNotGiveWay() {
    assertThat(lived(List.of(need(1, "gel", 50, false)), bottle("b", "gel", 49, 5)).without())
        .hasSize(1);
    assertThat(taken(lived(List.of(need(1, "gel", 50, false)), bottle("b", "gel", 100, 2)), "b"))
        .isCloseTo(50, within(1e-9));
  }

  @Test
  void portionsAreThawedWholeAndTheRestIsGoodForOneDayMore() {
    BrewPlan plan =
        lived(
            List.of(need(1, "gel", 30, true), need(2, "gel", 12, true), need(5, "gel", 12, true)),
            cubes("c", "gel", 100, 60, 50));

    // Of a portion of 50 mL 37.5 mL at most are used; the rest is thawed and used the day after.
    assertThat(plan.without()).isEmpty();
    assertThat(plan.servings().get(0).thawed()).isTrue();
    assertThat(plan.servings().get(1).thawed()).isFalse();
    assertThat(plan.servings().get(2).thawed()).isTrue();
  }

  @Test
  void whatIsFrozenWaitsUntilWhatIsNotIsUsed() {
    BrewPlan plan =
        lived(
            List.of(need(1, "gel", 50, true)),
            cubes("c", "gel", 100, 60, 25),
            bottle("b", "gel", 50, 5));

    assertThat(taken(plan, "c")).isZero();
  }

  @Test
  void whatComesOffTheBenchIsFrozenAsFarAsItsLifeDoesNotNeedIt() {
    Supply coming =
        new Supply(
            "run",
            "gel",
            200,
            TODAY.plusDays(1),
            TODAY.plusDays(4),
            25,
            Optional.of(TODAY.plusDays(60)));
    BrewPlan plan = lived(List.of(need(3, "gel", 50, true), need(9, "gel", 50, true)), coming);

    assertThat(plan.frozen()).containsKey("run");
    assertThat(plan.frozen().get("run")).isCloseTo(150, within(1e-6));
    assertThat(plan.without()).isEmpty();
    assertThat(plan.thrownMl()).isZero();
  }

  @Test
  void nobodyMindsWhichButWhatIsLikedLessIsTakenOnlyWhereItMustBe() {
    Need liked =
        new Need(
            "n",
            TODAY.plusDays(1),
            "a",
            "n",
            List.of(new Need.Accepted("balm", 0), new Need.Accepted("sage", 1)),
            50,
            true);

    assertThat(
            taken(
                lived(List.of(liked), bottle("s", "sage", 80, 2), bottle("b", "balm", 80, 9)), "b"))
        .isPositive();
    BrewPlan second = lived(List.of(liked), bottle("s", "sage", 80, 2));
    assertThat(taken(second, "s")).isPositive();
    assertThat(second.score().medium()).isEqualTo(PlanWeights.LIKED_LESS);
  }

  /**
   * In any weeks: nothing past its day, no dose out of its range, and every millilitre somewhere.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void whateverHappens(long seed) {
    Random dice = new Random(seed);
    for (int round = 0; round < 25; round++) {
      Situation situation = any(dice);
      List<Agreed> brews = new ArrayList<>();
      for (Evening evening : situation.evenings()) {
        for (Brewable brewable : situation.brewables()) {
          if (dice.nextInt(3) == 0) {
            double ml = brewable.leastMl() + dice.nextInt(100);
            brews.add(new Agreed(evening.day(), brewable.formula(), ml, false));
          }
        }
      }
      BrewPlan plan = Planner.judge(situation, brews);
      Map<BrewPlan.Source, Double> used = new HashMap<>();
      for (BrewPlan.Serving serving : plan.servings()) {
        used.merge(serving.source(), serving.millilitres(), Double::sum);
        assertThat(serving.need().day()).isBeforeOrEqualTo(last(situation, plan, serving.source()));
        assertThat(serving.need().day()).isAfterOrEqualTo(first(situation, plan, serving.source()));
      }
      plan.thrown()
          .forEach(thrown -> used.merge(thrown.source(), thrown.millilitres(), Double::sum));
      used.forEach(
          (source, ml) ->
              assertThat(ml).isLessThanOrEqualTo(filled(situation, plan, source) + 1e-6));
      Map<Need, Double> doses = new HashMap<>();
      plan.servings()
          .forEach(serving -> doses.merge(serving.need(), serving.millilitres(), Double::sum));
      doses.forEach(
          (need, ml) -> assertThat(ml).isBetween(need.least() - 1e-6, need.most() + 1e-6));
      assertThat(doses.size() + plan.without().size()).isEqualTo(situation.needs().size());
    }
  }

  /** No plan costs less than the bound says. */
  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14})
  void theBoundHolds(long seed) {
    Random dice = new Random(seed);
    for (int round = 0; round < 10; round++) {
      BrewPlan plan =
          Planner.best(
              any(dice),
              new Effort(1_500, java.time.Duration.ofMinutes(1), 0, () -> false),
              better -> {});
      plan.gap().ifPresent(gap -> assertThat(gap).isGreaterThanOrEqualTo(0));
      assertThat(plan.score().hard()).isZero();
    }
  }

  private static Situation any(Random dice) {
    List<Brewable> brewables = new ArrayList<>();
    List<Need> needs = new ArrayList<>();
    List<Supply> supplies = new ArrayList<>();
    for (int p = 0; p < 3; p++) {
      String name = "f" + p;
      int life = 1 + dice.nextInt(6);
      Optional<Brewable.Freezing> freezing =
          dice.nextBoolean()
              ? Optional.of(
                  new Brewable.Freezing(life + 1 + dice.nextInt(20), 20 + dice.nextInt(30)))
              : Optional.empty();
      brewables.add(
          new Brewable(name, name, 1, life, 60, 900, 10 + dice.nextInt(10), 30, freezing, 0));
      for (int day = 0; day < 14; day++) {
        if (dice.nextInt(4) == 0) {
          needs.add(need(day, name, 20 + dice.nextInt(80), dice.nextInt(6) > 0));
        }
      }
      if (dice.nextBoolean()) {
        supplies.add(bottle("b" + p, name, 50 + dice.nextInt(200), dice.nextInt(8)));
      }
      if (dice.nextBoolean()) {
        supplies.add(cubes("c" + p, name, 50 + dice.nextInt(200), 5 + dice.nextInt(30), 30));
      }
    }
    List<Evening> evenings = new ArrayList<>();
    for (int day = 0; day < 14; day++) {
      if (dice.nextInt(3) == 0) {
        evenings.add(new Evening(TODAY.plusDays(day), 120));
      }
    }
    return new Situation(
        TODAY,
        14,
        brewables,
        needs,
        supplies,
        evenings,
        List.of(),
        dice.nextInt(800),
        9000,
        PlanWeights.USUAL);
  }

  private static LocalDate last(Situation situation, BrewPlan plan, BrewPlan.Source source) {
    if (source.brew().isPresent()) {
      BrewPlan.PlannedBrew brew = plan.brews().get(source.brew().getAsInt());
      return brew.frozenTo().filter(to -> to.isAfter(brew.lastDay())).orElse(brew.lastDay());
    }
    return supply(situation, source).lastDay();
  }

  private static LocalDate first(Situation situation, BrewPlan plan, BrewPlan.Source source) {
    return source.brew().isPresent()
        ? plan.brews().get(source.brew().getAsInt()).from()
        : supply(situation, source).from();
  }

  private static double filled(Situation situation, BrewPlan plan, BrewPlan.Source source) {
    return source.brew().isPresent()
        ? plan.brews().get(source.brew().getAsInt()).millilitres()
        : supply(situation, source).millilitres();
  }

  private static Supply supply(Situation situation, BrewPlan.Source source) {
    return situation.supplies().stream()
        .filter(supply -> supply.id().equals(source.supply().orElseThrow()))
        .findFirst()
        .orElseThrow();
  }
}
