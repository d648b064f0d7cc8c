package dremsa.core.brew;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a hand did at a pot on the hob while a step lasted. Without it a pot is heated and held as
 * its step says; with it the hob gives what it was turned to, whatever the step wanted.
 *
 * @param turns how the hob was turned and the lid laid, in the order of their minutes; before the
 *     first of them the hob is off
 * @param stirs minutes since the step began at which it was stirred to the bottom
 */
public record Tending(List<Turn> turns, List<Double> stirs) {
  /**
   * The hob and the lid from a minute on.
   *
   * @param minute since the step began, 0 or more
   * @param heat share of the hob's highest setting that goes into the pot, 0 to 1
   * @param lid whether the lid lies on it
   */
  public record Turn(double minute, double heat, boolean lid) {
    public Turn {
      if (!(minute >= 0) || !(heat >= 0 && heat <= 1)) {
        throw new IllegalArgumentException(
            "a hob gives 0 to 1 from minute 0 on, not " + heat + " from " + minute);
      }
    }
  }

  private static final Turn OFF = new Turn(0, 0, false);

  public Tending {
    turns = turns.stream().sorted(Comparator.comparingDouble(Turn::minute)).toList();
    stirs = stirs.stream().sorted().toList();
  }

  /** How it stands at a minute. */
  Turn at(double minute) {
    Turn last = OFF;
    for (Turn turn : turns) {
      if (turn.minute() > minute + 1e-9) {
        break;
      }
      last = turn;
    }
    return last;
  }

  /** The next minute at which a hand does something; infinite when none does. */
  double next(double minute) {
    return Stream.concat(turns.stream().map(Turn::minute), stirs.stream())
        .mapToDouble(Double::doubleValue)
        .filter(at -> at > minute + 1e-9)
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** Whether it is stirred at that minute. */
  boolean stirredAt(double minute) {
    return stirs.stream().anyMatch(at -> Math.abs(at - minute) < 1e-9);
  }
}
