package dremsa.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.learn.Lengths.Growth;
import dremsa.core.learn.Lengths.Reading;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LengthsTest {
  private static final LocalDate FIRST = LocalDate.of(2026, 1, 5);

  /** Readings a month apart of hair that grows evenly, read with some error. */
  private static List<Reading> monthly(int months, double cmAMonth, double error, long seed) {
    Random dice = new Random(seed);
    List<Reading> all = new ArrayList<>();
    for (int i = 0; i < months; i++) {
      all.add(
          new Reading(
              FIRST.plusDays(Math.round(i * 365.25 / 12)),
              30 + i * cmAMonth + error * dice.nextGaussian()));
    }
    return all;
  }

  @Test
  void evenGrowthIsFoundWithItsInterval() {
    Growth growth = Lengths.of(monthly(10, 1.1, 0.15, 3), List.of());

    assertThat(growth.cmAMonth().getAsDouble()).isCloseTo(1.1, within(0.1));
    assertThat(growth.low().getAsDouble()).isLessThan(1.1);
    assertThat(growth.high().getAsDouble()).isGreaterThan(1.1);
    List<Lengths.Edge> line = growth.lines().get(0);
    double atTheEnd = line.get(8).high() - line.get(8).low();
    double inTheMiddle = line.get(4).high() - line.get(4).low();
    assertThat(inTheMiddle).isPositive().isLessThan(atTheEnd);
    assertThat(growth.settled()).isTrue();
    assertThat(growth.monthsToGo()).isEmpty();
    assertThat(growth.words()).contains("cm a month").contains("The usual is 1.0 to 1.25 cm.");
  }

  /** A law of its own: of many lines drawn the interval holds the truth in 95 of 100. */
  @Test
  void theIntervalHoldsTheTruthAsOftenAsItSays() {
    int held = 0;
    for (long seed = 0; seed < 400; seed++) {
      Growth growth = Lengths.of(monthly(6, 1.1, 0.3, seed), List.of());
      held += growth.low().getAsDouble() <= 1.1 && growth.high().getAsDouble() >= 1.1 ? 1 : 0;
    }
    assertThat(held / 400.0).isBetween(0.92, 0.98);
  }

  @Test
  void aCutBeginsANewLineWithTheSameSlope() {
    List<Reading> readings = new ArrayList<>(monthly(5, 1.2, 0, 1));
    LocalDate cut = FIRST.plusDays(140);
    for (int i = 0; i < 5; i++) {
      LocalDate day = FIRST.plusDays(Math.round(150 + i * 365.25 / 12));
      double months = (day.toEpochDay() - FIRST.toEpochDay()) * 12 / 365.25;
      readings.add(new Reading(day, 26 + months * 1.2));
    }

    Growth marked = Lengths.of(readings, List.of(cut));
    Growth unmarked = Lengths.of(readings, List.of());

    assertThat(marked.cuts()).isEqualTo(1);
    assertThat(marked.cmAMonth().getAsDouble()).isCloseTo(1.2, within(0.01));
    assertThat(unmarked.cmAMonth().getAsDouble()).isLessThan(1.0);
    assertThat(marked.lines()).hasSize(2);
    List<Lengths.Edge> second = marked.lines().get(1);
    assertThat(second.get(0).day()).isEqualTo(readings.get(5).day());
    assertThat(second.get(0).cm()).isCloseTo(readings.get(5).cm(), within(0.02));
    // On the day of the cut it is measured after it.
    assertThat(Lengths.of(readings, List.of(readings.get(5).day())).cmAMonth().getAsDouble())
        .isCloseTo(1.2, within(0.01));
  }

  @Test
  void tooFewReadingsSayHowLongToGoOn() {
    Growth none = Lengths.of(List.of(), List.of());
    Growth one = Lengths.of(monthly(1, 1, 0, 1), List.of());
    Growth two = Lengths.of(monthly(2, 1, 0, 1), List.of());

    assertThat(none.words()).startsWith("This cannot be told yet: go on for about ");
    assertThat(one.cmAMonth()).isEmpty();
    assertThat(two.cmAMonth().getAsDouble()).isCloseTo(1, within(0.05));
    assertThat(two.low()).isEmpty();
    assertThat(two.words()).startsWith("This cannot be told yet: ");
    assertThat(two.monthsToGo().getAsInt()).isLessThanOrEqualTo(one.monthsToGo().getAsInt());
  }

  @Test
  void noisyReadingsGoOnUntilTheIntervalIsNarrow() {
    List<Reading> readings = new ArrayList<>();
    for (Reading even : monthly(5, 1.1, 0, 1)) {
      readings.add(new Reading(even.day(), even.cm() + (readings.size() % 2 == 0 ? 0.4 : -0.4)));
    }
    Growth wide = Lengths.of(readings, List.of());
    assertThat(wide.settled()).isFalse();
    assertThat(wide.words()).contains("too wide to tell much: go on for about ");

    int total = 5 + wide.monthsToGo().getAsInt();
    assertThat(total).isBetween(6, 24);
    Growth careless = Lengths.of(monthly(5, 1.1, 60, 4), List.of());
    assertThat(careless.monthsToGo()).isEmpty();
    assertThat(careless.words()).contains("more than three years");
  }

  @Test
  void whatIsUnusualIsSaidAndNothingIsPromised() {
    assertThat(Lengths.of(monthly(12, 0.5, 0.05, 2), List.of()).words())
        .contains("less than the usual 1.0 to 1.25 cm");
    assertThat(Lengths.of(monthly(12, 1.8, 0.05, 2), List.of()).words())
        .contains("more than the usual")
        .doesNotContain("made");
    assertThat(Lengths.of(monthly(8, -0.8, 0.05, 2), List.of()).words())
        .contains("It got shorter: a cut that was not marked");
  }

  @Test
  void aReadingFarOffIsDoubted() {
    List<Reading> readings = new ArrayList<>(monthly(9, 1.1, 0.05, 6));
    Reading wrong = new Reading(FIRST.plusDays(230), 47);
    readings.add(wrong);

    Growth growth = Lengths.of(readings, List.of());

    assertThat(growth.doubtful()).contains(wrong);
    assertThat(growth.robust().getAsDouble()).isCloseTo(1.1, within(0.1));
    assertThat(growth.words()).contains("The 47.0 cm of ").contains("lie far off the others");
  }

  @Test
  void twoReadingsOnOneDayAndNoHairAreRefused() {
    List<Reading> twice = List.of(new Reading(FIRST, 30), new Reading(FIRST, 31));

    assertThatThrownBy(() -> Lengths.of(twice, List.of()))
        .hasMessageContaining("two readings on 2026-01-05");
    assertThatThrownBy(() -> new Reading(FIRST, 0)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Reading(FIRST, Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
