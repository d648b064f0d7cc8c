package dremsa.core.kitchen;

import dremsa.core.acid.Hardness;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Said;

/**
 * Where a kitchen is: how high, and what comes out of its tap.
 *
 * @param altitudeM above the sea, −400 to 5500 m; water boils cooler higher up
 * @param alkalinity of the tap's water as calcium carbonate, 0 to 1000 mg/L
 */
public record Site(Figure altitudeM, Figure alkalinity) {
  /** Nobody has said: a low place, and water that may be anything. */
  public static final Site UNKNOWN =
      new Site(Figure.estimate(0, 0, 600, "m"), Hardness.UNKNOWN.alkalinity());

  private static final double LOWEST_M = -400;
  private static final double HIGHEST_M = 5500;
  private static final double HARDEST = 1000;

  public Site {
    within("altitude", altitudeM, LOWEST_M, HIGHEST_M);
    within("alkalinity", alkalinity, 0, HARDEST);
  }

  /** At a height that the household knows, with the same water. */
  public Site atMetres(double metres) {
    return new Site(known(metres, "m"), alkalinity);
  }

  /** With water of which the alkalinity stands on a report, mg/L as calcium carbonate. */
  public Site withAlkalinity(double milligrams) {
    return new Site(altitudeM, known(milligrams, "mg/L"));
  }

  /** With water of which the household knows no more than how hard it is. */
  public Site withWater(Hardness hardness) {
    return new Site(altitudeM, hardness.alkalinity());
  }

  /** Whether the height is a default that nobody has set. */
  public boolean altitudeAssumed() {
    return altitudeM.provenance() == Provenance.ESTIMATE;
  }

  /** Whether nobody has said what water it is. */
  public boolean waterAssumed() {
    return alkalinity.provenance() == Provenance.ESTIMATE;
  }

  private static Figure known(double value, String unit) {
    return new Figure(value, value, value, unit, Provenance.HOUSEHOLD, "");
  }

  private static void within(String what, Figure figure, double low, double high) {
    if (!(figure.low() >= low && figure.high() <= high)) {
      throw new IllegalArgumentException(
          Said.of("the %s is %.0f to %.0f, not %s", what, low, high, figure.value()));
    }
  }
}
