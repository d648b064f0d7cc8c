package dremsa.server.washdays;

import dremsa.core.formula.Purpose;
import dremsa.core.people.Ahead;
import dremsa.core.people.Due;
import dremsa.core.people.Occasion;
import dremsa.core.people.Slot;
import dremsa.core.people.SlotKind;
import dremsa.core.today.Today;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.people.People;
import dremsa.server.shelf.HeadBottles;
import dremsa.server.shelf.Shelf;
import dremsa.server.washdays.SheetJson.DoneForm;
import dremsa.server.washdays.SheetJson.HeadDone;
import dremsa.server.washdays.SheetJson.MoveForm;
import dremsa.server.washdays.SheetJson.PlaceDone;
import dremsa.server.washdays.SheetJson.TakeForm;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Knows when wash days are, puts them on other days, and writes down what was done. */
@Service
public class WashDays {
  /** What was said of days so long ago still tells what is to be shown. */
  private static final int LOOKS_BACK = 200;

  /** No contact is longer, min: a ferment's whole day twice. */
  private static final double MOST_MINUTES = 2 * 24 * 60;

  private final WashDayRepository repository;
  private final People people;
  private final HeadBottles bottles;
  private final Shelf shelf;
  private final Kitchens kitchens;
  private final Formulas formulas;
  private final Households households;

  WashDays(
      WashDayRepository repository,
      People people,
      HeadBottles bottles,
      Shelf shelf,
      Kitchens kitchens,
      Formulas formulas,
      Households households) {
    this.repository = repository;
    this.people = people;
    this.bottles = bottles;
    this.shelf = shelf;
    this.kitchens = kitchens;
    this.formulas = formulas;
    this.households = households;
  }

  /** What somebody said of single days, by person. */
  Map<UUID, List<Due.Said>> said(UUID household, LocalDate today) {
    return repository
        .findByHouseholdIdAndPlannedAfter(household, today.minusDays(LOOKS_BACK))
        .stream()
        .collect(
            Collectors.groupingBy(
                WashDayRow::personId, Collectors.mapping(WashDayRow::toCore, Collectors.toList())));
  }

  /** What the days to come are reckoned in. */
  Ahead.Surroundings surroundings(Household household, Instant now) {
    UUID id = household.id();
    return new Ahead.Surroundings(
        kitchens.of(id),
        household.zone(),
        now,
        household.day(now),
        bottles.standing(id, now),
        bottles.coming(id, now),
        formula -> formulas.find(id, formula).map(found -> found.name()));
  }

  /** The days of a span, worked out. */
  Ahead ahead(Household household, Ahead.Surroundings at, LocalDate from, LocalDate to) {
    return Ahead.of(heads(household.id(), at.today()), at, from, to);
  }

  /** Whose occasions are today, and not done yet. */
  @Transactional(readOnly = true)
  public List<Today.Head> today(Household household, Instant now) {
    LocalDate today = household.day(now);
    return heads(household.id(), today).stream()
        .flatMap(
            head ->
                Due.between(head.routine(), head.said(), today, today, today).stream()
                    .filter(due -> due.state().isOpen())
                    .map(
                        due ->
                            new Today.Head(
                                head.person().name(),
                                due.occasion().name(),
                                today
                                    .atTime(due.occasion().time())
                                    .atZone(household.zone())
                                    .toInstant())))
        .toList();
  }

  /** All heads with their routines. */
  public List<Ahead.Head> heads(UUID household, LocalDate today) {
    Map<UUID, List<Due.Said>> said = said(household, today);
    return people.all(household).stream()
        .map(known -> known.ahead(said.getOrDefault(known.id(), List.of())))
        .toList();
  }

