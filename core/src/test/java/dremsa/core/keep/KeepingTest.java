package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.kitchen.Place;
import dremsa.core.scale.Solution;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeepingTest {
  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final Instant TUESDAY = Instant.parse("2026-11-24T10:00:00Z");

  private final Brew brew = Kitchens.builtIn("lemon-balm-spray");
  private final Solution.Reached half = Kitchens.half(brew);

  private Prediction steeped(double hours) {
    return brew.predict(
        half.scale(), half.vessels(), Facts.NONE.with(1, StepFacts.lasting(hours * 60)));
  }

  private Verdict judge(Prediction prediction, School school, KeepEvent... events) {
    return Kept.of(TUESDAY, LONDON, school, Place.FRIDGE, List.of(events))
        .judge(brew, prediction, TUESDAY.plus(10, ChronoUnit.DAYS));
  }

  @Test
  void theDayAddsUpInWords() {
    Verdict verdict = judge(steeped(3), School.CAREFUL);
    assertThat(verdict.subtraction().orElseThrow())
        .startsWith(Math.round(verdict.budgetHours()) + " h − ")
        .endsWith(
            " = " + Math.round(Math.max(0, verdict.budgetHours() - verdict.spentHours())) + " h");
  }

  @ParameterizedTest
  @CsvSource({
    "0.1, 1",
    "5, 1",
    "10, 1.7778",
    "15, 2.7778",
    "8, 1.44",
    "21, 4.2711",
    "28, 6.4178",
    "40, 11.1111",
    "45, 11.1111",
    "57, 0",
    "80, 0",
    "-18, 0"
  })
  void spendsLifeAtThePublishedRate(double celsius, double rate) {
    // FAO Fisheries Technical Paper 348 (from memory): relative spoilage (1 + 0.1 T)², here over
    // its
    // value at 5 °C, 2.25; never below 1 above freezing.
    assertThat(Spoilage.rate(celsius)).isCloseTo(rate, within(0.001));
  }

  @Test
  void countsTheDayOfPreparationAsDayOne() {
    // FDA Food Code 3-501.17: 7 days, the day of preparation being day 1.
    assertThat(Keeping.lastWholeDay(TUESDAY.plus(168, ChronoUnit.HOURS), LONDON))
        .isEqualTo(LocalDate.parse("2026-11-30"));
  }

  @ParameterizedTest
  @CsvSource({
    // The last whole local day, also over the nights in which the clocks change.
    "2026-03-28T12:00:00Z, Europe/London, 2026-03-27",
    "2026-03-29T00:30:00Z, Europe/London, 2026-03-28",
    "2026-03-29T23:30:00Z, Europe/London, 2026-03-29",
    "2026-10-25T23:30:00Z, Europe/London, 2026-10-24",
    "2026-11-01T05:30:00Z, America/New_York, 2026-10-31",
    "2026-11-01T04:30:00Z, America/New_York, 2026-10-31"
  })
  void knowsTheHouseholdsDay(Instant end, ZoneId zone, LocalDate last) {
    assertThat(Keeping.lastWholeDay(end, zone)).isEqualTo(last);
  }

  @Test
  void aNightOnTheCounterCostsAboutTwoDays() {
    // Common practice: a 12 h counter infusion keeps about two days less than a 3 h one.
    Verdict afternoon = judge(steeped(3), School.CAREFUL);
    Verdict night = judge(steeped(12), School.CAREFUL);
    double hours = ChronoUnit.MINUTES.between(night.runsOut(), afternoon.runsOut()) / 60.0;
    // The night itself is part of the difference: nine hours later made, two days shorter kept.
    assertThat(hours + 9).isBetween(36.0, 60.0);
    assertThat(night.spent().get(0).spent()).isCloseTo(61, within(4.0));
    assertThat(afternoon.spent().get(0).spent()).isCloseTo(18, within(2.0));
  }

  @Test
  void noDatePassesItsCap() {
    for (School school : School.values()) {
      Verdict verdict = judge(steeped(2), school);
      assertThat(verdict.runsOut()).isBeforeOrEqualTo(verdict.capEnds());
      assertThat(verdict.lastDay()).isBefore(verdict.capEnds().atZone(LONDON).toLocalDate());
    }
    assertThat(judge(steeped(2), School.PRACTICE).lastDay())
        .isAfter(judge(steeped(2), School.CAREFUL).lastDay());
  }

  @Test
  void warmthNeverGivesALaterDate() {
    Random random = new Random(5);
    Prediction prediction = steeped(3);
    for (int i = 0; i < 200; i++) {
      Instant at = TUESDAY.plus(5 + random.nextInt(140), ChronoUnit.HOURS);
      double hours = 0.5 + random.nextDouble() * 20;
      double celsius = 5 + random.nextDouble() * 30;
      Verdict plain = judge(prediction, School.CAREFUL);
      Verdict warm =
          judge(prediction, School.CAREFUL, new KeepEvent.Warmed(at, hours, celsius, "left out"));
      Verdict warmer =
          judge(
              prediction, School.CAREFUL, new KeepEvent.Warmed(at, hours, celsius + 5, "left out"));
      Verdict longer =
          judge(
              prediction, School.CAREFUL, new KeepEvent.Warmed(at, hours + 3, celsius, "left out"));
      assertThat(warm.runsOut()).isBeforeOrEqualTo(plain.runsOut());
      assertThat(warmer.runsOut()).isBeforeOrEqualTo(warm.runsOut());
      assertThat(longer.runsOut()).isBeforeOrEqualTo(warm.runsOut());
    }
  }

  @Test
  void leavingTheFridgeForGoodAllowsOneDay() {
    Verdict moved =
        judge(
            steeped(3),
            School.CAREFUL,
            new KeepEvent.Moved(TUESDAY.plus(4, ChronoUnit.HOURS), Place.ROOM));
    assertThat(moved.clock()).isEqualTo(Verdict.Clock.ROOM);
    assertThat(moved.lastDay()).isEqualTo(LocalDate.parse("2026-11-24"));
  }

  @Test
  void tellsItsReasons() {
    Verdict verdict = judge(steeped(12), School.CAREFUL);
    assertThat(verdict.reasons())
        .hasAtLeastOneElementOfType(Reason.OfClass.class)
        .hasAtLeastOneElementOfType(Reason.OfSchool.class)
        .hasAtLeastOneElementOfType(Reason.Warmth.class)
        .hasAtLeastOneElementOfType(Reason.Binds.class)
        .allSatisfy(reason -> assertThat(reason.words()).endsWith(".").doesNotContain("Infinity"));
  }

  @Test
  void twoDaysOnTheCounterLeaveNothing() {
    Verdict verdict = judge(steeped(48), School.CAREFUL);
    assertThat(verdict.useNow()).isTrue();
    assertThat(verdict.reasons()).hasAtLeastOneElementOfType(Reason.UseNow.class);
  }

  @Test
  void freezingPausesAndThawingLeavesTwoDays() {
    Instant in = TUESDAY.plus(1, ChronoUnit.DAYS);
    Instant out = TUESDAY.plus(30, ChronoUnit.DAYS);
    Prediction prediction = steeped(3);
    Verdict frozen = judge(prediction, School.CAREFUL, new KeepEvent.Moved(in, Place.FREEZER));
    assertThat(frozen.lastDay()).isAfter(LocalDate.parse("2027-02-18"));
    Verdict thawed =
        Kept.of(
                TUESDAY,
                LONDON,
                School.CAREFUL,
                Place.FRIDGE,
                List.of(
                    new KeepEvent.Moved(in, Place.FREEZER), new KeepEvent.Moved(out, Place.FRIDGE)))
            .judge(brew, prediction, out);
    assertThat(thawed.clock()).isEqualTo(Verdict.Clock.THAWED);
    assertThat(thawed.runsOut()).isEqualTo(out.plus(48, ChronoUnit.HOURS));
  }

  @Test
  void thawedWithinItsCapItHasFortyEightHours() {
    Instant in = TUESDAY.plus(1, ChronoUnit.DAYS);
    Instant out = TUESDAY.plus(3, ChronoUnit.DAYS);
    Verdict thawed =
        judge(
            steeped(3),
            School.CAREFUL,
            new KeepEvent.Moved(in, Place.FREEZER),
            new KeepEvent.Moved(out, Place.FRIDGE));
    assertThat(thawed.clock()).isEqualTo(Verdict.Clock.THAWED);
    assertThat(thawed.runsOut()).isEqualTo(out.plus(48, ChronoUnit.HOURS));
  }

  @Test
  void fingersInAJarOfGelShortenIt() {
    Brew gel = Kitchens.builtIn("linseed-gel");
    Prediction prediction = Kitchens.reached(gel, 250).prediction();
    Instant opened = TUESDAY.plus(6, ChronoUnit.HOURS);
    Keeping shut = Kept.inFridge(TUESDAY, LONDON, School.CAREFUL);
    Keeping touched =
        Kept.of(
            TUESDAY, LONDON, School.CAREFUL, Place.FRIDGE, List.of(new KeepEvent.Opened(opened)));
    Verdict before = shut.judge(gel, prediction, opened);
    Verdict after = touched.judge(gel, prediction, opened);
    assertThat(after.clock()).isEqualTo(Verdict.Clock.OPENED);
    assertThat(after.runsOut()).isBefore(before.runsOut());
    assertThat(after.runsOut()).isBeforeOrEqualTo(opened.plus(120, ChronoUnit.HOURS));
  }

  @Test
  void publishedYardsticksAreTheCarefulCaps() {
    // USP <795> (2023) beyond-use dates (from memory): 14 d unpreserved aqueous refrigerated, 35 d
    // preserved aqueous, 90 d nonaqueous oral liquid, 180 d other nonaqueous.
    assertThat(KeepingClass.INFUSION.capHours(School.CAREFUL)).isEqualTo(14 * 24);
    assertThat(KeepingClass.PRESERVED.capHours(School.CAREFUL)).isEqualTo(35 * 24);
    assertThat(KeepingClass.OIL.capHours(School.CAREFUL)).isEqualTo(90 * 24);
    assertThat(KeepingClass.SPIRIT.capHours(School.CAREFUL)).isEqualTo(180 * 24);
    // FDA Food Code 3-501.17: perishable food 7 days at 5 °C.
    assertThat(KeepingClass.INFUSION.budgetHours(School.CAREFUL)).isEqualTo(168);
    // ISO 29621: 20 % vol alcohol is microbiologically low risk.
    assertThat(Classifier.LOW_RISK_ALCOHOL).isEqualTo(20);
  }

  @Test
  void theOrderOfIndependentEventsDoesNotMatter() {
    KeepEvent first = new KeepEvent.Warmed(TUESDAY.plus(10, ChronoUnit.HOURS), 3, 21, "left out");
    KeepEvent second =
        new KeepEvent.Warmed(TUESDAY.plus(40, ChronoUnit.HOURS), 5, 12, "warm fridge");
    Prediction prediction = steeped(3);
    assertThat(judge(prediction, School.CAREFUL, first, second).runsOut())
        .isEqualTo(judge(prediction, School.CAREFUL, second, first).runsOut());
  }

  @Test
  void theCoolingYardstickIsAdviceWithACure() {
    // FDA Food Code 3-501.14 (from memory): from 57 to 21 °C in 2 h, to 5 °C in 6 h in all.
    Brew gel = Kitchens.builtIn("linseed-light");
    Verdict slow =
        Kept.inFridge(TUESDAY, LONDON, School.CAREFUL)
            .judge(gel, Kitchens.reached(gel, 1500).prediction(), TUESDAY);
    assertThat(slow.reasons())
        .filteredOn(Reason.SlowCooling.class::isInstance)
        .singleElement()
        .satisfies(
            reason -> {
              assertThat(reason.source()).contains("3-501.14");
              assertThat(reason.words()).contains("ice bath");
            });
    Brew tincture = Kitchens.builtIn("rosemary-tincture");
    assertThat(
            Kept.inFridge(TUESDAY, LONDON, School.CAREFUL)
                .judge(tincture, Kitchens.reached(tincture, 200).prediction(), TUESDAY)
                .reasons())
        .noneMatch(Reason.SlowCooling.class::isInstance);
  }

  @Test
  void aSealedJarIsNoWayToKeepIt() {
    // 21 CFR 114.3: the line between acid and low-acid food is pH 4.6.
    Verdict out =
        judge(
            steeped(3),
            School.CAREFUL,
            new KeepEvent.Moved(TUESDAY.plus(4, ChronoUnit.HOURS), Place.ROOM));
    assertThat(out.reasons())
        .filteredOn(Reason.SealedJar.class::isInstance)
        .singleElement()
        .satisfies(reason -> assertThat(reason.words()).contains("pH 4.6"));
  }

  @Test
  void theLongerCapWaitsForCleanWorking() {
    // USP <795> (from memory): 90 days for nonaqueous liquids; some makers go to 180.
    Brew oil = Kitchens.builtIn("calendula-oil");
    Prediction prediction = Kitchens.reached(oil, 200).prediction();
    Keeping practice = Kept.of(TUESDAY, LONDON, School.PRACTICE, Place.ROOM, List.of());
    Verdict held = practice.judge(oil, prediction, TUESDAY);
    Verdict confirmed = practice.withCleanWorking(true).judge(oil, prediction, TUESDAY);
    assertThat(held.marked()).isFalse();
    assertThat(held.reasons()).hasAtLeastOneElementOfType(Reason.NotConfirmed.class);
    assertThat(confirmed.marked()).isTrue();
    assertThat(confirmed.reasons()).hasAtLeastOneElementOfType(Reason.Marked.class);
    assertThat(ChronoUnit.DAYS.between(held.lastDay(), confirmed.lastDay())).isEqualTo(90);
    // The careful school has nothing to confirm.
    Keeping careful = Kept.of(TUESDAY, LONDON, School.CAREFUL, Place.ROOM, List.of());
    assertThat(careful.judge(oil, prediction, TUESDAY))
        .isEqualTo(careful.withCleanWorking(true).judge(oil, prediction, TUESDAY));
  }

  @Test
  void aPrintedDateNeverMovesLater() {
    Verdict now = judge(steeped(3), School.CAREFUL);
    LocalDate printed = now.lastDay().minusDays(2);
    assertThat(now.notAfter(printed).lastDay()).isEqualTo(printed);
    assertThat(now.notAfter(printed).reasons()).hasAtLeastOneElementOfType(Reason.Printed.class);
    assertThat(now.notAfter(now.lastDay().plusDays(1))).isSameAs(now);
  }

  @ParameterizedTest
  @CsvSource({"aloe-juice-fresh", "ginger-scalp-juice"})
  void freshPlantBlendedRawIsRawJuice(String id) {
    Brew brew = Kitchens.builtIn(id);
    Classification found =
        Classifier.classify(brew.predict(0.5, Facts.NONE).contents(), School.CAREFUL);
    assertThat(found.keepingClass()).isEqualTo(KeepingClass.RAW_JUICE);
  }

  @Test
  void cookedGrainHasNoThicknessThatTheModelKnows() {
    assertThat(Kitchens.builtIn("oat-cream").predict(1, Facts.NONE).finished().band()).isEmpty();
    assertThat(Kitchens.builtIn("rice-water").predict(1, Facts.NONE).finished().band())
        .contains(dremsa.core.brew.Thickness.SPRAY);
  }

  /** What is decided of a bottle counts as if it had been so from the beginning. */
  @Test
  void keptByOtherRulesItIsJudgedByThem() {
    KeepEvent.Rules careful = new KeepEvent.Rules(School.CAREFUL, false);
    KeepEvent.Rules practice = new KeepEvent.Rules(School.PRACTICE, true);
    Instant later = TUESDAY.plus(30, ChronoUnit.HOURS);
    Keeping before = Keeping.inFridge(TUESDAY, LONDON, School.CAREFUL, Kept.USUAL);
    Keeping after = before.with(new KeepEvent.KeptBy(later, careful, practice));
    assertThat(after).isEqualTo(before.by(practice));
    assertThat(after.school()).isEqualTo(School.PRACTICE);
    assertThat(after.cleanWorking()).isTrue();
    assertThat(practice.words()).isEqualTo("practice, worked clean");
    assertThat(before.with(new KeepEvent.KeptBy(later, careful, null)).school())
        .as("of a record that does not say which, it stays")
        .isEqualTo(School.CAREFUL);
  }
}
