package dremsa.core.scale;

import dremsa.core.measure.Said;

/** A target outside what can be asked for. */
public final class InvalidTargetException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String field;
  private final double value;
  private final double low;
  private final double high;

  public InvalidTargetException(String field, double value, double low, double high) {
    super(
        field
            + " must be "
            + Said.exactly(low)
            + " to "
            + Said.exactly(high)
            + ", not "
            + Said.exactly(value));
    this.field = field;
    this.value = value;
    this.low = low;
    this.high = high;
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
