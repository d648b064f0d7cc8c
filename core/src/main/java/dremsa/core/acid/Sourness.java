package dremsa.core.acid;

import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * How sour a liquid is, as far as is known: what is believed, and the mixtures of its two ends. All
 * that is poured in brings its own ends, so that the range of a blend follows from those of its
 * parts, the unlucky way round.
 *
 * @param sourest with the acids at the most and the bases at the least that are believable
 * @param likely what is believed
 * @param leastSour the other way round
 * @param read its pH was read, and nothing that could move it has come since
 */
public record Sourness(Solutes sourest, Solutes likely, Solutes leastSour, boolean read) {
  /** Of something that has no part in it: oil, pure spirit. */
  public static final Sourness NONE = new Sourness(Solutes.NONE, Solutes.NONE, Solutes.NONE, false);

  /**
   * A pH with its range.
   *
   * @param low the sourest that is believable
   * @param value estimated or read
   * @param high the least sour that is believable
   * @param read it was read, not estimated
   */
  public record Ph(double low, double value, double high, boolean read) {
    /** The line between acid and low-acid food, 21 CFR 114.3. */
    public static final double ACID_FOOD = 4.6;

    /** Of what holds no water: there is no such thing. */
    public static final Ph NONE = new Ph(Double.NaN, Double.NaN, Double.NaN, false);

    /** Whether there is one. */
    public boolean exists() {
      return !Double.isNaN(value);
    }

    /** Surely at or below a line, its high end as well. */
    public boolean surelyAtMost(double line) {
      return high <= line;
    }
  }

  /** Of something exactly known. */
  public static Sourness of(Solutes known) {
    return new Sourness(known, known, known, false);
  }

  /** The same in another amount. */
  public Sourness times(double factor) {
    return each(solutes -> solutes.times(factor), read);
  }

  /** Poured together. A reading holds no longer, unless nothing that matters was poured in. */
  public Sourness plus(Sourness more) {
    if (more.equals(NONE)) {
      return this;
    }
    if (equals(NONE)) {
      return more;
    }
    return new Sourness(
        sourest.plus(more.sourest),
        likely.plus(more.likely),
        leastSour.plus(more.leastSour),
        false);
  }

  /**
   * The pH in so much water.
   *
   * @param litres of water; {@link Ph#NONE} where there is none
   */
  public Ph ph(double litres) {
    if (!(litres > 0)) {
      return Ph.NONE;
    }
    double value = ChargeBalance.ph(likely, litres);
    if (sourest.equals(likely) && leastSour.equals(likely)) {
      return new Ph(value, value, value, read);
    }
    double a = ChargeBalance.ph(sourest, litres);
    double b = ChargeBalance.ph(leastSour, litres);
    return new Ph(Math.min(value, Math.min(a, b)), value, Math.max(value, Math.max(a, b)), read);
  }

  /**
   * The same, its pH read: whatever was not known of its acids and bases is set by the reading.
   *
   * @param ph read
   * @param litres of water, above 0
   * @param beside what is dissolved in it that this does not count
   */
  public Sourness asRead(double ph, double litres, Sourness beside) {
    return new Sourness(
        asRead(sourest, beside.sourest, ph, litres),
        asRead(likely, beside.likely, ph, litres),
        asRead(leastSour, beside.leastSour, ph, litres),
        true);
  }

  private static Solutes asRead(Solutes own, Solutes beside, double ph, double litres) {
    Solutes all = own.plus(beside);
    double missing = all.atPh(ph, litres).base() - all.base();
    return own.plus(Solutes.of(Map.of(), missing));
  }

  /** The same, taken as read or as estimated. */
  public Sourness taken(boolean asRead) {
    return new Sourness(sourest, likely, leastSour, asRead);
  }

  /**
   * Soured by lactic acid to a pH; what is as sour already stays.
   *
   * @param to the pH that is believed, with its ends
   * @param litres of water, above 0
   */
  public Sourness soured(Ph to, double litres) {
    return new Sourness(
        soured(sourest, to.low(), litres),
        soured(likely, to.value(), litres),
        soured(leastSour, to.high(), litres),
        false);
  }

  private static Solutes soured(Solutes solutes, double ph, double litres) {
    double short0 = solutes.base() - solutes.atPh(ph, litres).base();
    // Each mol of lactic acid takes up as much base as it is charged at that pH.
    return short0 <= 0
        ? solutes
        : solutes.plus(Solutes.of(Acid.LACTIC, short0 / Acid.LACTIC.charge(ph)));
  }

  private Sourness each(UnaryOperator<Solutes> change, boolean stillRead) {
    return new Sourness(
        change.apply(sourest), change.apply(likely), change.apply(leastSour), stillRead);
  }
}
