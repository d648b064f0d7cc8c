package dremsa.core.keep;

/**
 * A school as a household practises it.
 *
 * @param school which
 * @param cleanWorking confirmed for this brew: sterilised bottle, strained fine, fridge at 5 °C; a
 *     date beyond the published figure needs it
 * @param lifeFactor on the life of its class; 1 but for asking "what if"
 */
record Custom(School school, boolean cleanWorking, double lifeFactor) {
  double budgetHours(Classification found) {
    return found.budgetHours(school) * lifeFactor;
  }

  /** The cap that counts, h after straining. */
  double capHours(KeepingClass keepingClass) {
    return held(keepingClass) ? keepingClass.publishedHours(school) : keepingClass.capHours(school);
  }

  /** Whether the cap is held at the published figure for want of a confirmation. */
  boolean held(KeepingClass keepingClass) {
    double published = keepingClass.publishedHours(school);
    return !cleanWorking && published > 0 && keepingClass.capHours(school) > published;
  }
}
