package dremsa.server.shelf;

import dremsa.core.keep.Hours;
import dremsa.core.keep.Inherited;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.PouredInJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happens to a bottle beside its use: left out, moved, frozen, opened, poured together. */
@Service
public class BottleTaps {
  /** What a bottle may be short of its own label by eye, mL. */
  private static final double EYE = 0.5;

  /** Left out for longer is no slip but another place. */
  static final double LONGEST_H = 24.0 * 14;

  private final BottleRepository repository;
  private final BottleEventRepository events;
  private final Judging judging;
  private final Stored stored;
  private final Shelf shelf;
  private final Kitchens kitchens;
  private final History history;

  BottleTaps(
      BottleRepository repository,
      BottleEventRepository events,
      Judging judging,
      Stored stored,
      Shelf shelf,
      Kitchens kitchens,
      History history) {
    this.repository = repository;
    this.events = events;
    this.judging = judging;
    this.stored = stored;
    this.shelf = shelf;
    this.kitchens = kitchens;
    this.history = history;
  }

  private Bottle standing(UUID household, UUID id, long version) {
    return shelf.standing(household, id, version);
  }

  private void note(
      Bottle bottle, UUID change, Instant at, Happening.Kind kind, Double ml, String detail) {
    history.note(bottle.householdId(), bottle.batchId(), bottle.id(), change, at, kind, ml, detail);
  }

  /**
   * It stood out for some hours and is back.
   *
   * @param place where it stood out
   * @param at when it came back; it must have been filled before it was left out
   */
  @Transactional
  public void leftOut(
      UUID household, UUID id, long version, double hours, Place place, Instant at) {
    Bottle bottle = standing(household, id, version);
    Instant from = since(bottle, hours, at);
    UUID change = UUID.randomUUID();
    double celsius = place.celsius(kitchens.climates(household).at(from));
    events.save(BottleEvent.warmed(bottle, change, from, hours, celsius, "Left out"));
    note(
        bottle,
        change,
        at,
        Happening.Kind.LEFT_OUT,
        null,
        Said.of("about %s h in %s", Said.tenths(hours), place.words()));
    judging.saved(bottle, at);
  }

  static Instant since(Bottle bottle, double hours, Instant at) {
    double most = Math.min(LONGEST_H, Hours.between(bottle.filledAt(), at));
    if (!(hours > 0 && hours <= most)) {
      throw Problem.invalid(
          FieldProblem.range(
              "hours",
              Double.isFinite(hours) ? (Object) hours : String.valueOf(hours),
              Said.of(
                  "It was filled %s h ago: above 0 and not longer than that.", Said.tenths(most)),
              0,
              most));
    }
    return Hours.after(at, -hours);
  }

  /** It stands in another place from now on. */
  @Transactional
  public void move(UUID household, UUID id, long version, Place to, Instant at) {
    Bottle bottle = standing(household, id, version);
    Place from = bottle.place();
    if (from == to) {
      throw Problem.conflict("It stands there already.");
    }
    if (to == Place.FREEZER) {
      mayFreeze(bottle);
    }
    UUID change = UUID.randomUUID();
    LocalDate promised = to == Place.FREEZER ? bottle.promisedDay() : null;
    events.save(
        to == Place.FREEZER
            ? BottleEvent.frozen(bottle, change, at, promised)
            : BottleEvent.moved(bottle, change, at, to));
    if (promised != null) {
      bottle.unlabelled();
    }
    Happening.Kind kind =
        to == Place.FREEZER
            ? Happening.Kind.FROZEN
            : from == Place.FREEZER ? Happening.Kind.THAWED : Happening.Kind.MOVED;
    note(
        bottle,
        change,
        at,
        kind,
        null,
        from.words()
            + " to "
            + to.words()
            + (promised == null ? "" : Said.of("; its label said %s: label it anew", promised)));
    judging.saved(bottle, at);
  }

  private void mayFreeze(Bottle bottle) {
    judging
        .known(bottle)
        .keeping()
        .whyNotFrozen()
        .ifPresent(
            why -> {
              throw Problem.invalid(FieldProblem.of("place", "FREEZER", why));
            });
  }

  /** It was opened and touched. */
  @Transactional
  void open(UUID household, UUID id, long version, Instant at) {
    Bottle bottle = standing(household, id, version);
    UUID change = UUID.randomUUID();
    events.save(BottleEvent.opened(bottle, change, at));
    note(bottle, change, at, Happening.Kind.OPENED, null, "");
    judging.saved(bottle, at);
  }

  /**
   * Freezes some of it in portions; the rest stays where it is.
   *
   * @param portionMl of one portion
   * @param millilitres in all
   */
  @Transactional
  UUID freezePortions(
      UUID household, UUID id, long version, double portionMl, double millilitres, Instant at) {
    Bottle bottle = standing(household, id, version);
    mayFreeze(bottle);
    checkAmount("millilitres", millilitres, bottle.leftMl());
    if (!(portionMl >= 5 && portionMl <= millilitres + EYE)) {
      throw Problem.invalid(
          FieldProblem.range(
              "portionMl", portionMl, "A portion has 5 mL to all of it.", 5, millilitres));
    }
    double taken = Math.min(millilitres, bottle.leftMl());
    UUID change = UUID.randomUUID();
    int number =
        repository.findByHouseholdIdAndBatchIdOrderByNumber(household, bottle.batchId()).stream()
                .mapToInt(Bottle::number)
                .max()
                .orElse(0)
            + 1;
    Bottle part =
        repository.saveAndFlush(
            bottle.parted(
                number, Container.CUBES, Math.ceil(taken / portionMl) * portionMl, taken));
    events
        .findByBottleIdAndUndoneFalseOrderByHappenedAtAscIdAsc(id)
        .forEach(event -> events.save(event.of(part)));
    events.save(BottleEvent.moved(part, change, at, Place.FREEZER));
    bottle.take(taken);
    String portions =
        Said.of("%d portions of %.0f mL", (int) Math.ceil(taken / portionMl - 1e-6), portionMl);
    note(bottle, change, at, Happening.Kind.POURED_OUT, taken, "into " + portions);
    note(part, change, at, Happening.Kind.FROZEN, taken, portions);
    if (bottle.leftMl() < EYE) {
      bottle.end(Bottle.Status.FINISHED, null, at);
    }
    judging.saved(bottle, at);
    judging.saved(part, at);
    return part.id();
  }

