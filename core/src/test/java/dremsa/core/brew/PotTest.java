package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Contents.Gum;
import dremsa.core.brew.Contents.Preserver;
import dremsa.core.brew.Contents.Trait;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.AcidOf;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What goes into a pot is in it, part by part, and what leaves it takes its share of everything.
 */
class PotTest {
  private static final Constants K = new Constants(Kitchens.METRIC);
  private static final Material VINEGAR = material("apple-vinegar");

  private static Material material(String id) {
    return Materials.standard().find(id).orElseThrow();
  }

  private static double value(String id, Property property) {
    return material(id).figures().get(property).value();
  }

  private static Pot pot() {
    return new Pot(K);
  }

  private static Pot with(String id, double grams) {
    Pot pot = pot();
    pot.add(0, material(id), grams);
    return pot;
  }

  /** Something of everything, so that no part can be mistaken for another. */
  private static Contents brew() {
    return new Contents(
        301,
        37,
        31,
        23,
        19,
        17,
        13,
        11,
        7,
        AcidOf.gram(VINEGAR).times(5),
        List.of(new Gum(2, 900), new Gum(0.5, 40)),
        List.of(new Preserver(material("phenoxyethanol"), 3, true)),
        Set.of(Trait.STARCH, Trait.FERMENTED));
  }

  @Test
  void aBrewPouredInIsInItPartByPart() {
    Pot pot = pot();
    pot.minute = 12;
    pot.pour(brew());
    Contents now = pot.contents();
    assertThat(now.water()).isEqualTo(301);
    assertThat(now.ethanol()).isEqualTo(37);
    assertThat(now.ethanolSure()).isEqualTo(31);
    assertThat(now.glycerin()).isEqualTo(23);
    assertThat(now.oil()).isEqualTo(19);
    assertThat(now.juice()).isEqualTo(17);
    assertThat(now.other()).as("plant left in it goes with the rest").isEqualTo(24);
    assertThat(now.waterOfSolids()).isEqualTo(7);
    assertThat(now.gums()).isEqualTo(brew().gums());
    assertThat(now.preservatives()).isEqualTo(brew().preservatives());
    assertThat(now.traits()).isEqualTo(brew().traits());
    assertThat(now.sourness().likely()).isEqualTo(brew().sourness().likely());
    assertThat(pot.poured).isEqualTo(brew().grams());
    assertThat(pot.firstWetMinute).isEqualTo(12);
    pot.minute = 30;
    pot.pour(brew());
    assertThat(pot.firstWetMinute).as("it was wet before").isEqualTo(12);
    assertThat(pot.contents().water()).isEqualTo(602);
    assertThat(pot.contents().preservatives()).hasSize(2);
  }

  @Test
  void whatIsPouredInLaterIsNotTakenForWhatLeftBefore() {
    Pot pot = with("water", 400);
    pot.keepShare(0.25);
    pot.pour(brew());
    Contents now = pot.contents();
    assertThat(now.water()).isCloseTo(401, within(1e-9));
    assertThat(now.waterOfSolids()).isCloseTo(7, within(1e-9));
    assertThat(now.gums().get(0).grams()).isCloseTo(2, within(1e-9));
    assertThat(now.preservatives().get(0).grams()).isCloseTo(3, within(1e-9));
    assertThat(now.sourness().likely().moles(dremsa.core.acid.Acid.ACETIC))
        .isCloseTo(brew().sourness().likely().moles(dremsa.core.acid.Acid.ACETIC), within(1e-12));
  }

  @ParameterizedTest
  @EnumSource(
      value = Trait.class,
      names = {"RAW_JUICE", "FRESH_UNBOILED", "CONDITIONER_WHOLE", "FRESH_PLANT"})
  void whatABrewWasStaysUntilItIsBoiled(Trait trait) {
    Contents raw =
        new Contents(
            100,
            0,
            0,
            0,
            0,
            50,
            0,
            0,
            0,
            brew().sourness(),
            List.of(),
            List.of(),
            EnumSet.of(trait));
    Pot pot = pot();
    pot.pour(raw);
    assertThat(pot.contents().traits()).contains(trait);
    pot.boiledMinutes = 4.9;
    assertThat(pot.contents().traits()).contains(trait);
    pot.boiledMinutes = 5;
    boolean boilsAway = trait == Trait.RAW_JUICE || trait == Trait.FRESH_UNBOILED;
    assertThat(pot.contents().has(trait)).isEqualTo(!boilsAway);
  }

  @Test
  void aShopBaseIsDilutedFromATwentiethOn() {
    Pot pot = with("conditioner-base", 190);
    assertThat(pot.contents().traits()).containsExactly(Trait.CONDITIONER_WHOLE);
    pot.add(1, material("water"), 10);
    assertThat(pot.contents().traits()).containsExactly(Trait.CONDITIONER_WHOLE);
    pot.add(1, material("water"), 1);
    assertThat(pot.contents().traits()).containsExactly(Trait.CONDITIONER);
  }

