package dremsa.core.keep;

import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.TracePoint;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepWords;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The temperatures a brew lived through and will live through, in hours since its first step. The
 * last piece has no end.
 */
final class Timeline {
  /** Standing cold in its place, which costs one hour an hour. */
  static final String IN_ITS_PLACE = "in its place";

  /** Wet this long before it was hot, a brew carries the cost of that time. */
  private static final double WET_BEFORE_HOT_H = 1;

  private record Piece(double from, double to, double fromC, double toC, String cause) {
    double hours() {
      return to - from;
    }

    double spent() {
      return hours() == 0 ? 0 : hours() * (Spoilage.rate(fromC) + Spoilage.rate(toC)) / 2;
    }
  }

  /** What a cause cost. */
  record Cost(double hours, double spent) {
    Cost plus(double moreHours, double moreSpent) {
      return new Cost(hours + moreHours, spent + moreSpent);
    }
  }

  private final Instant start;
  private final List<Piece> pieces;
  private final double bottledHour;
  private final double roomFrom;
  private final Freezing freezing;
  private final double opened;

  private Timeline(
      Instant start,
      List<Piece> pieces,
      double bottledHour,
      double roomFrom,
      Freezing freezing,
      double opened) {
    this.start = start;
    this.pieces = pieces;
    this.bottledHour = bottledHour;
    this.roomFrom = roomFrom;
    this.freezing = freezing;
    this.opened = opened;
  }

  static Timeline of(
      Formula formula,
      Prediction prediction,
      Instant start,
      Place place,
      Climate climate,
      List<KeepEvent> events) {
    List<Piece> pieces = new ArrayList<>();
    double begins = lifeBegins(formula, prediction);
    addTrace(pieces, formula, prediction, begins);
    double bottled = prediction.heat().bottledMinute() / 60;
    double now = bottled;
    if (place == Place.FRIDGE) {
      List<TracePoint> chilling = prediction.chilling();
      for (int i = 1; i < chilling.size(); i++) {
        add(pieces, chilling.get(i - 1), chilling.get(i), begins, "Cooling in the fridge");
        now = Math.max(now, chilling.get(i).minute() / 60);
      }
    }
    double roomFrom = place == Place.ROOM ? bottled : Double.NaN;
    double celsius = place.celsius(climate);
    Place stands = place;
    double thawed = Double.NaN;
    double opened = Double.NaN;
    double frozenFrom = bottled;
    double frozenHours = 0;
    List<KeepEvent> sorted = new ArrayList<>(events);
    sorted.sort(Comparator.comparing(KeepEvent::at));
    for (KeepEvent event : sorted) {
      if (event instanceof KeepEvent.Joined) {
        continue;
      }
      if (event instanceof KeepEvent.Opened) {
        double hour = Math.max(bottled, hoursBetween(start, event.at()));
        opened = Double.isNaN(opened) ? hour : opened;
        continue;
      }
      double at = Math.max(now, hoursBetween(start, event.at()));
      pieces.add(new Piece(now, at, celsius, celsius, IN_ITS_PLACE));
      now = at;
      if (event instanceof KeepEvent.Warmed warmed) {
        // What stood out was never cooler than its place: warmth never earns life.
        double there = Math.max(celsius, warmed.celsius());
        pieces.add(new Piece(now, now + warmed.hours(), there, there, warmed.cause()));
        now += warmed.hours();
      } else if (event instanceof KeepEvent.Moved moved) {
        if (stands == Place.FREEZER && moved.place() != Place.FREEZER) {
          thawed = now;
          frozenHours += now - frozenFrom;
        } else if (moved.place() == Place.FREEZER) {
          frozenFrom = now;
        }
        stands = moved.place();
        celsius = stands.celsius(climate);
        roomFrom = stands == Place.ROOM ? now : Double.NaN;
      }
    }
    pieces.add(new Piece(now, Double.POSITIVE_INFINITY, celsius, celsius, IN_ITS_PLACE));
    return new Timeline(
        start, pieces, bottled, roomFrom, new Freezing(thawed, frozenFrom, frozenHours), opened);
  }

  private static double hoursBetween(Instant start, Instant end) {
    return Duration.between(start, end).toMillis() / 3_600_000.0;
  }

