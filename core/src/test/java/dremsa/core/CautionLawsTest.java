package dremsa.core;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Contents;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges.Range;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.TracePoint;
import dremsa.core.brew.VesselChoice;
import dremsa.core.brew.WaterAccount;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.keep.Classifier;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.Kept;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Place;
import dremsa.core.outlook.Outlook;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The law of caution: what holds for any formula, kitchen and reading, from fixed seeds. */
class CautionLawsTest {
  private static final Instant START = Instant.parse("2026-03-24T09:00:00Z");
  private static final int MANY = 500;

  private static final Map<String, ToDoubleFunction<Contents>> SUBSTANCES =
      Map.of(
          "ethanol", Contents::ethanol,
          "glycerin", Contents::glycerin,
          "oil", Contents::oil,
          "other", Contents::other,
          "gum", c -> c.gums().stream().mapToDouble(Contents.Gum::grams).sum(),
          "preservative",
              c -> c.preservatives().stream().mapToDouble(Contents.Preserver::grams).sum());

  private static Verdict judge(Brew brew, Prediction p, School school) {
    Keeping keeping = Kept.inFridge(START, ZoneOffset.UTC, school);
    return keeping.judge(brew, p, START.plusSeconds(Math.round(p.heat().bottledMinute() * 60)));
  }

  @Test
  void everyFamilyIsAmongThem() {
    WildFormulas wild = new WildFormulas(1);
    Set<Method> seen = EnumSet.noneOf(Method.class);
    for (int i = 0; i < MANY; i++) {
      seen.add(wild.next().method());
    }
    assertThat(seen).containsExactlyInAnyOrder(Method.values());
  }

  @Test
  void nothingIsWonOrLostInAnyStepPerSubstance() {
    WildFormulas wild = new WildFormulas(2);
    for (int i = 0; i < MANY / 3; i++) {
      Brew brew = wild.brew();
      double scale = wild.scale();
      VesselChoice vessels = brew.vesselsFor(scale);
      Prediction before = null;
      for (int n = 1; n <= brew.formula().steps().size(); n++) {
        Step step = brew.formula().steps().get(n - 1);
        Brew part = brew.with(brew.formula().withSteps(brew.formula().steps().subList(0, n)));
        Prediction now = part.predict(scale, vessels, Facts.NONE);
        WaterAccount a = now.account();
        double out = a.bottled() + a.held() + a.cloth() + a.steam() + a.apart() + a.unaccounted();
        assertThat(Math.abs(out - a.in())).isLessThanOrEqualTo(1e-9 * Math.max(1, a.in()));
        // Liquid and plant together never weigh more than what was put in.
        double put = now.amounts().values().stream().mapToDouble(Double::doubleValue).sum();
        assertThat(now.contents().grams())
            .as(brew.formula().method() + " " + step)
            .isLessThanOrEqualTo(put * (1 + 1e-9) + 1e-9);
        boolean adds = step instanceof Step.Add || step instanceof Step.Combine;
        if (before != null && !adds) {
          for (Map.Entry<String, ToDoubleFunction<Contents>> s : SUBSTANCES.entrySet()) {
            double had = s.getValue().applyAsDouble(before.contents());
            double has = s.getValue().applyAsDouble(now.contents());
            boolean gives = s.getKey().equals("gum") || s.getKey().equals("other");
            if (!gives) {
              assertThat(has).as(s.getKey() + " in " + step).isLessThanOrEqualTo(had + 1e-9);
            }
            boolean parts = step instanceof Step.Strain || step instanceof Step.Divide;
            if (!gives && !parts) {
              assertThat(Math.abs(has - had))
                  .as(s.getKey() + " in " + step)
                  .isLessThanOrEqualTo(1e-9 + 1e-9 * had);
            }
          }
          double wet = before.contents().water() + before.contents().juice();
          double given = now.account().in() - before.account().in();
          assertThat(now.contents().water() + now.contents().juice())
              .isLessThanOrEqualTo(wet + given + 1e-9 * Math.max(1, wet));
        }
        before = now;
      }
    }
  }

