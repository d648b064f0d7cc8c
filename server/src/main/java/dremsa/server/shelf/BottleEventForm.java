package dremsa.server.shelf;

import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened to a bottle, or is asked about.
 *
 * @param hours LEFT_OUT: how long
 * @param place LEFT_OUT: where; MOVE: where to
 * @param millilitres FREEZE_PORTIONS, THAW_PORTIONS and POUR: how much
 * @param portionMl FREEZE_PORTIONS: of one portion
 * @param into POUR: the bottle it goes into
 * @param school SCHOOL: which
 * @param cleanWorking SCHOOL: sterilised bottle, strained fine, fridge at 5 °C
 * @param hoursAgo when it was, or when it was back; 0 is now
 */
record BottleEventForm(
    @NotNull(message = "Say which version you saw.") Long version,
    @NotNull(message = "Say what happened.") What what,
    @Nullable Double hours,
    @Nullable Place place,
    @Nullable Double millilitres,
    @Nullable Double portionMl,
    @Nullable UUID into,
    @Nullable School school,
    @Nullable Boolean cleanWorking,
    @Range(min = 0, max = 24 * 60, message = "0 to 1440 hours ago.") @Nullable Double hoursAgo) {
  /** What can be tapped. */
  enum What {
    /** Stood out for some hours, and is back. */
    LEFT_OUT,
    /** Stands elsewhere from now on. */
    MOVE,
    OPEN,
    /** Some of it frozen in portions. */
    FREEZE_PORTIONS,
    /** Some of what is frozen in portions thawed. */
    THAW_PORTIONS,
    /** Poured into another bottle. */
    POUR,
    /** Kept by another school. */
    SCHOOL
  }

  double neededHours() {
    return need("hours", hours);
  }

  Place neededPlace() {
    return need("place", place);
  }

  /** Where it stood out. */
  Place placeOut() {
    return place == null ? Place.ROOM : place;
  }

  double neededMillilitres() {
    return need("millilitres", millilitres);
  }

  double neededPortionMl() {
    return need("portionMl", portionMl);
  }

  UUID neededInto() {
    return need("into", into);
  }

  School neededSchool() {
    return need("school", school);
  }

  private static <T> T need(String field, @Nullable T value) {
    if (value == null) {
      throw Problem.invalid(FieldProblem.of(field, null, "This is missing."));
    }
    return value;
  }
}
