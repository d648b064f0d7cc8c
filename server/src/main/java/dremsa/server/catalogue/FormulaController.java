package dremsa.server.catalogue;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.Stock;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Differences;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuide;
import dremsa.core.formula.MethodSchools;
import dremsa.core.formula.Need;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Variant;
import dremsa.core.formula.Variants;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.server.accounts.Member;
import dremsa.server.bench.Runs;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.predictions.Planner;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.FormulaJson;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FormulaController {
  /** The size at which a list tells how long a brew takes, mL. */
  static final double TOLD_AT_ML = 500;

  private static final String PLAIN = "d9cfb0";

  private final Formulas formulas;
  private final Kitchens kitchens;
  private final HouseholdMaterials materials;
  private final Planner planner;
  private final Runs runs;

  FormulaController(
      Formulas formulas,
      Kitchens kitchens,
      HouseholdMaterials materials,
      Planner planner,
      Runs runs) {
    this.formulas = formulas;
    this.kitchens = kitchens;
    this.materials = materials;
    this.planner = planner;
    this.runs = runs;
  }

  /**
   * A formula in a list.
   *
   * @param problem why it cannot be brewed as it stands: it names something that is gone
   */
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
      String tint,
      Method methodId,
      List<Purpose> purposeIds,
      List<String> materials,
      double handsMinutes,
      boolean own,
      List<NeedView> needs,
      @Nullable String problem) {}

  /**
   * A need that a formula serves.
   *
   * @param variant id of the variant that serves it; empty for the formula as it stands
   */
  record NeedView(Need need, String words, String variant) {}

  /**
   * A formula with the names of what is in it, and how it may vary.
   *
   * @param version for changing it; null for a built-in one
   * @param copiedFrom name of the formula it began as; null when it began from nothing
   * @param differences from the formula it began as
   * @param brewed from it before, the newest first
   */
  record FormulaView(
      FormulaJson formula,
      String method,
      List<IngredientView> ingredients,
      List<VariantView> variants,
      List<SchoolJson> schools,
      List<NeedView> needs,
      boolean own,
      @Nullable Long version,
      @Nullable String copiedFrom,
      List<String> differences,
      List<KeptView> kept,
      List<Runs.Brewed> brewed) {}

  /** A kept state of a formula, with how it differs from the one before. */
  record KeptView(
      int number, Instant at, String note, FormulaJson formula, List<String> differences) {
    static KeptView of(Formulas.Kept kept) {
      return new KeptView(
          kept.number(),
          kept.at(),
          kept.note(),
          FormulaJson.of(kept.formula()),
          kept.differences());
    }
  }

  /** An ingredient with its material's names. */
  record IngredientView(
      String key, String name, String inci, String kind, boolean plant, String material) {}

  /** A variant, told as its differences. */
  record VariantView(
      String id, String name, String why, List<ChangeJson> changes, List<String> differences) {
    static VariantView of(Variant variant, Formula base, UnaryOperator<String> names) {
      return new VariantView(
          variant.id(),
          variant.name(),
          variant.why(),
          variant.changes().stream().map(ChangeJson::of).toList(),
          Differences.between(base, variant.of(base).named(base.name()), names).stream()
              .map(Differences.Difference::words)
              .toList());
    }
  }

  @GetMapping("/api/formulas")
  List<FormulaLine> list(@AuthenticationPrincipal Member member) {
    UUID household = member.household();
    Kitchen kitchen = kitchens.of(household);
    Materials all = materials.of(household);
    return formulas.all(household).stream()
        .map(
            formula -> {
              try {
                return line(planner.resolve(household, formula, kitchen, all), all);
              } catch (Problem e) {
                return broken(formula, all, Problem.why(e));
              }
            })
        .toList();
  }

  /** A household's own formula may name what is gone since; it stays in the list and says so. */
  private static FormulaLine broken(Formula formula, Materials all, String problem) {
    return new FormulaLine(
        formula.id(),
        formula.name(),
        formula.method().words(),
        formula.purposes().stream().sorted().map(Purpose::words).toList(),
        formula.about(),
        formula.ingredients().stream().map(Ingredient::material).toList(),
        0,
        0,
        Container.JAR,
        PLAIN,
        formula.method(),
        formula.purposes().stream().sorted().toList(),
        formula.ingredients().stream().map(Ingredient::material).toList(),
        0,
        true,
        needs(formula, all),
        problem);
  }

  @GetMapping("/api/formulas/{id}")
  FormulaView get(@AuthenticationPrincipal Member member, @PathVariable String id) {
    UUID household = member.household();
    Formula formula = formulas.get(household, id);
    Materials all = materials.of(household);
    Optional<Formulas.Own> own = formulas.own(household, id);
    Optional<Formula> base =
        own.map(Formulas.Own::copiedFrom).flatMap(from -> formulas.find(household, from));
    UnaryOperator<String> names =
        material -> all.find(material).map(Material::name).orElse(material);
    return new FormulaView(
        FormulaJson.of(formula),
        formula.method().words(),
        formula.ingredients().stream()
            .map(ingredient -> ingredient(household, ingredient, all))
            .toList(),
        Variants.offeredFor(formula, all).stream()
            .map(variant -> VariantView.of(variant, formula, names))
            .toList(),
        MethodSchools.all().stream()
            .filter(school -> school.touches(formula))
            .map(SchoolJson::of)
            .toList(),
        needs(formula, all),
        own.isPresent(),
        own.map(Formulas.Own::version).orElse(null),
        base.map(Formula::name).orElse(null),
        base.map(b -> Differences.between(b, formula, names)).orElse(List.of()).stream()
            .map(Differences.Difference::words)
            .toList(),
        formulas.kept(household, id, names).stream().map(KeptView::of).toList(),
        runs.brewedFrom(household, id));
  }

  private static List<NeedView> needs(Formula formula, Materials all) {
    return Need.servedBy(formula, all).entrySet().stream()
        .map(e -> new NeedView(e.getKey(), e.getKey().words(), e.getValue()))
        .toList();
  }

  private IngredientView ingredient(UUID household, Ingredient ingredient, Materials all) {
    String id = ingredient.material();
    if (Stock.isBrew(id)) {
      String name =
          formulas
              .find(household, id.substring(Stock.PREFIX.length()))
              .map(Formula::name)
              .orElse(id);
      return new IngredientView(ingredient.key(), name, "", MaterialKind.BREW.words(), false, id);
    }
    return all.find(id)
        .map(
            m ->
                new IngredientView(
                    ingredient.key(), m.name(), m.inci(), m.kind().words(), m.kind().isPlant(), id))
        .orElseGet(() -> new IngredientView(ingredient.key(), id, "", "unknown", false, id));
  }

  private static FormulaLine line(Brew brew, Materials materials) {
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
        brew.tint(),
        formula.method(),
        formula.purposes().stream().sorted().toList(),
        brew.materials().stream().map(Material::id).toList(),
        MethodGuide.handsMinutes(formula),
        !BuiltInFormulas.find(formula.id()).isPresent(),
        needs(formula, materials),
        null);
  }
}
