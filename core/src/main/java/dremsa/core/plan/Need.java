package dremsa.core.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;

/**
 * Something that is needed on a day.
 *
 * @param id names it within the situation
 * @param person whose; empty where it is for nobody in particular
 * @param words what for: {@code "Maeve's wash day, styler"}
 * @param accepted what would do, the best liked first
 * @param millilitres the usual dose, above 0
 * @param elastic a dose may be a little smaller or larger; a promise of so much may not
 */
public record Need(
    String id,
    LocalDate day,
    String person,
    String words,
    List<Accepted> accepted,
    double millilitres,
    boolean elastic) {
  /** A dose is at least this share of the usual; common practice. */
  public static final double LEAST = 0.8;

  /** A dose is at most this share of the usual; common practice. */
  public static final double MOST = 1.25;

  /**
   * A formula that would do.
   *
   * @param liking 0 the best; the same number where nobody minds which
   */
  public record Accepted(String formula, int liking) {}

  public Need {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(day, "day");
    accepted = List.copyOf(accepted);
    if (!(millilitres > 0)) {
      throw new IllegalArgumentException("a need of nothing: " + id);
    }
  }

  /** The least that serves it, mL. */
  double least() {
    return elastic ? millilitres * LEAST : millilitres;
  }

  /** The most that is used for it, mL. */
  double most() {
    return elastic ? millilitres * MOST : millilitres;
  }
}
