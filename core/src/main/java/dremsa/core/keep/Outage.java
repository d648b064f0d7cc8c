package dremsa.core.keep;

import dremsa.core.kitchen.Climate;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * A fridge without power, its door kept closed: its inside nears the room's temperature with a time
 * constant, as anything does that is insulated (Newton's law of cooling).
 */
public final class Outage {
  /** A closed fridge has gone two thirds of the way after so many hours; our estimate. */
  public static final double TIME_CONSTANT_H = 8;

  /** After the power is back it needs about a third of the time to be cold again; our estimate. */
  private static final double BACK_SHARE = 1.0 / 3;

  private static final double PIECE_H = 0.5;

  /** The longest that is believed, h. */
  public static final double LONGEST_H = 24 * 14;

  private Outage() {}

  /**
   * What the fridge went through, in pieces of half an hour, until it is cold again.
   *
   * @param from when the power went
   * @param hours without power, above 0 and at most {@link #LONGEST_H}
   */
  public static List<KeepEvent.FridgeWarmed> powerCut(Instant from, double hours, Climate climate) {
    check(hours);
    double cold = climate.fridgeC();
    double span = climate.roomC() - cold;
    List<KeepEvent.FridgeWarmed> pieces = new ArrayList<>();
    double warmest = cold;
    for (double h = 0; h < hours - 1e-9; h += PIECE_H) {
      double length = Math.min(PIECE_H, hours - h);
      double celsius = cold + span * (1 - Math.exp(-(h + length / 2) / TIME_CONSTANT_H));
      warmest = cold + span * (1 - Math.exp(-(h + length) / TIME_CONSTANT_H));
      pieces.add(piece(from, h, length, celsius, "Power cut"));
    }
    double back = Math.min(hours, TIME_CONSTANT_H) * BACK_SHARE;
    for (double h = 0; h < back - 1e-9; h += PIECE_H) {
      double length = Math.min(PIECE_H, back - h);
      double celsius = warmest + (cold - warmest) * (h + length / 2) / back;
      pieces.add(piece(from, hours + h, length, celsius, "Power cut"));
    }
    return pieces;
  }

  /**
   * A fridge that was too warm for a while, at a known temperature.
   *
   * @param celsius in it
   */
  public static List<KeepEvent.FridgeWarmed> warm(Instant from, double hours, double celsius) {
    check(hours);
    return List.of(new KeepEvent.FridgeWarmed(from, hours, celsius, "Warm fridge"));
  }

  private static void check(double hours) {
    if (!(hours > 0 && hours <= LONGEST_H)) {
      throw new IllegalArgumentException(
          "hours must be above 0 and at most " + LONGEST_H + ", not " + hours);
    }
  }

  private static KeepEvent.FridgeWarmed piece(
      Instant from, double afterHours, double hours, double celsius, String cause) {
    Instant at = Hours.after(from, afterHours);
    return new KeepEvent.FridgeWarmed(at, hours, celsius, cause);
  }
}
