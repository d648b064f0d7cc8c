package dremsa.core.brew;

import java.util.List;

/** Formulas that use each other's brews in a circle. */
public final class CyclicFormulasException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String material;
  private final List<String> names;

  CyclicFormulasException(String material, List<String> names) {
    super("these use each other in a circle: " + String.join(" → ", names));
    this.material = material;
    this.names = List.copyOf(names);
  }

  /** The material at which the circle closes. */
  public String material() {
    return material;
  }

  /** Names of the formulas, the first again at the end. */
  public List<String> names() {
    return names;
  }
}
