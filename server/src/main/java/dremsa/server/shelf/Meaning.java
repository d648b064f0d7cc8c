package dremsa.server.shelf;

import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * Says what it means for how long a bottle keeps when something is done to it, and refuses what
 * cannot be. A tap and a "what if" mean the same.
 */
@Component
class Meaning {
  /** Left out for longer is no slip but another place. */
  static final double LONGEST_H = 24.0 * 14;

  /** What an emptied bottle counts as having had of its own when something is poured in, mL. */
  private static final double LEAST_OWN = 0.1;

  private final Shelf shelf;
  private final Judging judging;
  private final Kitchens kitchens;

  Meaning(Shelf shelf, Judging judging, Kitchens kitchens) {
    this.shelf = shelf;
    this.judging = judging;
    this.kitchens = kitchens;
  }

  /**
   * What a form means, and whose life it changes.
   *
   * @param whose the bottle that it counts for: poured into another, it is the other one
   */
  record Meant(Bottle whose, KeepEvent event) {}

  /**
   * What a form means for a bottle, from a moment on.
   *
   * @throws Problem at the field that says what cannot be
   */
  Meant of(Bottle bottle, BottleEventForm form, Instant from) {
    return switch (form.what()) {
      case LEFT_OUT ->
          new Meant(bottle, leftOut(bottle, form.neededHours(), form.placeOut(), from));
      case MOVE -> new Meant(bottle, moved(bottle, form.neededPlace(), from));
      case FREEZE_PORTIONS -> new Meant(bottle, moved(bottle, Place.FREEZER, from));
      case THAW_PORTIONS -> new Meant(bottle, moved(bottle, Place.FRIDGE, from));
      case OPEN -> new Meant(bottle, new KeepEvent.Opened(from));
      case POUR -> {
        Bottle into = shelf.get(bottle.householdId(), form.neededInto());
        yield new Meant(into, joined(bottle, into, form.neededMillilitres(), from));
      }
      case SCHOOL ->
          new Meant(
              bottle,
              keptBy(bottle, form.neededSchool(), Boolean.TRUE.equals(form.cleanWorking()), from));
    };
  }

  KeepEvent.Warmed leftOut(Bottle bottle, double hours, Place place, Instant from) {
    if (!(hours > 0 && hours <= LONGEST_H)) {
      throw Problem.invalid(
          FieldProblem.range("hours", told(hours), "Above 0 and up to two weeks.", 0, LONGEST_H));
    }
    double celsius = place.celsius(kitchens.climates(bottle.householdId()).at(from));
    return new KeepEvent.Warmed(from, hours, celsius, "Left out");
  }

  KeepEvent.Moved moved(Bottle bottle, Place to, Instant at) {
    if (to != Place.FREEZER) {
      return new KeepEvent.Moved(at, to);
    }
    judging
        .known(bottle)
        .keeping()
        .whyNotFrozen()
        .ifPresent(
            why -> {
              throw Problem.invalid(FieldProblem.of("place", "FREEZER", why));
            });
    return new KeepEvent.Moved(at, to, bottle.promisedDay());
  }

  KeepEvent.Joined joined(Bottle from, Bottle into, double millilitres, Instant at) {
    checkAmount(millilitres, from);
    return new KeepEvent.Joined(
        at,
        Math.max(LEAST_OWN, into.leftMl()),
        judging.poured(from, Math.min(millilitres, from.leftMl()), at));
  }

  KeepEvent.KeptBy keptBy(Bottle bottle, School school, boolean clean, Instant at) {
    return new KeepEvent.KeptBy(at, bottle.rules(), new KeepEvent.Rules(school, clean));
  }

  /** There must be so much in it. */
  static void checkAmount(double millilitres, Bottle bottle) {
    double left = bottle.leftMl();
    if (!(millilitres > 0 && millilitres <= left + Bottle.EYE)) {
      throw Problem.invalid(
          FieldProblem.range(
              "millilitres",
              told(millilitres),
              Said.of("There are %.0f mL in it.", left),
              1,
              left));
    }
  }

  /** A number as it may stand in an answer, even where it is none. */
  static Object told(double number) {
    return Double.isFinite(number) ? (Object) number : String.valueOf(number);
  }
}
