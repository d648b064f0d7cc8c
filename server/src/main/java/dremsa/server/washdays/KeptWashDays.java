package dremsa.server.washdays;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.people.People;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Wash days in a backup, those under way too. */
@Component
class KeptWashDays implements KeptTables {
  private static final int MOST_RUNS = 6;

  private final WashPlans plans;
  private final WashRuns runs;
  private final People people;
  private final Stored stored;

  KeptWashDays(WashPlans plans, WashRuns runs, People people, Stored stored) {
    this.plans = plans;
    this.runs = runs;
    this.people = people;
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
            "wash_day",
            "planned, occasion, name",
            Column.id(),
            Column.reference("person_id", "person"),
            Column.text("occasion", 60),
            Column.text("name", 60),
            Column.day("planned"),
            Column.day("moved_to").orNull(),
            Column.yesNo("done"),
            Column.moment("done_at").orNull(),
            Column.text("note", 400),
            Column.version()),
        KeptTable.of(
                "wash_run",
                "began_at, asked",
                Column.id(),
                Column.day("day"),
                Column.moment("began_at"),
                Column.json("asked", text -> stored.checked(text, SheetJson.SheetForm.class)),
                Column.json("taps", text -> stored.checked(text, SheetJson.Taps.class)),
                Column.version())
            .atMost(MOST_RUNS));
  }

  @Override
  public void open(UUID household, Instant now) {
    runs.all(household, now);
  }

  @Override
  public void planAgain(UUID household, Instant now) {
    if (people.any(household)) {
      plans.plan(household, now);
    }
  }
}
