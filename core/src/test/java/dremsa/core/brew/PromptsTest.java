package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** When a step calls for hands or eyes; how often is common practice. */
class PromptsTest {
  static Stream<Formula> formulas() {
    return BuiltInFormulas.all().stream();
  }

  private record Asked(Step step, StepOutcome outcome, List<Prompt> prompts) {
    private List<Prompt> of(Prompt.Kind kind) {
      return prompts.stream().filter(p -> p.kind() == kind).toList();
    }
  }

  private static List<Asked> asked(Formula formula, double extended) {
    Brew brew = Kitchens.large(formula);
    var half = Kitchens.half(brew);
    return half.prediction().steps().stream()
        .map(
            outcome ->
                new Asked(
                    formula.steps().get(outcome.index()),
                    outcome,
                    Prompts.of(half.brew(), outcome, extended)))
        .toList();
  }

  private static Asked first(String formula, Class<? extends Step> kind) {
    return asked(BuiltInFormulas.find(formula).orElseThrow(), 0).stream()
        .filter(a -> kind.isInstance(a.step()))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void callsComeInOrderWithinTheirStepAndInWords(Formula formula) {
    for (Asked asked : asked(formula, 0)) {
      double latest =
          Math.max(
              asked.outcome().minutes(), asked.step().window().map(Window::longest).orElse(0.0));
      assertThat(asked.prompts())
          .isSortedAccordingTo((a, b) -> Double.compare(a.minute(), b.minute()))
          .allSatisfy(
              p -> {
                assertThat(p.minute()).isBetween(0.0, latest + 1e-9);
                assertThat(p.words()).isNotBlank();
              });
    }
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void aWindowIsCalledOnceAtItsUsualTimeAndOnceWhenItIsTooLong(Formula formula) {
    for (double extended : new double[] {0, 7}) {
      for (Asked asked : asked(formula, extended)) {
        Optional<Window> window = asked.step().window();
        if (window.isPresent()) {
          // Of aloe the drained leaf is called for as well.
          List<Prompt> now =
              asked.of(Prompt.Kind.NOW).stream()
                  .filter(p -> p.words().startsWith("Has it ") || p.words().startsWith("Is it "))
                  .toList();
          assertThat(now)
              .extracting(Prompt::minute)
              .containsExactly(window.get().usual() + extended);
          assertThat(asked.of(Prompt.Kind.LATE)).hasSizeLessThanOrEqualTo(1);
        } else {
          assertThat(asked.of(Prompt.Kind.LATE)).isEmpty();
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void soonIsOneToFifteenMinutesAhead(Formula formula) {
    for (Asked asked : asked(formula, 0)) {
      for (Prompt soon : asked.of(Prompt.Kind.SOON)) {
        double now = asked.of(Prompt.Kind.NOW).get(asked.of(Prompt.Kind.NOW).size() - 1).minute();
        assertThat(now - soon.minute()).isBetween(1.0, 15.0);
        assertThat(now).isGreaterThanOrEqualTo(4);
      }
    }
  }

  @Test
  void aGelIsStirredFromTheStartAndThenWithoutAStop() {
    Asked heat = first("linseed-gel", Step.Heat.class);
    assertThat(heat.of(Prompt.Kind.STIR))
        .extracting(Prompt::words)
        .containsExactly("Start stirring", "Keep stirring, without a stop");
    assertThat(heat.of(Prompt.Kind.STIR).get(1).minute()).isEqualTo(heat.outcome().minutes() * 0.5);
  }

  @Test
  void rootsAreStirredNowAndThen() {
    Asked boil = first("burdock-decoction", Step.Boil.class);
    List<Prompt> stirs = boil.of(Prompt.Kind.STIR);
    assertThat(stirs).isNotEmpty();
    for (int i = 0; i < stirs.size(); i++) {
      assertThat(stirs.get(i).minute()).isEqualTo(5.0 * (i + 1));
    }
    // Not in the last minutes: the end is called for then.
    assertThat(stirs.get(stirs.size() - 1).minute()).isLessThan(boil.outcome().minutes() - 1);
    assertThat(first("birch-sage-decoction", Step.Boil.class).of(Prompt.Kind.STIR)).isEmpty();
  }

  @Test
  void aMacerationIsShakenEveryDayOfItsWeeksAndTheCallsEnd() {
    Asked weeks = first("rosemary-tincture", Step.Macerate.class);
    List<Prompt> shakes = weeks.of(Prompt.Kind.SHAKE);
    int every = ((Step.Macerate) weeks.step()).shakeEveryDays();
    assertThat(shakes.get(0).minute()).isEqualTo(every * 24.0 * 60);
    assertThat(shakes).hasSizeBetween(6, 60);
    assertThat(shakes.get(shakes.size() - 1).minute()).isLessThan(weeks.outcome().minutes());
  }

  @ParameterizedTest
  @CsvSource({
    "lemon-balm-spray, Combine, Warm the glass first",
    "hop-water-bath, WaterBath, 'Warm the jar first, lid loosely on'",
    "aloe-juice-fresh, Prepare, Stand the leaf upright to drain"
  })
  void whatIsDoneFirstIsSaidFirst(String formula, String kind, String words) {
    Asked asked =
        asked(BuiltInFormulas.find(formula).orElseThrow(), 0).stream()
            .filter(a -> a.step().getClass().getSimpleName().equals(kind))
            .findFirst()
            .orElseThrow();
    assertThat(asked.of(Prompt.Kind.FIRST)).extracting(Prompt::words).containsExactly(words);
    assertThat(asked.of(Prompt.Kind.FIRST)).allMatch(p -> p.minute() == 0);
  }

  @Test
  void coolingSaysHowWarmItShouldBe() {
    Asked cool = first("oat-cream", Step.Cool.class);
    assertThat(cool.of(Prompt.Kind.NOW))
        .extracting(Prompt::words)
        .containsExactly("Is it down to 45 °C?");
    assertThat(cool.of(Prompt.Kind.NOW).get(0).minute()).isEqualTo(cool.outcome().minutes());
  }

  @Test
  void aFermentIsLookedAtEveryDay() {
    Asked ferment = first("barley-ferment", Step.Ferment.class);
    assertThat(ferment.of(Prompt.Kind.LOOK)).isNotEmpty();
    assertThat(ferment.of(Prompt.Kind.LOOK).get(0).minute()).isEqualTo(24.0 * 60);
  }
}
