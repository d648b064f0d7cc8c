package dremsa.core.brew;

import dremsa.core.acid.Sourness;
import dremsa.core.kitchen.Kitchen;
import java.util.OptionalDouble;

/** The acids and bases of a pot, and how far what can sour in it has come. */
final class PotAcids {
  /** Put in, reckoned to all that was ever here: by the share that is left. */
  private Sourness sour = Sourness.NONE;

  /** Its pH was read, and nothing that could move it has come since. */
  private boolean phRead;

  /** Fermentation, in hours as at 22 °C. */
  private double hours;

  private double fermentedMinute = Double.NaN;

  /** Its own ferment has, or has not, surely come to what sour food is. */
  private boolean soured;

  /** Something was poured in since it fermented: what is sour now may be that. */
  private boolean pouredSince;

  /**
   * Something goes in.
   *
   * @param gram what a gram of it does
   * @param left share of what was ever in the pot that is still there
   */
  void add(Sourness gram, double grams, double left) {
    if (gram != Sourness.NONE && grams > 0) {
      sour = sour.plus(gram.times(grams / left));
      phRead = false;
      pouredSince = true;
    }
  }

  /**
   * A finished brew goes in; a reading of it counts as long as nothing else is there.
   *
   * @param onlyLiquid no plant is in the pot
   */
  void pour(Sourness brew, double left, boolean onlyLiquid) {
    boolean first = sour == Sourness.NONE && onlyLiquid;
    add(brew, 1, left);
    phRead = first && brew.read();
  }

  /** All of it in what is left, with what plants have given. */
  Sourness of(double left, Sourness plants) {
    return sour.times(left).plus(plants).taken(phRead);
  }

  /** A pH was read: it replaces what was estimated. */
  void read(double ph, double litres, double left, Sourness plants, boolean fermentable) {
    sour = sour.times(left).asRead(ph, litres, plants).times(1 / left);
    phRead = true;
    // Vinegar stirred in after an idle stand makes no ferment of it: a reading may then only deny.
    boolean mayBe = hours > 0 && fermentable && (soured || !pouredSince);
    soured = mayBe && ph <= Sourness.Ph.ACID_FOOD;
  }

  /** It stood to ferment for so many more hours as at 22 °C, up to a minute. */
  void stand(double more, double minute) {
    hours += more;
    fermentedMinute = minute;
    pouredSince = false;
  }

  /**
   * What can sour does. Whether it has come far enough to count is judged at the unlucky end of the
   * estimate, until a reading says so.
   */
  void sour(double litres, double left, Sourness plants, Kitchen kitchen) {
    Sourness.Ph to = Souring.ph(hours, kitchen);
    Sourness all = sour.times(left).plus(plants).soured(to, litres);
    sour = all.plus(plants.times(-1)).times(1 / left);
    phRead = false;
    soured = to.surelyAtMost(Sourness.Ph.ACID_FOOD);
  }

  /** Whether it ever stood to ferment. */
  boolean stood() {
    return hours > 0;
  }

  boolean soured() {
    return soured;
  }

  /** When it had stood to ferment and surely done so; empty when it has not. */
  OptionalDouble souredMinute() {
    return soured ? OptionalDouble.of(fermentedMinute) : OptionalDouble.empty();
  }
}
