package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.brew.CyclicFormulasException;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Holding;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.Stock;
import dremsa.core.formula.Change;
import dremsa.core.formula.Formula;
import dremsa.core.formula.InvalidFormulaException;
import dremsa.core.formula.MethodSchool;
import dremsa.core.formula.MethodSchools;
import dremsa.core.formula.Variant;
import dremsa.core.formula.Variants;
import dremsa.core.formula.Window;
import dremsa.core.keep.Inherited;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.measure.Said;
import dremsa.core.scale.InvalidTargetException;
import dremsa.core.scale.Make;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.PlannedStep;
import dremsa.server.wire.SurroundingsJson;
import dremsa.server.wire.TargetJson;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Turns a plan into a solved batch, or into a problem at the place of what is wrong with it. */
@Service
public class Planner {
  /** So many times are tried until all is free; who has more on the bench looks for himself. */
  private static final int MOST_TRIES = 8;

  private final Formulas formulas;
  private final HouseholdMaterials materials;
  private final PouredBottles bottles;
  private final ThingsInUse inUse;

  Planner(
      Formulas formulas, HouseholdMaterials materials, PouredBottles bottles, ThingsInUse inUse) {
    this.inUse = inUse;
    this.formulas = formulas;
    this.materials = materials;
    this.bottles = bottles;
  }

  /**
   * A plan solved.
   *
   * @param formula with variant, changes and choices made, before solving for a make
   * @param reached the batch, with the proportions that were found
   * @param facts what is planned otherwise than usual
   * @param ages of the brews poured in
   * @param surroundings to be kept with a batch
   * @param kitchen that it is brewed in: what is free of it
   * @param conflicts what it needs while another brew holds it
   */
  public record Planned(
      Formula formula,
      Solution.Reached reached,
      Facts facts,
      Map<String, Inherited> ages,
      SurroundingsJson surroundings,
      Kitchen kitchen,
      List<ThingsInUse.Held> conflicts) {
    Planned withConflicts(List<ThingsInUse.Held> found) {
      return new Planned(formula, reached, facts, ages, surroundings, kitchen, found);
    }
  }

  /** Solves a plan with what is free when it begins. */
  public Planned solveFree(UUID household, Plan plan, Kitchen kitchen, When when, Instant now) {
    // When it begins to be ready by a time hangs on the vessels, a little: the first answer tells.
    Instant starts =
        when.isNow()
            ? now
            : when.starts(solve(household, plan, kitchen, now).reached().prediction(), now);
    return solveFree(household, plan, kitchen, starts, now);
  }

  /**
   * The first time at which a plan finds all that it needs free; empty where that is not known to
   * come.
   *
   * @param after when it would begin otherwise
   */
  public Optional<Instant> freeFrom(
      UUID household, Plan plan, Kitchen kitchen, Instant after, Instant now) {
    return inUse.of(household, now).stream()
        .map(ThingsInUse.Held::until)
        .filter(until -> until.isAfter(after))
        .distinct()
        .sorted()
        .limit(MOST_TRIES)
        .filter(until -> solveFree(household, plan, kitchen, until, now).conflicts().isEmpty())
        .findFirst();
  }

  /**
   * Solves a plan with what is free when it begins.
   *
   * @param starts when its first step begins
   */
  public Planned solveFree(
      UUID household, Plan plan, Kitchen kitchen, Instant starts, Instant now) {
    List<ThingsInUse.Held> held = inUse.of(household, now);
    if (held.isEmpty()) {
      return solve(household, plan, kitchen, now);
    }
    Set<String> vessels =
        held.stream()
            .filter(h -> h.kind() == Holding.Kind.VESSEL && h.until().isAfter(starts))
            .map(ThingsInUse.Held::id)
            .collect(Collectors.toSet());
    Planned planned = solve(household, plan, Holding.free(kitchen, vessels), now);
    return planned.withConflicts(conflicts(planned, held, starts));
  }

