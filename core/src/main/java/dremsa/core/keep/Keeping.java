package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.keep.Verdict.Clock;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Judges how long a brew keeps.
 *
 * @param start when its first step began
 * @param zone of the household, for the day
 * @param school it keeps by
 * @param place where it stands after bottling
 * @param events what happened to it since, in any order
 */
public record Keeping(
    Instant start, ZoneId zone, School school, Place place, List<KeepEvent> events) {
  /** What is left to a thawed portion, h at 5 °C. */
  public static final double THAWED_H = 48;

  /** What is left to an unpreserved gel once fingers were in it, h at 5 °C. */
  public static final double OPENED_GEL_H = 5 * 24;

  /** What costs less than this is not worth a line, h. */
  private static final double WORTH_TELLING_H = 1;

  /** From here on a longer stay warm is worth a piece of advice, h of life. */
  private static final double DEAR_H = 24;

  public Keeping {
    events = List.copyOf(events);
  }

  /** A brew without events that stands in the fridge. */
  public static Keeping inFridge(Instant start, ZoneId zone, School school) {
    return new Keeping(start, zone, school, Place.FRIDGE, List.of());
  }

  /**
   * Judges a brew.
   *
   * @param now up to when the life spent is reckoned; before the bottling counts as the bottling
   */
  public Verdict judge(Brew brew, Prediction prediction, Instant now) {
    Classification found = Classifier.classify(brew, prediction);
    KeepingClass keepingClass = found.keepingClass();
    Climate climate = brew.kitchen().climate();
    Timeline timeline = Timeline.of(brew.formula(), prediction, start, place, climate, events);

    double budget = keepingClass.budgetHours(school);
    double strained = prediction.heat().strainedMinute() / 60;
    boolean frozen = stands() == Place.FREEZER;
    double cap = frozen ? keepingClass.freezerHours() : keepingClass.capHours(school);
    Timeline.Freezing freezing = timeline.freezing();
    // Freezing stops the clock under a cap of its own; what stood frozen longer than that is over.
    double capEnd =
        frozen || freezing.hours() > keepingClass.freezerHours()
            ? freezing.from() + keepingClass.freezerHours()
            : strained + cap + freezing.hours();
    double budgetEnd =
        Double.isInfinite(budget) ? Double.POSITIVE_INFINITY : timeline.whenSpent(budget);
    double roomEnd =
        Double.isNaN(timeline.roomFrom())
            ? Double.POSITIVE_INFINITY
            : timeline.roomFrom() + keepingClass.roomHours();

    Clock clock = Clock.CAP;
    double end = capEnd;
    if (budgetEnd < end) {
      clock = Clock.BUDGET;
      end = budgetEnd;
    }
    if (roomEnd < end) {
      clock = Clock.ROOM;
      end = roomEnd;
    }

    if (!Double.isNaN(freezing.thawed()) && keepingClass.perishable() && !frozen) {
      double thawedEnd = timeline.whenSpentAfter(freezing.thawed(), THAWED_H);
      if (thawedEnd < end) {
        clock = Clock.THAWED;
        end = thawedEnd;
      }
    }
    if (!Double.isNaN(timeline.opened()) && keepingClass == KeepingClass.GEL) {
      double openedEnd = timeline.whenSpentAfter(timeline.opened(), OPENED_GEL_H);
      if (openedEnd < end) {
        clock = Clock.OPENED;
        end = openedEnd;
      }
    }

    Instant runsOut = at(end);
    LocalDate made = at(timeline.bottledHour()).atZone(zone).toLocalDate();
    LocalDate lastDay = lastWholeDay(runsOut, zone);
    boolean useNow = lastDay.isBefore(made);
    double nowHour =
        Math.max(timeline.bottledHour(), Duration.between(start, now).toMillis() / 3_600_000.0);
    boolean marked =
        keepingClass.publishedHours() > 0
            && !frozen
            && lastDay.isAfter(lastWholeDay(at(strained + keepingClass.publishedHours()), zone));

    List<Reason.Warmth> spent = warmth(timeline, nowHour);
    List<Reason> reasons = new ArrayList<>();
    reasons.add(new Reason.OfClass(keepingClass, found.why()));
    reasons.add(
        new Reason.OfSchool(
            school,
            budget,
            cap,
            school == School.CAREFUL && budget == KeepingClass.INFUSION.budgetHours(school)));
    if (keepingClass.perishable()) {
      reasons.addAll(spent);
    }
    reasons.add(new Reason.Binds(clock, runsOut));
    if (useNow) {
      reasons.add(new Reason.UseNow(end - nowHour));
    }
    if (marked) {
      reasons.add(new Reason.Marked(keepingClass.publishedHours()));
    }
    if (keepingClass.perishable() && !spent.isEmpty() && spent.get(0).spent() > DEAR_H) {
      reasons.add(
          new Reason.Help(
              "Strain sooner, or let it stand in the fridge: it would keep up to %s longer."
                  .formatted(Hours.words(spent.get(0).spent()))));
    }
    return new Verdict(
        keepingClass,
        school,
        useNow ? made : lastDay,
        useNow,
        runsOut,
        clock,
        at(capEnd),
        marked,
        budget,
        timeline.spentBy(nowHour),
        spent,
        reasons);
  }

  /**
   * The last whole local day that ends before or at a moment: made Tuesday 10:00 with 168 hours
   * left, the last day is Monday, day 7 counting the day of preparation.
   */
  public static LocalDate lastWholeDay(Instant runsOut, ZoneId zone) {
    return runsOut.atZone(zone).toLocalDate().minusDays(1);
  }

  private Place stands() {
    return events.stream()
        .filter(KeepEvent.Moved.class::isInstance)
        .map(KeepEvent.Moved.class::cast)
        .max(Comparator.comparing(KeepEvent::at))
        .map(KeepEvent.Moved::place)
        .orElse(place);
  }

  private Instant at(double hours) {
    return start.plusMillis(Math.round(hours * 3_600_000));
  }

  private static List<Reason.Warmth> warmth(Timeline timeline, double nowHour) {
    List<Reason.Warmth> list = new ArrayList<>();
    for (Map.Entry<String, Timeline.Cost> entry : timeline.costsBy(nowHour).entrySet()) {
      Timeline.Cost cost = entry.getValue();
      if (!entry.getKey().equals(Timeline.IN_ITS_PLACE) && cost.spent() >= WORTH_TELLING_H) {
        list.add(new Reason.Warmth(entry.getKey(), cost.hours(), cost.spent()));
      }
    }
    list.sort(Comparator.comparingDouble(Reason.Warmth::spent).reversed());
    return list;
  }
}
