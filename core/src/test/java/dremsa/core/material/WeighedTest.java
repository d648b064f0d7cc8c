package dremsa.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.measure.AmountReader;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.UnreadableAmountException;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Typed amounts weighed, with the other measure beside each. */
class WeighedTest {
  private static Weighed weigh(String typed, String material, MeasureSystem system) {
    return Weighed.of(
        AmountReader.of(system, CountMeasures.usual()).read(typed),
        Materials.standard().get(material),
        system);
  }

  @ParameterizedTest
  @CsvSource({
    // USDA FoodData Central, SR Legacy portions (from memory).
    "1 tbsp, linseed, 10.3, 0.15",
    "1 cup, linseed, 168, 3",
    "1 tsp, fenugreek, 3.7, 0.1",
    "1 tbsp, fenugreek, 11.1, 0.1",
    "1 tbsp, rosemary, 3.3, 0.05",
    "1 tbsp, rosemary-fresh, 1.7, 0.05",
    "1 tbsp, olive-oil, 13.5, 0.1",
    "1 cup, olive-oil, 216, 1",
    "1 cup, rice, 185, 1",
    "1 tbsp, clove-powder, 6.5, 0.1"
  })
  void spoonsAndCupsWeighAsInTheTables(String typed, String material, double grams, double within) {
    assertThat(weigh(typed, material, MeasureSystem.US).grams()).isCloseTo(grams, within(within));
  }

  @Test
  void slipsAreSeenInTheOtherMeasure() {
    // An eighth of a cup is two tablespoons; four tablespoons are a quarter cup (arithmetic).
    assertThat(weigh("1/8 cup", "linseed", MeasureSystem.US).beside()).contains("2 tbsp");
    assertThat(weigh("4 tbsp", "linseed", MeasureSystem.US).beside()).contains("¼ cup");
    assertThat(weigh("1 tbsp", "linseed", MeasureSystem.US).beside()).contains("3 tsp", "10.4 g");
    assertThat(weigh("50 g", "linseed", MeasureSystem.US).beside()).contains("71 mL");
  }

  @Test
  void piecesHaveAStatedWeightAndASpan() {
    Weighed sprigs = weigh("2-3 sprigs", "rosemary-fresh", MeasureSystem.METRIC);
    assertThat(sprigs.grams()).isCloseTo(2.5 * 1.5, within(1e-9));
    assertThat(sprigs.lowGrams()).isCloseTo(2 * 1.0, within(1e-9));
    assertThat(sprigs.highGrams()).isCloseTo(3 * 2.5, within(1e-9));
    assertThat(weigh("1 leaf", "aloe-leaf", MeasureSystem.METRIC).grams()).isEqualTo(280);
    assertThatThrownBy(() -> weigh("2 leaves", "water", MeasureSystem.METRIC))
        .isInstanceOf(Weighed.UnknownPieceException.class)
        .hasMessageContaining("Water");
  }

  @Test
  void aScoopHasTheSizeOfTheHousehold() {
    var reader = AmountReader.of(MeasureSystem.METRIC, CountMeasures.with(Map.of("scoop", 12.0)));
    assertThat(
            Weighed.of(
                    reader.read("2 scoops"),
                    Materials.standard().get("water"),
                    MeasureSystem.METRIC)
                .millilitres())
        .isCloseTo(24, within(1e-9));
  }

  @Test
  void aDropOfAThinOilIsSmaller() {
    double water = weigh("20 drops", "water", MeasureSystem.METRIC).millilitres();
    // 20 drops of water to 1 mL: the European Pharmacopoeia's standard dropper.
    assertThat(water).isCloseTo(1, within(1e-9));
    assertThat(weigh("20 drops", "lavender-essential", MeasureSystem.METRIC).millilitres())
        .isBetween(0.6, 1.0);
  }

  @Test
  void percentIsAskedBack() {
    assertThatThrownBy(() -> weigh("2 % ", "lavender-essential", MeasureSystem.METRIC))
        .isInstanceOf(UnreadableAmountException.class)
        .hasMessageContaining("Percent of what?");
  }

  @Test
  void freshDriedAndPowderStandInForEachOther() {
    Materials all = Materials.standard();
    var offers = Substitution.offers(all.get("mint-fresh"), 57, all);
    // Indian Food Composition Tables 2017: mint 84.24 % water; 10 % dried: 5.7 to 1 by weight.
    assertThat(offers)
        .filteredOn(o -> o.material().id().equals("peppermint"))
        .singleElement()
        .satisfies(
            o -> {
              assertThat(o.grams()).isCloseTo(57 * (1 - 0.8424) / 0.9, within(1e-9));
              assertThat(o.how()).contains("By volume").contains("3 fresh to 1 dried");
            });
  }

  @Test
  void gumsAndOilsStandInByWhatTheyDo() {
    Materials all = Materials.standard();
    var gums = Substitution.offers(all.get("linseed"), 40, all);
    assertThat(gums).extracting(o -> o.material().id()).contains("chia", "quince-seed");
    double back =
        Substitution.gumFor(
            all.get("chia"),
            Substitution.gumFor(all.get("linseed"), 40, all.get("chia")),
            all.get("linseed"));
    assertThat(back).isCloseTo(40, within(1e-9));
    assertThat(Substitution.offers(all.get("jojoba-oil"), 10, all))
        .extracting(o -> o.material().id())
        .contains("grapeseed-oil")
        .doesNotContain("castor-oil");
  }

  @Test
  void aSpoonThatWasWeighedIsKept() {
    dremsa.core.measure.TypedAmount spoon =
        new dremsa.core.measure.TypedAmount(
            1, 1, dremsa.core.measure.KitchenMeasures.METRIC_TABLESPOON, "");
    dremsa.core.measure.Figure density = Weighed.densityOf(spoon, 2.7, 0.1);
    assertThat(density.value()).isEqualTo(2.7 / 15);
    assertThat(density.low()).isLessThan(density.value());
    assertThat(density.provenance()).isEqualTo(dremsa.core.measure.Provenance.HOUSEHOLD);
    // On a coarse scale it is known less well.
    dremsa.core.measure.Figure coarse = Weighed.densityOf(spoon, 2.7, 1);
    assertThat(coarse.high()).isGreaterThan(density.high());
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> Weighed.densityOf(spoon, 200, 1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  // USDA FoodData Central, SR Legacy (from memory): a tablespoon of dried thyme weighs 2.7 g.
  @Test
  void aTablespoonOfThyme() {
    double spoon = dremsa.core.measure.KitchenMeasures.US_TABLESPOON.size();
    assertThat(Materials.standard().get("thyme").density() * spoon)
        .isCloseTo(2.7, org.assertj.core.api.Assertions.within(0.02));
  }
}
