package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.hummeling.if97.IF97;
import dremsa.core.Kitchens;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Figures;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Site;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** At the boil and just below it one law holds; what it is compared with is named beside it. */
class BoilingTest {
  private static final Vessel WIDE_24 = pot(24);

  private static Vessel pot(double widthCm) {
    return new Vessel("p" + widthCm, "pot", VesselKind.POT, widthCm, 20_000, true);
  }

  private static Prediction run(Kitchen kitchen, Vessel pot, double grams, Step... steps) {
    List<Step> all = new ArrayList<>();
    all.add(new Step.Combine(VesselKind.POT, List.of("water"), Step.LiquidHeat.ROOM, Guide.NONE));
    all.addAll(List.of(steps));
    Formula water =
        new Formula(
            "w",
            "w",
            Method.DECOCTION,
            Set.of(),
            "",
            List.of(Ingredient.parts("water", grams)),
            all);
    return Brew.of(water, kitchen, Materials.standard())
        .predict(1, VesselChoice.NONE.with(pot), Facts.NONE);
  }

  private static Step boil(Step.Level level, boolean lid, double minutes) {
    return new Step.Boil(level, lid, false, Window.minutes(minutes, minutes, minutes), Guide.NONE);
  }

  /** Grams that a pot of water at the boil loses in so many minutes. */
  static double lost(
      Kitchen kitchen, Vessel pot, double grams, Step.Level level, boolean lid, double minutes) {
    Prediction p =
        run(kitchen, pot, grams, new Step.Heat(true, false, Guide.NONE), boil(level, lid, minutes));
    return (p.steps().get(1).millilitres() - p.steps().get(2).millilitres()) * 0.9982;
  }

  private static Kitchen strong(double watts) {
    return Figures.withHobWatts(Kitchens.METRIC, watts);
  }

  @Test
  void aSimmerLosesNoLessThanTheSamePotStandingJustBelowIt() {
    for (double width = 12; width <= 40; width += 4) {
      double simmer = lost(strong(3000), pot(width), 2000, Step.Level.SIMMER, false, 10);
      Prediction p =
          run(
              strong(3000),
              pot(width),
              2000,
              new Step.Heat(true, false, Guide.NONE),
              new Step.Steep(false, Window.minutes(10, 10, 10), Guide.NONE));
      double standing = (p.steps().get(1).millilitres() - p.steps().get(2).millilitres()) * 0.9982;
      assertThat(simmer).as("%.0f cm", width).isGreaterThan(standing);
    }
  }

  @Test
  void theWiderThePanTheMoreSteam() {
    double before = 0;
    for (double width : new double[] {12, 18, 24, 30, 36}) {
      double now = lost(strong(3000), pot(width), 2000, Step.Level.GENTLE, false, 15);
      assertThat(now).isGreaterThan(before * 1.1);
      before = now;
    }
  }

  // Handbook tables of heat lost by open tanks of hot water in still air: about 2450 BTU/(h ft²) at
  // 200 °F, convection included (from memory): 7.7 kW/m² at 93 °C.
  @Test
  void anOpenSurfaceLosesWhatTheTankTablesSay() {
    Pot pot = new Pot(new Constants(Kitchens.METRIC));
    pot.vessel = WIDE_24;
    Constants k = new Constants(Kitchens.METRIC);
    double perSquareMetre =
        (HeatBalance.surfaceWatts(k, pot, 1, 93.3) + k.heatLoss * WIDE_24.topArea() * 72)
            / WIDE_24.topArea();
    assertThat(perSquareMetre).isBetween(6500.0, 8800.0);
  }

  // Common practice of home brewing: an open kettle of 38 cm at a rolling boil boils off 2.5 to 4
  // litres an hour.
  @Test
  void aWideKettleBoilsOffLitresAnHour() {
    double grams = lost(strong(3500), pot(38), 15_000, Step.Level.ROLLING, false, 60);
    assertThat(grams).isBetween(2300.0, 4200.0);
  }

  // Cooking practice: a litre in an open pan of 20 cm at a gentle boil loses a fifth to a third in
  // a quarter of an hour (common practice).
  @Test
  void anOpenPanReducesAsCooksKnow() {
    double grams = lost(strong(2000), pot(20), 1000, Step.Level.GENTLE, false, 15);
    assertThat(grams).isBetween(180.0, 340.0);
  }

  // Cooling of a pot, common practice: two litres open on the counter from the boil to 60 °C take
  // about three quarters of an hour, with the lid on twice to three times as long.
  @Test
  void aPotCoolsAsCooksKnow() {
    double open = coolTo60(false);
    double covered = coolTo60(true);
    assertThat(open).isBetween(25.0, 60.0);
    assertThat(covered / open).isBetween(1.7, 4.5);
  }

  private static double coolTo60(boolean lid) {
    return run(
            strong(2000),
            pot(20),
            2000,
            new Step.Heat(true, false, Guide.NONE),
            new Step.Cool(60, Step.CoolingWay.COUNTER, lid, Guide.NONE))
        .steps()
        .get(2)
        .minutes();
  }

