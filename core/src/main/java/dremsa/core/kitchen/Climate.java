package dremsa.core.kitchen;

/**
 * The temperatures a brew may stand at.
 *
 * @param roomC of the kitchen, −5 to 45 °C
 * @param fridgeC 0 to 15 °C
 * @param freezerC −40 to −5 °C
 */
public record Climate(double roomC, double fridgeC, double freezerC) {
  public static final Climate USUAL = new Climate(21, 5, -18);

  public Climate {
    within("room", roomC, -5, 45);
    within("fridge", fridgeC, 0, 15);
    within("freezer", freezerC, -40, -5);
  }

  private static void within(String what, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new IllegalArgumentException(
          "the " + what + " is " + low + " to " + high + " °C, not " + value);
    }
  }
}
