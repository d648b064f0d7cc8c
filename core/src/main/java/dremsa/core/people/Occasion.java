package dremsa.core.people;

import java.time.LocalTime;
import java.util.List;
import java.util.Objects;

/**
 * Something that comes round in somebody's care: wash day, midweek, between the braids.
 *
 * @param key names it within the routine
 * @param time when it is usually done
 * @param slots in the order in which they are done
 */
public record Occasion(
    String key, Kind kind, String name, Repeat repeat, LocalTime time, List<Slot> slots) {
  /** More places than any wash day has. */
  public static final int MOST_SLOTS = 16;

  private static final int LONGEST = 60;

  /** What sort of occasion. */
  public enum Kind {
    WASH_DAY("wash day"),
    MIDWEEK("midweek"),
    BETWEEN_BRAIDS("between the braids");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** Whether what was left on the hair is washed out by it. */
    boolean washes() {
      return this == WASH_DAY;
    }
  }

  /**
   * Checks it.
   *
   * @throws InvalidPersonException names the field
   */
  public Occasion {
    Objects.requireNonNull(kind, "kind");
    Objects.requireNonNull(repeat, "repeat");
    Objects.requireNonNull(time, "time");
    slots = List.copyOf(slots);
    if (key.isBlank() || key.length() > LONGEST) {
      throw new InvalidPersonException("key", "1 to 60 characters.");
    }
    if (name.isBlank() || name.length() > LONGEST) {
      throw new InvalidPersonException("name", "A name of 1 to 60 characters.");
    }
    if (slots.isEmpty() || slots.size() > MOST_SLOTS) {
      throw new InvalidPersonException(
          "slots", "1 to " + MOST_SLOTS + " things are done on one day, not " + slots.size() + ".");
    }
  }

  /** As it is said: {@code "wash day, Sundays"}; what it follows is named. */
  public String words(List<Occasion> all) {
    if (repeat instanceof Repeat.With with) {
      String other =
          all.stream()
              .filter(each -> each.key().equals(with.occasion()))
              .map(each -> lowered(each.name))
              .findFirst()
              .orElse("wash day");
      return switch (with.every()) {
        case 1 -> "every " + other;
        case 2 -> "every second " + other;
        case 3 -> "every third " + other;
        default -> "every " + with.every() + "th " + other;
      };
    }
    return repeat.words();
  }

  private static String lowered(String words) {
    return words.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + words.substring(1);
  }
}
