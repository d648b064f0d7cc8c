package dremsa.server.practice;

import dremsa.core.practice.PracticeRun;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.practice.PracticeJson.KeptPractice;
import dremsa.server.wire.Stored;
import java.util.List;
import org.springframework.stereotype.Component;

/** Practices in a backup. */
@Component
class KeptPractices implements KeptTables {
  private static final int MOST_ASKED = 40;
  private static final double MOST_SECONDS = 1e9;

  private final Stored stored;

  KeptPractices(Stored stored) {
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "practice",
                "begun_at, exercise",
                Column.id(),
                Column.reference("person_id", "person").orNull(),
                Column.text("exercise", "[a-z-]{1,40}"),
                Column.moment("begun_at"),
                Column.moment("ended_at").orNull(),
                Column.moment("at_moment"),
                Column.number("at_second", 0, MOST_SECONDS),
                Column.number("pace", 0, PracticeJson.FASTEST),
                Column.whole("reached", 0, MOST_ASKED).orNull(),
                Column.whole("asked", 0, MOST_ASKED),
                Column.json("content", this::check),
                Column.version())
            .atMost(Practices.MOST));
  }

  private void check(String text) {
    KeptPractice kept = stored.read(text, KeptPractice.class);
    if (kept.toCore().size() > PracticeRun.MOST_ACTS) {
      throw new IllegalArgumentException("nobody does so much in one practice");
    }
    if (kept.formula() != null) {
      kept.formula().toCore("");
    }
    if (kept.kitchen() != null) {
      kept.kitchen().toCore();
    }
  }
}
