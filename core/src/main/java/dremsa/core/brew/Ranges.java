package dremsa.core.brew;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * How far a result may be off: every parameter of the kitchen and every figure of the materials is
 * moved alone to its low and its high; the shifts are combined by root sum of squares, upward and
 * downward apart. Independent errors are assumed.
 */
public final class Ranges {
  /** Figures of a material that move a prediction. */
  private static final List<Property> MOVED =
      List.of(
          Property.HOLD,
          Property.HOLD_HOT,
          Property.HOLD_SQUEEZED,
          Property.FAST_SHARE,
          Property.SLOW_RATE,
          Property.GUM_YIELD,
          Property.GUM_POWER,
          Property.WATER_SHARE);

  /**
   * A value with its believable range.
   *
   * @param low at or below the value
   * @param value predicted
   * @param high at or above the value
   */
  public record Range(double low, double value, double high) {}

  private Ranges() {}

  /**
   * Ranges of several results of one batch.
   *
   * @param results named functions of a prediction
   * @return a range for each name, in the given order
   */
  public static Map<String, Range> of(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      Map<String, ToDoubleFunction<Prediction>> results) {
    Prediction middle = brew.predict(scale, vessels, facts);
    List<Prediction[]> moved = new ArrayList<>();
    Kitchen kitchen = brew.kitchen();
    for (Parameter parameter : Parameter.values()) {
      Figure figure = kitchen.parameters().figure(parameter);
      if (figure.low() < figure.high()) {
        Prediction[] pair = new Prediction[2];
        for (int i = 0; i < 2; i++) {
          Kitchen other =
              kitchen.withParameters(kitchen.parameters().with(parameter, end(figure, i)));
          pair[i] = brew.with(other).predict(scale, vessels, facts);
        }
        moved.add(pair);
      }
    }
    for (Material material : brew.materials().stream().distinct().toList()) {
      for (Property property : MOVED) {
        Figure figure = material.figures().get(property);
        if (figure != null && figure.low() < figure.high()) {
          Prediction[] pair = new Prediction[2];
          for (int i = 0; i < 2; i++) {
            pair[i] =
                brew.with(material.with(property, end(figure, i))).predict(scale, vessels, facts);
          }
          moved.add(pair);
        }
      }
    }
    Map<String, Range> ranges = new LinkedHashMap<>();
    results.forEach((name, result) -> ranges.put(name, range(middle, moved, result)));
    return ranges;
  }

  private static Figure end(Figure figure, int which) {
    double value = which == 0 ? figure.low() : figure.high();
    return new Figure(
        value, figure.low(), figure.high(), figure.unit(), figure.provenance(), figure.source());
  }

  private static Range range(
      Prediction middle, List<Prediction[]> moved, ToDoubleFunction<Prediction> result) {
    double value = result.applyAsDouble(middle);
    double up = 0;
    double down = 0;
    for (Prediction[] pair : moved) {
      double a = result.applyAsDouble(pair[0]) - value;
      double b = result.applyAsDouble(pair[1]) - value;
      double rise = Math.max(0, Math.max(a, b));
      double fall = Math.min(0, Math.min(a, b));
      up += rise * rise;
      down += fall * fall;
    }
    return new Range(value - Math.sqrt(down), value, value + Math.sqrt(up));
  }
}
