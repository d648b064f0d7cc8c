package dremsa.server.leftovers;

import dremsa.core.keep.Leftover;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What strainers held, in a backup. */
@Component
class KeptLeftovers implements KeptTables {
  private static final double MOST_G = 1_000_000;

  private final Leftovers leftovers;

  KeptLeftovers(Leftovers leftovers) {
    this.leftovers = leftovers;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
            "leftover",
            "strained_at, name",
            Column.id(),
            Column.reference("batch_id", "batch"),
            Column.text("code", 14),
            Column.text("name", 200),
            Column.word("purpose", Leftover.Use.class),
            Column.text("why", 300),
            Column.material("material_id").orNull(),
            Column.number("dry_grams", 0, MOST_G),
            Column.number("wet_grams", 0, MOST_G),
            Column.moment("strained_at"),
            Column.day("last_day"),
            Column.word("outcome", SpentPlant.Outcome.class),
            Column.moment("ended_at").orNull(),
            Column.reference("lot_id", "lot").orNull(),
            Column.version()));
  }

  @Override
  public void planAgain(UUID household, Instant now) {
    leftovers.planAgain(household, now);
  }
}
