package dremsa.server.wire;

import com.fasterxml.jackson.annotation.JsonInclude;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What happened to a bottle, as it is kept and as a table says it. Which fields count depends on
 * the kind; the moment stands beside it.
 *
 * @param place MOVED: where to
 * @param promised MOVED: the last day that its label said and that counts no more
 * @param hours WARMED, FRIDGE_WARMED: for how long
 * @param celsius WARMED, FRIDGE_WARMED: how warm it was
 * @param cause WARMED, FRIDGE_WARMED: as told to the maker
 * @param ownMl JOINED: how much of its own was in the bottle
 * @param other JOINED: what was poured in
 * @param before SCHOOL: the rules until then
 * @param now SCHOOL: the rules since; null in rows that did not say them
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record KeepEventJson(
    KeepEvent.Kind kind,
    @Nullable Place place,
    @Nullable LocalDate promised,
    @Nullable Double hours,
    @Nullable Double celsius,
    @Nullable String cause,
    @Nullable Double ownMl,
    @Nullable PouredInJson other,
    @Nullable RulesJson before,
    @Nullable RulesJson now) {
  private static final double COLDEST_C = -60;
  private static final double HOTTEST_C = 100;

  /** By which rules a bottle is kept. */
  public record RulesJson(School school, boolean cleanWorking) {
    static RulesJson of(KeepEvent.Rules rules) {
      return new RulesJson(rules.school(), rules.cleanWorking());
    }

    KeepEvent.Rules toCore() {
      return new KeepEvent.Rules(school, cleanWorking);
    }
  }

  /** As it is kept. */
  public static KeepEventJson of(KeepEvent event) {
    KeepEventJson bare = bare(event.kind());
    if (event instanceof KeepEvent.Moved moved) {
      return bare.moved(moved.place(), moved.promised());
    } else if (event instanceof KeepEvent.Warmed warmed) {
      return bare.warmed(warmed.hours(), warmed.celsius(), warmed.cause());
    } else if (event instanceof KeepEvent.FridgeWarmed warm) {
      return bare.warmed(warm.hours(), warm.celsius(), warm.cause());
    } else if (event instanceof KeepEvent.Joined joined) {
      return bare.joined(joined.ownMl(), PouredInJson.of(joined.other()));
    } else if (event instanceof KeepEvent.KeptBy kept) {
      return bare.keptBy(
          RulesJson.of(kept.before()), kept.now() == null ? null : RulesJson.of(kept.now()));
    }
    return bare;
  }

  /** Nothing said yet but what sort of thing it was. */
  public static KeepEventJson bare(KeepEvent.Kind kind) {
    return new KeepEventJson(kind, null, null, null, null, null, null, null, null, null);
  }

  public KeepEventJson moved(@Nullable Place to, @Nullable LocalDate promisedDay) {
    return new KeepEventJson(kind, to, promisedDay, null, null, null, null, null, null, null);
  }

  public KeepEventJson warmed(
      @Nullable Double forHours, @Nullable Double at, @Nullable String because) {
    return new KeepEventJson(kind, null, null, forHours, at, because, null, null, null, null);
  }

  public KeepEventJson joined(@Nullable Double own, @Nullable PouredInJson poured) {
    return new KeepEventJson(kind, null, null, null, null, null, own, poured, null, null);
  }

  public KeepEventJson keptBy(@Nullable RulesJson until, @Nullable RulesJson since) {
    return new KeepEventJson(kind, null, null, null, null, null, null, null, until, since);
  }

  /**
   * What it means to the model.
   *
   * @throws Problem with the field that is missing or out of its range
   */
  public KeepEvent toCore(Instant at) {
    return switch (need("kind", kind)) {
      case MOVED -> new KeepEvent.Moved(at, need("place", place), promised);
      case WARMED -> new KeepEvent.Warmed(at, checkedHours(), checkedCelsius(), said());
      case FRIDGE_WARMED ->
          new KeepEvent.FridgeWarmed(at, checkedHours(), checkedCelsius(), said());
      case OPENED -> new KeepEvent.Opened(at);
      case JOINED ->
          new KeepEvent.Joined(
              at, within("ownMl", ownMl, 1e-6, 1e6), need("other", other).toCore());
      case SCHOOL -> new KeepEvent.KeptBy(at, need("before", rules(before)), rules(now));
    };
  }

  private static KeepEvent.@Nullable Rules rules(@Nullable RulesJson said) {
    if (said == null) {
      return null;
    }
    need("school", said.school());
    return said.toCore();
  }

  private double checkedHours() {
    return within("hours", hours, 1e-9, KeepEvent.LONGEST_WARM_H);
  }

  private double checkedCelsius() {
    return within("celsius", celsius, COLDEST_C, HOTTEST_C);
  }

  private String said() {
    return cause == null || cause.isBlank() ? "Left out" : cause;
  }

  private static double within(String field, @Nullable Double value, double low, double high) {
    double number = need(field, value);
    if (!(number >= low && number <= high)) {
      throw Problem.invalid(
          FieldProblem.range(field, String.valueOf(number), "That is out of range.", low, high));
    }
    return number;
  }

  private static <T> T need(String field, @Nullable T value) {
    if (value == null) {
      throw Problem.invalid(FieldProblem.of(field, null, "This is missing."));
    }
    return value;
  }
}
