package dremsa.server.wire;

import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * A figure with its range and where it comes from.
 *
 * @param unit of all three numbers
 * @param source the published work; empty where there is none
 */
public record FigureJson(
    @NotNull(message = "Give the value.") Double value,
    @Nullable Double low,
    @Nullable Double high,
    @Nullable String unit,
    @Nullable Provenance provenance,
    @Nullable @Size(max = 200, message = "At most 200 characters.") String source) {

  public static FigureJson of(Figure figure) {
    return new FigureJson(
        figure.value(),
        figure.low(),
        figure.high(),
        figure.unit(),
        figure.provenance(),
        figure.source());
  }

  /**
   * The core's figure; without a range it is taken as exact, without a provenance as the
   * household's own.
   *
   * @param at path of this figure, for problems
   */
  public Figure toCore(String at, String ownUnit) {
    double from = low == null ? value : low;
    double to = high == null ? value : high;
    if (!(Math.abs(value) <= 1e6 && from <= value && value <= to && Math.abs(to) <= 1e6)) {
      throw Problem.invalid(
          FieldProblem.of(
              at + ".value",
              String.valueOf(value),
              "A number within its range is wanted: low, value, high."));
    }
    return new Figure(
        value,
        from,
        to,
        ownUnit,
        provenance == null ? Provenance.HOUSEHOLD : provenance,
        source == null ? "" : source);
  }
}
