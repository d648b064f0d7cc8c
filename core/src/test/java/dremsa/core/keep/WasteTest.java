package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What would throw less away; common practice. */
class WasteTest {
  private static Waste of(
      double brewed, int batches, double dated, double spoiled, double disliked) {
    return new Waste(
        batches,
        brewed,
        0,
        Map.of(
            DiscardReason.DATE, dated,
            DiscardReason.MOULD, spoiled / 2,
            DiscardReason.SMELL, spoiled / 4,
            DiscardReason.SEPARATED, spoiled / 4,
            DiscardReason.DISLIKED, disliked),
        0);
  }

  @ParameterizedTest
  @CsvSource({
    // Nothing brewed, nothing thrown, or too little to speak of.
    "0, 0, 0, 0, 0",
    "1000, 4, 0, 0, 0",
    "1000, 4, 79, 0, 0",
    "1000, 4, 30, 30, 19",
    "1000, 0, 500, 0, 0"
  })
  void littleWasteIsNoMatter(
      double brewed, int batches, double dated, double spoiled, double disliked) {
    assertThat(of(brewed, batches, dated, spoiled, disliked).advice()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "1000, 4, 80, 0, 0, freeze",
    "1000, 4, 300, 200, 100, freeze",
    "1000, 4, 200, 200, 200, freeze",
    "1000, 4, 100, 300, 200, preservative",
    "1000, 4, 100, 200, 200, preservative",
    "1000, 4, 100, 200, 300, nobody likes it"
  })
  void theGreatestCauseIsNamed(
      double brewed, int batches, double dated, double spoiled, double disliked, String word) {
    assertThat(of(brewed, batches, dated, spoiled, disliked).advice()).contains(word);
  }

  /** Of four batches of 250 mL six tenths ran over: what was used of each is about 100 mL. */
  @Test
  void theSmallerBatchIsWhatWasUsed() {
    assertThat(of(1000, 4, 600, 0, 0).advice())
        .contains("about 250 mL", "60 %", "Brew about 100 mL");
  }

  @ParameterizedTest
  @CsvSource({"1000, 4, 1000", "100, 4, 90", "4000, 2, 3999"})
  void noBatchIsAdvisedThatIsTooSmallToBrew(double brewed, int batches, double dated) {
    Matcher advised =
        Pattern.compile("Brew about (\\d+) mL").matcher(of(brewed, batches, dated, 0, 0).advice());
    assertThat(advised.find()).isTrue();
    assertThat(Integer.parseInt(advised.group(1))).isGreaterThanOrEqualTo(50);
  }

  @Test
  void whatWasSpilledSaysNothingOfTheBrew() {
    Waste spilled = Waste.brewed(300).plus(Waste.thrown(DiscardReason.SPILLED, 300));
    assertThat(spilled.advice()).isEmpty();
    assertThat(spilled.thrownShare()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({"0, 0, 0", "10, 0, 0", "0, 10, 1", "30, 10, 0.25"})
  void theShareIsOfAllThatIsGone(double used, double thrown, double share) {
    Waste waste = Waste.used(used).plus(Waste.thrown(DiscardReason.OTHER, thrown));
    assertThat(waste.thrownShare()).isCloseTo(share, within(1e-12));
  }

  /** Four of ten parts were thrown away: they had cost four of ten parts. */
  @Test
  void whatIsThrownAwayHadItsPrice() {
    Waste waste =
        Waste.brewed(500)
            .plus(Waste.brewed(500))
            .plus(Waste.cost(6.5))
            .plus(Waste.thrown(DiscardReason.DATE, 300))
            .plus(Waste.thrown(DiscardReason.DATE, 100));
    assertThat(waste.batches()).isEqualTo(2);
    assertThat(waste.thrownMl()).containsExactly(Map.entry(DiscardReason.DATE, 400.0));
    assertThat(waste.thrownCost()).isCloseTo(2.6, within(1e-12));
    assertThat(waste.plus(Waste.thrown(DiscardReason.OTHER, 5000)).thrownCost()).isEqualTo(6.5);
    assertThat(Waste.cost(3).thrownCost()).isZero();
  }
}
