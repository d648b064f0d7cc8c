package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Contents;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Stock;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Place;
import dremsa.core.material.Materials;
import dremsa.core.scale.Solution;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What pouring one brew into another does to its life. */
class MixingTest {
  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final Instant TUESDAY = Instant.parse("2026-03-03T10:00:00Z");
  private static final List<String> FORMULAS =
      List.of(
          "lemon-balm-spray",
          "linseed-gel",
          "aloe-juice-fresh",
          "barley-ferment",
          "rosemary-tincture",
          "calendula-oil",
          "linseed-conditioner",
          "rice-water",
          "burdock-decoction");

  private record Made(String name, Brew brew, Prediction prediction, Instant start, School school) {
    static Made of(String id, Instant start, School school) {
      Solution.Reached half = Kitchens.reached(Kitchens.large(formula(id)), 500);
      return new Made(id, half.brew(), half.prediction(), start, school);
    }

    private static Formula formula(String id) {
      return BuiltInFormulas.find(id).orElseThrow();
    }

    Instant bottled() {
      return start.plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
    }

    Keeping kept(List<KeepEvent> events) {
      return Kept.of(start, LONDON, school, Place.FRIDGE, events);
    }

    Verdict judge(Instant now, KeepEvent... events) {
      return kept(List.of(events)).judge(brew, prediction, now);
    }

    Inherited poured(double ml, Instant at) {
      return Inherited.of(name, prediction.contents().millilitres(ml), kept(List.of()), judge(at));
    }
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void aMixtureNeverOutlivesAPart(School school) {
    Random random = new Random(5);
    List<Made> made = new ArrayList<>();
    for (String id : FORMULAS) {
      made.add(Made.of(id, TUESDAY, school));
    }
    for (int i = 0; i < 300; i++) {
      Made one = made.get(random.nextInt(made.size()));
      Made older = made.get(random.nextInt(made.size()));
      Instant earlier = TUESDAY.minus(random.nextInt(400), ChronoUnit.HOURS);
      Made other =
          new Made(older.name(), older.brew(), older.prediction(), earlier, older.school());
      Instant both = one.bottled().isAfter(other.bottled()) ? one.bottled() : other.bottled();
      Instant at = both.plus(random.nextInt(200), ChronoUnit.HOURS);
      Inherited part = other.poured(10 + random.nextInt(300), at);
      Verdict mixed = one.judge(at, new KeepEvent.Joined(at, 10 + random.nextInt(300), part));
      assertThat(mixed.runsOut()).isBeforeOrEqualTo(one.judge(at).runsOut());
      assertThat(mixed.runsOut()).isBeforeOrEqualTo(other.judge(at).runsOut());
      assertThat(mixed.lastDay()).isBeforeOrEqualTo(one.judge(at).lastDay());
    }
  }

  @Test
  void toppingUpFreshOnOldKeepsTheOldOnesShareAndCap() {
    Made old = Made.of("lemon-balm-spray", TUESDAY, School.CAREFUL);
    Instant later = TUESDAY.plus(4, ChronoUnit.DAYS);
    Made fresh = Made.of("lemon-balm-spray", later.minus(5, ChronoUnit.HOURS), School.CAREFUL);
    Verdict before = old.judge(later);
    Verdict topped = old.judge(later, new KeepEvent.Joined(later, 100, fresh.poured(400, later)));
    assertThat(topped.spentShare()).isCloseTo(before.spentShare(), within(1e-9));
    assertThat(topped.lastDay()).isEqualTo(before.lastDay());
    // The other way round: the old one poured into the fresh bottle ages all of it.
    Verdict aged = fresh.judge(later, new KeepEvent.Joined(later, 400, old.poured(100, later)));
    assertThat(aged.spentShare()).isCloseTo(before.spentShare(), within(1e-9));
    assertThat(aged.strained()).isEqualTo(before.strained());
    assertThat(aged.lastDay()).isEqualTo(before.lastDay());
    assertThat(aged.reasons()).hasAtLeastOneElementOfType(Reason.OfPart.class);
  }

