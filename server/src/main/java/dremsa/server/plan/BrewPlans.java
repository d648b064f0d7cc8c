package dremsa.server.plan;

import dremsa.core.plan.Agreed;
import dremsa.core.plan.Because;
import dremsa.core.plan.BrewPlan;
import dremsa.core.plan.FreeTime;
import dremsa.core.plan.Obstacle;
import dremsa.core.plan.Planner;
import dremsa.core.plan.Situation;
import dremsa.core.plan.Supply;
import dremsa.core.plan.Tonight;
import dremsa.core.today.Today;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.plan.PlanJson.BrewForm;
import dremsa.server.plan.PlanJson.PlanBand;
import dremsa.server.plan.PlanJson.PlanServing;
import dremsa.server.plan.PlanJson.PlanSettings;
import dremsa.server.plan.PlanJson.PlanView;
import dremsa.server.plan.PlanJson.PlanWithout;
import dremsa.server.plan.PlanJson.PlannedBrewView;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was agreed on, and says how it goes and what would be better. */
@Service
public class BrewPlans {
  /** Three weeks, where nothing else is asked for. */
  static final int USUAL_DAYS = 21;

  /** Amounts are told and agreed on in steps of this, mL. */
  private static final int MOST_DEMANDS = 100;

  private final Situations situations;
  private final PlanRepository plans;
  private final PlannedBrewRepository brews;
  private final PlanDemandRepository demands;
  private final Formulas formulas;
  private final Households households;
  private final Stored stored;

  BrewPlans(
      Situations situations,
      PlanRepository plans,
      PlannedBrewRepository brews,
      PlanDemandRepository demands,
      Formulas formulas,
      Households households,
      Stored stored) {
    this.situations = situations;
    this.plans = plans;
    this.brews = brews;
    this.demands = demands;
    this.formulas = formulas;
    this.households = households;
    this.stored = stored;
  }

  PlanSettings settings(UUID household) {
    return plans
        .findById(household)
        .map(row -> stored.read(row.settings(), PlanSettings.class))
        .orElse(PlanSettings.USUAL);
  }

  long version(UUID household) {
    return plans.findById(household).map(PlanRow::version).orElse(-1L);
  }

  /** Whether a household ever took a plan. */
  boolean taken(UUID household) {
    return plans.findById(household).map(PlanRow::takenAt).isPresent();
  }

  /** What was agreed on and is still to be begun. */
  List<Agreed> agreed(UUID household, LocalDate today) {
    return brews
        .findByHouseholdIdAndDayGreaterThanEqualOrderByDayAscNameAsc(household, today)
        .stream()
        .filter(row -> row.batch() == null)
        .map(row -> new Agreed(row.day(), row.formula(), row.millilitres(), row.pinned()))
        .toList();
  }

  List<PlanDemandRow> demands(UUID household, LocalDate today) {
    return demands.findByHouseholdIdAndByDayGreaterThanEqualOrderByByDayAscWordsAsc(
        household, today);
  }

  /** What a household's plan is made for. */
  Situations.Told situation(Household household, Instant now, int days, List<LocalDate> off) {
    UUID id = household.id();
    LocalDate today = household.day(now);
    PlanSettings settings = settings(id);
    List<LocalDate> all = new ArrayList<>(settings.off());
    all.addAll(off);
    PlanSettings meant =
        new PlanSettings(settings.evenings(), all, settings.freezerMl(), settings.fridgeMl());
    return situations.of(household, now, days, meant, demands(id, today), agreed(id, today));
  }

