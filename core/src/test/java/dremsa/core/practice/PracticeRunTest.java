package dremsa.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.PotNow;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.Tending;
import dremsa.core.brew.Trouble;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.measure.MeasureSystem;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PracticeRunTest {
  private static Hand at(String exercise, String step) {
    return new Hand(Exercises.find(exercise).orElseThrow()).upTo(step);
  }

  private static Kitchen kitchen() {
    return Kitchen.usual(MeasureSystem.METRIC);
  }

  @Test
  void theSameActsGiveTheSamePot() {
    Hand hand = at("too-soon", "boil").heat(Hand.MOVING).stirs(3);
    assertThat(hand.pot()).isEqualTo(hand.pot());
  }

  /** A litre from 21 °C takes m·c·dT over the hob's power, and a little for what is lost. */
  @Test
  void aTendedPotComesToTheBoilAsOneLeftToItsStep() {
    Hand hand = at("looks-like-water", "heat").heat(Hand.FULL).until(PotNow::boils, true);
    Prediction usual = Debrief.of(at("looks-like-water", "combine").rest().run()).good();
    assertThat(hand.run().stepMinutes()).isCloseTo(usual.steps().get(1).minutes(), within(0.5));
    double joules = (0.9 * 1000 * 4.186 + 27 * 1.7) * 79;
    assertThat(hand.run().stepMinutes()).isBetween(joules / 1300 / 60, joules / 1300 / 60 * 1.2);
  }

  /** At the boil every 2.26 kJ of the hob's that nothing else takes make a gram of steam. */
  @Test
  void fullHeatSteamsOffWhatTheHobGives() {
    Hand hand = at("under-the-lid", "boil").lid(false).heat(Hand.FULL).waits(2);
    double before = hand.pot().millilitres();
    double steam = hand.pot().steam();
    hand.waits(3);
    double gone = before - hand.pot().millilitres();
    assertThat(gone).isCloseTo(3 * steam, within(2.0));
    assertThat(steam).isBetween(0.85 * 1300 / 2257 * 60, 1300 / 2257.0 * 60);
  }

  /** A rather full pot of gel at the boil, and nobody at the door. */
  private static Hand gelAtTheBoil() {
    return new Hand(Exercises.find("thirsty-seed").orElseThrow())
        .does(Act.Kind.WEIGH, "water", 900)
        .upTo("boil");
  }

  @Test
  void frothRisesWithHeatAndFallsWhenItIsStirredOrTurnedDown() {
    Hand hand = gelAtTheBoil().heat(Hand.MOVING).stirs(4);
    double moving = hand.waits(0.5).pot().froth();
    double full = hand.heat(Hand.FULL).waits(0.5).pot().froth();
    double stirred = hand.does(Act.Kind.STIR, "", 0).waits(0.2).pot().froth();
    double off = hand.heat(0).waits(0.3).pot().froth();
    assertThat(full).isGreaterThan(1).isGreaterThan(2 * moving);
    assertThat(stirred).isLessThan(full);
    assertThat(off).isLessThan(0.1);
    assertThat(hand.pot().spilt()).isPositive();
  }

  @Test
  void whatIsNotStirredCatchesAndWhatIsStirredDoesNot() {
    Hand left = gelAtTheBoil().heat(Hand.FULL).waits(1.9);
    Hand stirred = gelAtTheBoil().heat(Hand.MOVING).stirs(10);
    assertThat(stirred.pot().caught()).isZero();
    assertThat(left.pot().caught()).isBetween(0.1, 0.9);
    assertThat(left.waits(1).pot().burnt()).isTrue();
    assertThat(Looks.of(left.pot())).contains("It smells burnt.");
  }

  @Test
  void whatRanOverIsMissingFromTheBottleAndTold() {
    Formula gel = BuiltInFormulas.find("linseed-gel").orElseThrow();
    Brew brew = Brew.of(gel, kitchen(), Materials.standard());
    StepFacts wild =
        StepFacts.lasting(10)
            .withTending(new Tending(List.of(new Tending.Turn(0, 1, false)), List.of()));
    Prediction prediction = brew.predict(0.9, Facts.NONE.with(1, wild));
    assertThat(prediction.troubles()).hasAtLeastOneElementOfType(Trouble.BoiledOver.class);
    assertThat(prediction.troubles()).hasAtLeastOneElementOfType(Trouble.Burnt.class);
    var account = prediction.account();
    assertThat(account.unaccounted()).isPositive();
    assertThat(account.in())
        .isCloseTo(
            account.bottled()
                + account.held()
                + account.cloth()
                + account.steam()
                + account.apart()
                + account.unaccounted(),
            within(1e-6));
  }

  @Test
  void aHobThatWasNotTurnedOnGivesNothing() {
    Hand hand = at("too-soon", "heat").waits(30);
    // An open pot is a little cooler than the room: what evaporates takes its heat.
    assertThat(hand.pot().celsius()).isBetween(17.0, 21.1);
  }

  @Test
  void aPotLeftOnFullHeatRunsDryAndSaysSo() {
    Hand hand = at("under-the-lid", "boil").lid(false).heat(Hand.FULL).waits(60);
    assertThat(hand.pot().millilitres()).isLessThan(1);
    assertThat(hand.next().rest().debrief().yours().troubles())
        .hasAtLeastOneElementOfType(Trouble.BoilsDry.class);
  }

  @Test
  void whatCannotBeDoneNowSaysWhy() {
    Hand hand = at("through-paper", "combine");
    assertThat(hand.run().refuses(hand.act(Act.Kind.HEAT, "", 1)))
        .hasValue("There is no pot on the hob at this step.");
    assertThat(hand.run().refuses(hand.act(Act.Kind.WEIGH, "water", -5))).isPresent();
    assertThat(hand.run().refuses(hand.act(Act.Kind.WEIGH, "water", 1e6))).isPresent();
    assertThat(hand.run().refuses(hand.act(Act.Kind.WEIGH, "linseed", 5))).isPresent();
    assertThat(hand.run().refuses(hand.act(Act.Kind.CHOOSE, "paper", 0))).isPresent();
    assertThat(hand.run().refuses(hand.act(Act.Kind.POUR, "", 0))).isPresent();
    hand.upTo("strain").well();
    assertThat(hand.run().refuses(hand.act(Act.Kind.NEXT, "", 0)))
        .hasValue("Choose first how you do it.");
    hand.rest();
    assertThat(hand.run().refuses(hand.act(Act.Kind.STIR, "", 0)))
        .hasValue("This practice is over.");
    assertThatThrownBy(() -> new Act(Double.NaN, Act.Kind.STIR, "", 0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void whoeverIsCalledAwayHasTimeToTurnItDownAndThenNoHands() {
    Hand hand = at("to-the-bottom", "boil").heat(Hand.MOVING).waits(2.1);
    PracticeRun.Calling rings = hand.run().calling().orElseThrow();
    assertThat(rings.away()).isFalse();
    assertThat(rings.minutes()).isCloseTo(0.4, within(0.01));
    hand.heat(0).waits(0.5);
    assertThat(hand.run().calling().orElseThrow().away()).isTrue();
    assertThat(hand.run().refuses(hand.act(Act.Kind.STIR, "", 0)).orElseThrow())
        .startsWith("You are away for another");
    assertThat(hand.waits(3).run().calling()).isEmpty();
  }

  @Test
  void waterPouredInCoolsAndThins() {
    Hand hand = at("too-soon", "boil").heat(Hand.MOVING).stirs(4);
    PotNow before = hand.pot();
    PotNow after = hand.does(Act.Kind.POUR, "", 200).pot();
    assertThat(after.millilitres()).isCloseTo(before.millilitres() + 200, within(2.0));
    assertThat(after.celsius()).isLessThan(before.celsius() - 20);
    assertThat(after.thicknessCold()).isLessThan(before.thicknessCold());
  }

  @Test
  void whatWasMeasuredStaysAsItWasRead() {
    Hand hand = at("too-soon", "cool").does(Act.Kind.MEASURE, "", 0).waits(12);
    PracticeRun.Measured measured = hand.run().measured().orElseThrow();
    assertThat(measured.minutesAgo()).isCloseTo(12, within(1e-9));
    assertThat(measured.celsius()).isGreaterThan(hand.pot().celsius() + 5);
  }

  @Test
  void whatGoesInIsAsTheCardSaysUntilItIsWeighedOtherwise() {
    Hand hand = at("thirsty-seed", "combine");
    assertThat(hand.run().putsNow()).containsEntry("water", 450.0);
    hand.does(Act.Kind.WEIGH, "water", 880);
    assertThat(hand.run().putsNow()).containsEntry("water", 880.0);
    assertThat(hand.run().putsNow().get("linseed")).isCloseTo(76.5, within(0.1));
  }

  @Test
  void anyFormulaThatIsMadeOfMaterialsCanBePractisedFreely() {
    for (Formula formula : BuiltInFormulas.all()) {
      Exercise free;
      try {
        free = Exercises.free(formula, kitchen(), Materials.standard());
      } catch (UnknownMaterialException madeOfBrews) {
        continue;
      }
      PracticeRun run = PracticeRun.of(free, Materials.standard(), List.of(), 0);
      assertThat(run.brew().predict(free.scale(), Facts.NONE).finished().millilitres())
          .as(formula.id())
          .isGreaterThanOrEqualTo(free.aims().get(0).low());
      assertThat(Looks.of(run.pot())).isNotEmpty();
    }
  }

  @Test
  void aDebriefComesOnlyWhenItIsOver() {
    assertThatThrownBy(() -> at("too-soon", "boil").debrief())
        .isInstanceOf(IllegalStateException.class);
    assertThat(Exercises.find("too-soon").orElseThrow().brew(Materials.standard(), Map.of()))
        .isNotNull();
  }
}
