package dremsa.core.keep;

import dremsa.core.brew.Contents;
import dremsa.core.measure.Said;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * How long a brew keeps. Screen, label and calendar read this one object.
 *
 * @param keepingClass what it counts as
 * @param school that judged it
 * @param lastDay usable through the end of this local day, thrown away from the next; when {@code
 *     useNow}, the day it was made
 * @param useNow no whole day is left: for use at once
 * @param runsOut the moment at which the binding clock ends
 * @param clock the one that binds
 * @param capEnds the moment of the cap
 * @param marked the date lies beyond the published figure
 * @param budgetHours life at 5 °C it began with; infinite when only the cap counts
 * @param spentHours of it, up to now
 * @param strained the moment that the cap is counted from
 * @param contents what it consists of by now, with all that was poured in
 * @param spent what cost life, the dearest first
 * @param reasons in the order in which they are told
 */
public record Verdict(
    KeepingClass keepingClass,
    School school,
    LocalDate lastDay,
    boolean useNow,
    Instant runsOut,
    Clock clock,
    Instant capEnds,
    boolean marked,
    double budgetHours,
    double spentHours,
    Instant strained,
    Contents contents,
    List<Reason.Warmth> spent,
    List<Reason> reasons) {
  /** What may end the life of a brew. */
  public enum Clock {
    BUDGET,
    CAP,
    ROOM,
    /** Thawed: two days at 5 °C, never frozen again. */
    THAWED,
    /** A brew poured into it would have ended then: a mixture never outlives its parts. */
    PART,
    /** Opened and touched: five days at 5 °C for an unpreserved gel. */
    OPENED
  }

  /** Less is not told by itself, h. */
  private static final double LEAST_H = 0.5;

  /** Longer than this nobody counts hours: about four months. */
  private static final double LONGEST_BUDGET_H = 3000;

  public Verdict {
    spent = List.copyOf(spent);
    reasons = List.copyOf(reasons);
  }

  /**
   * The same verdict beside a date that is printed on a label: it may come forward, never move
   * later, and says so.
   */
  public Verdict notAfter(LocalDate printed) {
    if (!lastDay.isAfter(printed)) {
      return this;
    }
    List<Reason> more = new java.util.ArrayList<>(reasons);
    more.add(new Reason.Printed(printed));
    return new Verdict(
        keepingClass,
        school,
        printed,
        useNow,
        runsOut,
        clock,
        capEnds,
        marked,
        budgetHours,
        spentHours,
        strained,
        contents,
        spent,
        more);
  }

  /** Share of the life budget that is spent, 0 to 1; 0 where only the cap counts. */
  public double spentShare() {
    if (Double.isInfinite(budgetHours)) {
      return 0;
    }
    return budgetHours <= 0 ? 1 : Math.min(1, spentHours / budgetHours);
  }

  /**
   * The life it began with, what was spent of it, and what is left, in hours at 5 °C: {@code "168 h
   * − soak 17 h − cooling 8 h = 143 h"}. What cost less than half an hour is summed up at the end.
   *
   * @return empty where only a cap counts, or where nothing was spent yet
   */
  public Optional<String> subtraction() {
    if (Double.isInfinite(budgetHours) || budgetHours > LONGEST_BUDGET_H || spentHours < LEAST_H) {
      return Optional.empty();
    }
    StringBuilder words = new StringBuilder(Said.of("%.0f h", budgetHours));
    double told = 0;
    for (Reason.Warmth cost : spent) {
      if (cost.spent() >= LEAST_H && told + cost.spent() <= spentHours + LEAST_H) {
        words.append(Said.of(" − %s %.0f h", lowered(cost.cause()), cost.spent()));
        told += cost.spent();
      }
    }
    if (spentHours - told >= LEAST_H) {
      words.append(Said.of(" − what else passed %.0f h", spentHours - told));
    }
    return Optional.of(
        words.append(Said.of(" = %.0f h", Math.max(0, budgetHours - spentHours))).toString());
  }

  private static String lowered(String words) {
    return words.isEmpty()
        ? ""
        : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
  }

  /** Hours of life that warmth took beyond the time that passed anyway. */
  public double lostHours() {
    return spent.stream().mapToDouble(cost -> Math.max(0, cost.spent() - cost.hours())).sum();
  }
}
