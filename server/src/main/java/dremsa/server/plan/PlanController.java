package dremsa.server.plan;

import dremsa.core.measure.Said;
import dremsa.core.plan.Agreed;
import dremsa.core.plan.Planner;
import dremsa.core.plan.Situation;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.plan.PlanJson.BrewForm;
import dremsa.server.plan.PlanJson.DemandForm;
import dremsa.server.plan.PlanJson.DemandView;
import dremsa.server.plan.PlanJson.EveningView;
import dremsa.server.plan.PlanJson.FormulaChoice;
import dremsa.server.plan.PlanJson.NextBrew;
import dremsa.server.plan.PlanJson.PlanView;
import dremsa.server.plan.PlanJson.PlanWhatIf;
import dremsa.server.plan.PlanJson.PlansView;
import dremsa.server.plan.PlanJson.SettingsForm;
import dremsa.server.plan.PlanJson.TakePlanForm;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The plan: what is agreed on, what would be better, what if. */
@RestController
class PlanController {
  private static final String DAYS = "1 to 84 days.";

  private final BrewPlans plans;
  private final PlanSearches searches;
  private final BrewDays brewDays;
  private final Formulas formulas;
  private final Households households;

  PlanController(
      BrewPlans plans,
      PlanSearches searches,
      BrewDays brewDays,
      Formulas formulas,
      Households households) {
    this.plans = plans;
    this.searches = searches;
    this.brewDays = brewDays;
    this.formulas = formulas;
    this.households = households;
  }

  @Operation(summary = "The plan as agreed, as it would go now, and what would be better")
  @GetMapping("/api/plan")
  @Transactional(readOnly = true)
  PlansView plan(
      @AuthenticationPrincipal Member member,
      @RequestParam(defaultValue = "" + BrewPlans.USUAL_DAYS) int days) {
    check(days);
    Household household = households.of(member.household());
    Instant now = households.now(household);
    LocalDate today = household.day(now);
    UUID id = household.id();
    Situations.Told told = plans.situation(household, now, days, List.of());
    Situation situation = told.situation();
    Optional<PlanSearches.Search> search = searches.of(id);
    UUID basis = told.basis();
    List<Agreed> best =
        search
            .filter(each -> each.basis().filter(basis::equals).isPresent())
            .flatMap(PlanSearches.Search::found)
            .map(found -> found.brews().stream().map(BrewForm::toCore).toList())
            .map(brews -> Planner.judge(situation, brews).measurable(situation))
            .orElseGet(() -> Planner.first(situation).measurable(situation));
    boolean taken = plans.taken(id);
    return new PlansView(
        today,
        now,
        today.plusDays(days - 1L),
        plans.version(id),
        plans.settings(id),
        situation.evenings().stream()
            .map(evening -> new EveningView(evening.day(), evening.minutes()))
            .toList(),
        taken ? plans.judged(told, situation.agreed()) : null,
        plans.judged(told, best),
        !taken || worth(situation, best),
        plans.demands(id, today).stream()
            .map(
                each ->
                    new DemandView(
                        each.id(),
                        each.formula(),
                        formulas.find(id, each.formula()).map(f -> f.name()).orElse(""),
                        each.millilitres(),
                        each.byDay(),
                        each.words()))
            .toList(),
        situation.brewables().stream()
            .map(each -> new FormulaChoice(each.formula(), each.name(), each.mostMl()))
            .toList(),
        search.map(PlanSearches.Search::view).orElse(null));
  }

  private static boolean worth(Situation situation, List<Agreed> best) {
    return Planner.judge(situation, situation.agreed())
        .score()
        .worthChangingFor(Planner.judge(situation, best).score());
  }

  private static void check(int days) {
    if (days < 1 || days > Situation.MOST_DAYS) {
      throw Problem.invalid(FieldProblem.range("days", days, DAYS, 1, Situation.MOST_DAYS));
    }
  }

