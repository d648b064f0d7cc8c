package dremsa.core.formula;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DifferencesTest {
  private static final Formula SPRAY = BuiltInFormulas.find("lemon-balm-spray").orElseThrow();

  private static List<String> told(Formula later) {
    return Differences.between(SPRAY, later).stream().map(Differences.Difference::words).toList();
  }

  @Test
  void nothingIsToldWhereNothingDiffers() {
    assertThat(told(SPRAY)).isEmpty();
    for (Formula formula : BuiltInFormulas.all()) {
      assertThat(Differences.between(formula, formula)).isEmpty();
    }
  }

  @Test
  void tellsIngredientsInAMakersWords() {
    assertThat(told(new Change.Times("lemon-balm", 0.5).apply(SPRAY)))
        .singleElement()
        .asString()
        .matches("lemon-balm: [0-9.]+ parts instead of [0-9.]+ parts");
    assertThat(told(new Change.Instead("lemon-balm", "sage", 1).apply(SPRAY)))
        .containsExactly("sage instead of lemon-balm");
    assertThat(told(new Change.Without("lemon-balm").apply(SPRAY))).contains("without lemon-balm");
  }

  @Test
  void oneStepPutInIsOneDifference() {
    List<Step> steps = new ArrayList<>(SPRAY.steps());
    steps.add(
        0,
        new Step.Prepare(
            List.of(), Step.Treatment.STERILISE, Window.minutes(5, 10, 20), Guide.NONE));
    assertThat(told(SPRAY.withSteps(steps))).singleElement().asString().startsWith("with the step");
    steps.remove(0);
    steps.remove(2);
    assertThat(told(SPRAY.withSteps(steps)))
        .singleElement()
        .asString()
        .startsWith("without the step");
  }

  @Test
  void aLongerStepIsToldWithBothTimes() {
    List<Step> steps = new ArrayList<>(SPRAY.steps());
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i) instanceof Step.Steep steep) {
        steps.set(i, new Step.Steep(steep.cover(), Window.minutes(60, 90, 300), steep.guide()));
      }
    }
    assertThat(told(SPRAY.withSteps(steps))).singleElement().asString().contains("90 instead of");
  }

  @Test
  void needsAreServedByCompositionOrByAVariant() {
    Map<Need, String> spray = Need.servedBy(SPRAY, Materials.standard());
    assertThat(spray).containsEntry(Need.NO_SCENT, "").containsEntry(Need.OILY_SCALP, "oily-scalp");
    Map<Need, String> birch =
        Need.servedBy(
            BuiltInFormulas.find("birch-sage-decoction").orElseThrow(), Materials.standard());
    assertThat(birch)
        .containsEntry(Need.OILY_SCALP, "")
        .containsEntry(Need.LIGHT_HAIR, "half-strength");
    for (Need need : Need.values()) {
      assertThat(
              BuiltInFormulas.all().stream()
                  .filter(f -> Need.servedBy(f, Materials.standard()).containsKey(need)))
          .as(need.words())
          .isNotEmpty();
    }
  }
}
