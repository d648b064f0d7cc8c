package dremsa.core.brew;

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
 */
public record StepOutcome(
    int index,
    double startMinute,
    double endMinute,
    double startC,
    double endC,
    double millilitres,
    String vessel,
    int fillings) {
  public double minutes() {
    return endMinute - startMinute;
  }
}
