package dremsa.core.practice;

import dremsa.core.brew.PotNow;
import dremsa.core.brew.Thickness;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;

/**
 * How a pot looks, in words: what a maker sees, hears and smells, and no figure that only a
 * thermometer or a jug would tell.
 */
public final class Looks {
  private static final double WISPS = 1;
  private static final double STEAMS = 6;
  private static final double BILLOWS = 14;

  private static final double LOW = 0.15;
  private static final double HIGH = 0.7;

  private static final double SMELLS = 0.4;

  private Looks() {}

  /** In the order in which an eye goes over it: above, surface, spoon, bottom. */
  public static List<String> of(PotNow pot) {
    if (pot.vessel().isEmpty()) {
      return List.of("Nothing stands there yet.");
    }
    List<String> all = new ArrayList<>();
    all.add(steam(pot.steam()));
    all.add(surface(pot));
    if (pot.millilitres() > 0) {
      all.add("Off the spoon it runs " + spoon(pot.thickness()) + ".");
    }
    if (pot.burnt()) {
      all.add("It smells burnt.");
    } else if (pot.caught() > SMELLS) {
      all.add("Something catches on the bottom.");
    }
    if (pot.spilt() >= 1) {
      all.add(Said.of("About %.0f mL ran over onto the hob.", pot.spilt()));
    }
    return all;
  }

  private static String steam(double gramsAMinute) {
    if (gramsAMinute < WISPS) {
      return "No steam to speak of.";
    }
    if (gramsAMinute < STEAMS) {
      return "A little steam.";
    }
    return gramsAMinute < BILLOWS ? "It steams." : "It steams hard.";
  }

  private static String surface(PotNow pot) {
    if (pot.froth() > 1) {
      return "Froth runs over the rim!";
    }
    if (pot.froth() > HIGH) {
      return "Froth is up to the rim.";
    }
    if (pot.froth() > LOW) {
      return "White froth on top.";
    }
    return pot.boils() && pot.froth() > 0 ? "Bubbles, hardly any froth." : "The surface is still.";
  }

  /** As thick as it is now, warm as it is. */
  private static String spoon(double thickness) {
    return switch (Thickness.of(thickness)) {
      case SPRAY -> "like water";
      case LIGHT -> "like milk";
      case SYRUP -> "in a thread, like thin syrup";
      case GEL -> "slowly, in strings";
      case STIFF -> "hardly at all";
    };
  }
}
