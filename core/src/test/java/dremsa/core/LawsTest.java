package dremsa.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.TracePoint;
import dremsa.core.brew.WaterAccount;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Kept;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Figures;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Place;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.ScoopSet;
import dremsa.core.scale.Portion;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Laws that hold for any formula; random input from fixed seeds. */
class LawsTest {
  private static final Kitchen LARGE = Figures.large(Kitchens.METRIC);
  private static final ZoneId ZONE = ZoneId.of("Europe/Dublin");
  private static final Instant START = Instant.parse("2026-03-24T09:00:00Z");
  private static final int MANY = 300;

  private static Brew brew(Formula formula) {
    return Kitchens.in(LARGE, formula);
  }

  @Test
  void whatGoesInComesOut() {
    RandomFormulas formulas = new RandomFormulas(1);
    for (int i = 0; i < MANY; i++) {
      Prediction p =
          brew(formulas.next()).predict(0.2 + formulas.random().nextDouble(), Facts.NONE);
      WaterAccount a = p.account();
      double out = a.bottled() + a.held() + a.cloth() + a.steam() + a.apart() + a.unaccounted();
      assertThat(out).isCloseTo(a.in(), within(1e-9 * a.in()));
      assertThat(List.of(a.bottled(), a.held(), a.cloth(), a.steam())).allMatch(part -> part >= 0);
      assertThat(p.contents().liquid()).isCloseTo(a.bottled(), within(1e-9 * a.in()));
      assertThat(p.contents().grams()).isCloseTo(p.finished().grams(), within(1e-9 * a.in()));
    }
  }

  @Test
  void steamIsNeverMoreThanTheHeatThatMadeIt() {
    double high = LARGE.strongestHob().orElseThrow().high().value();
    RandomFormulas formulas = new RandomFormulas(2);
    for (int i = 0; i < MANY; i++) {
      Formula formula = formulas.next();
      Prediction p = brew(formula).predict(0.2 + formulas.random().nextDouble(), Facts.NONE);
      double hobJoules = 0;
      for (StepOutcome outcome : p.steps()) {
        Step step = formula.steps().get(outcome.index());
        if (step instanceof Step.Heat || step instanceof Step.Boil) {
          hobJoules += high * outcome.minutes() * 60;
        }
        if (step instanceof Step.Boil) {
          double gone = gramsAt(p, outcome.startMinute()) - gramsAt(p, outcome.endMinute());
          assertThat(gone).isLessThanOrEqualTo(high * outcome.minutes() * 60 / 2256 + 1e-6);
        }
      }
      boolean poured =
          ((Step.Combine) formula.steps().get(0)).liquid() == Step.LiquidHeat.JUST_BOILED;
      double pourJoules = poured ? p.amounts().get("water") * 4.186 * 96 : 0;
      // What the room gives a brew that evaporation has made cooler than the room.
      double roomJoules = 8 * 0.4 * 21 * p.steps().get(p.steps().size() - 1).endMinute() * 60;
      assertThat(p.account().steam() * 2256).isLessThan(hobJoules + pourJoules + roomJoules);
    }
  }

  private static double gramsAt(Prediction p, double minute) {
    double grams = Double.NaN;
    for (TracePoint point : p.trace()) {
      if (point.minute() <= minute + 1e-9) {
        grams = point.grams();
      }
    }
    return grams;
  }

  @Test
  void moreOfEverythingGivesMoreInTheBottle() {
    RandomFormulas formulas = new RandomFormulas(3);
    for (int i = 0; i < MANY / 3; i++) {
      Brew brew = brew(formulas.next());
      double before = -1;
      for (double scale = 0.1; scale < 4; scale *= 1.5) {
        double ml = brew.bottledMl(scale, brew.vesselsFor(4), Facts.NONE);
        assertThat(ml).isGreaterThanOrEqualTo(before);
        before = ml;
      }
    }
  }

  @Test
  void solvingThenPredictingReturnsTheTargetOrSaysWhyNot() {
    RandomFormulas formulas = new RandomFormulas(4);
    int reached = 0;
    for (int i = 0; i < MANY; i++) {
      Brew brew = brew(formulas.next());
      double wanted = 50 + formulas.random().nextInt(3000);
      Solution solution = Scaling.solve(brew, new Target.Volume(wanted), Facts.NONE);
      if (solution instanceof Solution.Reached r) {
        reached++;
        Prediction again = r.brew().predict(r.scale(), r.vessels(), Facts.NONE);
        assertThat(again.finished().millilitres()).isCloseTo(wanted, within(wanted * 0.001));
      } else {
        Solution.Unreachable no = (Solution.Unreachable) solution;
        assertThat(no.troubles()).isNotEmpty();
        assertThat(no.troubles()).allMatch(trouble -> !trouble.words().isBlank());
      }
    }
    assertThat(reached).isGreaterThan(MANY / 2);
  }

