package dremsa.core.acid;

import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * The pH at which the charges balance: {@code [H+] + strong base = [OH−] + Σ charge of each acid}.
 * Ideal solution at 25 °C; within 0.05 of a measured one up to about 0.1 mol/L of salt, as far as
 * textbook buffers go.
 */
public final class ChargeBalance {
  /** No kitchen goes beyond. */
  private static final double MOST_SOUR = -1;

  private static final double LEAST_SOUR = 15;
  private static final double WATER_PK = 13.995;
  private static final double PRECISION = 1e-4;

  private ChargeBalance() {}

  /**
   * The pH of solutes in water.
   *
   * @param litres of water, above 0
   * @return within 0.0001 of the balance
   * @throws IllegalArgumentException when there is no water
   */
  public static double ph(Solutes solutes, double litres) {
    if (!(litres > 0)) {
      throw new IllegalArgumentException("a pH needs water, not " + litres + " L of it");
    }
    Acid[] acids = Acid.values();
    return new BrentSolver(PRECISION)
        .solve(
            200,
            ph -> {
              double charge = solutes.base() / litres - waterCharge(ph);
              for (Acid acid : acids) {
                double moles = solutes.moles(acid);
                if (moles > 0) {
                  charge -= moles / litres * acid.charge(ph);
                }
              }
              return charge;
            },
            MOST_SOUR,
            LEAST_SOUR);
  }

  /** Hydroxide less hydrogen of water at a pH, mol/L. */
  static double waterCharge(double ph) {
    return Math.pow(10, ph - WATER_PK) - Math.pow(10, -ph);
  }
}