  /** How exactly these brews would go. */
  PlanView judged(Situations.Told told, List<Agreed> exactly) {
    Situation situation = told.situation();
    BrewPlan plan = Planner.judge(situation, exactly);
    List<List<Because>> reasons = Because.of(situation, plan);
    List<PlannedBrewView> views = new ArrayList<>();
    for (int i = 0; i < plan.brews().size(); i++) {
      BrewPlan.PlannedBrew brew = plan.brews().get(i);
      views.add(
          new PlannedBrewView(
              brew.day(),
              brew.formula(),
              brew.name(),
              brew.millilitres(),
              brew.frozenMl(),
              brew.frozenTo().orElse(null),
              brew.from(),
              brew.lastDay(),
              brew.hands(),
              brew.pinned(),
              situation.agreed().contains(brew.agreed()),
              reasons.get(i).stream().map(Because::words).toList()));
    }
    return new PlanView(
        views,
        bands(told, plan),
        plan.without().stream()
            .map(
                each ->
                    new PlanWithout(
                        each.need().day(),
                        person(each.need().person()),
                        each.need().words(),
                        each.need().millilitres(),
                        each.there()))
            .toList(),
        Obstacle.of(situation, plan).stream().map(Obstacle::words).toList(),
        plan.brewedMl(),
        plan.thrownMl(),
        plan.sessions(),
        plan.hands(situation.weights()),
        plan.score().minutes(),
        plan.score().hard() == 0,
        plan.words(situation.weights()));
  }

  private static @Nullable UUID person(String id) {
    return id.isEmpty() ? null : UUID.fromString(id);
  }

  private static List<PlanBand> bands(Situations.Told told, BrewPlan plan) {
    List<PlanBand> all = new ArrayList<>();
    for (Supply supply : told.situation().supplies()) {
      BrewPlan.Source source =
          new BrewPlan.Source(java.util.OptionalInt.empty(), Optional.of(supply.id()));
      all.add(
          new PlanBand(
              supply.id(),
              null,
              told.names().getOrDefault(supply.id(), ""),
              supply.from(),
              supply.lastDay(),
              supply.millilitres(),
              supply.portionMl() > 0 && supply.frozenTo().isEmpty()
                  ? supply.millilitres()
                  : plan.frozen().getOrDefault(supply.id(), 0.0),
              thrown(plan, source),
              servings(plan, source)));
    }
    for (int i = 0; i < plan.brews().size(); i++) {
      BrewPlan.PlannedBrew brew = plan.brews().get(i);
      BrewPlan.Source source = new BrewPlan.Source(java.util.OptionalInt.of(i), Optional.empty());
      all.add(
          new PlanBand(
              null,
              i,
              brew.name(),
              brew.from(),
              brew.frozenTo().filter(to -> to.isAfter(brew.lastDay())).orElse(brew.lastDay()),
              brew.millilitres(),
              brew.frozenMl(),
              thrown(plan, source),
              servings(plan, source)));
    }
    return all;
  }

  private static double thrown(BrewPlan plan, BrewPlan.Source source) {
    return plan.thrown().stream()
        .filter(each -> each.source().equals(source))
        .mapToDouble(BrewPlan.Thrown::millilitres)
        .sum();
  }

  private static List<PlanServing> servings(BrewPlan plan, BrewPlan.Source source) {
    return plan.servings().stream()
        .filter(each -> each.source().equals(source))
        .map(
            each ->
                new PlanServing(
                    each.need().day(),
                    person(each.need().person()),
                    each.need().words(),
                    each.millilitres(),
                    each.thawed()))
        .toList();
  }

  /** Agrees on a plan: these brews and no others. */
  @Transactional
  public void take(UUID household, List<BrewForm> forms, long version, Instant now) {
    LocalDate today = households.of(household).day(now);
    PlanRow row = row(household, version);
    check(household, forms, today);
    brews.findByHouseholdIdAndDayGreaterThanEqualOrderByDayAscNameAsc(household, today).stream()
        .filter(each -> each.batch() == null)
        .forEach(brews::delete);
    brews.flush();
    for (BrewForm form : forms) {
      String name = formulas.find(household, form.formula()).map(found -> found.name()).orElse("");
      brews.save(
          new PlannedBrewRow(
              household,
              form.day(),
              form.formula(),
              name,
              form.millilitres(),
              Boolean.TRUE.equals(form.pinned())));
    }
    row.taken(now);
    plans.saveAndFlush(row);
  }

  /** Agrees on what is proposed for the usual weeks. */
  @Transactional
  public void takeProposal(Household household, Instant now) {
    Situation situation = situation(household, now, USUAL_DAYS, List.of()).situation();
    List<BrewForm> forms =
        Planner.first(situation).measurable(situation).stream()
            .map(each -> new BrewForm(each.day(), each.formula(), each.millilitres(), false))
            .toList();
    take(household.id(), forms, version(household.id()), now);
  }

