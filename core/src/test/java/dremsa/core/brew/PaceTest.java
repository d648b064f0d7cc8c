package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** When the steps ended of a batch of which only beginning and end are known. */
class PaceTest {
  private final Prediction spray = Kitchens.predicted("lemon-balm-spray", 500);

  private double planned() {
    return spray.steps().get(spray.steps().size() - 1).endMinute();
  }

  @Test
  void byTheBookEverythingIsAsPredicted() {
    assertThat(Pace.ends(spray, planned()))
        .containsExactlyElementsOf(spray.steps().stream().map(StepOutcome::endMinute).toList());
  }

  @Test
  void nineHoursMoreAreNineHoursMoreOfTheSteep() {
    List<Double> ends = Pace.ends(spray, planned() + 540);
    // Poured over, steeped, strained, bottled: only the steep stands so long.
    assertThat(ends.get(0)).isEqualTo(spray.steps().get(0).endMinute());
    assertThat(ends.get(1) - ends.get(0))
        .isCloseTo(spray.steps().get(1).minutes() + 540, within(1e-9));
    assertThat(ends.get(2) - ends.get(1)).isCloseTo(spray.steps().get(2).minutes(), within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.01, 1, 30, 200, 1000, 20_000})
  void stepsFollowEachOtherAndEndInTime(double minutes) {
    for (Formula formula : BuiltInFormulas.all()) {
      Prediction prediction = Kitchens.half(Kitchens.large(formula)).prediction();
      List<Double> ends = Pace.ends(prediction, minutes);
      assertThat(ends).hasSize(formula.steps().size()).isSorted();
      assertThat(ends.get(0)).isGreaterThanOrEqualTo(0);
      assertThat(ends.get(ends.size() - 1)).isCloseTo(minutes, within(1e-6));
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -5, Double.NaN, Double.POSITIVE_INFINITY})
  void noTimeIsNoBrew(double minutes) {
    assertThatIllegalArgumentException().isThrownBy(() -> Pace.ends(spray, minutes));
  }
}
