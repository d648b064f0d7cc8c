package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Chilling;
import dremsa.core.brew.Prediction;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where a bottle stands has its own warmth, with a history. */
class ClimatesTest {
  private static final Instant START = Instant.parse("2026-11-24T09:00:00Z");
  private static final Brew SPRAY = Kitchens.builtIn("lemon-balm-spray");
  private static final Prediction MADE = Kitchens.half(SPRAY).prediction();
  private static final Climate WARM = new Climate(21, 12, -18);

  private static Instant day(double days) {
    return START.plusSeconds(Math.round(days * 86_400));
  }

  private static Verdict judged(Place place, Climates climates, KeepEvent... events) {
    return Kept.of(START, ZoneOffset.UTC, School.CAREFUL, place, List.of(events))
        .in(climates)
        .judge(SPRAY, MADE, day(6));
  }

  private static double keepsHours(Verdict verdict) {
    return Duration.between(START, verdict.runsOut()).toMillis() / 3_600_000.0;
  }

  @Test
  void aWarmerFridgeCountsFromItsDayOn() {
    double cold = keepsHours(judged(Place.FRIDGE, Kept.USUAL));
    Climates changed = Kept.USUAL.with(new Climates.Since(day(2), WARM));
    Verdict warmer = judged(Place.FRIDGE, changed);
    // At 12 °C an hour costs (1 + 1.2)²/2.25 (FAO Fisheries Technical Paper 348).
    double rate = 2.2 * 2.2 / 2.25;
    assertThat(keepsHours(warmer)).isCloseTo(48 + (cold - 48) / rate, within(0.01));
    assertThat(warmer.spent()).extracting(Reason.Warmth::cause).contains("Fridge at 12 °C");
    Verdict always = judged(Place.FRIDGE, Climates.always(WARM));
    assertThat(always.runsOut()).isBefore(warmer.runsOut());
  }

  @Test
  void aFridgeMendedAgainDoesNotGiveBackWhatWasSpent() {
    Climates broken =
        Kept.USUAL
            .with(new Climates.Since(day(1), WARM))
            .with(new Climates.Since(day(2), Climate.USUAL));
    double cold = keepsHours(judged(Place.FRIDGE, Kept.USUAL));
    double rate = 2.2 * 2.2 / 2.25;
    assertThat(keepsHours(judged(Place.FRIDGE, broken)))
        .isCloseTo(cold - 24 * (rate - 1), within(0.01));
  }

  @Test
  void theKitchenOfTheBrewDoesNotMatterAfterTheBottling() {
    Brew elsewhere = SPRAY.with(Kitchens.METRIC.withClimate(new Climate(21, 14, -18)));
    Verdict here = Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL).judge(SPRAY, MADE, day(3));
    Verdict there =
        Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL).judge(elsewhere, MADE, day(3));
    assertThat(there.runsOut()).isEqualTo(here.runsOut());
  }

  @Test
  void whatStandsElsewhereDoesNotNoticeTheFridge() {
    Climates changed = Kept.USUAL.with(new Climates.Since(day(2), WARM));
    for (Place place : new Place[] {Place.ROOM, Place.BATHROOM, Place.FREEZER}) {
      assertThat(judged(place, changed).runsOut()).isEqualTo(judged(place, Kept.USUAL).runsOut());
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = Place.class,
      names = {"ROOM", "BATHROOM"})
  void aHotterRoomSpendsMore(Place place) {
    Climates hot = Kept.USUAL.with(new Climates.Since(START, new Climate(33, 5, -18)));
    Keeping keeping = Kept.of(START, ZoneOffset.UTC, School.CAREFUL, place, List.of());
    assertThat(keeping.in(hot).judge(SPRAY, MADE, day(0.8)).spentHours())
        .isGreaterThan(keeping.judge(SPRAY, MADE, day(0.8)).spentHours() + 10);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 0.5, 3})
  void aFridgeAtFreezingPointIsNoFreezer(double fridgeC) {
    Climates icy = Climates.always(new Climate(21, fridgeC, -18));
    // It chills a bottle sooner, and earns nothing more.
    assertThat(keepsHours(judged(Place.FRIDGE, icy)))
        .isLessThanOrEqualTo(keepsHours(judged(Place.FRIDGE, Kept.USUAL)) + 8);
    assertThat(Spoilage.rate(0)).isEqualTo(1);
    assertThat(Spoilage.rate(-18)).isZero();
  }

  @Test
  void settingsStandInTheirOrderAndALaterOneIsSetAside() {
    Climates climates =
        Climates.of(
            List.of(
                new Climates.Since(day(3), new Climate(21, 9, -18)),
                new Climates.Since(day(1), Climate.USUAL)));
    assertThat(climates.at(day(-5)).fridgeC()).isEqualTo(5);
    assertThat(climates.at(day(3)).fridgeC()).isEqualTo(9);
    Climates since = climates.with(new Climates.Since(day(2), WARM));
    assertThat(since.at(day(4)).fridgeC()).isEqualTo(12);
    assertThat(since.at(day(1.5)).fridgeC()).isEqualTo(5);
    assertThatThrownBy(() -> Climates.of(List.of())).isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest(name = "{0} mL from {1} °C")
  @CsvSource({"250, 60", "1000, 60", "1000, 21", "50, 90"})
  void aBottleChillsByNewtonsLaw(double bottleMl, double fromC) {
    Chilling chilling = new Chilling(fromC, 4.18, 8, 5000);
    double tau = chilling.timeConstant(OptionalDouble.of(bottleMl));
    // Newton's law in closed form (mathematics): after one time constant 1/e of the way is left.
    assertThat(chilling.minutesTo(5 + (fromC - 5) / Math.E, 5, OptionalDouble.of(bottleMl)))
        .isCloseTo(tau, within(1e-6));
    assertThat(chilling.minutesTo(5, 5, OptionalDouble.of(bottleMl))).isInfinite();
    assertThat(chilling.minutesTo(fromC + 1, 5, OptionalDouble.of(bottleMl))).isZero();
    // A cylinder of one shape: the surface grows with the two thirds power (mathematics).
    assertThat(chilling.timeConstant(OptionalDouble.of(bottleMl * 8)))
        .isCloseTo(2 * tau, within(1e-6));
  }

  @Test
  void aLitreJarCostsMoreLifeThanFourSmallBottlesAndOneNotKnownCountsAsALitre() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    Prediction litre = Kitchens.reached(gel, 1000).prediction();
    Keeping keeping = Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL);
    Instant jar = keeping.filledInto(1000).judge(gel, litre, START).runsOut();
    Instant small = keeping.filledInto(250).judge(gel, litre, START).runsOut();
    assertThat(jar).isBefore(small);
    assertThat(keeping.judge(gel, litre, START).runsOut())
        .isBetween(jar.minusSeconds(60), jar.plusSeconds(60));
  }
}
