package dremsa.server.containers;

import dremsa.core.kitchen.Container;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The bottles, jars and trays owned, in a backup. */
@Component
class KeptContainers implements KeptTables {
  private static final int MOST_OWNED = 1000;

  private final Containers containers;

  KeptContainers(Containers containers) {
    this.containers = containers;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "container_set",
                "kind, size_ml",
                Column.id(),
                Column.word("kind", Container.class),
                Column.number("size_ml", 1, 20_000),
                Column.yesNo("filter"),
                Column.whole("owned", 0, MOST_OWNED),
                Column.whole("sterilised", 0, MOST_OWNED),
                Column.moment("sterilised_at").orNull(),
                Column.version())
            .atMost(500));
  }

  @Override
  public void open(UUID household, Instant now) {
    containers.of(household);
  }
}
