package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When an occasion comes round, and what becomes of it. */
class RepeatTest {
  private static Repeat.ByRule rule(String first, String rule) {
    return new Repeat.ByRule(LocalDate.parse(first), rule, Optional.empty());
  }

  private static List<String> days(Repeat repeat, String from, String to) {
    return repeat.between(LocalDate.parse(from), LocalDate.parse(to), List.of()).stream()
        .map(LocalDate::toString)
        .toList();
  }

  /** The examples of RFC 5545, 3.8.5.3, that are on days, and a leap day. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1997-09-02|FREQ=DAILY;INTERVAL=10|1997-10-15|1997-09-02,1997-09-12,1997-09-22,1997-10-02,1997-10-12",
        "1997-09-02|FREQ=WEEKLY;INTERVAL=2|1997-10-20|1997-09-02,1997-09-16,1997-09-30,1997-10-14",
        "1997-09-02|FREQ=WEEKLY;BYDAY=TU,TH|1997-09-12|1997-09-02,1997-09-04,1997-09-09,1997-09-11",
        "1997-09-05|FREQ=MONTHLY;BYDAY=1FR|1997-11-30|1997-09-05,1997-10-03,1997-11-07",
        "2027-02-28|FREQ=DAILY|2027-03-01|2027-02-28,2027-03-01",
        "2028-02-28|FREQ=DAILY|2028-03-01|2028-02-28,2028-02-29,2028-03-01",
      })
  void aRuleBringsTheDaysOfTheStandard(String first, String rule, String to, String expected) {
    assertThat(days(rule(first, rule), first, to)).containsExactly(expected.split(","));
  }

  @Test
  void aChangeOfSummerTimeMovesNoDay() {
    // Dublin changes on 2026-03-29: Sundays at ten stay Sundays at ten.
    Repeat sundays = rule("2026-03-15", "FREQ=WEEKLY;BYDAY=SU");
    ZoneId dublin = ZoneId.of("Europe/Dublin");
    assertThat(
            sundays
                .between(LocalDate.parse("2026-03-22"), LocalDate.parse("2026-04-05"), List.of())
                .stream()
                .map(day -> day.atTime(LocalTime.of(10, 0)).atZone(dublin).toInstant().toString()))
        .containsExactly("2026-03-22T10:00:00Z", "2026-03-29T09:00:00Z", "2026-04-05T09:00:00Z");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "FREQ=WEEKLY;BYDAY=SU|Sundays",
        "FREQ=WEEKLY|Sundays",
        "FREQ=WEEKLY;BYDAY=MO,TH|Mondays and Thursdays",
        "FREQ=WEEKLY;INTERVAL=2;BYDAY=SU|every second Sunday",
        "FREQ=WEEKLY;INTERVAL=3;BYDAY=SA|Saturday every 3 weeks",
        "FREQ=DAILY;INTERVAL=10|every 10 days",
        "FREQ=DAILY;COUNT=3|every day, 3 times",
        "FREQ=MONTHLY;BYMONTHDAY=14|every month on day 14",
      })
  void aRuleIsSaidInWords(String rule, String words) {
    assertThat(rule("2026-03-08", rule).words()).isEqualTo(words);
  }

  @Test
  void theTakeDownEndsIt() {
    Repeat.ByRule till =
        new Repeat.ByRule(
            Heads.SUNDAY, "FREQ=WEEKLY;BYDAY=WE", Optional.of(LocalDate.parse("2026-03-18")));
    assertThat(till.words()).isEqualTo("Wednesdays, till Wed 18 Mar 2026");
    assertThat(days(till, "2026-03-01", "2026-05-01")).containsExactly("2026-03-11", "2026-03-18");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30|never comes round",
        "FREQ=MINUTELY|Once a day",
        "FREQ=DAILY;BYHOUR=1,2,3|Once a day",
        "every Sunday|no rule",
        "FREQ=SOMETIMES|no rule",
      })
  void whatIsNoRuleIsRefused(String rule, String why) {
    assertThatThrownBy(() -> rule("2026-03-08", rule))
        .isInstanceOf(InvalidPersonException.class)
        .hasMessageContaining(why)
        .extracting(e -> ((InvalidPersonException) e).field())
        .isEqualTo("rule");
  }

  private static Routine routine() {
    List<Slot> slots = List.of(Slot.of(SlotKind.RINSE));
    LocalTime ten = LocalTime.of(10, 0);
    return new Routine(
        List.of(
            new Occasion(
                "wash",
                Occasion.Kind.WASH_DAY,
                "Wash day",
                rule("2026-03-08", "FREQ=WEEKLY;BYDAY=SU"),
                ten,
                slots),
            new Occasion(
                "mask",
                Occasion.Kind.WASH_DAY,
                "Mask",
                new Repeat.With("wash", 2, Heads.SUNDAY),
                ten,
                slots)));
  }

  private static Stream<String> due(List<Due.Said> said, String today) {
    return Due.between(
            routine(), said, LocalDate.parse(today), Heads.SUNDAY, LocalDate.parse("2026-03-23"))
        .stream()
        .map(due -> due.day() + " " + due.occasion().key() + " " + due.state());
  }

  @Test
  void everySecondWashDayFollowsTheWashDays() {
    assertThat(due(List.of(), "2026-03-08"))
        .containsExactly(
            "2026-03-08 mask COMING",
            "2026-03-08 wash COMING",
            "2026-03-15 wash COMING",
            "2026-03-22 mask COMING",
            "2026-03-22 wash COMING");
    assertThat(routine().occasions().get(1).words(routine().occasions()))
        .isEqualTo("every second wash day");
  }

  @Test
  void aMissedOneMovesOnUntilItComesRoundAgain() {
    LocalDate first = Heads.SUNDAY;
    assertThat(due(List.of(), "2026-03-10"))
        .contains("2026-03-10 wash CARRIED", "2026-03-15 wash COMING");
    assertThat(due(List.of(), "2026-03-15"))
        .contains("2026-03-08 wash MISSED", "2026-03-15 wash COMING");
    assertThat(
            due(
                List.of(new Due.Said("wash", first, Optional.of(first.plusDays(3)), false)),
                "2026-03-09"))
        .contains("2026-03-11 wash MOVED");
    assertThat(
            due(
                List.of(new Due.Said("wash", first, Optional.of(first.plusDays(1)), true)),
                "2026-03-12"))
        .contains("2026-03-09 wash DONE", "2026-03-12 mask CARRIED");
    assertThat(due(List.of(new Due.Said("wash", first, Optional.empty(), false)), "2026-03-10"))
        .contains("2026-03-08 wash SKIPPED");
  }

  @Test
  void aRoutineOfSixtyThingsIsRefused() {
    List<Slot> many = java.util.Collections.nCopies(60, Slot.of(SlotKind.RINSE));
    assertThatThrownBy(
            () ->
                new Occasion(
                    "wash",
                    Occasion.Kind.WASH_DAY,
                    "Wash day",
                    rule("2026-03-08", "FREQ=DAILY"),
                    LocalTime.NOON,
                    many))
        .hasMessageContaining("not 60");
  }
}
