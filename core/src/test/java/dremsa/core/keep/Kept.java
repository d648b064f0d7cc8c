package dremsa.core.keep;

import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.OptionalDouble;

/** Bottles in places of the usual warmth, for tests. */
public final class Kept {
  public static final Climates USUAL = Climates.always(Climate.USUAL);

  private Kept() {}

  public static Keeping inFridge(Instant start, ZoneId zone, School school) {
    return Keeping.inFridge(start, zone, school, USUAL);
  }

  public static Keeping of(
      Instant start, ZoneId zone, School school, Place place, List<KeepEvent> events) {
    return new Keeping(
        start,
        zone,
        school,
        place,
        events,
        List.of(),
        false,
        USUAL,
        OptionalDouble.empty(),
        Keeping.Doubt.NONE);
  }
}
