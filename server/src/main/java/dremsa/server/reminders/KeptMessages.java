package dremsa.server.reminders;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * What was told, in a backup: what was told once is not told again after it is read in. What is due
 * stands in no backup; it is planned anew.
 */
@Component
class KeptMessages implements KeptTables {
  private static final String ID = "[0-9a-f-]{36}";

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.counted(
            "message",
            Column.withIds("occasion", 160, "[A-Za-z0-9:_-]+"),
            Column.moment("due_at"),
            Column.moment("written_at"),
            Column.word("kind", Due.Kind.class),
            Column.text("title", 160),
            Column.text("words", 400),
            // Nothing but a screen of this application.
            Column.withIds("link", 200, "/(keep|brew)(/" + ID + ")?"),
            Column.moment("read_at").orNull()));
  }
}
