package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.acid.Acid;
import dremsa.core.acid.Solutes;
import dremsa.core.acid.Sourness;
import dremsa.core.brew.Contents.Gum;
import dremsa.core.brew.Contents.Trait;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a brew consists of, added, divided and described; by arithmetic. */
class ContentsTest {
  private static Contents water(double grams) {
    return new Contents(
        grams, 0, 0, 0, 0, 0, 0, 0, 0, Sourness.NONE, List.of(), List.of(), Set.of());
  }

  private static Contents of(
      double water, double ethanol, double oil, double juice, double acid, List<Gum> gums) {
    return new Contents(
        water,
        ethanol,
        ethanol,
        0,
        oil,
        juice,
        0,
        0,
        0,
        Sourness.of(Solutes.of(Acid.ACETIC, acid / Acid.ACETIC.molarMass())),
        gums,
        List.of(),
        Set.of(Trait.RAW_JUICE));
  }

  @Test
  void fortyPercentByVolumeIsAThirdByMass() {
    // OIML R 22 (from memory): 200 mL of 40 % vol weighs 189.6 g and holds 80 mL of ethanol.
    Contents spirit = of(189.6 - 63.14, 63.14, 0, 0, 0, List.of());
    assertThat(spirit.alcoholPercent()).isCloseTo(40, within(0.1));
    assertThat(spirit.millilitres()).isCloseTo(200, within(0.2));
    assertThat(spirit.times(3).alcoholPercent()).isCloseTo(spirit.alcoholPercent(), within(1e-9));
    assertThat(spirit.plus(water(202)).alcoholPercent()).isCloseTo(20, within(0.3));
  }

  @Test
  void sharesAreOfTheLiquidAndAddUp() {
    Contents mixed = of(50, 0, 30, 20, 0, List.of());
    assertThat(mixed.waterShare()).isEqualTo(0.5);
    assertThat(mixed.oilShare()).isEqualTo(0.3);
    assertThat(mixed.juiceShare()).isEqualTo(0.2);
    assertThat(mixed.solidsShare()).isZero();
    assertThat(Contents.NONE.waterShare()).isZero();
    assertThat(Contents.NONE.alcoholPercent()).isZero();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.1, 0.5, 2, 7})
  void aShareOfABrewIsTheSameBrew(double factor) {
    Contents whole = of(400, 20, 10, 30, 2, List.of(new Gum(4, 300)));
    Contents part = whole.times(factor);
    assertThat(part.grams()).isCloseTo(whole.grams() * factor, within(1e-9));
    assertThat(part.millilitres()).isCloseTo(whole.millilitres() * factor, within(1e-9));
    assertThat(part.gumPercent()).isCloseTo(whole.gumPercent(), within(1e-12));
    assertThat(part.ph().value()).isCloseTo(whole.ph().value(), within(1e-3));
    assertThat(part.traits()).isEqualTo(whole.traits());
    assertThat(whole.millilitres(100).millilitres()).isCloseTo(100, within(1e-9));
  }

  @Test
  void pouredTogetherNothingIsLostAndEveryTraitStays() {
    Contents first = of(100, 5, 0, 10, 1, List.of(new Gum(2, 300)));
    Contents second =
        new Contents(
            50,
            0,
            0,
            0,
            3,
            7,
            4,
            6,
            0,
            Sourness.NONE,
            List.of(new Gum(1, 900)),
            List.of(),
            Set.of(Trait.STARCH));
    Contents both = first.plus(second);
    assertThat(both.grams()).isCloseTo(first.grams() + second.grams(), within(1e-9));
    assertThat(both.gums()).containsExactly(new Gum(2, 300), new Gum(1, 900));
    assertThat(both.traits()).containsExactlyInAnyOrder(Trait.RAW_JUICE, Trait.STARCH);
    assertThat(both.sourness()).isEqualTo(first.sourness());
    assertThat(first.plus(Contents.NONE).grams()).isEqualTo(first.grams());
  }

  @Test
  void fivePercentVinegarIsSourAndOilHasNoPh() {
    // 5 g of acetic acid in 100 mL; acid constant 1.75e-5: pH = ½(4.757 − log 0.833).
    Contents vinegar = of(95, 0, 0, 0, 5, List.of());
    assertThat(vinegar.ph().value()).isCloseTo(2.42, within(0.05));
    assertThat(of(1, 0, 99, 0, 0, List.of()).ph().exists()).isFalse();
    assertThat(vinegar.plus(water(900)).ph().value()).isGreaterThan(vinegar.ph().value());
  }

  @Test
  void thicknessIsKnownOfGumInWaterAlone() {
    assertThat(of(100, 0, 0, 0, 0, List.of(new Gum(1, 300))).thicknessKnown()).isTrue();
    assertThat(of(100, 0, 20, 0, 0, List.of()).thicknessKnown()).isFalse();
    Contents gel = of(99, 0, 0, 0, 0, List.of(new Gum(1, 300)));
    double cold = gel.thickness(Kitchens.METRIC, 20);
    // One percent of a gum of power 300 gives about 300 mPa·s at 20 °C, by the definition of power.
    assertThat(cold).isCloseTo(300, within(12.0));
    assertThat(gel.thickness(Kitchens.METRIC, 90)).isLessThan(cold / 4);
    assertThat(of(100, 0, 20, 0, 0, List.of()).thickness(Kitchens.METRIC, 20)).isNaN();
    double diluted = gel.plus(water(100)).thickness(Kitchens.METRIC, 20);
    // Half the share, to the power 1.8.
    assertThat(diluted).isCloseTo(cold / Math.pow(2, 1.8), within(8.0));
  }
}
