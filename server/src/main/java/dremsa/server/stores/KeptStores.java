package dremsa.server.stores;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The stores in a backup. */
@Component
class KeptStores implements KeptTables {
  private static final double MOST_G = 10_000_000;
  private static final double MOST_MONEY = 1_000_000;

  private final StoreReport report;

  KeptStores(StoreReport report) {
    this.report = report;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
            "lot",
            "got_on, material_id, grams, left_grams",
            Column.id(),
            Column.material("material_id"),
            Column.word("origin", Lot.Origin.class),
            Column.number("grams", 0, MOST_G),
            Column.number("left_grams", 0, MOST_G),
            Column.day("got_on"),
            Column.day("opened_on").orNull(),
            Column.number("price", 0, MOST_MONEY).orNull(),
            Column.text("place", 80),
            Column.text("note", 300),
            Column.reference("dried_from", "lot").orNull(),
            Column.moment("ended_at").orNull(),
            Column.version()),
        KeptTable.counted(
            "lot_happening",
            Column.reference("lot_id", "lot"),
            Column.reference("batch_id", "batch").orNull(),
            Column.moment("happened_at"),
            Column.word("kind", LotHappening.Kind.class),
            Column.number("grams", -MOST_G, MOST_G),
            Column.text("detail", 300),
            Column.yesNo("undone")),
        KeptTable.of(
            "store_minimum",
            "material_id",
            Column.material("material_id"),
            Column.number("grams", 0, 100_000)),
        KeptTable.of(
                "shopping_item",
                "words",
                Column.id(),
                Column.text("words", 120),
                Column.yesNo("bought"))
            .atMost(10_000));
  }

  @Override
  public void open(UUID household, Instant now) {
    report.of(household);
  }
}
