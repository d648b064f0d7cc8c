package dremsa.core.keep;

/**
 * What a brew counts as, and why.
 *
 * @param keepingClass the class
 * @param why what in its composition or steps makes it so, a short phrase
 * @param towardsPaste how far plant left in it has made it a paste, 0 to 1: its life is the shorter
 *     for it, by degrees
 */
public record Classification(KeepingClass keepingClass, String why, double towardsPaste) {
  Classification(KeepingClass keepingClass, String why) {
    this(keepingClass, why, 0);
  }

  /** Life at 5 °C by a school, h. */
  double budgetHours(School school) {
    double own = keepingClass.budgetHours(school);
    if (towardsPaste == 0) {
      return own;
    }
    double paste = KeepingClass.PASTE.budgetHours(school);
    double whole = Double.isInfinite(own) ? keepingClass.capHours(school) : own;
    return Math.min(whole, whole + (paste - whole) * towardsPaste);
  }

  /** How long it may stand at room temperature, h. */
  double roomHours(School school) {
    double own = keepingClass.roomHours(school);
    return towardsPaste == 0 || Double.isInfinite(own) ? own : own * (1 - towardsPaste);
  }
}
