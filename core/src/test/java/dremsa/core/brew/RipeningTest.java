package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.measure.Figure;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How far a ferment has come, by the temperatures where it stands. */
class RipeningTest {
  private static final double HOURS = 60;
  private static final double SLOW = 30;

  private static Kitchen room(double celsius) {
    Figure time = Figure.estimate(SLOW, SLOW, 40, "h");
    return Kitchens.METRIC
        .withClimate(new Climate(celsius, 5, -18))
        .withParameters(Kitchens.METRIC.parameters().with(Parameter.FERMENT_TIME, time));
  }

  private static Ripening after(double hours, double roomC) {
    return Ripening.of(StepFacts.NONE, room(roomC), hours * HOURS);
  }

  /**
   * Ratkowsky et al. 1982 (from memory): the square root of the rate grows in proportion to the
   * degrees above a zero, here 5 °C, so that at 13.5 °C, half of 17 degrees above it, souring takes
   * four times as long as at 22 °C.
   */
  @ParameterizedTest
  @CsvSource({"22, 1", "13.5, 0.25", "5, 0", "0, 0", "45, 0", "60, 0", "39, 1"})
  void theRateIsASquareAboveItsZero(double celsius, double rate) {
    double expected = celsius == 39 ? Math.pow(30.0 / 17, 2) * 0.6 : rate;
    assertThat(Souring.hoursAt22(celsius)).isCloseTo(expected, within(1e-12));
  }

  /** Common practice: a day is a mild ferment, two a full one, five a strong one at 22 °C. */
  @ParameterizedTest
  @CsvSource({
    "0, YOUNG",
    "23.9, YOUNG",
    "24, MILD",
    "47.9, MILD",
    "48, FULL",
    "119, FULL",
    "120, STRONG"
  })
  void theDaysOfARoomAt22(double hours, Ripening.Stage stage) {
    Ripening now = after(hours, 22);
    assertThat(now.stage()).isEqualTo(stage);
    assertThat(now.hours()).isCloseTo(hours, within(1e-9));
    assertThat(now.stage().words()).isNotBlank();
  }

  @Test
  void whatIsLeftIsCountedAtThePresentTemperature() {
    Ripening now = after(12, 22);
    assertThat(now.toMild()).isCloseTo(12 * 60, within(1e-6));
    assertThat(now.toFull()).isCloseTo(36 * 60, within(1e-6));
    assertThat(now.toStrong()).isCloseTo(108 * 60, within(1e-6));
    assertThat(after(30, 22).toMild()).isZero();
    assertThat(after(12, 13.5).toMild()).isCloseTo((24 - 3) * 4 * 60, within(1e-6));
  }

  @Test
  void inTheColdItNeverComesToIt() {
    Ripening now = after(48, 4);
    assertThat(now.stage()).isEqualTo(Ripening.Stage.YOUNG);
    assertThat(now.toMild()).isInfinite();
  }

  /** A night read at 13.5 °C after a day at 22 °C: each reading counts half way to the next. */
  @Test
  void readingsReplaceTheRoom() {
    StepFacts read = StepFacts.NONE.withTemperature(0, 22).withTemperature(24 * 60, 13.5);
    Ripening now = Ripening.of(read, room(30), 24 * HOURS);
    assertThat(now.hours()).isCloseTo(12 * 1 + 12 * 0.25, within(1e-9));
    assertThat(now.toMild()).isCloseTo((24 - 15) * 4 * 60, within(1e-6));
  }

  @Test
  void aPhThatWasReadReplacesTheEstimate() {
    assertThat(Ripening.of(StepFacts.NONE.with(Reading.PH, 3.7), room(22), 600).ph().value())
        .isEqualTo(3.7);
    assertThat(after(0, 22).ph().value()).isCloseTo(6.5, within(1e-12));
    assertThat(after(SLOW, 22).ph().value()).isCloseTo(4 + 2.5 / Math.E, within(1e-9));
  }

  @Test
  void warmerIsNeverSlowerUpTo35AndTimeNeverGoesBack() {
    Random random = new Random(11);
    for (int i = 0; i < 500; i++) {
      double celsius = random.nextDouble() * 34;
      double hours = random.nextDouble() * 200;
      Ripening now = after(hours, celsius);
      Ripening warmer = after(hours, celsius + 1);
      Ripening later = after(hours + 1, celsius);
      assertThat(warmer.hours()).isGreaterThanOrEqualTo(now.hours());
      assertThat(warmer.toFull()).isLessThanOrEqualTo(now.toFull());
      assertThat(later.stage()).isGreaterThanOrEqualTo(now.stage());
      assertThat(later.ph().high()).isLessThanOrEqualTo(now.ph().high());
      assertThat(now.ph().low()).isLessThanOrEqualTo(now.ph().value());
      assertThat(now.ph().value()).isLessThanOrEqualTo(now.ph().high());
    }
  }
}
