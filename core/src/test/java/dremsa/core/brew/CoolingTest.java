package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Parameter;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CoolingTest {
  private static final double ROOM_C = 21;
  private static final double LITRE_G = 1000;

  /** Hot water in a lidded jar: nothing evaporates, so that Newton's closed form holds exactly. */
  private static final Brew LIDDED =
      Kitchens.brew(
          new Formula(
              "lidded",
              "Lidded water",
              Method.COLD_SOAK,
              Set.of(),
              "",
              List.of(Ingredient.parts("water", LITRE_G)),
              List.of(
                  new Step.Combine(
                      VesselKind.JAR, List.of("water"), Step.LiquidHeat.JUST_BOILED, Guide.NONE),
                  new Step.Soak(Place.ROOM, Window.hours(1, 5, 20), Guide.NONE))));

  /** Newton's rate for it, per minute, from the vessel's surface and the water's heat by hand. */
  private static double newton() {
    Vessel jar = LIDDED.vesselsFor(1).of(VesselKind.JAR).orElseThrow();
    double r = jar.diameterCm() / 200;
    double height = LITRE_G / 998.2 / 1000 / (Math.PI * r * r);
    double area = 2 * Math.PI * r * r + 2 * Math.PI * r * height;
    double h = LIDDED.kitchen().parameters().value(Parameter.HEAT_LOSS);
    return h * area / (LITRE_G * 4.186) * 60;
  }

  /** Closed form of Newton's law of cooling (mathematics). */
  private static double closedForm(double startC, double factor, double minutes) {
    return ROOM_C + (startC - ROOM_C) * Math.exp(-newton() * factor * minutes);
  }

  private static Cooling.Fit fit(StepFacts known) {
    Facts facts = Cooling.fitted(LIDDED, 1, LIDDED.vesselsFor(1), Facts.NONE.with(1, known));
    return facts.of(1).cooling().orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.5, 0.8, 1, 1.5, 2.4})
  void findsTheFactorOfClosedFormDataWithoutNoise(double factor) {
    StepFacts known = StepFacts.NONE;
    for (int i = 0; i <= 12; i++) {
      known = known.withTemperature(5 + 15 * i, closedForm(90, factor, 15 * i));
    }
    Cooling.Fit fit = fit(known);
    // The prior draws a little towards 1; twelve readings over three hours leave it hardly a say.
    assertThat(fit.factor()).isCloseTo(factor, within(factor * 0.02));
    assertThat(fit.fromC()).isCloseTo(90, within(0.2));
    assertThat(fit.low()).isLessThan(factor);
    assertThat(fit.high()).isGreaterThan(factor);
    assertThat(fit.errorC()).isLessThan(0.3);
    assertThat(fit.readings()).isEqualTo(13);
  }

  @ParameterizedTest
  @CsvSource({"0.7, 0.7, 5", "1.4, 0.7, 6", "1.8, 0.7, 3", "1.2, 2.0, 12"})
  void theIntervalHoldsTheTruthInNineteenOfTwentyNoisyRuns(
      double factor, double noiseC, int readings) {
    int held = 0;
    int runs = 200;
    Random random = new Random(19);
    for (int run = 0; run < runs; run++) {
      StepFacts known = StepFacts.NONE;
      for (int i = 0; i < readings; i++) {
        known =
            known.withTemperature(
                20 * i, closedForm(92, factor, 20 * i) + noiseC * random.nextGaussian());
      }
      Cooling.Fit fit = fit(known);
      held += fit.low() <= factor && factor <= fit.high() ? 1 : 0;
    }
    // A binomial spread of three deviations below 95 % of 200; the prior makes it rather wider.
    assertThat(held).isGreaterThanOrEqualTo(180);
  }

  @Test
  void moreReadingsNarrowTheInterval() {
    double before = Double.POSITIVE_INFINITY;
    StepFacts known = StepFacts.NONE;
    for (int i = 0; i < 8; i++) {
      known = known.withTemperature(20 * i, closedForm(92, 1.3, 20 * i));
      Cooling.Fit fit = fit(known);
      assertThat(fit.high() / fit.low()).isLessThanOrEqualTo(before * 1.0001);
      before = fit.high() / fit.low();
    }
    assertThat(before).isLessThan(1.1);
  }

  @Test
  void oneReadingMovesTheCurveAndLeavesItsSteepness() {
    Cooling.Fit fit = fit(StepFacts.NONE.withTemperature(40, 61));
    assertThat(fit.fromC()).isCloseTo(61, within(1e-6));
    assertThat(fit.factor()).isCloseTo(1, within(1e-6));
    assertThat(fit.low()).isLessThan(0.6);
    assertThat(fit.high()).isGreaterThan(1.8);
  }

  @Test
  void whatWasReadMovesTheLandmarksThatFollow() {
    Brew brew = Kitchens.builtIn("linseed-gel");
    double scale = Kitchens.half(brew).scale();
    VesselChoice vessels = brew.vesselsFor(scale);
    int cooling = firstCooling(brew);
    Prediction planned = brew.predict(scale, vessels, Facts.NONE);
    double predicted = Landmark.STRAIN.reachedIn(planned).orElseThrow();
    double began = planned.steps().get(cooling).startMinute();
    double later = Cooling.celsiusAt(planned, began + 10) + 8;
    Facts facts =
        Cooling.fitted(
            brew,
            scale,
            vessels,
            Facts.NONE.with(cooling, StepFacts.NONE.withTemperature(10, later)));
    Prediction read = brew.predict(scale, vessels, facts);
    assertThat(Cooling.celsiusAt(read, began + 10.001)).isCloseTo(later, within(0.3));
    assertThat(Landmark.STRAIN.reachedIn(read).orElseThrow()).isGreaterThan(predicted + 2);
  }

  private static int firstCooling(Brew brew) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (brew.formula().steps().get(i) instanceof Cool) {
        return i;
      }
    }
    throw new AssertionError("no cooling");
  }

  @Test
  void theWaysToCoolAreTheirOwnOrder() {
    Brew brew = Kitchens.builtIn("linseed-gel");
    double scale = Kitchens.half(brew).scale();
    int cooling = firstCooling(brew);
    List<Cooling.Choice> choices =
        Cooling.choices(brew, scale, brew.vesselsFor(scale), Facts.NONE, cooling, 0);
    Cool planned = (Cool) brew.formula().steps().get(cooling);
    assertThat(choices.get(0).way()).isEqualTo(planned.way());
    assertThat(choices.get(0).cover()).isEqualTo(planned.cover());
    assertThat(choices).hasSizeGreaterThanOrEqualTo(5);
    double covered = toStrain(choices, CoolingWay.COUNTER, true);
    double open = toStrain(choices, CoolingWay.COUNTER, false);
    double shallow = toStrain(choices, CoolingWay.SHALLOW_BOWL, false);
    double ice = toStrain(choices, CoolingWay.ICE_BATH, true);
    // Common practice: a lid slows, a wide bowl and ice hasten.
    assertThat(open).isLessThan(covered);
    assertThat(shallow).isLessThan(open);
    assertThat(ice).isLessThan(open);
  }

  private static double toStrain(List<Cooling.Choice> choices, CoolingWay way, boolean cover) {
    return choices.stream()
        .filter(c -> c.way() == way && c.cover() == cover)
        .map(c -> c.minutes().get(Landmark.STRAIN))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aWayTakenHalfWayKeepsWhatHasPassed() {
    Brew brew = Kitchens.builtIn("linseed-gel");
    double scale = Kitchens.half(brew).scale();
    VesselChoice vessels = brew.vesselsFor(scale);
    int cooling = firstCooling(brew);
    Prediction before = brew.predict(scale, vessels, Facts.NONE);
    double began = before.steps().get(cooling).startMinute();
    Cooling.Choice ice =
        Cooling.choices(brew, scale, vessels, Facts.NONE, cooling, 12).stream()
            .filter(c -> c.way() == CoolingWay.ICE_BATH && c.cover())
            .findFirst()
            .orElseThrow();
    assertThat(ice.formula().steps()).hasSize(brew.formula().steps().size() + 1);
    assertThat(Cooling.celsiusAt(ice.prediction(), began + 11.9))
        .isCloseTo(Cooling.celsiusAt(before, began + 11.9), within(0.2));
    assertThat(ice.toTarget().orElseThrow())
        .isLessThan(before.steps().get(cooling).endMinute() - began - 12);
  }

  @Test
  void onlyACoolingHasWaysToCool() {
    Brew brew = Kitchens.builtIn("linseed-gel");
    assertThatThrownBy(() -> Cooling.choices(brew, 1, brew.vesselsFor(1), Facts.NONE, 0, 0))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
