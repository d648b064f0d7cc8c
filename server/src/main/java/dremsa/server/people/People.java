package dremsa.server.people;

import dremsa.core.formula.Purpose;
import dremsa.core.people.Ahead;
import dremsa.core.people.HeadLimits;
import dremsa.core.people.HeadUse;
import dremsa.core.people.PatchTest;
import dremsa.core.people.Person;
import dremsa.core.people.Product;
import dremsa.core.people.Reaction;
import dremsa.core.people.Routine;
import dremsa.core.people.SlotKind;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import dremsa.server.shelf.HeadBottles;
import dremsa.server.shelf.HeadNames;
import dremsa.server.shelf.Shelf;
import dremsa.server.shelf.UseTakenBack;
import dremsa.server.shelf.Used;
import dremsa.server.wire.HairJson;
import dremsa.server.wire.RoutineJson;
import dremsa.server.wire.Stored;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the people of a household, and what came on their heads. */
@Service
public class People {
  /** More heads than anybody cares for. */
  static final int MOST = 40;

  /** Uses of so long ago still count for something: the longest window, and a dose. */
  private static final Duration COUNTS = Duration.ofDays(120);

  private final PersonRepository repository;
  private final PatchTestRepository tests;
  private final ReactionRepository reactions;
  private final HeadUseRepository uses;
  private final HeadBottles bottles;
  private final Shelf shelf;
  private final Households households;
  private final Reminders reminders;
  private final Stored stored;
  private final ApplicationEventPublisher events;

  People(
      PersonRepository repository,
      PatchTestRepository tests,
      ReactionRepository reactions,
      HeadUseRepository uses,
      HeadBottles bottles,
      Shelf shelf,
      Households households,
      Reminders reminders,
      Stored stored,
      ApplicationEventPublisher events) {
    this.repository = repository;
    this.tests = tests;
    this.reactions = reactions;
    this.uses = uses;
    this.bottles = bottles;
    this.shelf = shelf;
    this.households = households;
    this.reminders = reminders;
    this.stored = stored;
    this.events = events;
  }

  /**
   * Somebody with all that counts.
   *
   * @param version for optimistic locking
   * @param told as it was told
   * @param uses of the last months
   */
  public record Known(
      UUID id, long version, Person person, HairJson told, Routine routine, List<HeadUse> uses) {
    /** What this head bears. */
    public HeadLimits limits() {
      return HeadLimits.of(person, uses);
    }

    /** The same, for the days to come. */
    public Ahead.Head ahead(List<dremsa.core.people.Due.Said> said) {
      return new Ahead.Head(person, routine, said, uses);
    }
  }

  /** Everybody of a household, in the order in which they came to it. */
  @Transactional(readOnly = true)
  public List<Known> all(UUID household) {
    List<PersonRow> rows = repository.findByHouseholdIdOrderByMadeAtAscNameAsc(household);
    if (rows.isEmpty()) {
      return List.of();
    }
    Household keeper = households.of(household);
    Instant now = households.now(keeper);
    LocalDate today = keeper.day(now);
    Map<UUID, List<PatchTest>> tested =
        tests.findByHouseholdIdOrderByStartedAtDescId(household).stream()
            .collect(
                Collectors.groupingBy(
                    PatchTestRow::personId,
                    Collectors.mapping(PatchTestRow::toCore, Collectors.toList())));
    Map<UUID, List<Reaction>> reacted =
        reactions.findByHouseholdIdOrderBySeenAtDescId(household).stream()
            .collect(
                Collectors.groupingBy(
                    ReactionRow::personId,
                    Collectors.mapping(ReactionRow::toCore, Collectors.toList())));
    Map<UUID, List<HeadUse>> used =
        uses
            .findByHouseholdIdAndUndoneFalseAndUsedAtAfterOrderByUsedAtDescIdDesc(
                household, now.minus(COUNTS))
            .stream()
            .collect(
                Collectors.groupingBy(
                    HeadUseRow::personId,
                    Collectors.mapping(
                        row -> row.toCore(keeper.zone(), stored), Collectors.toList())));
    return rows.stream()
        .map(
            row ->
                known(
                    row,
                    today,
                    tested.getOrDefault(row.id(), List.of()),
                    reacted.getOrDefault(row.id(), List.of()),
                    used.getOrDefault(row.id(), List.of())))
        .toList();
  }

