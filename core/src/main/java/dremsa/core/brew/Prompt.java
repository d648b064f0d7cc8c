package dremsa.core.brew;

/**
 * A call for the maker's hands or eyes while a step lasts.
 *
 * @param kind what for
 * @param minute since the step began
 * @param words a short sentence in a maker's verbs
 */
public record Prompt(Kind kind, double minute, String words) {
  /** What is called for, and how loudly. */
  public enum Kind {
    /** Done before the step's own work: warm the jar, lay out the cloth. */
    FIRST,
    STIR,
    SHAKE,
    /** Look, smell, measure. */
    LOOK,
    /** The usual end comes near. */
    SOON,
    /** The usual end is here; the cue decides. */
    NOW,
    /** From here on it goes wrong. */
    LATE
  }
}
