package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FreeTimeTest {
  private static final ZonedDateTime MONDAY =
      ZonedDateTime.parse("2026-03-02T09:00:00+00:00[Europe/Dublin]");

  @Test
  void theUsualWeek() {
    assertThat(FreeTime.USUAL.evenings(MONDAY, 7).stream().map(Evening::day))
        .containsExactly(
            LocalDate.of(2026, 3, 3),
            LocalDate.of(2026, 3, 5),
            LocalDate.of(2026, 3, 7),
            LocalDate.of(2026, 3, 8));
    assertThat(FreeTime.USUAL.evenings(MONDAY, 7).get(0).minutes()).isEqualTo(240);
  }

  @Test
  void ofTodayCountsWhatIsLeftOfIt() {
    ZonedDateTime late = MONDAY.plusDays(1).withHour(21);
    assertThat(FreeTime.USUAL.evenings(late, 1)).containsExactly(evening(late, 90));
    assertThat(FreeTime.USUAL.evenings(late.plusHours(2), 1)).isEmpty();
  }

  private static Evening evening(ZonedDateTime at, double minutes) {
    return new Evening(at.toLocalDate(), minutes);
  }

  @Test
  void aDayOffIsOff() {
    FreeTime time = new FreeTime(FreeTime.USUAL.usual(), Set.of(LocalDate.of(2026, 3, 5)));
    assertThat(time.evenings(MONDAY, 7)).hasSize(3);
    assertThat(time.on(LocalDate.of(2026, 3, 5))).isEmpty();
    assertThat(new FreeTime(Map.of(), Set.of()).evenings(MONDAY, 84)).isEmpty();
  }

  @Test
  void anEveningEndsAfterItBegins() {
    assertThatThrownBy(() -> new FreeTime.Span(LocalTime.NOON, LocalTime.NOON))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(FreeTime.USUAL.usual().keySet()).doesNotContain(DayOfWeek.MONDAY);
  }
}
