package dremsa.server.wire;

import dremsa.core.measure.Said;
import dremsa.core.scale.InvalidTargetException;
import dremsa.core.scale.Make;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;

/**
 * What the brew is to be like, whatever its amount.
 *
 * @param kind which of the ways to say it
 * @param ingredient RATIO, STRENGTH: key of a plant given in parts
 * @param value RATIO: g of liquid for a gram of plant; WHOLE_RATIO: mL of liquid for a gram of all
 *     plants; STRENGTH: g of plant for 100 mL; THICKNESS: mPa·s at 20 °C
 */
public record MakeJson(
    @NotNull(message = "Say what it is to be like.") Kind kind,
    @Nullable String ingredient,
    @NotNull(message = "Give the number.") Double value) {

  /** The ways to say it. */
  public enum Kind {
    RATIO("by ratio"),
    /** mL of liquid to a gram of all plants together. */
    WHOLE_RATIO("by mL to g of all plants"),
    STRENGTH("by strength"),
    THICKNESS("by thickness");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** As in a list of ways to make it: {@code "by strength"}. */
    public String words() {
      return words;
    }
  }

  public Make toCore() {
    try {
      return switch (kind) {
        case RATIO -> new Make.Ratio(plant(), value);
        case WHOLE_RATIO -> new Make.WholeRatio(value);
        case STRENGTH -> new Make.Strength(plant(), value);
        case THICKNESS -> new Make.Thick(value);
      };
    } catch (InvalidTargetException e) {
      throw refused(e);
    }
  }

  /** What core refuses of it, at the place of the number. */
  public static Problem refused(InvalidTargetException e) {
    return Problem.invalid(
        FieldProblem.range(
            "make.value",
            String.valueOf(e.value()),
            Said.of(
                "%s to %s can be asked for here.",
                Said.figures(e.low(), 3), Said.figures(e.high(), 3)),
            e.low(),
            e.high()));
  }

  private String plant() {
    if (ingredient == null) {
      throw Problem.invalid(FieldProblem.of("make.ingredient", null, "This is missing."));
    }
    return ingredient;
  }
}
