package dremsa.core.brew;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
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

  /**
   * What one uncertain figure does to a result.
   *
   * @param what the parameter, or the material's figure
   * @param figure with its range and source
   * @param result name of the result
   * @param atLow the result when the figure is at its low
   * @param atHigh the result when the figure is at its high
   */
  public record Influence(String what, Figure figure, String result, double atLow, double atHigh) {
    /** How far the result moves over the figure's range. */
    public double span() {
      return Math.abs(atHigh - atLow);
    }
  }

  /**
   * Ranges with what makes them.
   *
   * @param ranges a range for each name, in the given order
   * @param influences for each result what moves it, the most first; what does not move it is left
   *     out
   */
  public record Study(Map<String, Range> ranges, List<Influence> influences) {}

  private record Moved(String what, Figure figure, Prediction low, Prediction high) {}

  private Ranges() {}

  /**
   * Ranges of several results of one batch, and what makes them.
   *
   * @param results named functions of a prediction; each must give a number
   */
  public static Study study(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      Map<String, ToDoubleFunction<Prediction>> results) {
    Prediction middle = brew.predict(scale, vessels, facts);
    List<Moved> moved = new ArrayList<>();
    Kitchen kitchen = brew.kitchen();
    for (Parameter parameter : Parameter.values()) {
      Figure figure = kitchen.parameters().figure(parameter);
      moved(
          moved,
          parameter.words(),
          figure,
          end -> brew.with(kitchen.withParameters(kitchen.parameters().with(parameter, end))),
          changed -> changed.predict(scale, vessels, facts));
    }
    for (Material material : brew.materials().stream().distinct().toList()) {
      for (Property property : MOVED) {
        Figure figure = material.figures().get(property);
        if (figure != null) {
          moved(
              moved,
              material.name() + ": " + property.words(),
              figure,
              end -> brew.with(material.with(property, end)),
              changed -> changed.predict(scale, vessels, facts));
        }
      }
    }
    Map<String, Range> ranges = new LinkedHashMap<>();
    List<Influence> influences = new ArrayList<>();
    results.forEach(
        (name, result) -> {
          ranges.put(name, range(middle, moved, result));
          moved.stream()
              .map(
                  m ->
                      new Influence(
                          m.what(),
                          m.figure(),
                          name,
                          result.applyAsDouble(m.low()),
                          result.applyAsDouble(m.high())))
              .filter(influence -> influence.span() > 0)
              .sorted(Comparator.comparingDouble(Influence::span).reversed())
              .forEach(influences::add);
        });
    return new Study(ranges, influences);
  }

  private static void moved(
      List<Moved> moved,
      String what,
      Figure figure,
      Function<Figure, Brew> with,
      Function<Brew, Prediction> predicted) {
    if (figure.low() < figure.high()) {
      moved.add(
          new Moved(
              what,
              figure,
              predicted.apply(with.apply(end(figure, figure.low()))),
              predicted.apply(with.apply(end(figure, figure.high())))));
    }
  }

  private static Figure end(Figure figure, double value) {
    return new Figure(
        value, figure.low(), figure.high(), figure.unit(), figure.provenance(), figure.source());
  }

  private static Range range(
      Prediction middle, List<Moved> moved, ToDoubleFunction<Prediction> result) {
    double value = result.applyAsDouble(middle);
    double up = 0;
    double down = 0;
    for (Moved pair : moved) {
      double a = result.applyAsDouble(pair.low()) - value;
      double b = result.applyAsDouble(pair.high()) - value;
      double rise = Math.max(0, Math.max(a, b));
      double fall = Math.min(0, Math.min(a, b));
      up += rise * rise;
      down += fall * fall;
    }
    return new Range(value - Math.sqrt(down), value, value + Math.sqrt(up));
  }
}
