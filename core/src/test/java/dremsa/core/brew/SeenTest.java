package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import org.junit.jupiter.api.Test;

/** What was seen and read while a pot stands on the hob counts from that moment on. */
class SeenTest {
  private static final Brew ROOT = Kitchens.builtIn("birch-sage-decoction");
  private static final double SCALE = Kitchens.half(ROOT).scale();
  private static final VesselChoice VESSELS = ROOT.vesselsFor(SCALE);
  private static final int HEAT = index(ROOT, StepKind.HEAT);

  private static int index(Brew brew, StepKind kind) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (brew.formula().steps().get(i).kind() == kind) {
        return i;
      }
    }
    throw new AssertionError(kind);
  }

  private static Prediction root(int step, StepFacts facts) {
    return ROOT.predict(SCALE, VESSELS, Facts.NONE.with(step, facts));
  }

  @Test
  void aBoilThatWasSeenIsTheBoilHoweverSoonItCame() {
    // Water from the kettle: it boils seconds after the pot was put on.
    StepFacts soon = StepFacts.lasting(0.3);
    assertThat(root(HEAT, soon).steps().get(HEAT).endC()).isLessThan(30);
    StepOutcome seen = root(HEAT, soon.asSeen()).steps().get(HEAT);
    assertThat(seen.endC()).isCloseTo(ROOT.boilingC(), within(1e-9));
    assertThat(root(HEAT, soon.asSeen()).troubles()).isEmpty();
  }

  @Test
  void aReadingOnTheHobMovesThePotAndWhatFollows() {
    StepOutcome planned = root(0, StepFacts.NONE).steps().get(HEAT);
    StepFacts read = StepFacts.NONE.withTemperature(1, 90);
    StepOutcome hotter = root(HEAT, read).steps().get(HEAT);
    assertThat(hotter.minutes()).isLessThan(planned.minutes());
    assertThat(hotter.endC()).isCloseTo(ROOT.boilingC(), within(0.6));
    StepOutcome colder = root(HEAT, StepFacts.NONE.withTemperature(3, 20)).steps().get(HEAT);
    assertThat(colder.minutes()).isCloseTo(planned.minutes() + 3, within(0.5));
  }

  @Test
  void aProbeInTheSteamOfABoilingPotDoesNotStopTheBoil() {
    int boil = index(ROOT, StepKind.BOIL);
    StepOutcome planned = root(0, StepFacts.NONE).steps().get(boil);
    StepOutcome near = root(boil, StepFacts.NONE.withTemperature(2, 98)).steps().get(boil);
    assertThat(near.minutes()).isCloseTo(planned.minutes(), within(1e-6));
    // Far below, it has to come to the boil again, and boils its whole time.
    StepOutcome off = root(boil, StepFacts.NONE.withTemperature(2, 70)).steps().get(boil);
    assertThat(off.minutes()).isGreaterThan(planned.minutes() + 1);
    assertThat(off.endC()).isCloseTo(ROOT.boilingC(), within(0.6));
  }

  @Test
  void whatStandsIsAsWarmAsItWasRead() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    double scale = Kitchens.half(gel).scale();
    int strain = index(gel, StepKind.STRAIN);
    Facts read = Facts.NONE.with(strain, StepFacts.lasting(6).withTemperature(2, 88));
    Prediction hot = gel.predict(scale, gel.vesselsFor(scale), read);
    Prediction planned = gel.predict(scale, gel.vesselsFor(scale), Facts.NONE);
    assertThat(hot.steps().get(strain).endC()).isBetween(75.0, 88.0);
    // Hot gel runs off more freely.
    assertThat(hot.account().held()).isGreaterThan(0);
    assertThat(planned.steps().get(strain).endC()).isLessThan(55);
  }

  @Test
  void coolEnoughSeenIsAsCoolAsWanted() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    int cool = index(gel, StepKind.COOL);
    double to = ((Step.Cool) gel.formula().steps().get(cool)).toC();
    Facts seen = Facts.NONE.with(cool, StepFacts.lasting(3).asSeen());
    double scale = Kitchens.half(gel).scale();
    assertThat(gel.predict(scale, seen).steps().get(cool).endC()).isCloseTo(to, within(1e-9));
    // What the model has cooler stays so.
    Facts long_ = Facts.NONE.with(cool, StepFacts.lasting(600).asSeen());
    assertThat(gel.predict(scale, long_).steps().get(cool).endC()).isLessThan(25);
  }

  @Test
  void eachStepSaysWhatGoesIn() {
    Prediction whole = root(0, StepFacts.NONE);
    double put =
        whole.steps().stream()
            .flatMap(step -> step.put().values().stream())
            .mapToDouble(grams -> grams)
            .sum();
    double amounts = whole.amounts().values().stream().mapToDouble(grams -> grams).sum();
    assertThat(put).isCloseTo(amounts, within(1e-9));
    assertThat(whole.steps().get(0).beforeMl()).isZero();
    assertThat(whole.steps().get(HEAT).beforeMl()).isGreaterThan(400);
  }

  @Test
  void whatIsDividedSlowlyCoolsMeanwhile() {
    Brew divided = Kitchens.builtIn("linseed-two-ways");
    double scale = Kitchens.half(divided).scale();
    Brew way = divided.ways().get(0);
    int divide = index(way, StepKind.DIVIDE);
    StepOutcome planned = way.predict(scale, Facts.NONE).steps().get(divide);
    StepOutcome slow =
        way.predict(scale, Facts.NONE.with(divide, StepFacts.lasting(60))).steps().get(divide);
    assertThat(planned.endC()).isGreaterThan(40);
    assertThat(slow.endC()).isLessThan(planned.endC() - 5);
  }
}
