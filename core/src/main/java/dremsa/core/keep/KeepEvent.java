package dremsa.core.keep;

import dremsa.core.kitchen.Place;
import java.time.Instant;

/** Something that happened to a bottle and may cost life. */
public sealed interface KeepEvent {
  /** When it began. */
  Instant at();

  /**
   * It was put in another place and stays there.
   *
   * @param place where
   */
  record Moved(Instant at, Place place) implements KeepEvent {}

  /**
   * It stood warmer for a while: left out, a power cut, a warm fridge.
   *
   * @param hours above 0
   * @param celsius where it stood
   * @param cause as told to the maker, e.g. {@code "left out"}
   */
  record Warmed(Instant at, double hours, double celsius, String cause) implements KeepEvent {
    public Warmed {
      if (!(hours > 0 && hours <= 24 * 400)) {
        throw new IllegalArgumentException("hours must be above 0 and at most 9600, not " + hours);
      }
    }
  }

  /**
   * The whole fridge was warmer for a while; counts only for as long as the bottle stood in it.
   *
   * @param hours above 0
   * @param celsius in the fridge
   * @param cause as told to the maker, e.g. {@code "power cut"}
   */
  record FridgeWarmed(Instant at, double hours, double celsius, String cause) implements KeepEvent {
    public FridgeWarmed {
      if (!(hours > 0 && hours <= 24 * 400)) {
        throw new IllegalArgumentException("hours must be above 0 and at most 9600, not " + hours);
      }
    }
  }

  /** It was opened and touched: fingers in a jar. */
  record Opened(Instant at) implements KeepEvent {}

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
  }
}
