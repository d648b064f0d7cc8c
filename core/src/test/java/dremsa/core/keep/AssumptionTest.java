package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What a last day takes for granted, and what it is worth if it is otherwise. */
class AssumptionTest {
  private static final Instant START = Instant.parse("2026-11-24T10:00:00Z");

  private final Brew brew = Kitchens.builtIn("lemon-balm-spray");
  private final Prediction half = Kitchens.half(brew).prediction();

  private Keeping at(Place place, double roomC, double fridgeC) {
    return Kept.of(START, ZoneOffset.UTC, School.CAREFUL, place, List.of())
        .in(Climates.always(new Climate(roomC, fridgeC, -18)));
  }

  private java.util.Map<String, Assumption.Moved> moved(Keeping keeping) {
    return Assumption.moved(brew, half, keeping).stream()
        .collect(Collectors.toMap(Assumption.Moved::what, Function.identity()));
  }

  @Test
  void namesTheWarmestFridgeThatMayBe() {
    Keeping cold = at(Place.FRIDGE, 21, 5);
    Verdict plain = cold.judge(brew, half, START);
    Assumption dearest = Assumption.dearest(brew, half, cold, START).orElseThrow();
    assertThat(dearest.words()).isEqualTo("if the fridge is 7 °C");
    assertThat(dearest.lastDay()).isBefore(plain.lastDay());
    assertThat(dearest.lastDay())
        .isEqualTo(at(Place.FRIDGE, 21, 7).judge(brew, half, START).lastDay());
    assertThat(dearest.useNow()).isFalse();
  }

  @Test
  void namesNothingWhereNothingMovesTheDay() {
    // A day later nothing of it is left, whatever the fridge does.
    Prediction late = Kitchens.half(brew).prediction();
    Keeping spent =
        Kept.of(
            START,
            ZoneOffset.UTC,
            School.CAREFUL,
            Place.FRIDGE,
            List.of(new KeepEvent.Warmed(START.plus(3, ChronoUnit.HOURS), 48, 30, "left out")));
    assertThat(Assumption.dearest(brew, late, spent, START.plus(4, ChronoUnit.DAYS))).isEmpty();
  }

  @Test
  void movesTheFridgeTwoDegreesButNeverIntoFrostOrARoom() {
    Assumption.Moved usual = moved(at(Place.FRIDGE, 21, 5)).get("Temperature of the fridge");
    assertThat(usual.figure().low()).isEqualTo(3);
    assertThat(usual.figure().high()).isEqualTo(7);
    assertThat(usual.low().runsOut()).isAfter(usual.high().runsOut());
    assertThat(moved(at(Place.FRIDGE, 21, 1)).get("Temperature of the fridge").figure().low())
        .isEqualTo(0);
    assertThat(moved(at(Place.FRIDGE, 21, 14)).get("Temperature of the fridge").figure().high())
        .isEqualTo(15);
  }

  @Test
  void asksForTheRoomOnlyWhereItStandsInOne() {
    assertThat(moved(at(Place.FRIDGE, 21, 5))).doesNotContainKey("Temperature of the room");
    Assumption.Moved room = moved(at(Place.ROOM, 21, 5)).get("Temperature of the room");
    assertThat(room.figure().low()).isEqualTo(18);
    assertThat(room.figure().high()).isEqualTo(24);
    assertThat(moved(at(Place.ROOM, 44, 5)).get("Temperature of the room").figure().high())
        .isEqualTo(45);
  }

  @Test
  void aFasterSpoilingAndAShorterLifeNeverLastLonger() {
    var all = moved(at(Place.FRIDGE, 21, 8));
    Assumption.Moved faster = all.get("Spoilage with warmth");
    assertThat(faster.figure().low()).isCloseTo(0.75, within(1e-9));
    assertThat(faster.figure().high()).isCloseTo(1.25, within(1e-9));
    assertThat(faster.high().runsOut()).isBefore(faster.low().runsOut());
    Assumption.Moved life = all.get("Life of its class at 5 °C");
    assertThat(life.low().runsOut()).isBeforeOrEqualTo(life.high().runsOut());
    assertThat(life.figure().value())
        .isEqualTo(KeepingClass.INFUSION.budget(School.CAREFUL).orElseThrow().value());
  }
}
