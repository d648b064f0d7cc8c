package dremsa.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.brew.PotNow;
import dremsa.core.brew.Tending;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.practice.Aim.What;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What an eye sees of a pot, and what is asked of it. */
class LooksTest {
  private static final Vessel POT = new Vessel("p", "Small pot", VesselKind.POT, 18, 2200, true);

  private static PotNow pot(
      boolean boils, double steam, double froth, double caught, double spilt, double thickness) {
    return new PotNow(
        10,
        Optional.of(POT),
        boils ? 100 : 60,
        800,
        0,
        boils,
        steam,
        froth,
        caught,
        spilt,
        thickness,
        9 * thickness,
        0.5,
        7);
  }

  @Test
  void beforeAnythingStandsThereNothingIsSeen() {
    PotNow none = new PotNow(0, Optional.empty(), 21, 0, 0, false, 0, 0, 0, 0, 0, 0, 0, Double.NaN);
    assertThat(Looks.of(none)).containsExactly("Nothing stands there yet.");
  }

  @Test
  void steamIsToldByHowMuchLeaves() {
    assertThat(Looks.of(pot(false, 0.5, 0, 0, 0, 1))).contains("No steam to speak of.");
    assertThat(Looks.of(pot(false, 3, 0, 0, 0, 1))).contains("A little steam.");
    assertThat(Looks.of(pot(true, 10, 0.05, 0, 0, 1))).contains("It steams.");
    assertThat(Looks.of(pot(true, 30, 0.05, 0, 0, 1))).contains("It steams hard.");
  }

  @Test
  void frothIsToldByHowNearTheRimItStands() {
    assertThat(Looks.of(pot(false, 2, 0, 0, 0, 1))).contains("The surface is still.");
    assertThat(Looks.of(pot(true, 10, 0.05, 0, 0, 1))).contains("Bubbles, hardly any froth.");
    assertThat(Looks.of(pot(true, 10, 0.4, 0, 0, 1))).contains("White froth on top.");
    assertThat(Looks.of(pot(true, 10, 0.9, 0, 0, 1))).contains("Froth is up to the rim.");
    assertThat(Looks.of(pot(true, 10, 1.2, 0, 0, 1))).contains("Froth runs over the rim!");
  }

  /** What runs like water in the pot may be a gel in the jar: only the warm one is seen. */
  @Test
  void theSpoonTellsOfTheWarmBrewAlone() {
    assertThat(Looks.of(pot(true, 10, 0.3, 0, 0, 20)))
        .contains("Off the spoon it runs like water.");
    assertThat(Looks.of(pot(false, 1, 0, 0, 0, 600)))
        .contains("Off the spoon it runs slowly, in strings.");
    assertThat(Looks.of(pot(false, 1, 0, 0, 0, 5000)))
        .contains("Off the spoon it runs hardly at all.");
    // No figure that an eye could not know.
    assertThat(String.join(" ", Looks.of(pot(true, 10, 0.3, 0, 0, 20)))).doesNotContain("°C");
  }

  @Test
  void whatCatchesIsSmeltBeforeItIsBurnt() {
    assertThat(Looks.of(pot(true, 10, 0.3, 0.2, 0, 20))).hasSize(3);
    assertThat(Looks.of(pot(true, 10, 0.3, 0.6, 0, 20)))
        .contains("Something catches on the bottom.");
    assertThat(Looks.of(pot(true, 10, 0.3, 1.4, 32, 20)))
        .contains("It smells burnt.", "About 32 mL ran over onto the hob.");
  }

  @Test
  void anAimSaysWhatIsWantedAndWhatItCameTo() {
    Aim thick = Aim.of(What.THICKNESS, 300, 900);
    assertThat(thick.wanted()).isEqualTo("300 mPa·s to 900 mPa·s");
    assertThat(thick.told(412.4)).isEqualTo("412 mPa·s");
    assertThat(Aim.least(What.KEEPS, 5.5).wanted()).isEqualTo("at least 5.5 days");
    assertThat(Aim.most(What.SPILT, 5).wanted()).isEqualTo("at most 5 mL");
    assertThat(Aim.most(What.DUST, 0).wanted()).isEqualTo("none");
    assertThat(Aim.most(What.DUST, 0).told(1)).isEqualTo("yes");
    assertThat(Aim.most(What.CAUGHT, 40).told(130)).isEqualTo("burnt");
    assertThat(thick.told(Double.NaN)).isEqualTo("not known");
  }

  @Test
  void howFarItIsOffIsNothingWithinAndEndlessWhereNotKnown() {
    Aim thick = Aim.of(What.THICKNESS, 300, 900);
    assertThat(thick.off(500)).isZero();
    assertThat(thick.off(250)).isCloseTo(50, within(1e-9));
    assertThat(thick.off(1000)).isCloseTo(100, within(1e-9));
    assertThat(thick.off(Double.NaN)).isInfinite();
    assertThat(thick.holds(Double.NaN)).isFalse();
    // Half a degree is not told apart.
    assertThat(Aim.coolerThan(3, 40).holds(40.4)).isTrue();
    assertThat(Aim.coolerThan(3, 40).holds(41)).isFalse();
  }

  @Test
  void aHobIsNotTurnedToWhatItDoesNotGive() {
    assertThatThrownBy(() -> new Tending.Turn(0, 1.2, false))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Tending.Turn(-1, 0.5, false))
        .isInstanceOf(IllegalArgumentException.class);
    Tending sorted =
        new Tending(
            List.of(new Tending.Turn(5, 1, false), new Tending.Turn(2, 0.4, true)),
            List.of(9.0, 3.0));
    assertThat(sorted.turns().get(0).minute()).isEqualTo(2);
    assertThat(sorted.stirs()).containsExactly(3.0, 9.0);
  }

  @Test
  void aGoodRunHasNothingWorthALine() {
    Exercise exercise = Exercises.find("hot-glass").orElseThrow();
    Debrief debrief = new Hand(exercise).rest().debrief();
    assertThat(debrief.allReached()).isTrue();
    assertThat(debrief.differences()).isEmpty();
    assertThat(debrief.yours().finished().millilitres())
        .isCloseTo(debrief.good().finished().millilitres(), within(1.0));
  }

  /** What a step cost is said with its sign: less, thinner, fewer days; or more of each. */
  @Test
  void whatADifferenceCostIsSaidInWords() {
    Debrief.Difference dear = new Debrief.Difference(2, "Boil.", 40, 200, 2.4, "burnt");
    assertThat(dear.cost())
        .isEqualTo("40 mL less, 200 mPa·s thinner, 2.4 days less in the fridge, burnt");
    Debrief.Difference gain = new Debrief.Difference(2, "Boil.", -40, -200, -2.4, "");
    assertThat(gain.cost()).isEqualTo("40 mL more, 200 mPa·s thicker, 2.4 days more in the fridge");
    assertThat(new Debrief.Difference(2, "Boil.", 1, Double.NaN, 0, "").cost()).isEmpty();
  }

  @Test
  void whatALongLostBoilCostComesFirst() {
    Hand hand =
        new Hand(Exercises.find("under-the-lid").orElseThrow())
            .upTo("boil")
            .lid(false)
            .heat(Hand.FULL)
            .waits(12)
            .next();
    Debrief debrief = hand.rest().debrief();
    Debrief.Difference first = debrief.differences().get(0);
    assertThat(first.step()).isEqualTo(2);
    assertThat(first.millilitres()).isGreaterThan(100);
    assertThat(first.words()).contains("mL went off, not");
    assertThat(first.cost()).contains("mL less");
  }
}
