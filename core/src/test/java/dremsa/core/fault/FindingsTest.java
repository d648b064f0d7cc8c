package dremsa.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Change;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.MeasureSystem;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is found in a brew, where what is seen is no figure. */
class FindingsTest {
  private static Formula formula(String id) {
    return BuiltInFormulas.find(id).orElseThrow();
  }

  private static List<Explanation> why(Formula formula, Facts facts, Symptom symptom) {
    Brew brew = Brew.of(formula, Kitchen.usual(MeasureSystem.METRIC), Materials.standard());
    return WhatWentWrong.of(new Brewed(brew, 0.4, brew.vesselsFor(0.4), facts), symptom);
  }

  private static List<Explanation> why(String id, Symptom symptom) {
    return why(formula(id), Facts.NONE, symptom);
  }

  private static Formula with(String id, String material, double percent) {
    return Change.With.atTheEnd(
            new Ingredient(material, material, new Proportion.PercentOfFinished(percent)))
        .apply(formula(id));
  }

  @Test
  void aGelIsSlimyOnPurposeAndAnInfusionThatIsSlimyIsSpoilt() {
    assertThat(why("linseed-gel", Symptom.SLIMY).get(0).words()).startsWith("It is meant to be");
    Explanation spoilt = why("lemon-balm-spray", Symptom.SLIMY).get(0);
    assertThat(spoilt.now()).isEqualTo("Throw it away.");
  }

  @Test
  void muchGumDriesToAFilmThatFlakes() {
    Explanation film = why("linseed-gel", Symptom.FLAKY).get(0);
    assertThat(film.words()).contains("% of gum").contains("film");
    assertThat(film.now()).contains("water");
    assertThat(why("lemon-balm-spray", Symptom.FLAKY)).isEmpty();
  }

  @Test
  void starchDriesWhiteAndSinks() {
    assertThat(why("rice-water", Symptom.FLAKY))
        .anyMatch(each -> each.words().contains("dries white"));
    assertThat(why("rice-water", Symptom.SEPARATED))
        .anyMatch(each -> each.words().equals("Starch sinks."));
  }

  @Test
  void powderClumpsAtTheStepAtWhichItGoesIn() {
    Explanation lumps = why("amla-paste", Symptom.LUMPY).get(0);
    assertThat(lumps.words()).contains("goes in as a powder");
    assertThat(formula("amla-paste").steps().get(lumps.step()).ingredients())
        .contains("amla-powder");
  }

  @Test
  void cookedStarchSetsInLumps() {
    assertThat(why("oat-cream", Symptom.LUMPY))
        .anyMatch(each -> each.words().startsWith("Cooked starch"));
  }

  @Test
  void whatIsKnownToStainIsNamedWithHowMuchOfItThereIs() {
    Explanation sage = why("birch-sage-decoction", Symptom.STAINED).get(0);
    assertThat(sage.words()).containsPattern("stains light hair: \\d+\\.\\d g to 100 mL");
    assertThat(why("rice-water", Symptom.STAINED).get(0).words())
        .startsWith("Nothing in it is known to stain");
  }

  @Test
  void aScentAndSourJuiceAreWhatSkinAnswersTo() {
    assertThat(
            why(with("calendula-water", "lavender-essential", 0.5), Facts.NONE, Symptom.ITCHY)
                .get(0)
                .words())
        .contains("what skin most often answers to");
    assertThat(why(with("calendula-water", "citric-acid", 2), Facts.NONE, Symptom.ITCHY))
        .anyMatch(each -> each.words().startsWith("It is sour: about pH"));
    assertThat(why("ginger-scalp-juice", Symptom.ITCHY))
        .anyMatch(each -> each.words().contains("goes in raw"));
  }

  @Test
  void aLongStayOnTheCounterIsNamedWithItsHours() {
    Facts overnight = Facts.NONE.with(1, StepFacts.lasting(14 * 60));
    assertThat(why(formula("lemon-balm-spray"), overnight, Symptom.SOUR))
        .anyMatch(each -> each.words().startsWith("Steep, covered: 14 h at"));
  }

  /** What was left out, and water that was poured in, stand written down and are put right. */
  @Test
  void whatWasLeftOutOrPouredInExplainsAsWell() {
    Facts watered = Facts.NONE.with(2, StepFacts.NONE.withWater(200, 20));
    List<Explanation> thin = why(formula("linseed-gel"), watered, Symptom.TOO_THIN);
    assertThat(thin.get(0).words()).isEqualTo("200 mL of water were poured in beside the recipe.");
    Facts unboiled = Facts.NONE.with(2, StepFacts.NONE.left());
    assertThat(why(formula("linseed-light"), unboiled, Symptom.TOO_THIN).get(0).words())
        .contains("was left out");
  }
}
