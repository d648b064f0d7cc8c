package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What would throw less away; common practice. */
class WasteAdviceTest {
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
    assertThat(WasteAdvice.of(brewed, batches, dated, spoiled, disliked)).isEmpty();
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
    assertThat(WasteAdvice.of(brewed, batches, dated, spoiled, disliked)).contains(word);
  }

  /** Of four batches of 250 mL six tenths ran over: what was used of each is about 100 mL. */
  @Test
  void theSmallerBatchIsWhatWasUsed() {
    assertThat(WasteAdvice.of(1000, 4, 600, 0, 0))
        .contains("about 250 mL", "60 %", "Brew about 100 mL");
  }

  @ParameterizedTest
  @CsvSource({"1000, 4, 1000", "100, 4, 90", "4000, 2, 3999"})
  void noBatchIsAdvisedThatIsTooSmallToBrew(double brewed, int batches, double dated) {
    Matcher advised =
        Pattern.compile("Brew about (\\d+) mL")
            .matcher(WasteAdvice.of(brewed, batches, dated, 0, 0));
    assertThat(advised.find()).isTrue();
    assertThat(Integer.parseInt(advised.group(1))).isGreaterThanOrEqualTo(50);
  }

  @ParameterizedTest
  @CsvSource({"0, 0, 0", "10, 0, 0", "0, 10, 1", "30, 10, 0.25"})
  void theShareIsOfAllThatIsGone(double used, double thrown, double share) {
    assertThat(WasteAdvice.share(used, thrown)).isCloseTo(share, within(1e-12));
  }
}
