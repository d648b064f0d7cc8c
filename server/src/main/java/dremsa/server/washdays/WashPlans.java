package dremsa.server.washdays;

import dremsa.core.measure.Said;
import dremsa.core.people.Ahead;
import dremsa.core.people.Sheet;
import dremsa.core.people.Worn;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.BatchBottled;
import dremsa.server.bench.BottlingUndone;
import dremsa.server.papers.CalendarFile;
import dremsa.server.papers.CalendarPart;
import dremsa.server.people.People;
import dremsa.server.people.PeopleChanged;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Tells of wash days and thaws at their time, and writes them into the calendar. */
@Component
class WashPlans implements CalendarPart {
  private static final String SUBJECT = "washdays";

  /** So far ahead it is planned; whatever is done in between plans anew. */
  private static final int DAYS = 28;

  private static final LocalTime MORNING = LocalTime.of(8, 0);
  private static final Duration LONG = Duration.ofHours(1);
  private static final Duration LONG_PAST = Duration.ofDays(1);

  private final WashDays washDays;
  private final People people;
  private final Households households;
  private final Reminders reminders;

  WashPlans(WashDays washDays, People people, Households households, Reminders reminders) {
    this.washDays = washDays;
    this.people = people;
    this.households = households;
    this.reminders = reminders;
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void changed(PeopleChanged event) {
    if (isNow(event.household(), event.at())) {
      plan(event.household(), event.at());
    }
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void bottled(BatchBottled event) {
    if (isNow(event.household(), event.at()) && people.any(event.household())) {
      plan(event.household(), event.at());
    }
  }

  /**
   * What is told of days long past is followed by what came after it: only the last of it plans.
   */
  private boolean isNow(UUID household, Instant at) {
    return !at.isBefore(households.now(household).minus(LONG_PAST));
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void undone(BottlingUndone event) {
    if (people.any(event.household())) {
      plan(event.household(), households.now(event.household()));
    }
  }

  private Ahead ahead(Household household, Instant now) {
    LocalDate today = household.day(now);
    return washDays.ahead(
        household, washDays.surroundings(household, now), today, today.plusDays(DAYS));
  }

  /** Plans anew what wash days will call for. */
  void plan(UUID id, Instant now) {
    Household household = households.of(id);
    Map<String, String> names = names(id);
    List<Due> dues = new ArrayList<>();
    Ahead ahead = ahead(household, now);
    for (Ahead.OfHead of : ahead.occasions()) {
      if (of.due().state().isOpen()) {
        LocalTime time = of.due().occasion().time();
        Instant at =
            of.due()
                .day()
                .atTime(time.isBefore(MORNING) ? time : MORNING)
                .atZone(household.zone())
                .toInstant();
        dues.add(
            new Due(
                "person:" + of.person() + ":" + of.due().occasion().key() + ":" + of.due().day(),
                at,
                Due.Kind.SOON,
                of.due().occasion().name() + ": " + names.getOrDefault(of.person(), ""),
                "Today" + missing(ahead, of).map(words -> ". " + words).orElse(""),
                "/use"));
      }
    }
    for (Sheet.Before before : ahead.before()) {
      if (before.kind() == Sheet.Before.Kind.THAW) {
        dues.add(
            new Due(
                "thaw:" + before.bottle() + ":" + household.day(before.at()),
                before.at(),
                Due.Kind.NOW,
                before.name(),
                before.words(),
                "/keep/" + before.bottle()));
      }
    }
    for (TakeDown down : takeDowns(household, now)) {
      dues.add(
          new Due(
              "person:" + down.person() + ":down:" + down.day(),
              down.day().atTime(MORNING).atZone(household.zone()).toInstant(),
              Due.Kind.SOON,
              down.title(),
              down.words(),
              "/use/people/" + down.person()));
    }
    dues.removeIf(due -> due.at().isBefore(now));
    reminders.replace(id, SUBJECT, dues);
  }

  /** Hair that was put up comes down. */
  private record TakeDown(String person, LocalDate day, String title, String words) {}

  private List<TakeDown> takeDowns(Household household, Instant now) {
    LocalDate today = household.day(now);
    List<TakeDown> all = new ArrayList<>();
    for (People.Known known : people.all(household.id())) {
      Worn worn = known.person().worn();
      worn.takeDown()
          .filter(day -> !day.isBefore(today) && worn.style() != Worn.Style.LOOSE)
          .ifPresent(
              day ->
                  all.add(
                      new TakeDown(
                          known.person().id(),
                          day,
                          "Take-down: " + known.person().name(),
                          "Today the hair worn " + worn.style().words() + " comes down.")));
    }
    return all;
  }

  private Map<String, String> names(UUID household) {
    Map<String, String> names = new HashMap<>();
    people.all(household).forEach(known -> names.put(known.id().toString(), known.person().name()));
    return names;
  }

  private static Optional<String> missing(Ahead ahead, Ahead.OfHead of) {
    return ahead.without().stream()
        .filter(each -> each.person().equals(of.person()) && each.day().equals(of.due().day()))
        .findFirst()
        .map(each -> Said.of("%s: %s", capital(each.slot().words()), each.words()));
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  @Override
  @Transactional(readOnly = true)
  public List<CalendarFile.Event> events(UUID id, Instant now) {
    if (!people.any(id)) {
      return List.of();
    }
    Household household = households.of(id);
    Map<String, String> names = names(id);
    Ahead ahead = ahead(household, now);
    List<CalendarFile.Event> all = new ArrayList<>();
    for (Ahead.OfHead of : ahead.occasions()) {
      if (of.due().state().isOpen()) {
        all.add(
            new CalendarFile.Event(
                "wash-" + of.person() + "-" + of.due().occasion().key() + "-" + of.due().planned(),
                of.due()
                    .day()
                    .atTime(of.due().occasion().time())
                    .atZone(household.zone())
                    .toInstant(),
                LONG,
                of.due().occasion().name() + ": " + names.getOrDefault(of.person(), ""),
                missing(ahead, of).orElse(""),
                List.of(),
                null));
      }
    }
    for (TakeDown down : takeDowns(household, now)) {
      all.add(
          new CalendarFile.Event(
              "down-" + down.person(),
              down.day(),
              null,
              down.title(),
              down.words(),
              List.of(),
              null));
    }
    for (Sheet.Before before : ahead.before()) {
      if (before.kind() == Sheet.Before.Kind.THAW) {
        all.add(
            new CalendarFile.Event(
                "thaw-" + before.bottle() + "-" + household.day(before.at()),
                before.at(),
                Duration.ofMinutes(10),
                "Thaw: " + before.name(),
                before.words(),
                List.of(Duration.ZERO),
                null));
      }
    }
    return all;
  }
}
