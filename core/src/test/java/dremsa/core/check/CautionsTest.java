package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.MaterialKind;
import java.util.List;
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
    return Cautions.at(brew, index);
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
}
