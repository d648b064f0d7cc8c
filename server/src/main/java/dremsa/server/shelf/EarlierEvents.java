package dremsa.server.shelf;

import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.server.wire.KeepEventJson;
import dremsa.server.wire.PouredInJson;
import dremsa.server.wire.Stored;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Events as earlier versions told them: in columns of their own, of which {@code cause} meant the
 * cause of a warmth, the day on a label, or the school before, as the kind was.
 */
final class EarlierEvents {
  private static final List<String> COLUMNS =
      List.of("place", "hours", "celsius", "cause", "own_ml", "other");

  private final Stored stored;

  EarlierEvents(Stored stored) {
    this.stored = stored;
  }

  /** Brings a row of a backup into the present form; what it does not say stays missing there. */
  void lift(ObjectNode row) {
    if (row.has("said") || !row.path("kind").isString()) {
      return;
    }
    for (KeepEvent.Kind kind : KeepEvent.Kind.values()) {
      if (kind.name().equals(row.get("kind").stringValue())) {
        row.put("said", stored.write(event(kind, row)));
        COLUMNS.forEach(row::remove);
      }
    }
  }

  private KeepEventJson event(KeepEvent.Kind kind, ObjectNode row) {
    KeepEventJson bare = KeepEventJson.bare(kind);
    String cause = row.path("cause").asString("");
    return switch (kind) {
      case MOVED -> bare.moved(place(row.path("place")), day(cause));
      case WARMED, FRIDGE_WARMED ->
          bare.warmed(number(row.path("hours")), number(row.path("celsius")), cause);
      case OPENED -> bare;
      case JOINED -> bare.joined(number(row.path("own_ml")), poured(row.path("other")));
      case SCHOOL -> bare.keptBy(rules(cause), null);
    };
  }

  private @Nullable PouredInJson poured(JsonNode other) {
    return other.isString() ? stored.read(other.stringValue(), PouredInJson.class) : null;
  }

  private static @Nullable Place place(JsonNode word) {
    return word.isString() ? Place.valueOf(word.stringValue()) : null;
  }

  private static @Nullable Double number(JsonNode cell) {
    return cell.isNumber() ? cell.doubleValue() : null;
  }

  /** The day that a label said, as {@code cause} of a move. */
  static @Nullable LocalDate day(String cause) {
    return cause.isEmpty() ? null : LocalDate.parse(cause);
  }

  /** The rules before, as {@code cause} of another school: {@code "CAREFUL+"} when worked clean. */
  static KeepEventJson.@Nullable RulesJson rules(String cause) {
    for (School school : School.values()) {
      if (school.name().equals(cause.replace("+", ""))) {
        return new KeepEventJson.RulesJson(school, cause.endsWith("+"));
      }
    }
    return null;
  }
}
