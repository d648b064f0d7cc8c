package dremsa.core.keep;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Members;
import dremsa.core.acid.Sourness;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What a maker reads under a date, word for word; a code that data may rest on. */
class ReasonTest {
  private static final Instant THEN = Instant.parse("2026-11-24T10:00:00Z");

  static Stream<Arguments> reasons() {
    return Stream.of(
        said(
            new Reason.OfClass(KeepingClass.INFUSION, "nothing in it keeps it"),
            "OfClass",
            "It counts as " + KeepingClass.INFUSION.words() + ": nothing in it keeps it.",
            ""),
        said(
            new Reason.OfSchool(School.CAREFUL, 72, 168, true),
            "OfSchool",
            "The careful school gives it 3 days at 5 °C, never later than 7 days after straining.",
            "FDA Food Code 3-501.17 (7 days at 5 °C); USP <795> (14 days refrigerated)"),
        said(
            new Reason.OfSchool(School.PRACTICE, Double.POSITIVE_INFINITY, 720, false),
            "OfSchool",
            "The practice school keeps it never later than 30 days after straining.",
            ""),
        said(
            new Reason.OfSchool(School.CAREFUL, 0, 24, false),
            "OfSchool",
            "The careful school keeps none of it: use it now.",
            ""),
        said(
            new Reason.Warmth("Steep, covered", 1.5, 6),
            "Warmth",
            "Steep, covered: 1.5 h took 6 h off its life.",
            "Square-root spoilage model, Ratkowsky et al. 1982; FAO Fisheries Technical Paper 348"),
        said(
            new Reason.Binds(Verdict.Clock.BUDGET, THEN),
            "Binds",
            "Its life runs out first; the last day is the last whole day before that.",
            "FDA Food Code 3-501.17: the day of preparation is day 1"),
        said(
            new Reason.Binds(Verdict.Clock.THAWED, THEN),
            "Binds",
            "Thawed, it keeps at most 48 hours at 5 °C and is never frozen again.",
            "FDA Food Code 3-501.17: the day of preparation is day 1"),
        said(
            new Reason.Marked(336),
            "Marked",
            "Marked: beyond the published 14 days. Only with clean working: sterilised bottle,"
                + " strained fine, fridge at 5 °C.",
            "USP <795> beyond-use dates"),
        said(new Reason.UseNow(0), "UseNow", "Nothing of it keeps: throw away what is left.", ""),
        said(
            new Reason.UseNow(0.5),
            "UseNow",
            "Less than a whole day is left: use it now, keep nothing.",
            ""),
        said(new Reason.Help("Chill it at once."), "Help", "Chill it at once.", ""),
        said(
            new Reason.OfPart("Mint rinse", 0.41, KeepingClass.INFUSION),
            "OfPart",
            "Mint rinse went into it with 41 % of its life spent: that share counts for all of it.",
            ""),
        said(
            new Reason.OfPart("Mint rinse", 0, KeepingClass.INFUSION),
            "OfPart",
            "Mint rinse went into it: it keeps no longer than that.",
            ""),
        said(
            new Reason.SlowCooling(true, 2.5, 8, true),
            "SlowCooling",
            "After straining it takes 2.5 h to room temperature and 8 h to the fridge's; 2 h and"
                + " 6 h are the yardstick. A shallow dish, an ice bath or smaller jars cool it"
                + " faster.",
            "FDA Food Code 3-501.14"),
        said(
            new Reason.SlowCooling(false, 0, 5, false),
            "SlowCooling",
            "From room temperature it takes 5 h to the fridge's; 4 h are the yardstick. Smaller"
                + " bottles or an ice bath cool it faster.",
            "FDA Food Code 3-501.14"),
        said(
            new Reason.SealedJar(read(4.2)),
            "SealedJar",
            "A sealed jar does not keep it: only cold, spirit or a working preservative do.",
            "21 CFR 114.3"),
        said(
            new Reason.SealedJar(read(5)),
            "SealedJar",
            "Above pH 4.6 a sealed jar at room temperature is no way to keep it.",
            "21 CFR 114.3"),
        said(
            new Reason.NotSurelySour(read(5.2)),
            "NotSurelySour",
            "Its pH was read as 5.2, above 4.6: it has not fermented, so the time it stood counts"
                + " in full.",
            "21 CFR 114.3: the line of acid food is pH 4.6"),
        said(
            new Reason.PlantLeftIn(0.021),
            "PlantLeftIn",
            "2.1 % of it is plant left in: the more, the shorter it keeps; at 5 % it is a paste.",
            ""),
        said(
            new Reason.NotConfirmed(168, 240),
            "NotConfirmed",
            "The practice school would go to 10 days. Until clean working is confirmed (sterilised"
                + " bottle, strained fine, fridge at 5 °C) it is held at the published 7 days.",
            "USP <795> beyond-use dates"),
        said(
            new Reason.Printed(LocalDate.parse("2026-12-01")),
            "Printed",
            "2026-12-01 was printed or told before: such a date never moves later.",
            ""));
  }

  private static Sourness.Ph read(double ph) {
    return new Sourness.Ph(ph, ph, ph, true);
  }

  private static Arguments said(Reason reason, String code, String words, String source) {
    return Arguments.of(reason, code, words, source);
  }

  @ParameterizedTest
  @MethodSource("reasons")
  void saysWhatItMeans(Reason reason, String code, String words, String source) {
    assertThat(reason.code()).isEqualTo(code);
    assertThat(reason.words()).isEqualTo(words);
    assertThat(reason.source()).isEqualTo(source);
  }

  @Test
  void noReasonIsForgotten() {
    List<?> all = reasons().map(a -> a.get()[0]).toList();
    Members.allIn(Reason.class, all);
  }
}
