package dremsa.core.people;

import dremsa.core.brew.Chilling;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.OptionalDouble;

/**
 * How a bottle from the cold comes to the warmth of a hand, by the model's own heat balance:
 * Newton's law through the walls of the bottle.
 */
public final class Warming {
  /** Of the water in the bowl: warm from the tap, no hotter; common practice, °C. */
  public static final double BOWL_C = 45;

  /** Pleasant on a scalp, °C. */
  public static final double TO_C = 35;

  /** No warmer on a scalp, °C. */
  public static final double MOST_C = 38;

  /** What melting takes, J/g (latent heat of ice, 333.6; CRC Handbook). */
  private static final double MELTING = 333.6;

  /** What freezes of a brew weighs about a gram a millilitre. */
  private static final double SPECIFIC = 4.186;

  /** A thaw begins no later than this the evening before. */
  private static final LocalTime EVENING = LocalTime.of(20, 0);

  private Warming() {}

  /**
   * Minutes in a bowl of water of {@value #BOWL_C} °C until it is {@value #TO_C} °C warm, the water
   * kept as warm.
   *
   * @param fromC as cold as it stands
   * @return 0 where it is as warm already
   */
  public static double minutes(Kitchen kitchen, double fromC, double millilitres) {
    if (fromC >= TO_C) {
      return 0;
    }
    double loss = kitchen.parameters().value(Parameter.ICE_BATH_LOSS);
    return constant(fromC, loss, millilitres) * Math.log((BOWL_C - fromC) / (BOWL_C - TO_C));
  }

  /** Hours in the fridge until a frozen portion has melted. */
  public static double thawHours(Kitchen kitchen, double millilitres) {
    double loss = kitchen.parameters().value(Parameter.HEAT_LOSS);
    // A fridge at freezing would never thaw it; nobody's is kept so.
    double warmer = Math.max(1, kitchen.climate().fridgeC());
    // The time in which the walls let a degree's worth of heat through, for each degree outside.
    double perDegreeMin = constant(0, loss, millilitres);
    return perDegreeMin * MELTING / SPECIFIC / warmer / 60;
  }

  /** When a frozen portion is put into the fridge at the latest: the evening before, or earlier. */
  public static Instant thawFrom(Kitchen kitchen, double millilitres, Instant needed, ZoneId zone) {
    ZonedDateTime day = needed.atZone(zone);
    Instant evening = day.toLocalDate().minusDays(1).atTime(EVENING).atZone(zone).toInstant();
    Duration takes = Duration.ofMinutes(Math.round(60 * thawHours(kitchen, millilitres)));
    Instant latest = needed.minus(takes);
    return latest.isBefore(evening) ? latest : evening;
  }

  private static double constant(double fromC, double loss, double millilitres) {
    return new Chilling(fromC, SPECIFIC, loss, millilitres)
        .timeConstant(OptionalDouble.of(Math.max(1, millilitres)));
  }
}
