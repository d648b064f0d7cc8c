package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Window;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.scale.Solution;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.TargetJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PredictionController {
  private final Predictions predictions;
  private final Formulas formulas;
  private final Kitchens kitchens;
  private final Households households;

  PredictionController(
      Predictions predictions, Formulas formulas, Kitchens kitchens, Households households) {
    this.predictions = predictions;
    this.formulas = formulas;
    this.kitchens = kitchens;
    this.households = households;
  }

  /**
   * What is asked.
   *
   * @param formulaId of a known formula; or give the formula itself
   * @param formula given inline
   * @param kitchen instead of the household's
   * @param target what is wanted
   * @param steps what is planned otherwise than usual
   * @param school instead of the household's
   * @param startAt when the first step begins; now when left out
   */
  record Question(
      @Nullable String formulaId,
      @Valid @Nullable FormulaJson formula,
      @Valid @Nullable KitchenJson kitchen,
      @NotNull(message = "Say what is wanted.") @Valid TargetJson target,
      @Size(max = Formula.MOST_STEPS, message = "At most 60 steps.")
          @Nullable List<@Valid StepPlan> steps,
      @Nullable School school,
      @Nullable Instant startAt) {}

  /** One step planned otherwise. */
  record StepPlan(
      @NotNull(message = "Say which step.") Integer index,
      @NotNull(message = "Say how long.") Double minutes) {}

  @Operation(
      summary = "How a brew would go, for a target, in a kitchen; keeps nothing",
      description =
          "Takes a formula by id or inline, the household's kitchen or another, and a target."
              + " Answers amounts, the water account, the trace, thickness, the discard date and its"
              + " reasons.")
  @PostMapping("/api/predictions")
  PredictionJson predict(
      @AuthenticationPrincipal Member member, @Valid @RequestBody Question question) {
    Household household = households.of(member.household());
    Formula formula = formula(question);
    Kitchen kitchen =
        question.kitchen() == null ? kitchens.of(household.id()) : kitchen(question.kitchen());
    Brew brew = predictions.resolve(formula, kitchen, "formula");
    Facts facts = facts(question.steps(), formula);
    Solution.Reached reached = predictions.solve(brew, question.target(), facts);
    Instant start = question.startAt() == null ? households.now(household) : question.startAt();
    return predictions.describe(
        brew,
        reached.scale(),
        reached.vessels(),
        reached.prediction(),
        facts,
        question.school() == null ? household.school() : question.school(),
        start,
        household.zone(),
        true);
  }

  private Formula formula(Question question) {
    if ((question.formulaId() == null) == (question.formula() == null)) {
      throw Problem.invalid(
          FieldProblem.of(
              "formulaId",
              question.formulaId(),
              "Give a formula's id or a formula, one of the two."));
    }
    return question.formula() == null
        ? formulas.get(question.formulaId())
        : question.formula().toCore("formula");
  }

  private static Kitchen kitchen(KitchenJson json) {
    try {
      return json.toCore();
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.of("kitchen", null, "Not possible: " + e.getMessage() + "."));
    }
  }

  private static Facts facts(List<StepPlan> steps, Formula formula) {
    Facts facts = Facts.NONE;
    if (steps == null) {
      return facts;
    }
    for (int i = 0; i < steps.size(); i++) {
      StepPlan plan = steps.get(i);
      if (plan.index() < 0 || plan.index() >= formula.steps().size()) {
        throw Problem.invalid(
            FieldProblem.range(
                "steps[" + i + "].index",
                plan.index(),
                "There is no such step.",
                0,
                formula.steps().size() - 1));
      }
      if (!(plan.minutes() >= 0 && plan.minutes() <= Window.MOST_MINUTES)) {
        throw Problem.invalid(
            FieldProblem.range(
                "steps[" + i + "].minutes",
                String.valueOf(plan.minutes()),
                "A step takes 0 minutes to a year.",
                0,
                Window.MOST_MINUTES));
      }
      facts = facts.with(plan.index(), StepFacts.lasting(plan.minutes()));
    }
    return facts;
  }
}
