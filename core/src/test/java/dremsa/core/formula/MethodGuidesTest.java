package dremsa.core.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
import dremsa.core.formula.MethodGuide.Equipment;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class MethodGuidesTest {
  @ParameterizedTest
  @EnumSource(Method.class)
  void everyMethodIsGuidedByAFormulaOfItsOwn(Method method) {
    MethodGuide guide = MethodGuides.of(method);
    assertThat(guide.method()).isEqualTo(method);
    assertThat(guide.model().method()).isEqualTo(method);
    assertThat(guide.about()).isNotBlank();
    assertThat(guide.mistakes()).isNotEmpty().allSatisfy(m -> assertThat(m).endsWith("."));
    assertThat(guide.leftovers()).isNotBlank();
    assertThat(MethodGuide.handsMinutes(guide.model())).isPositive();
    guide
        .waterToHerb()
        .ifPresent(ratio -> assertThat(ratio.low()).isLessThan(ratio.value()).isPositive());
  }

  @ParameterizedTest
  @EnumSource(Method.class)
  void theModelCanBeBrewedInAUsualKitchenWithoutAnError(Method method) {
    Brew brew = Kitchens.brew(MethodGuides.of(method).model());
    double scale = Math.min(1, brew.largestScale());
    Prediction prediction = brew.predict(scale, Facts.NONE);
    assertThat(prediction.troubles()).isEmpty();
    assertThat(SelfCheck.of(brew, prediction))
        .noneMatch(finding -> finding.severity() == Finding.Severity.ERROR);
  }

  @Test
  void equipmentFollowsFromTheSteps() {
    assertThat(equipment(Method.DECOCTION)).contains(Equipment.HOB, Equipment.POT);
    assertThat(equipment(Method.HOT_INFUSION))
        .contains(Equipment.JAR, Equipment.HOB, Equipment.STRAINER);
    assertThat(equipment(Method.ALOE_JUICE)).contains(Equipment.BLENDER, Equipment.STRAINER);
    assertThat(equipment(Method.TINCTURE)).contains(Equipment.JAR).doesNotContain(Equipment.HOB);
  }

  private static Set<Equipment> equipment(Method method) {
    return MethodGuide.equipment(MethodGuides.of(method).model());
  }

  static java.util.List<MethodSchool> schools() {
    return MethodSchools.all();
  }

  @ParameterizedTest
  @MethodSource("schools")
  void everySchoolHasOneWayThatIsOursAndSaysWhy(MethodSchool school) {
    assertThat(school.question()).endsWith("?");
    assertThat(school.choices().size()).isGreaterThan(1);
    Set<String> ids = new HashSet<>();
    for (MethodSchool.Choice choice : school.choices()) {
      assertThat(ids.add(choice.id())).isTrue();
      assertThat(choice.says()).isNotBlank();
      assertThat(choice.why().isBlank()).as("only ours says why").isEqualTo(!choice.ours());
    }
    assertThat(MethodSchools.find(school.id())).contains(school);
    assertThat(school.choice("no such way")).isEmpty();
  }

  @Test
  void aSchoolWithoutAWayOfOursIsNone() {
    MethodSchool real = MethodSchools.all().get(0);
    assertThatThrownBy(
            () ->
                new MethodSchool(
                    "x",
                    "X?",
                    Set.of(Method.BLEND),
                    real.choices().stream().filter(c -> !c.ours()).toList()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void takingOurWayTwiceChangesNothingMore() {
    for (MethodSchool school : MethodSchools.all()) {
      for (Formula formula : BuiltInFormulas.all()) {
        if (school.methods().contains(formula.method())) {
          for (MethodSchool.Choice choice : school.choices()) {
            Formula once = choice.of(formula);
            assertThat(choice.of(once)).as(school.id() + " " + formula.id()).isEqualTo(once);
          }
        }
      }
    }
  }
}
