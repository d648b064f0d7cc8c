package dremsa.core.practice;

import dremsa.core.check.Handling;
import dremsa.core.measure.Said;

/**
 * Something that an exercise asks for, in a number.
 *
 * @param what is asked for
 * @param step it is asked of; -1 where it is asked of the whole brew
 * @param ingredient it is asked of; empty where it is not
 * @param low at least; negative infinity for no such end
 * @param high at most; infinity for no such end
 */
public record Aim(What what, int step, String ingredient, double low, double high) {
  /** What can be asked for. */
  public enum What {
    TO_BOTTLE("to bottle", "mL", 0),
    THICKNESS("thickness when cold", "mPa·s", 0),
    KEEPS("keeps in the fridge", "days", 1),
    DUST("powder left in it", "", 0),
    CAUGHT("caught on the bottom", "%", 0),
    SPILT("on the hob", "mL", 0),
    SOUR("pH, with its doubt", "", 1),
    WARMTH("as warm as", "°C", 0),
    LASTED("stood for", "min", 0),
    GLASS("hotter than the glass by", "°C", 0),
    DOSE("share of the brew", "%", 2);

    private final String words;
    private final String unit;
    private final int places;

    What(String words, String unit, int places) {
      this.words = words;
      this.unit = unit;
      this.places = places;
    }

    /** As it is said before its number. */
    public String words() {
      return words;
    }

    /** Of its number. */
    public String unit() {
      return unit;
    }

    private String number(double value) {
      String number = Said.of("%." + places + "f", value);
      return unit.isEmpty() ? number : number + " " + unit;
    }
  }

  /** From here on it is burnt altogether, %. */
  private static final double BURNT = 100;

  static Aim of(What what, double low, double high) {
    return new Aim(what, -1, "", low, high);
  }

  static Aim least(What what, double low) {
    return of(what, low, Double.POSITIVE_INFINITY);
  }

  static Aim most(What what, double high) {
    return of(what, Double.NEGATIVE_INFINITY, high);
  }

  static Aim coolerThan(int step, double celsius) {
    return new Aim(What.WARMTH, step, "", Double.NEGATIVE_INFINITY, celsius);
  }

  static Aim lasted(int step, double minutes) {
    return new Aim(What.LASTED, step, "", minutes, Double.POSITIVE_INFINITY);
  }

  static Aim glass(int step, double difference) {
    return new Aim(What.GLASS, step, "", Double.NEGATIVE_INFINITY, difference);
  }

  static Aim dose(String ingredient, double low, double high) {
    return new Aim(What.DOSE, -1, ingredient, low, high);
  }

  /** Whether a number is what is asked for; what is not known never is. */
  public boolean holds(double value) {
    double doubt = what == What.WARMTH ? Handling.NOT_TOLD_APART_C : 0;
    return value >= low && value <= high + doubt;
  }

  /** How far a number is off what is asked for; 0 where it is not, infinite where not known. */
  double off(double value) {
    if (Double.isNaN(value)) {
      return Double.POSITIVE_INFINITY;
    }
    return holds(value) ? 0 : Math.max(low - value, value - high);
  }

  /** What is wanted: {@code "300 mPa·s to 900 mPa·s"}. */
  public String wanted() {
    if (what == What.DUST) {
      return "none";
    }
    if (Double.isInfinite(low)) {
      return "at most " + what.number(high);
    }
    return Double.isInfinite(high)
        ? "at least " + what.number(low)
        : what.number(low) + " to " + what.number(high);
  }

  /** A number as it is told. */
  public String told(double value) {
    if (what == What.DUST) {
      return value > 0 ? "yes" : "none";
    }
    if (what == What.CAUGHT && value >= BURNT) {
      return "burnt";
    }
    return Double.isNaN(value) ? "not known" : what.number(value);
  }
}
