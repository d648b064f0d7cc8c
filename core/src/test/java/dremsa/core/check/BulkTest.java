package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Plants take room, and small pots boil down. */
class BulkTest {
  private static Formula infusion(double water, String plant, double grams) {
    return new Formula(
        "i",
        "i",
        Method.HOT_INFUSION,
        Set.of(Purpose.RINSE),
        "",
        List.of(Ingredient.parts("water", water), Ingredient.parts(plant, grams)),
        List.of(
            new Step.Combine(
                VesselKind.JAR, List.of("water", plant), Step.LiquidHeat.JUST_BOILED, Guide.NONE),
            new Step.Steep(true, Window.minutes(10, 20, 60), Guide.NONE),
            new Step.Strain(StrainTool.CLOTH, true, Guide.NONE),
            new Step.Bottle(Container.JAR, Guide.NONE)));
  }

  private static List<Finding> found(Formula formula, double scale) {
    Brew brew = Kitchens.brew(formula);
    return SelfCheck.of(brew, brew.predict(scale, Facts.NONE));
  }

  // Common practice: dried flowers take about 0.06 g/mL, so 150 g are two and a half litres.
  @ParameterizedTest(name = "{1} g of chamomile in {0} mL")
  @CsvSource({"300, 150, true", "500, 15, false", "1500, 150, false", "300, 45, true"})
  void whatIsNotCoveredIsTold(double water, double grams, boolean told) {
    List<Finding> all = found(infusion(water, "chamomile", grams), 1);
    assertThat(all.stream().anyMatch(f -> f.code() == Finding.Code.NOT_COVERED)).isEqualTo(told);
    if (grams == 150 && told) {
      assertThat(all)
          .anySatisfy(
              f -> {
                assertThat(f.what()).contains("2.5 L");
                assertThat(f.cure()).contains("mL of liquid and a vessel of 2.5 L");
              });
    }
  }

  @Test
  void aSmallGelSaysWhatToStirIn() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    Prediction small = Kitchens.reached(gel, 50).prediction();
    Finding said =
        SelfCheck.of(gel, small).stream()
            .filter(f -> f.code() == Finding.Code.BOILS_DOWN)
            .findFirst()
            .orElseThrow();
    double more = Double.parseDouble(said.cure().replaceAll("\\D*(\\d+) mL.*", "$1"));
    // With that it is about as thick as half a litre of it.
    int last = gel.formula().steps().size() - 1;
    double scale = Kitchens.reached(gel, 50).scale();
    double mended =
        gel.predict(scale, Facts.NONE.with(last, StepFacts.NONE.withWater(more * 0.7, 20)))
            .finished()
            .thickness();
    double half = Kitchens.half(gel).prediction().finished().thickness();
    assertThat(mended).isBetween(half * 0.4, half * 1.6);
    assertThat(SelfCheck.of(gel, Kitchens.half(gel).prediction()))
        .noneMatch(f -> f.code() == Finding.Code.BOILS_DOWN);
  }

  // Infusion curves of tea and mint leaf (Spiro & Jago 1982 and later work, from memory): most of
  // what comes is there after ten to fifteen minutes near the boil.
  @ParameterizedTest(name = "{0} min: {1} to {2}")
  @CsvSource({"3, 0.45, 0.75", "10, 0.66, 0.85", "15, 0.68, 0.88", "180, 0.85, 0.99"})
  void cutLeafGivesMostWithinAQuarterOfAnHour(double minutes, double least, double most) {
    Brew brew = Kitchens.brew(infusion(500, "lemon-balm", 10));
    double share =
        brew.predict(1, Facts.NONE.with(1, StepFacts.lasting(minutes)))
            .strengths()
            .get(0)
            .extracted();
    assertThat(share).isBetween(least, most);
  }

  // Fenugreek's galactomannan, 20 to 30 % of the seed (from memory), makes a slippery rinse.
  @Test
  void boiledFenugreekIsSlippery() {
    Formula rinse =
        new Formula(
            "f",
            "f",
            Method.DECOCTION,
            Set.of(Purpose.RINSE),
            "",
            List.of(Ingredient.parts("water", 500), Ingredient.parts("fenugreek", 50)),
            List.of(
                new Step.Combine(
                    VesselKind.POT,
                    List.of("water", "fenugreek"),
                    Step.LiquidHeat.ROOM,
                    Guide.NONE),
                new Step.Heat(true, false, Guide.NONE),
                new Step.Boil(
                    Step.Level.GENTLE, true, false, Window.minutes(10, 15, 20), Guide.NONE),
                new Step.Strain(StrainTool.SIEVE, false, Guide.NONE),
                new Step.Bottle(Container.JAR, Guide.NONE)));
    double thickness = Kitchens.brew(rinse).predict(1, Facts.NONE).finished().thickness();
    assertThat(thickness).isBetween(30.0, 250.0);
  }
}
