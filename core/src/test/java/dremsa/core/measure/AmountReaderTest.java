package dremsa.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class AmountReaderTest {
  private final AmountReader us = AmountReader.of(MeasureSystem.US, CountMeasures.usual());
  private final AmountReader metric = AmountReader.of(MeasureSystem.METRIC, CountMeasures.usual());

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1 1/2 tbsp      | 1.5   | metric-tbsp | ''",
        "¼ c             | 0.25  | metric-cup  | ''",
        "1½ tsp          | 1.5   | metric-tsp  | ''",
        "2-3 sprigs      | 2.5   | sprig       | ''",
        "2 to 3 leaves   | 2.5   | leaf        | ''",
        "a glass         | 1     | glass       | ''",
        "half a cup      | 0.5   | metric-cup  | ''",
        "100 mL of buds  | 100   | ml          | buds",
        "1,5 dl          | 1.5   | dl          | ''",
        "12g             | 12    | g           | ''",
        "20 drops        | 20    | drop        | ''",
        "3 oz linseed    | 3     | oz          | linseed",
        "1/8 cup         | 0.125 | metric-cup  | ''",
        "a handful of mint | 1   | handful     | mint",
        "2 Tablespoons   | 2     | metric-tbsp | ''",
        "2 T             | 2     | metric-tbsp | ''",
        "2 t             | 2     | metric-tsp  | ''",
        "one and a half cups | 1.5 | metric-cup | ''",
        "a cup and a half of oats | 1.5 | metric-cup | oats",
        "a couple of sprigs | 2   | sprig       | ''",
        "two to three leaves | 2.5 | leaf      | ''",
        "1-1/2 tsp       | 1.5   | metric-tsp  | ''",
        "2 x 250 ml      | 500   | ml          | ''",
        "1,250 g         | 1250  | g           | ''",
        "half a litre    | 0.5   | l           | ''",
        "3 tea bags      | 3     | bag         | ''"
      })
  void readsWhatPeopleType(String typed, double value, String measure, String rest) {
    TypedAmount amount = metric.read(typed);
    assertThat(amount.value()).isCloseTo(value, within(1e-9));
    assertThat(amount.measure().id()).isEqualTo(measure);
    assertThat(amount.rest()).isEqualTo(rest);
  }

  @Test
  void aSpoonIsTheMakersOwn() {
    assertThat(us.read("1 tbsp").size()).isCloseTo(14.78676478125, within(1e-9));
    assertThat(metric.read("1 tbsp").size()).isEqualTo(15);
    assertThat(
            AmountReader.of(MeasureSystem.AUSTRALIAN, CountMeasures.usual()).read("1 tbsp").size())
        .isEqualTo(20);
    // Common practice: an eighth of a cup is two tablespoons, four are a quarter cup.
    assertThat(us.read("1/8 cup").size()).isCloseTo(us.read("2 tbsp").size(), within(1e-9));
    assertThat(us.read("4 tbsp").size()).isCloseTo(us.read("1/4 cup").size(), within(1e-9));
  }

  @Test
  void aHeapedSpoonHoldsHalfAsMuchAgain() {
    TypedAmount heaped = metric.read("2 heaped tbsp");
    assertThat(heaped.size()).isEqualTo(45);
    assertThat(heaped.measure().isLoose()).isTrue();
    assertThat(metric.read("a level tablespoon").size()).isEqualTo(15);
  }

  @Test
  void aHouseholdsOwnScoopCounts() {
    AmountReader own =
        AmountReader.of(MeasureSystem.METRIC, CountMeasures.with(Map.of("scoop", 12.5)));
    assertThat(own.read("2 scoops").size()).isEqualTo(25);
    assertThatThrownBy(() -> CountMeasures.with(Map.of("sprig", 3.0)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "some",
        "3",
        "3 furlongs",
        "1/0 cup",
        "0 g",
        "-2 g",
        "3-2 g",
        "1/ cup",
        "99999999 g"
      })
  void saysWhereItStoppedMakingSense(String typed) {
    assertThatThrownBy(() -> metric.read(typed))
        .isInstanceOfSatisfying(
            UnreadableAmountException.class,
            e -> assertThat(e.position()).isBetween(0, typed.length()));
  }

  @Test
  void aPageOfTextIsNoAmount() {
    assertThatThrownBy(() -> metric.read("1 cup ".repeat(50)))
        .isInstanceOf(UnreadableAmountException.class);
  }

  @ParameterizedTest
  @EnumSource(MeasureSystem.class)
  void whatIsWrittenReadsBackTheSame(MeasureSystem system) {
    AmountReader reader = AmountReader.of(system, CountMeasures.usual());
    List<KitchenMeasure> measures = KitchenMeasures.volumesOf(system);
    Random random = new Random(3);
    for (int i = 0; i < 300; i++) {
      double low = random.nextBoolean() ? 1 + random.nextInt(9) : 0.125 * (1 + random.nextInt(40));
      double high = random.nextInt(4) == 0 ? low + 1 + random.nextInt(5) : low;
      TypedAmount amount =
          new TypedAmount(low, high, measures.get(random.nextInt(measures.size())), "");
      assertThat(reader.read(amount.words())).as(amount.words()).isEqualTo(amount);
    }
  }

  // NIST Handbook 44 (231 cubic inches) and the UK Weights and Measures Act (4.54609 L).
  @ParameterizedTest(name = "{1} in {0}: {2} mL")
  @CsvSource({
    "US, a gallon, 3785.411784",
    "US, 1 qt, 946.352946",
    "UK, a gallon, 4546.09",
    "UK, 2 quarts, 2273.045",
    "METRIC, 1 us gallon, 3785.411784",
    "METRIC, 1 imperial gallon, 4546.09"
  })
  void gallonsAndQuartsAreKnown(MeasureSystem system, String typed, double millilitres) {
    TypedAmount read = AmountReader.of(system, CountMeasures.usual()).read(typed);
    assertThat(read.size()).isCloseTo(millilitres, within(0.01));
    assertThat(read.measure().isLoose()).isFalse();
  }

  @Test
  void whereLitresAreUsedAGallonMayBeEither() {
    TypedAmount read =
        AmountReader.of(MeasureSystem.METRIC, CountMeasures.usual()).read("a gallon");
    assertThat(read.measure().least()).isCloseTo(3785.4, within(0.1));
    assertThat(read.measure().most()).isCloseTo(4546.1, within(0.1));
  }

  @Test
  void aGlassHasARangeUntilTheHouseholdSaysItsOwn() {
    TypedAmount any = AmountReader.of(MeasureSystem.METRIC, CountMeasures.usual()).read("a glass");
    assertThat(any.measure().isLoose()).isTrue();
    TypedAmount own =
        AmountReader.of(MeasureSystem.METRIC, CountMeasures.with(java.util.Map.of("glass", 250.0)))
            .read("2 glasses");
    assertThat(own.measure().isLoose()).isFalse();
    assertThat(own.size()).isEqualTo(500);
  }
}
