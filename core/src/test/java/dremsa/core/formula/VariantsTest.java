package dremsa.core.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Finding.Severity;
import dremsa.core.check.SelfCheck;
import dremsa.core.keep.Classifier;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.School;
import dremsa.core.material.Materials;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Variants as differences, schools as choices, guides of every method. */
class VariantsTest {
  private static Formula builtIn(String id) {
    return BuiltInFormulas.find(id).orElseThrow();
  }

  static Stream<Formula> builtIns() {
    return BuiltInFormulas.all().stream();
  }

  @ParameterizedTest
  @MethodSource("builtIns")
  void everyOfferedVariantCanBeBrewed(Formula formula) {
    for (Variant variant : Variants.offeredFor(formula, Materials.standard())) {
      Formula changed = variant.of(formula);
      assertThat(changed.name()).endsWith(", " + variant.name());
      if (!changed.branches().isEmpty()) {
        continue;
      }
      Brew brew = Kitchens.brew(changed);
      Prediction p = brew.predict(0.4, Facts.NONE);
      assertThat(p.works()).as(changed.name()).isTrue();
      assertThat(SelfCheck.of(brew, p))
          .as(changed.name())
          .noneMatch(finding -> finding.severity() == Severity.ERROR);
    }
  }

  @Test
  void halfStrengthHalvesTheHerbAndNotTheWater() {
    Formula spray = builtIn("lemon-balm-spray");
    Formula half = offered(spray, "half-strength").of(spray);
    assertThat(parts(half, "lemon-balm")).isEqualTo(parts(spray, "lemon-balm") / 2);
    assertThat(parts(half, "water")).isEqualTo(parts(spray, "water"));
  }

  @Test
  void aVariantFollowsWhenItsFormulaIsImproved() {
    Formula spray = builtIn("lemon-balm-spray");
    Variant half = offered(spray, "half-strength");
    Formula improved = new Change.Times("lemon-balm", 1.5).apply(spray);
    assertThat(parts(half.of(improved), "lemon-balm"))
        .isCloseTo(parts(spray, "lemon-balm") * 0.75, within(1e-9));
    // What no longer fits says which change it was.
    Formula other = new Change.Without("lemon-balm").apply(withSage(spray));
    assertThatThrownBy(() -> half.of(other))
        .isInstanceOfSatisfying(
            InvalidFormulaException.class, e -> assertThat(e.place()).isEqualTo("changes[0]"));
  }

  @Test
  void changesToStepsGoByKindAndNotByPlace() {
    Formula powder = builtIn("nettle-powder-spray");
    Change second = new Change.StepWithout(new StepRef("strain", 2));
    assertThat(second.apply(powder).steps()).hasSize(powder.steps().size() - 1);
    Formula longer =
        new Change.StepBefore(StepRef.first("combine"), Making.sterilise()).apply(powder);
    assertThat(second.apply(longer).steps())
        .isEqualTo(
            new Change.StepBefore(StepRef.first("combine"), Making.sterilise())
                .apply(second.apply(powder))
                .steps());
    assertThatThrownBy(() -> new Change.StepWithout(new StepRef("strain", 3)).apply(powder))
        .isInstanceOf(InvalidFormulaException.class);
  }

  @Test
  void takingAnIngredientOutTakesItOutOfItsSteps() {
    Formula spray = builtIn("lemon-balm-aloe");
    Formula without = new Change.Without("aloe-juice").apply(spray);
    assertThat(without.ingredient("aloe-juice")).isEmpty();
    assertThat(without.steps()).noneMatch(Step.Add.class::isInstance);
    Formula instead = new Change.Instead("lemon-balm", "sage", 0.5).apply(spray);
    assertThat(instead.ingredient("lemon-balm").orElseThrow().material()).isEqualTo("sage");
  }

  @ParameterizedTest
  @MethodSource("builtIns")
  void everyChoiceOfEverySchoolGivesAFormulaThatCanBeBrewed(Formula formula) {
    if (!formula.branches().isEmpty()) {
      return;
    }
    for (MethodSchool school : MethodSchools.of(formula.method())) {
      for (MethodSchool.Choice choice : school.choices()) {
        Formula changed = choice.of(formula);
        Brew brew = Kitchens.brew(changed);
        Prediction p = brew.predict(0.4, Facts.NONE);
        assertThat(p.works()).as(formula.id() + " " + choice.id() + p.troubles()).isTrue();
        assertThat(SelfCheck.of(brew, p))
            .as(formula.id() + " " + choice.id())
            .noneMatch(finding -> finding.severity() == Severity.ERROR);
        // Choosing the same way again changes nothing more.
        assertThat(choice.of(changed).steps()).isEqualTo(changed.steps());
      }
    }
  }

