package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Contents;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Judges how long a brew keeps.
 *
 * @param start when its first step began
 * @param zone of the household, for the day
 * @param school it keeps by
 * @param place where it stands after bottling
 * @param events what happened to it since, in any order
 * @param inherited the age of the brews that it was made with
 * @param cleanWorking confirmed: sterilised bottle, strained fine, fridge at 5 °C; a date beyond
 *     the published figure needs it
 * @param climates how warm the places are in which it stands; those of the kitchen it was brewed in
 *     do not matter any more
 * @param bottleMl the size it is filled into, which decides how long it takes to chill; empty where
 *     that is not known yet, which counts as one jar
 * @param doubt how far off the law may be; none but for asking "what if"
 */
public record Keeping(
    Instant start,
    ZoneId zone,
    School school,
    Place place,
    List<KeepEvent> events,
    List<Inherited> inherited,
    boolean cleanWorking,
    Climates climates,
    OptionalDouble bottleMl,
    Doubt doubt) {
  /**
   * What is not known of how it spoils, as factors on what is believed; for asking "what if".
   *
   * @param faster on what warmth costs beyond the cold, 1 as believed
   * @param life on the life of its class, 1 as believed
   */
  public record Doubt(double faster, double life) {
    /** As believed. */
    public static final Doubt NONE = new Doubt(1, 1);
  }

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
    inherited = List.copyOf(inherited);
  }

  /** The same, with the age of the brews that it was made with. */
  public Keeping withInherited(List<Inherited> parts) {
    return new Keeping(
        start, zone, school, place, events, parts, cleanWorking, climates, bottleMl, doubt);
  }

  /** The same, with one more event; kept by other rules, its school is another. */
  public Keeping with(KeepEvent event) {
    if (event instanceof KeepEvent.KeptBy kept && kept.now() != null) {
      return by(kept.now());
    }
    List<KeepEvent> more = new ArrayList<>(events);
    more.add(event);
    return new Keeping(
        start, zone, school, place, more, inherited, cleanWorking, climates, bottleMl, doubt);
  }

  /** The same by other rules. */
  public Keeping by(KeepEvent.Rules rules) {
    return new Keeping(
        start,
        zone,
        rules.school(),
        place,
        events,
        inherited,
        rules.cleanWorking(),
        climates,
        bottleMl,
        doubt);
  }

  /** The same, with clean working confirmed or not. */
  public Keeping withCleanWorking(boolean confirmed) {
    return by(new KeepEvent.Rules(school, confirmed));
  }

  /** The same by another school. */
  public Keeping by(School other) {
    return by(new KeepEvent.Rules(other, cleanWorking));
  }

  /** The same in places of another warmth. */
  public Keeping in(Climates others) {
    return new Keeping(
        start, zone, school, place, events, inherited, cleanWorking, others, bottleMl, doubt);
  }

  /** The same in bottles of this size, mL. */
  public Keeping filledInto(double millilitres) {
    return new Keeping(
        start,
        zone,
        school,
        place,
        events,
        inherited,
        cleanWorking,
        climates,
        OptionalDouble.of(millilitres),
        doubt);
  }

  /** The same, were warmth so many times as dear. */
  Keeping spoilingFaster(double factor) {
    return doubting(new Doubt(factor, doubt.life()));
  }

  /** The same, had its class so many times the life. */
  Keeping livingLonger(double factor) {
    return doubting(new Doubt(doubt.faster(), factor));
  }

  private Keeping doubting(Doubt other) {
    return new Keeping(
        start, zone, school, place, events, inherited, cleanWorking, climates, bottleMl, other);
  }

  /** A brew without events that stands in the fridge, its bottles not known yet. */
  public static Keeping inFridge(Instant start, ZoneId zone, School school, Climates climates) {
    return new Keeping(
        start,
        zone,
        school,
        Place.FRIDGE,
        List.of(),
        List.of(),
        false,
        climates,
        OptionalDouble.empty(),
        Doubt.NONE);
  }

  /**
   * How long a brew lasts, without the reasons.
   *
   * @param keepingClass that it counts as
   * @param runsOut the moment at which the binding clock ends
   */
  public record Lasting(KeepingClass keepingClass, Instant runsOut) {}

  /** What {@link #judge} finds, for those who ask often and need no reasons. */
  public Lasting lasts(Brew brew, Prediction prediction) {
    Timeline timeline = Timeline.of(brew.formula(), prediction, this);
    boolean frozen = stands() == Place.FREEZER;
    Custom custom = new Custom(school, cleanWorking, doubt.life());
    Life life = live(brew, prediction, custom, timeline, frozen);
    return new Lasting(life.found().keepingClass(), at(life.end(custom, timeline, frozen).hour()));
  }

  /**
   * Judges a brew.
   *
   * @param now up to when the life spent is reckoned; before the bottling counts as the bottling
   */
  public Verdict judge(Brew brew, Prediction prediction, Instant now) {
    Timeline timeline = Timeline.of(brew.formula(), prediction, this);
    boolean frozen = stands() == Place.FREEZER;
    Custom custom = new Custom(school, cleanWorking, doubt.life());
    Life life = live(brew, prediction, custom, timeline, frozen);
    KeepingClass keepingClass = life.found().keepingClass();
    Life.End ends = life.end(custom, timeline, frozen);
    double cap = frozen ? keepingClass.freezerHours(school) : custom.capHours(keepingClass);
    double budget = custom.budgetHours(life.found());

    Instant runsOut = at(ends.hour());
    LocalDate made = at(timeline.bottledHour()).atZone(zone).toLocalDate();
    LocalDate lastDay = lastWholeDay(runsOut, zone);
    boolean useNow = lastDay.isBefore(made);
    double nowHour = timeline.hourOf(now);
    boolean marked =
        keepingClass.publishedHours(school) > 0
            && !frozen
            && lastDay.isAfter(
                lastWholeDay(at(life.strainedHour() + keepingClass.publishedHours(school)), zone));

    List<Reason.Warmth> spent = warmth(timeline, nowHour);
    List<Reason> reasons = new ArrayList<>();
    reasons.add(new Reason.OfClass(keepingClass, life.found().why()));
    if (life.found().towardsPaste() > 0) {
      reasons.add(new Reason.PlantLeftIn(prediction.contents().solidsShare()));
    }
    reasons.add(
        new Reason.OfSchool(
            school,
            budget,
            cap,
            school == School.CAREFUL && budget == KeepingClass.INFUSION.budgetHours(school)));
    reasons.addAll(life.parts());
    if (!Double.isInfinite(budget)) {
      reasons.addAll(spent);
    }
    reasons.add(new Reason.Binds(ends.clock(), runsOut));
    if (useNow) {
      reasons.add(new Reason.UseNow(ends.hour() - nowHour));
    }
    if (marked) {
      reasons.add(new Reason.Marked(keepingClass.publishedHours(school)));
    }
    if (custom.held(keepingClass) && !frozen && ends.clock() == Verdict.Clock.CAP) {
      reasons.add(
          new Reason.NotConfirmed(
              keepingClass.publishedHours(school), keepingClass.capHours(school)));
    }
    if (keepingClass.perishable() && ends.clock() == Verdict.Clock.ROOM) {
      reasons.add(new Reason.SealedJar(life.contents().ph()));
    }
    if (keepingClass.perishable() && place == Place.FRIDGE) {
      CoolingYardstick.of(prediction, climates.at(at(timeline.bottledHour())), bottleMl)
          .ifPresent(reasons::add);
    }
    if (notSourEnough(brew, prediction)) {
      reasons.add(new Reason.NotSurelySour(prediction.contents().ph()));
    }
    dearest(spent, timeline)
        .filter(cost -> keepingClass.perishable() && cost.spent() > DEAR_H)
        .ifPresent(
            cost -> {
              // No help goes beyond the cap.
              double most = Math.min(cost.spent(), ends.capHour() - ends.hour());
              if (most > DEAR_H / 2) {
                reasons.add(
                    new Reason.Help(
                        Said.of(
                                "Strain sooner, or let it stand in the fridge: it would keep up to %s",
                                Hours.words(most))
                            + " longer."));
              }
            });
    return new Verdict(
        keepingClass,
        school,
        useNow ? made : lastDay,
        useNow,
        runsOut,
        ends.clock(),
        at(ends.capHour()),
        marked,
        budget,
        Double.isInfinite(budget)
            ? timeline.spentBy(nowHour)
            : budget * life.spentShare(nowHour, custom, timeline),
        at(life.strainedHour()),
        life.contents(),
        spent,
        reasons);
  }

  /** It stood to ferment, and nobody can be sure that it did. */
  private static boolean notSourEnough(Brew brew, Prediction prediction) {
    return !prediction.heat().soured()
        && brew.formula().steps().stream().anyMatch(Step.Ferment.class::isInstance);
  }

  private Life live(
      Brew brew, Prediction prediction, Custom custom, Timeline timeline, boolean frozen) {
    Classification found = LatePreservative.classify(brew, prediction, school, timeline);
    Life life = Life.of(found, prediction.contents(), prediction.heat().strainedMinute() / 60);
    for (Inherited part : inherited) {
      life =
          life.joined(
              timeline.bottledHour(), life.contents(), part, start, custom, timeline, frozen, true);
    }
    List<KeepEvent.Joined> joins =
        KeepEvent.only(KeepEvent.Joined.class, events)
            .sorted(Comparator.comparing(KeepEvent.Joined::at))
            .toList();
    for (KeepEvent.Joined join : joins) {
      Contents together = life.contents().millilitres(join.ownMl()).plus(join.other().contents());
      double hour = timeline.hourOf(join.at());
      life = life.joined(hour, together, join.other(), start, custom, timeline, frozen, false);
    }
    return life;
  }

  /**
   * The last whole local day that ends before or at a moment: made Tuesday 10:00 with 168 hours
   * left, the last day is Monday, day 7 counting the day of preparation.
   */
  public static LocalDate lastWholeDay(Instant runsOut, ZoneId zone) {
    return runsOut.atZone(zone).toLocalDate().minusDays(1);
  }

  /** Where it stands after all that happened. */
  public Place stands() {
    return KeepEvent.only(KeepEvent.Moved.class, events)
        .max(Comparator.comparing(KeepEvent::at))
        .map(KeepEvent.Moved::place)
        .orElse(place);
  }

  /** Why a bottle cannot be frozen; empty when it can. */
  public Optional<String> whyNotFrozen() {
    boolean frozenBefore = wasFrozen();
    if (stands() == Place.FREEZER) {
      return Optional.of("It is in the freezer already.");
    }
    return frozenBefore
        ? Optional.of("It was frozen before: what was thawed is never frozen again.")
        : Optional.empty();
  }

  /** Whether it, or anything that was poured into it, was ever frozen. */
  public boolean wasFrozen() {
    return place == Place.FREEZER
        || inherited.stream().anyMatch(Inherited::frozen)
        || KeepEvent.only(KeepEvent.Moved.class, events)
            .anyMatch(moved -> moved.place() == Place.FREEZER)
        || KeepEvent.only(KeepEvent.Joined.class, events)
            .anyMatch(joined -> joined.other().frozen());
  }

  private Instant at(double hours) {
    return Hours.after(start, hours);
  }

  /** The dearest of what was done while it was made: what came after cannot be done otherwise. */
  private static Optional<Reason.Warmth> dearest(List<Reason.Warmth> spent, Timeline timeline) {
    return spent.stream().filter(cost -> timeline.whileMade(cost.cause())).findFirst();
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
