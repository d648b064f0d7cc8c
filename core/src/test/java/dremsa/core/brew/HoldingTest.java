package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Holding.Kind;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What brews holds its pot, its jar, a hob and its strainer, each as long as it needs it. */
class HoldingTest {
  private static List<Holding> of(String builtIn) {
    Brew brew = Kitchens.builtIn(builtIn);
    double scale = Kitchens.half(brew).scale();
    VesselChoice vessels = brew.vesselsFor(scale);
    return Holding.of(brew, brew.predict(scale, vessels, Facts.NONE), vessels);
  }

  private static Holding one(List<Holding> all, Kind kind) {
    List<Holding> found = all.stream().filter(h -> h.kind() == kind).toList();
    assertThat(found).hasSize(1);
    return found.get(0);
  }

  @Test
  void aDecoctionHoldsAPotToItsEndAHobWhileItHeatsAndAClothWhileItStrains() {
    List<Holding> all = of("birch-sage-decoction");
    Holding pot = one(all, Kind.VESSEL);
    Holding hob = one(all, Kind.HOB);
    Holding cloth = one(all, Kind.STRAINER);
    assertThat(pot.id()).startsWith("pot-");
    assertThat(hob.fromMinute()).isGreaterThanOrEqualTo(pot.fromMinute());
    assertThat(hob.toMinute()).isLessThan(pot.toMinute());
    assertThat(cloth.fromMinute()).isGreaterThanOrEqualTo(hob.toMinute());
    assertThat(cloth.toMinute() - cloth.fromMinute()).isBetween(1.0, 30.0);
  }

  @Test
  void aColdSoakHoldsAJarForHoursAndNoHob() {
    List<Holding> all = of("nigella-soak");
    Holding jar = one(all, Kind.VESSEL);
    assertThat(jar.toMinute() - jar.fromMinute()).isGreaterThan(6 * 60);
    assertThat(all).noneMatch(h -> h.kind() == Kind.HOB);
  }

  @Test
  void whatIsFreeIsLeftAndOfAKindThatIsAllHeldAllStay() {
    Kitchen kitchen = Kitchens.METRIC;
    Kitchen one = Holding.free(kitchen, Set.of("jar-10"));
    assertThat(one.vessels()).extracting(Vessel::id).contains("jar-12").doesNotContain("jar-10");
    Kitchen none = Holding.free(kitchen, Set.of("jar-10", "jar-12"));
    assertThat(none.vessels().stream().filter(v -> v.kind() == VesselKind.JAR)).hasSize(2);
  }
}
