package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Step.Level;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Figures;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.MeasureSystem;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Only what can matter to a brew is moved, and all of that. */
class MovesTest {
  private static final Window TIME = Window.minutes(5, 10, 20);

  private static final Set<Parameter> ALWAYS =
      EnumSet.of(
          Parameter.HEAT_LOSS,
          Parameter.WATER_HEAT,
          Parameter.EVAPORATION,
          Parameter.AIR_HUMIDITY,
          Parameter.COVER);

  private static Formula formula(List<String> materials, Step... steps) {
    return new Formula(
        "f",
        "f",
        Method.BLEND,
        Set.of(Purpose.SCALP),
        "",
        materials.stream().map(m -> Ingredient.parts(m, 100)).toList(),
        List.of(steps));
  }

  private static Set<String> moved(Kitchen kitchen, Formula formula) {
    return Moves.of(Kitchens.in(kitchen, formula), 1, Facts.NONE).stream()
        .map(Moves.Move::what)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static Set<Parameter> parameters(Formula formula) {
    Set<String> all = moved(Kitchens.METRIC, formula);
    return Arrays.stream(Parameter.values())
        .filter(p -> all.contains(p.words()))
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Parameter.class)));
  }

  private static Step put(LiquidHeat heat) {
    return new Step.Combine(VesselKind.POT, List.of("water"), heat, Guide.NONE);
  }

  private static Step boil(Level level, boolean lid) {
    return new Step.Boil(level, lid, false, TIME, Guide.NONE);
  }

  private static Step strain(StrainTool tool, boolean squeeze) {
    return new Step.Strain(tool, squeeze, Guide.NONE);
  }

  static Stream<Arguments> steps() {
    return Stream.of(
        Arguments.of(put(LiquidHeat.ROOM), Set.of()),
        Arguments.of(put(LiquidHeat.JUST_BOILED), Set.of(Parameter.POURED_WATER)),
        Arguments.of(boil(Level.ROLLING, false), Set.of(Parameter.ROLLING_BOIL)),
        Arguments.of(boil(Level.GENTLE, false), Set.of(Parameter.GENTLE_BOIL)),
        Arguments.of(boil(Level.SIMMER, true), Set.of(Parameter.SIMMER, Parameter.LID)),
        Arguments.of(
            new Step.WaterBath(TIME, Guide.NONE),
            Set.of(Parameter.BATH_TEMPERATURE, Parameter.BATH_LAG)),
        Arguments.of(
            new Step.Ferment(TIME, Guide.NONE),
            Set.of(Parameter.FERMENT_TIME, Parameter.FERMENT_END)),
        Arguments.of(
            new Step.Cool(35, CoolingWay.ICE_BATH, true, Guide.NONE),
            Set.of(Parameter.ICE_BATH_LOSS)),
        Arguments.of(new Step.Cool(35, CoolingWay.COUNTER, true, Guide.NONE), Set.of()),
        Arguments.of(strain(StrainTool.SIEVE, false), Set.of()),
        Arguments.of(strain(StrainTool.CLOTH, false), Set.of(Parameter.CLOTH_KEEPS)),
        Arguments.of(
            strain(StrainTool.CLOTH, true), Set.of(Parameter.CLOTH_KEEPS, Parameter.SQUEEZE)),
        Arguments.of(new Step.Soak(Place.ROOM, TIME, Guide.NONE), Set.of()));
  }

  @ParameterizedTest
  @MethodSource("steps")
  void aStepMovesWhatItDependsOn(Step step, Set<Parameter> its) {
    Set<Parameter> expected = EnumSet.copyOf(ALWAYS);
    expected.addAll(its);
    assertThat(parameters(formula(List.of("water"), step))).isEqualTo(expected);
  }

  static Stream<Arguments> materials() {
    return Stream.of(
        Arguments.of("olive-oil", Set.of(Parameter.OIL_HEAT, Parameter.OIL_SOLVENT)),
        Arguments.of("spirit-40", Set.of(Parameter.SPIRIT_SOLVENT)),
        Arguments.of(
            "sage", Set.of(Parameter.PLANT_HEAT, Parameter.FAST_RATE, Parameter.EXTRACTION_ENERGY)),
        Arguments.of(
            "mint-fresh",
            Set.of(
                Parameter.PLANT_HEAT,
                Parameter.FAST_RATE,
                Parameter.EXTRACTION_ENERGY,
                Parameter.PLANT_EXCHANGE)),
        Arguments.of(
            "linseed",
            Set.of(
                Parameter.PLANT_HEAT,
                Parameter.FAST_RATE,
                Parameter.EXTRACTION_ENERGY,
                Parameter.GUM_TIME,
                Parameter.GUM_EXPONENT,
                Parameter.GUM_ENERGY)));
  }

  @ParameterizedTest
  @MethodSource("materials")
  void aMaterialMovesWhatItDependsOn(String material, Set<Parameter> its) {
    Set<Parameter> expected = EnumSet.copyOf(ALWAYS);
    expected.addAll(its);
    Step in = new Step.Combine(VesselKind.POT, List.of(material), LiquidHeat.ROOM, Guide.NONE);
    assertThat(parameters(formula(List.of(material), in))).isEqualTo(expected);
  }

  private static Set<String> of(Set<String> moved, String start) {
    return moved.stream()
        .filter(what -> what.startsWith(start))
        .collect(Collectors.toCollection(TreeSet::new));
  }

  @Test
  void whatAPlantHoldsBackMattersOnlyWhereItIsStrained() {
    Step in = new Step.Combine(VesselKind.POT, List.of("linseed"), LiquidHeat.ROOM, Guide.NONE);
    Set<String> unstrained = moved(Kitchens.METRIC, formula(List.of("linseed"), in));
    Set<String> drained =
        moved(Kitchens.METRIC, formula(List.of("linseed"), in, strain(StrainTool.SIEVE, false)));
    Set<String> wrung =
        moved(Kitchens.METRIC, formula(List.of("linseed"), in, strain(StrainTool.CLOTH, true)));
    assertThat(of(unstrained, "Linseed")).noneMatch(what -> what.contains("hold"));
    Set<String> more = new TreeSet<>(of(drained, "Linseed"));
    more.removeAll(of(unstrained, "Linseed"));
    assertThat(more).as("drained: hot and cold").hasSize(2);
    Set<String> squeezed = new TreeSet<>(of(wrung, "Linseed"));
    squeezed.removeAll(of(unstrained, "Linseed"));
    assertThat(squeezed).as("wrung: one figure of its own").hasSize(1);
    assertThat(more).doesNotContainAnyElementsOf(squeezed);
  }

  @Test
  void hobAndHeightMatterOnlyWhereSomethingIsHot() {
    Set<String> cold = moved(Kitchens.METRIC, formula(List.of("water"), put(LiquidHeat.ROOM)));
    Set<String> poured =
        moved(Kitchens.METRIC, formula(List.of("water"), put(LiquidHeat.JUST_BOILED)));
    Set<String> heated =
        moved(
            Kitchens.METRIC,
            formula(
                List.of("water"), put(LiquidHeat.ROOM), new Step.Heat(true, false, Guide.NONE)));
    assertThat(of(cold, "Power of")).isEmpty();
    assertThat(of(poured, "Power of")).isEmpty();
    assertThat(of(heated, "Power of")).hasSize(1);
    assertThat(of(cold, "Height")).isEmpty();
    assertThat(of(poured, "Height")).hasSize(1);
    assertThat(of(heated, "Height")).hasSize(1);
    assertThat(of(cold, "Alkalinity")).hasSize(1);
    assertThat(of(cold, "Warmth of the room")).hasSize(1);
    Step oil = new Step.Combine(VesselKind.POT, List.of("olive-oil"), LiquidHeat.ROOM, Guide.NONE);
    assertThat(of(moved(Kitchens.METRIC, formula(List.of("olive-oil"), oil)), "Alkalinity"))
        .as("no water, no hardness")
        .isEmpty();
  }

  @Test
  void aSpoonWeighsWhatItHappensToWeighWhereThereIsNoScale() {
    Formula formula =
        formula(
            List.of("water", "sage"),
            new Step.Combine(
                VesselKind.POT, List.of("water", "sage"), LiquidHeat.ROOM, Guide.NONE));
    Kitchen without = Figures.withoutScale(Kitchens.METRIC);
    assertThat(of(moved(Kitchens.METRIC, formula), "Sage leaf, dried: what")).isEmpty();
    List<Moves.Move> spoons =
        Moves.of(Kitchens.in(without, formula), 1, Facts.NONE).stream()
            .filter(move -> move.what().endsWith("what a spoon of it weighs"))
            .toList();
    assertThat(spoons).as("of plants alone").hasSize(1);
    Moves.Move move = spoons.get(0);
    Brew brew = Kitchens.in(without, formula);
    double heavy = move.figure().high();
    Prediction spooned = move.at(heavy, 1, brew.vesselsFor(1));
    assertThat(spooned.amounts().get("sage"))
        .isCloseTo(100 * heavy / move.figure().value(), within(1e-9))
        .isGreaterThan(100);
    assertThat(spooned.amounts().get("water")).isEqualTo(100);
  }

  /** Both unit systems move the same figures. */
  @Test
  void theMeasuresThatAHouseholdThinksInDoNotMatter() {
    Formula formula = formula(List.of("water"), put(LiquidHeat.JUST_BOILED));
    assertThat(moved(Kitchen.usual(MeasureSystem.US), formula))
        .isEqualTo(moved(Kitchens.METRIC, formula));
  }
}