  /** Puts an occasion on another day, leaves it out, or lets the routine say again. */
  @Transactional
  void move(UUID household, MoveForm form, Instant now) {
    LocalDate today = households.of(household).day(now);
    People.Known known = people.get(household, form.person());
    Occasion occasion = occasion(known, form.occasion(), "occasion");
    Optional<WashDayRow> there =
        repository.findByHouseholdIdAndPersonIdAndOccasionAndPlanned(
            household, form.person(), form.occasion(), form.planned());
    if (there.filter(WashDayRow::done).isPresent()) {
      throw Problem.conflict("It is done already: take that back first.");
    }
    if (Boolean.TRUE.equals(form.back())) {
      there.ifPresent(repository::delete);
      repository.flush();
      return;
    }
    LocalDate to = form.to();
    if (to != null
        && (to.isBefore(today)
            || Math.abs(to.toEpochDay() - form.planned().toEpochDay()) > Due.FURTHEST)) {
      throw Problem.invalid(
          FieldProblem.of("to", to, "From today on, and at most 60 days from its own day."));
    }
    on(known, occasion, form.planned(), household, today, "planned");
    WashDayRow row = there.orElseGet(() -> row(household, known, occasion, form.planned()));
    row.put(to);
    repository.saveAndFlush(row);
  }

  private static WashDayRow row(
      UUID household, People.Known known, Occasion occasion, LocalDate planned) {
    return new WashDayRow(household, known.id(), occasion.key(), occasion.name(), planned);
  }

  private static Occasion occasion(People.Known known, String key, String field) {
    return known
        .routine()
        .occasion(key)
        .orElseThrow(
            () ->
                Problem.invalid(
                    FieldProblem.of(
                        field, key, known.person().name() + " has no such occasion any more.")));
  }

  /** The day must be one of the routine, or one of which something was said. */
  private void on(
      People.Known known,
      Occasion occasion,
      LocalDate planned,
      UUID household,
      LocalDate today,
      String field) {
    boolean near = Math.abs(planned.toEpochDay() - today.toEpochDay()) <= Ahead.FURTHEST;
    List<Due.Said> said = said(household, today).getOrDefault(known.id(), List.of());
    boolean there =
        near
            && Due.between(
                    known.routine(),
                    said,
                    today,
                    today.minusDays(2L * Ahead.FURTHEST),
                    today.plusDays(2L * Ahead.FURTHEST))
                .stream()
                .anyMatch(
                    due ->
                        due.occasion().key().equals(occasion.key())
                            && due.planned().equals(planned));
    if (!there) {
      throw Problem.invalid(
          FieldProblem.of(field, planned, "There is no " + occasion.name() + " on that day."));
    }
  }

  /** Writes down what was done: all of it, or nothing. */
  @Transactional
  List<UUID> done(UUID household, DoneForm form, Instant at, Instant now) {
    List<UUID> ids = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (int h = 0; h < form.heads().size(); h++) {
      HeadDone head = form.heads().get(h);
      String place = "heads[" + h + "]";
      if (!seen.add(head.person() + head.occasion() + head.planned())) {
        throw Problem.invalid(
            FieldProblem.of(place + ".person", head.person(), "This head stands twice."));
      }
      ids.add(done(household, head, place, at, now));
    }
    return ids;
  }

  private UUID done(UUID household, HeadDone head, String place, Instant at, Instant now) {
    Household keeper = households.of(household);
    People.Known known = people.get(household, head.person());
    Occasion occasion = occasion(known, head.occasion(), place + ".occasion");
    on(known, occasion, head.planned(), household, keeper.day(now), place + ".planned");
    WashDayRow row =
        repository
            .findByHouseholdIdAndPersonIdAndOccasionAndPlanned(
                household, head.person(), head.occasion(), head.planned())
            .orElseGet(() -> row(household, known, occasion, head.planned()));
    if (row.done()) {
      throw Problem.conflict(
          "Somebody was quicker: "
              + known.person().name()
              + "'s wash day is written down already.");
    }
    row.finish(keeper.day(at), at, head.note() == null ? "" : head.note().strip());
    repository.saveAndFlush(row);
    Set<Integer> places = new HashSet<>();
    for (int p = 0; p < head.places().size(); p++) {
      PlaceDone done = head.places().get(p);
      String where = place + ".places[" + p + "]";
      if (done.place() < 0
          || done.place() >= occasion.slots().size()
          || !places.add(done.place())) {
        throw Problem.invalid(
            FieldProblem.of(where + ".place", done.place(), "There is no such place, or twice."));
      }
      use(household, row.id(), known, occasion.slots().get(done.place()), done, where, at, now);
    }
    return row.id();
  }

