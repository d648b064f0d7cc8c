package dremsa.core.keep;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What a logger wrote down in a fridge, turned into hours warmer than 5 °C. A reading counts until
 * the next one; where none came for longer than {@link #GAP} nothing is known, and nothing is
 * billed.
 *
 * @param warm hours warmer than 5 °C, at most one piece an hour, each at the even temperature that
 *     costs as much
 * @param gaps without readings
 * @param coldest read, °C
 * @param warmest read, °C
 */
public record FridgeLog(
    List<KeepEvent.FridgeWarmed> warm, List<Gap> gaps, double coldest, double warmest) {
  /** Longer than this without a reading is a gap. */
  public static final Duration GAP = Duration.ofHours(2);

  private static final double COLD_ENOUGH_C = 5;
  private static final Duration HOUR = Duration.ofHours(1);
  private static final String CAUSE = "Fridge logger";

  /** A reading. */
  public record Reading(Instant at, double celsius) {}

  /** A stretch without readings. */
  public record Gap(Instant from, Instant to) {}

  public FridgeLog {
    warm = List.copyOf(warm);
    gaps = List.copyOf(gaps);
  }

  /**
   * Reads a log.
   *
   * @param readings in any order, at least two; of two at one moment the warmer counts
   * @throws IllegalArgumentException when there are fewer
   */
  public static FridgeLog of(List<Reading> readings) {
    if (readings.size() < 2) {
      throw new IllegalArgumentException("a log has two readings or more, not " + readings.size());
    }
    List<Reading> sorted = new ArrayList<>(readings);
    sorted.sort(
        Comparator.comparing(Reading::at)
            .thenComparing(Comparator.comparingDouble(Reading::celsius).reversed()));
    List<Gap> gaps = new ArrayList<>();
    List<KeepEvent.FridgeWarmed> warm = new ArrayList<>();
    Hour hour = new Hour(sorted.get(0).at());
    for (int i = 0; i + 1 < sorted.size(); i++) {
      Instant from = sorted.get(i).at();
      Instant to = sorted.get(i + 1).at();
      if (Duration.between(from, to).compareTo(GAP) > 0) {
        gaps.add(new Gap(from, to));
        hour.close(warm);
        hour = new Hour(to);
      } else {
        hour = hour.add(from, to, sorted.get(i).celsius(), warm);
      }
    }
    hour.close(warm);
    return new FridgeLog(
        warm,
        gaps,
        sorted.stream().mapToDouble(Reading::celsius).min().orElseThrow(),
        sorted.stream().mapToDouble(Reading::celsius).max().orElseThrow());
  }

  /** The hour that is being gathered. */
  private static final class Hour {
    private final Instant from;
    private Instant to;
    private double spent;
    private boolean warmer;

    private Hour(Instant from) {
      this.from = from;
      this.to = from;
    }

    private Hour add(
        Instant start, Instant end, double celsius, List<KeepEvent.FridgeWarmed> warm) {
      Hour into = this;
      if (Duration.between(from, end).compareTo(HOUR) > 0 && to.isAfter(from)) {
        close(warm);
        into = new Hour(start);
      }
      into.spent += hours(start, end) * Spoilage.rate(Math.max(COLD_ENOUGH_C, celsius));
      into.warmer |= celsius > COLD_ENOUGH_C;
      into.to = end;
      return into;
    }

    private void close(List<KeepEvent.FridgeWarmed> warm) {
      double hours = hours(from, to);
      if (warmer && hours > 0) {
        warm.add(new KeepEvent.FridgeWarmed(from, hours, Spoilage.celsiusOf(spent / hours), CAUSE));
      }
    }

    private static double hours(Instant start, Instant end) {
      return Hours.between(start, end);
    }
  }
}
