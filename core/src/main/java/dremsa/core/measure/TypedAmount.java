package dremsa.core.measure;

import java.util.Objects;

/**
 * An amount as somebody typed it.
 *
 * @param low the number, or the lower of two ("2-3 sprigs"); above 0
 * @param high the number again, or the higher of two
 * @param measure what it is counted in
 * @param rest what follows the measure, e.g. {@code "buds"} in "100 mL of buds"; may be empty
 */
public record TypedAmount(double low, double high, KitchenMeasure measure, String rest) {
  public TypedAmount {
    Objects.requireNonNull(measure, "measure");
    Objects.requireNonNull(rest, "rest");
    if (!(low > 0 && low <= high && Double.isFinite(high))) {
      throw new IllegalArgumentException("an amount is above 0, not " + low + " to " + high);
    }
  }

  /** The number meant: the middle of a span. */
  public double value() {
    return (low + high) / 2;
  }

  /** In grams, millilitres or pieces, by the dimension of the measure. */
  public double size() {
    return value() * measure.size();
  }

  /** Written so that it reads back the same: {@code "1 ½ tbsp"}, {@code "2-3 sprig"}. */
  public String words() {
    String number = low == high ? written(low) : written(low) + "-" + written(high);
    return number + " " + measure.symbol() + (rest.isEmpty() ? "" : " " + rest);
  }

  /** A number as a cookbook writes it: {@code "1 ½"}. */
  public static String written(double value) {
    double whole = Math.floor(value);
    for (Fraction fraction : Fraction.values()) {
      if (Math.abs(value - whole - fraction.value()) < 1e-9) {
        return (whole == 0 ? "" : (long) whole + " ") + fraction.sign();
      }
    }
    return value == Math.rint(value) && value < 1e15
        ? Long.toString((long) value)
        : Double.toString(value);
  }

  /** The fractions that keyboards and cookbooks have a sign for. */
  enum Fraction {
    HALF('½', 0.5),
    THIRD('⅓', 1.0 / 3),
    TWO_THIRDS('⅔', 2.0 / 3),
    QUARTER('¼', 0.25),
    THREE_QUARTERS('¾', 0.75),
    EIGHTH('⅛', 0.125),
    THREE_EIGHTHS('⅜', 0.375),
    FIVE_EIGHTHS('⅝', 0.625),
    SEVEN_EIGHTHS('⅞', 0.875);

    private final char sign;
    private final double value;

    Fraction(char sign, double value) {
      this.sign = sign;
      this.value = value;
    }

    char sign() {
      return sign;
    }

    double value() {
      return value;
    }
  }
}
