package dremsa.server.shelf;

import dremsa.core.keep.KeepEvent;
import dremsa.core.measure.Said;
import dremsa.server.bench.Runs;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import dremsa.server.wire.Stored;
import dremsa.server.wire.WarmSpellJson;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What happened to batches and bottles that are known. It is the record: how much is left of a
 * bottle stands in the table of the bottles. What counts for keeping counts as if it had been
 * tapped, and every bottle is reckoned anew at the end.
 */
@Component
class EventTable implements HouseholdTable {
  /**
   * What happened; what counts for keeping without a line of its own; what befell the fridge. Times
   * are written to the second: within one the order does not depend on what is not written.
   */
  private static final String QUERY =
      """
      select time, kind, code, bottle, millilitres, detail, if(undone, 'true', 'false') as undone,
        if(silent, 'true', 'false') as silent, `change`, told,
        json_value(said, '$.place') as place, json_value(said, '$.promised') as promised,
        coalesce(hours, json_value(said, '$.hours')) as hours,
        coalesce(celsius, json_value(said, '$.celsius')) as celsius,
        coalesce(cause, json_value(said, '$.cause')) as cause,
        json_value(said, '$.ownMl') as own_ml,
        json_insert(json_query(said, '$.other'), '$.schemaVersion',
          cast(json_value(said, '$.schemaVersion') as integer)) as other,
        json_value(said, '$.now.school') as school,
        if(json_value(said, '$.now.cleanWorking') = 1, 'true', '') as clean_working,
        json_value(said, '$.before.school') as school_before,
        if(json_value(said, '$.before.cleanWorking') = 1, 'true', '') as clean_before
      from (
        select h.happened_at as time, h.kind, b.code, t.number as bottle, h.millilitres, h.detail,
          h.undone, false as silent, h.change_id as `change`, h.told, e.said, null as hours,
          null as celsius, null as cause, h.id as n
        from happening_line h join batch_name b on b.id = h.batch_id
          left join bottle t on t.id = h.bottle_id
          left join bottle_event e on e.change_id = h.change_id and e.bottle_id = h.bottle_id
        where h.household_id = ?
        union all
        select e.happened_at, e.kind, t.code, t.number, null, '', e.undone, true, e.change_id, null,
          e.said, null, null, null, e.id
        from bottle_event e join bottle t on t.id = e.bottle_id
        where e.household_id = ? and not exists (
          select 1 from happening_line h where h.change_id = e.change_id and h.bottle_id = e.bottle_id)
        union all
        select cast(replace(replace(j.at, 'T', ' '), 'Z', '') as datetime(6)), 'FRIDGE', '', null,
          null, f.words, f.undone, true, f.id, null, null, j.hours, j.celsius, j.cause, 0
        from fridge_event f, json_table(f.pieces, '$.pieces[*]' columns (
          at varchar(40) path '$.at', hours double path '$.hours',
          celsius double path '$.celsius', cause varchar(200) path '$.cause')) j
        where f.household_id = ?
      ) all_of_it
      order by date_format(time, '%Y-%m-%d %H:%i:%s'), silent, code, bottle, kind, n
      """;

  /** The kind of a line that tells of the whole fridge. */
  private static final String FRIDGE = "FRIDGE";

  /** No fridge needs longer after a power cut. */
  private static final Duration COLD_AGAIN = Duration.ofHours(4);

  private static final int DETAIL = 500;
  static final int CAUSE = 200;
  static final int OTHER = 20_000;

  /** A batch read in from a table has these already, of its own making. */
  private static final Set<Happening.Kind> OF_THE_BATCH =
      EnumSet.of(Happening.Kind.STARTED, Happening.Kind.BOTTLED, Happening.Kind.GIVEN_UP);

  private final BottleRepository bottles;
  private final BottleEventRepository events;
  private final FridgeEventRepository fridge;
  private final Judging judging;
  private final Uses uses;
  private final Stored stored;
  private final Runs runs;
  private final History history;
  private final Kitchens kitchens;

