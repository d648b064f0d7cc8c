package dremsa.server.wire;

import com.fasterxml.jackson.annotation.JsonInclude;
import dremsa.core.formula.Change;
import dremsa.core.formula.StepRef;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One difference from a formula. Which fields count depends on the kind.
 *
 * @param kind which
 * @param key TIMES, INSTEAD, WITHOUT: of an ingredient
 * @param factor TIMES, INSTEAD: on its amount, above 0 and at most 20
 * @param material INSTEAD: what goes in
 * @param ingredient WITH: what is added
 * @param at STEP_...: which step; WITH: the step it goes in with, stirred in at the end without it
 * @param belowC WITH at the end: °C
 * @param step STEP_INSTEAD, STEP_BEFORE: the new step
 * @param words read only: the change in a few words
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record ChangeJson(
    @NotNull(message = "Say what kind of change it is.") Kind kind,
    @Nullable String key,
    @Nullable Double factor,
    @Nullable String material,
    FormulaJson.@Valid @Nullable IngredientJson ingredient,
    @Valid @Nullable StepRefJson at,
    @Nullable Double belowC,
    @Valid @Nullable StepJson step,
    @Nullable String words) {

  /** The kinds of change. */
  public enum Kind {
    TIMES,
    INSTEAD,
    WITHOUT,
    WITH,
    STEP_INSTEAD,
    STEP_WITHOUT,
    STEP_BEFORE
  }

  /**
   * Names a step.
   *
   * @param kind as in a step
   * @param nth 1 for the first of its kind
   */
  public record StepRefJson(
      @NotNull(message = "Say which kind of step.") String kind,
      @NotNull(message = "Say which of its kind.") Integer nth) {}

  public static ChangeJson of(Change change) {
    String words = change.words();
    if (change instanceof Change.Times c) {
      return new ChangeJson(Kind.TIMES, c.key(), c.factor(), null, null, null, null, null, words);
    } else if (change instanceof Change.Instead c) {
      return new ChangeJson(
          Kind.INSTEAD, c.key(), c.factor(), c.material(), null, null, null, null, words);
    } else if (change instanceof Change.Without c) {
      return new ChangeJson(Kind.WITHOUT, c.key(), null, null, null, null, null, null, words);
    } else if (change instanceof Change.With c) {
      return new ChangeJson(
          Kind.WITH,
          null,
          null,
          null,
          FormulaJson.IngredientJson.of(c.ingredient()),
          c.into().map(ChangeJson::ref).orElse(null),
          c.belowC(),
          null,
          words);
    } else if (change instanceof Change.StepInstead c) {
      return ofStep(Kind.STEP_INSTEAD, c.at(), StepJson.of(c.step()), words);
    } else if (change instanceof Change.StepWithout c) {
      return ofStep(Kind.STEP_WITHOUT, c.at(), null, words);
    } else if (change instanceof Change.StepBefore c) {
      return ofStep(Kind.STEP_BEFORE, c.at(), StepJson.of(c.step()), words);
    }
    throw new AssertionError(change);
  }

  private static ChangeJson ofStep(Kind kind, StepRef at, @Nullable StepJson step, String words) {
    return new ChangeJson(kind, null, null, null, null, ref(at), null, step, words);
  }

  private static StepRefJson ref(StepRef at) {
    return new StepRefJson(at.kind(), at.nth());
  }

  /**
   * The core's change.
   *
   * @param path of this change, for problems
   */
  public Change toCore(String path) {
    try {
      return switch (kind) {
        case TIMES -> new Change.Times(need(path, "key", key), need(path, "factor", factor));
        case INSTEAD ->
            new Change.Instead(
                need(path, "key", key),
                need(path, "material", material),
                factor == null ? 1 : factor);
        case WITHOUT -> new Change.Without(need(path, "key", key));
        case WITH ->
            new Change.With(
                need(path, "ingredient", ingredient).toCore(path + ".ingredient"),
                at == null ? Optional.empty() : Optional.of(coreRef(path)),
                belowC == null ? 40 : belowC);
        case STEP_INSTEAD -> new Change.StepInstead(coreRef(path), coreStep(path));
        case STEP_WITHOUT -> new Change.StepWithout(coreRef(path));
        case STEP_BEFORE -> new Change.StepBefore(coreRef(path), coreStep(path));
      };
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(FieldProblem.of(path, null, e.getMessage() + "."));
    }
  }

  private StepRef coreRef(String path) {
    StepRefJson ref = need(path, "at", at);
    return new StepRef(ref.kind(), ref.nth());
  }

  private dremsa.core.formula.Step coreStep(String path) {
    return need(path, "step", step).toCore(path + ".step");
  }

  private static <T> T need(String path, String field, @Nullable T value) {
    if (value == null) {
      throw Problem.invalid(FieldProblem.of(path + "." + field, null, "This is missing."));
    }
    return value;
  }
}
