package dremsa.core.acid;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;

/**
 * What makes a liquid sour or not, in mol: weak acids in whatever form, and strong base (potassium,
 * sodium, calcium, less strong acid) that holds them as salts. Immutable.
 */
public final class Solutes {
  /** Nothing at all. */
  public static final Solutes NONE = new Solutes(new double[Acid.values().length], 0);

  private static final Acid[] ACIDS = Acid.values();

  private final double[] moles;
  private final double base;

  private Solutes(double[] moles, double base) {
    this.moles = moles;
    this.base = base;
  }

  /**
   * Solutes of stated amounts.
   *
   * @param moles of each acid, free or as salt, 0 or more
   * @param base mol of strong base, less strong acid
   * @throws IllegalArgumentException when an amount is negative or no number
   */
  public static Solutes of(Map<Acid, Double> moles, double base) {
    double[] all = new double[ACIDS.length];
    moles.forEach(
        (acid, amount) -> {
          if (!(amount >= 0 && Double.isFinite(amount))) {
            throw new IllegalArgumentException(amount + " mol of " + acid.words());
          }
          all[acid.ordinal()] = amount;
        });
    if (!Double.isFinite(base)) {
      throw new IllegalArgumentException(base + " mol of base");
    }
    return new Solutes(all, base);
  }

  /** One acid, not neutralised. */
  public static Solutes of(Acid acid, double moles) {
    return of(Map.of(acid, moles), 0);
  }

  /**
   * The same acids, with so much base that they have a pH in so much water.
   *
   * @param litres of water, 0 or more
   */
  public Solutes atPh(double ph, double litres) {
    double charge = 0;
    for (Acid acid : ACIDS) {
      charge += moles[acid.ordinal()] * acid.charge(ph);
    }
    return new Solutes(moles, charge + litres * ChargeBalance.waterCharge(ph));
  }

  /** mol of an acid, free or as salt. */
  public double moles(Acid acid) {
    return moles[acid.ordinal()];
  }

  /** All acids that are in it, mol. */
  public Map<Acid, Double> moles() {
    Map<Acid, Double> all = new EnumMap<>(Acid.class);
    for (Acid acid : ACIDS) {
      if (moles[acid.ordinal()] > 0) {
        all.put(acid, moles[acid.ordinal()]);
      }
    }
    return all;
  }

  /** Strong base less strong acid, mol. */
  public double base() {
    return base;
  }

  /** Both together. */
  public Solutes plus(Solutes more) {
    if (more == NONE) {
      return this;
    }
    double[] sum = moles.clone();
    for (int i = 0; i < sum.length; i++) {
      sum[i] += more.moles[i];
    }
    return new Solutes(sum, base + more.base);
  }

  /** In another amount. */
  public Solutes times(double factor) {
    double[] scaled = moles.clone();
    for (int i = 0; i < scaled.length; i++) {
      scaled[i] *= factor;
    }
    return new Solutes(scaled, base * factor);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Solutes s && base == s.base && Arrays.equals(moles, s.moles);
  }

  @Override
  public int hashCode() {
    return 31 * Arrays.hashCode(moles) + Double.hashCode(base);
  }

  @Override
  public String toString() {
    return moles() + ", base " + base;
  }
}
