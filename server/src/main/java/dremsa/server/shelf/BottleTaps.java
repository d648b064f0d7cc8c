package dremsa.server.shelf;

import dremsa.core.keep.Hours;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Households;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happens to a bottle beside its use: left out, moved, frozen, opened, poured together. */
@Service
public class BottleTaps {
  private final BottleRepository repository;
  private final BottleEventRepository events;
  private final Judging judging;
  private final Meaning meaning;
  private final Stored stored;
  private final Shelf shelf;
  private final Households households;
  private final History history;

  BottleTaps(
      BottleRepository repository,
      BottleEventRepository events,
      Judging judging,
      Meaning meaning,
      Stored stored,
      Shelf shelf,
      Households households,
      History history) {
    this.repository = repository;
    this.events = events;
    this.judging = judging;
    this.meaning = meaning;
    this.stored = stored;
    this.shelf = shelf;
    this.households = households;
    this.history = history;
  }

  private void note(
      Bottle bottle, UUID change, Instant at, Happening.Kind kind, @Nullable Double ml, Told told) {
    history.note(bottle.householdId(), bottle.batchId(), bottle.id(), change, at, kind, ml, told);
  }

  private void keep(Bottle bottle, UUID change, KeepEvent event) {
    events.save(new BottleEvent(bottle, change, event, stored));
  }

  /** When a form says that it was, or was over. */
  private Instant told(Bottle bottle, BottleEventForm form) {
    Instant now = households.now(bottle.householdId());
    Instant at = Hours.after(now, form.hoursAgo() == null ? 0 : -form.hoursAgo());
    if (at.isBefore(bottle.filledAt())) {
      throw Problem.invalid(
          FieldProblem.of("hoursAgo", form.hoursAgo(), "It was not filled yet then."));
    }
    return at;
  }

  /** How long a bottle keeps now, and how long it would. */
  record Looked(Verdict before, Verdict after) {}

  /** What a form would do to the last day of the bottle that it counts for. */
  Looked look(UUID household, UUID id, BottleEventForm form) {
    Bottle bottle = shelf.get(household, id);
    if (bottle.status() != Bottle.Status.STANDING) {
      throw Problem.conflict("This bottle is gone already.");
    }
    Instant at = told(bottle, form);
    // Not left out yet: what if it were, from now on.
    Meaning.Meant meant = meaning.of(bottle, form, at);
    Judging.Known known = judging.known(meant.whose());
    return new Looked(known.judge(at), known.judge(known.keeping().with(meant.event()), at));
  }

  /** Does what a form says. */
  @Transactional
  void carryOut(UUID household, UUID id, BottleEventForm form) {
    Instant at = told(shelf.get(household, id), form);
    Bottle bottle = shelf.standing(household, id, form.version());
    if (form.what() == BottleEventForm.What.FREEZE_PORTIONS) {
      freezePortions(bottle, form.neededPortionMl(), form.neededMillilitres(), at);
      return;
    }
    if (form.what() == BottleEventForm.What.THAW_PORTIONS) {
      thawPortions(bottle, form.neededMillilitres(), at);
      return;
    }
    if (form.what() == BottleEventForm.What.LEFT_OUT) {
      KeepEvent out = meaning.of(bottle, form, since(bottle, form.neededHours(), at)).event();
      happened(bottle, out, at, new Told.LeftOut(form.neededHours(), form.placeOut()));
      return;
    }
    Meaning.Meant meant = meaning.of(bottle, form, at);
    KeepEvent event = meant.event();
    if (event instanceof KeepEvent.Joined joined) {
      pour(bottle, meant.whose(), form.neededMillilitres(), joined);
    } else if (event instanceof KeepEvent.KeptBy kept) {
      keepBy(bottle, UUID.randomUUID(), kept);
    } else if (event instanceof KeepEvent.Moved moved) {
      move(bottle, moved);
    } else {
      happened(bottle, event, at, Told.NOTHING);
    }
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
    Bottle bottle = shelf.standing(household, id, version);
    KeepEvent out = meaning.leftOut(bottle, hours, place, since(bottle, hours, at));
    happened(bottle, out, at, new Told.LeftOut(hours, place));
  }

  /** It stands in another place from now on. */
  @Transactional
  public void move(UUID household, UUID id, long version, Place to, Instant at) {
    Bottle bottle = shelf.standing(household, id, version);
    move(bottle, meaning.moved(bottle, to, at));
  }

