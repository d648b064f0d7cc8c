package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.keep.Classifier;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Figures;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Facts of the trade; common practice, no source, where nothing else is said. */
class CraftTest {
  private static Formula seedGel(double water, double boilMinutes, boolean squeeze, Step... more) {
    List<Step> steps =
        new java.util.ArrayList<>(
            List.of(
                new Step.Combine(
                    VesselKind.POT, List.of("linseed", "water"), Step.LiquidHeat.ROOM, Guide.NONE),
                new Step.Heat(true, true, Guide.NONE),
                new Step.Boil(
                    Step.Level.GENTLE, true, true, Window.minutes(0, boilMinutes, 60), Guide.NONE),
                new Step.Cool(squeeze ? 30 : 95, Step.CoolingWay.COUNTER, true, Guide.NONE),
                new Step.Strain(
                    squeeze ? StrainTool.CLOTH : StrainTool.SIEVE, squeeze, Guide.NONE)));
    steps.addAll(List.of(more));
    return new Formula(
        "gel",
        "gel",
        Method.SEED_GEL,
        Set.of(),
        "",
        List.of(Ingredient.parts("water", water), Ingredient.parts("linseed", 100)),
        steps);
  }

  @Test
  void linseedOneToFourteenSqueezedGivesMostOfItBack() {
    Prediction p = Kitchens.brew(seedGel(1400, 3, true)).predict(1, Facts.NONE);
    assertThat(p.works()).isTrue();
    assertThat(p.account().bottled() / p.account().in()).isBetween(0.70, 0.85);
    assertThat(p.finished().band()).contains(Thickness.GEL);
  }

  @Test
  void itLooksThinWhileHot() {
    Prediction p = Kitchens.brew(seedGel(1400, 3, true)).predict(1, Facts.NONE);
    // Hot liquid is about eight times thinner than cold.
    double atBoil =
        p.trace().stream()
            .filter(m -> m.celsius() > 99.5)
            .mapToDouble(TracePoint::thickness)
            .max()
            .orElseThrow();
    assertThat(Thickness.of(atBoil)).isIn(Thickness.SPRAY, Thickness.LIGHT);
    assertThat(p.finished().thickness() / atBoil).isBetween(5.0, 14.0);
  }

  @Test
  void linseedOneToFiveAndAHalfIsSyrupWhileHot() {
    Prediction p = Kitchens.brew(seedGel(560, 4, false)).predict(1, Facts.NONE);
    double atBoil =
        p.trace().stream()
            .filter(m -> m.celsius() > 99.5)
            .mapToDouble(TracePoint::thickness)
            .max()
            .orElseThrow();
    assertThat(Thickness.of(atBoil)).isEqualTo(Thickness.SYRUP);
  }

  @Test
  void spentSeedGivesNoSecondGel() {
    // Seed that cooled in its pot has given what it has: more boiling adds next to nothing.
    Prediction once = Kitchens.brew(seedGel(1400, 6, true)).predict(0.5, Facts.NONE);
    Prediction twice = Kitchens.brew(seedGel(1400, 30, true)).predict(0.5, Facts.NONE);
    double gumOnce = once.finished().gumPercent() * once.account().in();
    double gumTwice =
        twice.finished().gumPercent() * (twice.account().in() - twice.account().steam());
    assertThat(gumTwice / gumOnce).isBetween(0.85, 1.10);
  }

  @Test
  void fenugreekInHotWaterGrowsToAboutTwiceItsSize() {
    // Common practice: three hours in hot water. Twice the size, and some water clings to it.
    double held = Materials.standard().get("fenugreek").value(Property.HOLD, 0);
    assertThat(1 + held).isBetween(2.0, 3.0);
  }

  @Test
  void aPercentageIsOfTheFinishedMass() {
    // Common practice: 1 % of a 500 g batch is 5.00 g if 500 g is the finished mass, 5.05 g if it
    // is the base.
    Formula formula =
        new Formula(
            "preserved",
            "Preserved water",
            Method.BLEND,
            Set.of(),
            "",
            List.of(
                Ingredient.parts("water", 100),
                new Ingredient(
                    "phenoxyethanol", "phenoxyethanol", new Proportion.PercentOfFinished(1))),
            List.of(
                new Step.Combine(
                    VesselKind.BOWL, List.of("water"), Step.LiquidHeat.ROOM, Guide.NONE),
                new Step.Add(List.of("phenoxyethanol"), 40, Guide.NONE),
                new Step.Bottle(Container.SPRAY, Guide.NONE)));
    Prediction p = Kitchens.brew(formula).predict(5, Facts.NONE);
    double preservative = p.amounts().get("phenoxyethanol");
    double finished = p.finished().grams();
    // Half a gram of water goes off the open bowl between stirring in and bottling.
    assertThat(500 * preservative / finished).isCloseTo(5.00, within(0.01));
    assertThat(500 * preservative / (finished - preservative)).isCloseTo(5.05, within(0.01));
  }

  @Test
  void oneLargeAloeLeafGivesItsJuice() {
    Brew brew = Kitchens.builtIn("aloe-juice-fresh");
    Prediction p = brew.predict(1, Facts.NONE);
    assertThat(p.finished().millilitres()).isBetween(150.0, 200.0);
  }

