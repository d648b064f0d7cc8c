package dremsa.server.shelf;

import dremsa.core.keep.Hours;
import dremsa.core.keep.Inherited;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.VerdictJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What happens to a bottle, and what would happen if. */
@RestController
@RequestMapping("/api/bottles/{id}")
@Transactional
class BottleEventController {
  private final BottleTaps taps;
  private final BottleController bottles;
  private final Shelf shelf;
  private final Judging judging;
  private final Kitchens kitchens;
  private final Households households;
  private final Idempotency idempotency;

  BottleEventController(
      BottleTaps taps,
      BottleController bottles,
      Shelf shelf,
      Judging judging,
      Kitchens kitchens,
      Households households,
      Idempotency idempotency) {
    this.taps = taps;
    this.bottles = bottles;
    this.shelf = shelf;
    this.judging = judging;
    this.kitchens = kitchens;
    this.households = households;
    this.idempotency = idempotency;
  }

  /** What can happen. */
  enum What {
    /** Stood out for some hours, and is back. */
    LEFT_OUT,
    /** Stands elsewhere from now on. */
    MOVE,
    OPEN,
    /** Some of it frozen in portions. */
    FREEZE_PORTIONS,
    /** Poured into another bottle. */
    POUR,
    /** Kept by another school. */
    SCHOOL
  }

  /**
   * Something that happened, or is asked about.
   *
   * @param hours LEFT_OUT: how long
   * @param place LEFT_OUT: where; MOVE: where to
   * @param millilitres FREEZE_PORTIONS and POUR: how much
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
      @Range(min = 0, max = 24 * 60, message = "0 to 1440 hours ago.") @Nullable Double hoursAgo) {}

  /** Before and after, so that one can see before one does. */
  record WhatIf(VerdictJson before, VerdictJson after) {}

  @PostMapping("/events")
  BottleController.BottleView happened(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody BottleEventForm form) {
    idempotency.once(
        member.household(),
        key,
        Map.of("bottle", id, "event", form),
        Boolean.class,
        () -> {
          carryOut(member.household(), id, form);
          return true;
        });
    return bottles.get(member, id);
  }

  private Instant at(UUID household, UUID id, BottleEventForm form) {
    Instant now = households.now(household);
    double ago = form.hoursAgo() == null ? 0 : form.hoursAgo();
    Instant at = Hours.after(now, -ago);
    if (at.isBefore(shelf.get(household, id).filledAt())) {
      throw Problem.invalid(
          FieldProblem.of("hoursAgo", form.hoursAgo(), "It was not filled yet then."));
    }
    return at;
  }

  private void carryOut(UUID household, UUID id, BottleEventForm form) {
    Instant at = at(household, id, form);
    long version = form.version();
    switch (form.what()) {
      case LEFT_OUT ->
          taps.leftOut(
              household,
              id,
              version,
              need("hours", form.hours()),
              form.place() == null ? Place.ROOM : form.place(),
              at);
      case MOVE -> taps.move(household, id, version, need("place", form.place()), at);
      case OPEN -> taps.open(household, id, version, at);
      case FREEZE_PORTIONS ->
          taps.freezePortions(
              household,
              id,
              version,
              need("portionMl", form.portionMl()),
              need("millilitres", form.millilitres()),
              at);
      case POUR ->
          taps.pour(
              household,
              id,
              version,
              need("into", form.into()),
              need("millilitres", form.millilitres()),
              at);
      case SCHOOL ->
          taps.keepBy(
              household,
              id,
              version,
              need("school", form.school()),
              Boolean.TRUE.equals(form.cleanWorking()),
              at);
    }
  }

  private static <T> T need(String field, T value) {
    if (value == null) {
      throw Problem.invalid(FieldProblem.of(field, null, "This is missing."));
    }
    return value;
  }

  /** Shows what an event would do to the last day, without doing it. */
  @WithoutTurn
  @PostMapping("/what-if")
  WhatIf whatIf(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody BottleEventForm form) {
    UUID household = member.household();
    Bottle bottle = shelf.get(household, id);
    if (bottle.status() != Bottle.Status.STANDING) {
      throw Problem.conflict("This bottle is gone already.");
    }
    Instant at = at(household, id, form);
    Judging.Known known = judging.known(bottle);
    Keeping keeping = known.keeping();
    Judging.Known looked = known;
    Supplier<Keeping> then;
    switch (form.what()) {
      case LEFT_OUT -> {
        double hours = need("hours", form.hours());
        if (!(hours > 0 && hours <= BottleTaps.LONGEST_H)) {
          throw Problem.invalid(
              FieldProblem.range(
                  "hours", hours, "Above 0 and up to two weeks.", 0, BottleTaps.LONGEST_H));
        }
        Place out = form.place() == null ? Place.ROOM : form.place();
        double celsius = out.celsius(kitchens.of(household).climate());
        // Not left out yet: what if it were, from now on.
        then = () -> keeping.with(new KeepEvent.Warmed(at, hours, celsius, "Left out"));
      }
      case MOVE, FREEZE_PORTIONS -> {
        Place to = form.what() == What.MOVE ? need("place", form.place()) : Place.FREEZER;
        if (to == Place.FREEZER) {
          keeping
              .whyNotFrozen()
              .ifPresent(
                  why -> {
                    throw Problem.invalid(FieldProblem.of("place", "FREEZER", why));
                  });
        }
        then = () -> keeping.with(new KeepEvent.Moved(at, to));
      }
      case OPEN -> then = () -> keeping.with(new KeepEvent.Opened(at));
      case POUR -> {
        // It is the bottle poured into whose date is in question.
        Bottle into = shelf.get(household, need("into", form.into()));
        looked = judging.known(into);
        double ml = need("millilitres", form.millilitres());
        if (!(ml > 0 && ml <= bottle.leftMl() + 0.5)) {
          throw Problem.invalid(
              FieldProblem.range(
                  "millilitres",
                  ml,
                  Said.of("There are %.0f mL in it.", bottle.leftMl()),
                  1,
                  bottle.leftMl()));
        }
        Inherited other = judging.poured(bottle, ml, at);
        Keeping intoKeeping = looked.keeping();
        then =
            () -> intoKeeping.with(new KeepEvent.Joined(at, Math.max(0.1, into.leftMl()), other));
      }
      case SCHOOL ->
          then =
              () ->
                  keeping
                      .by(need("school", form.school()))
                      .withCleanWorking(Boolean.TRUE.equals(form.cleanWorking()));
      default -> throw new AssertionError(form.what());
    }
    return new WhatIf(
        VerdictJson.of(looked.judge(at)), VerdictJson.of(looked.judge(then.get(), at)));
  }
}
