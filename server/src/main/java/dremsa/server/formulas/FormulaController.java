package dremsa.server.formulas;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.server.wire.FormulaJson;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FormulaController {
  private final Formulas formulas;

  FormulaController(Formulas formulas) {
    this.formulas = formulas;
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
  List<FormulaLine> list() {
    return formulas.all().stream().map(FormulaController::line).toList();
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

  private static FormulaLine line(Formula formula) {
    return new FormulaLine(
        formula.id(),
        formula.name(),
        formula.method().words(),
        formula.purposes().stream().sorted().map(Purpose::words).toList(),
        formula.about(),
        formula.ingredients().stream()
            .map(ingredient -> Materials.standard().get(ingredient.material()).name())
            .toList(),
        formula.steps().stream()
            .mapToDouble(step -> step.window().map(Window::usual).orElse(4.0))
            .sum(),
        (int) formula.steps().stream().filter(Step.Strain.class::isInstance).count(),
        formula.steps().stream()
            .filter(Step.Bottle.class::isInstance)
            .map(step -> ((Step.Bottle) step).container())
            .findFirst()
            .orElse(Container.JAR),
        formula.ingredients().stream()
            .map(ingredient -> Materials.standard().get(ingredient.material()))
            .filter(material -> material.kind().isPlant())
            .map(Material::tint)
            .findFirst()
            .orElse("C9DDE6"));
  }
}
