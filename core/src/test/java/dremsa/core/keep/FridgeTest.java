package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What happens to a whole fridge, and to a bottle that stands elsewhere meanwhile. */
class FridgeTest {
  private static final Instant START = Instant.parse("2026-03-02T09:00:00Z");
  private static final ZoneId ZONE = ZoneId.of("Europe/Dublin");
  private static final Brew SPRAY = Kitchens.builtIn("lemon-balm-spray");
  private static final Prediction MADE = Kitchens.half(SPRAY).prediction();

  private static Keeping fresh() {
    return Kept.inFridge(START, ZONE, School.CAREFUL);
  }

  private static Verdict judged(Keeping keeping) {
    return keeping.judge(SPRAY, MADE, START.plus(Duration.ofDays(3)));
  }

  private static Keeping with(Keeping keeping, List<? extends KeepEvent> events) {
    Keeping all = keeping;
    for (KeepEvent event : events) {
      all = all.with(event);
    }
    return all;
  }

  private static Instant day(double days) {
    return START.plusSeconds(Math.round(days * 86_400));
  }

  @ParameterizedTest
  @CsvSource({"0.25", "3", "8", "30"})
  void aPowerCutWarmsTowardsTheRoomAndNeverBeyond(double hours) {
    List<KeepEvent.FridgeWarmed> pieces = Outage.powerCut(START, hours, Climate.USUAL);
    double before = 5;
    for (KeepEvent.FridgeWarmed piece : pieces) {
      assertThat(piece.celsius()).isBetween(5.0, 21.0);
      if (piece.at().isBefore(START.plusSeconds((long) (hours * 3600)))) {
        assertThat(piece.celsius()).isGreaterThan(before);
        before = piece.celsius();
      }
    }
    double off = pieces.stream().mapToDouble(KeepEvent.FridgeWarmed::hours).sum();
    assertThat(off).isBetween(hours, hours * 1.34);
    // Newton's closed form half way through (mathematics).
    KeepEvent.FridgeWarmed first = pieces.get(0);
    assertThat(first.celsius())
        .isCloseTo(5 + 16 * (1 - Math.exp(-first.hours() / 2 / 8)), within(1e-9));
  }

  @Test
  void aPowerCutCostsLifeOnlyWhatStoodInTheFridge() {
    List<KeepEvent.FridgeWarmed> cut = Outage.powerCut(day(2), 10, Climate.USUAL);
    Verdict plain = judged(fresh());
    Verdict hit = judged(with(fresh(), cut));
    assertThat(hit.runsOut()).isBefore(plain.runsOut());
    assertThat(hit.spent()).extracting(Reason.Warmth::cause).contains("Power cut");
    Keeping frozen = fresh().with(new KeepEvent.Moved(day(1.5), Place.FREEZER));
    assertThat(judged(with(frozen, cut)).runsOut()).isEqualTo(judged(frozen).runsOut());
    Keeping out = fresh().with(new KeepEvent.Moved(day(1.9), Place.BATHROOM));
    assertThat(judged(with(out, cut)).runsOut()).isEqualTo(judged(out).runsOut());
  }

  @Test
  void theOrderInWhichEventsAreToldDoesNotMatter() {
    List<KeepEvent> events = new ArrayList<>(Outage.powerCut(day(1), 4, Climate.USUAL));
    events.add(new KeepEvent.Warmed(day(2), 3, 21, "Left out"));
    events.add(new KeepEvent.FridgeWarmed(day(2.05), 5, 12, "Warm fridge"));
    events.add(new KeepEvent.Opened(day(0.5)));
    Verdict first = judged(with(fresh(), events));
    Random dice = new Random(5);
    for (int i = 0; i < 25; i++) {
      Collections.shuffle(events, dice);
      Verdict again = judged(with(fresh(), events));
      assertThat(again.runsOut()).isEqualTo(first.runsOut());
      assertThat(again.spentHours()).isCloseTo(first.spentHours(), within(1e-6));
    }
  }

  @Test
  void aLogBillsWhatItsReadingsCost() {
    List<FridgeLog.Reading> readings = new ArrayList<>();
    for (int i = 0; i <= 36; i++) {
      readings.add(new FridgeLog.Reading(START.plusSeconds(600L * i), i < 18 ? 4 : 15));
    }
    FridgeLog log = FridgeLog.of(readings);
    double hours = log.warm().stream().mapToDouble(KeepEvent.FridgeWarmed::hours).sum();
    double billed =
        log.warm().stream().mapToDouble(w -> w.hours() * Spoilage.rate(w.celsius())).sum();
    // Three hours at 15 °C are billed at (1 + 1.5)²/2.25 (FAO Fisheries Technical Paper 348).
    assertThat(hours).isCloseTo(3, within(1e-9));
    assertThat(billed).isCloseTo(3 * 6.25 / 2.25, within(1e-6));
    assertThat(log.gaps()).isEmpty();
    assertThat(log.warmest()).isEqualTo(15);
  }

