package dremsa.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KitchenMeasuresTest {
  @ParameterizedTest(name = "{0} is {1}: {2}")
  @CsvSource(
      delimiter = '|',
      value = {
        "us-cup     | 236.5882365     | NIST Handbook 44 App. C",
        "us-tbsp    | 14.78676478125  | NIST Handbook 44 App. C",
        "us-tsp     | 4.92892159375   | NIST Handbook 44 App. C",
        "us-floz    | 29.5735295625   | NIST Handbook 44 App. C",
        "us-pint    | 473.176473      | NIST Handbook 44 App. C",
        "label-cup  | 240             | 21 CFR 101.9(b)(5)(viii)",
        "label-tbsp | 15              | 21 CFR 101.9(b)(5)(viii)",
        "label-tsp  | 5               | 21 CFR 101.9(b)(5)(viii)",
        "label-floz | 30              | 21 CFR 101.9(b)(5)(viii)",
        "uk-pint    | 568.26125       | UK Weights and Measures Act",
        "uk-floz    | 28.4130625      | UK Weights and Measures Act",
        "au-tbsp    | 20              | Debian units, australia tablespoon",
        "metric-cup | 250             | Debian units, metriccup",
        "oz         | 28.349523125    | NIST Handbook 44 App. C",
        "lb         | 453.59237       | NIST Handbook 44 App. C",
        "drop       | 0.05            | Ph. Eur. standard dropper"
      })
  void hasThePublishedSize(String id, double size, String source) {
    assertThat(KitchenMeasures.find(id).orElseThrow().size())
        .as(source)
        .isCloseTo(size, within(size * 1e-9));
  }

  @Test
  void everySystemHasItsSpoons() {
    for (MeasureSystem system : MeasureSystem.values()) {
      assertThat(KitchenMeasures.volumesOf(system))
          .extracting(KitchenMeasure::symbol)
          .contains("tbsp", "tsp");
    }
  }

  @Test
  void fourTablespoonsAreAQuarterCup() {
    // Arithmetic; common practice.
    assertThat(4 * KitchenMeasures.US_TABLESPOON.size())
        .isCloseTo(KitchenMeasures.US_CUP.size() / 4, within(1e-9));
  }
}
