package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.Figure;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Provenance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalibrationTest {
  private static final Kitchen KITCHEN = Kitchen.usual(MeasureSystem.METRIC);
  private static final Vessel POT = new Vessel("p", "Pot", VesselKind.POT, 18, 2200, true);

  @ParameterizedTest(name = "a litre in {0} min")
  @CsvSource({"3, 1850, 2100", "5, 1100, 1300", "10, 550, 720"})
  void aLitreFromTwentyDegreesTellsThePower(double minutes, double least, double most) {
    // Energy balance: a litre from 20 to 100 °C takes 4.186 · 80 · 1000 J = 335 kJ; the rest is
    // lost.
    Figure power = Calibration.power(KITCHEN, POT, 1000, 20, minutes);
    assertThat(power.value()).isBetween(least, most).isGreaterThan(335_000 / (minutes * 60));
    assertThat(power.low()).isLessThan(power.value());
    assertThat(power.high()).isGreaterThan(power.value());
    assertThat(power.provenance()).isEqualTo(Provenance.CALIBRATED);
  }

  @Test
  void aLongerTimeMeansLessPower() {
    double last = Double.POSITIVE_INFINITY;
    for (double minutes = 3; minutes <= 25; minutes += 2) {
      double power = Calibration.power(KITCHEN, POT, 1000, 20, minutes).value();
      assertThat(power).isLessThan(last);
      last = power;
    }
  }

  @Test
  void tenMinutesBoilingAndTheScaleTellTheHeatOfTheBubbles() {
    // Energy balance: 2256.5 J for each gram (IAPWS-IF97), less what the open surface loses: 18 cm
    // at 0.089 W/(m² Pa) (ASHRAE), with the room at 21 °C and half as damp as it could be.
    Figure heat = Calibration.boilHeat(KITCHEN, POT, 1500, 1300, 10);
    double steam = 200 * 2256.5 / 600;
    double surface = Math.PI * 0.09 * 0.09 * (101_325 - 0.5 * 2487) * 0.089;
    assertThat(heat.value()).isCloseTo(steam - surface, within(4.0));
    assertThat(heat.high() - heat.value()).isGreaterThan(4 * 2256.5 / 600 - 1);
    // Hardly anything lost: no bubbles at all, never less than none.
    assertThat(Calibration.boilHeat(KITCHEN, POT, 1500, 1490, 10).value()).isZero();
  }

  @Test
  void whatATrialFindsGivesTheSameLossAgain() {
    Figure heat = Calibration.boilHeat(KITCHEN, POT, 1500, 1330, 10);
    Kitchen tried =
        KITCHEN.withParameters(
            KITCHEN.parameters().with(dremsa.core.kitchen.Parameter.GENTLE_BOIL, heat));
    assertThat(BoilingTest.lost(tried, POT, 1500, dremsa.core.formula.Step.Level.GENTLE, false, 10))
        .isCloseTo(170, within(2.0));
  }

  @Test
  void impossibleTrialsAreRefusedAtTheirNumber() {
    refused(() -> Calibration.power(KITCHEN, POT, 2000, 20, 1), "minutes");
    refused(() -> Calibration.power(KITCHEN, POT, 5000, 20, 9), "grams");
    refused(() -> Calibration.power(KITCHEN, POT, 1000, 99, 9), "fromC");
    refused(() -> Calibration.boilHeat(KITCHEN, POT, 1000, 1200, 10), "afterGrams");
    refused(() -> Calibration.boilHeat(KITCHEN, POT, 9000, 100, 5), "afterGrams");
    refused(() -> Calibration.boilHeat(KITCHEN, POT, 1000, 900, Double.NaN), "minutes");
  }

  private static void refused(
      org.assertj.core.api.ThrowableAssert.ThrowingCallable trial, String field) {
    assertThatThrownBy(trial)
        .isInstanceOfSatisfying(
            Calibration.ImpossibleTrialException.class,
            e -> assertThat(e.field()).isEqualTo(field));
  }
}
