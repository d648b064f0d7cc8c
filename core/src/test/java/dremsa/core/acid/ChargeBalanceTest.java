package dremsa.core.acid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChargeBalanceTest {
  private static final double HALF_LITRE = 0.5;

  private static Solutes water(double alkalinity) {
    return Hardness.litre(alkalinity, 7.5).times(HALF_LITRE);
  }

  private static double ph(Solutes solutes) {
    return ChargeBalance.ph(solutes, HALF_LITRE);
  }

  /** Grams of a free acid in half a litre of water. */
  private static Solutes acid(Acid acid, double grams) {
    return Solutes.of(acid, grams / acid.molarMass());
  }

  private static Solutes salt(Acid acid, double grams, double molarMass) {
    return Solutes.of(Map.of(acid, grams / molarMass), grams / molarMass);
  }

  // Worked beforehand by a charge balance apart from this one, constants of the CRC Handbook (from
  // memory), 25 °C, ideal solution, the water at pH 7.5 before and closed to the air.
  @ParameterizedTest
  @CsvSource({"0,3.02", "50,3.24", "150,3.57", "300,3.87"})
  void twoSpoonsOfVinegarInHalfALitre(double alkalinity, double expected) {
    Solutes vinegar = acid(Acid.ACETIC, 31.6 * 0.05);
    assertThat(ph(water(alkalinity).plus(vinegar))).isCloseTo(expected, within(0.05));
  }

  @ParameterizedTest
  @CsvSource({"0,3.43", "50,3.94", "150,4.50", "300,5.09"})
  void aTeaspoonOfVinegarInHalfALitre(double alkalinity, double expected) {
    Solutes vinegar = acid(Acid.ACETIC, 5 * 0.05);
    assertThat(ph(water(alkalinity).plus(vinegar))).isCloseTo(expected, within(0.05));
  }

  @ParameterizedTest
  @CsvSource({
    "0,0,8.53", "0,50,7.67", "0,150,7.56", "0,300,7.53",
    "0.5,0,4.91", "0.5,50,4.97", "0.5,150,5.11", "0.5,300,5.33",
    "1.5,0,4.07", "1.5,50,4.13", "1.5,150,4.25", "1.5,300,4.41"
  })
  void potassiumSorbateWithCitricAcid(double citric, double alkalinity, double expected) {
    Solutes sorbate = salt(Acid.SORBIC, 1.5, 150.22);
    assertThat(ph(water(alkalinity).plus(sorbate).plus(acid(Acid.CITRIC, citric))))
        .isCloseTo(expected, within(0.05));
  }

  @ParameterizedTest
  @CsvSource({"0,4.30", "50,4.34", "150,4.43", "300,4.57"})
  void sodiumBenzoateWithCitricAcid(double alkalinity, double expected) {
    Solutes benzoate = salt(Acid.BENZOIC, 2, 144.10);
    assertThat(ph(water(alkalinity).plus(benzoate).plus(acid(Acid.CITRIC, 1))))
        .isCloseTo(expected, within(0.05));
  }

  // Textbook: a buffer of equal parts of acid and salt has the acid's pKa (Henderson-Hasselbalch).
  @Test
  void anAcetateBufferHasThePkaOfItsAcid() {
    Solutes buffer = Solutes.of(Map.of(Acid.ACETIC, 0.2 * HALF_LITRE), 0.1 * HALF_LITRE);
    assertThat(ph(buffer)).isCloseTo(4.756, within(0.01));
  }

  // Textbook: ten times as much salt as acid lies one unit above the pKa; phosphate-free example.
  @Test
  void tenTimesTheSaltIsOneUnitMore() {
    Solutes buffer = Solutes.of(Map.of(Acid.LACTIC, 0.11), 0.10);
    assertThat(ChargeBalance.ph(buffer, 1)).isCloseTo(4.86, within(0.01));
  }

  // Textbook: 0.1 mol/L of acetic acid has pH 2.88; pure water 7.0.
  @Test
  void aWeakAcidAloneAndWaterAlone() {
    assertThat(ChargeBalance.ph(Solutes.of(Acid.ACETIC, 0.1), 1)).isCloseTo(2.88, within(0.01));
    assertThat(ChargeBalance.ph(Solutes.NONE, 1)).isCloseTo(7.0, within(0.01));
  }

  @Test
  void strongBaseAloneIsAlkaline() {
    assertThat(ChargeBalance.ph(Solutes.of(Map.of(), 0.01), 1)).isCloseTo(12, within(0.02));
  }

  @Test
  void thereIsNoPhWithoutWater() {
    assertThatThrownBy(() -> ChargeBalance.ph(Solutes.NONE, 0))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(Sourness.NONE.ph(0).exists()).isFalse();
  }

  @Test
  void moreAcidIsNeverLessSour() {
    double before = 15;
    for (double grams = 0; grams <= 4; grams += 0.25) {
      double now = ph(water(150).plus(acid(Acid.CITRIC, grams)));
      assertThat(now).isLessThan(before);
      before = now;
    }
  }

  @Test
  void aReadingSetsWhatWasNotKnown() {
    Sourness tap = Hardness.litre(Hardness.UNKNOWN.alkalinity());
    Sourness.Ph before = tap.ph(1);
    assertThat(before.high() - before.low()).isGreaterThan(0.5);
    Sourness.Ph after = tap.asRead(6.2, 1, Sourness.NONE).ph(1);
    assertThat(after.low()).isCloseTo(6.2, within(0.001));
    assertThat(after.value()).isCloseTo(6.2, within(0.001));
    assertThat(after.high()).isCloseTo(6.2, within(0.001));
    assertThat(after.read()).isTrue();
  }

  @Test
  void whatComesAfterAReadingMakesItAnEstimateAgain() {
    Sourness read = Hardness.litre(Hardness.HARD.alkalinity()).asRead(4.2, 1, Sourness.NONE);
    Sourness watered = read.plus(Hardness.litre(Hardness.HARD.alkalinity()));
    assertThat(watered.ph(2).read()).isFalse();
    assertThat(watered.ph(2).value()).isGreaterThan(4.2);
    assertThat(read.plus(Sourness.NONE).read()).isTrue();
  }

  @Test
  void souringEndsAtItsPhAndNeverSweetens() {
    Sourness grain = Hardness.litre(Hardness.MEDIUM.alkalinity());
    Sourness.Ph to = new Sourness.Ph(3.8, 4.2, 4.9, false);
    Sourness.Ph soured = grain.soured(to, 1).ph(1);
    assertThat(soured.low()).isCloseTo(3.8, within(0.01));
    assertThat(soured.value()).isCloseTo(4.2, within(0.01));
    assertThat(soured.high()).isCloseTo(4.9, within(0.01));
    Sourness vinegar = Sourness.of(Solutes.of(Acid.ACETIC, 0.5));
    assertThat(vinegar.soured(to, 1)).isEqualTo(vinegar);
  }
}
