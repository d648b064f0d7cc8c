package dremsa.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.measure.ScoopSet.Rounding;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ScoopSetTest {
  @ParameterizedTest
  @CsvSource({
    "METRIC,  15,   1 tbsp",
    "METRIC,  30,   2 × 1 tbsp",
    "METRIC,  10,   2 × 1 tsp",
    "METRIC,  550,  jug to 550 mL",
    "METRIC,  62.5, ¼ cup",
    "US,      29.6, 2 × 1 tbsp",
    "US,      710,  3 × 1 cup",
    "UK,      10,   1 dsp",
    "AUSTRALIAN, 20, 1 tbsp"
  })
  void saysWhatACookWouldSay(MeasureSystem system, double ml, String words) {
    assertThat(ScoopSet.usual(system).round(ml, Rounding.NEAREST).words()).isEqualTo(words);
  }

  @ParameterizedTest
  @EnumSource(MeasureSystem.class)
  void staysWithinToleranceAndRoundsDownWhenTold(MeasureSystem system) {
    ScoopSet set = ScoopSet.usual(system);
    Random random = new Random(7);
    for (int i = 0; i < 300; i++) {
      double wanted = Math.exp(random.nextDouble() * 6.5);
      ScoopedAmount near = set.round(wanted, Rounding.NEAREST);
      ScoopedAmount down = set.round(wanted, Rounding.DOWN);
      assertThat(down.millilitres()).isLessThanOrEqualTo(wanted * (1 + 1e-9));
      assertThat(near.error()).isCloseTo((near.millilitres() - wanted) / wanted, within(1e-9));
      assertThat(near.counts()).hasSizeLessThanOrEqualTo(4);
      // Half the smallest scoop is as near as anything can be; larger amounts come within 3 %.
      double smallest = set.scoops().get(set.scoops().size() - 1).millilitres();
      assertThat(Math.abs(near.error()))
          .isLessThanOrEqualTo(Math.max(ScoopSet.TOLERANCE, smallest / 2 / wanted + 1e-9));
    }
  }

  @Test
  void moreWantedIsNeverMuchLess() {
    ScoopSet set = ScoopSet.usual(MeasureSystem.METRIC);
    assertThat(set.round(0, Rounding.NEAREST).counts()).isEmpty();
    assertThat(set.round(0.1, Rounding.DOWN).counts()).isEmpty();
    assertThat(ScoopSet.of(List.of()).round(50, Rounding.NEAREST).counts()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"-1", "NaN", "Infinity"})
  void refusesWhatIsNoAmount(double ml) {
    assertThatThrownBy(() -> ScoopSet.usual(MeasureSystem.US).round(ml, Rounding.NEAREST))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
