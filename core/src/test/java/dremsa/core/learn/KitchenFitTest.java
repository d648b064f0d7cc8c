package dremsa.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Cooling;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.Thickness;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.measure.Provenance;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

class KitchenFitTest {
  private static final Kitchen BELIEVED = SimulatedKitchen.BELIEVED;
  private static final Materials KNOWN = SimulatedKitchen.KNOWN;
  private static final Brew GEL =
      Brew.of(BuiltInFormulas.find("linseed-gel").orElseThrow(), BELIEVED, KNOWN);
  private static final VesselChoice VESSELS = GEL.vesselsFor(1);
  private static final double FORETOLD =
      GEL.untraced(1, VESSELS, Facts.NONE).finished().millilitres();

  private static Weighed gel(String id, double share) {
    return Weighed.of(id, GEL, 1, VESSELS, Facts.NONE, OptionalDouble.of(FORETOLD * share));
  }

  private static KitchenFit.Result fit(List<Weighed> batches) {
    return fit(batches, Set.of(), Set.of());
  }

  private static KitchenFit.Result fit(
      List<Weighed> batches, Set<String> counted, Set<String> leftOut) {
    return KitchenFit.of(batches, BELIEVED, KNOWN, counted, leftOut, done -> {});
  }

  /** Our own yardstick: 60 of the 200 kitchens that the bench simulates. */
  @Test
  void afterFiveBatchesTheNextYieldIsForetoldTwiceAsWell() {
    SimulatedKitchen.Report report = SimulatedKitchen.report(60, 5);

    assertThat(report.medianAfter()).isLessThan(0.05).isLessThan(report.medianBefore() / 2);
    assertThat(report.held()).isBetween(0.90, 0.98);
  }

  private static Taught figure(KitchenFit.Result result, String key) {
    return result.figures().stream()
        .filter(each -> each.knob().key().equals(key))
        .findFirst()
        .orElseThrow();
  }

