package dremsa.core.keep;

import dremsa.core.brew.Contents;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

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

  /** Hours of life that warmth took beyond the time that passed anyway. */
  public double lostHours() {
    return spent.stream().mapToDouble(cost -> Math.max(0, cost.spent() - cost.hours())).sum();
  }
}
