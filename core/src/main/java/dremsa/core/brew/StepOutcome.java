package dremsa.core.brew;

import java.util.Map;

/**
 * How one step goes.
 *
 * @param index in the formula
 * @param startMinute since the first step began
 * @param endMinute since the first step began
 * @param startC temperature at its start, °C
 * @param endC temperature at its end, °C
 * @param millilitres liquid at its end, as it would measure at 20 °C
 * @param vessel name of the vessel it happens in; empty before anything is put together
 * @param fillings how often blender or strainer are filled for it; 1 where once is enough
 * @param beforeMl liquid at its start, as it would measure at 20 °C
 * @param put grams of each ingredient that goes in here, by its key
 */
public record StepOutcome(
    int index,
    double startMinute,
    double endMinute,
    double startC,
    double endC,
    double millilitres,
    String vessel,
    int fillings,
    double beforeMl,
    Map<String, Double> put) {
  public StepOutcome {
    put = Map.copyOf(put);
  }

  public double minutes() {
    return endMinute - startMinute;
  }
}
