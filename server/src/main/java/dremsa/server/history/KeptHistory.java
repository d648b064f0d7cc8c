package dremsa.server.history;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What happened, in a backup. */
@Component
class KeptHistory implements KeptTables {
  private static final double MOST_ML = 1_000_000;

  /** Taken back, these put so much into the bottle again. */
  private static final Set<String> WITH_AMOUNT =
      Set.of(
          Happening.Kind.TAKEN.name(),
          Happening.Kind.FINISHED.name(),
          Happening.Kind.DISCARDED.name());

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.counted(
                "happening",
                Column.reference("batch_id", "batch"),
                Column.reference("bottle_id", "bottle").orNull(),
                Column.tie("change_id").orNull(),
                Column.moment("happened_at"),
                Column.word("kind", Happening.Kind.class),
                Column.number("millilitres", -MOST_ML, MOST_ML).orNull(),
                Column.text("detail", 500),
                Column.yesNo("undone"))
            .where(
                row -> !WITH_AMOUNT.contains(row.get("kind")) || row.get("millilitres") != null));
  }
}