  @Operation(summary = "How other brews would go, or what would be best with more days off")
  @WithoutTurn
  @PostMapping("/api/plan/what-if")
  @Transactional(readOnly = true)
  PlanView whatIf(@AuthenticationPrincipal Member member, @Valid @RequestBody PlanWhatIf form) {
    int days = form.days() == null ? BrewPlans.USUAL_DAYS : form.days();
    check(days);
    Household household = households.of(member.household());
    Instant now = households.now(household);
    List<BrewForm> brews = form.brews();
    if (brews != null) {
      plans.check(household.id(), brews, household.day(now));
    }
    Situations.Told told =
        plans.situation(household, now, days, form.off() == null ? List.of() : form.off());
    return plans.judged(
        told,
        brews == null
            ? Planner.first(told.situation()).measurable(told.situation())
            : brews.stream().map(BrewForm::toCore).toList());
  }

  @Operation(summary = "Agrees on these brews and no others")
  @PutMapping("/api/plan")
  @Transactional
  PlansView take(@AuthenticationPrincipal Member member, @Valid @RequestBody TakePlanForm form) {
    plans.take(member.household(), form.brews(), form.version(), now(member));
    return plan(member, BrewPlans.USUAL_DAYS);
  }

  @PutMapping("/api/plan/settings")
  @Transactional
  PlansView settle(@AuthenticationPrincipal Member member, @Valid @RequestBody SettingsForm form) {
    plans.settle(member.household(), form.settings(), form.version());
    return plan(member, BrewPlans.USUAL_DAYS);
  }

  @Operation(summary = "Looks for a better plan in the background")
  @PostMapping("/api/plan/search")
  @ResponseStatus(HttpStatus.ACCEPTED)
  @Transactional
  void search(
      @AuthenticationPrincipal Member member,
      @RequestParam(defaultValue = "" + BrewPlans.USUAL_DAYS) int days) {
    check(days);
    searches.ask(member.household(), days, now(member));
  }

  @DeleteMapping("/api/plan/search")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  void stop(@AuthenticationPrincipal Member member) {
    searches.stop(member.household());
  }

  @PostMapping("/api/plan/demands")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  PlansView demand(@AuthenticationPrincipal Member member, @Valid @RequestBody DemandForm form) {
    plans.demand(member.household(), form, now(member));
    return plan(member, BrewPlans.USUAL_DAYS);
  }

  @DeleteMapping("/api/plan/demands/{id}")
  @Transactional
  PlansView forget(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    plans.forgetDemand(member.household(), id);
    return plan(member, BrewPlans.USUAL_DAYS);
  }

  @Operation(summary = "An evening's brews: what is done when, and what is to be fetched")
  @GetMapping("/api/plan/days/{day}")
  @Transactional(readOnly = true)
  BrewDays.BrewDayView brewDay(
      @AuthenticationPrincipal Member member, @PathVariable LocalDate day) {
    Household household = households.of(member.household());
    return brewDays.of(household, day, households.now(household));
  }

  /** The runs that came of an evening. */
  record TakenDay(List<UUID> batches) {}

  @Operation(summary = "Lays the runs of an evening on the bench, each for its time")
  @PostMapping("/api/plan/days/{day}")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  TakenDay begin(@AuthenticationPrincipal Member member, @PathVariable LocalDate day) {
    Household household = households.of(member.household());
    return new TakenDay(brewDays.take(household, day, households.now(household)));
  }

  /**
   * What the plan needs of a formula next.
   *
   * @param next null where it needs none
   */
  record PlannedOf(@Nullable NextBrew next) {}

  @Operation(summary = "What the plan needs of a formula next")
  @GetMapping("/api/formulas/{id}/planned")
  @Transactional(readOnly = true)
  PlannedOf planned(@AuthenticationPrincipal Member member, @PathVariable String id) {
    Household household = households.of(member.household());
    formulas.get(household.id(), id);
    Instant now = households.now(household);
    return new PlannedOf(
        plans.agreed(household.id(), household.day(now)).stream()
            .filter(each -> each.formula().equals(id))
            .findFirst()
            .map(
                each ->
                    new NextBrew(
                        each.day(),
                        each.millilitres(),
                        Said.of("The plan needs %.0f mL", each.millilitres())))
            .orElse(null));
  }

  private Instant now(Member member) {
    return households.now(households.of(member.household()));
  }
}
