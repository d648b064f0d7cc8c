package dremsa.core.keep;

import dremsa.core.kitchen.Place;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened to a bottle and counts for how long it keeps: the one vocabulary for what
 * is tapped, asked "what if", read from a table and kept.
 */
public sealed interface KeepEvent {
  /** The longest that anything is said to have been warm, h. */
  double LONGEST_WARM_H = 24 * 400;

  /** What sort of thing it was; a word that is stored. */
  enum Kind {
    MOVED,
    WARMED,
    FRIDGE_WARMED,
    OPENED,
    JOINED,
    SCHOOL
  }

  /** When it began. */
  Instant at();

  /** What sort of thing it was. */
  Kind kind();

  /**
   * It was put in another place and stays there.
   *
   * @param place where
   * @param promised the last day that its label said, which counts no more; null where there was
   *     none or it still counts
   */
  record Moved(Instant at, Place place, @Nullable LocalDate promised) implements KeepEvent {
    /** Moved with its label as it is. */
    public Moved(Instant at, Place place) {
      this(at, place, null);
    }

    @Override
    public Kind kind() {
      return Kind.MOVED;
    }
  }

  /**
   * It stood warmer for a while: left out, a power cut, a warm fridge.
   *
   * @param hours above 0, at most {@link #LONGEST_WARM_H}
   * @param celsius where it stood
   * @param cause as told to the maker, e.g. {@code "left out"}
   */
  record Warmed(Instant at, double hours, double celsius, String cause) implements KeepEvent {
    public Warmed {
      check(hours);
    }

    @Override
    public Kind kind() {
      return Kind.WARMED;
    }
  }

  /**
   * The whole fridge was warmer for a while; counts only for as long as the bottle stood in it.
   *
   * @param hours above 0, at most {@link #LONGEST_WARM_H}
   * @param celsius in the fridge
   * @param cause as told to the maker, e.g. {@code "power cut"}
   */
  record FridgeWarmed(Instant at, double hours, double celsius, String cause) implements KeepEvent {
    public FridgeWarmed {
      check(hours);
    }

    @Override
    public Kind kind() {
      return Kind.FRIDGE_WARMED;
    }
  }

  /** It was opened and touched: fingers in a jar. */
  record Opened(Instant at) implements KeepEvent {
    @Override
    public Kind kind() {
      return Kind.OPENED;
    }
  }

  /**
   * Another brew was poured into it: mixed, or topped up.
   *
   * @param ownMl how much of its own was in the bottle then, above 0
   * @param other what was poured in, with its age
   */
  record Joined(Instant at, double ownMl, Inherited other) implements KeepEvent {
    public Joined {
      if (!(ownMl > 0 && Double.isFinite(ownMl))) {
        throw new IllegalArgumentException("ownMl must be above 0, not " + ownMl);
      }
    }

    @Override
    public Kind kind() {
      return Kind.JOINED;
    }
  }

  /**
   * It is kept by another school from then on.
   *
   * @param before the rules that it was kept by until then
   * @param now the rules since; null where the record does not say
   */
  record KeptBy(Instant at, Rules before, @Nullable Rules now) implements KeepEvent {
    @Override
    public Kind kind() {
      return Kind.SCHOOL;
    }
  }

  /**
   * What a maker decides of how a brew is kept.
   *
   * @param cleanWorking confirmed: sterilised bottle, strained fine, fridge at 5 °C
   */
  record Rules(School school, boolean cleanWorking) {
    /** For the record: {@code "practice, worked clean"}. */
    public String words() {
      return school.words() + (cleanWorking ? ", worked clean" : "");
    }
  }

  /** Those of one sort, in the order in which they stand. */
  static <E extends KeepEvent> Stream<E> only(Class<E> sort, List<KeepEvent> events) {
    return events.stream().filter(sort::isInstance).map(sort::cast);
  }

  private static void check(double hours) {
    if (!(hours > 0 && hours <= LONGEST_WARM_H)) {
      throw new IllegalArgumentException("hours must be above 0 and at most 9600, not " + hours);
    }
  }
}
