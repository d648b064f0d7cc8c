package dremsa.core.plan;

import java.time.LocalDate;
import java.util.Objects;

/**
 * Something that stands, or that will come off the bench.
 *
 * @param id of the bottle, or of what will be one
 * @param formula id of what is in it
 * @param from the first day on which it can be used
 * @param lastDay usable through this day; of a frozen one, while it stays frozen
 * @param portionMl frozen in portions of so much; 0 where it is not frozen
 */
public record Supply(
    String id,
    String formula,
    double millilitres,
    LocalDate from,
    LocalDate lastDay,
    double portionMl) {
  /** A thawed portion is good on its day and so many after it. */
  public static final int THAWED = 1;

  public Supply {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(lastDay, "lastDay");
  }

  boolean frozen() {
    return portionMl > 0;
  }
}
