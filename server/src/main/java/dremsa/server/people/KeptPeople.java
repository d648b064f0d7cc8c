package dremsa.server.people;

import dremsa.core.people.PatchTest;
import dremsa.core.people.Reaction;
import dremsa.core.people.SlotKind;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.formulas.KeptFormulas;
import dremsa.server.wire.HairJson;
import dremsa.server.wire.OnHeadJson;
import dremsa.server.wire.RoutineJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** People in a backup, with what came on their heads. */
@Component
class KeptPeople implements KeptTables {
  private static final double MOST_ML = 20_000;
  private static final double MOST_MINUTES = 100_000;

  /** Whoever is told of in a file was a person on some day; which, does not matter for that. */
  private static final LocalDate SOME_DAY = LocalDate.of(2100, 1, 1);

  private final People people;
  private final Stored stored;

  KeptPeople(People people, Stored stored) {
    this.people = people;
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "person",
                "made_at, name",
                Column.id(),
                Column.text("name", 60),
                Column.json("profile", this::profile),
                Column.json("routine", text -> stored.checked(text, RoutineJson.class).toCore("")),
                Column.moment("made_at"),
                Column.version())
            .atMost(People.MOST),
        KeptTable.of(
            "patch_test",
            "started_at, material_id",
            Column.id(),
            Column.reference("person_id", "person"),
            Column.material("material_id"),
            Column.moment("started_at"),
            Column.word("result", PatchTest.Result.class).orNull(),
            Column.moment("seen_at").orNull(),
            Column.version()),
        KeptTable.of(
            "reaction",
            "seen_at, name",
            Column.id(),
            Column.reference("person_id", "person"),
            Column.moment("seen_at"),
            KeptFormulas.formulaId("formula_id").orNull(),
            Column.text("name", 120),
            Column.withIds("materials", 20_000, "[\\p{L}\\p{N}:._ -]*"),
            Column.word("sign", Reaction.Sign.class),
            Column.version()),
        KeptTable.counted(
            "head_use",
            Column.reference("person_id", "person"),
            Column.reference("wash_day_id", "wash_day").orNull(),
            Column.tie("use_mark").orNull(),
            Column.reference("bottle_id", "bottle").orNull(),
            Column.text("bottle_code", 20),
            Column.moment("used_at"),
            Column.word("slot", SlotKind.class),
            KeptFormulas.formulaId("formula_id"),
            Column.text("name", 120),
            Column.number("millilitres", 0, MOST_ML),
            Column.number("minutes", 0, MOST_MINUTES).orNull(),
            Column.json("told", text -> stored.read(text, OnHeadJson.class).check()),
            Column.yesNo("undone")));
  }

  private void profile(String text) {
    stored
        .checked(text, HairJson.class)
        .toCore("", "read", "Somebody", SOME_DAY, List.of(), List.of());
  }

  @Override
  public void open(UUID household, Instant now) {
    people.all(household);
  }

  @Override
  public void planAgain(UUID household, Instant now) {
    people.all(household).forEach(known -> people.planTests(household, known.id(), now));
  }
}
