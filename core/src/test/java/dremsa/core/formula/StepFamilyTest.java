package dremsa.core.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.Members;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Prompts;
import dremsa.core.check.Cautions;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

/** Every kind of step goes through all that knows steps. */
class StepFamilyTest {
  private static final List<Step> EVERY = Steps.OF_EVERY_KIND;

  private static Step of(StepKind kind) {
    return EVERY.stream().filter(step -> step.kind() == kind).findFirst().orElseThrow();
  }

  @Test
  void noKindIsForgotten() {
    Members.allIn(Step.class, EVERY);
    assertThat(EVERY).extracting(Step::kind).containsExactlyInAnyOrder(StepKind.values());
  }

  @Test
  void theModelTellsWordsAndPromptsAndCautionsOfEach() {
    Brew brew = Kitchens.brew(Steps.formula());
    Prediction prediction = brew.predict(1, Facts.NONE);
    assertThat(prediction.steps()).hasSameSizeAs(EVERY);
    prediction
        .steps()
        .forEach(
            outcome -> {
              Step step = EVERY.get(outcome.index());
              assertThat(outcome.minutes()).as(step.toString()).isFinite().isNotNegative();
              assertThat(step.headline()).as(step.toString()).isNotBlank();
              assertThat(Prompts.of(brew, outcome, 0)).as(step.toString()).isNotNull();
              assertThat(Cautions.at(brew, outcome)).as(step.toString()).isNotNull();
              if (step.window().isPresent()) {
                assertThat(outcome.minutes()).isCloseTo(step.window().get().usual(), within(1e-9));
              }
            });
  }

  @ParameterizedTest
  @CsvSource({
    // Stored rows and files hold these words: they never change.
    "WASH, wash",
    "PREPARE, prepare",
    "COMBINE, combine",
    "HEAT, heat",
    "BOIL, boil",
    "WATER_BATH, waterBath",
    "STEEP, steep",
    "SOAK, soak",
    "FERMENT, ferment",
    "MACERATE, macerate",
    "COOL, cool",
    "STRAIN, strain",
    "BLEND, blend",
    "ADD, add",
    "BOTTLE, bottle",
    "FREEZE, freeze",
    "DIVIDE, divide"
  })
  void itsWordInDataStays(StepKind kind, String key) {
    assertThat(kind.key()).isEqualTo(key);
    assertThat(Arrays.stream(StepKind.values()).filter(k -> k.key().equals(key))).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({
    // kind, puts, on the hob, stands, only cools, hands, may be left out
    "WASH, false, false, false, false, true, true",
    "PREPARE, false, false, false, false, true, true",
    "COMBINE, true, false, false, false, true, false",
    "HEAT, false, true, false, false, false, true",
    "BOIL, false, true, false, false, false, true",
    "WATER_BATH, false, true, false, false, false, true",
    "STEEP, false, false, true, true, false, true",
    "SOAK, false, false, true, true, false, true",
    "FERMENT, false, false, true, false, false, true",
    "MACERATE, false, false, true, false, false, true",
    "COOL, false, false, false, true, false, true",
    "STRAIN, false, false, false, false, true, true",
    "BLEND, false, false, false, false, true, true",
    "ADD, true, false, false, false, true, true",
    "BOTTLE, false, false, false, false, true, false",
    "FREEZE, false, false, false, false, true, true",
    "DIVIDE, false, false, false, false, true, false"
  })
  void answersForItself(
      StepKind kind,
      boolean puts,
      boolean hob,
      boolean stands,
      boolean cools,
      boolean hands,
      boolean optional) {
    Step step = of(kind);
    assertThat(step.puts()).as("puts").isEqualTo(puts);
    assertThat(step.onHob()).as("on the hob").isEqualTo(hob);
    assertThat(step.stands()).as("stands").isEqualTo(stands);
    assertThat(step.onlyCools()).as("only cools").isEqualTo(cools);
    assertThat(step.needsHands()).as("hands").isEqualTo(hands);
    assertThat(step.skippable()).as("may be left out").isEqualTo(optional);
  }

  @ParameterizedTest
  @FieldSource("EVERY")
  void saysWhatOnlySomeHave(Step step) {
    StepKind kind = step.kind();
    assertThat(step.fills())
        .isEqualTo(
            kind == StepKind.BOTTLE
                ? Optional.of(Container.SPRAY)
                : kind == StepKind.FREEZE ? Optional.of(Container.CUBES) : Optional.empty());
    assertThat(step.strainer())
        .isEqualTo(kind == StepKind.STRAIN ? Optional.of(StrainTool.CLOTH) : Optional.empty());
    assertThat(step.wrung()).isEqualTo(kind == StepKind.STRAIN);
    assertThat(step.worksIn())
        .isEqualTo(
            kind == StepKind.COMBINE
                ? Optional.of(VesselKind.POT)
                : kind == StepKind.BLEND ? Optional.of(VesselKind.BLENDER) : Optional.empty());
    assertThat(step.stirredBelow().isPresent()).isEqualTo(kind == StepKind.ADD);
    assertThat(step.readies().isPresent()).isEqualTo(kind == StepKind.PREPARE);
    assertThat(step.window().isPresent()).isEqualTo(step instanceof Step.Timed);
    assertThat(step.ingredients().isEmpty()).isEqualTo(!(step instanceof Step.Naming));
    if (step instanceof Step.Naming naming) {
      Step other = naming.naming(List.of("water"));
      assertThat(other.kind()).isEqualTo(kind);
      assertThat(other.ingredients()).containsExactly("water");
      assertThat(other.guide()).isEqualTo(step.guide());
    }
  }
}
