package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class BrewDayTest {
  private static final Kitchen KITCHEN = Kitchen.usual(MeasureSystem.METRIC);

  @Test
  void twoBrewsOnOneHob() {
    BrewDay day =
        BrewDay.of(
            KITCHEN, List.of(run("linseed-gel", 300), run("lemon-balm-spray", 300)), List.of());

    assertThat(day.table().clash()).isZero();
    assertThat(day.table().overrun()).isZero();
    assertThat(day.starts()).hasSize(2);
  }

  @Test
  void whatStandsOvernightIsLeftStanding() {
    BrewDay day = BrewDay.of(KITCHEN, List.of(run("barley-ferment", 500)), List.of());

    assertThat(day.lanes().get(0).standsOn()).isNotEmpty();
    assertThat(day.table().end()).isLessThan(24 * 60);
  }

  @Test
  void fourBrews() {
    BrewDay day =
        BrewDay.of(
            KITCHEN,
            List.of(
                run("linseed-gel", 300),
                run("lemon-balm-spray", 300),
                run("birch-sage-decoction", 500),
                run("fennel-seed-rinse", 500)),
            List.of());

    assertThat(day.table().clash()).isZero();
    assertThat(day.table().overrun()).isZero();
    for (BrewDay.Lane lane : day.lanes()) {
      for (int i = 1; i < lane.spans().size(); i++) {
        assertThat(lane.spans().get(i).from())
            .as(lane.name())
            .isGreaterThanOrEqualTo(lane.spans().get(i - 1).to() - 1e-6);
      }
    }
    // One pair of hands: no two lines of work at the same time.
    for (int i = 1; i < day.lines().size(); i++) {
      BrewDay.Line before = day.lines().get(i - 1);
      assertThat(day.lines().get(i).minute())
          .isGreaterThanOrEqualTo(before.minute() + before.minutes() - 1e-6);
    }
  }

  private static BrewDay.Run run(String formula, double ml) {
    Brew brew = Brew.of(BuiltInFormulas.find(formula).orElseThrow(), KITCHEN, Materials.standard());
    Solution.Reached reached =
        (Solution.Reached) Scaling.solve(brew, new Target.Volume(ml), Facts.NONE);
    return new BrewDay.Run(
        formula,
        brew.formula().name(),
        reached.brew(),
        reached.vessels(),
        reached.prediction(),
        0,
        OptionalDouble.empty());
  }
}
