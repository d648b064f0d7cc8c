package dremsa.core.people;

import dremsa.core.measure.Said;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.WeekDay;

/** When an occasion comes round. */
public sealed interface Repeat {
  /**
   * By a recurrence rule (RFC 5545, 3.3.10), on days.
   *
   * @param first the day from which on it is reckoned
   * @param rule {@code "FREQ=WEEKLY;BYDAY=SU"}; days or longer, nothing within a day
   * @param last no day after this one
   */
  record ByRule(LocalDate first, String rule, Optional<LocalDate> last) implements Repeat {
    private static final int LONGEST = 200;

    /** A rule that brings no day within so many years brings none. */
    private static final int YEARS_TRIED = 12;

    /**
     * Checks that it is a rule and that it ever occurs.
     *
     * @throws InvalidPersonException names the field
     */
    public ByRule {
      Objects.requireNonNull(first, "first");
      Objects.requireNonNull(last, "last");
      rule = rule.strip().toUpperCase(Locale.ROOT);
      if (rule.startsWith("RRULE:")) {
        rule = rule.substring("RRULE:".length());
      }
      if (first.getYear() < 1950 || first.getYear() > 2200) {
        throw new InvalidPersonException("first", "A day between 1950 and 2200.");
      }
      check(rule, first, last);
    }

    private static void check(String rule, LocalDate first, Optional<LocalDate> last) {
      if (rule.length() > LONGEST) {
        throw new InvalidPersonException("rule", "That rule is too long.");
      }
      Recur<LocalDate> recur = read(rule);
      boolean days =
          switch (recur.getFrequency()) {
            case DAILY, WEEKLY, MONTHLY, YEARLY -> true;
            case HOURLY, MINUTELY, SECONDLY -> false;
          };
      if (!days
          || !recur.getHourList().isEmpty()
          || !recur.getMinuteList().isEmpty()
          || !recur.getSecondList().isEmpty()) {
        throw new InvalidPersonException("rule", "Once a day is the most: no hours and minutes.");
      }
      if (last.isPresent() && last.get().isBefore(first)) {
        throw new InvalidPersonException("last", "It ends before it begins.");
      }
      LocalDate end = first.plusYears(YEARS_TRIED);
      if (dates(recur, first, first, last.filter(day -> day.isBefore(end)).orElse(end), 1)
          .isEmpty()) {
        throw new InvalidPersonException("rule", "By this rule it never comes round.");
      }
    }

    private static Recur<LocalDate> read(String rule) {
      try {
        return new Recur<>(rule);
      } catch (RuntimeException e) {
        throw new InvalidPersonException(
            "rule", "This is no rule for a calendar (RFC 5545), such as FREQ=WEEKLY;BYDAY=SU.");
      }
    }

    private static List<LocalDate> dates(
        Recur<LocalDate> recur, LocalDate seed, LocalDate from, LocalDate to, int most) {
      try {
        return most == 1
            ? recur.getDatesAsStream(seed, from, to, most).toList()
            : recur.getDates(seed, from, to);
      } catch (RuntimeException e) {
        throw new InvalidPersonException("rule", "This rule cannot be reckoned.");
      }
    }

    @Override
    public List<LocalDate> between(LocalDate from, LocalDate to, List<LocalDate> followed) {
      LocalDate end = last.filter(day -> day.isBefore(to)).orElse(to);
      LocalDate begin = from.isBefore(first) ? first : from;
      return begin.isAfter(end)
          ? List.of()
          : dates(read(rule), first, begin, end, Integer.MAX_VALUE).stream()
              .filter(day -> !day.isBefore(begin) && !day.isAfter(end))
              .distinct()
              .sorted()
              .toList();
    }

    @Override
    public String words() {
      Recur<LocalDate> recur = read(rule);
      int every = Math.max(1, recur.getInterval());
      String said =
          switch (recur.getFrequency()) {
            case DAILY -> every == 1 ? "every day" : "every " + every + " days";
            case WEEKLY -> weekly(recur, every);
            case MONTHLY -> monthly(recur, every);
            case YEARLY, HOURLY, MINUTELY, SECONDLY -> "by the rule " + rule;
          };
      if (recur.getCount() > 0) {
        said = said + ", " + recur.getCount() + (recur.getCount() == 1 ? " time" : " times");
      }
      return said + last.map(day -> ", till " + Said.day(day)).orElse("");
    }

    private String weekly(Recur<LocalDate> recur, int every) {
      List<String> days = new ArrayList<>();
      for (WeekDay day : recur.getDayList()) {
        days.add(name(day));
      }
      if (days.isEmpty()) {
        days.add(first.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.UK));
      }
      if (days.size() == 7 && every == 1) {
        return "every day";
      }
      return every == 1
          ? Said.and(days.stream().map(day -> day + "s").toList())
          : every == 2
              ? "every second " + Said.and(days)
              : Said.and(days) + " every " + every + " weeks";
    }

    private static String name(WeekDay day) {
      DayOfWeek named = Objects.requireNonNull(WeekDay.getDayOfWeek(day));
      return named.getDisplayName(TextStyle.FULL, Locale.UK);
    }

    private String monthly(Recur<LocalDate> recur, int every) {
      String month = every == 1 ? "every month" : "every " + every + " months";
      if (!recur.getDayList().isEmpty() || recur.getMonthDayList().size() > 1) {
        return month + ", by the rule " + rule;
      }
      int day =
          recur.getMonthDayList().isEmpty()
              ? first.getDayOfMonth()
              : recur.getMonthDayList().get(0);
      return day < 0 ? month + ", by the rule " + rule : month + " on day " + day;
    }
  }

  /**
   * With every so-many-th of another occasion of the same person: "every second wash day".
   *
   * @param occasion key of the other one
   * @param every 1 to 12
   * @param first the day from which on it is counted
   */
  record With(String occasion, int every, LocalDate first) implements Repeat {
    public With {
      Objects.requireNonNull(occasion, "occasion");
      Objects.requireNonNull(first, "first");
      if (every < 1 || every > 12) {
        throw new InvalidPersonException("every", "Every 1st to 12th time.");
      }
    }

    @Override
    public List<LocalDate> between(LocalDate from, LocalDate to, List<LocalDate> followed) {
      List<LocalDate> counted =
          followed.stream().filter(day -> !day.isBefore(first)).sorted().toList();
      List<LocalDate> days = new ArrayList<>();
      for (int i = 0; i < counted.size(); i += every) {
        LocalDate day = counted.get(i);
        if (!day.isBefore(from) && !day.isAfter(to)) {
          days.add(day);
        }
      }
      return days;
    }

    @Override
    public String words() {
      return every == 1
          ? "with each of the other"
          : every == 2
              ? "every second time of the other"
              : "every " + every + "th time of the other";
    }
  }

  /**
   * The days of a span, both ends included, in their order.
   *
   * @param followed all days of the occasion that it follows, from its first day on
   */
  List<LocalDate> between(LocalDate from, LocalDate to, List<LocalDate> followed);

  /** As it is said: {@code "Sundays"}, {@code "every 10 days"}. */
  String words();
}
