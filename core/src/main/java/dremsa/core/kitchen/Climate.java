package dremsa.core.kitchen;

/**
 * The temperatures a brew may stand at.
 *
 * @param roomC of the kitchen, {@value #COLDEST_ROOM_C} to {@value #WARMEST_ROOM_C} °C
 * @param fridgeC {@value #COLDEST_FRIDGE_C} to {@value #WARMEST_FRIDGE_C} °C
 * @param freezerC {@value #COLDEST_FREEZER_C} to {@value #WARMEST_FREEZER_C} °C
 */
public record Climate(double roomC, double fridgeC, double freezerC) {
  /** A kitchen is at least so warm, °C. */
  public static final int COLDEST_ROOM_C = -5;

  /** A kitchen is at most so warm, °C. */
  public static final int WARMEST_ROOM_C = 45;

  /** A fridge is at least so warm, °C. */
  public static final int COLDEST_FRIDGE_C = 0;

  /** A fridge is at most so warm, °C. */
  public static final int WARMEST_FRIDGE_C = 15;

  /** A freezer is at least so warm, °C. */
  public static final int COLDEST_FREEZER_C = -40;

  /** A freezer is at most so warm, °C. */
  public static final int WARMEST_FREEZER_C = -5;

  public static final Climate USUAL = new Climate(21, 5, -18);

  public Climate {
    within("room", roomC, COLDEST_ROOM_C, WARMEST_ROOM_C);
    within("fridge", fridgeC, COLDEST_FRIDGE_C, WARMEST_FRIDGE_C);
    within("freezer", freezerC, COLDEST_FREEZER_C, WARMEST_FREEZER_C);
  }

  private static void within(String what, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new IllegalArgumentException(
          "the " + what + " is " + low + " to " + high + " °C, not " + value);
    }
  }
}