  private void use(
      UUID household,
      UUID washDay,
      People.Known known,
      Slot slot,
      PlaceDone done,
      String where,
      Instant at,
      Instant now) {
    Double minutes = done.minutes();
    if (minutes != null && !(minutes >= 0 && minutes <= MOST_MINUTES)) {
      throw Problem.invalid(
          FieldProblem.range(
              where + ".minutes", String.valueOf(minutes), "0 min to two days.", 0, MOST_MINUTES));
    }
    List<TakeForm> takes = done.takes() == null ? List.of() : done.takes();
    if (takes.isEmpty()) {
      String bought = boughtFor(slot);
      if (bought != null) {
        people.bought(household, known.id(), washDay, slot.kind(), bought, at);
      }
    }
    for (int t = 0; t < takes.size(); t++) {
      TakeForm take = takes.get(t);
      String field = where + ".takes[" + t + "]";
      UUID use =
          below(
              field,
              () ->
                  shelf.useOn(
                      household,
                      take.bottle(),
                      millilitres(household, take),
                      known.id(),
                      purpose(slot.kind()),
                      at,
                      now));
      people.tellUse(household, use, washDay, slot.kind(), minutes);
    }
  }

  /** What was bought for a place; the bare word where a wash happened with something unnamed. */
  private static @Nullable String boughtFor(Slot slot) {
    return slot.bought().orElse(slot.kind() == SlotKind.SHAMPOO ? SlotKind.SHAMPOO.words() : null);
  }

  private static @Nullable Purpose purpose(SlotKind kind) {
    return kind.purposes().stream().sorted().findFirst().orElse(null);
  }

  private double millilitres(UUID household, TakeForm take) {
    if (take.amount() != null && !take.amount().isBlank()) {
      try {
        return shelf.millilitres(household, take.bottle(), take.amount());
      } catch (IllegalArgumentException e) {
        throw Problem.invalid(FieldProblem.of("amount", take.amount(), Problem.why(e)));
      }
    }
    if (take.millilitres() == null) {
      throw Problem.invalid(FieldProblem.of("millilitres", null, "Say how much."));
    }
    return take.millilitres();
  }

  /** What is wrong below a place is told with that place. */
  private static <T> T below(String place, java.util.function.Supplier<T> work) {
    try {
      return work.get();
    } catch (Problem e) {
      if (e.errors().isEmpty()) {
        throw e;
      }
      FieldProblem wrong = e.errors().get(0);
      throw Problem.invalid(
          new FieldProblem(
              place + "." + wrong.field(),
              wrong.value(),
              wrong.message(),
              wrong.low(),
              wrong.high()));
    }
  }

  /** Takes a wash day back: what it used is in its bottles again, and it is open as before. */
  @Transactional
  void takeBack(UUID household, UUID id, Instant now) {
    WashDayRow row =
        repository
            .findByIdAndHouseholdId(id, household)
            .filter(WashDayRow::done)
            .orElseThrow(() -> Problem.notFound("wash day"));
    people.takeBack(household, id, now);
    people.forgetWashDay(household, id);
    repository.delete(row);
    repository.flush();
  }

  /** It was done, long ago, and what it used is told elsewhere. */
  @Transactional
  public void wasDone(UUID household, UUID person, Occasion occasion, LocalDate day, Instant at) {
    WashDayRow row = new WashDayRow(household, person, occasion.key(), occasion.name(), day);
    row.finish(day, at, "");
    repository.save(row);
  }
}
