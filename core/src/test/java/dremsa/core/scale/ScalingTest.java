package dremsa.core.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Trouble;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ScalingTest {
  @ParameterizedTest
  @ValueSource(doubles = {150, 250, 500, 1000, 3000, 8000})
  void solvingThenPredictingReturnsTheTarget(double ml) {
    for (Formula formula : BuiltInFormulas.all()) {
      Solution.Reached reached = Kitchens.reached(Kitchens.large(formula), ml);
      assertThat(reached.brew().bottledMl(reached.scale(), reached.vessels(), Facts.NONE))
          .as(formula.id())
          .isCloseTo(ml, within(ml * Scaling.ACCURACY));
      assertThat(reached.predictions()).isLessThanOrEqualTo(16);
    }
  }

  /** Common practice: a jar holds its name only to the brim, a bottle below its neck. */
  @Test
  void jarsAreMeasuredForWhatGoesIntoThem() {
    Formula gel = BuiltInFormulas.find("linseed-gel").orElseThrow();
    Formula spray = BuiltInFormulas.find("lemon-balm-spray").orElseThrow();
    Target two = new Target.Bottles(2, 250);
    assertThat(Scaling.wantedMl(gel, two)).hasValue(450);
    assertThat(Scaling.wantedMl(spray, two)).hasValue(500);
    Solution.Reached reached =
        (Solution.Reached) Scaling.solve(Kitchens.brew(gel), two, Facts.NONE);
    assertThat(reached.prediction().finished().millilitres()).isCloseTo(450, within(1.0));
  }

  @Test
  void moreHerbAndWaterNeverGiveLess() {
    for (Formula formula : BuiltInFormulas.all()) {
      Brew brew = Kitchens.large(formula);
      double before = -1;
      for (double scale = 0.2; scale < 5; scale *= 1.3) {
        double ml = brew.bottledMl(scale, brew.vesselsFor(5), Facts.NONE);
        assertThat(ml).isGreaterThan(before);
        before = ml;
      }
    }
  }

  @Test
  void everyTargetMeansItsVolume() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    for (Target target :
        List.of(
            new Target.Bottles(2, 250), new Target.PeopleUses(2, 5, 50), new Target.Volume(500))) {
      Solution.Reached reached = (Solution.Reached) Scaling.solve(brew, target, Facts.NONE);
      assertThat(reached.prediction().finished().millilitres()).isCloseTo(500, within(0.5));
    }
  }

  @Test
  void herbAtHandIsAllUsed() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    var reached =
        (Solution.Reached) Scaling.solve(brew, new Target.AtHand("lemon-balm", 12), Facts.NONE);
    assertThat(reached.prediction().amounts().get("lemon-balm")).isCloseTo(12, within(1e-9));
    assertThat(reached.prediction().finished().millilitres()).isBetween(300.0, 375.0);
  }

  @Test
  void aFullPotFitsAndOneMoreDoesNot() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    var full = (Solution.Reached) Scaling.solve(brew, new Target.FullPot(), Facts.NONE);
    double ml = full.prediction().finished().millilitres();
    var more = Scaling.solve(brew, new Target.Volume(ml * 1.05), Facts.NONE);
    assertThat(more).isInstanceOf(Solution.Unreachable.class);
    Solution.Unreachable no = (Solution.Unreachable) more;
    assertThat(no.mostMl()).isCloseTo(ml, within(ml * 0.01));
    assertThat(no.troubles()).hasAtLeastOneElementOfType(Trouble.TooFull.class);
  }

  @Test
  void whatIsLargerThanTheBlenderOrTheStrainerGoesInLoads() {
    Brew brew = Kitchens.builtIn("aloe-juice-fresh");
    Solution.Reached three = Kitchens.reached(brew, 3000);
    // A blender of 1.5 L takes 1.35 L at once, a nut bag 1.5 L.
    assertThat(Load.of(three.brew(), three.prediction()))
        .extracting(Load::equipment)
        .containsExactly("blender", "nut-milk bag");
    assertThat(Load.of(three.brew(), three.prediction())).allMatch(load -> load.fillings() >= 2);
    assertThat(Load.of(brew, Kitchens.reached(brew, 200).prediction())).isEmpty();
  }

  @Test
  void whatDoesNotFitAtOnceSaysInHowManyBatches() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    Solution.Unreachable no =
        (Solution.Unreachable) Scaling.solve(brew, new Target.Volume(5000), Facts.NONE);
    assertThat(no.batches()).isEqualTo((int) Math.ceil(5000 / no.mostMl()));
    Solution.Reached part = Kitchens.reached(brew, 5000.0 / no.batches());
    assertThat(part.prediction().works()).isTrue();
  }

  @Test
  void costIsTheSumOfWhatHasAPrice() {
    Solution.Reached half = Kitchens.half(Kitchens.builtIn("lemon-balm-spray"));
    double grams = half.prediction().amounts().get("lemon-balm");
    Cost cost = Cost.of(half.prediction(), java.util.Map.of("lemon-balm", 0.05));
    assertThat(cost.total()).isCloseTo(grams * 0.05, within(1e-9));
    assertThat(cost.per100Ml()).isCloseTo(cost.total() / 5, within(0.001));
    assertThat(cost.unpriced()).containsExactly("water");
    assertThat(cost.against(cost.per100Ml() * 4)).isCloseTo(0.25, within(1e-9));
  }

  @Test
  void saysWhenTheHerbHoldsEverything() {
    Formula leaf = BuiltInFormulas.all().get(0);
    Formula thick =
        new Formula(
            "x",
            "x",
            leaf.method(),
            leaf.purposes(),
            "",
            List.of(Ingredient.parts("water", 100), Ingredient.parts("lemon-balm", 400)),
            leaf.steps());
    Solution answer = Scaling.solve(Kitchens.brew(thick), new Target.Volume(300), Facts.NONE);
    assertThat(answer).isInstanceOf(Solution.Unreachable.class);
    assertThat(((Solution.Unreachable) answer).troubles())
        .hasAtLeastOneElementOfType(Trouble.HerbHoldsAll.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -5, 9.99, 20_001, Double.NaN, Double.POSITIVE_INFINITY})
  void refusesAVolumeOutsideItsRange(double ml) {
    assertThatThrownBy(() -> new Target.Volume(ml))
        .isInstanceOfSatisfying(
            InvalidTargetException.class,
            e -> {
              assertThat(e.field()).isEqualTo("millilitres");
              assertThat(e.low()).isEqualTo(10);
              assertThat(e.high()).isEqualTo(20_000);
            });
  }

  @Test
  void theScaleTellsWhatItCanAndNeverMoreThanALimit() {
    for (String id : new String[] {"linseed-gel", "linseed-msm", "linseed-conditioner"}) {
      Solution.Reached reached = Kitchens.half(Kitchens.builtIn(id));
      for (Portion portion : Scaling.portions(reached.brew(), reached.prediction())) {
        double grams = portion.grams();
        portion
            .weighed()
            .ifPresent(
                shown -> {
                  assertThat(shown).isCloseTo(grams, within(0.1 * grams));
                  assertThat(shown % 1).isZero();
                  if (portion.material().kind().role()
                      == dremsa.core.material.MaterialKind.Role.ADDITIVE) {
                    assertThat(shown).isLessThanOrEqualTo(grams);
                  }
                });
        if (grams > 10) {
          assertThat(portion.weighed()).isPresent();
        } else if (grams < 0.9) {
          assertThat(portion.weighed()).isEmpty();
        }
      }
    }
  }
}
