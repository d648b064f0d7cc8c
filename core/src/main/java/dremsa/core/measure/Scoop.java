package dremsa.core.measure;

import java.util.Objects;

/**
 * Something in the drawer that measures: a spoon, a cup, or a jug with marks.
 *
 * @param id stable within its kitchen
 * @param label what is said, e.g. {@code "½ tsp"}
 * @param millilitres what one level scoop holds; for a jug, the distance between two marks
 * @param kind how it is used
 */
public record Scoop(String id, String label, double millilitres, Kind kind) {

  /** How a scoop is used. */
  public enum Kind {
    /** Levelled and counted. */
    SPOON,
    /** Filled to the brim and counted. */
    CUP,
    /** Filled to one of its marks: any number of marks is one pouring. */
    JUG
  }

  /**
   * Checks the size.
   *
   * @throws IllegalArgumentException when the size is not within 0.05 mL to 5 L
   */
  public Scoop {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(label, "label");
    Objects.requireNonNull(kind, "kind");
    if (!(millilitres >= 0.05 && millilitres <= 5000)) {
      throw new IllegalArgumentException(
          "a scoop holds 0.05 to 5000 mL, not " + millilitres + " mL");
    }
  }
}
