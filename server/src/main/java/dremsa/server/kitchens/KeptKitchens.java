package dremsa.server.kitchens;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The kitchen in a backup. */
@Component
class KeptKitchens implements KeptTables {
  private final Kitchens kitchens;
  private final Stored stored;

  KeptKitchens(Kitchens kitchens, Stored stored) {
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
            .atMost(1));
  }

  @Override
  public void open(UUID household, Instant now) {
    kitchens.of(household);
    kitchens.versioned(household);
  }
}
