package dremsa.core.measure;

import java.util.Objects;

/**
 * A measure such as the US tablespoon or the gram.
 *
 * @param id stable, lower case, e.g. {@code "us-tbsp"}
 * @param symbol short written form, e.g. {@code "tbsp"}
 * @param dimension what it counts
 * @param size grams, millilitres or pieces in one of it, by dimension; above zero
 */
public record KitchenMeasure(String id, String symbol, Dimension dimension, double size) {
  /**
   * Checks the size.
   *
   * @throws IllegalArgumentException when the size is not a number above zero
   */
  public KitchenMeasure {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(symbol, "symbol");
    Objects.requireNonNull(dimension, "dimension");
    if (!(size > 0) || !Double.isFinite(size)) {
      throw new IllegalArgumentException("size of " + id + " must be above zero, not " + size);
    }
  }
}