  @Test
  void roundingNeverPassesALimit() {
    RandomFormulas formulas = new RandomFormulas(5);
    for (int i = 0; i < MANY; i++) {
      Brew brew = brew(formulas.next());
      Prediction p = brew.predict(0.1 + formulas.random().nextDouble(), Facts.NONE);
      for (Portion portion : Scaling.portions(brew, p)) {
        if (portion.material().kind().role() == MaterialKind.Role.ADDITIVE) {
          assertThat(portion.scooped().millilitres())
              .isLessThanOrEqualTo(portion.millilitres() * (1 + 1e-9));
        } else if (portion.scooped().millilitres() > 0) {
          // One smallest scoop is the coarsest that a nearest rounding can be off.
          assertThat(Math.abs(portion.scooped().millilitres() - portion.millilitres()))
              .as(portion.millilitres() + " " + portion.scooped().words())
              .isLessThanOrEqualTo(
                  Math.max(ScoopSet.TOLERANCE * portion.millilitres(), smallest() / 2 + 1e-9));
        }
      }
    }
  }

  private static double smallest() {
    return LARGE.scoops().scoops().stream().mapToDouble(s -> s.millilitres()).min().orElseThrow();
  }

  @ParameterizedTest
  @EnumSource(School.class)
  void noEventButFreezingLengthensLifeAndNoDatePassesTheCap(School school) {
    RandomFormulas formulas = new RandomFormulas(6);
    Random random = formulas.random();
    for (int i = 0; i < MANY; i++) {
      Brew brew = brew(formulas.next());
      Prediction p = brew.predict(0.3, Facts.NONE);
      Place place = random.nextInt(4) == 0 ? Place.ROOM : Place.FRIDGE;
      boolean clean = random.nextBoolean();
      List<KeepEvent> events = new ArrayList<>();
      Verdict before = judge(brew, p, school, place, clean, events);
      for (int n = 0; n < 4; n++) {
        Instant at = START.plus(random.nextInt(300), ChronoUnit.HOURS);
        events.add(
            switch (random.nextInt(3)) {
              case 0 ->
                  new KeepEvent.Warmed(
                      at, 0.5 + random.nextDouble() * 20, random.nextDouble() * 38, "left out");
              case 1 -> new KeepEvent.Opened(at);
              default -> new KeepEvent.Moved(at, Place.ROOM);
            });
        Verdict after = judge(brew, p, school, place, clean, events);
        // A second for the integration: what is cut in two is reckoned a little more closely.
        assertThat(after.runsOut()).isBeforeOrEqualTo(before.runsOut().plusSeconds(1));
        assertThat(after.lastDay()).isBeforeOrEqualTo(before.lastDay());
        before = after;
      }
      double cap = before.keepingClass().cap(school).value() * 24;
      Instant strained = START.plusMillis(Math.round(p.heat().strainedMinute() * 60_000));
      assertThat(before.runsOut())
          .isBeforeOrEqualTo(strained.plusMillis(Math.round(cap * 3_600_000) + 1));
    }
  }

  @Test
  void aWarmerRoomNeverGivesALaterDate() {
    RandomFormulas formulas = new RandomFormulas(7);
    for (int i = 0; i < MANY; i++) {
      Brew brew = brew(formulas.next());
      Prediction p = brew.predict(0.3, Facts.NONE);
      Instant at = START.plus(40, ChronoUnit.HOURS);
      Instant last = null;
      for (double celsius = 5; celsius <= 40; celsius += 5) {
        KeepEvent out = new KeepEvent.Warmed(at, 6, celsius, "left out");
        Instant ends = judge(brew, p, School.CAREFUL, Place.FRIDGE, false, List.of(out)).runsOut();
        if (last != null) {
          assertThat(ends).isBeforeOrEqualTo(last);
        }
        last = ends;
      }
    }
  }

  @Test
  void freezingIsTheOneThingThatPauses() {
    Brew brew = Kitchens.builtIn("lemon-balm-spray");
    Prediction p = Kitchens.half(brew).prediction();
    Instant in = START.plus(1, ChronoUnit.DAYS);
    KeepEvent frozen = new KeepEvent.Moved(in, Place.FREEZER);
    assertThat(judge(brew, p, School.CAREFUL, Place.FRIDGE, false, List.of(frozen)).runsOut())
        .isAfter(judge(brew, p, School.CAREFUL, Place.FRIDGE, false, List.of()).runsOut());
  }

  @Test
  void theSameInputGivesTheSameOutput() {
    RandomFormulas one = new RandomFormulas(8);
    RandomFormulas two = new RandomFormulas(8);
    for (int i = 0; i < 50; i++) {
      assertThat(brew(one.next()).predict(0.5, Facts.NONE))
          .isEqualTo(brew(two.next()).predict(0.5, Facts.NONE));
    }
  }

  private static Verdict judge(
      Brew brew, Prediction p, School school, Place place, boolean clean, List<KeepEvent> events) {
    return Kept.of(START, ZONE, school, place, events)
        .withCleanWorking(clean)
        .judge(brew, p, START.plus(20, ChronoUnit.DAYS));
  }
}
