package dremsa.core.material;

import java.time.Month;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.Set;

/**
 * When plants are worth harvesting, by the part that is taken, in a temperate climate. Common
 * practice; the garden decides.
 */
public final class Season {
  private static final Set<String> SOUTHERN =
      Set.of(
          "Australia",
          "Antarctica",
          "Pacific/Auckland",
          "Pacific/Chatham",
          "Africa/Johannesburg",
          "Africa/Harare",
          "Africa/Maputo",
          "Africa/Windhoek",
          "Africa/Gaborone",
          "Africa/Lusaka",
          "Indian/Mauritius",
          "Indian/Antananarivo",
          "America/Sao_Paulo",
          "America/Argentina",
          "America/Buenos_Aires",
          "America/Montevideo",
          "America/Santiago",
          "America/Asuncion",
          "America/La_Paz",
          "America/Lima");

  private Season() {}

  /** The months in which a part is harvested; empty for what is not. */
  public static Set<Month> of(MaterialKind kind, ZoneId zone) {
    Set<Month> north =
        switch (kind) {
          case LEAF, FRESH_LEAF -> EnumSet.range(Month.MAY, Month.SEPTEMBER);
          case FLOWER -> EnumSet.range(Month.JUNE, Month.AUGUST);
          case BUD -> EnumSet.range(Month.AUGUST, Month.SEPTEMBER);
          case SEED, GUM_SEED, GRAIN -> EnumSet.range(Month.AUGUST, Month.OCTOBER);
          case ROOT -> EnumSet.range(Month.OCTOBER, Month.NOVEMBER);
          case BARK -> EnumSet.range(Month.MARCH, Month.APRIL);
          default -> EnumSet.noneOf(Month.class);
        };
    if (!southern(zone)) {
      return north;
    }
    EnumSet<Month> turned = EnumSet.noneOf(Month.class);
    north.forEach(month -> turned.add(month.plus(6)));
    return turned;
  }

  /** Whether a time zone lies south of the equator, as far as its name tells. */
  static boolean southern(ZoneId zone) {
    return SOUTHERN.stream()
        .anyMatch(place -> zone.getId().equals(place) || zone.getId().startsWith(place + "/"));
  }
}