  @ParameterizedTest(name = "{0} mL")
  @ValueSource(doubles = {15, 40, 150, 500, 1400})
  void whatStandsForDaysIsAsWarmAsItsRoomWhateverItsSize(double millilitres) {
    // A covered jar in a room of 21 °C: within a degree of it for two days, never below the wet
    // bulb.
    Prediction p = Kitchens.predicted("barley-ferment", millilitres);
    for (TracePoint moment : p.trace()) {
      assertThat(moment.celsius()).isBetween(14.0, 21.01);
    }
    assertThat(p.steps().get(4).endC()).isBetween(20.0, 21.01);
    assertThat(p.contents().ph().value()).isBetween(4.1, 4.6);
    assertThat(p.contents().ph().high()).isLessThanOrEqualTo(4.6);
  }

  @Test
  void boiledGrainWaterIsNoFerment() {
    Brew cream = Kitchens.builtIn("oat-cream");
    assertThat(
            Classifier.classify(cream.predict(0.4, Facts.NONE).contents(), School.CAREFUL)
                .keepingClass())
        .isEqualTo(KeepingClass.STARCH);
    Brew ferment = Kitchens.builtIn("barley-ferment");
    assertThat(
            Classifier.classify(ferment.predict(0.4, Facts.NONE).contents(), School.CAREFUL)
                .keepingClass())
        .isEqualTo(KeepingClass.FERMENT);
  }

  @Test
  void aTinctureDrawsForWeeks() {
    // Common practice: half and more of it in the first days, the rest over weeks.
    Brew brew = Kitchens.builtIn("rosemary-tincture");
    double day = extracted(brew, 1);
    double weeks = extracted(brew, 14);
    assertThat(day).isBetween(0.40, 0.75);
    assertThat(weeks).isBetween(0.80, 0.99);
    assertThat(extracted(brew, 28)).isGreaterThan(weeks);
  }

  private static double extracted(Brew brew, double days) {
    return brew.predict(1, Facts.NONE.with(2, StepFacts.lasting(days * 1440)))
        .strengths()
        .get(0)
        .extracted();
  }

  @Test
  void aKilowattForTenMinutesMakesAtMost266GramsOfSteam() {
    // Energy balance: 1000 W · 600 s / 2256.5 J/g.
    Formula open =
        new Formula(
            "o",
            "o",
            Method.DECOCTION,
            Set.of(),
            "",
            List.of(Ingredient.parts("water", 1500)),
            List.of(
                new Step.Combine(
                    VesselKind.POT, List.of("water"), Step.LiquidHeat.ROOM, Guide.NONE),
                new Step.Heat(true, false, Guide.NONE),
                new Step.Boil(
                    Step.Level.ROLLING, false, false, Window.minutes(10, 10, 10), Guide.NONE)));
    Prediction p = Kitchens.brew(open).predict(1, Facts.NONE);
    double before = p.steps().get(1).millilitres();
    double steam = (before - p.steps().get(2).millilitres()) * 0.9982;
    assertThat(steam).isBetween(200.0, 266.0);
  }

  @Test
  void saysNeverBoilsAndBoilsDry() {
    Formula pot = Kitchens.builtIn("birch-sage-decoction").formula();
    Brew weak =
        Brew.of(
            pot,
            Figures.withHobWatts(Kitchens.METRIC, 30),
            dremsa.core.material.Materials.standard());
    assertThat(weak.predict(1, Facts.NONE).troubles())
        .hasAtLeastOneElementOfType(Trouble.NeverBoils.class);
    Brew brew = Kitchens.brew(pot);
    assertThat(brew.predict(0.3, Facts.NONE.with(3, StepFacts.lasting(60 * 24))).troubles())
        .hasAtLeastOneElementOfType(Trouble.BoilsDry.class);
  }

  @Test
  void souringFollowsTheWarmth() {
    // Square-root form of Ratkowsky et al. 1982: 1 at 22 °C by definition, none at 5 °C and at 45
    // °C.
    assertThat(Souring.hoursAt22(22)).isCloseTo(1, within(1e-9));
    assertThat(Souring.hoursAt22(5)).isZero();
    assertThat(Souring.hoursAt22(45)).isZero();
    assertThat(Souring.hoursAt22(35)).isCloseTo(900.0 / 289, within(1e-9));
    assertThat(Souring.ph(0, 24, 4)).isEqualTo(6.5);
    assertThat(Souring.ph(48, 24, 4)).isLessThan(4.6);
  }

  @Test
  void fortyPercentSpiritIsEightyProof() {
    // 27 CFR 5: proof is twice the percentage by volume.
    Formula spirit =
        new Formula(
            "s",
            "s",
            Method.TINCTURE,
            Set.of(),
            "",
            List.of(Ingredient.parts("spirit-40", 200)),
            List.of(
                new Step.Combine(
                    VesselKind.JAR, List.of("spirit-40"), Step.LiquidHeat.ROOM, Guide.NONE)));
    Prediction p = Kitchens.brew(spirit).predict(1, Facts.NONE);
    assertThat(2 * p.finished().alcoholPercent()).isCloseTo(80, within(3.5));
  }
}