  /** What is wrong with brews is told at its place. */
  void check(UUID household, List<BrewForm> forms, LocalDate today) {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < forms.size(); i++) {
      BrewForm form = forms.get(i);
      String at = "brews[" + i + "]";
      if (form.day().isBefore(today)
          || form.day().isAfter(today.plusDays(Situation.MOST_DAYS - 1L))) {
        throw Problem.invalid(
            FieldProblem.of(at + ".day", form.day(), "From today on, and at most 84 days ahead."));
      }
      if (formulas.find(household, form.formula()).isEmpty()) {
        throw Problem.invalid(
            FieldProblem.of(at + ".formula", form.formula(), "There is no such formula."));
      }
      if (!seen.add(form.day() + form.formula())) {
        throw Problem.invalid(
            FieldProblem.of(
                at + ".formula", form.formula(), "It stands on that day already: make that more."));
      }
    }
  }

  private PlanRow row(UUID household, long version) {
    PlanRow row =
        plans
            .findById(household)
            .orElseGet(() -> new PlanRow(household, stored.write(PlanSettings.USUAL)));
    if (version(household) != version) {
      throw Problem.conflict("Somebody was quicker: look at the plan again.");
    }
    return row;
  }

  @Transactional
  void settle(UUID household, PlanSettings settings, long version) {
    for (int i = 0; i < settings.evenings().size(); i++) {
      PlanJson.FreeDay day = settings.evenings().get(i);
      if (!day.from().isBefore(day.to())) {
        throw Problem.invalid(
            FieldProblem.of(
                "settings.evenings[" + i + "].to", day.to(), "It ends later than it begins."));
      }
    }
    PlanRow row = row(household, version);
    row.settle(stored.write(settings));
    plans.saveAndFlush(row);
  }

  @Transactional
  void demand(UUID household, PlanJson.DemandForm form, Instant now) {
    LocalDate today = households.of(household).day(now);
    if (form.by().isBefore(today) || form.by().isAfter(today.plusDays(365))) {
      throw Problem.invalid(FieldProblem.of("by", form.by(), "From today on, within a year."));
    }
    if (formulas.find(household, form.formula()).isEmpty()) {
      throw Problem.invalid(
          FieldProblem.of("formula", form.formula(), "There is no such formula."));
    }
    if (demands.countByHouseholdId(household) >= MOST_DEMANDS) {
      throw Problem.conflict("There are " + MOST_DEMANDS + " of them already.");
    }
    demands.saveAndFlush(
        new PlanDemandRow(
            household, form.by(), form.formula(), form.millilitres(), form.words().strip()));
  }

  @Transactional
  void forgetDemand(UUID household, UUID id) {
    demands.delete(
        demands
            .findByIdAndHouseholdId(id, household)
            .orElseThrow(() -> Problem.notFound("demand")));
    demands.flush();
  }

  /** Brews of a day that are agreed on and not begun. */
  List<PlannedBrewRow> on(UUID household, LocalDate day) {
    return brews.findByHouseholdIdAndDayOrderByName(household, day).stream()
        .filter(row -> row.batch() == null)
        .toList();
  }

  /** A brew became a run. */
  void begun(PlannedBrewRow row, UUID batch) {
    row.begun(batch);
    brews.saveAndFlush(row);
  }

  /** What was agreed on for today and is not begun yet; empty where that is nothing. */
  @Transactional(readOnly = true)
  public Optional<Today.Brews> tonight(Household household, Instant now) {
    LocalDate today = household.day(now);
    List<PlannedBrewRow> mine = on(household.id(), today);
    Optional<FreeTime.Span> span = settings(household.id()).toCore().on(today);
    if (mine.isEmpty() || span.isEmpty()) {
      return Optional.empty();
    }
    Situation situation = situation(household, now, USUAL_DAYS, List.of()).situation();
    BrewPlan plan = Planner.judge(situation, situation.agreed());
    Instant at = today.atTime(span.get().from()).atZone(household.zone()).toInstant();
    return Tonight.of(situation, plan, today).map(tonight -> new Today.Brews(at, tonight.words()));
  }
}
