package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What really happened takes the place of what was predicted, and moves what follows. */
class RecordTest {
  private static final Brew GEL = Kitchens.builtIn("linseed-gel");
  private static final double SCALE = Kitchens.half(GEL).scale();
  private static final VesselChoice VESSELS = GEL.vesselsFor(SCALE);

  private static Prediction gel(int step, StepFacts facts) {
    return GEL.predict(SCALE, VESSELS, Facts.NONE.with(step, facts));
  }

  private static int step(Brew brew, Class<? extends Step> kind) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (kind.isInstance(brew.formula().steps().get(i))) {
        return i;
      }
    }
    throw new AssertionError(kind);
  }

  private static void balances(Prediction p) {
    WaterAccount a = p.account();
    assertThat(a.bottled() + a.held() + a.cloth() + a.steam() + a.apart() + a.unaccounted())
        .isCloseTo(a.in(), within(a.in() * 1e-9));
  }

  @Test
  void waterPouredInComesBackThinnerAndInTheAccount() {
    Prediction planned = gel(0, StepFacts.NONE);
    int boil = step(GEL, Step.Boil.class);
    Prediction more = gel(boil, StepFacts.NONE.withWater(150, 20));
    balances(more);
    assertThat(more.account().in() - planned.account().in()).isCloseTo(150, within(0.5));
    assertThat(more.finished().millilitres()).isGreaterThan(planned.finished().millilitres() + 90);
    assertThat(more.finished().thickness()).isLessThan(planned.finished().thickness() * 0.85);
    // Mixing by heat: a colder pour cools more (energy balance).
    double cold = more.steps().get(boil).endC();
    double hot = gel(boil, StepFacts.NONE.withWater(150, 95)).steps().get(boil).endC();
    assertThat(cold).isLessThan(hot);
    assertThat(cold).isBetween(70.0, 95.0);
  }

  @Test
  void severalPouringsAverageTheirWarmth() {
    StepFacts facts = StepFacts.NONE.withWater(100, 20).withWater(300, 80);
    assertThat(facts.waterMl()).isEqualTo(400);
    assertThat(facts.waterC()).isCloseTo(65, within(1e-9));
    assertThatThrownBy(() -> StepFacts.NONE.withWater(-1, 20))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void weighedSeedMakesItThicker() {
    int combine = step(GEL, Step.Combine.class);
    String seed = GEL.formula().ingredients().get(1).key();
    double planned = GEL.partsOf(seed) * SCALE;
    Prediction more = gel(combine, StepFacts.NONE.withWeighed(seed, planned * 1.3));
    assertThat(more.amounts().get(seed)).isCloseTo(planned * 1.3, within(1e-9));
    assertThat(more.finished().thickness())
        .isGreaterThan(gel(0, StepFacts.NONE).finished().thickness() * 1.3);
  }

  @Test
  void aWeighedPotTellsHowMuchSteamLeft() {
    int boil = step(GEL, Step.Boil.class);
    Prediction planned = gel(0, StepFacts.NONE);
    double contents = 0;
    for (double grams : planned.amounts().values()) {
      contents += grams;
    }
    Prediction weighed = gel(boil, StepFacts.NONE.with(Reading.WEIGHT, contents - 120));
    balances(weighed);
    // What left until then, and while it cools at most what its heat can evaporate (energy
    // balance).
    double cooling = contents * 4.19 * (100 - weighed.steps().get(boil + 2).endC()) / 2256;
    assertThat(weighed.account().steam()).isBetween(120.0, 120 + cooling);
  }

  @Test
  void aWeighedStrainingIsTheYield() {
    int strain = step(GEL, Step.Strain.class);
    Prediction weighed = gel(strain, StepFacts.NONE.with(Reading.WEIGHT, 333));
    balances(weighed);
    assertThat(weighed.finished().grams()).isCloseTo(333, within(4.0));
    assertThat(weighed.account().unaccounted()).isNotZero();
  }

  @Test
  void whatBoiledBeforeAnybodySaidSoBoiledOn() {
    int heat = step(GEL, Step.Heat.class);
    double toTheBoil = gel(heat, StepFacts.NONE).steps().get(heat).minutes();
    Prediction late = gel(heat, StepFacts.lasting(toTheBoil + 6));
    assertThat(late.steps().get(heat).minutes()).isCloseTo(toTheBoil + 6, within(1e-6));
    balances(late);
    double more = late.account().steam() - gel(heat, StepFacts.NONE).account().steam();
    // At most what the hob's whole heat evaporates in six minutes (energy balance).
    double watts =
        GEL.kitchen().strongestHob().orElseThrow().watts(dremsa.core.kitchen.Hob.Setting.HIGH);
    assertThat(more).isBetween(20.0, watts * 360 / 2256);
    Prediction early = gel(heat, StepFacts.lasting(toTheBoil / 2));
    assertThat(early.steps().get(heat).endC()).isLessThan(90);
  }

  @Test
  void aSkippedStepTakesNoTimeAndDoesNothing() {
    int boil = step(GEL, Step.Boil.class);
    Prediction left = gel(boil, StepFacts.NONE.left());
    assertThat(left.steps().get(boil).minutes()).isZero();
    assertThat(left.heat().boiledMinutes()).isZero();
    assertThat(left.steps()).hasSize(GEL.formula().steps().size());
    Prediction unstrained = gel(step(GEL, Step.Strain.class), StepFacts.NONE.left());
    assertThat(unstrained.account().held()).isZero();
    assertThat(unstrained.finished().solidsShare()).isPositive();
  }

  @Test
  void whatPutsTogetherOrBottlesCannotBeLeftOut() {
    for (Step step : GEL.formula().steps()) {
      boolean must = step instanceof Step.Combine || step instanceof Step.Bottle;
      assertThat(step.skippable()).isEqualTo(!must);
    }
  }

  private static final Brew FERMENT = Kitchens.builtIn("barley-ferment");

  private static Prediction ferment(StepFacts facts) {
    return FERMENT.predict(1, Facts.NONE.with(step(FERMENT, Step.Ferment.class), facts));
  }

  @Test
  void warmerDaysSourFasterThanTheyWerePlanned() {
    double planned = ferment(StepFacts.NONE).contents().ph().value();
    double warm =
        ferment(StepFacts.NONE.withTemperature(60, 28).withTemperature(600, 28))
            .contents()
            .ph()
            .value();
    double cool = ferment(StepFacts.NONE.withTemperature(60, 16)).contents().ph().value();
    assertThat(warm).isLessThan(planned);
    assertThat(cool).isGreaterThan(planned);
  }

  @Test
  void aReadAcidityReplacesTheEstimate() {
    assertThat(ferment(StepFacts.NONE.with(Reading.PH, 3.7)).contents().ph().value())
        .isCloseTo(3.7, within(0.15));
    assertThat(ferment(StepFacts.NONE.with(Reading.PH, 5.2)).contents().ph().value())
        .isCloseTo(5.2, within(0.15));
  }

  @ParameterizedTest
  @CsvSource({
    "100, 0:20;100:20, 20",
    "100, 50:30, 30",
    "100, 0:10;100:30, 20",
    "90, 0:10;30:40, 35"
  })
  void theMeanOfReadingsCountsEachHalfWayToTheNext(double minutes, String read, double expected) {
    StepFacts facts = StepFacts.NONE;
    for (String pair : read.split(";")) {
      String[] of = pair.split(":");
      facts = facts.withTemperature(Double.parseDouble(of[0]), Double.parseDouble(of[1]));
    }
    assertThat(Hearth.mean(facts.temperatures(), minutes, c -> c))
        .isCloseTo(expected, within(1e-9));
  }

  @Test
  void factsMoveAlongWhenAStepIsPutIn() {
    Facts facts =
        Facts.NONE.with(1, StepFacts.lasting(10)).with(4, StepFacts.lasting(40)).shiftedFrom(2);
    assertThat(facts.of(1).minutes()).hasValue(10);
    assertThat(facts.of(4)).isEqualTo(StepFacts.NONE);
    assertThat(facts.of(5).minutes()).hasValue(40);
    assertThat(facts.before(5).steps()).containsOnlyKeys(1);
  }

  private static List<Prompt> prompts(Brew brew, Class<? extends Step> kind) {
    int index = step(brew, kind);
    Prediction p = brew.predict(1, Facts.NONE);
    return Prompts.of(brew, p.steps().get(index), 0);
  }

  @Test
  void aStepCallsForWhatItsCraftCallsFor() {
    // Common practice: stir a seed gel from the start, warm the glass, shake a maceration.
    assertThat(prompts(GEL, Step.Heat.class)).extracting(Prompt::kind).contains(Prompt.Kind.STIR);
    Brew infusion = Kitchens.builtIn("lemon-balm-spray");
    assertThat(prompts(infusion, Step.Combine.class))
        .extracting(Prompt::kind)
        .contains(Prompt.Kind.FIRST);
    Brew tincture =
        Kitchens.brew(
            dremsa.core.formula.BuiltInFormulas.all().stream()
                .filter(f -> f.steps().stream().anyMatch(Step.Macerate.class::isInstance))
                .findFirst()
                .orElseThrow());
    assertThat(prompts(tincture, Step.Macerate.class))
        .filteredOn(p -> p.kind() == Prompt.Kind.SHAKE)
        .hasSizeGreaterThanOrEqualTo(6);
    assertThat(prompts(FERMENT, Step.Ferment.class))
        .extracting(Prompt::kind)
        .contains(Prompt.Kind.NOW, Prompt.Kind.LATE);
  }

  @Test
  void theEndIsCalledAtTheWindowsUsualAndItsLongestAndMovesWhenExtended() {
    int boil = step(GEL, Step.Boil.class);
    Window window = GEL.formula().steps().get(boil).window().orElseThrow();
    StepOutcome outcome = GEL.predict(1, Facts.NONE).steps().get(boil);
    for (double extended : new double[] {0, 4}) {
      List<Prompt> prompts = Prompts.of(GEL, outcome, extended);
      assertThat(prompts)
          .filteredOn(p -> p.kind() == Prompt.Kind.NOW)
          .extracting(Prompt::minute)
          .containsExactly(window.usual() + extended);
      assertThat(prompts)
          .filteredOn(p -> p.kind() == Prompt.Kind.LATE)
          .extracting(Prompt::minute)
          .containsExactly(window.longest() + extended);
      assertThat(prompts).isSortedAccordingTo((a, b) -> Double.compare(a.minute(), b.minute()));
    }
  }
}
