package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.scale.Solution;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The second use of what stays in the strainer; common practice throughout. */
class LeftoverTest {
  private static final ZoneId DUBLIN = ZoneId.of("Europe/Dublin");

  private static Optional<Leftover> of(Formula formula) {
    Brew brew = Kitchens.large(formula);
    Solution.Reached half = Kitchens.half(brew);
    return Leftover.of(half.brew(), half.prediction());
  }

  private static Leftover of(String id) {
    return of(BuiltInFormulas.find(id).orElseThrow()).orElseThrow();
  }

  /** A jar of one plant in one liquid, left standing, strained and bottled. */
  private static Formula jar(String plant, String liquid, Step rest) {
    return new Formula(
        "a-jar",
        "A jar",
        Method.COLD_SOAK,
        Set.of(Purpose.RINSE),
        "",
        List.of(Ingredient.parts(liquid, 1000), Ingredient.parts(plant, 100)),
        List.of(
            new Step.Combine(
                VesselKind.JAR, List.of(plant, liquid), Step.LiquidHeat.ROOM, Guide.NONE),
            rest,
            new Step.Strain(StrainTool.SIEVE, false, Guide.NONE),
            new Step.Bottle(Container.APPLICATOR, Guide.NONE)));
  }

  private static Step overnight() {
    return new Step.Soak(Place.FRIDGE, Window.hours(6, 10, 16), Guide.NONE);
  }

  private static Step weeks() {
    return new Step.Macerate(1, Window.hours(24 * 7, 24 * 14, 24 * 28), Guide.NONE);
  }

  @ParameterizedTest
  @CsvSource({
    "hop-water-bath, DRY_FOR_OIL",
    "rice-water, DRY_FOR_OIL",
    "linseed-gel, COMPOST",
    "lemon-balm-spray, COMPOST",
    "burdock-decoction, COMPOST",
    "ginger-scalp-juice, COMPOST",
    "aloe-juice-fresh, COMPOST",
    "calendula-oil, COMPOST",
    "barley-ferment, COMPOST",
    "oat-cream, COMPOST"
  })
  void builtInBrewsLeave(String id, Leftover.Use use) {
    assertThat(of(id).use()).isEqualTo(use);
    assertThat(of(id).why()).isNotBlank();
  }

  @Test
  void soakedFenugreekBecomesAMask() {
    Leftover left = of(jar("fenugreek", "water", overnight())).orElseThrow();
    assertThat(left.use()).isEqualTo(Leftover.Use.MASK);
    assertThat(left.materials()).extracting(m -> m.id()).containsExactly("fenugreek");
  }

  @Test
  void oilSteepedGrainGivesASecondOil() {
    assertThat(of(jar("oats", "sunflower-oil", weeks())).orElseThrow().use())
        .isEqualTo(Leftover.Use.SECOND_OIL);
    assertThat(of(jar("rosemary", "sunflower-oil", weeks())).orElseThrow().use())
        .isEqualTo(Leftover.Use.COMPOST);
  }

  /** What was strained together cannot be told apart: a little gum seed in it decides for all. */
  @Test
  void aMixtureGoesTheWayOfAllItsParts() {
    Formula soak = jar("fenugreek", "water", overnight());
    Formula mixed =
        new Formula(
            soak.id(),
            soak.name(),
            soak.method(),
            soak.purposes(),
            soak.about(),
            List.of(
                Ingredient.parts("water", 1000),
                Ingredient.parts("fenugreek", 100),
                Ingredient.parts("sage", 10)),
            List.of(
                new Step.Combine(
                    VesselKind.JAR,
                    List.of("fenugreek", "sage", "water"),
                    Step.LiquidHeat.ROOM,
                    Guide.NONE),
                overnight(),
                new Step.Strain(StrainTool.SIEVE, false, Guide.NONE),
                new Step.Bottle(Container.APPLICATOR, Guide.NONE)));
    assertThat(of(mixed).orElseThrow().use()).isEqualTo(Leftover.Use.COMPOST);
  }

  @Test
  void itWeighsWhatWasPutInAndWhatItHolds() {
    Leftover left = of("lemon-balm-spray");
    Solution.Reached half =
        Kitchens.half(Kitchens.large(BuiltInFormulas.find("lemon-balm-spray").orElseThrow()));
    assertThat(left.dryGrams()).isEqualTo(half.prediction().amounts().get("lemon-balm"));
    assertThat(left.wetGrams()).isEqualTo(left.dryGrams() + half.prediction().account().held());
    assertThat(left.wetGrams()).isGreaterThan(left.dryGrams());
  }

  @Test
  void whatIsNotStrainedLeavesNothing() {
    Formula strained = jar("fenugreek", "water", overnight());
    Formula left =
        strained.withSteps(
            strained.steps().stream().filter(step -> !(step instanceof Step.Strain)).toList());
    assertThat(of(left)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "MASK, 2026-03-03T09:00:00Z, 2026-03-03",
    "MASK, 2026-03-03T23:50:00Z, 2026-03-03",
    "DRY_FOR_OIL, 2026-03-03T23:50:00Z, 2026-03-03",
    // The night of a change of clocks has an hour less.
    "SECOND_OIL, 2026-03-27T10:00:00Z, 2026-03-30",
    "SECOND_OIL, 2026-03-03T10:00:00Z, 2026-03-06",
    // In Dublin the day has begun already.
    "MASK, 2026-07-01T23:30:00Z, 2026-07-02"
  })
  void theLastDayIsAWholeLocalDay(Leftover.Use use, Instant strained, LocalDate last) {
    assertThat(use.lastDay(strained, DUBLIN)).isEqualTo(last);
  }

  @Test
  void wetOilKeepsNoLongerThanItsClass() {
    assertThat(Leftover.Use.SECOND_OIL.hours())
        .isEqualTo(KeepingClass.OIL_WET.budgetHours(School.CAREFUL));
  }

  /** What hardly drew was not emptied, and is not said to be. */
  @Test
  void aWeakDrawIsNotSaidToHaveGivenAll() {
    Brew soak = Kitchens.builtIn("nigella-soak");
    Solution.Reached half = Kitchens.half(soak);
    int step = 0;
    while (soak.formula().steps().get(step).kind() != StepKind.SOAK) {
      step++;
    }
    Facts short20 = Facts.NONE.with(step, StepFacts.lasting(20));
    String why =
        Leftover.of(soak, soak.predict(half.scale(), half.vessels(), short20)).orElseThrow().why();
    assertThat(why).startsWith("Only about ").contains("draw it longer next time");
    assertThat(of("birch-sage-decoction").why()).isEqualTo("It gave the water what it had.");
  }
}