  @Test
  void aDilutedSpiritLosesItsClass() {
    Made tincture = Made.of("rosemary-tincture", TUESDAY, School.CAREFUL);
    Instant at = tincture.bottled().plus(2, ChronoUnit.DAYS);
    Made water = Made.of("lemon-balm-spray", at.minus(1, ChronoUnit.DAYS), School.CAREFUL);
    assertThat(tincture.judge(at).keepingClass()).isEqualTo(KeepingClass.SPIRIT);
    Verdict little = tincture.judge(at, new KeepEvent.Joined(at, 400, water.poured(10, at)));
    Verdict much = tincture.judge(at, new KeepEvent.Joined(at, 50, water.poured(400, at)));
    // Keeping: a mixture takes the class of its worst part.
    assertThat(little.keepingClass()).isEqualTo(KeepingClass.INFUSION);
    assertThat(much.keepingClass()).isEqualTo(KeepingClass.INFUSION);
    // The watery part's age counts, not the tincture's weeks in the jar.
    assertThat(much.strained()).isEqualTo(water.judge(at).strained());
    assertThat(Duration.between(at, much.runsOut()).toDays()).isBetween(4L, 7L);
  }

  @Test
  void whatIsPouredInWhileMakingBringsItsAge() {
    Made gel = Made.of("linseed-gel", TUESDAY, School.CAREFUL);
    Instant later = TUESDAY.plus(5, ChronoUnit.DAYS);
    Brew mixed = withGel(gel.prediction().contents());
    Made spray =
        new Made("balm with gel", mixed, mixed.predict(0.5, Facts.NONE), later, School.CAREFUL);
    Inherited old = gel.poured(100, spray.bottled());
    Verdict with =
        spray
            .kept(List.of())
            .withInherited(List.of(old))
            .judge(spray.brew(), spray.prediction(), spray.bottled());
    assertThat(with.spentShare()).isCloseTo(old.spentShare(), within(1e-6));
    assertThat(with.runsOut()).isBeforeOrEqualTo(gel.judge(later).runsOut());
    assertThat(with.keepingClass()).isEqualTo(KeepingClass.GEL);
  }

  /** A balm spray into which a bottle of gel was stirred at the end. */
  private static Brew withGel(Contents gel) {
    Formula balm = BuiltInFormulas.find("lemon-balm-spray").orElseThrow();
    List<Ingredient> ingredients = new ArrayList<>(balm.ingredients());
    ingredients.add(Ingredient.parts("brew:linseed-gel", 300));
    List<Step> steps = new ArrayList<>(balm.steps());
    steps.add(steps.size() - 1, new Step.Add(List.of("brew:linseed-gel"), 40, Guide.NONE));
    Formula formula = balm.withIngredients(ingredients).withSteps(steps);
    Stock stock =
        Stock.NONE.with(
            "brew:linseed-gel", new Stock.Poured("Linseed styling gel", "D8BE86", gel, 500));
    return Brew.of(formula, Kitchens.METRIC, Materials.standard(), stock);
  }

  @Test
  void freezingAMixturePausesItsPartsToo() {
    Made one = Made.of("lemon-balm-spray", TUESDAY, School.CAREFUL);
    Made two = Made.of("burdock-decoction", TUESDAY.minus(2, ChronoUnit.DAYS), School.CAREFUL);
    Instant at = one.bottled().plus(1, ChronoUnit.HOURS);
    KeepEvent joined = new KeepEvent.Joined(at, 200, two.poured(200, at));
    Instant frozen = at.plus(1, ChronoUnit.HOURS);
    Instant thawed = frozen.plus(20, ChronoUnit.DAYS);
    Verdict fridge = one.judge(at, joined);
    Verdict out =
        one.judge(
            thawed,
            joined,
            new KeepEvent.Moved(frozen, Place.FREEZER),
            new KeepEvent.Moved(thawed, Place.FRIDGE));
    assertThat(out.runsOut()).isAfter(fridge.runsOut());
    // Thawed: at most 48 hours.
    assertThat(out.clock()).isEqualTo(Verdict.Clock.THAWED);
    assertThat(Duration.between(thawed, out.runsOut()).toHours()).isLessThanOrEqualTo(48);
  }
}
