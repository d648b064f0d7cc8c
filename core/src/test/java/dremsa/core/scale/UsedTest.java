package dremsa.core.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.kitchen.Container;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UsedTest {
  private static double read(String typed, Container container) {
    return Used.millilitres(typed, container, 240, MeasureSystem.METRIC, CountMeasures.usual());
  }

  @ParameterizedTest
  @CsvSource({
    "40, 40",
    "'12,5', 12.5",
    "40 ml, 40",
    "2 tbsp, 30",
    "1 1/2 tsp, 7.5",
    "10 strokes, 1.5",
    "a third, 80",
    "about a third, 80",
    "half of it, 120",
    "3/4, 180",
    "the rest, 240"
  })
  void readsWhatMakersSay(String typed, double millilitres) {
    assertThat(read(typed, Container.SPRAY)).isCloseTo(millilitres, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"SPRAY, 1.5", "TRIGGER, 8"})
  void aStrokeIsThatOfItsSprayer(Container container, double millilitres) {
    // From memory: a fine mist gives 0.15 mL, a trigger 0.8 mL.
    assertThat(read("10 sprays", container)).isCloseTo(millilitres, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "some", "20 g", "a lot", "-3"})
  void whatIsNoVolumeIsRefused(String typed) {
    assertThatThrownBy(() -> read(typed, Container.JAR)).isInstanceOf(RuntimeException.class);
  }
}
