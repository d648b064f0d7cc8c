package dremsa.server.shelf;

import dremsa.core.formula.Purpose;
import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.formulas.KeptFormulas;
import dremsa.server.wire.KeepEventJson;
import dremsa.server.wire.Stored;
import dremsa.server.wire.WarmSpellJson;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Bottles and what happened to them and to the fridge, in a backup. */
@Component
class KeptBottles implements KeptTables {
  private static final double MOST_ML = 100_000;

  private final BottleRepository repository;
  private final Judging judging;
  private final Uses uses;
  private final Stored stored;
  private final EarlierEvents earlier;
  private final EntityManager entities;

  KeptBottles(
      BottleRepository repository,
      Judging judging,
      Uses uses,
      Stored stored,
      EntityManager entities) {
    this.repository = repository;
    this.judging = judging;
    this.uses = uses;
    this.stored = stored;
    this.earlier = new EarlierEvents(stored);
    this.entities = entities;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(bottle(), bottleEvent(), bottleUse(), fridgeEvent());
  }

  private static KeptTable bottle() {
    return KeptTable.of(
            "bottle",
            "filled_at, code, number",
            Column.id(),
            Column.reference("batch_id", "batch"),
            Column.whole("number", 1, 100_000),
            Column.text("name", 120),
            Column.text("tint", "[0-9A-Fa-f]{6}"),
            Column.word("container", Container.class),
            Column.number("size_ml", 0, MOST_ML),
            Column.number("filled_ml", 0, MOST_ML),
            Column.number("left_ml", 0, MOST_ML),
            Column.word("place", Place.class),
            Column.moment("filled_at"),
            Column.day("last_day"),
            Column.moment("runs_out"),
            Column.yesNo("use_now"),
            Column.word("status", Bottle.Status.class),
            Column.word("end_reason", DiscardReason.class).orNull(),
            Column.moment("ended_at").orNull(),
            Column.version(),
            KeptFormulas.formulaId("formula_id"),
            Column.word("school", School.class),
            Column.yesNo("clean_working"),
            Column.yesNo("marked"),
            Column.day("printed_day").orNull(),
            Column.word("first_place", Place.class),
            Column.reference("parent_id", "bottle").orNull(),
            Column.text("code", 14),
            Column.moment("sterilised_at").orNull(),
            Column.day("told_day").orNull())
        .where(
            row ->
                Bottle.Status.STANDING.name().equals(row.get("status"))
                    || row.get("ended_at") != null);
  }

  private KeptTable bottleEvent() {
    return KeptTable.counted(
            "bottle_event",
            Column.reference("bottle_id", "bottle"),
            Column.tie("change_id"),
            Column.moment("happened_at"),
            Column.word("kind", KeepEvent.Kind.class),
            Column.json("said", text -> event(text, Instant.EPOCH)),
            Column.yesNo("undone"))
        .where(
            row ->
                event(Objects.requireNonNull((String) row.get("said")), Instant.EPOCH).kind()
                    == kind(row))
        .lifted(earlier::lift);
  }

  private static KeepEvent.Kind kind(Map<String, @Nullable Object> row) {
    return KeepEvent.Kind.valueOf(Objects.requireNonNull((String) row.get("kind")));
  }

  private KeepEvent event(String said, Instant at) {
    return stored.read(said, KeepEventJson.class).toCore(at);
  }

  private static KeptTable bottleUse() {
    return KeptTable.counted(
        "bottle_use",
        Column.reference("bottle_id", "bottle"),
        Column.moment("used_at"),
        Column.number("millilitres", 0, MOST_ML),
        Column.text("who", 80).orNull(),
        Column.reference("person_id", "person").orNull(),
        Column.word("purpose", Purpose.class).orNull(),
        Column.tie("mark").orNull(),
        Column.yesNo("undone"));
  }

  private KeptTable fridgeEvent() {
    return KeptTable.of(
        "fridge_event",
        "made_at, words",
        Column.id(),
        Column.moment("from_at"),
        Column.moment("to_at"),
        Column.text("words", 200),
        Column.json("pieces", text -> stored.read(text, WarmSpellJson.class).check()),
        Column.moment("made_at"),
        Column.yesNo("undone"));
  }

  @Override
  public void open(UUID household, Instant now) {
    for (UUID id : repository.ids(household)) {
      Bottle bottle = repository.findByIdAndHouseholdId(id, household).orElseThrow();
      judging.judge(bottle, bottle.endedAt() == null ? now : bottle.endedAt());
      // One at a time: a household's whole life does not fit into memory.
      entities.clear();
    }
  }

  @Override
  public void planAgain(UUID household, Instant now) {
    uses.fromRecord(household);
    repository
        .findByHouseholdIdAndStatus(household, Bottle.Status.STANDING)
        .forEach(bottle -> judging.plan(bottle, now));
  }
}
