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
    day.lines().forEach(System.out::println);
    day.lanes().forEach(System.out::println);
    System.out.println(day.table().stretches() + " " + day.table().end());

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
    long t = System.nanoTime();
    BrewDay day =
        BrewDay.of(
            KITCHEN,
            List.of(
                run("linseed-gel", 300),
                run("lemon-balm-spray", 300),
                run("birch-sage-decoction", 500),
                run("fennel-seed-rinse", 500)),
            List.of());
    System.out.println(
        (System.nanoTime() - t) / 1e6
            + " ms "
            + day.table().stretches()
            + " "
            + day.table().end()
            + " "
            + day.table().overrun()
            + " "
            + day.table().clash());
    day.lines().forEach(System.out::println);
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
