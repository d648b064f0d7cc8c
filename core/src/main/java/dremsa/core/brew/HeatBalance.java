package dremsa.core.brew;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Integrates temperature, evaporation and extraction of a pot over time: {@code m·c·dT/dt = P −
 * h·A·(T − surroundings) − latent heat of what evaporates}. Exponential steps of about 1 °C (the
 * law is taken as a line within each), which stay stable however little is in however wide a pot;
 * near rest the remainder is one step, so that weeks cost no more than hours.
 */
final class HeatBalance {
  /** So near to where it rests it is there, °C. */
  private static final double AT_REST = 0.1;

  /** The law is looked at so far ahead, to see how it bends; °C. */
  private static final double PROBE_C = 0.5;

  private final Constants k;
  private final Pot pot;

  /** Moments are written here; null when nobody asks for them. */
  private final @Nullable List<TracePoint> trace;

  private double watts;
  private double aroundC;
  private double loss;
  private double escape;
  private double widen;
  private double driedAfter;

  HeatBalance(Constants k, Pot pot, @Nullable List<TracePoint> trace) {
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
      double area = pot.in().wettedArea(pot.millilitres()) * widen;
      double rate = rate(pot.celsius, capacity, area);
      // How fast it nears the temperature at which it would rest, 1/min.
      double nearing = (rate - rate(pot.celsius + PROBE_C, capacity, area)) / PROBE_C;
      double step = left;
      double change = changeIn(step, rate, nearing);
      if (Math.abs(change) > k.degreesPerStep) {
        change = Math.copySign(k.degreesPerStep, rate);
        step = timeFor(k.degreesPerStep, Math.abs(rate), nearing);
      }
      if (stops) {
        double toStop = stopC - pot.celsius;
        double reach = nearing > 0 ? Math.abs(rate) / nearing : Double.POSITIVE_INFINITY;
        if (rate == 0 || change * toStop < 0 || reach < AT_REST && reach < Math.abs(toStop)) {
          // It rests before it gets there.
          break;
        }
        if (Math.abs(change) > Math.abs(toStop)) {
          change = toStop;
          step = Math.min(left, timeFor(Math.abs(toStop), Math.abs(rate), nearing));
        }
      }
      boolean wet = !pot.isDry();
      evaporate(pot.celsius + change / 2, step);
      if (wet && pot.isDry()) {
        driedAfter = minutes - left + step;
      }
      pot.extractionMinutes += k.arrhenius(pot.celsius + change / 2) * pot.solvent() * step;
      // Nothing on a hob gets hotter than the boil; what has run dry is told, not reckoned on.
      pot.celsius = watts > 0 ? Math.min(k.boilingC, pot.celsius + change) : pot.celsius + change;
      pot.minute += step;
      left -= step;
      if (trace != null) {
        trace.add(pot.moment());
      }
    }
    return minutes - left;
  }

  /** What it warms in so many minutes, nearing its rest exponentially. */
  private static double changeIn(double minutes, double rate, double nearing) {
    return Math.abs(nearing) * minutes < 1e-9
        ? rate * minutes
        : rate * -Math.expm1(-nearing * minutes) / nearing;
  }

  /** The minutes in which it warms or cools by so much. */
  private static double timeFor(double degrees, double rate, double nearing) {
    double share = degrees * nearing / rate;
    return Math.abs(share) < 1e-9 ? degrees / rate : -Math.log1p(-share) / nearing;
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
    return excess <= 0 ? 0 : wider * pot.in().topArea() * excess * 1000 * k.evaporation;
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
