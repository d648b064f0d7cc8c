package dremsa.server.history;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.Stored;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

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

  private final Stored stored;

  KeptHistory(Stored stored) {
    this.stored = stored;
  }

  /** Before there was data beside the words, it was read from them; nobody was told apart. */
  private void lift(ObjectNode row) {
    if (!row.has("done_by")) {
      row.putNull("done_by");
    }
    if (row.has("told") || !row.path("detail").isString() || !row.path("kind").isString()) {
      return;
    }
    Arrays.stream(Happening.Kind.values())
        .filter(kind -> kind.name().equals(row.get("kind").stringValue()))
        .map(kind -> EarlierWords.told(kind, row.get("detail").stringValue()))
        .filter(told -> !(told instanceof Told.Words))
        .forEach(
            told -> {
              row.put("detail", told.inWords());
              row.put("told", stored.write(told));
            });
  }

  private boolean fits(Map<String, @Nullable Object> row) {
    boolean amount = !WITH_AMOUNT.contains(row.get("kind")) || row.get("millilitres") != null;
    boolean thrown = Happening.Kind.DISCARDED.name().equals(row.get("kind"));
    return amount && (!thrown || row.get("told") instanceof String told && saysWhy(told));
  }

  private boolean saysWhy(String told) {
    return stored.read(told, Told.class) instanceof Told.Discarded why && why.reason() != null;
  }

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
                Column.json("told", text -> stored.read(text, Told.class).inWords()).orNull(),
                Column.yesNo("undone"),
                Column.text("done_by", 40).orNull())
            .where(this::fits)
            .lifted(this::lift));
  }
}
