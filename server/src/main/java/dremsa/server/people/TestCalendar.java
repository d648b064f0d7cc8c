package dremsa.server.people;

import dremsa.core.people.PatchTest;
import dremsa.server.papers.CalendarFile;
import dremsa.server.papers.CalendarPart;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tests on the arm, in the calendar. */
@Component
class TestCalendar implements CalendarPart {
  private final People people;
  private final PatchTestRepository tests;
  private final PersonRepository repository;

  TestCalendar(People people, PatchTestRepository tests, PersonRepository repository) {
    this.people = people;
    this.tests = tests;
    this.repository = repository;
  }

  @Override
  public List<CalendarFile.Event> events(UUID household, Instant now) {
    if (!people.any(household)) {
      return List.of();
    }
    List<CalendarFile.Event> all = new ArrayList<>();
    for (PatchTestRow row : tests.findByHouseholdIdOrderByStartedAtDescId(household)) {
      PatchTest test = row.toCore();
      if (test.isOpen()) {
        String name =
            repository
                .findByIdAndHouseholdId(row.personId(), household)
                .map(PersonRow::name)
                .orElse("");
        all.add(
            new CalendarFile.Event(
                "test-" + row.id(),
                test.due(),
                Duration.ofMinutes(10),
                "Test on the arm: " + name,
                "Look at it: anything red, itching or swollen?",
                List.of(Duration.ZERO),
                null));
      }
    }
    return all;
  }
}
