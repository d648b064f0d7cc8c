package dremsa.server.people;

import dremsa.core.keep.Hours;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.people.Dosing;
import dremsa.core.people.HeadLimits;
import dremsa.core.people.HeadUse;
import dremsa.core.people.Porosity;
import dremsa.core.people.Product;
import dremsa.core.people.Reaction;
import dremsa.core.people.Standing;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.people.PersonJson.DoseLine;
import dremsa.server.people.PersonJson.HeadOfBottle;
import dremsa.server.people.PersonJson.LimitState;
import dremsa.server.people.PersonJson.PeopleView;
import dremsa.server.people.PersonJson.PersonForm;
import dremsa.server.people.PersonJson.PersonLine;
import dremsa.server.people.PersonJson.PersonPage;
import dremsa.server.people.PersonJson.ReactionForm;
import dremsa.server.people.PersonJson.ReactionLine;
import dremsa.server.people.PersonJson.RoutineForm;
import dremsa.server.people.PersonJson.SuitsLine;
import dremsa.server.people.PersonJson.SuspectLine;
import dremsa.server.people.PersonJson.TestForm;
import dremsa.server.people.PersonJson.TestLine;
import dremsa.server.people.PersonJson.TestResultForm;
import dremsa.server.people.PersonJson.UseLine;
import dremsa.server.shelf.HeadBottles;
import dremsa.server.wire.LimitJson;
import dremsa.server.wire.RoutineJson;
import dremsa.server.wire.Stored;
import jakarta.validation.Valid;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** People, their pages, and what they bear. */
@RestController
@Transactional
class PeopleController {
  private static final int MOST_USES = 60;
  private static final int MOST_EXPORTED = 20_000;

  /** Longer ago nobody remembers it to the hour. */
  private static final double MOST_HOURS = 24 * 60;

  private final People people;
  private final HeadUseRepository uses;
  private final HeadBottles bottles;
  private final HouseholdMaterials materials;
  private final Formulas formulas;
  private final Households households;
  private final Stored stored;

  PeopleController(
      People people,
      HeadUseRepository uses,
      HeadBottles bottles,
      HouseholdMaterials materials,
      Formulas formulas,
      Households households,
      Stored stored) {
    this.people = people;
    this.uses = uses;
    this.bottles = bottles;
    this.materials = materials;
    this.formulas = formulas;
    this.households = households;
    this.stored = stored;
  }

  @GetMapping("/api/people")
  PeopleView all(@AuthenticationPrincipal Member member) {
    LocalDate today = households.today(member.household());
    return new PeopleView(
        today,
        people.all(member.household()).stream().map(known -> PersonLine.of(known, today)).toList());
  }

  @PostMapping("/api/people")
  PersonPage add(@AuthenticationPrincipal Member member, @Valid @RequestBody PersonForm form) {
    UUID household = member.household();
    known(household, form);
    UUID id =
        people.add(
            household, form.name(), form.told(), !Boolean.FALSE.equals(form.usual()), now(member));
    return page(member, id);
  }

  @GetMapping("/api/people/{id}")
  PersonPage page(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    UUID household = member.household();
    Household keeper = households.of(household);
    Instant now = households.now(keeper);
    LocalDate today = keeper.day(now);
    People.Known known = people.get(household, id);
    Materials names = materials.of(household);
    Set<String> borne = known.limits().borne(today);
    List<Reaction> reactions = known.person().reactions();
    return new PersonPage(
        PersonLine.of(known, today),
        RoutineJson.of(known.routine()),
        now,
        today,
        known.limits().states(today).stream().map(LimitState::of).toList(),
        people.testsOf(household, id).stream().map(row -> test(row, names)).toList(),
        people.reactionsOf(household, id).stream()
            .map(row -> reaction(row, reactions, borne, names))
            .toList(),
        Reaction.WHAT_TO_DO,
        bottles.standing(household, now).stream()
            .flatMap(bottle -> suits(known, bottle, today).stream())
            .toList(),
        doses(known),
        uses
            .findByHouseholdIdAndPersonIdOrderByUsedAtDescIdDesc(
                household, id, PageRequest.of(0, MOST_USES))
            .stream()
            .map(row -> use(row, keeper))
            .toList());
  }

  private static TestLine test(PatchTestRow row, Materials names) {
    return new TestLine(
        row.id(),
        row.version(),
        row.toCore().material(),
        name(names, row.toCore().material()),
        row.toCore().started(),
        row.toCore().due(),
        row.toCore().result().orElse(null));
  }

  private static ReactionLine reaction(
      ReactionRow row, List<Reaction> all, Set<String> borne, Materials names) {
    Reaction reaction = row.toCore();
    return new ReactionLine(
        row.id(),
        reaction.at(),
        reaction.name(),
        reaction.sign(),
        reaction.suspects(all, borne).stream()
            .map(each -> new SuspectLine(each.material(), name(names, each.material()), each.why()))
            .toList());
  }