  private Known known(
      PersonRow row,
      LocalDate today,
      List<PatchTest> tested,
      List<Reaction> reacted,
      List<HeadUse> used) {
    HairJson told = stored.read(row.profile(), HairJson.class);
    return new Known(
        row.id(),
        row.version(),
        told.toCore("", row.id().toString(), row.name(), today, tested, reacted),
        told,
        stored.read(row.routine(), RoutineJson.class).toCore(""),
        used);
  }

  /** Ids by name, for tables that name people; of two with one name the first that came. */
  @Transactional(readOnly = true)
  public Map<String, UUID> byName(UUID household) {
    return repository.findByHouseholdIdOrderByMadeAtAscNameAsc(household).stream()
        .collect(Collectors.toMap(PersonRow::name, PersonRow::id, (first, later) -> first));
  }

  /** Names by id. */
  @Transactional(readOnly = true)
  public Map<UUID, String> names(UUID household) {
    return repository.findByHouseholdIdOrderByMadeAtAscNameAsc(household).stream()
        .collect(Collectors.toMap(PersonRow::id, PersonRow::name));
  }

  /**
   * Something that came on a head.
   *
   * @param code of the bottle; empty where it came from none
   */
  public record OnHead(
      UUID person, LocalDate day, String name, String formula, String code, double millilitres) {}

  /** What came on heads from one moment to another, the newest first. */
  @Transactional(readOnly = true)
  public List<OnHead> onHeads(Household household, Instant from, Instant to) {
    return onHeads(
        household,
        uses.findByHouseholdIdAndUndoneFalseAndUsedAtBetweenOrderByUsedAtDescIdDesc(
            household.id(), from, to));
  }

  /** What came on heads and is called like this, the newest first, at most 100. */
  @Transactional(readOnly = true)
  public List<OnHead> onHeadsCalled(Household household, String words) {
    return onHeads(
        household,
        uses.findFirst100ByHouseholdIdAndUndoneFalseAndNameContainingOrderByUsedAtDesc(
            household.id(), words));
  }

  private List<OnHead> onHeads(Household household, List<HeadUseRow> rows) {
    return rows.stream()
        .map(
            row -> {
              HeadUse use = row.toCore(household.zone(), stored);
              return new OnHead(
                  row.personId(),
                  use.day(),
                  use.name(),
                  use.formula(),
                  row.bottleCode(),
                  use.millilitres());
            })
        .toList();
  }

  /** Whether there is anybody. */
  @Transactional(readOnly = true)
  public boolean any(UUID household) {
    return repository.countByHouseholdId(household) > 0;
  }

