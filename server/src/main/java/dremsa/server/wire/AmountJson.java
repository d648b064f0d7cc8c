package dremsa.server.wire;

import dremsa.core.measure.Dimension;
import dremsa.core.measure.KitchenMeasure;
import dremsa.core.measure.KitchenMeasures;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.constraints.NotNull;

/**
 * An amount in a measure.
 *
 * @param value how many of it
 * @param unit id of the measure, e.g. {@code "ml"}, {@code "g"}, {@code "us-cup"}
 */
public record AmountJson(
    @NotNull(message = "An amount needs its number.") Double value,
    @NotNull(message = "An amount needs its unit.") String unit) {

  /**
   * In millilitres.
   *
   * @param density g/mL, to turn a mass into a volume
   */
  public double millilitres(String field, double density) {
    KitchenMeasure measure = measure(field);
    return measure.dimension() == Dimension.VOLUME
        ? value * measure.size()
        : value * measure.size() / density;
  }

  /**
   * In grams.
   *
   * @param density g/mL, to turn a volume into a mass
   */
  public double grams(String field, double density) {
    KitchenMeasure measure = measure(field);
    return measure.dimension() == Dimension.MASS
        ? value * measure.size()
        : value * measure.size() * density;
  }

  private KitchenMeasure measure(String field) {
    KitchenMeasure measure =
        KitchenMeasures.find(unit)
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of(
                            field + ".unit", unit, "There is no measure '" + unit + "'.")));
    if (measure.dimension() == Dimension.COUNT) {
      throw Problem.invalid(
          FieldProblem.of(field + ".unit", unit, "A weight or a volume is wanted here."));
    }
    return measure;
  }
}