  private static String name(Materials names, String material) {
    return names.find(material).map(Material::name).orElse(material);
  }

  private static Optional<SuitsLine> suits(People.Known known, Standing bottle, LocalDate today) {
    return known
        .limits()
        .suits(bottle.product(), today)
        .map(
            suits ->
                new SuitsLine(
                    UUID.fromString(bottle.id()),
                    bottle.name(),
                    bottle.leftMl(),
                    bottle.lastDay(),
                    suits.slot(),
                    suits.well(),
                    suits.limits().stream().map(LimitJson::of).toList()));
  }

  private static List<DoseLine> doses(People.Known known) {
    return Stream.concat(
            known.routine().occasions().stream()
                .flatMap(occasion -> occasion.slots().stream())
                .map(slot -> slot.kind()),
            known.uses().stream().map(HeadUse::slot))
        .filter(kind -> kind.dose().isPresent())
        .distinct()
        .sorted()
        .map(
            kind -> {
              Dosing dose = Dosing.of(known.person(), kind, known.uses());
              return DoseLine.of(kind, dose.millilitres(), dose.words());
            })
        .toList();
  }

  private UseLine use(HeadUseRow row, Household keeper) {
    HeadUse use = row.toCore(keeper.zone(), stored);
    return new UseLine(
        use.at(),
        use.slot(),
        use.name(),
        row.bottleCode(),
        use.millilitres(),
        use.minutes().isPresent() ? use.minutes().getAsDouble() : null,
        row.undone());
  }

  @PutMapping("/api/people/{id}")
  PersonPage tell(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody PersonForm form) {
    if (form.version() == null) {
      throw Problem.invalid(FieldProblem.of("version", null, "Say which version you saw."));
    }
    known(member.household(), form);
    people.tell(member.household(), id, form.version(), form.name(), form.told(), now(member));
    return page(member, id);
  }

  /** What does not suit must be something that is known here. */
  private void known(UUID household, PersonForm form) {
    List<dremsa.server.wire.HairJson.UnsuitedJson> unsuited =
        Optional.ofNullable(form.told().unsuited()).orElse(List.of());
    for (int i = 0; i < unsuited.size(); i++) {
      String material = unsuited.get(i).material();
      if (unsuited.get(i).family() == null && material != null) {
        known(household, "hair.unsuited[" + i + "].material", material);
      }
    }
  }

  private void known(UUID household, String field, String material) {
    if (materials.of(household).find(material).isEmpty()) {
      throw Problem.invalid(
          FieldProblem.of(field, material, "There is no material of this name here."));
    }
  }

  /** Takes somebody away with all that is personal; how much was used stays, without a name. */
  @DeleteMapping("/api/people/{id}")
  PeopleView remove(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam long version) {
    people.remove(member.household(), id, version, now(member));
    return all(member);
  }

