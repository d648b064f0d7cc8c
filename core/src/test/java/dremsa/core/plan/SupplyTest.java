package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.people.Heads;
import dremsa.core.people.Standing;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SupplyTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  private static Standing gel(Place place, Container container) {
    return new Standing(
        "b1", "Gel", Heads.product("linseed-gel"), 100, TODAY.plusDays(5), false, place, container);
  }

  private static ZonedDateTime at(int hour) {
    return TODAY.atTime(hour, 0).atZone(ZoneOffset.ofHours(2));
  }

  private static Brewable brewable(Optional<Brewable.Freezing> freezing) {
    return new Brewable("linseed-gel", "Gel", 1, 5, 40, 300, 20, 30, freezing, 0);
  }

  @Test
  void aFrozenBottleIsThawedAsAWholeAndCubesOneByOne() {
    assertThat(Supply.of(gel(Place.FREEZER, Container.APPLICATOR), TODAY).portionMl())
        .isEqualTo(100);
    assertThat(Supply.of(gel(Place.FREEZER, Container.CUBES), TODAY).portionMl()).isEqualTo(30);
    assertThat(Supply.of(gel(Place.FRIDGE, Container.CUBES), TODAY).frozen()).isFalse();
  }

  @Test
  void whatIsBottledInTheMorningIsForTheSameDayAndLaterForTheNext() {
    Standing gel = gel(Place.FRIDGE, Container.APPLICATOR);

    assertThat(Supply.coming(gel, at(9), Optional.empty()).from()).isEqualTo(TODAY);
    assertThat(Supply.coming(gel, at(21), Optional.empty()).from()).isEqualTo(TODAY.plusDays(1));
  }

  @Test
  void whatComesOffTheBenchFreezesAsANewBrewWould() {
    Standing gel = gel(Place.FRIDGE, Container.APPLICATOR);
    Brewable freezes = brewable(Optional.of(new Brewable.Freezing(90, 20)));

    Supply supply = Supply.coming(gel, at(9), Optional.of(freezes));

    assertThat(supply.portionMl()).isEqualTo(20);
    assertThat(supply.frozenTo()).contains(TODAY.plusDays(90));
    assertThat(Supply.coming(gel, at(9), Optional.of(brewable(Optional.empty()))).frozenTo())
        .isEmpty();
  }

  @Test
  void aPortionIsTheSmallestDoseThatIsUsual() {
    List<Need> needs = List.of(need("gel", 61), need("gel", 38), need("rinse", 20));

    assertThat(Needs.portion("gel", needs)).isEqualTo(40);
    assertThat(Needs.portion("rinse", List.of(need("rinse", 3)))).isEqualTo(15);
    assertThat(Needs.portion("rinse", List.of(need("rinse", 900)))).isEqualTo(120);
    assertThat(Needs.portion("tea", needs)).isEqualTo(30);
  }

  private static Need need(String formula, double ml) {
    return new Need(
        formula + ml, TODAY, "a", formula, List.of(new Need.Accepted(formula, 0)), ml, true);
  }
}
