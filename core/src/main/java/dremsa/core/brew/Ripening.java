package dremsa.core.brew;

import dremsa.core.acid.Sourness;
import dremsa.core.kitchen.Kitchen;
import java.util.List;

/**
 * How far a ferment has come. Reckoned from the temperatures that were read where it stands, else
 * from the room's.
 *
 * @param hours of fermentation, as at 22 °C
 * @param ph estimated with its range, or as it was read
 * @param stage what it is by now
 * @param toMild minutes from now until it is a mild ferment; 0 when it is, infinite in the cold
 * @param toFull minutes from now until it is a full one
 * @param toStrong minutes from now until it is a strong one
 */
public record Ripening(
    double hours, Sourness.Ph ph, Stage stage, double toMild, double toFull, double toStrong) {
  /** What a ferment is by now; common practice. */
  public enum Stage {
    YOUNG("not sour yet"),
    MILD("mild"),
    FULL("full"),
    STRONG("strong: stop it");

    private final String words;

    Stage(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * A ferment after so many minutes.
   *
   * @param known of its step: temperatures and acidity that were read
   * @param kitchen where it stands
   */
  public static Ripening of(StepFacts known, Kitchen kitchen, double minutes) {
    List<StepFacts.Temperature> read = known.temperatures();
    double rate =
        read.isEmpty()
            ? Souring.hoursAt22(kitchen.climate().roomC())
            : Hearth.mean(read, minutes, Souring::hoursAt22);
    double hours = rate * minutes / 60;
    double rateNow = read.isEmpty() ? rate : Souring.hoursAt22(read.get(read.size() - 1).celsius());
    Stage stage =
        hours < Souring.MILD_H
            ? Stage.YOUNG
            : hours < Souring.FULL_H
                ? Stage.MILD
                : hours < Souring.STRONG_H ? Stage.FULL : Stage.STRONG;
    return new Ripening(
        hours,
        known.read(Reading.PH).isPresent()
            ? read(known.read(Reading.PH).getAsDouble())
            : Souring.ph(hours, kitchen),
        stage,
        until(Souring.MILD_H, hours, rateNow),
        until(Souring.FULL_H, hours, rateNow),
        until(Souring.STRONG_H, hours, rateNow));
  }

  private static Sourness.Ph read(double ph) {
    return new Sourness.Ph(ph, ph, ph, true);
  }

  private static double until(double goal, double hours, double rate) {
    if (hours >= goal) {
      return 0;
    }
    return rate <= 0 ? Double.POSITIVE_INFINITY : (goal - hours) / rate * 60;
  }
}
