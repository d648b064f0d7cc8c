package dremsa.core.people;

import dremsa.core.check.Wearer;
import java.time.LocalDate;

/** How old somebody is, as far as limits depend on it. */
public enum AgeBand {
  UNDER_3("under 3", Wearer.UNDER_3, 0),
  FROM_3("3 to 6", Wearer.CHILD_3_TO_6, 3),
  FROM_6("6 to 12", Wearer.CHILD_OVER_6, 6),
  FROM_13("13 to 17", Wearer.CHILD_OVER_6, 13),
  ADULT("grown up", Wearer.ADULT, 18);

  /** The oldest that anybody is. */
  public static final int OLDEST = 125;

  private final String words;
  private final Wearer wearer;
  private final int from;

  AgeBand(String words, Wearer wearer, int from) {
    this.words = words;
    this.wearer = wearer;
    this.from = from;
  }

  public String words() {
    return words;
  }

  /** Whose limits count. */
  public Wearer wearer() {
    return wearer;
  }

  /**
   * The band of somebody born in a year. Nobody says on which day: the younger age counts, whose
   * limits are the stricter.
   *
   * @param born a year, not after {@code today}'s and at most {@value #OLDEST} before it
   * @throws IllegalArgumentException when nobody can be that old, or is not born yet
   */
  public static AgeBand of(int born, LocalDate today) {
    int years = today.getYear() - born;
    if (years < 0 || years > OLDEST) {
      throw new IllegalArgumentException(
          years < 0 ? "That year is still to come." : "Nobody is " + years + " years old.");
    }
    AgeBand band = UNDER_3;
    for (AgeBand each : values()) {
      if (years - 1 >= each.from) {
        band = each;
      }
    }
    return band;
  }
}
