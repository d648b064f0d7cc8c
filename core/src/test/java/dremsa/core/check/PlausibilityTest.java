package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Plausibility.Answer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlausibilityTest {
  private static final Prediction GEL = Kitchens.predicted("linseed-gel", 400);

  @ParameterizedTest
  @CsvSource({
    "400, REFUSED",
    "-40, REFUSED",
    "105.1, REFUSED",
    "NaN, REFUSED",
    "22, TAKEN",
    "35, TAKEN",
    "60, ASKED_BACK",
    "105, ASKED_BACK"
  })
  void atTheStartABrewIsAtRoomTemperature(double celsius, Answer answer) {
    Plausibility.Judgement judged = Plausibility.temperature(celsius, GEL, 0, false);
    assertThat(judged.answer()).isEqualTo(answer);
    assertThat(judged.why().isEmpty()).isEqualTo(answer == Answer.TAKEN);
  }

  @ParameterizedTest
  @CsvSource({"130, ASKED_BACK", "160, REFUSED"})
  void oilMayBeHotterThanWater(double celsius, Answer answer) {
    assertThat(Plausibility.temperature(celsius, GEL, 0, true).answer()).isEqualTo(answer);
  }

  @ParameterizedTest
  @CsvSource({
    "0, REFUSED",
    "-5, REFUSED",
    "400, TAKEN",
    "512, TAKEN",
    "516, REFUSED",
    "200, ASKED_BACK"
  })
  void noMoreComesOutThanWentIn(double millilitres, Answer answer) {
    assertThat(Plausibility.amount(millilitres, 500, 420, "mL").answer()).isEqualTo(answer);
  }

  @ParameterizedTest
  @CsvSource({"0.9, REFUSED", "13.5, REFUSED", "2.2, ASKED_BACK", "4.1, TAKEN", "9.5, ASKED_BACK"})
  void anAcidityIsThatOfABrew(double ph, Answer answer) {
    assertThat(Plausibility.ph(ph).answer()).isEqualTo(answer);
  }

  @ParameterizedTest
  @CsvSource({
    "252, TAKEN",
    "251.9, ASKED_BACK",
    "672, TAKEN",
    "672.1, ASKED_BACK",
    "1030, ASKED_BACK",
    "1030.1, REFUSED"
  })
  void asksBackFromThreeFifthsToEightFifthsOfWhatIsExpected(double millilitres, Answer answer) {
    Plausibility.Judgement judged = Plausibility.amount(millilitres, 1000, 420, "mL");
    assertThat(judged.answer()).isEqualTo(answer);
    assertThat(judged.high()).isEqualTo(1030);
    assertThat(judged.why().isEmpty()).isEqualTo(answer == Answer.TAKEN);
  }

  @ParameterizedTest
  @CsvSource({"1, ASKED_BACK", "2.5, TAKEN", "9, TAKEN", "9.01, ASKED_BACK", "13, ASKED_BACK"})
  void theEndsOfAnAcidityStillCount(double ph, Answer answer) {
    Plausibility.Judgement judged = Plausibility.ph(ph);
    assertThat(judged.answer()).isEqualTo(answer);
    assertThat(judged.why().isEmpty()).isEqualTo(answer == Answer.TAKEN);
  }

  @ParameterizedTest
  @CsvSource({"-25, ASKED_BACK", "150, ASKED_BACK", "150.1, REFUSED", "-25.1, REFUSED"})
  void theEndsOfATemperatureStillCount(double celsius, Answer answer) {
    assertThat(Plausibility.temperature(celsius, GEL, 0, true).answer()).isEqualTo(answer);
  }

  @Test
  void fourEqualReadingsOfWhatMustHaveMovedAreStuck() {
    List<Double> same = List.of(71.0, 60.5, 60.5, 60.5, 60.5);
    assertThat(Plausibility.stuck(same, -4.1)).isTrue();
    assertThat(Plausibility.stuck(same, 4.1)).isTrue();
    assertThat(Plausibility.stuck(same, 4)).as("it need not have moved").isFalse();
    assertThat(Plausibility.stuck(List.of(60.5, 60.5, 60.5), -9)).as("only three").isFalse();
    assertThat(Plausibility.stuck(List.of(60.5, 60.4, 60.5, 60.5), -9)).isFalse();
  }
}
