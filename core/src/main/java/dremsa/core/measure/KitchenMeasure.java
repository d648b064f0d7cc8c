package dremsa.core.measure;

import java.util.Objects;

/**
 * A measure such as the US tablespoon or the gram.
 *
 * @param id stable, lower case, e.g. {@code "us-tbsp"}
 * @param symbol short written form, e.g. {@code "tbsp"}
 * @param dimension what it counts
 * @param size grams, millilitres or pieces in one of it, by dimension; above zero
 * @param least the smallest believable size; the same as {@code size} where it is defined
 * @param most the largest believable size
 */
public record KitchenMeasure(
    String id, String symbol, Dimension dimension, double size, double least, double most) {
  /**
   * Checks the size.
   *
   * @throws IllegalArgumentException when the size is not a number above zero, or outside its range
   */
  public KitchenMeasure {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(symbol, "symbol");
    Objects.requireNonNull(dimension, "dimension");
    if (!(size > 0) || !Double.isFinite(size) || !(least > 0 && least <= size && size <= most)) {
      throw new IllegalArgumentException("size of " + id + " must be above zero, not " + size);
    }
  }

  /** A measure of a defined size. */
  public KitchenMeasure(String id, String symbol, Dimension dimension, double size) {
    this(id, symbol, dimension, size, size, size);
  }

  /** Whether its size is only believed, and had better be measured. */
  public boolean isLoose() {
    return least < most;
  }
}
