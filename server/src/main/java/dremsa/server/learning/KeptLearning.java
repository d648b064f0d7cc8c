package dremsa.server.learning;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What somebody said of figures and batches is kept; what follows from it is worked out anew. */
@Component
class KeptLearning implements KeptTables {
  private final Calibrations calibrations;

  KeptLearning(Calibrations calibrations) {
    this.calibrations = calibrations;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
            "learning_choice",
            "knob, batch_id",
            Column.id(),
            Column.text("knob", 120).orNull(),
            Column.reference("batch_id", "batch").orNull(),
            Column.yesNo("counts"),
            Column.version()));
  }

  @Override
  public void open(UUID household, Instant now) {
    calibrations.ask(household);
  }
}