  @Test
  void spiritIsWaterAndEthanolAndItsWeakestIsSure() {
    Pot pot = with("spirit-40", 300);
    double share = Solvent.ethanolShare(value("spirit-40", Property.ALCOHOL));
    double least =
        Solvent.ethanolShare(material("spirit-40").figures().get(Property.ALCOHOL).low());
    assertThat(pot.ethanol).isCloseTo(300 * share, within(1e-9));
    assertThat(pot.water).isCloseTo(300 * (1 - share), within(1e-9));
    assertThat(pot.ethanolSure).isCloseTo(300 * least, within(1e-9)).isLessThan(pot.ethanol);
    assertThat(pot.alcoholPercent()).isCloseTo(40, within(0.05));
    assertThat(pot.poured).isEqualTo(300);
  }

  @ParameterizedTest
  @CsvSource({"60.4, false", "60.6, true"})
  void aPreservativeMeetsItsHighestTemperatureWithHalfADegreeOfGrace(double above, boolean tooHot) {
    Pot pot = with("water", 100);
    double most = value("potassium-sorbate", Property.MAX_TEMPERATURE);
    pot.celsius = above - 60 + most;
    pot.add(1, material("potassium-sorbate"), 1);
    assertThat(pot.contents().preservatives().get(0).tooHot()).isEqualTo(tooHot);
  }

  @Test
  void heatIsHeldByEachPartAsItDoes() {
    Pot pot = pot();
    pot.pour(brew());
    pot.add(0, material("sage"), 30);
    double plant = Kitchens.METRIC.parameters().value(Parameter.PLANT_HEAT);
    double water = Kitchens.METRIC.parameters().value(Parameter.WATER_HEAT);
    double oil = Kitchens.METRIC.parameters().value(Parameter.OIL_HEAT);
    assertThat(pot.heatCapacity())
        .isCloseTo((301 + 17 + 24) * water + (37 + 23) * 2.4 + 19 * oil + 30 * plant, within(1e-9));
  }

  @Test
  void coldWaterIntoHotMeetsInBetween() {
    Pot pot = with("water", 300);
    pot.celsius = 90;
    pot.pourWater(100, 20);
    double grams = 100 * Solvent.WATER_DENSITY;
    assertThat(pot.water).isCloseTo(300 + grams, within(1e-9));
    assertThat(pot.poured).isCloseTo(300 + grams, within(1e-9));
    assertThat(pot.celsius).isCloseTo((300 * 90 + grams * 20) / (300 + grams), within(1e-6));
    assertThat(pot.contents().sourness().likely().base())
        .as("the water's own alkalinity comes along")
        .isCloseTo(K.tap.likely().base() * (300 + grams), within(1e-12));
  }

  @Test
  void vapourIsWaterFirstAndThenThatOfJuice() {
    Pot pot = pot();
    pot.pour(brew());
    assertThat(pot.evaporate(300)).isEqualTo(300);
    assertThat(pot.water).isEqualTo(1);
    assertThat(pot.evaporate(10)).isEqualTo(10);
    assertThat(pot.water).isZero();
    assertThat(pot.juice).isEqualTo(8);
    assertThat(pot.isDry()).isFalse();
    assertThat(pot.evaporate(100)).as("no more than there is").isEqualTo(8);
    assertThat(pot.isDry()).isTrue();
    assertThat(pot.steam).isEqualTo(318);
    assertThat(pot.ethanol).as("spirit is not reckoned to steam").isEqualTo(37);
  }

  @Test
  void aPartTakesItsShareOfEverything() {
    Pot pot = pot();
    pot.pour(brew());
    pot.add(0, material("linseed"), 40);
    pot.extractionMinutes = 60;
    double gum = pot.gum(pot.plants.get(0));
    double thick = pot.thickness(20);
    pot.divide(0.5);
    assertThat(pot.water).isEqualTo(150.5);
    assertThat(pot.apart).isEqualTo((brew().liquid() + 11) / 2);
    assertThat(pot.plantGrams()).isEqualTo(20);
    assertThat(pot.gum(pot.plants.get(0))).isCloseTo(gum / 2, within(1e-12));
    assertThat(pot.thickness(20)).as("the same brew").isCloseTo(thick, within(1e-9));
    assertThat(pot.contents().gums().get(1).grams()).isCloseTo(1, within(1e-12));
  }

