package dremsa.server.shelf;

import dremsa.core.brew.Contents;
import dremsa.core.keep.Assumption;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Hours;
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
import dremsa.server.wire.Stored;
import dremsa.server.wire.WarmSpellJson;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
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

  /** A bottle with all that is known of it. */
  record Known(Bottle bottle, BatchRecord batch, Keeping keeping) {
    Verdict judge(Instant now) {
      return judge(keeping, now);
    }

    /** What so much of it consists of. */
    Contents contents(double millilitres, Instant now) {
      return judge(now).contents().millilitres(millilitres);
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

  /** A bottle with all that is known of it, read for it alone. */
  Known known(Bottle bottle) {
    return round(bottle.householdId(), List.of(bottle)).known(bottle);
  }

  /** Begins to judge bottles of a household, after all that happened to them so far. */
  Round round(UUID household, List<Bottle> bottles) {
    return new Round(household, bottles);
  }

  /** Bottles of a household, judged with what they share read once and each batch reckoned once. */
  final class Round {
    private final Household household;
    private final Climates climates;
    private final List<KeepEvent.FridgeWarmed> warm = new ArrayList<>();
    private final Map<UUID, List<BottleEvent>> happened;
    private final Map<UUID, BatchRecord> batches = new HashMap<>();

    private Round(UUID id, List<Bottle> bottles) {
      household = households.of(id);
      climates = kitchens.climates(id);
      happened =
          events
              .findByBottleIdInAndUndoneFalseOrderByHappenedAtAscIdAsc(
                  bottles.stream().map(Bottle::id).toList())
              .stream()
              .collect(Collectors.groupingBy(BottleEvent::bottleId));
      bottles.stream()
          .map(Bottle::filledAt)
          .min(Instant::compareTo)
          .ifPresent(first -> readFridge(id, first));
    }

    private void readFridge(UUID id, Instant since) {
      fridge
          .findByHouseholdIdAndUndoneFalseAndToAtAfterOrderByFromAt(id, since)
          .forEach(
              event ->
                  stored.read(event.pieces(), WarmSpellJson.class).pieces().stream()
                      .map(WarmSpellJson.PieceJson::toCore)
                      .forEach(warm::add));
    }

    Known known(Bottle bottle) {
      BatchRecord batch =
          batches.computeIfAbsent(
              bottle.batchId(), id -> runs.record(bottle.householdId(), bottle.batchId()));
      List<KeepEvent> all = new ArrayList<>();
      happened.getOrDefault(bottle.id(), List.of()).forEach(e -> all.add(e.event(stored)));
      warm.stream()
          .filter(w -> Hours.after(w.at(), w.hours()).isAfter(bottle.filledAt()))
          .forEach(all::add);
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
              climates,
              OptionalDouble.of(bottle.sizeMl()),
              Keeping.Doubt.NONE));
    }

    /** Reckons a bottle anew, saves it and plans what it will call for. */
    void saved(Bottle bottle, Instant now) {
      if (bottle.status() == Bottle.Status.STANDING) {
        Known known = known(bottle);
        bottle.judged(known.judge(now), known.keeping().stands());
      }
      repository.saveAndFlush(bottle);
      plan(bottle, now, household.zone());
    }
  }

  Verdict judge(Bottle bottle, Instant now) {
    return known(bottle).judge(now);
  }

  /** What a bottle brings along when so much of it is poured out. */
  Inherited poured(Bottle bottle, double millilitres, Instant now) {
    Known known = known(bottle);
    return Inherited.of(
        bottle.name() + " " + known.batch().code(),
        known.contents(millilitres, now),
        known.keeping(),
        known.judge(now));
  }

  /** Reckons a bottle anew, saves it and plans what it will call for. */
  void saved(Bottle bottle, Instant now) {
    if (bottle.status() == Bottle.Status.STANDING) {
      round(bottle.householdId(), List.of(bottle)).saved(bottle, now);
    } else {
      repository.saveAndFlush(bottle);
      plan(bottle, now);
    }
  }

  /** Every standing bottle anew, after something happened to all of them. */
  void savedAll(UUID household, Instant now) {
    List<Bottle> standing =
        repository.findByHouseholdIdAndStatus(household, Bottle.Status.STANDING);
    Round round = round(household, standing);
    standing.forEach(bottle -> round.saved(bottle, now));
  }

  /** A bottle that was never filled calls for nothing. */
  void forget(Bottle bottle) {
    reminders.replace(bottle.householdId(), subject(bottle.id()), List.of());
  }

  /** Plans what a bottle will call for; what was due before now is not told again. */
  void plan(Bottle bottle, Instant now) {
    plan(bottle, now, households.of(bottle.householdId()).zone());
  }

  private void plan(Bottle bottle, Instant now, ZoneId zone) {
    List<Due> dues = new ArrayList<>();
    if (bottle.status() == Bottle.Status.STANDING) {
      LocalDate last = bottle.lastDay();
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