  @Test
  void everySchoolSaysWhatEachWayChangesAndWhichIsOurs() {
    for (MethodSchool school : MethodSchools.all()) {
      assertThat(school.choices()).hasSizeGreaterThanOrEqualTo(2);
      assertThat(school.choices())
          .allSatisfy(choice -> assertThat(choice.says()).isNotBlank())
          .filteredOn(MethodSchool.Choice::ours)
          .singleElement()
          .satisfies(ours -> assertThat(ours.why()).isNotBlank());
    }
  }

  @Test
  void hotThroughASieveGivesLessThanColdSqueezed() {
    // Common practice: squeezed, three quarters of the water comes back; half-cooled through a
    // sieve, well under half.
    Formula gel = builtIn("linseed-gel");
    MethodSchool straining = MethodSchools.find("gel-straining").orElseThrow();
    double cold = bottledShare(straining.choice("cold-squeezed").orElseThrow().of(gel));
    double hot = bottledShare(straining.choice("hot-sieved").orElseThrow().of(gel));
    assertThat(hot).isLessThan(cold);
    assertThat(cold).isGreaterThan(0.6);
  }

  @Test
  void fermentingIsWhatMakesAFerment() {
    Formula rice = builtIn("rice-water");
    MethodSchool standing = MethodSchools.find("starch-standing").orElseThrow();
    assertThat(keptAs(standing.choice("fermented-days").orElseThrow().of(rice)))
        .isEqualTo(KeepingClass.FERMENT);
    // A day at 21 °C may not have come to pH 4.6: only a reading could tell.
    assertThat(keptAs(standing.choice("fermented-day").orElseThrow().of(rice)))
        .isEqualTo(KeepingClass.STARCH);
    // Boiling makes starch water, it does not ferment it (common practice).
    assertThat(keptAs(standing.choice("cooking-water").orElseThrow().of(rice)))
        .isEqualTo(KeepingClass.STARCH);
  }

  @ParameterizedTest
  @EnumSource(Method.class)
  void everyMethodHasAGuideWithTypedStepsWindowsAndCues(Method method) {
    MethodGuide guide = MethodGuides.of(method);
    assertThat(guide.model().method()).isEqualTo(method);
    assertThat(guide.mistakes()).isNotEmpty();
    assertThat(guide.leftovers()).isNotBlank();
    assertThat(guide.model().steps()).anyMatch(step -> !step.guide().cue().isBlank());
    assertThat(guide.model().steps()).anyMatch(step -> step.window().isPresent());
    assertThat(MethodGuide.equipment(guide.model())).isNotEmpty();
    assertThat(MethodGuide.handsMinutes(guide.model())).isPositive();
  }

  @Test
  void thereIsAFormulaOfEveryMethodAndAtLeastTwentyFour() {
    Set<Method> methods =
        BuiltInFormulas.all().stream().map(Formula::method).collect(Collectors.toSet());
    assertThat(methods).containsExactlyInAnyOrder(Method.values());
    assertThat(BuiltInFormulas.all()).hasSizeGreaterThanOrEqualTo(24);
    assertThat(MethodGuides.all()).hasSize(Method.values().length);
  }

  private static Variant offered(Formula formula, String id) {
    return Variants.offeredFor(formula, Materials.standard()).stream()
        .filter(variant -> variant.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static Formula withSage(Formula formula) {
    return new Change.With(
            Ingredient.parts("sage", 10), java.util.Optional.of(StepRef.first("combine")), 40)
        .apply(formula);
  }

  private static double parts(Formula formula, String key) {
    return ((Proportion.Parts) formula.ingredient(key).orElseThrow().proportion()).grams();
  }

  private static double bottledShare(Formula formula) {
    Prediction p = Kitchens.brew(formula).predict(0.5, Facts.NONE);
    return p.account().bottled() / p.account().in();
  }

  private static KeepingClass keptAs(Formula formula) {
    return Classifier.classify(
            Kitchens.brew(formula).predict(0.4, Facts.NONE).contents(), School.CAREFUL)
        .keepingClass();
  }
}