  private static Instant since(Bottle bottle, double hours, Instant at) {
    double most = Math.min(Meaning.LONGEST_H, Hours.between(bottle.filledAt(), at));
    if (!(hours > 0 && hours <= most)) {
      throw Problem.invalid(
          FieldProblem.range(
              "hours",
              Meaning.told(hours),
              Said.of(
                  "It was filled %s h ago: above 0 and not longer than that.", Said.tenths(most)),
              0,
              most));
    }
    return Hours.after(at, -hours);
  }

  private void happened(Bottle bottle, KeepEvent event, Instant at, Told told) {
    UUID change = UUID.randomUUID();
    Happening.Kind kind =
        switch (event.kind()) {
          case WARMED -> Happening.Kind.LEFT_OUT;
          case OPENED -> Happening.Kind.OPENED;
          case MOVED, JOINED, SCHOOL, FRIDGE_WARMED -> throw new AssertionError(event);
        };
    keep(bottle, change, event);
    note(bottle, change, at, kind, null, told);
    judging.saved(bottle, at);
  }

  private void move(Bottle bottle, KeepEvent.Moved moved) {
    UUID change = UUID.randomUUID();
    Place from = bottle.place();
    Place to = moved.place();
    if (from == to) {
      throw Problem.conflict("It stands there already.");
    }
    keep(bottle, change, moved);
    if (moved.promised() != null) {
      bottle.unlabelled();
    }
    Happening.Kind kind =
        to == Place.FREEZER
            ? Happening.Kind.FROZEN
            : from == Place.FREEZER ? Happening.Kind.THAWED : Happening.Kind.MOVED;
    note(bottle, change, moved.at(), kind, null, new Told.Moved(from, to, moved.promised()));
    judging.saved(bottle, moved.at());
  }

  /**
   * Freezes some of it in portions; the rest stays where it is.
   *
   * @param portionMl of one portion
   * @param millilitres in all
   */
  private void freezePortions(Bottle bottle, double portionMl, double millilitres, Instant at) {
    KeepEvent frozen = new KeepEvent.Moved(at, meaning.moved(bottle, Place.FREEZER, at).place());
    Meaning.checkAmount(millilitres, bottle);
    if (!(portionMl >= 5 && portionMl <= millilitres + Bottle.EYE)) {
      throw Problem.invalid(
          FieldProblem.range(
              "portionMl",
              Meaning.told(portionMl),
              "A portion has 5 mL to all of it.",
              5,
              millilitres));
    }
    double taken = Math.min(millilitres, bottle.leftMl());
    int count = (int) Math.ceil(taken / portionMl - 1e-6);
    UUID change = UUID.randomUUID();
    Bottle part = parted(bottle, Container.CUBES, Math.ceil(taken / portionMl) * portionMl, taken);
    keep(part, change, frozen);
    bottle.take(taken);
    note(
        bottle,
        change,
        at,
        Happening.Kind.POURED_OUT,
        taken,
        new Told.Portions(count, portionMl, true));
    note(
        part, change, at, Happening.Kind.FROZEN, taken, new Told.Portions(count, portionMl, false));
    bottle.endIfEmpty(at);
    judging.saved(bottle, at);
    judging.saved(part, at);
  }

  /**
   * Thaws some of what is frozen in portions; the rest stays frozen.
   *
   * @param millilitres in all
   */
  private void thawPortions(Bottle bottle, double millilitres, Instant at) {
    if (bottle.place() != Place.FREEZER) {
      throw Problem.conflict("It is not in the freezer.");
    }
    Meaning.checkAmount(millilitres, bottle);
    double taken = Math.min(millilitres, bottle.leftMl());
    UUID change = UUID.randomUUID();
    Bottle part = parted(bottle, Container.JAR, taken, taken);
    keep(part, change, new KeepEvent.Moved(at, Place.FRIDGE));
    bottle.take(taken);
    note(bottle, change, at, Happening.Kind.POURED_OUT, taken, Told.NOTHING);
    note(
        part,
        change,
        at,
        Happening.Kind.THAWED,
        taken,
        new Told.Moved(Place.FREEZER, Place.FRIDGE, null));
    bottle.endIfEmpty(at);
    judging.saved(bottle, at);
    judging.saved(part, at);
  }

  /** Some of a bottle in a container of its own, with all that happened to it so far. */
  private Bottle parted(Bottle bottle, Container container, double sizeMl, double taken) {
    Bottle part =
        repository.saveAndFlush(bottle.parted(nextNumber(bottle), container, sizeMl, taken));
    events
        .findByBottleIdAndUndoneFalseOrderByHappenedAtAscIdAsc(bottle.id())
        .forEach(event -> events.save(event.of(part)));
    return part;
  }

  private int nextNumber(Bottle bottle) {
    return repository
            .findByHouseholdIdAndBatchIdOrderByNumber(bottle.householdId(), bottle.batchId())
            .stream()
            .mapToInt(Bottle::number)
            .max()
            .orElse(0)
        + 1;
  }

