package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.StepKind;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Hot moments are warned of from the pot's temperature, and only then; common practice. */
class HandlingTest {
  static Stream<Formula> formulas() {
    return BuiltInFormulas.all().stream();
  }

  private static int index(Brew brew, StepKind kind) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (brew.formula().steps().get(i).kind() == kind) {
        return i;
      }
    }
    throw new AssertionError(kind);
  }

  @ParameterizedTest
  @MethodSource("formulas")
  void aColdBrewIsNeverWarnedOf(Formula formula) {
    Brew brew = Kitchens.brew(formula);
    Prediction prediction = brew.predict(0.5, Facts.NONE);
    for (StepOutcome outcome : prediction.steps()) {
      boolean warned = Handling.warning(brew, outcome).isPresent();
      assertThat(!warned || outcome.startC() > 40).as(formula.id() + outcome).isTrue();
      if (formula.steps().get(outcome.index()).kind() == StepKind.STRAIN && outcome.startC() > 61) {
        assertThat(warned).as(formula.id() + outcome).isTrue();
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "STRAIN, 92, wringing by hand (below 50 °C)",
    "STRAIN, 92, a plastic bowl or sieve (below 60 °C)",
    "STRAIN, 92, do not wait",
    "STRAIN, 55, wringing by hand",
    "BOTTLE, 92, a cold jar (below 60 °C)",
    "BOTTLE, 92, the fridge (below 40 °C)",
    "BOTTLE, 92, Leave the lid off",
  })
  void whatIsTooHotIsNamedWithItsLimit(StepKind kind, double celsius, String said) {
    Brew gel = Kitchens.builtIn("linseed-gel");
    assertThat(Handling.warning(gel, index(gel, kind), celsius).orElseThrow())
        .startsWith("About " + Math.round(celsius) + " °C: too hot for")
        .contains(said);
  }

  @Test
  void warmIsNotHot() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    assertThat(Handling.warning(gel, index(gel, StepKind.STRAIN), 50)).isEmpty();
    assertThat(Handling.warning(gel, index(gel, StepKind.STRAIN), 55).orElseThrow())
        .doesNotContain("plastic");
    assertThat(Handling.warning(gel, index(gel, StepKind.BOIL), 98)).isEmpty();
  }

  @Test
  void dropsWaitForTheirOwnTemperature() {
    Brew kept =
        BuiltInFormulas.all().stream()
            .map(Kitchens::brew)
            .filter(b -> b.formula().steps().stream().anyMatch(s -> s.kind() == StepKind.ADD))
            .findFirst()
            .orElseThrow();
    int add = index(kept, StepKind.ADD);
    assertThat(Handling.warning(kept, add, 75).orElseThrow()).contains("stir it in then");
    assertThat(Handling.warning(kept, add, 22)).isEmpty();
  }

  @Test
  void howLongToWaitIsToldFromTheModel() {
    Brew brew = Kitchens.builtIn("linseed-gel");
    double scale = Kitchens.half(brew).scale();
    int strain = index(brew, StepKind.STRAIN);
    Facts hot = Facts.NONE.with(strain - 1, StepFacts.lasting(0.1));
    Prediction now = brew.predict(scale, hot);
    assertThat(now.steps().get(strain).startC()).isGreaterThan(85);
    OptionalDouble cool = Handling.coolFrom(brew, scale, brew.vesselsFor(scale), hot, strain, 60);
    // Half a litre in a pot of 18 cm: some half an hour to 60 °C (common practice).
    assertThat(cool.orElseThrow() - now.steps().get(strain).startMinute()).isBetween(12.0, 70.0);
    assertThat(Handling.coolFrom(brew, scale, brew.vesselsFor(scale), hot, strain, 10)).isEmpty();
    // Where it is cool enough, it is so from the beginning.
    Facts cold = Facts.NONE;
    assertThat(
            Handling.coolFrom(brew, scale, brew.vesselsFor(scale), cold, strain, 60).orElseThrow())
        .isEqualTo(brew.predict(scale, cold).steps().get(strain).startMinute());
  }
}
