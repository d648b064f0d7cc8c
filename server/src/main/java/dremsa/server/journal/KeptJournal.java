package dremsa.server.journal;

import dremsa.core.learn.Course;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.formulas.KeptFormulas;
import dremsa.server.journal.JournalJson.KeptCourse;
import dremsa.server.journal.JournalJson.KeptEntry;
import dremsa.server.wire.Stored;
import java.util.List;
import org.springframework.stereotype.Component;

/** The journal and the courses in a backup. */
@Component
class KeptJournal implements KeptTables {
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_CAPTION = 200;
  private static final int MONTH = 28;

  private final Stored stored;

  KeptJournal(Stored stored) {
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "journal_entry",
                "`day`, person_id, batch_id",
                Column.id(),
                Column.day("day"),
                Column.reference("person_id", "person").orNull(),
                Column.reference("batch_id", "batch").orNull(),
                Column.json("content", text -> stored.read(text, KeptEntry.class)),
                Column.version())
            .atMost(Journal.MOST),
        KeptTable.of(
            "journal_photo",
            "taken_at, caption",
            Column.id(),
            Column.reference("person_id", "person"),
            Column.day("day"),
            Column.moment("taken_at"),
            Column.text("caption", LONGEST_CAPTION),
            Column.picture("content")),
        KeptTable.of(
                "course",
                "from_day, person_id",
                Column.id(),
                Column.reference("person_id", "person"),
                KeptFormulas.formulaId("formula_id"),
                Column.text("name", LONGEST_NAME),
                Column.day("from_day"),
                Column.whole("weeks", 1, Course.LONGEST),
                Column.whole("every_days", 1, MONTH),
                Column.moment("ended_at").orNull(),
                Column.json("content", text -> stored.read(text, KeptCourse.class)),
                Column.version())
            .atMost(Courses.MOST));
  }
}
