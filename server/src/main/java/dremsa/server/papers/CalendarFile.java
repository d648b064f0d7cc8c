package dremsa.server.papers;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Action;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;

/** Writes events as iCalendar (RFC 5545), moments in UTC so that no zone table is needed. */
public final class CalendarFile {
  private CalendarFile() {}

  /**
   * An event.
   *
   * @param uid the same event always has the same, so that a calendar moves it instead of doubling
   *     it
   * @param start a moment, or a day for an event of the whole day
   * @param length of an event at a moment; not used for a day
   * @param alarms from the start on; negative before it
   * @param link the screen it is about; null for none
   */
  public record Event(
      String uid,
      Temporal start,
      @Nullable Duration length,
      String summary,
      String description,
      List<Duration> alarms,
      @Nullable String link) {}

  /** The file's text. */
  public static String of(List<Event> events, Instant written) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Dremsa//Brews and bottles//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    for (Event event : events) {
      calendar.add(event(event, written));
    }
    StringWriter text = new StringWriter();
    try {
      // Checked by the tests with the library's validator; an empty calendar is none to it.
      new CalendarOutputter(false).output(calendar, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  private static VEvent event(Event event, Instant written) {
    VEvent made = new VEvent(false);
    made.add(new Uid(event.uid() + "@dremsa"));
    made.add(new DtStamp(written));
    if (event.start() instanceof LocalDate day) {
      made.add(new DtStart<>(day));
      made.add(new DtEnd<>(day.plusDays(1)));
    } else {
      Instant at = (Instant) event.start();
      made.add(new DtStart<>(at));
      made.add(new DtEnd<>(at.plus(event.length())));
    }
    made.add(new Summary(event.summary()));
    if (!event.description().isBlank()) {
      made.add(new Description(event.description()));
    }
    if (event.link() != null) {
      made.add(new Url(URI.create(event.link())));
    }
    for (Duration rings : event.alarms()) {
      VAlarm alarm = new VAlarm();
      alarm.add(new Trigger(rings));
      alarm.add(new Action("DISPLAY"));
      alarm.add(new Description(event.summary()));
      made.add(alarm);
    }
    return made;
  }
}
