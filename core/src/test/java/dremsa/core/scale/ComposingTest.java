package dremsa.core.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Trouble;
import dremsa.core.kitchen.Vessel;
import dremsa.core.measure.Figure;
import java.util.EnumSet;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Wanted ratio, strength and thickness; doses of one use. */
class ComposingTest {
  private static Solution.Reached reached(String id, Target target, Make make) {
    return (Solution.Reached)
        Scaling.solve(Kitchens.builtIn(id), target, Optional.of(make), Facts.NONE);
  }

  @ParameterizedTest
  @ValueSource(doubles = {12, 30, 60})
  void aRatioIsOfWhatIsPutIn(double ratio) {
    Solution.Reached r =
        reached("lemon-balm-spray", new Target.Volume(500), new Make.Ratio("lemon-balm", ratio));
    var amounts = r.prediction().amounts();
    assertThat(amounts.get("water") / amounts.get("lemon-balm")).isCloseTo(ratio, within(1e-6));
    assertThat(r.prediction().finished().millilitres()).isCloseTo(500, within(0.5));
  }

  @ParameterizedTest
  @CsvSource({"150, 2", "500, 3.5", "500, 8", "1500, 5"})
  void aStrengthIsOfTheFinishedBrew(double ml, double strength) {
    Solution.Reached r =
        reached(
            "lemon-balm-spray", new Target.Volume(ml), new Make.Strength("lemon-balm", strength));
    assertThat(r.prediction().finished().millilitres()).isCloseTo(ml, within(ml * 0.001));
    assertThat(r.prediction().strengths().get(0).gramsPer100Ml())
        .isCloseTo(strength, within(strength * 0.003));
  }

  @ParameterizedTest
  @CsvSource({"linseed-gel, 60", "linseed-gel, 500", "linseed-gel, 1500", "marshmallow-gel, 120"})
  void aThicknessIsMetWhenCold(String id, double mpas) {
    Solution.Reached r = reached(id, new Target.Volume(300), new Make.Thick(mpas));
    assertThat(r.prediction().finished().thickness()).isCloseTo(mpas, within(mpas * 0.004));
    assertThat(r.prediction().finished().millilitres()).isCloseTo(300, within(0.3));
  }

  @Test
  void whatNoSeedGivesIsRefusedWithItsNumbers() {
    Solution no =
        Scaling.solve(
            Kitchens.builtIn("mallow-leaf-lotion"),
            new Target.Volume(300),
            Optional.of(new Make.Thick(15_000)),
            Facts.NONE);
    assertThat(no).isInstanceOf(Solution.Unreachable.class);
    assertThat(((Solution.Unreachable) no).troubles())
        .hasAtLeastOneElementOfType(Trouble.OutOfReach.class);
  }

  @Test
  void whatHasNoGumCannotBeThickened() {
    Brew spray = Kitchens.builtIn("lemon-balm-spray");
    Optional<Make> thick = Optional.of(new Make.Thick(200));
    assertThatThrownBy(() -> Scaling.solve(spray, new Target.Volume(300), thick, Facts.NONE))
        .hasMessageContaining("thickens");
    Optional<Make> gold = Optional.of(new Make.Ratio("gold", 10));
    assertThatThrownBy(() -> Scaling.solve(spray, new Target.Volume(300), gold, Facts.NONE))
        .hasMessageContaining("gold");
  }

  @ParameterizedTest
  @CsvSource({
    "GEL, SHORT, USUAL, 20", "GEL, MEDIUM, USUAL, 50", "GEL, LONG, USUAL, 100",
    "GEL, LONG, DENSE, 140", "GEL, SHORT, FINE, 16", "LEAVE_IN, MEDIUM, USUAL, 20",
    "RINSE, LONG, DENSE, 500", "SOAKING, SHORT, USUAL, 100"
  })
  void dosesFollowLengthAndDensity(
      Dose.Use use, Dose.Length length, Dose.Density density, double ml) {
    // Common practice, our estimate.
    Figure dose = Dose.of(use, length, density);
    assertThat(dose.value()).isCloseTo(ml, within(1e-9));
    assertThat(dose.low()).isLessThan(ml);
    assertThat(dose.high()).isGreaterThan(ml);
  }

  @Test
  void shortHairTakesAThirdToAHalfOfLong() {
    // Common practice; a scalp is as large under any hair.
    for (Dose.Use use : EnumSet.complementOf(EnumSet.of(Dose.Use.SCALP))) {
      double share =
          Dose.of(use, Dose.Length.SHORT, Dose.Density.USUAL).value()
              / Dose.of(use, Dose.Length.LONG, Dose.Density.USUAL).value();
      assertThat(share).isBetween(0.2, 0.5);
    }
    // Long thick hair may take twice a 200 mL batch of gel.
    assertThat(Dose.of(Dose.Use.GEL, Dose.Length.LONG, Dose.Density.DENSE).high())
        .isGreaterThan(200);
    assertThat(Dose.strokes(20, Dose.MIST_STROKE)).isEqualTo(133);
    assertThat(Dose.strokes(20, Dose.TRIGGER_STROKE)).isEqualTo(25);
  }

  @Test
  void aKitchenWithoutABlenderSaysSo() {
    var kitchen = Kitchens.METRIC;
    var bare =
        new dremsa.core.kitchen.Kitchen(
            kitchen.hobs(),
            kitchen.vessels().stream()
                .filter(v -> v.kind() != dremsa.core.kitchen.VesselKind.BLENDER)
                .toList(),
            kitchen.strainers(),
            kitchen.scoops(),
            kitchen.climate(),
            kitchen.parameters());
    Brew brew = Kitchens.in(bare, Kitchens.builtIn("carrageen-gel").formula());
    assertThat(brew.predict(0.4, Facts.NONE).troubles())
        .hasAtLeastOneElementOfType(Trouble.NoVessel.class);
    assertThat(bare.vessels()).extracting(Vessel::name).doesNotContain("Blender");
  }

  @Test
  void theThicknessOfACreamCannotBeAskedFor() {
    for (String id : new String[] {"linseed-conditioner", "oat-cream"}) {
      assertThatThrownBy(
              () ->
                  Scaling.solve(
                      Kitchens.builtIn(id),
                      new Target.Volume(300),
                      Optional.of(new Make.Thick(300)),
                      Facts.NONE))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }
}
