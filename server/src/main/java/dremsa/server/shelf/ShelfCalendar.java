package dremsa.server.shelf;

import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.papers.CalendarFile;
import dremsa.server.papers.CalendarPart;
import dremsa.server.reminders.Reminders;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * The shelf as a calendar: last days of bottles, the next steps of what is being brewed, and what
 * others have to write into it.
 */
@Component
class ShelfCalendar {
  /** So many steps to come are in a calendar at most. */
  private static final int MOST_CALLS = 300;

  /** A calendar rings as the tray does: in the morning, days before the last day and on it. */
  private static final Duration MORNING = Duration.ofHours(Judging.MORNING.getHour());

  private final BottleRepository repository;
  private final Households households;
  private final Reminders reminders;
  private final List<CalendarPart> parts;

  ShelfCalendar(
      BottleRepository repository,
      Households households,
      Reminders reminders,
      List<CalendarPart> parts) {
    this.parts = parts;
    this.repository = repository;
    this.households = households;
    this.reminders = reminders;
  }

  /** The calendar of a household, in the iCalendar format. */
  String of(UUID householdId) {
    Household household = households.of(householdId);
    Instant now = households.now(household);
    List<CalendarFile.Event> events = new ArrayList<>();
    for (Bottle bottle :
        repository.findByHouseholdIdAndStatus(householdId, Bottle.Status.STANDING)) {
      String name = bottle.name() + ", bottle " + bottle.number();
      events.add(
          new CalendarFile.Event(
              bottle.id() + "-last-day",
              bottle.lastDay(),
              null,
              (bottle.useNow() ? "Use now: " : "Last day: ") + name,
              Said.of(
                  "%.0f mL left%s. Throw it away from the next day on.",
                  bottle.leftMl(), bottle.marked() ? ", marked: beyond the published date" : ""),
              bottle.useNow()
                  ? List.of(MORNING)
                  : List.of(MORNING.minusDays(Judging.SOON_DAYS), MORNING),
              null));
    }
    for (Reminders.Coming coming : reminders.coming(householdId, "batch:", MOST_CALLS)) {
      events.add(
          new CalendarFile.Event(
              coming.occasion().replace(':', '-'),
              coming.at(),
              Duration.ofMinutes(10),
              coming.words() + " – " + coming.title(),
              "",
              List.of(Duration.ZERO),
              null));
    }
    parts.forEach(part -> events.addAll(part.events(householdId, now)));
    return CalendarFile.of(events, now);
  }
}
