package dremsa.core.brew;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How a filled bottle comes to the temperature of a fridge: Newton's law of cooling in closed form,
 * as nothing evaporates from what is closed.
 *
 * @param celsius at the bottling
 * @param heatCapacity of a millilitre of it, J/K
 * @param loss through the walls, W/(m² K)
 * @param millilitres in all; 0 where nothing came to a bottle
 */
public record Chilling(double celsius, double heatCapacity, double loss, double millilitres) {
  /** Where no bottle is known all of it is taken for one jar, of at most this size, mL. */
  private static final double LARGEST_ML = 1000;

  /** A bottle is so many times as tall as wide; our estimate. */
  private static final double TALL = 1.5;

  /** Cold enough, °C above the fridge. */
  private static final double NEAR = 0.5;

  private static final double DEGREES_PER_MOMENT = 1.5;

  /**
   * Minutes in which the difference to the fridge falls to 1/e.
   *
   * @param bottleMl the size of the bottle; empty for one that is not known
   */
  public double timeConstant(OptionalDouble bottleMl) {
    double unknown = Math.min(LARGEST_ML, Math.max(1, millilitres));
    double size = bottleMl.orElse(unknown);
    double widthM = Math.cbrt(size * 1e-6 * 4 / (Math.PI * TALL));
    double area = Math.PI * widthM * widthM * (0.5 + TALL);
    return size * heatCapacity / (loss * area) / 60;
  }

  /**
   * Minutes until it is so cold.
   *
   * @return infinite when the fridge never brings it there
   */
  public double minutesTo(double toC, double fridgeC, OptionalDouble bottleMl) {
    if (celsius <= toC) {
      return 0;
    }
    return toC <= fridgeC
        ? Double.POSITIVE_INFINITY
        : timeConstant(bottleMl) * Math.log((celsius - fridgeC) / (toC - fridgeC));
  }

  /** Moments from the bottling until it is as cold as the fridge; one alone when it is at once. */
  public List<TracePoint> from(double minute, double fridgeC, OptionalDouble bottleMl) {
    List<TracePoint> moments = new ArrayList<>();
    double now = celsius;
    moments.add(moment(minute, now));
    while (millilitres > 0 && now > fridgeC + NEAR) {
      now = Math.max(fridgeC + NEAR, now - DEGREES_PER_MOMENT);
      moments.add(moment(minute + minutesTo(now, fridgeC, bottleMl), now));
    }
    return moments;
  }

  private TracePoint moment(double minute, double at) {
    return new TracePoint(minute, at, millilitres, 0, 0);
  }
}
