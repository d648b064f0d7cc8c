package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.ModelParameters;
import dremsa.core.kitchen.Parameter;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.scale.Solution;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BrewTest {
  @Test
  void waterInIsWaterOutForAnyInput() {
    Random random = new Random(11);
    for (int i = 0; i < 200; i++) {
      Formula formula = BuiltInFormulas.all().get(random.nextInt(BuiltInFormulas.all().size()));
      double scale = Math.exp(random.nextDouble() * 4 - 3);
      Kitchen kitchen = Kitchens.METRIC.withClimate(new Climate(random.nextDouble() * 40, 4, -18));
      Facts facts =
          Facts.NONE.with(
              random.nextInt(formula.steps().size()),
              StepFacts.lasting(random.nextDouble() * 3000));
      if (random.nextBoolean()) {
        facts =
            facts.with(
                formula.steps().size() - 1,
                StepFacts.NONE.with(Reading.VOLUME, random.nextDouble() * 2000));
      }
      Brew brew = Kitchens.in(kitchen, formula);
      Prediction p =
          (brew.ways().isEmpty() ? brew : brew.ways().get(random.nextInt(brew.ways().size())))
              .predict(scale, facts);
      WaterAccount a = p.account();
      assertThat(a.bottled() + a.held() + a.cloth() + a.steam() + a.apart() + a.unaccounted())
          .isCloseTo(a.in(), within(a.in() * 1e-9));
      assertThat(a.steam()).isNotNegative();
      assertThat(a.held()).isBetween(0.0, a.in());
    }
  }

  @ParameterizedTest
  @CsvSource({"0.05, 30", "0.5, 180", "1, 600", "1.6, 60"})
  void neverGivesMoreLatentHeatThanTheBrewHeld(double scale, double minutes) {
    // Energy balance: what stands without a fire can only evaporate the heat it gives up, plus what
    // flows in from the room once it is cooler than the room.
    Formula formula = BuiltInFormulas.all().get(0);
    for (Step.Steep open :
        List.of(
            new Step.Steep(
                false,
                ((Step.Steep) formula.steps().get(1)).time(),
                formula.steps().get(1).guide()))) {
      Formula uncovered =
          new Formula(
              "x",
              "x",
              formula.method(),
              formula.purposes(),
              "",
              formula.ingredients(),
              List.of(
                  formula.steps().get(0), open, formula.steps().get(2), formula.steps().get(3)));
      Brew brew = Kitchens.brew(uncovered);
      Prediction p = brew.predict(scale, Facts.NONE.with(1, StepFacts.lasting(minutes)));
      double fromPour = p.amounts().get("water") * 4.186 * (96 - p.steps().get(3).endC());
      double hours = p.steps().get(3).endMinute() / 60;
      double fromRoom = 8 * 0.06 * Math.max(0, 21 - p.steps().get(3).endC()) * hours * 3600;
      assertThat(p.account().steam() * 2257).isLessThan(fromPour + fromRoom);
      assertThat(p.account().steam()).isPositive();
    }
  }

  @Test
  void coolsAsNewtonSays() {
    // Closed form: in a covered vessel without evaporation T falls as exp(-kt); 95 to 40 °C in a
    // room of 21 °C takes ln(74/19)/k.
    ModelParameters dry =
        ModelParameters.standard()
            .with(Parameter.COVER, Figure.estimate(0, 0, 0, ""))
            .with(Parameter.EVAPORATION, Figure.estimate(0, 0, 0, ""))
            .with(Parameter.POURED_WATER, Figure.estimate(95, 95, 95, "°C"));
    Vessel jar = new Vessel("j", "jar", VesselKind.JAR, 10, 1000, true);
    Formula onlyWater =
        new Formula(
            "w",
            "w",
            BuiltInFormulas.all().get(0).method(),
            java.util.Set.of(),
            "",
            List.of(dremsa.core.formula.Ingredient.parts("water", 600)),
            List.of(
                new Step.Combine(
                    VesselKind.JAR,
                    List.of("water"),
                    Step.LiquidHeat.JUST_BOILED,
                    dremsa.core.formula.Guide.NONE),
                new Step.Cool(40, Step.CoolingWay.COUNTER, true, dremsa.core.formula.Guide.NONE)));
    Prediction p =
        Brew.of(onlyWater, Kitchens.METRIC.withParameters(dry), Materials.standard())
            .predict(1, VesselChoice.NONE.with(jar), Facts.NONE.with(0, StepFacts.lasting(0)));
    double k = 8 * jar.wettedArea(600 / 0.9982) / (600 * 4.186);
    assertThat(p.steps().get(1).minutes() * 60).isCloseTo(Math.log(74.0 / 19) / k, within(25.0));
  }

  @ParameterizedTest
  @CsvSource({"30, 0.84", "120, 0.92", "180, 0.93", "720, 0.97"})
  void leafGivesAsWasFittedToInfusionCurves(double minutes, double share) {
    // The model must not drift from what it gives since it was fitted to published infusion curves.
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    Solution.Reached half = Kitchens.half(brew);
    Prediction p =
        brew.predict(half.scale(), half.vessels(), Facts.NONE.with(1, StepFacts.lasting(minutes)));
    assertThat(p.strengths().get(0).extracted()).isCloseTo(share, within(0.04));
  }

  @Test
  void powderNeedsTheFineStrain() {
    // Common practice: powder in an infusion for a spray bottle needs a second, fine pass.
    Brew brew = Kitchens.builtIn("nettle-powder-spray");
    assertThat(brew.predict(0.5, Facts.NONE).finished().debris()).isFalse();
    Formula once =
        new Formula(
            "x",
            "x",
            brew.formula().method(),
            brew.formula().purposes(),
            "",
            brew.formula().ingredients(),
            brew.formula().steps().stream()
                .filter(s -> !(s instanceof Step.Strain t && t.tool().stopsPowder()))
                .toList());
    assertThat(Kitchens.brew(once).predict(0.5, Facts.NONE).finished().debris()).isTrue();
  }

  @Test
  void whatReallyHappenedReplacesWhatWasPredicted() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    Prediction real =
        brew.predict(
            0.5,
            Facts.NONE
                .with(1, StepFacts.lasting(200).with(Reading.TEMPERATURE, 30))
                .with(2, StepFacts.NONE.with(Reading.VOLUME, 400)));
    assertThat(real.steps().get(1).minutes()).isCloseTo(200, within(1e-6));
    assertThat(real.steps().get(1).endC()).isEqualTo(30);
    assertThat(real.steps().get(2).millilitres()).isCloseTo(400, within(1e-6));
    assertThat(real.account().unaccounted()).isNotZero();
    assertThat(real.finished().millilitres()).isLessThan(400);
  }

  @Test
  void rangesHoldTheValueAndOpenUp() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    VesselChoice vessels = brew.vesselsFor(0.5);
    Ranges.Study study =
        Ranges.study(
            brew.predict(0.5, vessels, Facts.NONE),
            Ranges.coarse(brew, 0.5, vessels, Facts.NONE),
            Ranges.moved(brew, 0.5, vessels, Facts.NONE, p -> p),
            List.of(
                new Ranges.Result<Prediction>(
                    "ml", Ranges.Kind.POSITIVE, p -> p.finished().millilitres())));
    Ranges.Range ml = study.ranges().get("ml");
    assertThat(ml.low()).isLessThan(ml.value());
    assertThat(ml.high()).isGreaterThan(ml.value());
    assertThat(ml.high() - ml.low()).isBetween(5.0, 60.0);
    // The spans, squared and summed, are what the range is made of; the most telling stands first.
    assertThat(study.influences())
        .isSortedAccordingTo(
            java.util.Comparator.comparingDouble(Ranges.Influence::span).reversed());
    assertThat(study.influences().get(0).what()).contains("Lemon balm");
    assertThat(study.influences().get(0).span()).isLessThanOrEqualTo(ml.high() - ml.low());
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -1, Double.NaN, Double.POSITIVE_INFINITY})
  void refusesAScaleThatIsNone(double scale) {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    assertThatThrownBy(() -> brew.predict(scale, VesselChoice.NONE, Facts.NONE))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
