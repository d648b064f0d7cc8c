package dremsa.server.catalogue;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.Formula;
import dremsa.core.formula.MethodSchools;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Variant;
import dremsa.core.formula.Variants;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.server.accounts.Member;
import dremsa.server.formulas.Formulas;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.predictions.Planner;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.FormulaJson;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
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
  private final HouseholdMaterials materials;
  private final Planner planner;

  FormulaController(
      Formulas formulas, Kitchens kitchens, HouseholdMaterials materials, Planner planner) {
    this.formulas = formulas;
    this.kitchens = kitchens;
    this.materials = materials;
    this.planner = planner;
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

  /** A formula with the names of what is in it, and how it may vary. */
  record FormulaView(
      FormulaJson formula,
      String method,
      List<IngredientView> ingredients,
      List<VariantView> variants,
      List<SchoolJson> schools) {}

  /** An ingredient with its material's names. */
  record IngredientView(String key, String name, String inci, String kind, boolean plant) {}

  /** A variant, told as its differences. */
  record VariantView(String id, String name, String why, List<ChangeJson> changes) {
    static VariantView of(Variant variant) {
      return new VariantView(
          variant.id(),
          variant.name(),
          variant.why(),
          variant.changes().stream().map(ChangeJson::of).toList());
    }
  }

  @GetMapping("/api/formulas")
  List<FormulaLine> list(@AuthenticationPrincipal Member member) {
    UUID household = member.household();
    Kitchen kitchen = kitchens.of(household);
    return formulas.all(household).stream()
        .map(formula -> line(planner.resolve(household, formula, kitchen)))
        .toList();
  }

  @GetMapping("/api/formulas/{id}")
  FormulaView get(@AuthenticationPrincipal Member member, @PathVariable String id) {
    UUID household = member.household();
    Formula formula = formulas.get(household, id);
    Materials all = materials.of(household);
    Brew brew = planner.resolve(household, formula, kitchens.of(household));
    return new FormulaView(
        FormulaJson.of(formula),
        formula.method().words(),
        formula.ingredients().stream()
            .map(
                ingredient -> {
                  Material material = brew.materialOf(ingredient.key()).orElseThrow();
                  return new IngredientView(
                      ingredient.key(),
                      material.name(),
                      material.inci(),
                      material.kind().words(),
                      material.kind().isPlant());
                })
            .toList(),
        Variants.offeredFor(formula, all).stream().map(VariantView::of).toList(),
        MethodSchools.all().stream()
            .filter(school -> school.touches(formula))
            .map(SchoolJson::of)
            .toList());
  }

  private static FormulaLine line(Brew brew) {
    Formula formula = brew.formula();
    List<StepOutcome> steps =
        brew.predict(TOLD_AT_ML / brew.millilitresAtOne(), Facts.NONE).steps();
    List<Step> all =
        Stream.concat(
                formula.steps().stream(),
                formula.branches().stream().flatMap(b -> b.steps().stream()))
            .toList();
    return new FormulaLine(
        formula.id(),
        formula.name(),
        formula.method().words(),
        formula.purposes().stream().sorted().map(Purpose::words).toList(),
        formula.about(),
        brew.materials().stream().map(Material::name).toList(),
        steps.get(steps.size() - 1).endMinute(),
        (int) all.stream().filter(Step.Strain.class::isInstance).count(),
        all.stream()
            .filter(Step.Bottle.class::isInstance)
            .map(step -> ((Step.Bottle) step).container())
            .findFirst()
            .orElse(Container.JAR),
        brew.tint());
  }
}
