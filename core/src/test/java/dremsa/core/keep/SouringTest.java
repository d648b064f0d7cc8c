package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.acid.Hardness;
import dremsa.core.acid.Sourness;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Site;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What the pH decides of a date: preservatives that need it, ferments that have or have not. */
class SouringTest {
  private static final Instant START = Instant.parse("2026-11-24T09:00:00Z");

  private static Formula gel(double sorbatePercent, String acid, double acidGrams) {
    return new Formula(
        "g",
        "g",
        Method.SEED_GEL,
        Set.of(Purpose.LEAVE_IN),
        "",
        List.of(
            Ingredient.parts("water", 600),
            Ingredient.parts("linseed", 40),
            new Ingredient(
                "potassium-sorbate",
                "potassium-sorbate",
                new Proportion.PercentOfFinished(sorbatePercent)),
            Ingredient.parts(acid, acidGrams)),
        List.of(
            new Step.Combine(
                VesselKind.POT, List.of("water", "linseed"), Step.LiquidHeat.ROOM, Guide.NONE),
            new Step.Heat(false, true, Guide.NONE),
            new Step.Boil(Step.Level.GENTLE, false, true, Window.minutes(3, 6, 9), Guide.NONE),
            new Step.Strain(StrainTool.CLOTH, true, Guide.NONE),
            new Step.Cool(30, Step.CoolingWay.COUNTER, true, Guide.NONE),
            new Step.Add(List.of("potassium-sorbate", acid), 50, Guide.NONE),
            new Step.Bottle(Container.JAR, Guide.NONE)));
  }

  private static Brew in(Site site, Formula formula) {
    return Kitchens.in(Kitchens.METRIC.withSite(site), formula);
  }

  private static KeepingClass judged(Brew brew, Facts facts, School school) {
    Prediction p = brew.predict(0.8, facts);
    return Kept.inFridge(START, ZoneOffset.UTC, school).judge(brew, p, START).keepingClass();
  }

  // Charge balance worked beforehand: linseed gel with 0.3 % sorbate and 0.02 g of vinegar is at
  // about pH 7.4, far above the 5.0 up to which sorbate works.
  @ParameterizedTest
  @EnumSource(School.class)
  void aDropOfVinegarDoesNotMakeSorbateWork(School school) {
    Brew brew = in(Site.UNKNOWN.withWater(Hardness.SOFT), gel(0.3, "apple-vinegar", 0.02));
    assertThat(brew.predict(0.8, Facts.NONE).contents().ph().value()).isBetween(6.6, 7.8);
    assertThat(judged(brew, Facts.NONE, school)).isEqualTo(KeepingClass.GEL);
  }

  @Test
  void aGramOfLemonJuiceIsNotEnoughEither() {
    Brew brew = in(Site.UNKNOWN.withWater(Hardness.SOFT), gel(0.3, "lemon-juice", 1));
    // Worked beforehand without the plant's own acids: 5.8.
    assertThat(brew.predict(0.8, Facts.NONE).contents().ph().value()).isBetween(5.4, 6.4);
    assertThat(judged(brew, Facts.NONE, School.PRACTICE)).isEqualTo(KeepingClass.GEL);
  }

  @Test
  void theCarefulSchoolBelievesOnlyAReading() {
    Brew brew = in(Site.UNKNOWN.withAlkalinity(20), gel(0.3, "citric-acid", 3));
    assertThat(brew.predict(0.8, Facts.NONE).contents().ph().high()).isLessThan(5);
    assertThat(judged(brew, Facts.NONE, School.PRACTICE)).isEqualTo(KeepingClass.PRESERVED);
    assertThat(judged(brew, Facts.NONE, School.CAREFUL)).isEqualTo(KeepingClass.GEL);
    Facts read = Facts.NONE.with(5, StepFacts.NONE.with(Reading.PH, 4.4));
    assertThat(judged(brew, read, School.CAREFUL)).isEqualTo(KeepingClass.PRESERVED);
    assertThat(SelfCheck.of(brew, brew.predict(0.8, Facts.NONE)))
        .anyMatch(f -> f.what().contains("wants its pH measured"));
  }

  @Test
  void aReadingReplacesTheEstimateEverywhereAfterIt() {
    Brew brew = in(Site.UNKNOWN, gel(0.3, "citric-acid", 3));
    Sourness.Ph early =
        brew.predict(0.8, Facts.NONE.with(4, StepFacts.NONE.with(Reading.PH, 7.6))).contents().ph();
    // Sorbate and acid came after: an estimate again, but from what was read.
    assertThat(early.read()).isFalse();
    assertThat(early.high() - early.low())
        .isLessThan(spread(brew.predict(0.8, Facts.NONE).contents().ph()));
    Sourness.Ph last =
        brew.predict(0.8, Facts.NONE.with(6, StepFacts.NONE.with(Reading.PH, 5.9))).contents().ph();
    assertThat(last.read()).isTrue();
    assertThat(last.value()).isBetween(5.89, 5.91);
    assertThat(
            judged(brew, Facts.NONE.with(6, StepFacts.NONE.with(Reading.PH, 5.9)), School.PRACTICE))
        .isEqualTo(KeepingClass.GEL);
  }