  /** Pours some of one bottle into another. */
  private void pour(Bottle from, Bottle into, double millilitres, KeepEvent.Joined joined) {
    if (from.id().equals(into.id())) {
      throw Problem.invalid(FieldProblem.of("into", into.id(), "That is the same bottle."));
    }
    if (into.status() != Bottle.Status.STANDING) {
      throw Problem.conflict("The bottle that it shall go into is gone already.");
    }
    if (into.leftMl() + millilitres > into.sizeMl() + Bottle.EYE) {
      throw Problem.invalid(
          FieldProblem.range(
              "millilitres",
              millilitres,
              Said.of("Only %.0f mL more go into it.", into.sizeMl() - into.leftMl()),
              1,
              into.sizeMl() - into.leftMl()));
    }
    Instant at = joined.at();
    double taken = Math.min(millilitres, from.leftMl());
    UUID change = UUID.randomUUID();
    keep(into, change, joined);
    from.take(taken);
    into.pourIn(taken);
    note(from, change, at, Happening.Kind.POURED_OUT, taken, new Told.Poured(into.name(), true));
    note(
        into,
        change,
        at,
        Happening.Kind.POURED_IN,
        taken,
        new Told.Poured(joined.other().name(), false));
    from.endIfEmpty(at);
    judging.saved(from, at);
    judging.saved(into, at);
  }

  /** Keeps the batch by other rules, in all its bottles that still stand. */
  private void keepBy(Bottle asked, UUID change, KeepEvent.KeptBy kept) {
    for (Bottle bottle :
        repository.findByHouseholdIdAndBatchIdOrderByNumber(asked.householdId(), asked.batchId())) {
      if (bottle.status() == Bottle.Status.STANDING) {
        KeepEvent.Rules now = Objects.requireNonNull(kept.now());
        keep(bottle, change, new KeepEvent.KeptBy(kept.at(), bottle.rules(), now));
        bottle.keepBy(now);
        note(
            bottle,
            change,
            kept.at(),
            Happening.Kind.SCHOOL_CHANGED,
            null,
            new Told.KeptBy(now.school(), now.cleanWorking()));
        judging.saved(bottle, kept.at());
      }
    }
  }

  /** Takes a change back, in every bottle that it touched. */
  @Transactional
  void undo(UUID household, UUID change, Instant at) {
    List<Happening> parts = history.ofChange(household, change);
    List<BottleEvent> kept = events.findByHouseholdIdAndChangeId(household, change);
    boolean parted =
        parts.stream().anyMatch(BottleTaps::isPart)
            && parts.stream().anyMatch(p -> p.kind() == Happening.Kind.POURED_OUT);
    for (Happening part : parts) {
      Bottle bottle = shelf.get(household, Objects.requireNonNull(part.bottleId()));
      part.undo();
      List<KeepEvent> meant =
          kept.stream()
              .filter(event -> event.bottleId().equals(bottle.id()))
              .map(event -> event.event(stored))
              .toList();
      switch (part.kind()) {
        case POURED_OUT -> {
          bottle.putBack(Objects.requireNonNull(part.millilitres()));
          bottle.standAgain();
        }
        case POURED_IN -> {
          if (bottle.leftMl() + Bottle.EYE < Objects.requireNonNull(part.millilitres())) {
            throw Problem.conflict("Too little is left of what was poured in.");
          }
          bottle.take(Objects.requireNonNull(part.millilitres()));
        }
        case SCHOOL_CHANGED ->
            KeepEvent.only(KeepEvent.KeptBy.class, meant)
                .forEach(event -> bottle.keepBy(event.before()));
        case FROZEN ->
            KeepEvent.only(KeepEvent.Moved.class, meant)
                .map(KeepEvent.Moved::promised)
                .filter(Objects::nonNull)
                .forEach(bottle::labelledAgain);
        default -> {
          // Its events are all there is to it.
        }
      }
    }
    kept.forEach(BottleEvent::undo);
    for (Happening part : parts) {
      Bottle bottle = shelf.get(household, Objects.requireNonNull(part.bottleId()));
      if (parted && isPart(part)) {
        if (!bottle.untouched()) {
          throw Problem.conflict("Something of the portions was used already.");
        }
        bottle.end(Bottle.Status.FINISHED, null, at);
        bottle.take(bottle.leftMl());
      }
      judging.saved(bottle, at);
    }
  }

  private static boolean isPart(Happening happening) {
    return happening.kind() == Happening.Kind.FROZEN || happening.kind() == Happening.Kind.THAWED;
  }
}
