package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.measure.MeasureSystem;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a run depends on can be compared: alike inputs run alike, and any difference is seen. */
class InputsTest {
  static Stream<Formula> builtIns() {
    return BuiltInFormulas.all().stream()
        .filter(
            f -> f.ingredients().stream().noneMatch(i -> i.material().startsWith(Stock.PREFIX)));
  }

  private static Brew brew(Formula formula, Kitchen kitchen) {
    return Brew.of(formula, kitchen, Materials.standard());
  }

  private static Kitchen moved(Kitchen kitchen, Parameter parameter) {
    Figure known = kitchen.parameters().figure(parameter);
    Figure other =
        new Figure(
            known.high(),
            known.low(),
            known.high(),
            known.unit(),
            known.provenance(),
            known.source());
    return kitchen.withParameters(kitchen.parameters().with(parameter, other));
  }

  @ParameterizedTest
  @MethodSource("builtIns")
  void kitchensMadeApartAreAlike(Formula formula) {
    Brew one = brew(formula, Kitchen.usual(MeasureSystem.METRIC));
    Brew same = brew(formula, Kitchen.usual(MeasureSystem.METRIC));
    assertThat(one.inputs()).isEqualTo(same.inputs());
    assertThat(one.inputs().hashCode()).isEqualTo(same.inputs().hashCode());
    assertThat(one.predict(0.3, one.vesselsFor(0.3), Facts.NONE).finished())
        .isEqualTo(same.predict(0.3, same.vesselsFor(0.3), Facts.NONE).finished());
  }

  @ParameterizedTest
  @EnumSource(Parameter.class)
  void everyParameterOfTheModelIsSeen(Parameter parameter) {
    Formula formula = BuiltInFormulas.all().get(0);
    Kitchen kitchen = Kitchen.usual(MeasureSystem.METRIC);
    Kitchen other = moved(kitchen, parameter);
    assertThat(brew(formula, other).inputs()).isNotEqualTo(brew(formula, kitchen).inputs());
    assertThat(brew(formula, moved(kitchen, parameter)).inputs())
        .isEqualTo(brew(formula, other).inputs());
  }

  @Test
  void scoopsAndFormulasAreSeen() {
    Formula formula = BuiltInFormulas.all().get(0);
    Kitchen metric = Kitchen.usual(MeasureSystem.METRIC);
    assertThat(brew(formula, Kitchen.usual(MeasureSystem.US)).inputs())
        .isNotEqualTo(brew(formula, metric).inputs());
    assertThat(brew(BuiltInFormulas.all().get(1), metric).inputs())
        .isNotEqualTo(brew(formula, metric).inputs());
  }
}
