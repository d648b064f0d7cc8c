package dremsa.core.material;

import dremsa.core.measure.Said;

/** A figure of a material outside what makes sense. */
public final class ImpossibleFigureException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final Property property;

  ImpossibleFigureException(Property property) {
    super(
        Said.of(
            "For the %s, %s to %s%s make sense.",
            property.words(),
            Said.exactly(property.least()),
            Said.exactly(property.most()),
            property.unit().isEmpty() ? "" : " " + property.unit()));
    this.property = property;
  }

  /** Which figure; its bounds are the property's. */
  public Property property() {
    return property;
  }
}
