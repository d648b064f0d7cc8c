package dremsa.core.people;

import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Objects;

/**
 * A bottle that could be reached for.
 *
 * @param id of the bottle
 * @param name as told to the maker
 * @param leftMl in it
 * @param lastDay of it; of a frozen one, while it stays frozen
 * @param opened something was taken from it already
 */
public record Standing(
    String id,
    String name,
    Product product,
    double leftMl,
    LocalDate lastDay,
    boolean opened,
    Place place,
    Container container) {
  /** A thawed portion is good for so many days. */
  public static final int THAWED_DAYS = 2;

  public Standing {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(product, "product");
    Objects.requireNonNull(lastDay, "lastDay");
  }

  /** What must go first stands first; of the same day the open one; frozen ones wait. */
  static final Comparator<Standing> FIRST_TO_GO =
      Comparator.comparing(Standing::frozen)
          .thenComparing(Standing::lastDay)
          .thenComparing(standing -> !standing.opened)
          .thenComparing(Standing::leftMl)
          .thenComparing(Standing::id);

  /** How much of it is thawed for so much: cubes one by one, anything else as a whole; mL. */
  double thaws(double millilitres) {
    return container == Container.CUBES ? millilitres : leftMl;
  }

  /**
   * The same bottle after some was taken from it on a day: thawed as a whole it keeps no longer.
   */
  Standing takenOn(LocalDate day, double leftAfter) {
    if (!frozen() || container == Container.CUBES) {
      return left(leftAfter);
    }
    LocalDate last = day.plusDays(THAWED_DAYS - 1L);
    return new Standing(
        id,
        name,
        product,
        leftAfter,
        lastDay.isBefore(last) ? lastDay : last,
        true,
        Place.FRIDGE,
        container);
  }

  /** The same bottle with so much in it. */
  Standing left(double millilitres) {
    boolean begun = opened || millilitres < leftMl;
    return new Standing(id, name, product, millilitres, lastDay, begun, place, container);
  }

  public boolean frozen() {
    return place == Place.FREEZER;
  }
}
