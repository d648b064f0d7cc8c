package dremsa.core.formula;

/** What a brew is used for; one brew often serves several. */
public enum Purpose {
  LEAVE_IN("leave-in spray"),
  RINSE("rinse"),
  PRE_WASH("pre-wash"),
  STYLER("styler"),
  SCALP("scalp treatment"),
  MASK("mask"),
  CONDITIONER("conditioner"),
  OIL("hair oil");

  private final String words;

  Purpose(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Stays on until the next wash. */
  public boolean leftOn() {
    return this == LEAVE_IN || this == STYLER || this == SCALP || this == OIL;
  }

  /**
   * Is rinsed off within minutes. A mask or a pre-wash may stay on for an hour and overnight: for
   * the skin that is as if it were left on.
   */
  public boolean rinsedSoon() {
    return this == RINSE || this == CONDITIONER;
  }
}