  @Test
  void aLogIsTheSameInAnyOrderAndItsGapsAreToldNotBilled() {
    List<FridgeLog.Reading> readings = new ArrayList<>();
    Random dice = new Random(9);
    for (int i = 0; i < 300; i++) {
      // Nothing was written between the tenth and the sixteenth hour.
      if (i < 60 || i > 96) {
        readings.add(new FridgeLog.Reading(START.plusSeconds(600L * i), 3 + 8 * dice.nextDouble()));
      }
    }
    FridgeLog log = FridgeLog.of(readings);
    assertThat(log.gaps()).hasSize(1);
    FridgeLog.Gap gap = log.gaps().get(0);
    assertThat(log.warm())
        .noneMatch(
            w ->
                w.at().isBefore(gap.to())
                    && w.at().plusMillis(Math.round(w.hours() * 3.6e6)).isAfter(gap.from()));
    Collections.shuffle(readings, dice);
    assertThat(FridgeLog.of(readings)).isEqualTo(log);
    assertThatThrownBy(() -> FridgeLog.of(readings.subList(0, 1)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @EnumSource(Place.class)
  void whatWasThawedIsNeverFrozenAgain(Place place) {
    Keeping thawed =
        fresh()
            .with(new KeepEvent.Moved(day(1), Place.FREEZER))
            .with(new KeepEvent.Moved(day(2), place));
    assertThat(thawed.whyNotFrozen()).isPresent();
    assertThat(fresh().whyNotFrozen()).isEmpty();
  }

  @Test
  void theBathroomIsWarmerThanTheCupboardAndBothCountFromTheFirst() {
    Verdict cupboard = judged(fresh().with(new KeepEvent.Moved(day(1), Place.ROOM)));
    Verdict bathroom = judged(fresh().with(new KeepEvent.Moved(day(1), Place.BATHROOM)));
    assertThat(bathroom.runsOut()).isBeforeOrEqualTo(cupboard.runsOut());
    Verdict both =
        judged(
            fresh()
                .with(new KeepEvent.Moved(day(1), Place.ROOM))
                .with(new KeepEvent.Moved(day(1.4), Place.BATHROOM)));
    assertThat(both.runsOut()).isBeforeOrEqualTo(cupboard.runsOut());
  }

  /** What was thawed is never frozen again, in whatever it is poured (common practice). */
  @Test
  void aMixtureWithSomethingThawedIsNotFrozenAgain() {
    Keeping thawed =
        fresh()
            .with(new KeepEvent.Moved(day(1), Place.FREEZER))
            .with(new KeepEvent.Moved(day(3), Place.FRIDGE));
    Inherited poured =
        Inherited.of("Thawed", MADE.contents().millilitres(100), thawed, judged(thawed));
    assertThat(poured.frozen()).isTrue();
    Keeping joined = fresh().with(new KeepEvent.Joined(day(3), 200, poured));
    assertThat(joined.whyNotFrozen()).hasValueSatisfying(why -> assertThat(why).contains("thawed"));
    assertThat(fresh().withInherited(List.of(poured)).whyNotFrozen()).isPresent();
    // And so on, through one mixture into the next.
    Inherited again =
        Inherited.of("Mixed", MADE.contents().millilitres(50), joined, judged(joined));
    assertThat(fresh().with(new KeepEvent.Joined(day(3), 200, again)).whyNotFrozen()).isPresent();
    // What was never cold freezes as before.
    Inherited fridge =
        Inherited.of("Other", MADE.contents().millilitres(100), fresh(), judged(fresh()));
    assertThat(fresh().with(new KeepEvent.Joined(day(1), 200, fridge)).whyNotFrozen()).isEmpty();
  }

  @Test
  void aMixtureTellsWhatItConsistsOf() {
    Verdict other = judged(fresh());
    Inherited poured = Inherited.of("Other", MADE.contents().millilitres(100), fresh(), other);
    Verdict mixed = judged(fresh().with(new KeepEvent.Joined(day(1), 200, poured)));
    assertThat(mixed.contents().millilitres()).isCloseTo(300, within(0.5));
  }
}
