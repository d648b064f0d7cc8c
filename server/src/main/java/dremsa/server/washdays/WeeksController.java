package dremsa.server.washdays;

import dremsa.core.people.Ahead;
import dremsa.core.people.Due;
import dremsa.core.people.Occasion;
import dremsa.core.people.Sheet;
import dremsa.core.people.SlotKind;
import dremsa.core.people.Standing;
import dremsa.core.people.Wanting;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.people.People;
import dremsa.server.shelf.HeadBottles;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The weeks: wash days on a line, what feeds them, and what will be short. */
@RestController
class WeeksController {
  private static final int MOST_DAYS = 84;
  private static final int LOOKS_BACK = 28;
  private static final int WANTED_DAYS = 14;

  private final WashDays washDays;
  private final WashDayRepository repository;
  private final People people;
  private final HeadBottles bottles;
  private final Formulas formulas;
  private final Households households;

  WeeksController(
      WashDays washDays,
      WashDayRepository repository,
      People people,
      HeadBottles bottles,
      Formulas formulas,
      Households households) {
    this.bottles = bottles;
    this.formulas = formulas;
    this.washDays = washDays;
    this.repository = repository;
    this.people = people;
    this.households = households;
  }

  /**
   * An occasion of somebody.
   *
   * @param done the id by which it is taken back; null where it is not done
   * @param note what was written down with it
   */
  record OccasionLine(
      UUID person,
      String name,
      String occasion,
      String occasionName,
      Occasion.Kind kind,
      LocalDate planned,
      LocalDate day,
      LocalTime time,
      Due.State state,
      @Nullable UUID done,
      String note) {}

  /** Some of a bottle for a head. */
  record ServesLine(LocalDate day, UUID person, String occasion, double millilitres) {}

  /**
   * A bottle, or a brew that will be one.
   *
   * @param id of the bottle; of the batch for one that is brewing
   * @param from the day from which on it is there
   * @param leftMl now, or when it is bottled
   * @param endMl left after all that is planned
   * @param frozen it waits in the freezer
   */
  record BandLine(
      UUID id,
      String name,
      boolean brewing,
      LocalDate from,
      LocalDate lastDay,
      double leftMl,
      double endMl,
      boolean frozen,
      List<ServesLine> serves) {}

  /** Somebody goes without. */
  record WithoutLine(
      LocalDate day,
      UUID person,
      String name,
      String occasion,
      SlotKind slot,
      double missingMl,
      String words) {}

  /** Something to do beforehand. */
  record BeforeLine(Sheet.Before.Kind kind, UUID bottle, String name, Instant at, String words) {}

  /** The weeks. */
  record WeeksView(
      LocalDate today,
      Instant now,
      LocalDate from,
      LocalDate to,
      List<OccasionLine> occasions,
      List<BandLine> bands,
      List<WithoutLine> without,
      List<BeforeLine> before) {}

  @GetMapping("/api/weeks")
  @Transactional(readOnly = true)
  WeeksView weeks(
      @AuthenticationPrincipal Member member,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(defaultValue = "21") int days) {
    if (days < 1 || days > MOST_DAYS) {
      throw Problem.invalid(FieldProblem.range("days", days, "1 to 84 days.", 1, MOST_DAYS));
    }
    Household household = households.of(member.household());
    Instant now = households.now(household);
    LocalDate today = household.day(now);
    LocalDate first = from == null ? today : from;
    if (first.isBefore(today.minusDays(LOOKS_BACK))
        || first.plusDays(days).isAfter(today.plusDays(MOST_DAYS + 1L))) {
      throw Problem.invalid(FieldProblem.of("from", first, "From 28 days ago to 84 days ahead."));
    }
    Ahead.Surroundings at = washDays.surroundings(household, now);
    LocalDate to = first.plusDays(days - 1L);
    Ahead ahead = washDays.ahead(household, at, first, to);
    Map<String, String> names = names(household.id());
    return new WeeksView(
        today,
        now,
        first,
        to,
        occasions(household.id(), ahead, names, today),
        bands(ahead, at, household),
        ahead.without().stream()
            .map(
                each ->
                    new WithoutLine(
                        each.day(),
                        UUID.fromString(each.person()),
                        names.getOrDefault(each.person(), ""),
                        each.occasion(),
                        each.slot(),
                        each.missingMl(),
                        each.words()))
            .toList(),
        ahead.before().stream()
            .filter(each -> each.kind() == Sheet.Before.Kind.THAW)
            .map(
                each ->
                    new BeforeLine(
                        each.kind(),
                        UUID.fromString(each.bottle()),
                        each.name(),
                        each.at(),
                        each.words()))
            .toList());
  }