  /** Found stiff again and again where the model foretells a gel: its gum thickens more. */
  @Test
  void howThickItWasFoundTeachesItsGum() {
    List<Weighed> batches = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      batches.add(gel("b" + i, 1.02).found(Thickness.STIFF));
    }
    Taught power = figure(fit(batches), "material/linseed/GUM_POWER");
    assertThat(power.after().value()).isGreaterThan(1.15 * power.before().value());
    assertThat(power.told()).isTrue();
    // As foretold it stays about what was believed; and of what nobody said nothing is learned.
    Thickness foretold = Thickness.of(GEL.untraced(1, VESSELS, Facts.NONE).finished().thickness());
    Taught as = figure(fit(List.of(gel("a", 1.02).found(foretold))), "material/linseed/GUM_POWER");
    assertThat(as.after().value() / as.before().value()).isBetween(0.7, 1.4);
    assertThat(fit(List.of(gel("a", 1.02))).figures())
        .noneMatch(each -> each.knob().key().contains("GUM_POWER"));
  }

  @Test
  void whatTheModelKnowsNoThicknessOfIsNotTaughtAny() {
    Brew oats = Brew.of(BuiltInFormulas.find("oat-cream").orElseThrow(), BELIEVED, KNOWN);
    Weighed batch =
        Weighed.of("o", oats, 1, oats.vesselsFor(1), Facts.NONE, OptionalDouble.of(900));
    assertThat(batch.found(Thickness.STIFF)).isEqualTo(batch);
  }

  /** Pots that were read to cool half as fast again teach that the kitchen takes more heat. */
  @Test
  void howFastItCooledTeachesWhatTheVesselsLose() {
    int cool = 3;
    Cooling.Fit fit = new Cooling.Fit(0, 95, 1.4, 1.3, 1.5, 6, 0.4);
    List<Weighed> batches = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      Facts read = Facts.NONE.with(cool, StepFacts.lasting(40).withCooling(fit));
      batches.add(Weighed.of("c" + i, GEL, 1, VESSELS, read, OptionalDouble.of(FORETOLD * 0.99)));
    }
    Taught loss = figure(fit(batches), "kitchen/HEAT_LOSS");
    assertThat(loss.after().value() / loss.before().value()).isBetween(1.2, 1.4);
    assertThat(loss.after().high() / loss.after().low())
        .isLessThan(loss.before().high() / loss.before().low());
  }

  @Test
  void aKitchenThatYieldsLessIsForetoldLess() {
    KitchenFit.Result result =
        fit(List.of(gel("a", 0.9), gel("b", 0.9), gel("c", 0.9), gel("d", 0.9)));
    Brew taught =
        GEL.with(Taught.over(BELIEVED, result.figures()))
            .with(Taught.over(KNOWN, result.figures()).get("linseed"));

    double next = taught.untraced(1, VESSELS, Facts.NONE).finished().millilitres();
    assertThat(next / FORETOLD).isCloseTo(0.91, within(0.02));
    Taught hold = told(result, "material/linseed/HOLD_SQUEEZED");
    assertThat(hold.after().value()).isGreaterThan(hold.before().value());
    assertThat(hold.after().provenance()).isEqualTo(Provenance.CALIBRATED);
    assertThat(hold.after().source()).isEqualTo("learned in your kitchen from 4 batches");
    assertThat(hold.batches()).containsExactly("a", "b", "c", "d");
  }

  @Test
  void eachBatchIsForetoldFromThoseBeforeItInABandThatNarrows() {
    List<KitchenFit.Foretold> told =
        fit(List.of(gel("a", 0.92), gel("b", 0.92), gel("c", 0.92), gel("d", 0.92))).batches();

    assertThat(told.get(0).predicted()).isCloseTo(FORETOLD, within(0.01));
    assertThat(told.get(0).uncalibrated()).isCloseTo(FORETOLD, within(0.01));
    for (int i = 1; i < told.size(); i++) {
      KitchenFit.Foretold before = told.get(i - 1);
      KitchenFit.Foretold now = told.get(i);
      assertThat(now.high() - now.low()).isLessThan(before.high() - before.low());
      assertThat(now.predicted()).isLessThan(before.predicted());
      assertThat(now.real()).isBetween(now.low(), now.high());
    }
  }

  @Test
  void whatIsPlainlyWrongIsAskedBeforeItCounts() {
    List<Weighed> batches = List.of(gel("a", 0.97), gel("b", 9), gel("c", 0.97));

    KitchenFit.Result asked = fit(batches);

    assertThat(asked.batches())
        .extracting(KitchenFit.Foretold::standing)
        .containsExactly(
            KitchenFit.Standing.COUNTS, KitchenFit.Standing.ASKED, KitchenFit.Standing.COUNTS);
    assertThat(values(asked)).isEqualTo(values(fit(batches, Set.of(), Set.of("b"))));
    assertThat(fit(batches, Set.of("b"), Set.of()).batches().get(1).standing())
        .isEqualTo(KitchenFit.Standing.COUNTS);
    assertThat(fit(batches, Set.of("b"), Set.of("b")).batches().get(1).standing())
        .isEqualTo(KitchenFit.Standing.LEFT_OUT);
  }

  @Test
  void oneBatchTellsOnlyWhatItCanTell() {
    KitchenFit.Result one = fit(List.of(gel("a", 1.02)));

    assertThat(one.figures()).anyMatch(taught -> !taught.told());
    Kitchen taught = Taught.over(BELIEVED, one.figures());
    one.figures().stream()
        .filter(each -> !each.told() && each.knob() instanceof Knob.OfKitchen)
        .forEach(each -> assertThat(each.knob().figure(taught, KNOWN)).contains(each.before()));
    assertThat(fit(List.of()).figures()).isEmpty();
  }

  @Test
  void whatTheHouseholdSetIsLeftAsItIs() {
    Kitchen set =
        BELIEVED.withParameters(
            BELIEVED
                .parameters()
                .with(
                    Parameter.GENTLE_BOIL,
                    BELIEVED
                        .parameters()
                        .figure(Parameter.GENTLE_BOIL)
                        .withValue(350, Provenance.HOUSEHOLD)));

    KitchenFit.Result result =
        KitchenFit.of(
            List.of(gel("a", 0.9), gel("b", 0.9)), set, KNOWN, Set.of(), Set.of(), done -> {});

    assertThat(result.figures())
        .extracting(taught -> taught.knob().key())
        .contains("material/linseed/HOLD_SQUEEZED")
        .doesNotContain("kitchen/GENTLE_BOIL");
    // Nor is it when it was set after it had been learned.
    List<Taught> learned = fit(List.of(gel("a", 0.9), gel("b", 0.9), gel("c", 0.9))).figures();
    assertThat(Taught.over(set, learned).parameters().value(Parameter.GENTLE_BOIL)).isEqualTo(350);
    Materials own =
        KNOWN.with(
            KNOWN
                .get("linseed")
                .with(
                    Property.HOLD_SQUEEZED,
                    KNOWN
                        .get("linseed")
                        .figures()
                        .get(Property.HOLD_SQUEEZED)
                        .withValue(2.2, Provenance.HOUSEHOLD)));
    assertThat(
            Taught.over(own, learned).get("linseed").figures().get(Property.HOLD_SQUEEZED).value())
        .isEqualTo(2.2);
  }

  @Test
  void whatRanOffTellsMoreThanTheBottles() {
    int strain = GEL.formula().steps().size() - 2;
    Facts facts = Facts.NONE.with(strain, Facts.NONE.of(strain).with(Reading.VOLUME, 200));
    Weighed measured = Weighed.of("a", GEL, 1, VESSELS, facts, OptionalDouble.of(190));

    assertThat(measured.observed()).containsExactly(new Weighed.Observed(strain, 200));
    // What was read is not known before it is foretold.
    assertThat(measured.predicted(GEL, measured.yield()))
        .isCloseTo(
            GEL.untraced(1, VESSELS, Facts.NONE).steps().get(strain).millilitres(), within(1e-6));
    assertThat(Weighed.of("a", GEL, 1, VESSELS, Facts.NONE, OptionalDouble.empty()).tells())
        .isFalse();
  }

  @Test
  void theOrderInWhichItIsReckonedChangesNothing() {
    List<Weighed> batches = new ArrayList<>();
    SimulatedKitchen kitchen = new SimulatedKitchen(7);
    for (int i = 0; i < 40; i++) {
      batches.add(kitchen.brew().measured());
    }
    List<Integer> seen = new ArrayList<>();
    Set<Thread> tellers = new HashSet<>();

    KitchenFit.Result first =
        KitchenFit.of(
            batches,
            BELIEVED,
            KNOWN,
            Set.of(),
            Set.of(),
            done -> {
              seen.add(done);
              tellers.add(Thread.currentThread());
            });

    assertThat(fit(batches)).isEqualTo(first);
    assertThat(seen).containsExactly(16, 32, 40);
    assertThat(tellers).containsExactly(Thread.currentThread());
  }

  @Test
  void everyFormulaHasFiguresThatBelongToIt() {
    for (var formula : BuiltInFormulas.all()) {
      if (formula.ingredients().stream().anyMatch(each -> each.material().startsWith("brew:"))) {
        continue;
      }
      Brew brew = Brew.of(formula, BELIEVED, KNOWN);
      for (Knob knob : Knob.of(brew)) {
        assertThat(knob.figure(BELIEVED, KNOWN)).as(formula.id() + knob.key()).isPresent();
        assertThat(knob.words()).isNotBlank();
        assertThat(Knob.of(knob.key(), name(knob))).isEqualTo(knob);
        if (knob instanceof Knob.OfMaterial of) {
          assertThat(of.property()).isIn(Property.HOLD, Property.HOLD_HOT, Property.HOLD_SQUEEZED);
        }
      }
    }
  }

  @Test
  void howWellItForetellsIsSaidOnceThereAreFour() {
    List<Weighed> batches =
        List.of(gel("a", 0.9), gel("b", 0.9), gel("c", 0.9), gel("d", 0.9), gel("e", 0.9));

    Accuracy accuracy = Accuracy.of(fit(batches).batches()).orElseThrow();

    assertThat(accuracy.batches()).isEqualTo(5);
    assertThat(accuracy.unlearned()).isCloseTo(0.1, within(0.001));
    assertThat(accuracy.learned()).isLessThan(0.05);
    assertThat(accuracy.words())
        .startsWith("Half of the last 5 batches came out within ")
        .endsWith("without what your kitchen taught it would be 10.0 %.");
    assertThat(Accuracy.of(fit(batches.subList(0, 3)).batches())).isEmpty();
    assertThat(new Accuracy(4, 0.02, 0.02).words()).endsWith("2.0 %: nothing is won yet.");
  }

  private static String name(Knob knob) {
    return knob instanceof Knob.OfMaterial of ? of.name() : "";
  }

  @Test
  void whatWasForetoldAndTakenOverIsNoMeasurement() {
    assertThat(gel("a", 1).tells()).isFalse();
    assertThat(gel("a", 1.02).tells()).isTrue();
  }

  private static Taught told(KitchenFit.Result result, String key) {
    return result.figures().stream()
        .filter(taught -> taught.knob().key().equals(key))
        .findFirst()
        .orElseThrow();
  }

  private static List<Double> values(KitchenFit.Result result) {
    return result.figures().stream().map(taught -> taught.after().value()).toList();
  }
}
