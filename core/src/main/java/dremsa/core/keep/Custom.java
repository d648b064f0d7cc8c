package dremsa.core.keep;

/**
 * A school as a household practises it.
 *
 * @param school which
 * @param cleanWorking confirmed for this brew: sterilised bottle, strained fine, fridge at 5 °C; a
 *     date beyond the published figure needs it
 */
record Custom(School school, boolean cleanWorking) {
  double budgetHours(KeepingClass keepingClass) {
    return keepingClass.budgetHours(school);
  }

  /** The cap that counts, h after straining. */
  double capHours(KeepingClass keepingClass) {
    double cap = keepingClass.capHours(school);
    return held(keepingClass) ? keepingClass.publishedHours() : cap;
  }

  /** Whether the cap is held at the published figure for want of a confirmation. */
  boolean held(KeepingClass keepingClass) {
    double published = keepingClass.publishedHours();
    return !cleanWorking && published > 0 && keepingClass.capHours(school) > published;
  }
}
