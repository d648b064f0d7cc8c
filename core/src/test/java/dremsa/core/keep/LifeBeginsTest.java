package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Chilling;
import dremsa.core.brew.HeatHistory;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.TracePoint;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * When life begins to be spent, and how cooling is held against its yardstick, on temperature lines
 * drawn by hand: what comes out can be reckoned on paper.
 */
class LifeBeginsTest {
  private static final Instant START = Instant.parse("2026-11-24T09:00:00Z");
  private static final Climate FIVE = new Climate(20, 5, -18);

  /** A brew as it is, on a temperature line of our own: minute and °C by turns. */
  private static Prediction line(
      Brew brew, boolean hot, double strained, double bottled, double... points) {
    Prediction real = Kitchens.reached(brew, 500).prediction();
    List<TracePoint> trace = new ArrayList<>();
    for (int i = 0; i < points.length; i += 2) {
      trace.add(new TracePoint(points[i], points[i + 1], 500, 0, 1));
    }
    boolean soured =
        brew.formula().steps().stream()
            .anyMatch(dremsa.core.formula.Step.Ferment.class::isInstance);
    return new Prediction(
        real.amounts(),
        real.steps(),
        trace,
        real.account(),
        real.contents(),
        real.finished(),
        real.strengths(),
        new HeatHistory(
            0,
            0,
            hot,
            strained,
            bottled,
            soured ? OptionalDouble.of(strained) : OptionalDouble.empty()),
        new Chilling(5, 4, 8, 0),
        List.of());
  }

  private static double spent(Brew brew, Prediction prediction, double hours) {
    return Kept.of(START, ZoneId.of("UTC"), School.CAREFUL, Place.FRIDGE, List.of())
        .judge(brew, prediction, START.plusSeconds(Math.round(hours * 3600)))
        .spentHours();
  }

  private static final Brew SPRAY = Kitchens.builtIn("lemon-balm-spray").with(kitchenAtFive());

  private static dremsa.core.kitchen.Kitchen kitchenAtFive() {
    return Kitchens.METRIC.withClimate(FIVE);
  }

  @Test
  void coldWaterSpendsFromTheFirstWetting() {
    // Ten hours at 5 °C spend ten hours: (1 + 0.5)² / 2.25 = 1.
    Prediction p = line(SPRAY, false, 600, 600, 0, 5, 600, 5);
    assertThat(spent(SPRAY, p, 10)).isCloseTo(10, within(0.01));
    // At 20 °C four times as much: (1 + 2)² / 2.25.
    Prediction warm = line(SPRAY, false, 600, 600, 0, 20, 600, 20);
    assertThat(spent(SPRAY, warm, 10)).isCloseTo(40, within(0.01));
  }

  @Test
  void whatWasHotSpendsOnlyFromBelowHotHolding() {
    Prediction p =
        line(SPRAY, true, 600, 600, 0, 95, 60, 58, 61, 56.9, 61.01, 20, 301, 20, 301.01, 5, 600, 5);
    // Four hours at 20 °C, five at 5 °C; nothing for the hot hour.
    assertThat(spent(SPRAY, p, 10)).isCloseTo(4 * 4 + 5, within(0.3));
  }

  @Test
  void anHourOfStandingWetBeforeTheHeatCountsAsWell() {
    Prediction soon = line(SPRAY, true, 200, 200, 0, 20, 59, 20, 60, 80, 120, 80, 121, 20, 200, 20);
    Prediction late = line(SPRAY, true, 240, 240, 0, 20, 89, 20, 90, 80, 150, 80, 151, 20, 240, 20);
    double soonSpent = spent(SPRAY, soon, 200 / 60.0);
    double lateSpent = spent(SPRAY, late, 240 / 60.0);
    // Up to an hour the heat wipes it out; beyond, all of it counts: an hour and a half at 20 °C.
    assertThat(soonSpent).isCloseTo(79 / 60.0 * 4, within(0.3));
    assertThat(lateSpent).isGreaterThan(soonSpent + 1.5 * 4 - 0.5);
  }

  @Test
  void whatStayedHotToTheBottleBeginsThere() {
    Prediction p = line(SPRAY, true, 60, 60, 0, 95, 60, 70);
    assertThat(spent(SPRAY, p, 11)).isCloseTo(10, within(0.02));
  }

  @Test
  void aFermentBeginsWhenItIsStrained() {
    Brew ferment = Kitchens.builtIn("barley-ferment").with(kitchenAtFive());
    Prediction p = line(ferment, false, 2880, 2880, 0, 20, 2880, 20);
    assertThat(spent(ferment, p, 48)).isCloseTo(0, within(0.01));
    assertThat(spent(ferment, p, 58)).isCloseTo(10, within(0.02));
  }

  @ParameterizedTest(name = "{0} h to 21 °C, {1} h to 5 °C")
  @CsvSource({
    // FDA Food Code 3-501.14 (from memory): 57 to 21 °C within 2 h, to 5 °C within 6 h in all.
    "1.5, 5.0, false",
    "1.9, 5.9, false",
    "2.3, 5.0, true",
    "1.0, 6.4, true"
  })
  void coolingIsHeldAgainstTheYardstick(double toRoom, double toCold, boolean advice) {
    double strained = 60;
    Prediction p =
        line(
            SPRAY,
            true,
            strained,
            strained + toCold * 60 + 30,
            0,
            95,
            strained,
            57.2,
            strained + 0.1,
            56.9,
            strained + toRoom * 60,
            20.9,
            strained + toCold * 60,
            5.1,
            strained + toCold * 60 + 30,
            5);
    assertThat(told(p)).isEqualTo(advice);
  }

  @ParameterizedTest(name = "from 20 to 5 °C in {0} h")
  @CsvSource({"3.5, false", "4.5, true"})
  void whatIsCoolAlreadyHasFourHours(double hours, boolean advice) {
    Prediction p =
        line(SPRAY, false, 60, 60 + hours * 60 + 20, 0, 20, 60, 20, 60 + hours * 60, 5.1, 400, 5);
    assertThat(told(p)).isEqualTo(advice);
  }

  private static boolean told(Prediction p) {
    return Kept.inFridge(START, ZoneId.of("UTC"), School.CAREFUL)
        .judge(SPRAY, p, START)
        .reasons()
        .stream()
        .anyMatch(Reason.SlowCooling.class::isInstance);
  }
}