  /** What it needs at a time at which another brew holds it. */
  private static List<ThingsInUse.Held> conflicts(
      Planned planned, List<ThingsInUse.Held> held, Instant starts) {
    Solution.Reached reached = planned.reached();
    List<ThingsInUse.Held> conflicts = new ArrayList<>();
    for (Holding wanted : Holding.of(reached.brew(), reached.prediction(), reached.vessels())) {
      Instant from = starts.plusMillis(Math.round(wanted.fromMinute() * 60_000));
      Instant to = starts.plusMillis(Math.round(wanted.toMinute() * 60_000));
      List<ThingsInUse.Held> same =
          held.stream()
              .filter(h -> h.kind() == wanted.kind() && h.id().equals(wanted.id()))
              .filter(h -> h.during(from, to))
              .toList();
      int there = wanted.kind() == Holding.Kind.HOB ? planned.kitchen().hobs().size() : 1;
      if (same.size() >= there && !conflicts.contains(same.get(0))) {
        conflicts.add(same.get(0));
      }
    }
    return conflicts;
  }

  /** Solves a plan, whatever else is on the bench. */
  public Planned solve(UUID household, Plan plan, Kitchen kitchen, Instant now) {
    Formula formula = changed(household, plan);
    Materials all = materials.of(household);
    Map<String, Inherited> ages = new LinkedHashMap<>();
    Stock stock = stock(household, plan, formula, kitchen, all, now, ages);
    Brew brew = resolve(formula, kitchen, all, stock);
    Facts facts = facts(plan.steps(), formula);
    Solution.Reached reached = solve(brew, plan.target(), plan.make(), facts);
    return new Planned(
        formula,
        reached,
        facts,
        ages,
        SurroundingsJson.of(reached.brew(), ages, plan.pours() == null ? Map.of() : plan.pours()),
        kitchen,
        List.of());
  }

  private Formula changed(UUID household, Plan plan) {
    if ((plan.formulaId() == null) == (plan.formula() == null)) {
      throw Problem.invalid(
          FieldProblem.of(
              "formulaId", plan.formulaId(), "Give a formula's id or a formula, one of the two."));
    }
    Formula formula =
        plan.formula() == null
            ? formulas.get(household, Objects.requireNonNull(plan.formulaId()))
            : plan.formula().toCore("formula");
    if (plan.variant() != null) {
      Variant variant =
          Variants.offeredFor(formula, materials.of(household)).stream()
              .filter(offered -> offered.id().equals(plan.variant()))
              .findFirst()
              .orElseThrow(
                  () ->
                      Problem.invalid(
                          FieldProblem.of(
                              "variant", plan.variant(), "There is no such variant of it.")));
      formula = variant.of(formula);
    }
    if (plan.choices() != null) {
      for (Map.Entry<String, String> taken : plan.choices().entrySet()) {
        formula = chosen(formula, taken.getKey(), taken.getValue());
      }
    }
    List<ChangeJson> changes = plan.changes() == null ? List.of() : plan.changes();
    for (int i = 0; i < changes.size(); i++) {
      Change change = changes.get(i).toCore("changes[" + i + "]");
      try {
        formula = change.apply(formula);
      } catch (IllegalArgumentException e) {
        throw Problem.invalid(FieldProblem.of("changes[" + i + "]", null, e.getMessage() + "."));
      }
    }
    return formula;
  }

