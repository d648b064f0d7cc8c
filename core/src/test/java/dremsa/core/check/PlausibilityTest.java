package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Plausibility.Answer;
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
}
