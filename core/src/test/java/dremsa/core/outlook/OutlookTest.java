package dremsa.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges.Range;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.keep.Assumption;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.Kept;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.CountMeasures;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every figure has a range that can be, and the last day names what it hangs on. */
class OutlookTest {
  private static final Instant START = Instant.parse("2026-11-24T09:00:00Z");
  private static final Keeping COLD = Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL);

  private static Outlook outlook(Brew brew, double scale, Facts facts) {
    VesselChoice vessels = brew.vesselsFor(scale);
    return Outlook.of(brew, scale, vessels, facts, brew.predict(scale, vessels, facts), COLD);
  }

  static Stream<Formula> builtIns() {
    return BuiltInFormulas.all().stream().filter(f -> f.branches().isEmpty());
  }

  @ParameterizedTest
  @MethodSource("builtIns")
  void bothEndsAreWhatCanBeAtEverySize(Formula formula) {
    Brew brew = Kitchens.large(formula);
    for (double scale : new double[] {0.02, 0.1, 0.5, 2}) {
      Outlook outlook = outlook(brew, scale, Facts.NONE);
      assertThat(outlook.ranges())
          .containsKeys(Outlook.BOTTLED, Outlook.HELD, Outlook.STEAM, Outlook.TIME, Outlook.KEEPS);
      outlook
          .ranges()
          .forEach(
              (name, range) -> {
                String where = formula.id() + " × " + scale + ": " + name + " " + range;
                assertThat(range.low()).as(where).isFinite().isLessThanOrEqualTo(range.value());
                assertThat(range.high()).as(where).isFinite().isGreaterThanOrEqualTo(range.value());
                assertThat(range.low()).as(where).isGreaterThanOrEqualTo(0);
                if (name.startsWith("strength") || name.equals(Outlook.ALCOHOL)) {
                  assertThat(range.high()).as(where).isLessThanOrEqualTo(100);
                }
                if (name.equals(Outlook.PH)) {
                  assertThat(range.high()).as(where).isLessThan(14);
                }
              });
    }
  }

  @Test
  void everythingThatIsEstimatedHasARangeAndSaysWhatMovesIt() {
    Brew gel = Kitchens.builtIn("linseed-rosemary");
    Outlook outlook = outlook(gel, 0.6, Facts.NONE);
    for (String name :
        List.of(
            Outlook.BOTTLED,
            Outlook.HELD,
            Outlook.STEAM,
            Outlook.CLOTH,
            Outlook.TIME,
            Outlook.STRENGTH,
            Outlook.STRENGTH_OF + "rosemary",
            Outlook.THICKNESS,
            Outlook.THICKNESS_HOT,
            Outlook.PH,
            Outlook.KEEPS)) {
      Range range = outlook.ranges().get(name);
      assertThat(range).as(name).isNotNull();
      assertThat(range.high() - range.low()).as(name).isPositive();
      assertThat(outlook.influences()).as(name).anyMatch(i -> i.result().equals(name));
    }
    assertThat(outlook.influences())
        .anyMatch(i -> i.what().startsWith("Power of") && i.result().equals(Outlook.TIME))
        .anyMatch(i -> i.what().equals("Temperature of the fridge"))
        .anyMatch(i -> i.what().equals("Life of its class at 5 °C"));
    assertThat(outlook.ranges().keySet()).anyMatch(name -> name.startsWith(Outlook.REACHED));
  }

  @Test
  void theHoursOfLifeHangOnTheFridgeMoreThanOnThePot() {
    Brew spray = Kitchens.builtIn("lemon-balm-spray");
    Range keeps = outlook(spray, 0.5, Facts.NONE).ranges().get(Outlook.KEEPS);
    // A fridge at 7 °C spends (1 + 0.7)²/2.25 = 1.28 times as fast (FAO 348): 144 h become 113.
    assertThat(keeps.low()).isLessThan(keeps.value() * 0.82);
    assertThat(keeps.high()).isGreaterThan(keeps.value());
  }

  @Test
  void whatWasMeasuredIsMoreSureThanWhatWasNot() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    int last = gel.formula().steps().size() - 1;
    Range guessed = outlook(gel, 0.6, Facts.NONE).ranges().get(Outlook.BOTTLED);
    Range measured =
        outlook(gel, 0.6, Facts.NONE.with(last, StepFacts.NONE.with(Reading.VOLUME, 400)))
            .ranges()
            .get(Outlook.BOTTLED);
    assertThat(measured.high() - measured.low()).isLessThan(1e-6);
    assertThat(guessed.high() - guessed.low()).isGreaterThan(20);
    Range read =
        outlook(gel, 0.6, Facts.NONE.with(last, StepFacts.NONE.with(Reading.PH, 5.5)))
            .ranges()
            .get(Outlook.PH);
    assertThat(read.high() - read.low()).isLessThan(0.01);
  }

  @Test
  void withoutAScaleASpoonWeighsWhatItHappensToWeigh() {
    Kitchen scale = Kitchens.METRIC;
    Kitchen spoons =
        new Kitchen(
            scale.hobs(),
            scale.vessels(),
            scale.strainers(),
            scale.scoops(),
            scale.climate(),
            scale.parameters(),
            CountMeasures.usual(),
            0,
            scale.site());
    Formula formula = Kitchens.builtIn("linseed-gel").formula();
    Outlook weighed = outlook(Kitchens.in(scale, formula), 0.6, Facts.NONE);
    Outlook spooned = outlook(Kitchens.in(spoons, formula), 0.6, Facts.NONE);
    assertThat(spooned.influences()).anyMatch(i -> i.what().contains("what a spoon of it weighs"));
    assertThat(weighed.influences()).noneMatch(i -> i.what().contains("what a spoon of it weighs"));
  }

  @Test
  void aFermentThatMayNotBeOneSaysSo() {
    Formula barley = BuiltInFormulas.find("barley-ferment").orElseThrow();
    Kitchen cool = Kitchens.METRIC.withClimate(new Climate(20, 5, -18));
    Outlook outlook = outlook(Kitchens.in(cool, barley), 0.5, Facts.NONE);
    Prediction p = Kitchens.in(cool, barley).predict(0.5, Facts.NONE);
    KeepingClass own = p.heat().soured() ? KeepingClass.FERMENT : KeepingClass.STARCH;
    assertThat(outlook.otherClasses()).doesNotContain(own).isNotEmpty();
  }

  @Test
  void theLastDayNamesWhatItHangsOnMost() {
    Brew spray = Kitchens.builtIn("lemon-balm-spray");
    Prediction p = Kitchens.half(spray).prediction();
    Optional<Assumption> cold = Assumption.dearest(spray, p, COLD, START);
    assertThat(cold).isPresent();
    assertThat(cold.get().lastDay()).isBefore(COLD.judge(spray, p, START).lastDay());
    assertThat(cold.get().words()).startsWith("if ");
    Keeping warm = Kept.of(START, ZoneOffset.UTC, School.CAREFUL, Place.ROOM, List.of());
    assertThat(Assumption.dearest(spray, p, warm, START).map(Assumption::words).orElse(""))
        .doesNotContain("fridge");
    // Spirit has no life that warmth spends: nothing to hang on.
    Brew tincture = Kitchens.builtIn("rosemary-tincture");
    assertThat(Assumption.dearest(tincture, Kitchens.half(tincture).prediction(), COLD, START))
        .isEmpty();
  }
}
