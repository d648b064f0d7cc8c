package dremsa.core.fill;

import dremsa.core.kitchen.Container;
import java.time.Duration;
import java.time.Instant;

/**
 * Containers of one kind and size that a household owns.
 *
 * @param kind what they are
 * @param sizeMl what is written on one, mL
 * @param filter a filter on the tube of a sprayer holds bits back
 * @param owned how many there are
 * @param full how many of them are in use
 * @param sterilised how many were sterilised at the last time and not filled since
 * @param sterilisedAt when that was; {@link #NEVER} when it never was
 */
public record ContainerSet(
    Container kind,
    double sizeMl,
    boolean filter,
    int owned,
    int full,
    int sterilised,
    Instant sterilisedAt) {
  public static final Instant NEVER = Instant.EPOCH;

  public static final double LEAST_ML = 5;
  public static final double MOST_ML = 5000;
  public static final int MOST_OWNED = 200;

  /** Boiled out, closed and put away, a container counts as sterilised so long; common practice. */
  public static final Duration STAYS_STERILE = Duration.ofHours(24);

  public ContainerSet {
    if (!(sizeMl >= LEAST_ML && sizeMl <= MOST_ML)) {
      throw new IllegalArgumentException("a container holds 5 to 5000 mL, not " + sizeMl);
    }
    if (owned < 0 || owned > MOST_OWNED || full < 0 || sterilised < 0) {
      throw new IllegalArgumentException("there are 0 to " + MOST_OWNED + " of a kind");
    }
  }

  /** The same with so many more in use: filled, or promised to a brew. */
  public ContainerSet with(int more) {
    return more == 0
        ? this
        : new ContainerSet(kind, sizeMl, filter, owned, full + more, sterilised, sterilisedAt);
  }

  /** How many are empty; more may stand filled than were ever counted. */
  public int free() {
    return Math.max(0, owned - full);
  }

  /** How many can be filled as they are. */
  public int ready(Instant now) {
    boolean still = !sterilisedAt.plus(STAYS_STERILE).isBefore(now);
    return still ? Math.min(sterilised, free()) : 0;
  }

  /** Whether this set is meant by a kind and a size. */
  public boolean is(Container otherKind, double otherMl) {
    return kind == otherKind && Math.abs(sizeMl - otherMl) < 1;
  }
}