  private static Formula chosen(Formula formula, String school, String choice) {
    MethodSchool.Choice taken =
        MethodSchools.find(school)
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of(
                            "choices." + school, choice, "There is no school '" + school + "'.")))
            .choice(choice)
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of("choices." + school, choice, "There is no such choice.")));
    try {
      return taken.of(formula);
    } catch (InvalidFormulaException e) {
      throw Problem.invalid(FieldProblem.of("choices." + school, choice, e.getMessage() + "."));
    }
  }

  private Stock stock(
      UUID household,
      Plan plan,
      Formula formula,
      Kitchen kitchen,
      Materials all,
      Instant now,
      Map<String, Inherited> ages) {
    Stock stock = planned(household, formula, kitchen, all);
    if (plan.pours() == null) {
      return stock;
    }
    for (Map.Entry<String, UUID> pour : plan.pours().entrySet()) {
      String at = "pours." + pour.getKey();
      if (formula.ingredients().stream().noneMatch(i -> i.material().equals(pour.getKey()))
          || !Stock.isBrew(pour.getKey())) {
        throw Problem.invalid(
            FieldProblem.of(at, pour.getKey(), "This formula is not made with that brew."));
      }
      PouredBottles.Found found =
          bottles
              .find(household, pour.getValue(), now)
              .orElseThrow(
                  () ->
                      Problem.invalid(
                          FieldProblem.of(
                              at,
                              pour.getValue().toString(),
                              "There is no such bottle on the shelf.")));
      stock = stock.with(pour.getKey(), found.poured());
      ages.put(pour.getKey(), found.age());
    }
    return stock;
  }

  /** The brews that a formula is made with, reckoned as freshly made. */
  public Stock planned(UUID household, Formula formula, Kitchen kitchen, Materials all) {
    try {
      return Stock.planned(formula, kitchen, all, id -> formulas.find(household, id));
    } catch (CyclicFormulasException e) {
      throw Problem.invalid(
          FieldProblem.of(place(formula, e.material()), e.material(), Problem.why(e)));
    } catch (UnknownMaterialException e) {
      throw Problem.invalid(FieldProblem.of(place(formula, e.id()), e.id(), Problem.why(e)));
    }
  }

  /** A formula of a household in its surroundings, with the brews it is made with freshly made. */
  public Brew resolve(UUID household, Formula formula, Kitchen kitchen) {
    return resolve(household, formula, kitchen, materials.of(household));
  }

  /**
   * The same for those who resolve many.
   *
   * @param all the household's materials
   */
  public Brew resolve(UUID household, Formula formula, Kitchen kitchen, Materials all) {
    return resolve(formula, kitchen, all, planned(household, formula, kitchen, all));
  }

  private static Brew resolve(Formula formula, Kitchen kitchen, Materials all, Stock stock) {
    try {
      return Brew.of(formula, kitchen, all, stock);
    } catch (UnknownMaterialException e) {
      throw Problem.invalid(FieldProblem.of(place(formula, e.id()), e.id(), Problem.why(e)));
    }
  }

  private static String place(Formula formula, String material) {
    for (int i = 0; i < formula.ingredients().size(); i++) {
      if (formula.ingredients().get(i).material().equals(material)) {
        return "formula.ingredients[" + i + "].material";
      }
    }
    // Deeper down: the brew that leads there.
    for (int i = 0; i < formula.ingredients().size(); i++) {
      if (Stock.isBrew(formula.ingredients().get(i).material())) {
        return "formula.ingredients[" + i + "].material";
      }
    }
    return "formula.ingredients";
  }

  private static Facts facts(@Nullable List<PlannedStep> steps, Formula formula) {
    Facts facts = Facts.NONE;
    for (int i = 0; steps != null && i < steps.size(); i++) {
      PlannedStep plan = steps.get(i);
      if (plan.index() >= formula.steps().size()) {
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

  private static Solution.Reached solve(
      Brew brew, TargetJson wanted, @Nullable MakeJson likeness, Facts facts) {
    Target target = wanted.toCore(brew);
    Optional<Make> make = Optional.ofNullable(likeness).map(MakeJson::toCore);
    try {
      Solution solution = Scaling.solve(brew, target, make, facts);
      if (solution instanceof Solution.Reached reached) {
        return reached;
      }
      throw unreachable(wanted, (Solution.Unreachable) solution, likeness != null);
    } catch (InvalidTargetException e) {
      throw MakeJson.refused(e);
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.of(
              likeness == null ? "target" : "make.ingredient", null, e.getMessage() + "."));
    }
  }

  private static Problem unreachable(TargetJson wanted, Solution.Unreachable no, boolean likeness) {
    String why = no.troubles().isEmpty() ? "It cannot be reached." : no.troubles().get(0).words();
    boolean some = no.mostMl() >= Target.LEAST_ML;
    String most =
        some
            ? Said.of(" At most about %.0f mL can be had at once in this kitchen.", no.mostMl())
            : "";
    String batches =
        some && no.batches() > 1 ? Said.of(" Brew it in %d batches.", no.batches()) : "";
    boolean ofMake =
        likeness
            && !no.troubles().isEmpty()
            && no.troubles().get(0) instanceof dremsa.core.brew.Trouble.OutOfReach;
    String said = why + most + batches;
    return new Problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "unreachable",
        said,
        List.of(
            new FieldProblem(
                ofMake ? "make.value" : wanted.amountField(),
                wanted.typed(),
                said,
                some && !ofMake ? Target.LEAST_ML : null,
                some && !ofMake ? no.mostMl() : null)));
  }
}