  /**
   * Somebody who would use a brew.
   *
   * @param millilitres the dose of this head
   */
  record WantedLine(
      UUID person,
      String name,
      LocalDate day,
      String occasionName,
      SlotKind slot,
      double millilitres) {}

  /** Who would use a brew of a formula in the two weeks to come, and how much. */
  @GetMapping("/api/formulas/{id}/wanted")
  @Transactional(readOnly = true)
  List<WantedLine> wanted(@AuthenticationPrincipal Member member, @PathVariable String id) {
    UUID household = member.household();
    formulas.get(household, id);
    LocalDate today = households.today(household);
    Map<String, String> names = names(household);
    return bottles
        .ofFormula(household, id)
        .map(
            product ->
                Wanting.of(
                    product, washDays.heads(household, today), today, today.plusDays(WANTED_DAYS)))
        .orElse(List.of())
        .stream()
        .map(
            each ->
                new WantedLine(
                    UUID.fromString(each.person()),
                    names.getOrDefault(each.person(), ""),
                    each.day(),
                    each.occasion().name(),
                    each.slot(),
                    each.millilitres()))
        .toList();
  }

  private Map<String, String> names(UUID household) {
    return people.all(household).stream()
        .collect(Collectors.toMap(known -> known.id().toString(), known -> known.person().name()));
  }

  private List<OccasionLine> occasions(
      UUID household, Ahead ahead, Map<String, String> names, LocalDate today) {
    Map<String, WashDayRow> rows =
        repository
            .findByHouseholdIdAndPlannedAfter(household, today.minusDays(2L * MOST_DAYS))
            .stream()
            .collect(
                Collectors.toMap(
                    row -> key(row.personId().toString(), row.occasion(), row.planned()),
                    Function.identity(),
                    (a, b) -> b));
    return ahead.occasions().stream()
        .map(
            each -> {
              Due due = each.due();
              Optional<WashDayRow> row =
                  Optional.ofNullable(
                          rows.get(key(each.person(), due.occasion().key(), due.planned())))
                      .filter(WashDayRow::done);
              return new OccasionLine(
                  UUID.fromString(each.person()),
                  names.getOrDefault(each.person(), ""),
                  due.occasion().key(),
                  due.occasion().name(),
                  due.occasion().kind(),
                  due.planned(),
                  due.day(),
                  due.occasion().time(),
                  due.state(),
                  row.map(WashDayRow::id).orElse(null),
                  row.map(WashDayRow::note).orElse(""));
            })
        .toList();
  }

  private static String key(String person, String occasion, LocalDate planned) {
    return person + "/" + occasion + "/" + planned;
  }

  private static List<BandLine> bands(Ahead ahead, Ahead.Surroundings at, Household household) {
    List<BandLine> all = new ArrayList<>();
    for (Standing bottle : at.bottles()) {
      all.add(band(bottle, false, at.today(), ahead));
    }
    for (Sheet.Coming coming : at.coming()) {
      all.add(band(coming.bottle(), true, household.day(coming.ready()), ahead));
    }
    return all;
  }

  private static BandLine band(Standing bottle, boolean brewing, LocalDate from, Ahead ahead) {
    List<ServesLine> serves =
        ahead.serves().stream()
            .filter(each -> each.bottle().equals(bottle.id()))
            .map(
                each ->
                    new ServesLine(
                        each.day(),
                        UUID.fromString(each.person()),
                        each.occasion(),
                        each.millilitres()))
            .toList();
    double taken = serves.stream().mapToDouble(ServesLine::millilitres).sum();
    return new BandLine(
        UUID.fromString(brewing ? bottle.id().substring("brew:".length()) : bottle.id()),
        bottle.name(),
        brewing,
        from,
        bottle.lastDay(),
        bottle.leftMl(),
        Math.max(0, bottle.leftMl() - taken),
        bottle.frozen(),
        serves);
  }
}
