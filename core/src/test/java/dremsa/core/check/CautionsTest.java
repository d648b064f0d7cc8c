package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.MaterialKind;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The cautions stand at the step where the risk arises; common practice. */
class CautionsTest {
  static Stream<Formula> formulas() {
    return BuiltInFormulas.all().stream();
  }

  private static List<Caution> at(Brew brew, int index) {
    return Cautions.at(brew, brew.predict(1, Facts.NONE).steps().get(index));
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void heatBurnsWhereverItIs(Formula formula) {
    Brew brew = Kitchens.brew(formula);
    for (int i = 0; i < formula.steps().size(); i++) {
      Step step = formula.steps().get(i);
      boolean hot =
          step instanceof Step.Heat
              || step instanceof Step.Boil
              || step instanceof Step.Combine c && c.liquid() == Step.LiquidHeat.JUST_BOILED;
      if (hot) {
        assertThat(at(brew, i)).as(formula.id() + " step " + i).contains(Caution.BURNS);
      }
      if (step instanceof Step.Combine c
          && c.liquid() == Step.LiquidHeat.JUST_BOILED
          && c.vessel() == VesselKind.JAR) {
        assertThat(at(brew, i)).contains(Caution.WARM_THE_GLASS);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void theLastStepSaysWhatItIsNotFor(Formula formula) {
    Brew whole = Kitchens.brew(formula);
    for (Brew brew : whole.ways().isEmpty() ? List.of(whole) : whole.ways()) {
      int last = brew.formula().steps().size() - 1;
      assertThat(at(brew, last))
          .as(formula.id())
          .contains(Caution.NOT_FOR_DRINKING, Caution.PATCH_TEST);
      boolean sprays =
          brew.formula().steps().get(last) instanceof Step.Bottle b && b.container().sprays();
      assertThat(at(brew, last).contains(Caution.CLOSE_EYES)).isEqualTo(sprays);
    }
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void spiritKeepsAwayFromFlamesAtEveryStep(Formula formula) {
    Brew brew = Kitchens.brew(formula);
    boolean spirit = brew.materials().stream().anyMatch(m -> m.kind() == MaterialKind.SPIRIT);
    for (int i = 0; i < formula.steps().size(); i++) {
      assertThat(at(brew, i).contains(Caution.NO_FLAME)).isEqualTo(spirit);
      assertThat(at(brew, i)).doesNotHaveDuplicates();
    }
  }

  @Test
  void whatFrothsIsNotLeftAlone() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    int heat = index(gel, Step.Heat.class);
    assertThat(at(gel, heat)).contains(Caution.BOIL_OVER);
    Brew birch = Kitchens.builtIn("birch-sage-decoction");
    assertThat(at(birch, index(birch, Step.Heat.class))).doesNotContain(Caution.BOIL_OVER);
  }

  @Test
  void latexIsSaidWhereTheLeafIsCut() {
    Brew aloe = Kitchens.builtIn("aloe-juice-fresh");
    assertThat(at(aloe, index(aloe, Step.Prepare.class))).contains(Caution.LATEX);
  }

  @Test
  void signsToThrowItAwayAreSaidOfEveryBrew() {
    Formula gel = BuiltInFormulas.find("linseed-gel").orElseThrow();
    Formula ferment = BuiltInFormulas.find("barley-ferment").orElseThrow();
    assertThat(HardStop.of(gel)).hasSize(HardStop.values().length);
    // Of a ferment gas and a sour smell are wanted; mould and slime never are.
    assertThat(HardStop.of(ferment))
        .contains(HardStop.MOULD.words(), HardStop.SLIME.words())
        .doesNotContain(HardStop.GAS.words(), HardStop.SMELL.words());
    assertThat(Stream.of(Caution.values()).map(Caution::words)).doesNotContain("");
  }

  private static int index(Brew brew, Class<? extends Step> kind) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (kind.isInstance(brew.formula().steps().get(i))) {
        return i;
      }
    }
    throw new AssertionError("no such step");
  }

  private static List<Caution> of(String material, Step step) {
    Formula formula =
        new Formula(
            "f",
            "f",
            Method.BLEND,
            Set.of(Purpose.SCALP),
            "",
            List.of(Ingredient.parts("water", 300), Ingredient.parts(material, 10)),
            List.of(step));
    return at(Kitchens.brew(formula), 0);
  }

  private static Step putting(VesselKind vessel, Step.LiquidHeat heat) {
    return new Step.Combine(vessel, List.of("water"), heat, Guide.NONE);
  }

  @Test
  void whatIsInThePotDecidesToo() {
    Step bath = new Step.WaterBath(Window.minutes(30, 60, 90), Guide.NONE);
    assertThat(of("olive-oil", bath))
        .containsExactly(Caution.BURNS, Caution.WARM_THE_GLASS, Caution.OIL_HEAT);
    assertThat(of("sage", bath)).containsExactly(Caution.BURNS, Caution.WARM_THE_GLASS);
    Step heat = new Step.Heat(true, false, Guide.NONE);
    assertThat(of("linseed", heat)).containsExactly(Caution.BURNS, Caution.BOIL_OVER);
    assertThat(of("rice", heat)).containsExactly(Caution.BURNS, Caution.BOIL_OVER);
    assertThat(of("sage", heat)).containsExactly(Caution.BURNS);
    Step strain = new Step.Strain(StrainTool.CLOTH, true, Guide.NONE);
    assertThat(of("amla-powder", strain)).containsExactly(Caution.FINE_STRAIN);
    assertThat(of("sage", strain)).isEmpty();
    assertThat(of("sage", new Step.Blend(Window.minutes(1, 2, 3), Guide.NONE))).isEmpty();
  }

  @Test
  void onlyGlassIsWarmedAndOnlyHotWaterBurns() {
    assertThat(of("sage", putting(VesselKind.POT, Step.LiquidHeat.JUST_BOILED)))
        .containsExactly(Caution.BURNS);
    assertThat(of("sage", putting(VesselKind.BOWL, Step.LiquidHeat.JUST_BOILED)))
        .containsExactly(Caution.BURNS, Caution.WARM_THE_GLASS);
    assertThat(of("sage", putting(VesselKind.JAR, Step.LiquidHeat.ROOM))).isEmpty();
  }

  @Test
  void latexAndUndilutedOilsAreSaidOfWhatHasThem() {
    Step drain =
        new Step.Prepare(
            List.of("aloe-leaf"),
            Step.Treatment.DRAIN_LATEX,
            Window.minutes(10, 20, 60),
            Guide.NONE);
    assertThat(of("aloe-leaf", drain)).containsExactly(Caution.LATEX);
    assertThat(of("sage", drain.accept(new NamesWater()))).isEmpty();
    assertThat(
            of("lavender-essential", new Step.Add(List.of("lavender-essential"), 40, Guide.NONE)))
        .containsExactly(Caution.NEVER_UNDILUTED);
    assertThat(of("sage", new Step.Add(List.of("sage"), 40, Guide.NONE))).isEmpty();
    assertThat(of("spirit-40", new Step.Add(List.of("water"), 40, Guide.NONE)))
        .containsExactly(Caution.NO_FLAME);
  }

  /** The same preparing, of water. */
  private static final class NamesWater implements StepCases.Some<Step> {
    @Override
    public Step prepare(Step.Prepare step) {
      return step.naming(List.of("water"));
    }

    @Override
    public Step otherwise(Step step) {
      return step;
    }
  }
}
