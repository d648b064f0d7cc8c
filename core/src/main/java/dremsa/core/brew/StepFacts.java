package dremsa.core.brew;

import java.util.OptionalDouble;

/**
 * What is known of one step: planned otherwise than usual, or as it really was. What is empty is
 * predicted.
 *
 * @param minutes how long it took or shall take, 0 or more
 * @param celsius the temperature at its end
 * @param millilitres the volume at its end, as read from a jug at about 20 °C
 */
public record StepFacts(
    OptionalDouble minutes, OptionalDouble celsius, OptionalDouble millilitres) {
  public static final StepFacts NONE =
      new StepFacts(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

  public static StepFacts lasting(double minutes) {
    return NONE.withMinutes(minutes);
  }

  public StepFacts withMinutes(double value) {
    return new StepFacts(OptionalDouble.of(value), celsius, millilitres);
  }

  public StepFacts withCelsius(double value) {
    return new StepFacts(minutes, OptionalDouble.of(value), millilitres);
  }

  public StepFacts withMillilitres(double value) {
    return new StepFacts(minutes, celsius, OptionalDouble.of(value));
  }
}
