package dremsa.core.plan;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * When a household has time to brew.
 *
 * @param usual by the day of the week
 * @param off days on which there is none after all
 */
public record FreeTime(Map<DayOfWeek, Span> usual, Set<LocalDate> off) {
  /** Two evenings and the weekend; everybody sets their own. */
  public static final FreeTime USUAL =
      new FreeTime(
          Map.of(
              DayOfWeek.TUESDAY, new Span(LocalTime.of(18, 30), LocalTime.of(22, 30)),
              DayOfWeek.THURSDAY, new Span(LocalTime.of(18, 30), LocalTime.of(22, 30)),
              DayOfWeek.SATURDAY, new Span(LocalTime.of(10, 0), LocalTime.of(21, 0)),
              DayOfWeek.SUNDAY, new Span(LocalTime.of(14, 0), LocalTime.of(21, 0))),
          Set.of());

  /** From one time of a day to another of the same day. */
  public record Span(LocalTime from, LocalTime to) {
    public Span {
      if (!from.isBefore(to)) {
        throw new IllegalArgumentException("it ends after it begins, on the same day");
      }
    }
  }

  public FreeTime {
    usual = usual.isEmpty() ? Map.of() : Map.copyOf(new EnumMap<>(usual));
    off = Set.copyOf(off);
  }

  /** When there is time on a day. */
  public Optional<Span> on(LocalDate day) {
    return off.contains(day)
        ? Optional.empty()
        : Optional.ofNullable(usual.get(day.getDayOfWeek()));
  }

  /** The days of a plan on which there is time; of today what is left of it. */
  public List<Evening> evenings(ZonedDateTime now, int days) {
    List<Evening> all = new ArrayList<>();
    LocalDate today = now.toLocalDate();
    for (int i = 0; i < days; i++) {
      LocalDate day = today.plusDays(i);
      Optional<Span> span = on(day);
      if (span.isEmpty()) {
        continue;
      }
      LocalTime from = span.get().from();
      if (i == 0 && from.isBefore(now.toLocalTime())) {
        from = now.toLocalTime();
      }
      long minutes = Duration.between(from, span.get().to()).toMinutes();
      if (minutes > 0) {
        all.add(new Evening(day, minutes));
      }
    }
    return all;
  }
}