  @PutMapping("/api/people/{id}/routine")
  PersonPage keepTo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody RoutineForm form) {
    people.keepTo(
        member.household(), id, form.version(), form.routine().toCore("routine"), now(member));
    return page(member, id);
  }

  @PostMapping("/api/people/{id}/tests")
  PersonPage test(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody TestForm form) {
    known(member.household(), "material", form.material());
    people.test(member.household(), id, form.material(), ago(member, form.hoursAgo()), now(member));
    return page(member, id);
  }

  private Instant ago(Member member, @Nullable Double hours) {
    double back = hours == null ? 0 : hours;
    if (!(back >= 0 && back <= MOST_HOURS)) {
      throw Problem.invalid(
          FieldProblem.range(
              "hoursAgo", String.valueOf(back), "0 to 1440 hours ago.", 0, MOST_HOURS));
    }
    return Hours.after(now(member), -back);
  }

  @PutMapping("/api/people/{id}/tests/{test}")
  PersonPage testSeen(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable UUID test,
      @Valid @RequestBody TestResultForm form) {
    people.testSeen(member.household(), test, form.version(), form.result(), now(member));
    return page(member, id);
  }

  @DeleteMapping("/api/people/{id}/tests/{test}")
  PersonPage testTakenBack(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID test) {
    people.testTakenBack(member.household(), test, now(member));
    return page(member, id);
  }

  @PostMapping("/api/people/{id}/reactions")
  PersonPage reacted(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody ReactionForm form) {
    Instant at = ago(member, form.hoursAgo());
    people.reacted(member.household(), id, reaction(member, form, at), now(member));
    return page(member, id);
  }

  private Reaction reaction(Member member, ReactionForm form, Instant at) {
    if (form.bottle() != null) {
      Product product = bottles.of(member.household(), form.bottle(), at);
      return new Reaction(
          at,
          Optional.of(product.formula()),
          product.name(),
          product.toTry().stream().map(Material::id).collect(Collectors.toSet()),
          form.sign());
    }
    if (form.name() == null || form.name().isBlank()) {
      throw Problem.invalid(FieldProblem.of("name", form.name(), "Say what the skin answered to."));
    }
    return new Reaction(at, Optional.empty(), form.name().strip(), Set.of(), form.sign());
  }

  @DeleteMapping("/api/people/{id}/reactions/{reaction}")
  PersonPage reactionTakenBack(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID reaction) {
    people.reactionTakenBack(member.household(), reaction, now(member));
    return page(member, id);
  }

  /** Whose head a bottle is for, and for whose not. */
  @GetMapping("/api/bottles/{id}/heads")
  List<HeadOfBottle> heads(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    UUID household = member.household();
    LocalDate today = households.today(household);
    return heads(household, bottles.of(household, id, now(member)), today);
  }

  /** Whose head a formula would be for, and for whose not. */
  @GetMapping("/api/formulas/{id}/heads")
  List<HeadOfBottle> headsOfFormula(
      @AuthenticationPrincipal Member member, @PathVariable String id) {
    UUID household = member.household();
    LocalDate today = households.today(household);
    formulas.get(household, id);
    return bottles
        .ofFormula(household, id)
        .map(product -> heads(household, product, today))
        .orElse(List.of());
  }

  /** Formulas and a head: what suits it, and what stands against the others. */
  @GetMapping("/api/people/{id}/formulas")
  List<PersonJson.FormulaSuits> formulas(
      @AuthenticationPrincipal Member member, @PathVariable UUID id) {
    UUID household = member.household();
    LocalDate today = households.today(household);
    HeadLimits limits = people.get(household, id).limits();
    return bottles.ofFormulas(household).stream()
        .flatMap(
            product ->
                limits.suits(product, today).stream()
                    .map(
                        suits ->
                            new PersonJson.FormulaSuits(
                                product.formula(),
                                suits.well(),
                                suits.limits().stream().map(LimitJson::of).toList())))
        .toList();
  }

  private List<HeadOfBottle> heads(UUID household, Product product, LocalDate today) {
    return people.all(household).stream()
        .flatMap(
            known ->
                known.limits().suits(product, today).stream()
                    .map(
                        suits ->
                            new HeadOfBottle(
                                known.id(),
                                known.person().name(),
                                suits.slot(),
                                suits.well(),
                                suits.limits().stream().map(LimitJson::of).toList())))
        .toList();
  }

  /** What three looks at the hair say together. */
  record PorosityView(Porosity porosity, String words) {}

  /** How porous hair is, by what was seen; what was not looked at is left out. */
  @GetMapping("/api/porosity")
  PorosityView porosity(
      @RequestParam(required = false) Porosity.@Nullable Spray spray,
      @RequestParam(required = false) Porosity.@Nullable Drying drying,
      @RequestParam(required = false) Porosity.@Nullable Products products) {
    Porosity vote =
        Porosity.vote(
            Optional.ofNullable(spray), Optional.ofNullable(drying), Optional.ofNullable(products));
    return new PorosityView(vote, vote.words());
  }

  /**
   * When something comes round.
   *
   * @param days the next of them
   */
  record RepeatView(String words, List<LocalDate> days) {}

  /** What a rule says, before it is kept. */
  @PostMapping("/api/repeats")
  @dremsa.server.accounts.WithoutTurn
  RepeatView repeat(
      @AuthenticationPrincipal Member member, @Valid @RequestBody RoutineJson.RepeatJson form) {
    try {
      dremsa.core.people.Repeat repeat = form.toCore();
      LocalDate today = households.today(member.household());
      return new RepeatView(
          repeat.words(),
          repeat.between(today, today.plusDays(400), List.of()).stream().limit(5).toList());
    } catch (dremsa.core.people.InvalidPersonException e) {
      throw Problem.invalid(FieldProblem.of(e.field(), null, Problem.why(e)));
    }
  }

  /** All that is known of somebody here. */
  record PersonExport(PersonPage page, List<UseLine> uses) {}

  /** Everything personal of one person, to take along. */
  @GetMapping("/api/people/{id}/export")
  ResponseEntity<PersonExport> export(
      @AuthenticationPrincipal Member member, @PathVariable UUID id) {
    Household keeper = households.of(member.household());
    PersonPage page = page(member, id);
    List<UseLine> all =
        uses
            .findByHouseholdIdAndPersonIdOrderByUsedAtDescIdDesc(
                member.household(), id, PageRequest.of(0, MOST_EXPORTED))
            .stream()
            .map(row -> use(row, keeper))
            .toList();
    return ResponseEntity.ok()
        .header("Content-Disposition", "attachment; filename=\"person.json\"")
        .body(new PersonExport(page, all));
  }

  private Instant now(Member member) {
    return households.now(member.household());
  }
}
