package dremsa.core.material;

/** A material id that neither the catalogue nor the household knows. */
public final class UnknownMaterialException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String id;

  public UnknownMaterialException(String id) {
    super("There is no material '" + id + "'.");
    this.id = id;
  }

  /** The id that was asked for. */
  public String id() {
    return id;
  }
}
