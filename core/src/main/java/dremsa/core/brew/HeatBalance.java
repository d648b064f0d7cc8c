package dremsa.core.brew;

import java.util.List;

/**
 * Integrates temperature, evaporation and extraction of a pot over time: {@code m·c·dT/dt = P −
 * h·A·(T − surroundings) − latent heat of what evaporates}. Midpoint rule with steps of about 1 °C;
 * near rest the remainder is one step, so that weeks cost no more than hours.
 */
final class HeatBalance {
  private static final double AT_REST = 0.1;

  /** What warms no faster has come to its rest below the boil, °C a minute. */
  private static final double CREEPING = 0.02;

  private final Constants k;
  private final Pot pot;

  /** Moments are written here; null when nobody asks for them. */
  private final List<TracePoint> trace;

  private double watts;
  private double aroundC;
  private double loss;
  private double escape;
  private double widen;
  private double driedAfter;

  HeatBalance(Constants k, Pot pot, List<TracePoint> trace) {
    this.k = k;
    this.pot = pot;
    this.trace = trace;
  }

  /**
   * Lets time pass.
   *
   * @param heatW net power into the pot
   * @param surroundingsC around it
   * @param lossPerArea W/(m² K)
   * @param escapeShare of the open evaporation: 1 open, less covered
   * @param wider factor on the area, for a shallow bowl
   * @param minutes at most so long
   * @param stopC stops when this temperature is reached from either side; NaN for never
   * @return minutes that passed
   */
  double pass(
      double heatW,
      double surroundingsC,
      double lossPerArea,
      double escapeShare,
      double wider,
      double minutes,
      double stopC) {
    watts = heatW;
    aroundC = surroundingsC;
    loss = lossPerArea;
    escape = escapeShare;
    widen = wider;
    driedAfter = Double.NaN;
    double left = minutes;
    boolean stops = !Double.isNaN(stopC);
    boolean rising = stops && pot.celsius < stopC;
    while (left > 1e-9) {
      if (stops && (rising ? pot.celsius >= stopC - 1e-9 : pot.celsius <= stopC + 1e-9)) {
        break;
      }
      double capacity = pot.heatCapacity();
      if (capacity <= 0) {
        pot.minute += left;
        left = 0;
        break;
      }
      double area = pot.vessel.wettedArea(pot.millilitres()) * widen;
      double rate = rate(pot.celsius, capacity, area);
      double step;
      boolean resting = Math.abs(rate) * left < AT_REST;
      if (resting) {
        step = left;
      } else {
        // Longer than a third of the time constant would swing past the rest temperature.
        double stable = capacity / (loss * area) / 60 / 3;
        step = Math.min(left, Math.min(stable, Math.max(0.02, k.degreesPerStep / Math.abs(rate))));
      }
      // At rest the step is far longer than the time constant. The rate half way, however little
      // off, would be multiplied into degrees; so it goes on for one time constant, and stays.
      double half = resting ? rate : rate(pot.celsius + rate * step / 2, capacity, area);
      double change = half * (resting ? Math.min(step, capacity / (loss * area) / 60) : step);
      if (stops) {
        double toStop = stopC - pot.celsius;
        boolean stuck = Math.abs(half) < (rising ? CREEPING : 1e-4) && Math.abs(toStop) > 0.3;
        if (half == 0 || stuck) {
          break;
        }
        if (change / toStop > 1) {
          step = toStop / half;
          change = toStop;
        }
      }
      double middleC = pot.celsius + change / 2;
      boolean wet = !pot.isDry();
      evaporate(middleC, step);
      if (wet && pot.isDry()) {
        driedAfter = minutes - left + step;
      }
      pot.extractionMinutes += k.arrhenius(middleC) * pot.solvent() * step;
      pot.celsius += change;
      pot.minute += step;
      left -= step;
      if (trace != null) {
        trace.add(pot.moment());
      }
    }
    return minutes - left;
  }

  /** °C per minute. */
  private double rate(double celsius, double capacity, double area) {
    double power = watts - loss * area * (celsius - aroundC) - latentWatts(celsius);
    return power * 60 / capacity;
  }

  private double latentWatts(double celsius) {
    return escape == 0 || pot.isDry() ? 0 : escape * surfaceWatts(k, pot, widen, celsius);
  }

  /** What the open surface loses as vapour, W. */
  static double surfaceWatts(Constants k, Pot pot, double wider, double celsius) {
    double excess = Water.saturationPressure(celsius) - k.roomVapour;
    // kPa to Pa: the factor stands in W/(m² Pa).
    return excess <= 0 ? 0 : wider * pot.vessel.topArea() * excess * 1000 * k.evaporation;
  }

  /** Minutes after which the last pass dried it up; NaN when it did not. */
  double driedAfter() {
    return driedAfter;
  }

  private void evaporate(double celsius, double minutes) {
    double power = latentWatts(celsius);
    if (power > 0) {
      pot.evaporate(power * minutes * 60 / Water.latentHeat(celsius));
    }
  }
}