  @Test
  void everyNumberIsFiniteAndWhatItCanBe() {
    WildFormulas wild = new WildFormulas(3);
    for (int i = 0; i < MANY; i++) {
      Brew brew = wild.brew();
      Facts facts = wild.facts(brew.formula());
      double scale = wild.scale();
      Prediction p = brew.predict(scale, facts);
      String where = brew.formula().method() + " " + brew.formula().steps() + " × " + scale;
      assertThat(p.finished().millilitres()).as(where).isFinite().isNotNegative();
      assertThat(p.finished().alcoholPercent()).as(where).isBetween(0.0, 100.0);
      assertThat(p.contents().alcoholSurely())
          .as(where)
          .isBetween(0.0, p.finished().alcoholPercent() + 0.2);
      for (TracePoint point : p.trace()) {
        assertThat(point.celsius()).as(where).isBetween(-20.0, 101.5);
        assertThat(point.grams()).as(where).isFinite().isNotNegative();
        assertThat(point.thickness()).as(where).isFinite().isNotNegative();
      }
      p.strengths().forEach(s -> assertThat(s.extracted()).as(where).isBetween(0.0, 1.0 + 1e-9));
      Sourness.Ph ph = p.contents().ph();
      if (ph.exists()) {
        assertThat(ph.low()).as(where).isBetween(-1.0, 14.5);
        assertThat(ph.value()).as(where).isBetween(ph.low() - 1e-6, ph.high() + 1e-6);
        assertThat(ph.high()).as(where).isLessThan(14.5);
      }
      for (School school : School.values()) {
        Verdict verdict = judge(brew, p, school);
        assertThat(verdict.lastDay()).as(where).isNotNull();
        assertThat(verdict.spentHours()).as(where).isNotNaN().isNotNegative();
      }
    }
  }

