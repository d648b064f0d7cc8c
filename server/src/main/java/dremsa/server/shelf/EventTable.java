package dremsa.server.shelf;

import dremsa.core.keep.Hours;
import dremsa.core.keep.KeepEvent;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.bench.Runs;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.tables.CsvText;
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
        if(silent, 'true', 'false') as silent, `change`, place, hours, celsius, cause, own_ml, other
      from (
        select h.happened_at as time, h.kind, b.code, t.number as bottle, h.millilitres, h.detail,
          h.undone, false as silent, h.change_id as `change`, e.place, e.hours, e.celsius, e.cause,
          e.own_ml, e.other, h.id as n
        from happening_line h join batch_name b on b.id = h.batch_id
          left join bottle t on t.id = h.bottle_id
          left join bottle_event e on e.change_id = h.change_id and e.bottle_id = h.bottle_id
        where h.household_id = ?
        union all
        select e.happened_at, e.kind, t.code, t.number, null, '', e.undone, true, e.change_id,
          e.place, e.hours, e.celsius, e.cause, e.own_ml, e.other, e.id
        from bottle_event e join bottle t on t.id = e.bottle_id
        where e.household_id = ? and not exists (
          select 1 from happening_line h where h.change_id = e.change_id and h.bottle_id = e.bottle_id)
        union all
        select cast(replace(replace(j.at, 'T', ' '), 'Z', '') as datetime(6)), 'FRIDGE', '', null,
          null, f.words, f.undone, true, f.id, null, j.hours, j.celsius, j.cause, null, null, 0
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
  private static final int CAUSE = 200;
  private static final int OTHER = 20_000;

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
        "place",
        "hours",
        "celsius",
        "cause",
        "own_ml",
        "other");
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
    private final Climate climate;
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
      this.climate = kitchens.of(household).climate();
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
        BottleEvent.Kind kind = row.choice("kind", BottleEvent.Kind.class, null);
        return keep(row, bottle, at, kind) ? Taken.NEW : Taken.THERE;
      }
      return happened(row, batch.get(), bottle, at);
    }

    private Taken happened(Row row, UUID batch, Bottle bottle, Instant at) {
      Happening.Kind kind = row.choice("kind", Happening.Kind.class, null);
      Double ml = row.number("millilitres", 0, 1e6);
      String detail = row.text("detail", DETAIL);
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
                      && (OF_THE_BATCH.contains(kind) || says(h, ml, detail)));
      if (there.isPresent()) {
        boolean same = says(there.get(), ml, detail);
        there.get().putRight(ml, detail);
        return same ? Taken.THERE : Taken.NEW;
      }
      UUID change = change(row);
      history.take(
          new Happening(household, batch, bottleId, change, at, kind, ml, detail),
          row.yes("undone"));
      if (bottle != null) {
        boolean used = kind == Happening.Kind.TAKEN || kind == Happening.Kind.FINISHED;
        if (used && ml != null && !detail.startsWith(Shelf.POURED_INTO)) {
          uses.usedThen(bottle, ml, at, row.yes("undone"));
        }
        BottleEvent.Kind counts = counts(kind);
        if (counts != null) {
          keep(row, bottle, at, counts);
        }
      }
      return Taken.NEW;
    }

    private boolean says(Happening known, Double ml, String detail) {
      return Objects.equals(known.millilitres(), ml) && known.detail().equals(detail);
    }

    private BottleEvent.Kind counts(Happening.Kind kind) {
      return switch (kind) {
        case LEFT_OUT -> BottleEvent.Kind.WARMED;
        case MOVED, FROZEN, THAWED -> BottleEvent.Kind.MOVED;
        case OPENED -> BottleEvent.Kind.OPENED;
        case POURED_IN -> BottleEvent.Kind.JOINED;
        case SCHOOL_CHANGED -> BottleEvent.Kind.SCHOOL;
        default -> null;
      };
    }

    private UUID change(Row row) {
      Double number = row.number("change", 0, 1e9);
      return number == null
          ? null
          : changes.computeIfAbsent(number.intValue(), n -> UUID.randomUUID());
    }

    /** Keeps what counts for how long a bottle keeps; false where it stands there already. */
    private boolean keep(Row row, Bottle bottle, Instant at, BottleEvent.Kind kind) {
      BottleEvent.Told said = said(row, kind);
      // A line of the history tells when it was back, a line of its own when it began.
      Instant began =
          kind == BottleEvent.Kind.WARMED && !row.yes("silent")
              ? Hours.after(at, -said.hours())
              : at;
      List<BottleEvent> before =
          kept.computeIfAbsent(
              bottle.id(), id -> new ArrayList<>(events.findByBottleIdOrderById(id)));
      if (HouseholdTable.meet(
              before, e -> e.kind() == kind && second(e.happenedAt()).equals(second(began)))
          .isPresent()) {
        return false;
      }
      UUID change = change(row);
      BottleEvent event =
          BottleEvent.told(bottle, change == null ? UUID.randomUUID() : change, began, kind, said);
      if (row.yes("undone")) {
        event.undo();
      }
      events.save(event);
      return true;
    }

    private BottleEvent.Told said(Row row, BottleEvent.Kind kind) {
      Happening.Kind happening =
          row.yes("silent") ? null : row.choice("kind", Happening.Kind.class, null);
      Place usual =
          happening == Happening.Kind.FROZEN
              ? Place.FREEZER
              : happening == Happening.Kind.THAWED ? Place.FRIDGE : null;
      Double hours = row.number("hours", 1e-6, BottleTaps.LONGEST_H);
      Double celsius = row.number("celsius", -40, 60);
      Double ownMl = row.number("own_ml", 1e-6, 1e6);
      String other = row.text("other", OTHER);
      String cause = row.text("cause", CAUSE);
      Place place = null;
      switch (kind) {
        case WARMED -> {
          if (hours == null) {
            throw new Row.WrongException("hours", "Say for how long.");
          }
          celsius = celsius == null ? Place.ROOM.celsius(climate) : celsius;
          cause = cause.isEmpty() ? "Left out" : cause;
        }
        case MOVED -> {
          place = row.choice("place", Place.class, usual);
          if (!cause.isEmpty() && CsvText.day(cause).isEmpty()) {
            throw new Row.WrongException("cause", "The day that its label said, or nothing.");
          }
        }
        case JOINED -> {
          if (ownMl == null || !stored.saysPouredIn(other)) {
            throw new Row.WrongException(
                "other", "What was poured in must be told as Dremsa writes it.");
          }
        }
        default -> {
          // Nothing more is told of it.
        }
      }
      return new BottleEvent.Told(
          place, hours, celsius, cause, ownMl, other.isEmpty() ? null : other);
    }

    private Taken fridge(Row row, Instant at) {
      String words = row.needed("detail", CAUSE);
      if (knownPieces.contains(piece(words, at))) {
        return Taken.THERE;
      }
      double hours = row.neededNumber("hours", 1e-6, BottleTaps.LONGEST_H);
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
                FridgeController.endOf(spell.pieces()),
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
