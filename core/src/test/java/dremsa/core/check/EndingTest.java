package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.StepKind;
import dremsa.core.formula.Window.Timing;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** An early end is asked about with what it does, and leaves its mark. */
class EndingTest {
  private static final Brew TEA = Kitchens.builtIn("lemon-balm-spray");
  private static final double SCALE = Kitchens.half(TEA).scale();
  private static final VesselChoice VESSELS = TEA.vesselsFor(SCALE);
  private static final int STEEP = index(TEA, StepKind.STEEP);

  private static int index(Brew brew, StepKind kind) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (brew.formula().steps().get(i).kind() == kind) {
        return i;
      }
    }
    throw new AssertionError(kind);
  }

  private static Optional<Ending.Question> ended(
      Brew brew, Facts facts, int step, double minutes, boolean seen) {
    double scale = Kitchens.half(brew).scale();
    return Ending.question(
        brew,
        scale,
        brew.vesselsFor(scale),
        facts,
        step,
        minutes,
        seen,
        p -> LocalDate.of(2026, 3, 1).plusDays((long) p.finished().millilitres() / 100));
  }

  @Test
  void aSteepOfSecondsIsAskedAboutWithItsStrength() {
    Ending.Question question = ended(TEA, Facts.NONE, STEEP, 10 / 60.0, true).orElseThrow();
    assertThat(question.words()).startsWith("Too early: 10 s of ");
    assertThat(question.effects())
        .anySatisfy(
            e -> {
              assertThat(e.name()).isEqualTo("strength");
              assertThat(e.words()).matches("\\d+ % instead of \\d+ %");
            });
    double usual = TEA.formula().steps().get(STEEP).window().orElseThrow().usual();
    assertThat(ended(TEA, Facts.NONE, STEEP, usual, true)).isEmpty();
    assertThat(ended(TEA, Facts.NONE, STEEP, usual * 9, false)).isEmpty();
  }

  @Test
  void aPotThatDoesNotBoilIsAskedAboutUnlessItWasSeen() {
    Brew root = Kitchens.builtIn("birch-sage-decoction");
    int heat = index(root, StepKind.HEAT);
    assertThat(ended(root, Facts.NONE, heat, 0.2, false).orElseThrow().words())
        .startsWith("It does not boil yet: about 2");
    assertThat(ended(root, Facts.NONE, heat, 0.2, true)).isEmpty();
    Facts read = Facts.NONE.with(heat, StepFacts.NONE.withTemperature(0.1, 99));
    assertThat(ended(root, read, heat, 0.2, false)).isEmpty();
  }

  @Test
  void whatIsStillHotIsAskedAboutEvenIfItWasFelt() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    int cool = index(gel, StepKind.COOL);
    assertThat(ended(gel, Facts.NONE, cool, 0.5, true).orElseThrow().words())
        .contains("by the model, not 50 °C");
    assertThat(ended(gel, Facts.NONE, cool, 300, false)).isEmpty();
  }

  @Test
  void handworkIsDoneWhenItIsDone() {
    for (StepKind kind : List.of(StepKind.COMBINE, StepKind.STRAIN, StepKind.BOTTLE)) {
      assertThat(ended(TEA, Facts.NONE, index(TEA, kind), 0.05, false)).as(kind.key()).isEmpty();
    }
  }

  @Test
  void theMarkSaysHowLongAndHowStrong() {
    Facts early = Facts.NONE.with(STEEP, StepFacts.lasting(10 / 60.0));
    Prediction weak = TEA.predict(SCALE, VESSELS, early);
    Ending.Mark mark = Ending.marks(TEA, weak, Map.of(STEEP, Timing.EARLY)).get(0);
    assertThat(mark.brief()).matches("weak, \\d+ %");
    assertThat(mark.words()).contains("took 10 s, less than").contains("Strength about");
    assertThat(Ending.marks(TEA, weak, Map.of(STEEP, Timing.RIGHT, 0, Timing.LATE))).isEmpty();
    Prediction late = TEA.predict(SCALE, VESSELS, Facts.NONE.with(STEEP, StepFacts.lasting(3000)));
    Ending.Mark long_ = Ending.marks(TEA, late, Map.of(STEEP, Timing.LATE)).get(0);
    assertThat(long_.brief()).isEqualTo("took too long");
    assertThat(long_.words()).contains("more than");
  }
}