  /** One of them. */
  public Known get(UUID household, UUID id) {
    return all(household).stream()
        .filter(known -> known.id().equals(id))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("person"));
  }

  private PersonRow row(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("person"));
  }

  private PersonRow seen(UUID household, UUID id, long version) {
    PersonRow row = row(household, id);
    if (row.version() != version) {
      throw Problem.conflict("Somebody changed this page meanwhile. Look at it again.");
    }
    return row;
  }

  /**
   * Somebody more.
   *
   * @param usual with the usual routine for such hair, to begin with
   */
  @Transactional
  public UUID add(UUID household, String name, HairJson told, boolean usual, Instant now) {
    if (repository.countByHouseholdId(household) >= MOST) {
      throw Problem.conflict("A household keeps the pages of at most " + MOST + " people.");
    }
    LocalDate today = households.of(household).day(now);
    String called = named(name);
    Person person = told.toCore("hair", "new", called, today, List.of(), List.of());
    Routine routine = usual ? Routine.usual(person, today) : Routine.NONE;
    PersonRow row =
        repository.saveAndFlush(
            new PersonRow(
                household, called, stored.write(told), stored.write(RoutineJson.of(routine)), now));
    events.publishEvent(new PeopleChanged(household, now));
    return row.id();
  }

  private static String named(String name) {
    if (name.isBlank()) {
      throw Problem.invalid(FieldProblem.of("name", name, "Give a name."));
    }
    return name.strip();
  }

  /** Tells otherwise of somebody. */
  @Transactional
  public void tell(UUID household, UUID id, long version, String name, HairJson told, Instant now) {
    PersonRow row = seen(household, id, version);
    String called = named(name);
    told.toCore(
        "hair", id.toString(), called, households.of(household).day(now), List.of(), List.of());
    row.tell(called, stored.write(told));
    repository.saveAndFlush(row);
    events.publishEvent(new PeopleChanged(household, now));
  }

  /** Somebody keeps to another routine. */
  @Transactional
  public void keepTo(UUID household, UUID id, long version, Routine routine, Instant now) {
    PersonRow row = seen(household, id, version);
    row.keepTo(stored.write(RoutineJson.of(routine)));
    repository.saveAndFlush(row);
    events.publishEvent(new PeopleChanged(household, now));
  }

  /** Takes somebody away with all that is personal; how much was used stays, without a name. */
  @Transactional
  public void remove(UUID household, UUID id, long version, Instant now) {
    PersonRow row = seen(household, id, version);
    shelf.forget(household, id);
    reminders.replace(household, subject(id), List.of());
    reminders.forget(household, subject(id));
    repository.delete(row);
    repository.flush();
    events.publishEvent(new PeopleChanged(household, now));
  }

  private static String subject(UUID person) {
    return "person:" + person;
  }

  /** A test on the arm begins. */
  @Transactional
  public UUID test(UUID household, UUID person, String material, Instant at, Instant now) {
    row(household, person);
    PatchTestRow test = tests.saveAndFlush(new PatchTestRow(household, person, material, at));
    planTests(household, person, now);
    events.publishEvent(new PeopleChanged(household, now));
    return test.id();
  }

  /**
   * What came of a test; null opens it again.
   *
   * @param version that was seen
   */
  @Transactional
  public void testSeen(
      UUID household, UUID id, long version, PatchTest.@Nullable Result result, Instant now) {
    PatchTestRow test =
        tests.findByIdAndHouseholdId(id, household).orElseThrow(() -> Problem.notFound("test"));
    if (test.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the page again.");
    }
    test.seen(result, now);
    tests.saveAndFlush(test);
    planTests(household, test.personId(), now);
    events.publishEvent(new PeopleChanged(household, now));
  }

  /** A test that was none. */
  @Transactional
  public void testTakenBack(UUID household, UUID id, Instant now) {
    PatchTestRow test =
        tests.findByIdAndHouseholdId(id, household).orElseThrow(() -> Problem.notFound("test"));
    tests.delete(test);
    tests.flush();
    planTests(household, test.personId(), now);
    events.publishEvent(new PeopleChanged(household, now));
  }

  /** Plans what is to be looked at on somebody's arm. */
  void planTests(UUID household, UUID person, Instant now) {
    String name = row(household, person).name();
    List<Due> dues = new ArrayList<>();
    for (PatchTestRow row : testsOf(household, person)) {
      PatchTest test = row.toCore();
      if (test.isOpen() && !test.due().isBefore(now)) {
        dues.add(
            new Due(
                subject(person) + ":test:" + row.id(),
                test.due(),
                Due.Kind.NOW,
                "Test on the arm: " + name,
                "Look at it: anything red, itching or swollen?",
                "/use/people/" + person));
      }
    }
    reminders.replace(household, subject(person), dues);
  }

  List<PatchTestRow> testsOf(UUID household, UUID person) {
    return tests.findByHouseholdIdOrderByStartedAtDescId(household).stream()
        .filter(test -> test.personId().equals(person))
        .toList();
  }

  List<ReactionRow> reactionsOf(UUID household, UUID person) {
    return reactions.findByHouseholdIdOrderBySeenAtDescId(household).stream()
        .filter(reaction -> reaction.personId().equals(person))
        .toList();
  }

  /** Skin that answered. */
  @Transactional
  public UUID reacted(UUID household, UUID person, Reaction reaction, Instant now) {
    row(household, person);
    UUID id = reactions.saveAndFlush(new ReactionRow(household, person, reaction)).id();
    events.publishEvent(new PeopleChanged(household, now));
    return id;
  }

  /** It was none. */
  @Transactional
  public void reactionTakenBack(UUID household, UUID id, Instant now) {
    reactions.delete(
        reactions
            .findByIdAndHouseholdId(id, household)
            .orElseThrow(() -> Problem.notFound("reaction")));
    events.publishEvent(new PeopleChanged(household, now));
  }

  /** Something left a bottle for somebody's head. */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void used(Used event) {
    if (event.person().isEmpty()) {
      return;
    }
    UUID person = event.person().get();
    row(event.household(), person);
    Household keeper = households.of(event.household());
    Product product = bottles.of(event.household(), event.bottle(), event.at());
    Purpose purpose =
        event
            .purpose()
            .orElseGet(() -> product.purposes().stream().sorted().findFirst().orElse(null));
    SlotKind slot =
        purpose == null ? SlotKind.LEAVE_IN : SlotKind.of(purpose).orElse(SlotKind.RINSE);
    HeadUse use =
        HeadUse.of(
            product,
            slot,
            event.at(),
            keeper.day(event.at()),
            event.millilitres(),
            OptionalDouble.empty());
    HeadUseRow row =
        new HeadUseRow(
            event.household(),
            person,
            use,
            bottles.code(event.household(), event.bottle()),
            stored);
    row.fromBottle(event.bottle(), event.use());
    uses.saveAndFlush(row);
  }

  /** It was no use after all. */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void takenBack(UseTakenBack event) {
    uses.findByHouseholdIdAndUseMark(event.household(), event.use()).ifPresent(HeadUseRow::undo);
  }

  /**
   * A wash day tells more of a use.
   *
   * @param mark by which the shelf knows it
   * @param minutes that it stayed on; null where nobody said
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void tellUse(
      UUID household, UUID mark, UUID washDay, SlotKind slot, @Nullable Double minutes) {
    uses.findByHouseholdIdAndUseMark(household, mark).orElseThrow().tell(washDay, slot, minutes);
  }

  /** Something bought came on a head: listed, and counted for nothing. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void bought(
      UUID household, UUID person, UUID washDay, SlotKind slot, String name, Instant at) {
    HeadUse use =
        new HeadUse(
            at,
            households.of(household).day(at),
            slot,
            "",
            name,
            0,
            OptionalDouble.empty(),
            java.util.Set.of(),
            Product.Protein.NONE,
            false,
            false,
            Map.of());
    HeadUseRow row = new HeadUseRow(household, person, use, "", stored);
    row.tell(washDay, slot, null);
    uses.save(row);
  }

  /** Takes all back that a wash day used; each bottle gets its own again. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(UUID household, UUID washDay, Instant now) {
    for (HeadUseRow use : uses.findByHouseholdIdAndWashDayIdAndUndoneFalse(household, washDay)) {
      if (use.useMark() == null) {
        use.undo();
      } else {
        shelf.takeBack(household, Objects.requireNonNull(use.useMark()), now);
      }
    }
  }

  /** What a wash day told is told by none any more. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void forgetWashDay(UUID household, UUID washDay) {
    uses.forgetWashDay(household, washDay);
  }

  /** The names of heads, for the record of a bottle. */
  @org.springframework.stereotype.Component
  static class Names implements HeadNames {
    private final PersonRepository repository;

    Names(PersonRepository repository) {
      this.repository = repository;
    }

    @Override
    public String of(UUID household, UUID person) {
      return repository
          .findByIdAndHouseholdId(person, household)
          .map(PersonRow::name)
          .orElseThrow(
              () ->
                  Problem.invalid(
                      FieldProblem.of("person", person, "There is nobody like that here.")));
    }
  }
}