  @Test
  void bothEndsOfEveryRangeCanBe() {
    WildFormulas wild = new WildFormulas(4);
    for (int i = 0; i < MANY / 8; i++) {
      Brew brew = wild.brew();
      double scale = wild.scale();
      VesselChoice vessels = brew.vesselsFor(scale);
      Facts facts = wild.facts(brew.formula());
      Prediction p = brew.predict(scale, vessels, facts);
      Outlook outlook =
          Outlook.of(
              brew, scale, vessels, facts, p, Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL));
      for (Map.Entry<String, Range> entry : outlook.ranges().entrySet()) {
        Range range = entry.getValue();
        String where = entry.getKey() + " " + range + " of " + brew.formula().method();
        assertThat(range.low()).as(where).isFinite().isLessThanOrEqualTo(range.value() + 1e-9);
        assertThat(range.high()).as(where).isFinite().isGreaterThanOrEqualTo(range.value() - 1e-9);
        if (!entry.getKey().equals(Outlook.PH)) {
          assertThat(range.low()).as(where).isNotNegative();
        }
        if (entry.getKey().startsWith("strength") || entry.getKey().equals(Outlook.ALCOHOL)) {
          assertThat(range.high()).as(where).isLessThanOrEqualTo(100 + 1e-6);
        }
      }
    }
  }

  private static double endC(Prediction p) {
    return p.trace().get(p.trace().size() - 1).celsius();
  }

  /** The life of a class: its budget, or its cap where it has none, h. */
  private static double life(KeepingClass of, School school) {
    return 24
        * of.budget(school)
            .map(b -> Math.min(b.value(), of.cap(school).value()))
            .orElse(of.cap(school).value());
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void anEstimatedPhNeverKeepsLongerThanOneReadAtItsCarefulEnd(School school) {
    WildFormulas wild = new WildFormulas(5);
    for (int i = 0; i < MANY; i++) {
      Brew brew = wild.brew();
      double scale = wild.scale();
      Prediction p = brew.predict(scale, Facts.NONE);
      Sourness.Ph ph = p.contents().ph();
      if (!ph.exists() || ph.high() > 12) {
        continue;
      }
      int last = brew.formula().steps().size() - 1;
      Prediction read =
          brew.predict(scale, Facts.NONE.with(last, StepFacts.NONE.with(Reading.PH, ph.high())));
      KeepingClass estimated = Classifier.classify(p.contents(), school).keepingClass();
      KeepingClass careful = Classifier.classify(read.contents(), school).keepingClass();
      assertThat(life(estimated, school))
          .as(estimated + " against " + careful + " at " + ph)
          .isLessThanOrEqualTo(life(careful, school) + 1e-9);
    }
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void aHigherPhNeverGivesALaterDate(School school) {
    WildFormulas wild = new WildFormulas(6);
    for (int i = 0; i < MANY / 4; i++) {
      Brew brew = wild.brew();
      double scale = wild.scale();
      int last = brew.formula().steps().size() - 1;
      Instant before = null;
      for (double ph = 2.2; ph < 9; ph += 0.4) {
        Facts facts = Facts.NONE.with(last, StepFacts.NONE.with(Reading.PH, ph));
        Instant ends = judge(brew, brew.predict(scale, facts), school).runsOut();
        if (before != null) {
          assertThat(ends)
              .as(brew.formula().method() + " at pH " + ph)
              .isBeforeOrEqualTo(before.plusSeconds(1));
        }
        before = ends;
      }
    }
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void moreJuiceNeverGivesALaterDate(School school) {
    WildFormulas wild = new WildFormulas(7);
    int spoiled = 0;
    for (int i = 0; i < MANY; i++) {
      Brew brew = wild.brew();
      Formula plain = brew.formula();
      if (plain.ingredient("onion-juice").isPresent() || plain.steps().size() < 2) {
        continue;
      }
      double scale = wild.scale();
      Prediction before = brew.predict(scale, Facts.NONE);
      if (before.finished().millilitres() < 1) {
        // Strained before it was blended, nothing is in the bottle that could keep.
        continue;
      }
      Instant without = judge(brew, before, school).runsOut();
      List<Ingredient> more = new ArrayList<>(plain.ingredients());
      more.add(new Ingredient("onion-juice", "onion-juice", new Proportion.PercentOfFinished(20)));
      List<Step> steps = new ArrayList<>(plain.steps());
      steps.add(steps.size() - 1, new Step.Add(List.of("onion-juice"), 60, Guide.NONE));
      Brew juicy = brew.with(plain.with(more, steps));
      // Stirring in takes its minutes and cools; what is compared is life, not handwork.
      int previous = plain.steps().size() - 2;
      Facts atOnce =
          Facts.NONE.with(
              steps.size() - 2,
              StepFacts.lasting(0).with(Reading.TEMPERATURE, before.steps().get(previous).endC()));
      Prediction after = juicy.predict(scale, atOnce);
      if (before.finished().oilShare() > 0.5 && after.finished().oilShare() <= 0.5) {
        // Oil with water in it became water with oil in it: that is what decides, not the juice.
        continue;
      }
      Instant with = judge(juicy, after, school).runsOut();
      assertThat(with)
          .as(plain.method() + " " + plain.steps())
          .isBeforeOrEqualTo(without.plusSeconds(2 * 3600));
      spoiled += with.isBefore(without.minusSeconds(3600)) ? 1 : 0;
    }
    assertThat(spoiled).isGreaterThan(MANY / 5);
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void moreDelayNeverGivesALaterDateToWhatSpoils(School school) {
    WildFormulas wild = new WildFormulas(8);
    for (int i = 0; i < MANY; i++) {
      Brew brew = wild.brew();
      double scale = wild.scale();
      Prediction plain = brew.predict(scale, Facts.NONE);
      Verdict prompt = judge(brew, plain, school);
      if (prompt.clock() != Verdict.Clock.BUDGET
          || plain.finished().millilitres() < 1
          || endC(plain) > brew.kitchen().climate().roomC() + 1) {
        // What is warmer than its room may cool faster in a wide pot than in a jar.
        continue;
      }
      List<Step> steps = new ArrayList<>(brew.formula().steps());
      steps.add(
          steps.size() - 1, new Step.Soak(Place.ROOM, Window.minutes(120, 300, 600), Guide.NONE));
      Brew late = brew.with(brew.formula().withSteps(steps));
      Verdict delayed = judge(late, late.predict(scale, Facts.NONE), school);
      assertThat(delayed.runsOut())
          .as(
              brew.kitchen().climate()
                  + " "
                  + brew.formula().method()
                  + " "
                  + brew.formula().steps())
          .isBeforeOrEqualTo(prompt.runsOut().plusSeconds(60));
    }
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void aWeakerPreservativeNeverGivesALaterDate(School school) {
    WildFormulas wild = new WildFormulas(9);
    for (int i = 0; i < MANY / 4; i++) {
      Brew brew = wild.brew();
      if (brew.formula().ingredient("phenoxyethanol").isPresent()) {
        continue;
      }
      double scale = wild.scale();
      Instant before = null;
      for (double percent : new double[] {0.9, 0.6, 0.4, 0.1}) {
        List<Ingredient> more = new ArrayList<>(brew.formula().ingredients());
        more.add(
            new Ingredient(
                "phenoxyethanol", "phenoxyethanol", new Proportion.PercentOfFinished(percent)));
        List<Step> steps = new ArrayList<>(brew.formula().steps());
        steps.add(steps.size() - 1, new Step.Add(List.of("phenoxyethanol"), 60, Guide.NONE));
        Brew dosed = brew.with(brew.formula().with(more, steps));
        Instant ends = judge(dosed, dosed.predict(scale, Facts.NONE), school).runsOut();
        if (before != null) {
          assertThat(ends)
              .as(brew.formula().method() + " with " + percent + " %")
              .isBeforeOrEqualTo(before.plusSeconds(120));
        }
        before = ends;
      }
    }
  }

  @Test
  void aClassThatMayFlipIsTold() {
    WildFormulas wild = new WildFormulas(10);
    int told = 0;
    for (int i = 0; i < MANY / 8; i++) {
      Brew brew = wild.brew();
      double scale = wild.scale();
      VesselChoice vessels = brew.vesselsFor(scale);
      Prediction p = brew.predict(scale, vessels, Facts.NONE);
      Keeping keeping = Kept.inFridge(START, ZoneOffset.UTC, School.CAREFUL);
      Outlook outlook = Outlook.of(brew, scale, vessels, Facts.NONE, p, keeping);
      KeepingClass own = keeping.lasts(brew, p).keepingClass();
      assertThat(outlook.otherClasses()).doesNotContain(own);
      told += outlook.otherClasses().isEmpty() ? 0 : 1;
    }
    assertThat(told).isPositive();
  }
}
