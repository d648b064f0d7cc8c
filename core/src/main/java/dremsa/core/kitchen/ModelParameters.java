package dremsa.core.kitchen;

import dremsa.core.measure.Figure;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The parameters that one kitchen uses: the defaults, replaced where it was calibrated. */
public final class ModelParameters {
  private static final ModelParameters STANDARD =
      new ModelParameters(new EnumMap<>(Parameter.class));

  private final Map<Parameter, Figure> own;

  private ModelParameters(Map<Parameter, Figure> own) {
    this.own = Collections.unmodifiableMap(own);
  }

  /** The defaults. */
  public static ModelParameters standard() {
    return STANDARD;
  }

  /** The same parameters with one replaced. */
  public ModelParameters with(Parameter parameter, Figure figure) {
    Map<Parameter, Figure> changed = new EnumMap<>(Parameter.class);
    changed.putAll(own);
    changed.put(parameter, figure);
    return new ModelParameters(changed);
  }

  public Figure figure(Parameter parameter) {
    return own.getOrDefault(parameter, parameter.standard());
  }

  /** The value in the unit of the parameter's figure. */
  public double value(Parameter parameter) {
    return figure(parameter).value();
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof ModelParameters same && own.equals(same.own);
  }

  @Override
  public int hashCode() {
    return own.hashCode();
  }
}
