package dremsa.server.notes;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.util.List;
import org.springframework.stereotype.Component;

/** The household's words in a backup. */
@Component
class KeptNotes implements KeptTables {
  private static final int MOST_TIMES = 1_000_000;

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "own_word",
                "word",
                Column.text("word", 96),
                Column.text("meaning", 120),
                Column.whole("times", 1, MOST_TIMES),
                Column.moment("last_on"))
            .atMost(OwnWords.MOST));
  }
}
