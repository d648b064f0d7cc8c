package dremsa.core.fault;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Contents;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Strength;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Virtue;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;

/** What the model finds in a brew that explains what is seen, smelt or felt. */
final class Findings {
  private static final double SURE = 0.95;
  private static final double LIKELY = 0.7;
  private static final double MAYBE = 0.4;
  private static final double HARDLY = 0.2;

  /** As much gum dries to a film that flakes when it is rubbed; our estimate, percent. */
  private static final double FILM = 1;

  /** More than this much oil does not stay in water without an emulsifier; common practice. */
  private static final double OILY = 0.005;

  /** As much as a skin is used to; common practice. */
  private static final double LOW_PH = 3.8;

  private static final double HIGH_PH = 8;

  private final Brewed brewed;
  private final Prediction prediction;
  private final Contents contents;
  private final List<Explanation> all = new ArrayList<>();

  private Findings(Brewed brewed) {
    this.brewed = brewed;
    this.prediction = brewed.prediction();
    this.contents = prediction.contents();
  }

  static List<Explanation> of(Brewed brewed, Symptom symptom) {
    Findings findings = new Findings(brewed);
    switch (symptom) {
      case FLAKY -> findings.flaky();
      case SLIMY -> findings.slimy();
      case LUMPY -> findings.lumpy();
      case SEPARATED -> findings.separated();
      case BLOCKED_NOZZLE -> findings.blocked();
      case STAINED -> findings.stained();
      case ITCHY -> findings.itchy();
      case SOUR -> findings.sour();
      case TOO_THIN, TOO_THICK, LITTLE_CAME_OUT, BOILED_DRY -> {}
    }
    return findings.all;
  }

  private void found(int step, double weight, String words, String now, String next) {
    all.add(new Explanation(step, words, true, weight, now, next));
  }

  private void flaky() {
    powder();
    double gum = prediction.finished().gumPercent();
    if (gum > FILM / 2) {
      found(
          -1,
          gum > FILM ? LIKELY : MAYBE,
          Said.of("It holds %.1f %% of gum: a thick coat of it dries to a film.", gum),
          Said.of(
              "Stir in as much boiled, cooled water as there is gel: %.1f %%. Or use half as much.",
              gum / 2),
          "Take less of it, on wet hair.");
    }
    starch();
  }

  private void powder() {
    if (prediction.finished().debris()) {
      found(
          strained(),
          SURE,
          "Plant powder went past the strainer and is in it.",
          "Strain what is left through paper or a fine cloth.",
          "Strain powder twice: cloth, then paper.");
    }
  }

  private void starch() {
    if (contents.has(Contents.Trait.STARCH)) {
      found(
          -1,
          MAYBE,
          "Starch is in it: left on, it dries white.",
          "Rinse it out after a few minutes.",
          "Use it before the conditioner and rinse.");
    }
  }

  private void slimy() {
    double gum = prediction.finished().gumPercent();
    if (gum > 0) {
      found(
          -1,
          LIKELY,
          Said.of("It is meant to be: it holds %.1f %% of gum.", gum),
          Said.of("Thinned to twice its amount it has %.1f %%.", gum / 2),
          "Take less seed, or boil it shorter.");
    } else {
      found(
          -1,
          LIKELY,
          "Nothing in it makes slime: what strings or smells off is spoilt.",
          "Throw it away.",
          "Clean bottles, a cold fridge, and the date as it is told.");
    }
  }

  private void lumpy() {
    powderStirredIn();
    gumTooDense();
    starchCooked();
  }

  private void powderStirredIn() {
    List<Step> steps = brewed.brew().formula().steps();
    for (int i = 0; i < steps.size(); i++) {
      for (String key : steps.get(i).ingredients()) {
        Material material = brewed.brew().materialOf(key).orElseThrow();
        if (material.kind().isPowder() || material.kind() == MaterialKind.POWDER_ADDITIVE) {
          found(
              i,
              LIKELY,
              material.name()
                  + " goes in as a powder, and clumps when it meets much water at once.",
              "Press it through a sieve, or blend it briefly.",
              "Stir it smooth with a little glycerin or cold water first, then add the rest.");
        }
      }
    }
  }

  private void gumTooDense() {
    if (prediction.finished().thickness() > 1800) {
      found(
          -1,
          MAYBE,
          Said.of(
              "It is stiff, about %.0f mPa·s: it sets in lumps.",
              prediction.finished().thickness()),
          "Stir in boiled, cooled water a little at a time.",
          "Take less seed, or strain it sooner.");
    }
  }

  private void starchCooked() {
    if (contents.has(Contents.Trait.STARCH_COOKED)) {
      found(
          -1,
          MAYBE,
          "Cooked starch sets as it cools.",
          "Warm it and whisk, or blend it.",
          "Blend it while it is warm, below 60 °C, and strain it through a fine bag.");
    }
  }

  private void separated() {
    double oil = contents.oilShare();
    if (oil > OILY && oil < 1 - OILY) {
      found(
          -1,
          SURE,
          Said.of("%.1f %% of it is oil, and nothing holds oil in water.", 100 * oil),
          "Shake it before each use: it is not spoilt by that.",
          contents.gumPercent() > 0
              ? "Whisk the oil in below 40 °C, a little at a time: gum holds some of it."
              : "Leave the oil out of a spray, and use it by itself.");
    }
    if (contents.has(Contents.Trait.STARCH)) {
      found(
          -1,
          LIKELY,
          "Starch sinks.",
          "Shake it before each use.",
          "Strain it through a finer cloth for less of it.");
    }
    if (contents.gumPercent() > 0) {
      found(
          -1,
          HARDLY,
          "A gel that gives off water is old, or was frozen.",
          "Smell it: if it is past its day, throw it away.",
          "Freeze gels in small portions and use each thawed within two days.");
    }
  }