  @Test
  void freshPlantGivesItsWaterForLiquidButNotToOil() {
    Pot pot = with("spirit-40", 200);
    pot.add(1, material("mint-fresh"), 100);
    double wet = 100 * value("mint-fresh", Property.WATER_SHARE);
    double before = pot.water;
    double sure = pot.ethanolSure;
    pot.exchange(0);
    assertThat(pot.water).isEqualTo(before);
    pot.exchange(K.exchangeMinutes);
    double half = wet * (1 - Math.exp(-1));
    assertThat(pot.water).isCloseTo(before + half, within(1e-9));
    assertThat(pot.contents().waterOfSolids()).isCloseTo(wet - half, within(1e-9));
    assertThat(pot.contents().solids()).isCloseTo(100 - half, within(1e-9));
    assertThat(pot.ethanolSure).as("plant may be wetter than it says").isLessThan(sure);
    assertThat(pot.poured).isCloseTo(200 + half, within(1e-9));
    Pot oil = with("olive-oil", 200);
    oil.add(1, material("mint-fresh"), 100);
    oil.exchange(10_000);
    assertThat(oil.water).isZero();
  }

  @Test
  void blendedAFreshPlantGivesAllItsWaterAsRawJuice() {
    Pot pot = pot();
    pot.add(0, material("cucumber"), 200);
    assertThat(pot.firstWetMinute).isNaN();
    pot.minute = 4;
    double wet = 200 * value("cucumber", Property.WATER_SHARE);
    pot.blend(pot.plants.get(0));
    assertThat(pot.juice).isCloseTo(wet, within(1e-9));
    assertThat(pot.plantGrams()).isCloseTo(200 - wet, within(1e-9));
    assertThat(pot.firstWetMinute).isEqualTo(4);
    assertThat(pot.contents().traits()).contains(Trait.RAW_JUICE, Trait.FRESH_PLANT);
    pot.blend(pot.plants.get(0));
    assertThat(pot.juice).as("once is all").isCloseTo(wet, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"0, 1", "20, 0.5", "40, 0", "95, 0"})
  void strongerSpiritDrawsAsSpiritDoes(double percent, double towardsWater) {
    Pot pot = pot();
    double share = Solvent.ethanolShare(Math.max(percent, 1e-9));
    pot.ethanol = 100 * share;
    pot.water = 100 * (1 - share);
    double spirit = K.spiritSolvent;
    assertThat(pot.solvent()).isCloseTo(spirit + (1 - spirit) * towardsWater, within(2e-3));
    pot.oil = 101;
    assertThat(pot.solvent()).isEqualTo(K.oilSolvent);
    assertThat(pot().solvent()).as("nothing draws nothing").isZero();
  }

  @Test
  void aReadPhIsThePhUntilSomethingComesIn() {
    Pot pot = with("water", 500);
    pot.add(1, VINEGAR, 20);
    pot.readPh(4.2);
    assertThat(pot.contents().ph().value()).isCloseTo(4.2, within(0.01));
    assertThat(pot.contents().ph().read()).isTrue();
    pot.keepShare(0.5);
    assertThat(pot.contents().ph().value()).isCloseTo(4.2, within(0.01));
    assertThat(pot.contents().ph().read()).isTrue();
    pot.add(2, VINEGAR, 20);
    assertThat(pot.contents().ph().read()).isFalse();
    assertThat(pot.contents().ph().value()).isLessThan(4.2);
  }

  @Test
  void starchThatSouredIsFermentedAndHerbWaterNeverIs() {
    Pot grain = with("water", 500);
    grain.add(1, material("rice"), 100);
    grain.minute = 99;
    grain.ferment(1);
    assertThat(grain.souredMinute()).isEmpty();
    grain.ferment(100);
    assertThat(grain.souredMinute()).hasValue(99);
    assertThat(grain.contents().traits()).contains(Trait.FERMENTED);
    grain.readPh(5.4);
    assertThat(grain.souredMinute()).as("a reading denies it").isEmpty();
    assertThat(grain.contents().traits()).doesNotContain(Trait.FERMENTED);
    grain.readPh(4.6);
    assertThat(grain.contents().traits()).contains(Trait.FERMENTED);
    Pot herb = with("water", 500);
    herb.add(1, material("sage"), 20);
    herb.ferment(100);
    herb.readPh(4.0);
    assertThat(herb.contents().traits()).doesNotContain(Trait.FERMENTED);
    assertThat(herb.souredMinute()).isEmpty();
  }

  @Test
  void grainCooksOnlyWhenItIsHot() {
    Pot pot = with("water", 500);
    pot.add(1, material("rice"), 100);
    assertThat(pot.contents().traits()).containsExactly(Trait.STARCH);
    pot.boiledMinutes = 5;
    assertThat(pot.contents().traits())
        .containsExactlyInAnyOrder(Trait.STARCH, Trait.STARCH_COOKED);
    pot.add(2, material("sage"), 5);
    assertThat(pot.contents().traits())
        .containsExactlyInAnyOrder(Trait.STARCH, Trait.STARCH_COOKED, Trait.STARCH_HEATED);
  }
}
