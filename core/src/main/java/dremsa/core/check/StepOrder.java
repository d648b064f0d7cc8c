package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.material.MaterialKind;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Steps that have nothing to work on, or that exclude each other; ingredients left lying. */
final class StepOrder {
  /** Need nothing in the vessel. */
  private static final Set<StepKind> BEFORE_THE_VESSEL =
      EnumSet.of(StepKind.WASH, StepKind.PREPARE, StepKind.DIVIDE);

  /** What boiled boils on after them. */
  private static final Set<StepKind> STAYS_HOT =
      EnumSet.of(StepKind.COMBINE, StepKind.BOIL, StepKind.ADD);

  private final Brew brew;
  private final Formula formula;
  private final List<Finding> findings = new ArrayList<>();

  private StepOrder(Brew brew) {
    this.brew = brew;
    this.formula = brew.formula();
  }

  static List<Finding> of(Brew brew) {
    StepOrder order = new StepOrder(brew);
    order.steps();
    order.ingredients();
    return order.findings;
  }

  private void steps() {
    boolean filled = false;
    boolean any = false;
    boolean plant = false;
    boolean boiling = false;
    for (int i = 0; i < formula.steps().size(); i++) {
      Step step = formula.steps().get(i);
      if (filled && step.fills().isEmpty()) {
        add(
            Code.CONTRADICTION,
            Severity.ERROR,
            i,
            "This comes after the bottles are filled.",
            "What is in the bottle cannot be worked on any more.",
            "Move it before the filling.");
        return;
      }
      for (String key : step.ingredients()) {
        plant |= brew.materialOf(key).map(m -> m.kind().isPlant()).orElse(false);
      }
      boolean puts = step.puts();
      if (puts && step.ingredients().isEmpty() && !any) {
        empty(i, "Nothing is put in here.", "Name what goes in.");
      } else if (puts && step.ingredients().isEmpty() && step.skippable()) {
        empty(i, "Nothing is stirred in here.", "Name what goes in, or take the step out.");
      } else if (!puts && !BEFORE_THE_VESSEL.contains(step.kind()) && !any) {
        empty(i, "There is nothing in the vessel yet.", "Put the ingredients together first.");
      }
      any |= puts && !step.ingredients().isEmpty();
      if (step.strainer().isPresent() && any && !plant) {
        empty(i, "There is nothing to strain out.", "Take the step out.");
      } else if (step.kind() == StepKind.FERMENT && !has(MaterialKind.GRAIN)) {
        add(
            Code.CONTRADICTION,
            Severity.WARNING,
            i,
            "There is no grain to ferment.",
            "Herb water does not ferment kindly: it spoils.",
            "Soak it in the fridge instead, or add grain.");
      } else if (step.kind() == StepKind.BOIL && any && !boiling) {
        add(
            Code.CONTRADICTION,
            Severity.WARNING,
            i,
            "It is not brought to the boil first.",
            "The time counts from the boil.",
            "Put a heating step before it.");
      }
      boiling = step.kind() == StepKind.HEAT || (boiling && STAYS_HOT.contains(step.kind()));
      filled |= step.fills().isPresent();
    }
  }

  private void ingredients() {
    Set<String> used = new HashSet<>();
    List<Step> all = new ArrayList<>(formula.steps());
    formula.branches().forEach(branch -> all.addAll(branch.steps()));
    for (Step step : all) {
      if (step.puts()) {
        used.addAll(step.ingredients());
      }
    }
    for (int i = 0; i < formula.ingredients().size(); i++) {
      Ingredient ingredient = formula.ingredients().get(i);
      if (!used.contains(ingredient.key()) && !belongsToAnotherWay()) {
        findings.add(
            new Finding(
                Code.UNUSED,
                Severity.WARNING,
                "ingredients[" + i + "]",
                brew.materials().get(i).name() + " goes in at no step.",
                "It is weighed out and left lying.",
                "Name it in a step, or take it off the list."));
      }
      MaterialKind kind = brew.materials().get(i).kind();
      if (ingredient.proportion() instanceof Proportion.DropsPer100Ml && !kind.isCountedInDrops()) {
        findings.add(
            new Finding(
                Code.DROPS_OF_SOLID,
                Severity.ERROR,
                "ingredients[" + i + "]",
                brew.materials().get(i).name() + " cannot be counted in drops.",
                "Drops are for liquids.",
                "Give parts by weight, or a share of the finished brew."));
      }
    }
  }

  /** One way of a divided batch leaves the ingredients of the others alone. */
  private boolean belongsToAnotherWay() {
    return formula.steps().stream().anyMatch(s -> s.kind() == StepKind.DIVIDE);
  }

  private boolean has(MaterialKind kind) {
    return brew.materials().stream().anyMatch(material -> material.kind() == kind);
  }

  private void empty(int step, String what, String cure) {
    add(
        Code.EMPTY_STEP,
        Severity.WARNING,
        step,
        what,
        formula.steps().get(step).headline() + " has nothing to work on.",
        cure);
  }

  private void add(Code code, Severity severity, int step, String what, String why, String cure) {
    findings.add(new Finding(code, severity, "steps[" + step + "]", what, why, cure));
  }
}
