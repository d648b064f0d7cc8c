package dremsa.server.shelf;

import dremsa.core.formula.Purpose;
import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.Verdict;
import dremsa.core.measure.Said;
import dremsa.core.today.Today;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.BatchBottled;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.BottlingUndone;
import dremsa.server.bench.BrewPoured;
import dremsa.server.containers.Containers;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.ClimateChanged;
import dremsa.server.kitchens.Kitchens;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts bottles on the shelf and writes down what becomes of them. */
@Service
public class Shelf {
  private final BottleRepository repository;
  private final Judging judging;
  private final Uses uses;
  private final Households households;
  private final History history;
  private final Containers containers;
  private final Kitchens kitchens;
  private final HeadNames names;

  Shelf(
      BottleRepository repository,
      Judging judging,
      Uses uses,
      Households households,
      History history,
      Containers containers,
      Kitchens kitchens,
      HeadNames names) {
    this.names = names;
    this.kitchens = kitchens;
    this.repository = repository;
    this.judging = judging;
    this.uses = uses;
    this.households = households;
    this.history = history;
    this.containers = containers;
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void bottled(BatchBottled event) {
    Verdict verdict = judge(event.household(), event.batch(), event.at());
    int number = 0;
    for (BatchBottled.Filled filled : event.bottles()) {
      number++;
      Bottle bottle =
          new Bottle(
              UUID.randomUUID(),
              event.household(),
              event.batch().id(),
              event.batch().formulaId(),
              event.batch().code(),
              number,
              event.batch().formulaName(),
              event.batch().brew().tint(),
              filled.container(),
              filled.sizeMl(),
              filled.millilitres(),
              event.at(),
              verdict);
      containers
          .filled(event.household(), filled.container(), filled.sizeMl(), event.at())
          .ifPresent(bottle::sterilised);
      judging.saved(bottle, event.at());
    }
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void takenBack(BottlingUndone event) {
    List<Bottle> bottles =
        repository.findByHouseholdIdAndBatchIdOrderByNumber(event.household(), event.batch());
    if (!bottles.stream().allMatch(Bottle::untouched)) {
      throw Problem.conflict(
          "Something was used from these bottles already: the run stays closed.");
    }
    for (Bottle bottle : bottles) {
      judging.forget(bottle);
      if (bottle.sterilisedAt() != null) {
        containers.emptied(
            event.household(), bottle.container(), bottle.sizeMl(), bottle.sterilisedAt());
      }
    }
    history.forgetBottles(event.household(), event.batch());
    repository.deleteAll(bottles);
  }

  /** The places are as warm as was not known before: what stands is judged anew. */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void climateChanged(ClimateChanged event) {
    UUID change = UUID.randomUUID();
    List<Bottle> standing =
        repository.findByHouseholdIdAndStatus(event.household(), Bottle.Status.STANDING);
    Judging.Round round = judging.round(event.household(), standing);
    for (Bottle bottle : standing) {
      LocalDate before = bottle.lastDay();
      round.saved(bottle, event.at());
      if (!bottle.lastDay().equals(before)) {
        history.note(
            event.household(),
            bottle.batchId(),
            bottle.id(),
            change,
            event.at(),
            Happening.Kind.FRIDGE_WARM,
            null,
            new Told.Words("kitchen: " + event.words()));
      }
    }
  }

  /** What a brew took from a bottle. */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void poured(BrewPoured event) {
    Bottle bottle = get(event.household(), event.bottle());
    if (bottle.status() != Bottle.Status.STANDING
        || event.millilitres() > bottle.leftMl() + Bottle.EYE) {
      throw Problem.conflict(
          Said.of("There are only %.0f mL left in that bottle.", bottle.leftMl()));
    }
    double taken = Math.min(event.millilitres(), bottle.leftMl());
    bottle.take(taken);
    note(bottle, event.at(), Happening.Kind.TAKEN, taken, new Told.Brewed(event.code()));
    bottle.endIfEmpty(event.at());
    judging.saved(bottle, event.at());
  }

  /** A bottle that stands on the shelf. */
  public record Standing(UUID id, long version, double leftMl, LocalDate lastDay) {}

  /** The bottles of a batch that still stand. */
  public List<Standing> standingOf(UUID household, UUID batch) {
    return repository.findByHouseholdIdAndBatchIdOrderByNumber(household, batch).stream()
        .filter(bottle -> bottle.status() == Bottle.Status.STANDING)
        .map(b -> new Standing(b.id(), b.version(), b.leftMl(), b.lastDay()))
        .toList();
  }

  /** All that stands, with what the last day of each is. */
  @Transactional(readOnly = true)
  public List<Today.Kept> dated(UUID household) {
    return repository
        .findByHouseholdIdAndStatusOrderByLastDayAscRunsOutAscNumberAsc(
            household, Bottle.Status.STANDING, PageRequest.of(0, BottleController.MOST_STANDING))
        .stream()
        .map(
            b ->
                new Today.Kept(
                    b.id().toString(),
                    b.number() > 1 ? b.name() + " " + b.number() : b.name(),
                    b.lastDay(),
                    b.useNow()))
        .toList();
  }

  /** How long a batch keeps that is filled into bottles and put into the fridge. */
  Verdict judge(UUID household, BatchRecord batch, Instant now) {
    Household keeper = households.of(household);
    return Keeping.inFridge(
            batch.startedAt(), keeper.zone(), keeper.school(), kitchens.climates(household))
        .withInherited(batch.inherited())
        .judge(batch.brew(), batch.prediction(), now);
  }

  Bottle get(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("bottle"));
  }

  /** A standing bottle as the maker saw it. */
  Bottle standing(UUID household, UUID id, long version) {
    Bottle bottle = get(household, id);
    if (bottle.version() != version) {
      throw Problem.conflict(
          Said.of("Somebody was quicker: there are now %.0f mL in this bottle.", bottle.leftMl()));
    }
    if (bottle.status() != Bottle.Status.STANDING) {
      throw Problem.conflict("This bottle is gone already.");
    }
    return bottle;
  }

  /** Takes some out for use, for nobody in particular. */
  @Transactional
  public void take(UUID household, UUID id, long version, double millilitres, Instant at) {
    take(household, id, version, millilitres, Uses.Told.NOTHING, at);
  }

  /** Takes some out for use; a bottle taken empty is finished. */
  @Transactional
  void take(UUID household, UUID id, long version, double millilitres, Uses.Told told, Instant at) {
    Bottle bottle = standing(household, id, version);
    Meaning.checkAmount(millilitres, bottle);
    double taken = Math.min(millilitres, bottle.leftMl());
    Judging.Round round = judging.round(household, List.of(bottle));
    uses.used(round.known(bottle), taken, told, at);
    bottle.take(taken);
    note(bottle, at, Happening.Kind.TAKEN, taken, new Told.Words(told.words()));
    bottle.endIfEmpty(at);
    round.saved(bottle, at);
  }

  /**
   * Some of a bottle comes on somebody's head. Whoever is second takes what is left or is told.
   *
   * @param bottle standing, and filled by then
   * @param at now or before
   * @return its mark
   * @throws Problem with the field {@code millilitres} or {@code at} where it cannot be
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public UUID useOn(
      UUID household,
      UUID bottle,
      double millilitres,
      UUID person,
      @Nullable Purpose purpose,
      Instant at,
      Instant now) {
    Bottle from = get(household, bottle);
    if (from.status() != Bottle.Status.STANDING) {
      throw Problem.conflict(from.name() + " is gone already: choose another bottle.");
    }
    if (at.isBefore(from.filledAt())) {
      throw Problem.invalid(
          FieldProblem.of("at", at, from.name() + " was not brewed and filled yet then."));
    }
    Meaning.checkAmount(millilitres, from);
    double taken = Math.min(millilitres, from.leftMl());
    Judging.Round round = judging.round(household, List.of(from));
    Uses.Told told = new Uses.Told(names.of(household, person), purpose, person);
    Optional<UUID> use = uses.used(round.known(from), taken, told, at);
    from.take(taken);
    note(from, at, Happening.Kind.TAKEN, taken, new Told.Words(told.words()));
    from.endIfEmpty(now);
    round.saved(from, now);
    return use.orElseThrow();
  }

  /** What was used on a head is taken back; in a bottle that was thrown away nothing is put. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(UUID household, UUID use, Instant now) {
    Optional<BottleUse> found = uses.find(household, use);
    if (found.isEmpty()) {
      return;
    }
    BottleUse row = found.get();
    Bottle bottle = get(household, row.bottleId());
    uses.takeBack(row, household, now);
    line(row).filter(line -> !line.undone()).ifPresent(Happening::undo);
    if (bottle.status() != Bottle.Status.DISCARDED) {
      bottle.putBack(row.millilitres());
      bottle.standAgain();
    }
    judging.saved(bottle, now);
  }

  /** Somebody is known here no more: how much they used stays, without their name. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void forget(UUID household, UUID person) {
    for (BottleUse use : uses.of(household, person)) {
      Optional<Happening> line = line(use);
      use.forgetWho();
      line.ifPresent(told -> told.tells(use.told().words()));
    }
  }

  /** What the record says of a use: of the same moment, as much, and in the same words. */
  private Optional<Happening> line(BottleUse use) {
    String words = use.told().words();
    return history.ofBottle(use.householdId(), use.bottleId()).stream()
        .filter(line -> line.kind() == Happening.Kind.TAKEN)
        .filter(line -> line.happenedAt().equals(use.usedAt()))
        .filter(line -> Objects.equals(line.millilitres(), use.millilitres()))
        .filter(line -> line.detail().equals(words))
        .findFirst();
  }

  /**
   * An amount of a bottle as typed: {@code "2 tbsp"}, {@code "a third"}, {@code "10 strokes"}.
   *
   * @throws IllegalArgumentException says what is wrong with it
   */
  public double millilitres(UUID household, UUID bottle, String typed) {
    Bottle from = get(household, bottle);
    return dremsa.core.scale.Used.millilitres(
        typed,
        from.container(),
        from.leftMl(),
        households.of(household).measureSystem(),
        kitchens.of(household).counts());
  }

  /** It is used up, whatever the record says is left. */
  @Transactional
  public void finish(UUID household, UUID id, long version, Instant at) {
    Bottle bottle = standing(household, id, version);
    uses.used(judging.known(bottle), bottle.leftMl(), Uses.Told.NOTHING, at);
    note(bottle, at, Happening.Kind.FINISHED, bottle.leftMl(), Told.NOTHING);
    bottle.end(Bottle.Status.FINISHED, null, at);
    bottle.take(bottle.leftMl());
    judging.saved(bottle, at);
  }

  /** It is thrown away; what was in it stays on record as waste. */
  @Transactional
  public void discard(
      UUID household, UUID id, long version, DiscardReason reason, String note, Instant at) {
    Bottle bottle = standing(household, id, version);
    note(bottle, at, Happening.Kind.DISCARDED, bottle.leftMl(), new Told.Discarded(reason, note));
    bottle.end(Bottle.Status.DISCARDED, reason, at);
    judging.saved(bottle, at);
  }

  /** Takes back the last thing that happened to a bottle. */
  @Transactional
  public void undo(UUID household, UUID id, long version, Instant at) {
    Bottle bottle = get(household, id);
    if (bottle.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the bottle again.");
    }
    Happening last =
        history
            .lastOfBottle(household, id)
            .orElseThrow(() -> Problem.conflict("There is nothing to take back here."));
    if (last.changeId() != null) {
      throw new IllegalArgumentException("a change is taken back as a whole");
    }
    last.undo();
    if (last.kind() != Happening.Kind.DISCARDED) {
      uses.takeBack(bottle, Objects.requireNonNull(last.millilitres()), last.happenedAt(), at);
      bottle.putBack(last.millilitres());
    }
    bottle.standAgain();
    judging.saved(bottle, at);
  }

  private void note(
      Bottle bottle, Instant at, Happening.Kind kind, @Nullable Double millilitres, Told told) {
    history.note(bottle.householdId(), bottle.batchId(), bottle.id(), at, kind, millilitres, told);
  }
}
