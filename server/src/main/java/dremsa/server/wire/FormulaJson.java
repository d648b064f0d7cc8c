package dremsa.server.wire;

import com.fasterxml.jackson.annotation.JsonInclude;
import dremsa.core.formula.Branch;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.InvalidFormulaException;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A formula.
 *
 * @param id stable; may be left out of a formula that is only asked about
 */
public record FormulaJson(
    @Nullable String id,
    @NotNull(message = "A formula needs a name.")
        @Size(min = 1, max = 120, message = "A name has 1 to 120 characters.")
        String name,
    @NotNull(message = "Say which method it follows.") Method method,
    @Nullable List<Purpose> purposes,
    @Size(max = 2000, message = "At most 2000 characters.") @Nullable String about,
    @NotEmpty(message = "A formula needs ingredients.")
        @Size(max = Formula.MOST_INGREDIENTS, message = "At most 40 ingredients.")
        List<@Valid IngredientJson> ingredients,
    @NotEmpty(message = "A formula needs steps.")
        @Size(max = Formula.MOST_STEPS, message = "At most 60 steps.")
        List<@Valid StepJson> steps,
    @Size(max = Formula.MOST_BRANCHES, message = "At most 6 ways.")
        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        @Nullable List<@Valid BranchJson> branches) {

  /**
   * One way of a divided batch.
   *
   * @param share of the batch as it stands after the common steps, above 0 and at most 1
   */
  public record BranchJson(
      @NotNull(message = "Say what this share becomes.")
          @Size(min = 1, max = 80, message = "1 to 80 characters.")
          String name,
      @NotNull(message = "Say which share.") Double share,
      @NotEmpty(message = "A share needs a step of its own.")
          @Size(max = Formula.MOST_STEPS, message = "At most 60 steps.")
          List<@Valid StepJson> steps) {
    static BranchJson of(Branch branch) {
      return new BranchJson(
          branch.name(), branch.share(), branch.steps().stream().map(StepJson::of).toList());
    }

    Branch toCore(String at) {
      if (!(share > 0 && share <= 1)) {
        throw Problem.invalid(
            FieldProblem.range(
                at + ".share", String.valueOf(share), "A share is above 0 and at most 1.", 0, 1));
      }
      return new Branch(name, share, StepJson.toCore(steps, at + ".steps"));
    }
  }

  /**
   * One ingredient; exactly one of the three proportions is given.
   *
   * @param parts by weight
   * @param percent of the finished mass
   * @param dropsPer100Ml of the finished brew
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record IngredientJson(
      @NotNull(message = "An ingredient needs a key.") @Size(min = 1, max = 80) String key,
      @NotNull(message = "Say which material it is.") @Size(min = 1, max = 80) String material,
      @Nullable Double parts,
      @Nullable Double percent,
      @Nullable Double dropsPer100Ml) {

    public static IngredientJson of(Ingredient ingredient) {
      Proportion p = ingredient.proportion();
      return new IngredientJson(
          ingredient.key(),
          ingredient.material(),
          p instanceof Proportion.Parts parts ? parts.grams() : null,
          p instanceof Proportion.PercentOfFinished percent ? percent.percent() : null,
          p instanceof Proportion.DropsPer100Ml drops ? drops.drops() : null);
    }

    public Ingredient toCore(String at) {
      int given =
          (parts == null ? 0 : 1) + (percent == null ? 0 : 1) + (dropsPer100Ml == null ? 0 : 1);
      if (given != 1) {
        throw Problem.invalid(
            FieldProblem.of(at, null, "Give exactly one of parts, percent and dropsPer100Ml."));
      }
      String field = parts != null ? "parts" : percent != null ? "percent" : "dropsPer100Ml";
      try {
        Proportion proportion =
            parts != null
                ? new Proportion.Parts(parts)
                : percent != null
                    ? new Proportion.PercentOfFinished(percent)
                    : new Proportion.DropsPer100Ml(Objects.requireNonNull(dropsPer100Ml));
        return new Ingredient(key, material, proportion);
      } catch (IllegalArgumentException e) {
        throw Problem.invalid(FieldProblem.of(at + "." + field, null, Problem.why(e)));
      }
    }
  }

  public static FormulaJson of(Formula formula) {
    return new FormulaJson(
        formula.id(),
        formula.name(),
        formula.method(),
        formula.purposes().stream().sorted().toList(),
        formula.about(),
        formula.ingredients().stream().map(IngredientJson::of).toList(),
        formula.steps().stream().map(StepJson::of).toList(),
        formula.branches().stream().map(BranchJson::of).toList());
  }

  /**
   * The core's formula; what is wrong becomes a problem at its place.
   *
   * @param at path of this formula in the request; empty when it is the whole body
   */
  public Formula toCore(String at) {
    String prefix = at.isEmpty() ? "" : at + ".";
    List<Ingredient> lines = new ArrayList<>();
    for (int i = 0; i < ingredients.size(); i++) {
      lines.add(ingredients.get(i).toCore(prefix + "ingredients[" + i + "]"));
    }
    List<Branch> ways = new ArrayList<>();
    for (int i = 0; branches != null && i < branches.size(); i++) {
      ways.add(branches.get(i).toCore(prefix + "branches[" + i + "]"));
    }
    try {
      return new Formula(
          id == null ? "" : id,
          name,
          method,
          purposes == null ? Set.of() : Set.copyOf(purposes),
          about == null ? "" : about,
          lines,
          StepJson.toCore(steps, prefix + "steps"),
          ways);
    } catch (InvalidFormulaException e) {
      throw Problem.invalid(FieldProblem.of(prefix + e.place(), null, e.getMessage() + "."));
    }
  }
}
