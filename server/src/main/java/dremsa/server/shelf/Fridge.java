package dremsa.server.shelf;

import dremsa.core.keep.Hours;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Place;
import dremsa.server.accounts.Households;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.Stored;
import dremsa.server.wire.WarmSpellJson;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What happens to the whole fridge, and what it does to every bottle in it. */
@Service
class Fridge {
  /** A clock that goes a little fast is no lie. */
  private static final Duration AHEAD = Duration.ofMinutes(5);

  private final FridgeEventRepository repository;
  private final BottleRepository bottles;
  private final Judging judging;
  private final Stored stored;
  private final Households households;
  private final History history;

  Fridge(
      FridgeEventRepository repository,
      BottleRepository bottles,
      Judging judging,
      Stored stored,
      Households households,
      History history) {
    this.repository = repository;
    this.bottles = bottles;
    this.judging = judging;
    this.stored = stored;
    this.households = households;
    this.history = history;
  }

  /**
   * A stretch in which the fridge was warm.
   *
   * @param words as the record tells it
   * @param pieces may be empty: a logger that saw nothing warm
   */
  record Spell(String words, Instant from, Instant to, List<KeepEvent.FridgeWarmed> pieces) {}

  /** A bottle before and after. */
  record Touched(
      UUID id, String name, int number, LocalDate before, LocalDate after, boolean useNow) {
    private static Touched of(Bottle bottle, LocalDate before, LocalDate after, boolean useNow) {
      return new Touched(bottle.id(), bottle.name(), bottle.number(), before, after, useNow);
    }
  }

  /**
   * What a spell did, or would do.
   *
   * @param id of what was done; null while it is only looked at
   */
  record Outcome(@Nullable UUID id, List<Touched> bottles) {}

  /** What it would do. */
  Outcome look(UUID household, Spell spell, Instant now) {
    check(spell, now);
    List<Bottle> standing = standing(household);
    Judging.Round round = judging.round(household, standing);
    List<Touched> touched = new ArrayList<>();
    for (Bottle bottle : standing) {
      Judging.Known known = round.known(bottle);
      Keeping keeping = known.keeping();
      for (KeepEvent.FridgeWarmed piece : spell.pieces()) {
        keeping = keeping.with(piece);
      }
      Verdict verdict = known.judge(keeping, now);
      touched.add(Touched.of(bottle, bottle.lastDay(), verdict.lastDay(), verdict.useNow()));
    }
    return new Outcome(null, touched);
  }

  /** It happened. */
  Outcome happened(UUID household, Spell spell, Instant now) {
    check(spell, now);
    List<Bottle> standing = standing(household);
    Map<UUID, LocalDate> before = new HashMap<>();
    standing.forEach(bottle -> before.put(bottle.id(), bottle.lastDay()));
    FridgeEvent event =
        repository.saveAndFlush(
            new FridgeEvent(
                UUID.randomUUID(),
                household,
                spell.from(),
                spell.to(),
                spell.words(),
                stored.write(WarmSpellJson.of(spell.pieces())),
                now));
    Judging.Round round = judging.round(household, standing);
    List<Touched> touched = new ArrayList<>();
    for (Bottle bottle : standing) {
      round.saved(bottle, now);
      LocalDate was = before.get(bottle.id());
      if (bottle.place() == Place.FRIDGE || !bottle.lastDay().equals(was)) {
        history.note(
            household,
            bottle.batchId(),
            bottle.id(),
            event.id(),
            now,
            Happening.Kind.FRIDGE_WARM,
            null,
            new Told.Words(spell.words()));
      }
      touched.add(
          Touched.of(bottle, Objects.requireNonNull(was), bottle.lastDay(), bottle.useNow()));
    }
    return new Outcome(event.id(), touched);
  }

  private static void check(Spell spell, Instant now) {
    if (spell.from().isAfter(now.plus(AHEAD))) {
      throw Problem.invalid(FieldProblem.of("from", spell.from(), "That is still to come."));
    }
  }

  private List<Bottle> standing(UUID household) {
    return bottles.findByHouseholdIdAndStatus(household, Bottle.Status.STANDING);
  }

  /** What happened last and was not taken back. */
  List<FridgeEvent> last(UUID household) {
    return repository.findFirst20ByHouseholdIdAndUndoneFalseOrderByMadeAtDesc(household);
  }

  /** It did not happen after all. */
  void takeBack(UUID household, UUID id) {
    FridgeEvent event =
        repository
            .findByIdAndHouseholdId(id, household)
            .filter(e -> !e.undone())
            .orElseThrow(() -> Problem.notFound("event of the fridge"));
    event.undo();
    repository.saveAndFlush(event);
    history.ofChange(household, id).forEach(Happening::undo);
    judging.savedAll(household, households.now(household));
  }

  /** When the last of some pieces was over. */
  static Instant endOf(List<KeepEvent.FridgeWarmed> pieces) {
    KeepEvent.FridgeWarmed last = pieces.get(pieces.size() - 1);
    return Hours.after(last.at(), last.hours());
  }
}
