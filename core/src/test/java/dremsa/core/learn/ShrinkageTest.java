package dremsa.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ShrinkageTest {
  private static final LocalDate FIRST = LocalDate.of(2026, 5, 4);

  private static Shrinkage.Reading reading(int day, double loose, String product) {
    return new Shrinkage.Reading(FIRST.plusDays(day), 40, loose, product);
  }

  @Test
  void daysWithAProductArePairedWithTheNearestWithout() {
    List<Shrinkage.Reading> readings = new ArrayList<>();
    // It gets shorter from month to month; the pairs do not mind.
    double[] without = {24, 22, 20, 18};
    double[] more = {4, 3.6, 4.4, 4};
    for (int month = 0; month < 4; month++) {
      readings.add(reading(30 * month, without[month], ""));
      readings.add(reading(30 * month + 4, without[month] + more[month], "Gel"));
    }
    Shrinkage gel = Shrinkage.of(readings).get(0);
    assertThat(gel.difference().n()).isEqualTo(4);
    assertThat(gel.difference().value()).isCloseTo(-0.1, within(1e-9));
    assertThat(gel.settled()).isTrue();
    assertThat(gel.words()).startsWith("Gel: it draws itself together less with it, by -11 to -9");
  }

  @Test
  void tooFewPairsAndDaysFarApartTellNothing() {
    List<Shrinkage.Reading> readings =
        List.of(reading(0, 24, ""), reading(3, 30, "Gel"), reading(200, 30, "Gel"));
    Shrinkage gel = Shrinkage.of(readings).get(0);
    assertThat(gel.difference().n()).isEqualTo(1);
    assertThat(gel.settled()).isFalse();
    assertThat(gel.words()).startsWith("Gel: 1 of the 3 pairs");
    assertThat(Shrinkage.of(List.of(reading(0, 24, "")))).isEmpty();
  }

  @Test
  void whatScattersIsSaidToBeChance() {
    List<Shrinkage.Reading> readings = new ArrayList<>();
    double[] with = {20, 28, 22, 27};
    for (int week = 0; week < 4; week++) {
      readings.add(reading(14 * week, 24, ""));
      readings.add(reading(14 * week + 2, with[week], "Gel"));
    }
    assertThat(Shrinkage.of(readings).get(0).words()).contains("which may be chance (4 pairs)");
  }

  @Test
  void hairLeftToItselfIsNotLongerThanDrawnStraight() {
    assertThatThrownBy(() -> reading(0, 41, ""))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("at most as long");
  }
}