  EventTable(
      BottleRepository bottles,
      BottleEventRepository events,
      FridgeEventRepository fridge,
      Judging judging,
      Uses uses,
      Stored stored,
      Runs runs,
      History history,
      Kitchens kitchens) {
    this.bottles = bottles;
    this.events = events;
    this.fridge = fridge;
    this.judging = judging;
    this.uses = uses;
    this.stored = stored;
    this.runs = runs;
    this.history = history;
    this.kitchens = kitchens;
  }

  @Override
  public String name() {
    return "events";
  }

  @Override
  public List<String> columns() {
    return List.of(
        "time",
        "kind",
        "code",
        "bottle",
        "millilitres",
        "detail",
        "undone",
        "silent",
        "change",
        "told",
        "place",
        "promised",
        "hours",
        "celsius",
        "cause",
        "own_ml",
        "other",
        "school",
        "clean_working",
        "school_before",
        "clean_before");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    return new Reading(household, now);
  }

  /** Pieces of one warm spell of the fridge. */
  private record Spell(
      UUID id, String words, boolean undone, List<KeepEvent.FridgeWarmed> pieces) {}

  private final class Reading implements Taking {
    private final UUID household;
    private final Instant now;
    private final EventRow said;
    private final Map<String, Optional<UUID>> batches = new HashMap<>();
    private final Map<Integer, UUID> changes = new HashMap<>();
    private final Map<UUID, List<Happening>> told = new HashMap<>();
    private final Map<UUID, List<BottleEvent>> kept = new HashMap<>();
    private final Map<Integer, Spell> spells = new LinkedHashMap<>();

    /** What is known of the fridge: words and second of each piece. */
    private final Set<String> knownPieces = new HashSet<>();

    private Reading(UUID household, Instant now) {
      this.household = household;
      this.now = now;
      this.said = new EventRow(stored, kitchens.of(household).climate());
      for (FridgeEvent event : fridge.findByHouseholdId(household)) {
        stored
            .read(event.pieces(), WarmSpellJson.class)
            .pieces()
            .forEach(p -> knownPieces.add(piece(event.words(), p.at())));
      }
    }

    private String piece(String words, Instant at) {
      return words + "@" + second(at);
    }

    @Override
    public Taken take(Row row) {
      if (row.text("kind", 40).equalsIgnoreCase(FRIDGE)) {
        // The power is back, and the fridge is still on its way to being cold.
        return fridge(row, row.past("time", now.plus(COLD_AGAIN)));
      }
      Instant at = row.past("time", now.plus(1, ChronoUnit.SECONDS));
      String code = row.needed("code", BottleTable.CODE);
      Optional<UUID> batch = batches.computeIfAbsent(code, c -> runs.byCode(household, c));
      if (batch.isEmpty()) {
        return Taken.leftOut("There is no batch " + code + " here.");
      }
      Double number = row.number("bottle", 1, 1000);
      Bottle bottle = null;
      if (number != null) {
        Optional<Bottle> found =
            bottles.findByHouseholdIdAndCodeAndNumber(household, code, number.intValue());
        if (found.isEmpty()) {
          return Taken.leftOut(Said.of("There is no bottle %.0f of %s here.", number, code));
        }
        bottle = found.get();
      }
      if (row.yes("silent")) {
        if (bottle == null) {
          throw new Row.WrongException("bottle", "This is missing.");
        }
        KeepEvent.Kind kind = row.choice("kind", KeepEvent.Kind.class, null);
        return keep(row, bottle, at, kind) ? Taken.NEW : Taken.THERE;
      }
      return happened(row, batch.get(), bottle, at);
    }

    private Taken happened(Row row, UUID batch, @Nullable Bottle bottle, Instant at) {
      Happening.Kind kind = row.choice("kind", Happening.Kind.class, null);
      Double ml = row.number("millilitres", 0, 1e6);
      Told tells = told(row, kind);
      UUID bottleId = bottle == null ? null : bottle.id();
      List<Happening> before =
          told.computeIfAbsent(batch, id -> new ArrayList<>(history.allOf(household, id)));
      Optional<Happening> there =
          HouseholdTable.meet(
              before,
              h ->
                  h.kind() == kind
                      && second(h.happenedAt()).equals(second(at))
                      && Objects.equals(h.bottleId(), bottleId)
                      && (OF_THE_BATCH.contains(kind) || history.says(h, ml, tells)));
      if (there.isPresent()) {
        boolean same = history.says(there.get(), ml, tells);
        history.putRight(there.get(), ml, tells);
        return same ? Taken.THERE : Taken.NEW;
      }
      boolean undone = row.yes("undone");
      history.take(household, batch, bottleId, change(row), at, kind, ml, tells, undone);
      if (bottle != null) {
        boolean used = kind == Happening.Kind.TAKEN || kind == Happening.Kind.FINISHED;
        if (used && ml != null && !(tells instanceof Told.Brewed)) {
          uses.usedThen(bottle, ml, at, undone);
        }
        KeepEvent.Kind counts = counts(kind);
        if (counts != null) {
          keep(row, bottle, at, counts);
        }
      }
      return Taken.NEW;
    }

