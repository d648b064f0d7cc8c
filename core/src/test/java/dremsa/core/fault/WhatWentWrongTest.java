package dremsa.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Change;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.StepRef;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.measure.MeasureSystem;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class WhatWentWrongTest {
  private static final double GEL = 0.4;

  private static Formula formula(String id) {
    return BuiltInFormulas.find(id).orElseThrow();
  }

  private static Brewed brewed(Formula formula, Facts facts) {
    Brew brew = Brew.of(formula, Kitchen.usual(MeasureSystem.METRIC), Materials.standard());
    return new Brewed(brew, GEL, brew.vesselsFor(GEL), facts);
  }

  private static Brewed light(Facts facts) {
    return brewed(formula("linseed-light"), facts);
  }

  private static Facts boiled(double minutes) {
    return Facts.NONE.with(2, StepFacts.lasting(minutes));
  }

  private static double figure(String words, String pattern) {
    Matcher found = Pattern.compile(pattern).matcher(words);
    assertThat(found.find()).as(words).isTrue();
    return Double.parseDouble(found.group(1));
  }

  @Test
  void aShortBoilThatWasWrittenDownExplainsAThinLotion() {
    List<Explanation> why = WhatWentWrong.of(light(boiled(1)), Symptom.TOO_THIN);

    Explanation best = why.get(0);
    assertThat(best.recorded()).isTrue();
    assertThat(best.step()).isEqualTo(2);
    assertThat(best.words()).isEqualTo("Boil gently, stirring: 60 s, usually 3 min.");
    assertThat(best.next()).startsWith("Give it 3 min. The model then gives 7");
    assertThat(why).isSortedAccordingTo((a, b) -> Double.compare(b.weight(), a.weight()));
  }

  /** Steamed down by as much as it says, the model has it as thick as it says. */
  @Test
  void theCureOfAThinOneIsWhatTheModelGives() {
    Brewed thin = light(boiled(1));
    String now = WhatWentWrong.of(thin, Symptom.TOO_THIN).get(0).now();
    double off = figure(now, "Steam off about (\\d+) g");
    double comesTo = figure(now, "it comes to (\\d+) mPa·s");
    double gives = thin.prediction().contents().watered(-off).thickness(thin.brew().kitchen(), 20);
    assertThat(gives).isCloseTo(comesTo, within(0.05 * comesTo + 1));
    assertThat(comesTo).isCloseTo(light(Facts.NONE).usual().finished().thickness(), within(2.0));
  }

  @Test
  void theCureOfAThickOneIsWater() {
    Brewed thick = light(boiled(14));
    Explanation best = WhatWentWrong.of(thick, Symptom.TOO_THICK).get(0);
    assertThat(best.words()).contains("14 min, usually 3 min");
    double in = figure(best.now(), "Stir in about (\\d+) mL");
    double comesTo = figure(best.now(), "it comes to (\\d+) mPa·s");
    assertThat(thick.prediction().contents().watered(in).thickness(thick.brew().kitchen(), 20))
        .isCloseTo(comesTo, within(0.05 * comesTo + 1));
    assertThat(comesTo).isLessThan(thick.prediction().finished().thickness());
  }

  @Test
  void tooMuchWaterInTheRecipeIsFoundInTheRecipe() {
    Formula watery = new Change.Times("water", 1.6).apply(formula("linseed-gel"));
    assertThat(WhatWentWrong.of(brewed(watery, Facts.NONE), Symptom.TOO_THIN))
        .anySatisfy(why -> assertThat(why.words()).contains("water to linseed at 19 : 1"));
  }

  @Test
  void aWrongWeighingThatWasWrittenDownComesBeforeWhatIsOnlySupposed() {
    Brewed scant = light(Facts.NONE.with(0, StepFacts.NONE.withWeighed("linseed", 6)));
    Explanation best = WhatWentWrong.of(scant, Symptom.TOO_THIN).get(0);
    assertThat(best.words()).isEqualTo("6 g of linseed went in, planned were 12 g.");
    assertThat(best.recorded()).isTrue();
    assertThat(best.next()).startsWith("Weigh in 12 g.");
  }

  @Test
  void whereNothingWasWrittenDownWhatMakersOftenDoIsSupposed() {
    List<Explanation> why = WhatWentWrong.of(light(Facts.NONE), Symptom.TOO_THIN);
    assertThat(why).anyMatch(each -> each.words().contains("lasted only about"));
    assertThat(why).noneMatch(each -> each.words().contains("usually"));
    assertThat(WhatWentWrong.usual(light(Facts.NONE))).isNotEmpty();
  }

  @Test
  void littleCameOutForLackOfALidOrOfAWringing() {
    Brewed decoction = brewed(formula("burdock-decoction"), Facts.NONE);
    List<Explanation> why = WhatWentWrong.of(decoction, Symptom.LITTLE_CAME_OUT);
    assertThat(why.get(0).words()).isEqualTo("It boiled without its lid.");
    assertThat(why).anyMatch(each -> each.words().equals("It was not wrung out."));
    assertThat(why.get(0).now()).contains("are held by what was strained out");
  }

  @Test
  void tooLongOnTheHobExplainsADryPot() {
    Brewed dry = brewed(formula("burdock-decoction"), Facts.NONE.with(2, StepFacts.lasting(80)));
    Explanation best = WhatWentWrong.of(dry, Symptom.BOILED_DRY).get(0);
    assertThat(best.words()).contains("80 min, usually 18 min");
    assertThat(best.now()).contains("throw it away").contains("top it up with about");
  }

  @Test
  void powderThatWentThroughIsWhyItFlakesAndBlocks() {
    Formula once =
        new Change.StepWithout(new StepRef("strain", 2)).apply(formula("nettle-powder-spray"));
    for (Symptom symptom : List.of(Symptom.FLAKY, Symptom.BLOCKED_NOZZLE)) {
      assertThat(WhatWentWrong.of(brewed(once, Facts.NONE), symptom).get(0).words())
          .isEqualTo("Plant powder went past the strainer and is in it.");
    }
    assertThat(
            WhatWentWrong.of(brewed(formula("linseed-gel"), Facts.NONE), Symptom.BLOCKED_NOZZLE)
                .get(0)
                .words())
        .contains("too thick for a spray head");
  }

  @Test
  void aSourFermentIsRightAndASourInfusionIsSpoilt() {
    assertThat(
            WhatWentWrong.of(brewed(formula("barley-ferment"), Facts.NONE), Symptom.SOUR)
                .get(0)
                .words())
        .contains("It is a ferment: about pH 4");
    Explanation spoilt =
        WhatWentWrong.of(brewed(formula("lemon-balm-spray"), Facts.NONE), Symptom.SOUR).get(0);
    assertThat(spoilt.now()).startsWith("Throw it away");
  }

  @Test
  void whatItchesIsStoppedAndALimitThatIsPassedComesFirst() {
    Formula strong =
        Change.With.atTheEnd(
                new Ingredient(
                    "clove-essential", "clove-essential", new Proportion.PercentOfFinished(3)))
            .apply(formula("calendula-water"));
    List<Explanation> why = WhatWentWrong.of(brewed(strong, Facts.NONE), Symptom.ITCHY);
    assertThat(why.get(0).words()).contains("Clove").contains("over 0.50 %");
    assertThat(why).allSatisfy(each -> assertThat(each.now()).contains("doctor"));
  }

  @Test
  void oilInWaterSeparatesAndIsShaken() {
    Formula oily =
        Change.With.atTheEnd(
                new Ingredient("argan-oil", "argan-oil", new Proportion.PercentOfFinished(4)))
            .apply(formula("calendula-water"));
    Explanation best = WhatWentWrong.of(brewed(oily, Facts.NONE), Symptom.SEPARATED).get(0);
    assertThat(best.words()).startsWith("4.0 % of it is oil");
    assertThat(best.now()).contains("Shake");
  }

  /** Of any formula and symptom it says something fit to be read, best first, and not too much. */
  @Test
  void everySymptomOfEveryFormulaIsAnswered() {
    for (Formula formula : BuiltInFormulas.all()) {
      Brewed brewed;
      try {
        brewed = brewed(formula, Facts.NONE);
      } catch (UnknownMaterialException madeOfBrews) {
        continue;
      }
      for (Symptom symptom : Symptom.values()) {
        List<Explanation> why = WhatWentWrong.of(brewed, symptom);
        assertThat(why.size()).isLessThanOrEqualTo(5);
        assertThat(why)
            .allSatisfy(
                each -> {
                  assertThat(each.words() + each.now() + each.next())
                      .as(formula.id() + " " + symptom)
                      .doesNotContain("NaN")
                      .doesNotContain("Infinity");
                  assertThat(each.weight()).isBetween(0.0, 1.0);
                });
        assertThat(why.isEmpty() && WhatWentWrong.usual(brewed).isEmpty()).isFalse();
      }
    }
  }

  @Test
  void aFormulaWithoutARecordCanBeAskedOf() {
    Brew brew =
        Brew.of(formula("linseed-gel"), Kitchen.usual(MeasureSystem.METRIC), Materials.standard());
    assertThat(WhatWentWrong.of(Brewed.unrecorded(brew), Symptom.TOO_THICK)).isNotEmpty();
  }
}
