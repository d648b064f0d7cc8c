package dremsa.core.keep;

import dremsa.core.brew.Contents;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * What a brew has to live on, after all that was poured together. Hours count from its first step.
 *
 * @param found its class and why
 * @param contents what it consists of
 * @param from the hour from which {@code shareThen} is reckoned on; minus infinity for the start
 * @param shareThen of the life that was spent at that hour
 * @param strainedHour from which the cap is counted; before 0 where it was taken over
 * @param perishableStrained whether that hour is of a perishable part
 * @param bounds the hours at which its parts would have ended by themselves
 * @param parts what it took over, for telling
 */
record Life(
    Classification found,
    Contents contents,
    double from,
    double shareThen,
    double strainedHour,
    boolean perishableStrained,
    List<Bound> bounds,
    List<Reason> parts) {

  /** A part's own end, and since when it is in here. */
  record Bound(double sinceHour, double endHour) {}

  /** The end of a clock. */
  record End(Verdict.Clock clock, double hour, double capHour) {
    End or(Verdict.Clock other, double otherHour) {
      return otherHour < hour ? new End(other, otherHour, capHour) : this;
    }
  }

  static Life of(Classification found, Contents contents, double strainedHour) {
    return new Life(
        found,
        contents,
        Double.NEGATIVE_INFINITY,
        0,
        strainedHour,
        found.keepingClass().perishable(),
        List.of(),
        List.of());
  }

  /**
   * The same brew with another poured in: class re-found and never better than a part's, the
   * largest spent share, the cap from the oldest perishable part, and no end later than a part's
   * own.
   */
  Life joined(
      double hour,
      Contents together,
      Inherited other,
      Instant start,
      Custom custom,
      Timeline timeline,
      boolean frozen,
      boolean whileMaking) {
    KeepingClass own = found.keepingClass();
    Classification anew = Classifier.classify(together, custom.school());
    KeepingClass worst =
        anew.keepingClass()
            .worse(own, custom.school())
            .worse(other.keepingClass(), custom.school());
    Classification kept =
        worst == anew.keepingClass()
            ? anew
            : new Classification(
                worst,
                "a part of it does, and a mixture keeps as its worst part",
                Math.max(anew.towardsPaste(), found.towardsPaste()));
    double otherStrained = hours(start, other.strained());
    boolean otherPerishable = other.keepingClass().perishable();
    double cap;
    if (perishableStrained == otherPerishable) {
      cap = Math.min(strainedHour, otherStrained);
    } else {
      // Dry oil or spirit brings no age of its own to a watery brew; its own end still binds.
      cap = perishableStrained ? strainedHour : otherStrained;
    }
    List<Bound> all = new ArrayList<>(bounds);
    all.add(new Bound(hour, hours(start, other.runsOut())));
    if (!whileMaking) {
      all.add(new Bound(Double.NEGATIVE_INFINITY, end(custom, timeline, frozen).hour()));
    }
    List<Reason> told = new ArrayList<>(parts);
    told.add(new Reason.OfPart(other.name(), other.spentShare(), worst));
    return new Life(
        kept,
        together,
        hour,
        Math.max(spentShare(hour, custom, timeline), other.spentShare()),
        cap,
        perishableStrained || otherPerishable,
        List.copyOf(all),
        List.copyOf(told));
  }

  private static double hours(Instant start, Instant moment) {
    return Hours.between(start, moment);
  }

  /** Share of the life that is spent by an hour, 0 to 1; 0 where there is only a cap. */
  double spentShare(double hour, Custom custom, Timeline timeline) {
    double budget = custom.budgetHours(found);
    if (Double.isInfinite(budget)) {
      return 0;
    }
    if (budget <= 0) {
      return 1;
    }
    double since = timeline.spentBy(hour) - timeline.spentBy(from);
    return Math.min(1, shareThen + Math.max(0, since) / budget);
  }

  /** The earliest of all clocks. */
  End end(Custom custom, Timeline timeline, boolean frozen) {
    KeepingClass keepingClass = found.keepingClass();
    Timeline.Freezing freezing = timeline.freezing();
    // Freezing stops the clock under a cap of its own; what stood frozen longer than that is over.
    double capEnd =
        frozen || freezing.hours() > keepingClass.freezerHours(custom.school())
            ? freezing.from() + keepingClass.freezerHours(custom.school())
            : strainedHour + custom.capHours(keepingClass) + freezing.hours();
    End end = new End(Verdict.Clock.CAP, capEnd, capEnd);
    double budget = custom.budgetHours(found);
    if (!Double.isInfinite(budget)) {
      double left = budget * (1 - shareThen);
      end = end.or(Verdict.Clock.BUDGET, timeline.whenSpentAfter(from, left));
    }
    if (!Double.isNaN(timeline.roomFrom())) {
      end = end.or(Verdict.Clock.ROOM, timeline.roomFrom() + found.roomHours(custom.school()));
    }
    if (!Double.isNaN(freezing.thawed()) && keepingClass.perishable() && !frozen) {
      end =
          end.or(
              Verdict.Clock.THAWED, timeline.whenSpentAfter(freezing.thawed(), Keeping.THAWED_H));
    }
    if (!Double.isNaN(timeline.opened()) && keepingClass == KeepingClass.GEL) {
      end =
          end.or(
              Verdict.Clock.OPENED,
              timeline.whenSpentAfter(timeline.opened(), Keeping.OPENED_GEL_H));
    }
    for (Bound bound : bounds) {
      if (!frozen) {
        double paused = timeline.frozenHoursAfter(bound.sinceHour());
        // An end of this brew's own has the freezing in it already.
        boolean own = bound.sinceHour() == Double.NEGATIVE_INFINITY;
        end = end.or(Verdict.Clock.PART, bound.endHour() + (own ? 0 : paused));
      }
    }
    return new End(end.clock(), end.hour(), capEnd);
  }
}