    private Told told(Row row, Happening.Kind kind) {
      try {
        return history.told(kind, row.text("detail", DETAIL), row.text("told", OTHER));
      } catch (IllegalArgumentException e) {
        throw new Row.WrongException("told", "What is told must be as Dremsa writes it.");
      }
    }

    private KeepEvent.@Nullable Kind counts(Happening.Kind kind) {
      return switch (kind) {
        case LEFT_OUT -> KeepEvent.Kind.WARMED;
        case MOVED, FROZEN, THAWED -> KeepEvent.Kind.MOVED;
        case OPENED -> KeepEvent.Kind.OPENED;
        case POURED_IN -> KeepEvent.Kind.JOINED;
        case SCHOOL_CHANGED -> KeepEvent.Kind.SCHOOL;
        default -> null;
      };
    }

    private @Nullable UUID change(Row row) {
      Double number = row.number("change", 0, 1e9);
      return number == null
          ? null
          : changes.computeIfAbsent(number.intValue(), n -> UUID.randomUUID());
    }

    /** Keeps what counts for how long a bottle keeps; false where it stands there already. */
    private boolean keep(Row row, Bottle bottle, Instant at, KeepEvent.Kind kind) {
      KeepEvent event = said.event(row, kind, at);
      List<BottleEvent> before =
          kept.computeIfAbsent(
              bottle.id(), id -> new ArrayList<>(events.findByBottleIdOrderById(id)));
      if (HouseholdTable.meet(
              before, e -> e.kind() == kind && second(e.happenedAt()).equals(second(event.at())))
          .isPresent()) {
        return false;
      }
      UUID change = change(row);
      BottleEvent line =
          new BottleEvent(bottle, change == null ? UUID.randomUUID() : change, event, stored);
      if (row.yes("undone")) {
        line.undo();
      }
      events.save(line);
      return true;
    }

    private Taken fridge(Row row, Instant at) {
      String words = row.needed("detail", CAUSE);
      if (knownPieces.contains(piece(words, at))) {
        return Taken.THERE;
      }
      double hours = row.neededNumber("hours", 1e-6, Meaning.LONGEST_H);
      double celsius = row.neededNumber("celsius", -40, 60);
      String cause = row.text("cause", CAUSE);
      Double number = row.number("change", 0, 1e9);
      int key = number == null ? -1 - spells.size() : number.intValue();
      boolean undone = row.yes("undone");
      spells
          .computeIfAbsent(
              key,
              k ->
                  new Spell(
                      changes.computeIfAbsent(k, n -> UUID.randomUUID()),
                      words,
                      undone,
                      new ArrayList<>()))
          .pieces()
          .add(
              new KeepEvent.FridgeWarmed(
                  at, hours, celsius, cause.isEmpty() ? "Warm fridge" : cause));
      return Taken.NEW;
    }

    @Override
    public void end() {
      for (Spell spell : spells.values()) {
        FridgeEvent event =
            new FridgeEvent(
                spell.id(),
                household,
                spell.pieces().get(0).at(),
                Fridge.endOf(spell.pieces()),
                spell.words(),
                stored.write(WarmSpellJson.of(spell.pieces())),
                now);
        if (spell.undone()) {
          event.undo();
        }
        fridge.save(event);
      }
      fridge.flush();
      events.flush();
      judging.savedAll(household, now);
    }
  }

  private static Instant second(Instant at) {
    return at.truncatedTo(ChronoUnit.SECONDS);
  }
}
