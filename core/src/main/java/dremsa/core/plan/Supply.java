package dremsa.core.plan;

import dremsa.core.kitchen.Container;
import dremsa.core.people.Standing;
import java.time.LocalDate;
import java.time.ZonedDateTime;
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

  /** A bottle on the shelf. */
  public static Supply of(Standing bottle, LocalDate today) {
    double portion =
        !bottle.frozen()
            ? 0
            : bottle.container() == Container.CUBES ? Needs.CUBE_ML : Math.max(1, bottle.leftMl());
    return standing(
        bottle.id(), bottle.product().formula(), bottle.leftMl(), today, bottle.lastDay(), portion);
  }

  /**
   * What comes off the bench. It can be frozen as what is brewed by the plan is.
   *
   * @param ready when it is bottled, where the household is
   * @param brewable what its formula is to the plan; empty where it could not be brewed again, and
   *     then nothing of it is frozen
   */
  public static Supply coming(Standing bottle, ZonedDateTime ready, Optional<Brewable> brewable) {
    Optional<Brewable.Freezing> freezing = brewable.flatMap(Brewable::freezing);
    return new Supply(
        bottle.id(),
        bottle.product().formula(),
        bottle.leftMl(),
        InKitchen.firstDay(ready),
        bottle.lastDay(),
        freezing.map(Brewable.Freezing::portionMl).orElse(0.0),
        freezing.map(each -> bottle.lastDay().plusDays(each.life() - brewable.get().life())));
  }

  boolean frozen() {
    return portionMl > 0 && frozenTo.isEmpty();
  }
}