  @ParameterizedTest
  @EnumSource(Step.Level.class)
  void theLidHoldsMostOfItBack(Step.Level level) {
    double open = lost(strong(2000), WIDE_24, 2000, level, false, 10);
    double lidded = lost(strong(2000), WIDE_24, 2000, level, true, 10);
    assertThat(lidded).isBetween(open * 0.05, open * 0.3);
  }

  @Test
  void moreHeatIsMoreSteamAndTheHobIsTheLimit() {
    double simmer = lost(strong(2000), WIDE_24, 3000, Step.Level.SIMMER, false, 10);
    double gentle = lost(strong(2000), WIDE_24, 3000, Step.Level.GENTLE, false, 10);
    double rolling = lost(strong(2000), WIDE_24, 3000, Step.Level.ROLLING, false, 10);
    assertThat(gentle).isGreaterThan(simmer);
    assertThat(rolling).isGreaterThan(gentle);
    double weak = lost(strong(600), WIDE_24, 3000, Step.Level.ROLLING, false, 10);
    // Energy balance: 600 W for ten minutes make at most 160 g of steam (IAPWS-IF97).
    assertThat(weak).isBetween(100.0, 160.0);
  }

  @Test
  void aWidePanOverAWeakFlameIsToldNotToBoil() {
    Prediction p = run(strong(900), pot(45), 2000, new Step.Heat(false, false, Guide.NONE));
    assertThat(p.troubles()).hasAtLeastOneElementOfType(Trouble.NeverBoils.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {24, 36, 45})
  void whatBoilsDryIsToldWithItsMinute(double width) {
    Prediction p =
        run(
            strong(4000),
            pot(width),
            300,
            new Step.Heat(false, false, Guide.NONE),
            boil(Step.Level.ROLLING, false, 60));
    assertThat(p.troubles())
        .anySatisfy(
            t ->
                assertThat(t)
                    .isInstanceOfSatisfying(
                        Trouble.BoilsDry.class,
                        dry -> assertThat(dry.afterMinutes()).isBetween(1.0, 30.0)));
    // The step takes its time all the same.
    assertThat(p.steps().get(2).minutes()).isCloseTo(60, within(0.01));
  }

  @Test
  void aBoilBeginsWhenItBoils() {
    // Nobody wrote a heating step: it is brought to the boil first, and boils its minutes then.
    Prediction p = run(strong(1300), WIDE_24, 1500, boil(Step.Level.GENTLE, true, 6));
    assertThat(p.heat().boiledMinutes()).isCloseTo(6, within(0.01));
    assertThat(p.steps().get(1).minutes()).isBetween(12.0, 20.0);
    assertThat(p.steps().get(1).endC()).isCloseTo(100, within(0.6));
    // As it went: six minutes in all were not enough to boil at all.
    Formula f =
        new Formula(
            "w",
            "w",
            Method.DECOCTION,
            Set.of(),
            "",
            List.of(Ingredient.parts("water", 1500)),
            List.of(
                new Step.Combine(
                    VesselKind.POT, List.of("water"), Step.LiquidHeat.ROOM, Guide.NONE),
                boil(Step.Level.GENTLE, true, 6)));
    Prediction real =
        Brew.of(f, strong(1300), Materials.standard())
            .predict(1, VesselChoice.NONE.with(WIDE_24), Facts.NONE.with(1, StepFacts.lasting(6)));
    assertThat(real.heat().boiledMinutes()).isZero();
    // It is still on its way: nothing is wrong with the hob.
    assertThat(real.troubles()).isEmpty();
    assertThat(real.steps().get(1).minutes()).isCloseTo(6, within(0.01));
    assertThat(real.steps().get(1).endC()).isLessThan(99);
  }

  // International Standard Atmosphere (ISO 2533) and IAPWS-IF97: water boils at 93.3 °C at 2000 m
  // and at 88 °C at 3600 m.
  @ParameterizedTest(name = "{0} m")
  @CsvSource({"0, 100.0", "1000, 96.7", "2000, 93.3", "3600, 87.9", "-400, 101.3"})
  void higherUpItBoilsCooler(double metres, double celsius) {
    assertThat(Water.boilingC(metres)).isCloseTo(celsius, within(0.25));
    double mega = 0.101325 * Math.pow(1 - 2.25577e-5 * metres, 5.25588);
    IF97 water = new IF97(IF97.UnitSystem.DEFAULT);
    assertThat(Water.boilingC(metres))
        .isCloseTo(water.saturationTemperatureP(mega) - 273.15, within(0.2));
  }

  @Test
  void aHighKitchenDrawsLessAndStillBoils() {
    Kitchen high = Kitchens.METRIC.withSite(Site.UNKNOWN.atMetres(3600));
    Formula decoction = Kitchens.builtIn("burdock-decoction").formula();
    Prediction low = Kitchens.brew(decoction).predict(0.5, Facts.NONE);
    Prediction up = Kitchens.in(high, decoction).predict(0.5, Facts.NONE);
    assertThat(up.troubles()).isEmpty();
    assertThat(up.strengths().get(0).extracted()).isLessThan(low.strengths().get(0).extracted());
    double hottest = up.trace().stream().mapToDouble(TracePoint::celsius).max().orElseThrow();
    assertThat(hottest).isCloseTo(87.9, within(0.3));
    assertThat(up.heat().wasHot()).isTrue();
  }
}
