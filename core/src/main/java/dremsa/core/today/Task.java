package dremsa.core.today;

import java.time.Instant;
import java.util.Objects;
import java.util.Optional;

/**
 * One thing to do.
 *
 * @param kind what for
 * @param id of what it is about: a pot, a bottle, a bowl with what a strainer held, or a day
 * @param name of the brew, with the bottle's number where there are several
 * @param words what to do, as a maker says it: {@code "Use the rosemary rinse today"}
 * @param at when, if it is for later
 */
public record Task(Kind kind, String id, String name, String words, Optional<Instant> at) {
  public Task {
    Objects.requireNonNull(kind, "kind");
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(words, "words");
    Objects.requireNonNull(at, "at");
  }

  /** What is done, the most pressing first. */
  public enum Kind {
    /** A pot wants hands or eyes now. */
    POT_NOW(Thing.POT),
    /** The plan has brews for today. */
    BREW(Thing.EVENING),
    THROW_AWAY(Thing.BOTTLE),
    USE_TODAY(Thing.BOTTLE),
    /** What a strainer held is good for nothing any more. */
    COMPOST(Thing.BOWL),
    /** What a strainer held is good for once more. */
    USE_LEFTOVER(Thing.BOWL),
    /** Somebody's wash day is today. */
    WASH(Thing.HEADS),
    /** A pot wants hands or eyes later today. */
    POT_LATER(Thing.POT),
    /** A planned brew begins. */
    BEGIN(Thing.POT),
    /** Nothing presses: this has the nearest last day. */
    USE_FIRST(Thing.BOTTLE);

    private final Thing thing;

    Kind(Thing thing) {
      this.thing = thing;
    }

    /** What it is about. */
    public Thing thing() {
      return thing;
    }
  }

  /** Where it is done. */
  public enum Thing {
    POT,
    BOTTLE,
    BOWL,
    /** A day of heads; its id is the day. */
    HEADS,
    /** A day of brews; its id is the day. */
    EVENING
  }
}
