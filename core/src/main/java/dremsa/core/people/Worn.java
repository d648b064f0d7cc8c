package dremsa.core.people;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * How hair is worn.
 *
 * @param since the day it was put up so
 * @param takeDown the day it is to come down
 */
public record Worn(Style style, Optional<LocalDate> since, Optional<LocalDate> takeDown) {
  /** Open, for ever. */
  public static final Worn LOOSE = new Worn(Style.LOOSE, Optional.empty(), Optional.empty());

  /** In what. */
  public enum Style {
    LOOSE("loose"),
    PLAITS("in plaits"),
    CORNROWS("in cornrows"),
    TWISTS("in twists"),
    WRAP("under a wrap");

    private final String words;

    Style(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * Checks that it comes down after it went up.
   *
   * @throws InvalidPersonException names the field
   */
  public Worn {
    Objects.requireNonNull(style, "style");
    if (since.isPresent() && takeDown.isPresent() && takeDown.get().isBefore(since.get())) {
      throw new InvalidPersonException("takeDown", "It comes down after it was put up.");
    }
  }

  /** Whether it is up on a day: the day of the take-down it is open again. */
  public boolean upOn(LocalDate day) {
    return style != Style.LOOSE
        && since.map(from -> !day.isBefore(from)).orElse(true)
        && takeDown.map(day::isBefore).orElse(true);
  }
}
