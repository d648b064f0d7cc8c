package dremsa.server.formulas;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.server.accounts.Member;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.FormulaJson;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FormulaController {
  /** The size at which a list tells how long a brew takes, mL. */
  private static final double TOLD_AT_ML = 500;

  private final Formulas formulas;
  private final Kitchens kitchens;

  FormulaController(Formulas formulas, Kitchens kitchens) {
    this.formulas = formulas;
    this.kitchens = kitchens;
  }

  /** A formula in a list. */
  record FormulaLine(
      String id,
      String name,
      String method,
      List<String> purposes,
      String about,
      List<String> ingredients,
      double usualMinutes,
      int strainings,
      Container container,
      String tint) {}

  /** A formula with the names of what is in it. */
  record FormulaView(FormulaJson formula, String method, List<IngredientView> ingredients) {}

  /** An ingredient with its material's names. */
  record IngredientView(String key, String name, String inci, String kind, boolean plant) {}

  @GetMapping("/api/formulas")
  List<FormulaLine> list(@AuthenticationPrincipal Member member) {
    Kitchen kitchen = kitchens.of(member.household());
    return formulas.all().stream().map(formula -> line(formula, kitchen)).toList();
  }

  @GetMapping("/api/formulas/{id}")
  FormulaView get(@PathVariable String id) {
    Formula formula = formulas.get(id);
    return new FormulaView(
        FormulaJson.of(formula),
        formula.method().words(),
        formula.ingredients().stream()
            .map(
                ingredient -> {
                  Material material = Materials.standard().get(ingredient.material());
                  return new IngredientView(
                      ingredient.key(),
                      material.name(),
                      material.inci(),
                      material.kind().words(),
                      material.kind().isPlant());
                })
            .toList());
  }

  private static FormulaLine line(Formula formula, Kitchen kitchen) {
    Brew brew = Brew.of(formula, kitchen, Materials.standard());
    List<StepOutcome> steps =
        brew.predict(TOLD_AT_ML / brew.millilitresAtOne(), Facts.NONE).steps();
    return new FormulaLine(
        formula.id(),
        formula.name(),
        formula.method().words(),
        formula.purposes().stream().sorted().map(Purpose::words).toList(),
        formula.about(),
        formula.ingredients().stream()
            .map(ingredient -> Materials.standard().get(ingredient.material()).name())
            .toList(),
        steps.get(steps.size() - 1).endMinute(),
        (int) formula.steps().stream().filter(Step.Strain.class::isInstance).count(),
        formula.steps().stream()
            .filter(Step.Bottle.class::isInstance)
            .map(step -> ((Step.Bottle) step).container())
            .findFirst()
            .orElse(Container.JAR),
        brew.tint());
  }
}