  private static double spread(Sourness.Ph ph) {
    return ph.high() - ph.low();
  }

  @Test
  void harderWaterHoldsTheSameAcidOff() {
    double before = 0;
    for (double alkalinity : new double[] {0, 50, 150, 300}) {
      Brew brew = in(Site.UNKNOWN.withAlkalinity(alkalinity), gel(0.3, "citric-acid", 1));
      double now = brew.predict(0.8, Facts.NONE).contents().ph().value();
      assertThat(now).isGreaterThan(before);
      before = now;
    }
  }

  private static Formula fermented(String plant) {
    return new Formula(
        "n",
        "n",
        Method.STARCH_WATER,
        Set.of(Purpose.RINSE),
        "",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts(plant, 60)),
        List.of(
            new Step.Combine(
                VesselKind.JAR, List.of("water", plant), Step.LiquidHeat.ROOM, Guide.NONE),
            new Step.Ferment(Window.hours(24, 48, 120), Guide.NONE),
            new Step.Strain(StrainTool.CLOTH, true, Guide.NONE),
            new Step.Bottle(Container.JAR, Guide.NONE)));
  }

  private static Kitchen room(double celsius) {
    return Kitchens.METRIC.withClimate(new Climate(celsius, 5, -18));
  }

  @Test
  void whatHasNoStarchDoesNotFermentAndIsBilled() {
    Brew nettle = Kitchens.brew(fermented("nettle-leaf"));
    Prediction p = nettle.predict(0.6, Facts.NONE);
    Verdict verdict =
        Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL)
            .judge(nettle, p, START.plusSeconds(49 * 3600));
    assertThat(verdict.keepingClass()).isEqualTo(KeepingClass.INFUSION);
    assertThat(verdict.useNow()).isTrue();
    assertThat(verdict.spentHours()).isGreaterThan(100);
    assertThat(verdict.reasons()).hasAtLeastOneElementOfType(Reason.NotSurelySour.class);
  }

  @ParameterizedTest(name = "{0} °C, {1} h, read {2}: {3}")
  @CsvSource({
    "10, 48, , STARCH",
    "21, 48, , STARCH",
    "21, 60, , FERMENT",
    "25, 48, , FERMENT",
    "21, 24, 4.2, FERMENT",
    "21, 60, 5.1, STARCH"
  })
  void aFermentCountsWhenItHasFermented(
      double celsius, double hours, Double read, KeepingClass expected) {
    Brew barley = Kitchens.in(room(celsius), fermented("barley"));
    StepFacts facts = StepFacts.lasting(hours * 60);
    if (read != null) {
      facts = facts.with(Reading.PH, read);
    }
    Prediction p = barley.predict(0.6, Facts.NONE.with(1, facts));
    Verdict verdict = Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL).judge(barley, p, START);
    assertThat(verdict.keepingClass()).isEqualTo(expected);
    // Its hours are forgiven only when it has.
    assertThat(verdict.useNow()).isEqualTo(expected == KeepingClass.STARCH);
  }

  @Test
  void aFermentThatIsWateredDownIsSourNoMore() {
    Brew ferment = Kitchens.brew(BuiltInFormulas.find("barley-ferment").orElseThrow());
    Prediction p = ferment.predict(0.5, Facts.NONE);
    int last = ferment.formula().steps().size() - 1;
    assertThat(p.heat().soured()).isTrue();
    StepFacts watered = StepFacts.NONE.withWater(3000, 20);
    Verdict verdict =
        Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL)
            .judge(ferment, ferment.predict(0.5, Facts.NONE.with(last, watered)), START);
    assertThat(verdict.keepingClass()).isEqualTo(KeepingClass.STARCH);
  }

  @Test
  void theCheckSaysWhenNobodyCanBeSure() {
    Brew cold = Kitchens.in(room(12), fermented("barley"));
    List<Finding.Code> codes = new ArrayList<>();
    SelfCheck.of(cold, cold.predict(0.6, Facts.NONE)).forEach(f -> codes.add(f.code()));
    assertThat(codes).contains(Finding.Code.LIFE_SPENT_EARLY);
  }

  /** Sour by what was stirred in afterwards, an idle stand is no ferment: its hours stay billed. */
  @Test
  void vinegarAfterAnIdleStandMakesNoFermentOfIt() {
    Formula plain = fermented("barley");
    List<Ingredient> more = new ArrayList<>(plain.ingredients());
    more.add(Ingredient.parts("apple-vinegar", 60));
    List<Step> steps = new ArrayList<>(plain.steps());
    steps.add(3, new Step.Add(List.of("apple-vinegar"), 40, Guide.NONE));
    Brew cold = Kitchens.in(room(10), plain.with(more, steps));
    Prediction p = cold.predict(0.6, Facts.NONE.with(4, StepFacts.NONE.with(Reading.PH, 4.2)));
    assertThat(p.heat().soured()).isFalse();
    Verdict verdict =
        Keeping.inFridge(START, ZoneOffset.UTC, School.CAREFUL, Kept.USUAL).judge(cold, p, START);
    assertThat(verdict.keepingClass()).isEqualTo(KeepingClass.STARCH);
    assertThat(verdict.useNow()).isTrue();
  }
}
