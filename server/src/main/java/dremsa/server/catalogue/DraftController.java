package dremsa.server.catalogue;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.scale.Joining;
import dremsa.core.scale.Remeasuring;
import dremsa.core.scale.Solution;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.Planner;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.TargetJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What changes to a formula come to while it is being written; keeps nothing. */
@RestController
class DraftController {
  private final HouseholdMaterials materials;
  private final Kitchens kitchens;
  private final Households households;
  private final Planner planner;

  DraftController(
      HouseholdMaterials materials, Kitchens kitchens, Households households, Planner planner) {
    this.materials = materials;
    this.kitchens = kitchens;
    this.households = households;
    this.planner = planner;
  }

  /** A formula, and the id of a material or of a brew that shall go into it. */
  record Joined(
      @NotNull(message = "Give the formula.") @Valid FormulaJson formula,
      @NotNull(message = "Say what shall go in.") String material) {}

  /**
   * A formula, and an ingredient whose amount shall be written otherwise.
   *
   * @param grams counted out for the formula as it is written; the amount that stands there when
   *     left out
   */
  record Remeasured(
      @NotNull(message = "Give the formula.") @Valid FormulaJson formula,
      @NotNull(message = "Say which ingredient.") String key,
      @NotNull(message = "Say in which unit.") Remeasuring.Unit unit,
      @Range(min = 0, max = 20_000, message = "Above 0 and up to 20 000 g.")
          @Nullable Double grams) {}

  @Operation(
      summary = "A formula with one more ingredient: where it belongs, in its own unit",
      description =
          "A preservative as a percentage and a scent in drops, stirred into the cool brew; herbs"
              + " and liquids with the others. The amount is a low, usual one to begin with.")
  @WithoutTurn
  @PostMapping("/api/formulas/with")
  FormulaJson with(@AuthenticationPrincipal Member member, @Valid @RequestBody Joined wanted) {
    Materials all = materials.of(member.household());
    Formula formula = wanted.formula().toCore("formula");
    try {
      return FormulaJson.of(Joining.of(formula, wanted.material(), all).apply(formula));
    } catch (UnknownMaterialException e) {
      throw Problem.invalid(FieldProblem.of("material", wanted.material(), Problem.why(e)));
    }
  }

  @Operation(
      summary = "A formula with the amount of one ingredient written in another unit",
      description = "The same amount: by how the batch comes out, to three figures.")
  @WithoutTurn
  @PostMapping("/api/formulas/measured")
  FormulaJson measured(
      @AuthenticationPrincipal Member member, @Valid @RequestBody Remeasured wanted) {
    UUID household = member.household();
    Solution.Reached batch =
        planner
            .solve(
                household,
                new Draft(wanted.formula()),
                kitchens.of(household),
                households.now(household))
            .reached();
    Formula formula = wanted.formula().toCore("formula");
    int at = formula.ingredients().stream().map(Ingredient::key).toList().indexOf(wanted.key());
    try {
      return FormulaJson.of(
          wanted.grams() == null
              ? Remeasuring.of(batch, wanted.key(), wanted.unit())
              : Remeasuring.counted(batch, wanted.key(), wanted.unit(), wanted.grams()));
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.of(
              at < 0 ? "key" : "formula.ingredients[" + at + "]",
              wanted.key(),
              e.getMessage() + "."));
    }
  }

  /** A formula at the size at which amounts are compared. */
  private record Draft(FormulaJson formula) implements Plan {
    @Override
    public @Nullable String formulaId() {
      return null;
    }

    @Override
    public TargetJson target() {
      return TargetJson.volume(FormulaController.TOLD_AT_ML);
    }
  }
}
