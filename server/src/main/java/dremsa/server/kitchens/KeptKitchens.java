package dremsa.server.kitchens;

import dremsa.core.kitchen.Climate;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The kitchen in a backup. */
@Component
class KeptKitchens implements KeptTables {
  /** Once a day for a hundred years. */
  private static final int MOST_SETTINGS = 40_000;

  private final Kitchens kitchens;
  private final Stored stored;
  private final JdbcTemplate jdbc;

  KeptKitchens(Kitchens kitchens, Stored stored, JdbcTemplate jdbc) {
    this.jdbc = jdbc;
    this.kitchens = kitchens;
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "kitchen",
                "household_id",
                Column.json("content", text -> stored.checked(text, KitchenJson.class).toCore()),
                Column.schema(),
                Column.version())
            .atMost(1),
        KeptTable.of(
                "kitchen_climate",
                "from_at",
                Column.id(),
                Column.moment("from_at"),
                Column.number("room_celsius", Climate.COLDEST_ROOM_C, Climate.WARMEST_ROOM_C),
                Column.number("fridge_celsius", Climate.COLDEST_FRIDGE_C, Climate.WARMEST_FRIDGE_C),
                Column.number(
                    "freezer_celsius", Climate.COLDEST_FREEZER_C, Climate.WARMEST_FREEZER_C),
                Column.moment("made_at"))
            .atMost(MOST_SETTINGS));
  }

  @Override
  public void makeRoom(UUID household) {
    jdbc.update("delete from kitchen where household_id = ?", household.toString());
  }

  @Override
  public void open(UUID household, Instant now) {
    kitchens.of(household);
    kitchens.versioned(household);
    kitchens.climates(household);
  }
}
