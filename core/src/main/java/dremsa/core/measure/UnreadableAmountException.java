package dremsa.core.measure;

/** What was typed is no amount; says where it stopped making sense. */
public final class UnreadableAmountException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final int position;

  UnreadableAmountException(int position, String message) {
    super(message);
    this.position = position;
  }

  /** Index of the first character that could not be read. */
  public int position() {
    return position;
  }
}
