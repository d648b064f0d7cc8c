package dremsa.server.papers;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What a package has to write into the calendar of a household. */
public interface CalendarPart {
  List<CalendarFile.Event> events(UUID household, Instant now);
}
