package dremsa.server.shelf;

import dremsa.core.brew.Contents;
import dremsa.core.keep.Assumption;
import dremsa.core.keep.Inherited;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Place;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.Runs;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import dremsa.server.wire.PouredInJson;
import dremsa.server.wire.Stored;
import dremsa.server.wire.WarmSpellJson;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Says how long a bottle keeps after all that happened to it, and plans what it will call for. */
@Component
class Judging {
  /** When a last day, and what comes before it, is told. */
  static final LocalTime MORNING = LocalTime.of(8, 0);

  /** "Use it soon" is told so many days before the last day. */
  static final int SOON_DAYS = 2;

  private final BottleRepository repository;
  private final BottleEventRepository events;
  private final FridgeEventRepository fridge;
  private final Runs runs;
  private final Households households;
  private final Reminders reminders;
  private final Stored stored;
  private final Kitchens kitchens;

  Judging(
      BottleRepository repository,
      BottleEventRepository events,
      FridgeEventRepository fridge,
      Runs runs,
      Households households,
      Reminders reminders,
      Stored stored,
      Kitchens kitchens) {
    this.kitchens = kitchens;
    this.repository = repository;
    this.events = events;
    this.fridge = fridge;
    this.runs = runs;
    this.households = households;
    this.reminders = reminders;
    this.stored = stored;
  }

  private Inherited inherited(String other) {
    return stored.read(other, PouredInJson.class).toCore();
  }

  /** A bottle with all that is known of it. */
  record Known(Bottle bottle, BatchRecord batch, Keeping keeping) {
    Verdict judge(Instant now) {
      return judge(keeping, now);
    }

    /** What its last day takes for granted most. */
    Optional<Assumption> hangsOn(Instant now) {
      LocalDate shown = judge(now).lastDay();
      return Assumption.dearest(batch.brew(), batch.prediction(), keeping, now)
          .filter(assumption -> assumption.lastDay().isBefore(shown));
    }

    /** The same bottle, had it been kept otherwise. */
    Verdict judge(Keeping otherwise, Instant now) {
      Verdict verdict = otherwise.judge(batch.brew(), batch.prediction(), now);
      if (otherwise.stands() == Place.FREEZER && keeping.stands() != Place.FREEZER) {
        // Asked what freezing would do: it would be labelled anew.
        return verdict;
      }
      return bottle.promisedDay() == null ? verdict : verdict.notAfter(bottle.promisedDay());
    }
  }

  Known known(Bottle bottle) {
    BatchRecord batch = runs.record(bottle.householdId(), bottle.batchId());
    Household household = households.of(bottle.householdId());
    List<KeepEvent> all = new ArrayList<>();
    for (BottleEvent event :
        events.findByBottleIdAndUndoneFalseOrderByHappenedAtAscIdAsc(bottle.id())) {
      keepEvent(event, all);
    }
    for (FridgeEvent event :
        fridge.findByHouseholdIdAndUndoneFalseAndToAtAfterOrderByFromAt(
            bottle.householdId(), bottle.filledAt())) {
      stored.read(event.pieces(), WarmSpellJson.class).pieces().forEach(p -> all.add(p.toCore()));
    }
    return new Known(
        bottle,
        batch,
        new Keeping(
            batch.startedAt(),
            household.zone(),
            bottle.school(),
            bottle.firstPlace(),
            all,
            batch.inherited(),
            bottle.cleanWorking(),
            kitchens.climates(bottle.householdId()),
            bottle.sizeMl(),
            Keeping.Doubt.NONE));
  }

  private void keepEvent(BottleEvent event, List<KeepEvent> into) {
    switch (event.kind()) {
      case MOVED -> into.add(new KeepEvent.Moved(event.happenedAt(), event.place()));
      case WARMED ->
          into.add(
              new KeepEvent.Warmed(
                  event.happenedAt(), event.hours(), event.celsius(), event.cause()));
      case OPENED -> into.add(new KeepEvent.Opened(event.happenedAt()));
      case JOINED ->
          into.add(
              new KeepEvent.Joined(event.happenedAt(), event.ownMl(), inherited(event.other())));
      case SCHOOL -> {
        // The bottle itself knows the school that it is kept by now.
      }
    }
  }

  Verdict judge(Bottle bottle, Instant now) {
    return known(bottle).judge(now);
  }

  /** What a bottle brings along when so much of it is poured out. */
  Inherited poured(Bottle bottle, double millilitres, Instant now) {
    Known known = known(bottle);
    Verdict verdict = known.judge(now);
    Contents contents = verdict.contents().millilitres(millilitres);
    return Inherited.of(
        bottle.name() + " " + known.batch().code(), contents, known.keeping(), verdict);
  }

  /** Reckons a bottle anew, saves it and plans what it will call for. */
  void saved(Bottle bottle, Instant now) {
    if (bottle.status() == Bottle.Status.STANDING) {
      Known known = known(bottle);
      bottle.judged(known.judge(now), known.keeping().stands());
    }
    repository.saveAndFlush(bottle);
    plan(bottle, now);
  }

  /** Every standing bottle anew, after something happened to all of them. */
  void savedAll(UUID household, Instant now) {
    repository
        .findByHouseholdIdAndStatus(household, Bottle.Status.STANDING)
        .forEach(bottle -> saved(bottle, now));
  }

  /** A bottle that was never filled calls for nothing. */
  void forget(Bottle bottle) {
    reminders.replace(bottle.householdId(), subject(bottle.id()), List.of());
  }

  /** Plans what a bottle will call for; what was due before now is not told again. */
  void plan(Bottle bottle, Instant now) {
    List<Due> dues = new ArrayList<>();
    if (bottle.status() == Bottle.Status.STANDING) {
      LocalDate last = bottle.lastDay();
      ZoneId zone = households.of(bottle.householdId()).zone();
      if (!bottle.useNow()) {
        due(dues, bottle, last.minusDays(SOON_DAYS), zone, Due.Kind.SOON, "Use it soon");
      }
      due(dues, bottle, last, zone, Due.Kind.NOW, "Its last day is today");
      due(dues, bottle, last.plusDays(1), zone, Due.Kind.LATE, "Throw away what is left");
      dues.removeIf(due -> due.at().isBefore(now));
    }
    reminders.replace(bottle.householdId(), subject(bottle.id()), dues);
  }

  static String subject(UUID bottle) {
    return "bottle:" + bottle;
  }

  private static void due(
      List<Due> dues, Bottle bottle, LocalDate day, ZoneId zone, Due.Kind kind, String words) {
    dues.add(
        new Due(
            subject(bottle.id()) + ":" + kind + ":" + day,
            day.atTime(MORNING).atZone(zone).toInstant(),
            kind,
            bottle.name() + ", bottle " + bottle.number(),
            words,
            "/keep/" + bottle.id()));
  }
}
