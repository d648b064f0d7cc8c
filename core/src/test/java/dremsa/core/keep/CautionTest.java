package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
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
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Where two rules could apply the shorter date wins: brews that look safer than they are. */
class CautionTest {
  private static final Instant START = Instant.parse("2026-11-24T10:00:00Z");

  private static Formula formula(List<Ingredient> ingredients, Step... steps) {
    return new Formula(
        "f", "f", Method.BLEND, Set.of(Purpose.RINSE), "", ingredients, List.of(steps));
  }

  private static Step cold(String... keys) {
    return new Step.Combine(VesselKind.JAR, List.of(keys), Step.LiquidHeat.ROOM, Guide.NONE);
  }

  private static Verdict judged(Brew brew, Facts facts, School school) {
    Prediction prediction = brew.predict(1, facts);
    return Kept.of(START, ZoneOffset.UTC, school, Place.FRIDGE, List.of())
        .judge(brew, prediction, START.plus(Duration.ofDays(30)));
  }

  /** Common practice, and USDA's advice for garlic in oil (from memory): days, and in the cold. */
  @ParameterizedTest
  @CsvSource({"onion-juice, 10", "onion-juice, 45", "aloe-juice, 30", "amla-juice, 5", "water, 20"})
  void oilWithSomethingWetInItIsNoOil(String wet, double percent) {
    Formula mixed =
        formula(
            List.of(
                Ingredient.parts("coconut-oil", 200 * (100 - percent) / 100),
                Ingredient.parts(wet, 200 * percent / 100)),
            cold("coconut-oil", wet),
            new Step.Bottle(Container.SPRAY, Guide.NONE));
    for (School school : School.values()) {
      Verdict verdict = judged(Kitchens.brew(mixed), Facts.NONE, school);
      assertThat(verdict.keepingClass()).isEqualTo(KeepingClass.OIL_WET);
      assertThat(Duration.between(START, verdict.runsOut()))
          .isLessThanOrEqualTo(Duration.ofDays(4));
    }
    Brew brew = Kitchens.brew(mixed);
    assertThat(SelfCheck.of(brew, brew.predict(1, Facts.NONE)))
        .anyMatch(finding -> finding.code() == Finding.Code.WET_PLANT_IN_OIL);
  }

  /** Juice and starch feed what a dose for watery things holds down. */
  @ParameterizedTest
  @CsvSource({"onion-juice", "aloe-juice"})
  void whatIsRichKeepsShortWithAPreservativeToo(String base) {
    Brew brew =
        Kitchens.brew(
            formula(
                List.of(
                    Ingredient.parts(base, 300),
                    new Ingredient(
                        "phenoxyethanol", "phenoxyethanol", new Proportion.PercentOfFinished(0.6))),
                cold(base),
                new Step.Add(List.of("phenoxyethanol"), 40, Guide.NONE),
                new Step.Bottle(Container.SPRAY, Guide.NONE)));
    Prediction prediction = brew.predict(1, Facts.NONE);
    for (School school : School.values()) {
      Verdict cold = judged(brew, Facts.NONE, school);
      assertThat(cold.keepingClass()).isEqualTo(KeepingClass.PRESERVED_RICH);
      Duration lasts = Duration.between(START, cold.runsOut());
      assertThat(lasts).isLessThanOrEqualTo(Duration.ofDays(school == School.CAREFUL ? 6 : 14));
      Verdict room =
          Kept.of(START, ZoneOffset.UTC, school, Place.ROOM, List.of())
              .judge(brew, prediction, START);
      assertThat(room.useNow()).as("never at room temperature").isTrue();
    }
  }

  private static Brew soakedThenPreserved() {
    Kitchen kitchen = Kitchens.METRIC.withClimate(new Climate(30, 5, -18));
    return Kitchens.in(
        kitchen,
        formula(
            List.of(
                Ingredient.parts("water", 400),
                Ingredient.parts("nettle-leaf", 12),
                new Ingredient(
                    "phenoxyethanol", "phenoxyethanol", new Proportion.PercentOfFinished(0.8))),
            cold("water", "nettle-leaf"),
            new Step.Soak(Place.ROOM, Window.hours(1, 96, 200), Guide.NONE),
            new Step.Strain(StrainTool.CLOTH, true, Guide.NONE),
            new Step.Add(List.of("phenoxyethanol"), 40, Guide.NONE),
            new Step.Bottle(Container.SPRAY, Guide.NONE)));
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void aPreservativeDoesNotMakeABrewYoungAgain(School school) {
    Brew brew = soakedThenPreserved();
    Verdict late = judged(brew, Facts.NONE, school);
    assertThat(late.keepingClass()).isEqualTo(KeepingClass.INFUSION);
    assertThat(late.useNow()).isTrue();
    assertThat(late.reasons().get(0).toString()).contains("too late to count");
    // Preserved within the hour it keeps as it always did.
    Verdict soon = judged(brew, Facts.NONE.with(1, StepFacts.lasting(60)), school);
    assertThat(soon.keepingClass()).isEqualTo(KeepingClass.PRESERVED);
  }

  /** More delay before it never gives a later date. */
  @ParameterizedTest
  @EnumSource(School.class)
  void theLongerItStoodTheSoonerItEnds(School school) {
    Brew brew = soakedThenPreserved();
    Duration before = Duration.ofDays(10_000);
    for (double hours = 1; hours <= 128; hours *= 2) {
      Verdict verdict = judged(brew, Facts.NONE.with(1, StepFacts.lasting(hours * 60)), school);
      Duration lasts =
          Duration.between(START, verdict.runsOut()).minusMinutes(Math.round(hours * 60));
      assertThat(lasts).as(hours + " h").isLessThanOrEqualTo(before);
      before = lasts.plusMinutes(1);
    }
  }
}