  private void blocked() {
    powder();
    double thick = prediction.finished().thickness();
    if (thick > 60) {
      found(
          -1,
          thick > 100 ? SURE : LIKELY,
          Said.of("At about %.0f mPa·s it is too thick for a spray head: up to about 60.", thick),
          "Fill it into an applicator bottle, or thin it with boiled, cooled water.",
          "Take less seed for a spray.");
    }
    if (!finelyStrained()) {
      found(
          strained(),
          MAYBE,
          "It was strained through nothing fine.",
          "Strain it through a cloth or paper, and rinse the nozzle with warm water.",
          "For a spray, strain it through cloth at least.");
    }
  }

  private boolean finelyStrained() {
    return brewed.brew().formula().steps().stream()
        .flatMap(step -> step.strainer().stream())
        .anyMatch(tool -> tool.soaksUp() || tool == StrainTool.FINE_CLOTH);
  }

  private void stained() {
    for (Strength strength : prediction.strengths()) {
      Material material = brewed.brew().materialOf(strength.ingredient()).orElseThrow();
      if (Virtue.STAINS.of(material)) {
        found(
            -1,
            SURE,
            Said.of(
                "%s stains light hair: %.1f g to 100 mL, drawn to %.0f %%.",
                material.name(), strength.gramsPer100Ml(), 100 * strength.extracted()),
            "Thin it to half, and rinse it out soon.",
            "Half the herb for the same water is the usual cure, or a shorter time.");
      }
    }
    if (all.isEmpty()) {
      found(
          -1,
          HARDLY,
          "Nothing in it is known to stain; any strong brew tints light hair and towels.",
          "Rinse it out.",
          "Brew it weaker, and try it on a strand first.");
    }
  }

  private void itchy() {
    String now = "Rinse it out and stop using it. What lasts, or swells, is for a doctor.";
    for (Finding finding : SelfCheck.of(brewed.brew(), prediction)) {
      if (finding.code() == Finding.Code.OVER_LIMIT) {
        found(-1, SURE, finding.what() + " " + finding.why(), now, finding.cure());
      }
    }
    Sourness.Ph ph = contents.ph();
    if (ph.exists() && ph.value() < LOW_PH) {
      found(
          -1,
          LIKELY,
          Said.of("It is sour: about pH %.1f.", ph.value()),
          now,
          "Thin it, or take less of what makes it sour.");
    } else if (ph.exists() && ph.value() > HIGH_PH) {
      found(
          -1,
          MAYBE,
          Said.of("It is alkaline: about pH %.1f.", ph.value()),
          now,
          "A little lemon or vinegar brings it down; measure it.");
    }
    for (Material material : brewed.brew().materials()) {
      if (material.kind() == MaterialKind.ESSENTIAL_OIL
          || material.kind() == MaterialKind.FRAGRANCE) {
        found(
            -1,
            LIKELY,
            material.name() + " is what skin most often answers to.",
            now,
            "Leave it out, and try the rest on the inner arm first.");
      } else if (material.kind().isFresh() || material.kind().isRaw()) {
        found(
            -1,
            MAYBE,
            material.name() + " goes in raw: sap and juice can irritate.",
            now,
            "Drain, rinse or boil it, and try it on the inner arm first.");
      }
    }
    powder();
    found(
        -1,
        HARDLY,
        "Any plant can be one that this skin does not take.",
        now,
        "Try each plant by itself on the inner arm for 48 hours.");
  }

  private void sour() {
    if (contents.has(Contents.Trait.FERMENTED)
        || brewed.brew().formula().steps().stream().anyMatch(Findings::ferments)) {
      Sourness.Ph ph = contents.ph();
      found(
          -1,
          LIKELY,
          Said.of("It is a ferment: about pH %.1f by the model, and sourish is right.", ph.value()),
          "Measure it: below 4.6 and smelling clean it is as it should be. Pink, furry or putrid:"
              + " throw it away.",
          "End it sooner where it is warm.");
    } else {
      Sourness.Ph ph = contents.ph();
      found(
          -1,
          SURE,
          ph.exists()
              ? Said.of("It began at about pH %.1f: what turned sour since is spoilt.", ph.value())
              : "Oil that smells sharp is rancid, what smells sour beside it is spoilt.",
          "Throw it away, and boil the bottle.",
          "Strain and cool it sooner, and keep its date.");
    }
    for (int i = 0; i < prediction.steps().size(); i++) {
      double hours = prediction.steps().get(i).minutes() / 60;
      if (hours > 8 && prediction.steps().get(i).endC() > 15) {
        found(
            i,
            LIKELY,
            Said.of(
                "%s: %s at %.0f °C.",
                brewed.brew().formula().steps().get(i).headline(),
                Said.duration(hours * 60),
                prediction.steps().get(i).endC()),
            "See above.",
            "Let it stand in the fridge, or shorter.");
      }
    }
  }

  private static boolean ferments(Step step) {
    return step.kind() == StepKind.FERMENT;
  }

  /** The last step at which it is strained; -1 where there is none. */
  private int strained() {
    List<Step> steps = brewed.brew().formula().steps();
    for (int i = steps.size() - 1; i >= 0; i--) {
      if (steps.get(i).strainer().isPresent()) {
        return i;
      }
    }
    return -1;
  }
}
