package dremsa.server.formulas;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuides;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.wire.FormulaJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Makes, changes and keeps formulas of a household's own. */
@RestController
@RequestMapping("/api/formulas")
@Transactional
class OwnFormulaController {
  private final Formulas formulas;
  private final Households households;
  private final Idempotency idempotency;

  OwnFormulaController(Formulas formulas, Households households, Idempotency idempotency) {
    this.formulas = formulas;
    this.households = households;
    this.idempotency = idempotency;
  }

  /**
   * A formula to begin with; exactly one of the three is given.
   *
   * @param copyOf id of a formula
   * @param method whose model is taken as a first draft
   * @param formula as it is
   * @param name of the new formula; else it is named after what it began as
   */
  record NewFormula(
      @Nullable String copyOf,
      @Nullable Method method,
      @Valid @Nullable FormulaJson formula,
      @Size(min = 1, max = 120, message = "A name has 1 to 120 characters.")
          @Nullable String name) {}

  /** Formulas to take in, all or none. */
  record NewFormulas(
      @NotEmpty(message = "There is no formula to take in.")
          @Size(max = 100, message = "At most 100 formulas at once.")
          List<@Valid FormulaJson> formulas) {}

  /** A formula with the version that was changed. */
  record FormulaForm(
      @NotNull(message = "Give the formula.") @Valid FormulaJson formula,
      @NotNull(message = "Say which version you changed.") Long version) {}

  /** Where a formula stands after a change. */
  record FormulaState(String id, long version, FormulaJson formula) {}

  /** A note to a state that is kept. */
  record KeepForm(
      @NotNull(message = "Say why; it may be empty.")
          @Size(max = 200, message = "At most 200 characters.")
          String note) {}

  /** The number of a kept state. */
  record KeptNumber(int number) {}

  @Operation(summary = "Begin a formula: from a copy, from a method's model, or as given")
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  FormulaState add(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody NewFormula wanted) {
    UUID household = member.household();
    String id =
        idempotency.once(
            household,
            key,
            wanted,
            String.class,
            () ->
                formulas
                    .add(
                        household,
                        List.of(begun(household, wanted)),
                        wanted.copyOf(),
                        households.now(household))
                    .get(0));
    return state(household, id);
  }

  private Formula begun(UUID household, NewFormula wanted) {
    int given =
        (wanted.copyOf() == null ? 0 : 1)
            + (wanted.method() == null ? 0 : 1)
            + (wanted.formula() == null ? 0 : 1);
    if (given != 1) {
      throw Problem.invalid(
          FieldProblem.of("copyOf", null, "Give one of copyOf, method and formula."));
    }
    if (wanted.formula() != null) {
      return named(wanted.formula().toCore("formula"), wanted.name());
    }
    if (wanted.copyOf() != null) {
      Formula base = formulas.get(household, wanted.copyOf());
      return named(base, wanted.name() == null ? ours(base.name()) : wanted.name());
    }
    Method method = Objects.requireNonNull(wanted.method());
    Formula model = MethodGuides.of(method).model();
    return named(model, wanted.name() == null ? ours(method.words()) : wanted.name());
  }

  private static String ours(String name) {
    String copied =
        "Our " + name.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + name.substring(1);
    return copied.length() > 120 ? name : copied;
  }

  private static Formula named(Formula formula, @Nullable String name) {
    return name == null ? formula : formula.named(name);
  }

  @Operation(summary = "Take several formulas in, all of them or none")
  @PostMapping("/take")
  @ResponseStatus(HttpStatus.CREATED)
  List<FormulaState> take(
      @AuthenticationPrincipal Member member, @Valid @RequestBody NewFormulas wanted) {
    UUID household = member.household();
    List<Formula> read = new java.util.ArrayList<>();
    for (int i = 0; i < wanted.formulas().size(); i++) {
      read.add(wanted.formulas().get(i).toCore("formulas[" + i + "]"));
    }
    return formulas.add(household, read, null, households.now(household)).stream()
        .map(id -> state(household, id))
        .toList();
  }

  @Operation(summary = "Change a formula; refused when it was changed elsewhere meanwhile")
  @PutMapping("/{id}")
  FormulaState save(
      @AuthenticationPrincipal Member member,
      @PathVariable String id,
      @Valid @RequestBody FormulaForm form) {
    UUID household = member.household();
    formulas.save(household, id, form.formula().toCore("formula"), form.version(), now(household));
    return state(household, id);
  }

  @Operation(summary = "Take a formula away; it can be brought back")
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeAway(@AuthenticationPrincipal Member member, @PathVariable String id) {
    formulas.takeAway(member.household(), id, now(member.household()));
  }

  @Operation(summary = "Bring a formula back that was taken away")
  @PostMapping("/{id}/bring-back")
  FormulaState bringBack(@AuthenticationPrincipal Member member, @PathVariable String id) {
    formulas.bringBack(member.household(), id);
    return state(member.household(), id);
  }

  @Operation(summary = "Keep the present state of a formula under a number")
  @PostMapping("/{id}/versions")
  KeptNumber keep(
      @AuthenticationPrincipal Member member,
      @PathVariable String id,
      @Valid @RequestBody KeepForm form) {
    return new KeptNumber(
        formulas.keep(member.household(), id, form.note(), now(member.household())));
  }

  private FormulaState state(UUID household, String id) {
    Formulas.Own own = formulas.own(household, id).orElseThrow(() -> Problem.notFound("formula"));
    return new FormulaState(id, own.version(), FormulaJson.of(own.formula()));
  }

  private Instant now(UUID household) {
    return households.now(household);
  }
}
