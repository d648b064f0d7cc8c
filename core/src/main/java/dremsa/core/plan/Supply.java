package dremsa.core.plan;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * Something that stands, or that will come off the bench.
 *
 * @param id of the bottle, or of what will be one
 * @param formula id of what is in it
 * @param from the first day on which it can be used
 * @param lastDay usable through this day; of a frozen one, while it stays frozen
 * @param portionMl frozen in portions of so much; 0 where it is not frozen and cannot be
 * @param frozenTo it is still to be bottled, and what is frozen of it then keeps until this day;
 *     empty where it is in its bottles
 */
public record Supply(
    String id,
    String formula,
    double millilitres,
    LocalDate from,
    LocalDate lastDay,
    double portionMl,
    Optional<LocalDate> frozenTo) {
  /** A thawed portion is good on its day and so many after it. */
  public static final int THAWED = 1;

  public Supply {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(lastDay, "lastDay");
    Objects.requireNonNull(frozenTo, "frozenTo");
  }

  /** What stands in its bottles. */
  public static Supply standing(
      String id,
      String formula,
      double millilitres,
      LocalDate from,
      LocalDate lastDay,
      double portionMl) {
    return new Supply(id, formula, millilitres, from, lastDay, portionMl, Optional.empty());
  }

  boolean frozen() {
    return portionMl > 0 && frozenTo.isEmpty();
  }
}
