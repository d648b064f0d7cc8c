package dremsa.core.material;

/** A figure of a material outside what makes sense. */
public final class ImpossibleFigureException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final Property property;

  ImpossibleFigureException(Property property) {
    super(
        "For the %s, %s to %s%s make sense."
            .formatted(
                property.words(),
                number(property.least()),
                number(property.most()),
                property.unit().isEmpty() ? "" : " " + property.unit()));
    this.property = property;
  }

  private static String number(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }

  /** Which figure; its bounds are the property's. */
  public Property property() {
    return property;
  }
}
