package dremsa.core.formula;

/** A formula that means nothing, with the place of the fault. */
public final class InvalidFormulaException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String place;

  public InvalidFormulaException(String place, String message) {
    super(message);
    this.place = place;
  }

  /** Path of the faulty part, e.g. {@code "steps[2].ingredients"}. */
  public String place() {
    return place;
  }
}
