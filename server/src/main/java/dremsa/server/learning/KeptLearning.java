package dremsa.server.learning;

import dremsa.core.learn.HeadSection;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What somebody said of figures and batches is kept; what follows from it is worked out anew. */
@Component
class KeptLearning implements KeptTables {
  private static final double LEAST_CM = 0.01;
  private static final double MOST_CM = 300;

  private final Calibrations calibrations;
  private final Trials trials;
  private final Stored stored;

  KeptLearning(Calibrations calibrations, Trials trials, Stored stored) {
    this.trials = trials;
    this.stored = stored;
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
            Column.version()),
        KeptTable.of(
            "hair_length",
            "`day`, person_id, section",
            Column.id(),
            Column.reference("person_id", "person"),
            Column.day("day"),
            Column.word("section", HeadSection.class).orNull(),
            Column.number("cm", LEAST_CM, MOST_CM).orNull(),
            Column.number("loose_cm", LEAST_CM, MOST_CM).orNull(),
            Column.text("with_product", 80).orNull(),
            Column.version()),
        KeptTable.of(
                "section_trial",
                "begun_at, person_id",
                Column.id(),
                Column.reference("person_id", "person"),
                Column.moment("begun_at"),
                Column.moment("ended_at").orNull(),
                Column.json("content", text -> stored.read(text, TrialJson.Kept.class).toCore()),
                Column.version())
            .atMost(Trials.MOST));
  }

  @Override
  public void open(UUID household, Instant now) {
    calibrations.ask(household);
    trials.remindOfAll(household, now);
  }
}
