package dremsa.server.plan;

import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Plans in a backup; a search for a better one is none of what is kept. */
@Component
class KeptPlans implements KeptTables {
  private static final double MOST_ML = 5000;
  private static final int MOST_DEMANDS = 100;

  private final BrewPlans plans;
  private final Stored stored;

  KeptPlans(BrewPlans plans, Stored stored) {
    this.plans = plans;
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "brew_plan",
                "household_id",
                Column.json(
                    "settings", text -> stored.checked(text, PlanJson.PlanSettings.class).toCore()),
                Column.moment("taken_at").orNull(),
                Column.version())
            .atMost(1),
        KeptTable.of(
            "planned_brew",
            "`day`, formula_id, name",
            Column.id(),
            Column.day("day"),
            Column.text("formula_id", 80),
            Column.text("name", 120),
            Column.number("millilitres", 0, MOST_ML),
            Column.yesNo("pinned"),
            Column.reference("batch_id", "batch").orNull(),
            Column.version()),
        KeptTable.of(
                "plan_demand",
                "by_day, words, formula_id",
                Column.id(),
                Column.day("by_day"),
                Column.text("formula_id", 80),
                Column.number("millilitres", 0, MOST_ML),
                Column.text("words", 120),
                Column.version())
            .atMost(MOST_DEMANDS));
  }

  @Override
  public void open(UUID household, Instant now) {
    plans.settings(household);
  }
}