  /**
   * The minute at which life begins to be spent: at first wetting, but for a brew that was hot when
   * it first falls below 57 °C, and for a ferment at its last straining.
   */
  private static double lifeBegins(Formula formula, Prediction prediction) {
    if (formula.steps().stream().anyMatch(Step.Ferment.class::isInstance)) {
      return prediction.heat().strainedMinute();
    }
    double wet = prediction.heat().firstWetMinute();
    if (!prediction.heat().wasHot()) {
      return wet;
    }
    double hot = Double.NaN;
    for (TracePoint moment : prediction.trace()) {
      if (Double.isNaN(hot) && moment.celsius() >= Spoilage.HOT_HOLDING_C) {
        hot = moment.minute();
        if (hot - wet > WET_BEFORE_HOT_H * 60) {
          return wet;
        }
      } else if (!Double.isNaN(hot) && moment.celsius() < Spoilage.HOT_HOLDING_C) {
        return moment.minute();
      }
    }
    return Double.isNaN(hot) ? wet : prediction.heat().bottledMinute();
  }

  private static void addTrace(
      List<Piece> pieces, Formula formula, Prediction prediction, double begins) {
    List<TracePoint> trace = prediction.trace();
    int step = 0;
    List<StepOutcome> steps = prediction.steps();
    for (int i = 1; i < trace.size(); i++) {
      double middle = (trace.get(i - 1).minute() + trace.get(i).minute()) / 2;
      while (step < steps.size() - 1 && middle > steps.get(step).endMinute()) {
        step++;
      }
      add(
          pieces,
          trace.get(i - 1),
          trace.get(i),
          begins,
          StepWords.headline(formula.steps().get(step)));
    }
  }

  private static void add(
      List<Piece> pieces, TracePoint a, TracePoint b, double begins, String cause) {
    if (b.minute() > begins && b.minute() > a.minute()) {
      pieces.add(
          new Piece(
              Math.max(begins, a.minute()) / 60, b.minute() / 60, a.celsius(), b.celsius(), cause));
    }
  }

  double bottledHour() {
    return bottledHour;
  }

  /** The hour since when it stands at room temperature for good, or NaN. */
  double roomFrom() {
    return roomFrom;
  }

  /**
   * Time in the freezer.
   *
   * @param thawed the hour at which it was last taken out, or NaN
   * @param from the hour at which it was last put in
   * @param hours spent there, up to the last thawing
   */
  record Freezing(double thawed, double from, double hours) {}

  Freezing freezing() {
    return freezing;
  }

  /** Hours in the freezer after an hour, up to the last thawing. */
  double frozenHoursAfter(double hour) {
    double sum = 0;
    for (Piece piece : pieces) {
      if (piece.fromC <= 0 && piece.toC <= 0 && !Double.isInfinite(piece.to)) {
        sum += Math.max(0, piece.to - Math.max(piece.from, hour));
      }
    }
    return sum;
  }

  /** The hour at which it was first opened and touched, or NaN. */
  double opened() {
    return opened;
  }

  /** Hours since the first step at a moment, not before the bottling. */
  double hourOf(Instant moment) {
    return Math.max(bottledHour, hoursBetween(start, moment));
  }

  /** The hour at which so much more life is spent than by another hour. */
  double whenSpentAfter(double hour, double budget) {
    return whenSpent(spentBy(hour) + budget);
  }

  /** Life spent up to an hour. */
  double spentBy(double hour) {
    double sum = 0;
    for (Piece piece : pieces) {
      if (piece.from >= hour) {
        break;
      }
      sum += cut(piece, hour).spent();
    }
    return sum;
  }

  private static Piece cut(Piece piece, double hour) {
    if (piece.to <= hour) {
      return piece;
    }
    double share = Double.isInfinite(piece.to) ? 0 : (hour - piece.from) / (piece.to - piece.from);
    double endC = piece.fromC + share * (piece.toC - piece.fromC);
    return new Piece(piece.from, hour, piece.fromC, endC, piece.cause);
  }

  /** What each cause has cost up to an hour, in the order in which they came. */
  Map<String, Cost> costsBy(double hour) {
    Map<String, Cost> costs = new LinkedHashMap<>();
    for (Piece piece : pieces) {
      if (piece.from < hour) {
        Piece part = cut(piece, hour);
        double spent = part.spent();
        double hours = spent > 0 ? part.hours() : 0;
        costs.merge(
            part.cause, new Cost(hours, spent), (old, add) -> old.plus(add.hours, add.spent));
      }
    }
    return costs;
  }

  /** The hour at which so much life is spent; infinite when it never is. */
  double whenSpent(double budget) {
    double left = budget;
    for (Piece piece : pieces) {
      double rate = (Spoilage.rate(piece.fromC) + Spoilage.rate(piece.toC)) / 2;
      if (rate > 0 && rate * piece.hours() >= left) {
        return piece.from + left / rate;
      }
      left -= piece.hours() == 0 || rate == 0 ? 0 : piece.spent();
    }
    return Double.POSITIVE_INFINITY;
  }
}