  private static void checkAmount(String field, double millilitres, double left) {
    if (!(millilitres > 0 && millilitres <= left + EYE)) {
      throw Problem.invalid(
          FieldProblem.range(
              field,
              Double.isFinite(millilitres) ? (Object) millilitres : String.valueOf(millilitres),
              Said.of("There are %.0f mL in it.", left),
              1,
              left));
    }
  }

  /** Pours some of one bottle into another. */
  @Transactional
  void pour(
      UUID household, UUID fromId, long version, UUID intoId, double millilitres, Instant at) {
    Bottle from = standing(household, fromId, version);
    if (fromId.equals(intoId)) {
      throw Problem.invalid(FieldProblem.of("into", intoId, "That is the same bottle."));
    }
    Bottle into = shelf.get(household, intoId);
    if (into.status() != Bottle.Status.STANDING) {
      throw Problem.conflict("The bottle that it shall go into is gone already.");
    }
    checkAmount("millilitres", millilitres, from.leftMl());
    if (into.leftMl() + millilitres > into.sizeMl() + EYE) {
      throw Problem.invalid(
          FieldProblem.range(
              "millilitres",
              millilitres,
              Said.of("Only %.0f mL more go into it.", into.sizeMl() - into.leftMl()),
              1,
              into.sizeMl() - into.leftMl()));
    }
    double taken = Math.min(millilitres, from.leftMl());
    UUID change = UUID.randomUUID();
    Inherited other = judging.poured(from, taken, at);
    events.save(
        BottleEvent.joined(
            into, change, at, Math.max(0.1, into.leftMl()), stored.write(PouredInJson.of(other))));
    from.take(taken);
    into.pourIn(taken);
    note(from, change, at, Happening.Kind.POURED_OUT, taken, "into " + into.name());
    note(into, change, at, Happening.Kind.POURED_IN, taken, "from " + other.name());
    if (from.leftMl() < EYE) {
      from.end(Bottle.Status.FINISHED, null, at);
    }
    judging.saved(from, at);
    judging.saved(into, at);
  }

  /** Keeps the batch by a school, in all its bottles that still stand. */
  @Transactional
  void keepBy(UUID household, UUID id, long version, School school, boolean clean, Instant at) {
    Bottle asked = standing(household, id, version);
    UUID change = UUID.randomUUID();
    for (Bottle bottle :
        repository.findByHouseholdIdAndBatchIdOrderByNumber(household, asked.batchId())) {
      if (bottle.status() == Bottle.Status.STANDING) {
        events.save(BottleEvent.school(bottle, change, at));
        bottle.keepBy(school, clean);
        note(
            bottle,
            change,
            at,
            Happening.Kind.SCHOOL_CHANGED,
            null,
            school.words() + (clean ? ", worked clean" : ""));
        judging.saved(bottle, at);
      }
    }
  }

  /** Takes a change back, in every bottle that it touched. */
  @Transactional
  void undo(UUID household, UUID change, Instant at) {
    List<Happening> parts = history.ofChange(household, change);
    List<BottleEvent> kept = events.findByHouseholdIdAndChangeId(household, change);
    boolean parted =
        parts.stream().anyMatch(p -> p.kind() == Happening.Kind.FROZEN)
            && parts.stream().anyMatch(p -> p.kind() == Happening.Kind.POURED_OUT);
    for (Happening part : parts) {
      Bottle bottle = shelf.get(household, part.bottleId());
      part.undo();
      switch (part.kind()) {
        case POURED_OUT -> {
          bottle.putBack(part.millilitres());
          bottle.standAgain();
        }
        case POURED_IN -> {
          if (bottle.leftMl() + EYE < part.millilitres()) {
            throw Problem.conflict("Too little is left of what was poured in.");
          }
          bottle.take(part.millilitres());
        }
        case SCHOOL_CHANGED ->
            kept.stream()
                .filter(e -> e.bottleId().equals(bottle.id()))
                .forEach(
                    e ->
                        bottle.keepBy(
                            School.valueOf(e.cause().replace("+", "")), e.cause().endsWith("+")));
        case FROZEN ->
            kept.stream()
                .filter(e -> e.bottleId().equals(bottle.id()))
                .flatMap(e -> e.promised().stream())
                .forEach(bottle::labelledAgain);
        default -> {
          // Its events are all there is to it.
        }
      }
    }
    kept.forEach(BottleEvent::undo);
    for (Happening part : parts) {
      Bottle bottle = shelf.get(household, part.bottleId());
      if (parted && part.kind() == Happening.Kind.FROZEN) {
        if (!bottle.untouched()) {
          throw Problem.conflict("Something of the portions was used already.");
        }
        bottle.end(Bottle.Status.FINISHED, null, at);
        bottle.take(bottle.leftMl());
      }
      judging.saved(bottle, at);
    }
  }
}
