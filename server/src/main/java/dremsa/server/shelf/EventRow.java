package dremsa.server.shelf;

import dremsa.core.keep.Hours;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import dremsa.server.history.Happening;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.tables.CsvText;
import dremsa.server.tables.Row;
import dremsa.server.wire.KeepEventJson;
import dremsa.server.wire.PouredInJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What a line of the events' table says of how long a bottle keeps. */
final class EventRow {
  /** Columns whose names are not those of the form. */
  private static final Map<String, String> COLUMN =
      Map.of("ownMl", "own_ml", "before", "school_before", "now", "school");

  private final Stored stored;
  private final Climate climate;

  EventRow(Stored stored, Climate climate) {
    this.stored = stored;
    this.climate = climate;
  }

  /**
   * What happened.
   *
   * @param at as the line says; one of the record tells when it was back, one of its own when it
   *     began
   * @throws Row.WrongException at the column that is missing or cannot be
   */
  KeepEvent event(Row row, KeepEvent.Kind kind, Instant at) {
    KeepEventJson form = form(row, kind);
    Instant began =
        kind == KeepEvent.Kind.WARMED && !row.yes("silent") && form.hours() != null
            ? Hours.after(at, -form.hours())
            : at;
    try {
      return form.toCore(began);
    } catch (Problem e) {
      FieldProblem wrong = e.errors().get(0);
      throw new Row.WrongException(
          COLUMN.getOrDefault(wrong.field(), wrong.field()), wrong.message());
    }
  }

  private KeepEventJson form(Row row, KeepEvent.Kind kind) {
    KeepEventJson bare = KeepEventJson.bare(kind);
    return switch (kind) {
      case MOVED -> bare.moved(row.choice("place", Place.class, usualPlace(row)), promised(row));
      case WARMED, FRIDGE_WARMED -> {
        Double celsius = row.number("celsius", -40, 60);
        yield bare.warmed(
            row.number("hours", 1e-6, Meaning.LONGEST_H),
            celsius == null ? Double.valueOf(Place.ROOM.celsius(climate)) : celsius,
            row.text("cause", EventTable.CAUSE));
      }
      case OPENED -> bare;
      case JOINED -> bare.joined(row.number("own_ml", 1e-6, 1e6), poured(row));
      case SCHOOL -> bare.keptBy(before(row), rules(row, "school", "clean_working"));
    };
  }

  private static @Nullable Place usualPlace(Row row) {
    if (row.yes("silent")) {
      return null;
    }
    return switch (row.choice("kind", Happening.Kind.class, null)) {
      case FROZEN -> Place.FREEZER;
      case THAWED -> Place.FRIDGE;
      default -> null;
    };
  }

  /** Earlier tables have it in the column of the cause. */
  private static @Nullable LocalDate promised(Row row) {
    LocalDate promised = row.day("promised");
    String earlier = row.text("cause", EventTable.CAUSE);
    if (promised != null || earlier.isEmpty()) {
      return promised;
    }
    return CsvText.day(earlier)
        .orElseThrow(
            () -> new Row.WrongException("cause", "The day that its label said, or nothing."));
  }

  private PouredInJson poured(Row row) {
    String other = row.text("other", EventTable.OTHER);
    if (!stored.saysPouredIn(other)) {
      throw new Row.WrongException("other", "What was poured in must be told as Dremsa writes it.");
    }
    return stored.read(other, PouredInJson.class);
  }

  /** Earlier tables have them in the column of the cause. */
  private static KeepEventJson.@Nullable RulesJson before(Row row) {
    KeepEventJson.RulesJson before = rules(row, "school_before", "clean_before");
    return before == null ? EarlierEvents.rules(row.text("cause", EventTable.CAUSE)) : before;
  }

  private static KeepEventJson.@Nullable RulesJson rules(Row row, String school, String clean) {
    return row.text(school, 40).isEmpty()
        ? null
        : new KeepEventJson.RulesJson(row.choice(school, School.class, null), row.yes(clean));
  }
}
