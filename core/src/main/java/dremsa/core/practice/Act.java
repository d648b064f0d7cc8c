package dremsa.core.practice;

/**
 * Something that a hand did.
 *
 * @param second since the practice began, of the pot's time
 * @param kind what
 * @param what ingredient weighed or option chosen; empty for the others
 * @param value heat as a share of the hob's highest, 1 for the lid on and 0 for off, mL poured or g
 *     weighed; 0 for the others
 */
public record Act(double second, Kind kind, String what, double value) {
  /** What a hand can do. */
  public enum Kind {
    /** The step is done, the next begins. */
    NEXT,
    /** The hob is turned; 0 also lifts the pot off it. */
    HEAT,
    LID,
    STIR,
    /** Water from the tap goes in beside the recipe. */
    POUR,
    /** So much of an ingredient goes in at this step. */
    WEIGH,
    /** One of the ways that this step offers is taken. */
    CHOOSE,
    /** Thermometer and pH strip go in. */
    MEASURE
  }

  public Act {
    if (!(second >= 0) || !Double.isFinite(second)) {
      throw new IllegalArgumentException("an act is done at second 0 or later, not " + second);
    }
  }
}
