package dremsa.core.check;

/**
 * Something the self-check says of a formula in a kitchen.
 *
 * @param code which of the known slips
 * @param severity how grave
 * @param place path in the formula, e.g. {@code "steps[2]"} or {@code "ingredients[1]"}
 * @param what is the matter, with its numbers
 * @param why it matters
 * @param cure what to do about it
 */
public record Finding(
    Code code, Severity severity, String place, String what, String why, String cure) {
  /** How grave a finding is. */
  public enum Severity {
    /** It cannot be brewed, or may hurt somebody. */
    ERROR("Cannot be brewed so"),
    WARNING("Will probably go wrong"),
    NOTE("Worth knowing");

    private final String words;

    Severity(String words) {
      this.words = words;
    }

    /** As it stands before what was found. */
    public String words() {
      return words;
    }
  }

  /** The slips that are looked for. */
  public enum Code {
    SPIRIT_NEAR_HEAT,
    ADDED_TOO_HOT,
    POWDER_IN_SPRAY,
    TOO_THICK_FOR_CONTAINER,
    ALOE_NOT_DRAINED,
    GRAIN_NOT_WASHED,
    GROUND_SEED_IN_GEL,
    WET_PLANT_IN_OIL,
    SEED_BOILED_AGAIN,
    PRESERVATIVE_NOT_WORKING,
    OVER_LIMIT,
    NOT_A_PRESERVATIVE,
    INFUSED_OR_ESSENTIAL,
    TOO_SOUR,
    LIFE_SPENT_EARLY,
    IMPOSSIBLE_HERE,
    NO_EFFECT,
    DROPS_OF_SOLID,
    WHICH_SCOOP,
    /** An ingredient that no step takes up. */
    UNUSED,
    /** A step that has nothing to work on. */
    EMPTY_STEP,
    /** Steps that undo or exclude each other. */
    CONTRADICTION,
    /** Not for the one it is meant for. */
    NOT_FOR_THIS_PERSON,
    /** So little that the pot boils it down. */
    BOILS_DOWN,
    /** More plant, by its bulk, than the liquid covers or the vessel takes. */
    NOT_COVERED
  }
}
