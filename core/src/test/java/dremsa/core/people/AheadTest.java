package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The days to come take from the same bottles, one after the other. */
class AheadTest {
  private static final LocalDate TODAY = Heads.SUNDAY;
  private static final Instant NOW = Instant.parse("2026-03-08T08:00:00Z");

  private static Ahead ahead(List<Sheet.Coming> coming, Standing... bottles) {
    Routine routine =
        new Routine(
            List.of(
                new Occasion(
                    "wash",
                    Occasion.Kind.WASH_DAY,
                    "Wash day",
                    new Repeat.ByRule(TODAY, "FREQ=DAILY;INTERVAL=2", Optional.empty()),
                    LocalTime.of(10, 0),
                    List.of(Slot.of(SlotKind.STYLER)))));
    return Ahead.of(
        List.of(new Ahead.Head(Heads.adult(), routine, List.of(), List.of())),
        new Ahead.Surroundings(
            Kitchens.METRIC,
            ZoneId.of("Europe/Dublin"),
            NOW,
            TODAY,
            List.of(bottles),
            coming,
            id -> Optional.empty()),
        TODAY,
        TODAY.plusDays(6));
  }

  private static Standing gel(String id, double left, int days) {
    Product gel = Heads.product("linseed-gel");
    return new Standing(
        id, gel.name(), gel, left, TODAY.plusDays(days), false, Place.FRIDGE, Container.JAR);
  }

  /**
   * 50 mL a time on days 0, 2, 4 and 6, which then go on as they were used: 110 mL last for two,
   * and 10 are left over; another 60 mL, brewed till day 3, serve day 4; day 6 goes without.
   */
  @Test
  void bottlesRunOutAndWhatIsBrewingServesLater() {
    Sheet.Coming brewing = new Sheet.Coming(gel("b2", 60, 9), NOW.plusSeconds(3 * 86400));
    Ahead ahead = ahead(List.of(brewing), gel("b1", 110, 3));
    assertThat(ahead.serves())
        .extracting(each -> each.day() + " " + each.bottle() + " " + Math.round(each.millilitres()))
        .containsExactly("2026-03-08 b1 50", "2026-03-10 b1 50", "2026-03-12 b2 50");
    assertThat(ahead.without())
        .extracting(Ahead.Without::day)
        .containsExactly(LocalDate.parse("2026-03-14"));
    assertThat(ahead.occasions()).hasSize(4);
  }

  @Test
  void nothingIsTakenPastItsLastDay() {
    Ahead ahead = ahead(List.of(), gel("b1", 900, 3));
    assertThat(ahead.serves())
        .extracting(Ahead.Serves::day)
        .allMatch(day -> !day.isAfter(TODAY.plusDays(3)));
    assertThat(ahead.without()).hasSize(2);
  }

  /**
   * 200 mL frozen in a jar, thawed for the first time: what is left of it is over two days later.
   */
  @Test
  void aJarThatWasThawedIsGoodForTwoDaysMore() {
    Standing jar =
        new Standing(
            "j",
            "Gel",
            Heads.product("linseed-gel"),
            200,
            TODAY.plusDays(60),
            false,
            Place.FREEZER,
            Container.JAR);
    Ahead ahead = ahead(List.of(), jar);
    assertThat(ahead.serves()).extracting(Ahead.Serves::day).containsExactly(TODAY.plusDays(2));
    assertThat(ahead.before().get(0).words()).startsWith("Put 200 mL of Gel");
    Ahead cubes = ahead(List.of(), frozenCubes());
    assertThat(cubes.serves()).hasSize(3);
    assertThat(cubes.before().get(0).words()).startsWith("Put 50 mL of");
  }

  private static Standing frozenCubes() {
    return new Standing(
        "c",
        "Gel",
        Heads.product("linseed-gel"),
        200,
        TODAY.plusDays(60),
        false,
        Place.FREEZER,
        Container.CUBES);
  }
}
