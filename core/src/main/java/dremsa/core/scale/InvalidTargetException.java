package dremsa.core.scale;

/** A target outside what can be asked for. */
public final class InvalidTargetException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String field;
  private final double value;
  private final double low;
  private final double high;

  public InvalidTargetException(String field, double value, double low, double high) {
    super(field + " must be " + number(low) + " to " + number(high) + ", not " + number(value));
    this.field = field;
    this.value = value;
    this.low = low;
    this.high = high;
  }

  static String number(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e15
        ? Long.toString((long) value)
        : Double.toString(value);
  }

  /** The component of the target. */
  public String field() {
    return field;
  }

  public double value() {
    return value;
  }

  public double low() {
    return low;
  }

  public double high() {
    return high;
  }
}
