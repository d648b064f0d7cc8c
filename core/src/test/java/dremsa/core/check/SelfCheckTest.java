package dremsa.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.keep.Classifier;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Materials;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.scale.Solution;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SelfCheckTest {

  private static List<Finding> check(Formula formula, double scale) {
    Brew brew = Kitchens.brew(formula);
    return SelfCheck.of(brew, brew.predict(scale, Facts.NONE));
  }

  private static Formula of(List<Ingredient> ingredients, Purpose purpose, Step... steps) {
    return new Formula("f", "f", Method.BLEND, Set.of(purpose), "", ingredients, List.of(steps));
  }

  private static Step pour(String... keys) {
    return new Step.Combine(VesselKind.JAR, List.of(keys), Step.LiquidHeat.JUST_BOILED, Guide.NONE);
  }

  private static Step cold(String... keys) {
    return new Step.Combine(VesselKind.JAR, List.of(keys), Step.LiquidHeat.ROOM, Guide.NONE);
  }

  private static Step pot(String... keys) {
    return new Step.Combine(VesselKind.POT, List.of(keys), Step.LiquidHeat.ROOM, Guide.NONE);
  }

  private static final Step STEEP = new Step.Steep(true, Window.hours(1, 3, 5), Guide.NONE);
  private static final Step CLOTH = new Step.Strain(StrainTool.CLOTH, true, Guide.NONE);
  private static final Step BOIL =
      new Step.Boil(Step.Level.GENTLE, true, true, Window.minutes(3, 5, 9), Guide.NONE);
  private static final Step HEAT = new Step.Heat(true, true, Guide.NONE);
  private static final Step SPRAY = new Step.Bottle(Container.SPRAY, Guide.NONE);
  private static final Ingredient WATER = Ingredient.parts("water", 400);

  private static Step stir(String key) {
    return new Step.Add(List.of(key), 40, Guide.NONE);
  }

  private static Ingredient drops(String material, double per100) {
    return new Ingredient(material, material, new Proportion.DropsPer100Ml(per100));
  }

  private static Ingredient percent(String material, double percent) {
    return new Ingredient(material, material, new Proportion.PercentOfFinished(percent));
  }

  static Stream<Arguments> slips() {
    Ingredient leaf = Ingredient.parts("sage", 12);
    Step coolDown = new Step.Cool(35, Step.CoolingWay.COUNTER, true, Guide.NONE);
    return Stream.of(
        Arguments.of(
            Code.SPIRIT_NEAR_HEAT,
            of(
                List.of(Ingredient.parts("spirit-40", 300), leaf),
                Purpose.SCALP,
                pot("spirit-40", "sage"),
                HEAT)),
        Arguments.of(
            Code.ADDED_TOO_HOT,
            of(
                List.of(WATER, leaf, drops("lavender-essential", 2)),
                Purpose.LEAVE_IN,
                pour("water", "sage"),
                stir("lavender-essential"))),
        Arguments.of(
            Code.POWDER_IN_SPRAY,
            of(
                List.of(WATER, Ingredient.parts("amla-powder", 10)),
                Purpose.LEAVE_IN,
                pour("water", "amla-powder"),
                STEEP,
                CLOTH,
                SPRAY)),
        Arguments.of(
            Code.TOO_THICK_FOR_CONTAINER,
            of(
                List.of(WATER, Ingredient.parts("linseed", 40)),
                Purpose.STYLER,
                pot("water", "linseed"),
                HEAT,
                BOIL,
                coolDown,
                CLOTH,
                SPRAY)),
        Arguments.of(
            Code.ALOE_NOT_DRAINED,
            of(List.of(Ingredient.parts("aloe-leaf", 200)), Purpose.SCALP, cold("aloe-leaf"))),
        Arguments.of(
            Code.GRAIN_NOT_WASHED,
            of(
                List.of(WATER, Ingredient.parts("rice", 60)),
                Purpose.RINSE,
                cold("water", "rice"),
                CLOTH)),
        Arguments.of(
            Code.GROUND_SEED_IN_GEL,
            of(
                List.of(WATER, Ingredient.parts("linseed-ground", 20)),
                Purpose.STYLER,
                pot("water", "linseed-ground"),
                HEAT,
                CLOTH)),
        Arguments.of(
            Code.WET_PLANT_IN_OIL,
            of(
                List.of(Ingredient.parts("olive-oil", 300), Ingredient.parts("mint-fresh", 30)),
                Purpose.OIL,
                cold("olive-oil", "mint-fresh"),
                CLOTH)),
        Arguments.of(
            Code.SEED_BOILED_AGAIN,
            of(
                List.of(WATER, Ingredient.parts("linseed", 20)),
                Purpose.STYLER,
                pot("water", "linseed"),
                HEAT,
                BOIL,
                CLOTH,
                HEAT,
                BOIL)),
        Arguments.of(
            Code.PRESERVATIVE_NOT_WORKING,
            of(
                List.of(WATER, leaf, percent("potassium-sorbate", 0.3)),
                Purpose.LEAVE_IN,
                pour("water", "sage"),
                STEEP,
                CLOTH,
                coolDown,
                stir("potassium-sorbate"))),
        Arguments.of(
            Code.OVER_LIMIT,
            of(
                List.of(WATER, leaf, percent("potassium-sorbate", 1)),
                Purpose.LEAVE_IN,
                pour("water", "sage"),
                STEEP,
                CLOTH,
                coolDown,
                stir("potassium-sorbate"))),
        Arguments.of(
            Code.OVER_LIMIT,
            of(
                List.of(WATER, leaf, percent("clove-essential", 0.6)),
                Purpose.LEAVE_IN,
                pour("water", "sage"),
                STEEP,
                CLOTH,
                coolDown,
                stir("clove-essential"))),
        Arguments.of(
            Code.NOT_A_PRESERVATIVE,
            of(
                List.of(WATER, leaf, Ingredient.parts("lemon-juice", 5)),
                Purpose.RINSE,
                pour("water", "sage"),
                STEEP,
                CLOTH,
                stir("lemon-juice"))),
        Arguments.of(
            Code.INFUSED_OR_ESSENTIAL,
            of(
                List.of(WATER, leaf, Ingredient.parts("rosemary-essential", 2)),
                Purpose.LEAVE_IN,
                pour("water", "sage"),
                STEEP,
                CLOTH,
                stir("rosemary-essential"))),
        Arguments.of(
            Code.TOO_SOUR,
            of(
                List.of(WATER, Ingredient.parts("apple-vinegar", 300)),
                Purpose.LEAVE_IN,
                cold("water", "apple-vinegar"))),
        Arguments.of(
            Code.LIFE_SPENT_EARLY,
            of(
                List.of(WATER, Ingredient.parts("hop", 20)),
                Purpose.RINSE,
                cold("water", "hop"),
                new Step.Soak(Place.ROOM, Window.hours(24, 48, 72), Guide.NONE),
                CLOTH)),
        Arguments.of(
            Code.IMPOSSIBLE_HERE,
            of(
                List.of(Ingredient.parts("water", 4000), leaf),
                Purpose.RINSE,
                pour("water", "sage"))),
        Arguments.of(Code.UNUSED, of(List.of(WATER, leaf), Purpose.RINSE, pour("water"), SPRAY)),
        Arguments.of(
            Code.EMPTY_STEP,
            of(List.of(WATER, leaf), Purpose.RINSE, STEEP, pour("water", "sage"), CLOTH)),
        Arguments.of(
            Code.CONTRADICTION,
            of(List.of(WATER, leaf), Purpose.RINSE, pour("water", "sage"), SPRAY, CLOTH)),
        Arguments.of(
            Code.DROPS_OF_SOLID,
            of(List.of(WATER, drops("sage", 5)), Purpose.RINSE, pour("water"), stir("sage"))),
        Arguments.of(
            Code.NO_EFFECT,
            of(
                List.of(WATER, Ingredient.parts("linseed", 20)),
                Purpose.STYLER,
                new Step.Wash(List.of("linseed"), Guide.NONE),
                pot("water", "linseed"))));
  }

  @ParameterizedTest
  @MethodSource("slips")
  void findsEachSlip(Code code, Formula formula) {
    List<Finding> findings = check(formula, 1);
    assertThat(findings).extracting(Finding::code).contains(code);
    assertThat(findings)
        .allSatisfy(
            f -> {
              assertThat(f.what()).isNotBlank();
              assertThat(f.cure()).isNotBlank();
              assertThat(f.place()).matches("(steps|ingredients)(\\[\\d+])?");
            });
  }

  @Test
  void everySlipHasItsTest() {
    // Those that depend on more than a formula stand in tests of their own, below and in BulkTest.
    assertThat(slips().map(a -> (Code) a.get()[0]))
        .containsAll(
            EnumSet.complementOf(
                EnumSet.of(
                    Code.WHICH_SCOOP,
                    Code.NOT_FOR_THIS_PERSON,
                    Code.BOILS_DOWN,
                    Code.NOT_COVERED)));
  }

  /** What stands on the skin for long, or for a time that nobody said, has the stricter limit. */
  @ParameterizedTest
  @CsvSource({
    "clove-essential, 0.6, RINSE",
    "clove-essential, 0.6, CONDITIONER",
    "clove-essential, 0.6, MASK",
    "clove-essential, 0.6, PRE_WASH",
    "clove-essential, 0.6, ''",
    "cinnamon-essential, 0.9, RINSE",
    "cinnamon-essential, 0.9, ''",
    "fragrance, 3.3, RINSE",
    "fragrance, 3.3, MASK",
    "fragrance, 3.3, ''",
    // Rinsed off at once it may have 2.95 % of it; left on an hour as a mask, no more than 0.59 %.
    "sodium-benzoate, 1.2, MASK",
    "sodium-benzoate, 1.2, ''",
    "sodium-benzoate, 1.2, RINSE+LEAVE_IN"
  })
  void whatMayStayOnHasTheLimitOfWhatIsLeftOn(String material, double percent, String purposes) {
    assertThat(codes(check(dosed(material, percent, purposes), 1))).contains(Code.OVER_LIMIT);
  }

  /** The limits of the rules are allowed to the dot (Regulation (EC) 1223/2009, Annex V). */
  @ParameterizedTest
  @CsvSource({
    "phenoxyethanol, 1, LEAVE_IN", "phenoxyethanol, 1, RINSE", "sodium-benzoate, 2.95, RINSE",
    "sodium-benzoate, 0.59, LEAVE_IN", "potassium-sorbate, 0.8, LEAVE_IN",
        "clove-essential, 0.5, MASK"
  })
  void whatIsTypedAsTheLimitIsAllowed(String material, double percent, String purposes) {
    Formula formula = dosed(material, percent, purposes);
    for (double scale : new double[] {0.3, 1, 2.7}) {
      assertThat(codes(check(formula, scale))).doesNotContain(Code.OVER_LIMIT);
    }
    assertThat(codes(check(dosed(material, percent * 1.02, purposes), 1)))
        .contains(Code.OVER_LIMIT);
  }

  private static Formula dosed(String material, double percent, String purposes) {
    Set<Purpose> all =
        purposes.isEmpty()
            ? Set.of()
            : Stream.of(purposes.split("[+]")).map(Purpose::valueOf).collect(Collectors.toSet());
    return new Formula(
        "f",
        "f",
        Method.BLEND,
        all,
        "",
        List.of(WATER, Ingredient.parts("sage", 12), percent(material, percent)),
        List.of(
            pour("water", "sage"),
            STEEP,
            CLOTH,
            new Step.Cool(35, Step.CoolingWay.COUNTER, true, Guide.NONE),
            stir(material)));
  }

  @Test
  void childrenHaveLimitsOfTheirOwn() {
    Formula scented =
        of(
            List.of(WATER, Ingredient.parts("sage", 12), drops("peppermint-essential", 14)),
            Purpose.LEAVE_IN,
            pour("water", "sage"),
            STEEP,
            CLOTH,
            new Step.Cool(35, Step.CoolingWay.COUNTER, true, Guide.NONE),
            stir("peppermint-essential"),
            SPRAY);
    Brew brew = Kitchens.brew(scented);
    Prediction p = brew.predict(1, Facts.NONE);
    assertThat(codes(SelfCheck.of(brew, p, Wearer.ADULT))).doesNotContain(Code.OVER_LIMIT);
    // Half the adult limit for a child over 6; no peppermint below 6; nothing below 3.
    assertThat(codes(SelfCheck.of(brew, p, Wearer.CHILD_OVER_6)))
        .contains(Code.OVER_LIMIT)
        .doesNotContain(Code.NOT_FOR_THIS_PERSON);
    assertThat(codes(SelfCheck.of(brew, p, Wearer.CHILD_3_TO_6)))
        .contains(Code.OVER_LIMIT, Code.NOT_FOR_THIS_PERSON);
    assertThat(codes(SelfCheck.of(brew, p, Wearer.UNDER_3))).contains(Code.NOT_FOR_THIS_PERSON);
  }

  private static List<Code> codes(List<Finding> findings) {
    return findings.stream()
        .filter(f -> f.severity() == Severity.ERROR)
        .map(Finding::code)
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "1 tbsp, rosemary-essential, INFUSED_OR_ESSENTIAL, ERROR",
    "10 drops, rosemary-oil-infused, INFUSED_OR_ESSENTIAL, WARNING",
    "10 drops, sage, DROPS_OF_SOLID, ERROR",
    "2 scoops, amla-powder, WHICH_SCOOP, NOTE"
  })
  void asksBackAtATypedSlip(String typed, String material, Code code, Severity severity) {
    var amount = AmountReader.of(MeasureSystem.METRIC, CountMeasures.usual()).read(typed);
    assertThat(AmountSlips.of(amount, Materials.standard().get(material)))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo(code);
              assertThat(f.severity()).isEqualTo(severity);
            });
    var grams = AmountReader.of(MeasureSystem.METRIC, CountMeasures.usual()).read("0.3 g");
    assertThat(AmountSlips.of(grams, Materials.standard().get(material))).isEmpty();
  }

  @Test
  void noBuiltInFormulaHasAnError() {
    for (Formula formula : BuiltInFormulas.all()) {
      Brew brew = Kitchens.brew(formula);
      for (double ml : new double[] {150, 500}) {
        Solution.Reached reached = Kitchens.reached(brew, ml);
        List<Brew> parts = brew.ways().isEmpty() ? List.of(brew) : brew.ways();
        for (Brew part : parts) {
          Prediction p = part.predict(reached.scale(), reached.vessels(), Facts.NONE);
          assertThat(SelfCheck.of(part, p))
              .as(formula.id() + " " + ml)
              .noneMatch(f -> f.severity() != Severity.NOTE);
        }
      }
    }
  }

  @Test
  void aWorkingPreservativeChangesTheClass() {
    List<Step> steps =
        new ArrayList<>(
            List.of(
                pour("water", "sage"),
                STEEP,
                CLOTH,
                new Step.Cool(35, Step.CoolingWay.COUNTER, true, Guide.NONE),
                stir("phenoxyethanol")));
    Formula preserved =
        new Formula(
            "p",
            "p",
            Method.BLEND,
            Set.of(Purpose.LEAVE_IN),
            "",
            List.of(WATER, Ingredient.parts("sage", 12), percent("phenoxyethanol", 0.8)),
            steps);
    Brew brew = Kitchens.brew(preserved);
    Prediction p = brew.predict(1, Facts.NONE);
    assertThat(Classifier.classify(p.contents(), School.CAREFUL).keepingClass())
        .isEqualTo(KeepingClass.PRESERVED);
    // Common practice: a dose is a share of the finished mass.
    assertThat(100 * p.amounts().get("phenoxyethanol") / p.finished().grams())
        .isCloseTo(0.8, org.assertj.core.api.Assertions.within(0.01));
  }

  @Test
  void strongVinegarIsNotSaidToKeepNothing() {
    Step macerate = new Step.Macerate(2, Window.hours(168, 336, 672), Guide.NONE);
    Formula vinegar =
        of(
            List.of(Ingredient.parts("apple-vinegar", 500), Ingredient.parts("rosemary", 25)),
            Purpose.RINSE,
            cold("apple-vinegar", "rosemary"),
            macerate,
            CLOTH);
    assertThat(check(vinegar, 1)).extracting(Finding::code).doesNotContain(Code.NOT_A_PRESERVATIVE);
    Formula splash =
        of(
            List.of(WATER, Ingredient.parts("apple-vinegar", 20), Ingredient.parts("sage", 10)),
            Purpose.RINSE,
            pour("water", "apple-vinegar", "sage"),
            STEEP,
            CLOTH);
    assertThat(check(splash, 1)).extracting(Finding::code).contains(Code.NOT_A_PRESERVATIVE);
  }
}
