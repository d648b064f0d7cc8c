package dremsa.core.keep;

import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.TracePoint;
import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Place;
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

    /** The part of it within two hours. */
    Piece between(double start, double end) {
      double first = Math.max(from, start);
      double last = Math.min(to, end);
      return new Piece(first, last, celsiusAt(first), celsiusAt(last), cause);
    }

    private double celsiusAt(double hour) {
      return fromC == toC ? fromC : fromC + (toC - fromC) * (hour - from) / (to - from);
    }

    /** At least so warm; the cause is named where it is the warmer of the two. */
    Piece atLeast(double celsius, String why) {
      boolean warmer = celsius > Math.max(fromC, toC);
      return new Piece(
          from, to, Math.max(fromC, celsius), Math.max(toC, celsius), warmer ? why : cause);
    }

    /** Mean hours of life an hour; Simpson's rule is exact where the rate is a square. */
    double rate() {
      double middle = Spoilage.rate((fromC + toC) / 2);
      return fromC == toC ? middle : (Spoilage.rate(fromC) + 4 * middle + Spoilage.rate(toC)) / 6;
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

  /** How much faster warmth spoils it than the law says; 1 as believed. */
  private final double faster;

  /** Life spent by the beginning of each piece. */
  private final double[] spentBefore;

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
      double opened,
      double faster) {
    this.start = start;
    this.pieces = pieces;
    this.faster = faster;
    this.spentBefore = new double[pieces.size()];
    double spent = 0;
    for (int i = 0; i < spentBefore.length; i++) {
      spentBefore[i] = spent;
      spent += spent(pieces.get(i));
    }
    this.bottledHour = bottledHour;
    this.roomFrom = roomFrom;
    this.freezing = freezing;
    this.opened = opened;
  }

  static Timeline of(Formula formula, Prediction prediction, Keeping keeping) {
    List<Piece> pieces = new ArrayList<>();
    Instant start = keeping.start();
    double begins = lifeBegins(prediction);
    addTrace(pieces, formula, prediction, begins);
    double bottled = prediction.heat().bottledMinute() / 60;
    List<Stay> stays = stays(keeping.place(), bottled, start, keeping.events());
    addStays(pieces, stays, chilling(prediction, keeping, begins), keeping);
    List<KeepEvent> events = keeping.events();
    for (KeepEvent.Warmed warmed : KeepEvent.only(KeepEvent.Warmed.class, events).toList()) {
      double hour = Math.max(bottled, Hours.between(start, warmed.at()));
      pieces = warmed(pieces, hour, hour + warmed.hours(), warmed.celsius(), warmed.cause());
    }
    for (KeepEvent.FridgeWarmed warm :
        KeepEvent.only(KeepEvent.FridgeWarmed.class, events).toList()) {
      pieces = fridgeWarmed(pieces, stays, Hours.between(start, warm.at()), warm);
    }
    double opened =
        KeepEvent.only(KeepEvent.Opened.class, events)
            .mapToDouble(event -> Math.max(bottled, Hours.between(start, event.at())))
            .min()
            .orElse(Double.NaN);
    return new Timeline(
        start,
        pieces,
        bottled,
        roomFrom(stays),
        Freezing.of(stays, bottled),
        opened,
        keeping.doubt().faster());
  }

  /** Where it stood from one hour to another; the last has no end. */
  private record Stay(double from, double to, Place place) {}

  private static List<Stay> stays(
      Place place, double bottled, Instant start, List<KeepEvent> events) {
    List<KeepEvent.Moved> moves =
        KeepEvent.only(KeepEvent.Moved.class, events)
            .sorted(Comparator.comparing(KeepEvent::at))
            .toList();
    List<Stay> stays = new ArrayList<>();
    double from = bottled;
    Place stands = place;
    for (KeepEvent.Moved move : moves) {
      double hour = Math.max(bottled, Hours.between(start, move.at()));
      if (move.place() != stands) {
        stays.add(new Stay(from, hour, stands));
        from = hour;
        stands = move.place();
      }
    }
    stays.add(new Stay(from, Double.POSITIVE_INFINITY, stands));
    return stays;
  }

  private static double roomFrom(List<Stay> stays) {
    Stay last = stays.get(stays.size() - 1);
    if (last.place().isCold()) {
      return Double.NaN;
    }
    // From the cupboard to the bathroom is still at room temperature.
    int first = stays.size() - 1;
    while (first > 0 && !stays.get(first - 1).place().isCold()) {
      first--;
    }
    return stays.get(first).from();
  }

  /** One of its bottles on the way to the temperature of the fridge that it is put into. */
  private static List<Piece> chilling(Prediction prediction, Keeping keeping, double begins) {
    List<Piece> pieces = new ArrayList<>();
    if (keeping.place() != Place.FRIDGE) {
      return pieces;
    }
    Instant filled =
        keeping.start().plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
    double fridge = keeping.climates().at(filled).fridgeC();
    List<TracePoint> points =
        prediction.chilling().from(prediction.heat().bottledMinute(), fridge, keeping.bottleMl());
    for (int i = 1; i < points.size(); i++) {
      add(pieces, points.get(i - 1), points.get(i), begins, "Cooling in the fridge");
    }
    return pieces;
  }

  /** While it still chills it is as warm as the bottle or as its place, whichever is warmer. */
  private static void addStays(
      List<Piece> pieces, List<Stay> stays, List<Piece> chilling, Keeping keeping) {
    for (Stay stay : stays) {
      for (Climates.Stretch stretch :
          keeping
              .climates()
              .stretches(
                  stay.place(),
                  stay.from(),
                  stay.to(),
                  moment -> Hours.between(keeping.start(), moment))) {
        double from = stretch.from();
        if (stay.place() != Place.FREEZER) {
          for (Piece piece : chilling) {
            if (piece.to() > from && piece.from() < stretch.to()) {
              Piece part = piece.between(from, stretch.to());
              pieces.add(part.atLeast(stretch.celsius(), stretch.cause()));
              from = part.to();
            }
          }
        }
        if (stretch.to() > from) {
          pieces.add(
              new Piece(from, stretch.to(), stretch.celsius(), stretch.celsius(), stretch.cause()));
        }
      }
    }
  }

  /** What stood out was never cooler than its place: warmth never earns life. */
  private static List<Piece> warmed(
      List<Piece> pieces, double from, double to, double celsius, String cause) {
    List<Piece> changed = new ArrayList<>();
    for (Piece piece : pieces) {
      if (piece.to() <= from || piece.from() >= to) {
        changed.add(piece);
        continue;
      }
      if (piece.from() < from) {
        changed.add(piece.between(piece.from(), from));
      }
      changed.add(piece.between(from, to).atLeast(celsius, cause));
      if (piece.to() > to) {
        changed.add(piece.between(to, piece.to()));
      }
    }
    return changed;
  }

  /** What stood elsewhere meanwhile did not notice. */
  private static List<Piece> fridgeWarmed(
      List<Piece> pieces, List<Stay> stays, double hour, KeepEvent.FridgeWarmed event) {
    List<Piece> changed = pieces;
    for (Stay stay : stays) {
      double from = Math.max(hour, stay.from());
      double to = Math.min(hour + event.hours(), stay.to());
      if (stay.place() == Place.FRIDGE && to > from) {
        changed = warmed(changed, from, to, event.celsius(), event.cause());
      }
    }
    return changed;
  }

  /**
   * The minute at which life begins to be spent: at first wetting, but for a brew that was hot when
   * it first falls below 57 °C, and for what has surely fermented when it had.
   */
  private static double lifeBegins(Prediction prediction) {
    if (prediction.heat().soured()) {
      return prediction.heat().souredMinute().getAsDouble();
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
    String cause = formula.steps().get(0).headline();
    for (int i = 1; i < trace.size(); i++) {
      double middle = (trace.get(i - 1).minute() + trace.get(i).minute()) / 2;
      while (step < steps.size() - 1 && middle > steps.get(step).endMinute()) {
        step++;
        cause = formula.steps().get(step).headline();
      }
      add(pieces, trace.get(i - 1), trace.get(i), begins, cause);
    }
  }

  /** While it is made nothing counts as frozen: only a freezer stops the clock. */
  private static void add(
      List<Piece> pieces, TracePoint a, TracePoint b, double begins, String cause) {
    if (b.minute() > begins && b.minute() > a.minute()) {
      pieces.add(
          new Piece(
              Math.max(begins, a.minute()) / 60,
              b.minute() / 60,
              Math.max(0, a.celsius()),
              Math.max(0, b.celsius()),
              cause));
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
  record Freezing(double thawed, double from, double hours) {
    private static Freezing of(List<Stay> stays, double bottled) {
      double thawed = Double.NaN;
      double from = bottled;
      double hours = 0;
      for (Stay stay : stays) {
        if (stay.place() == Place.FREEZER) {
          from = stay.from();
          if (!Double.isInfinite(stay.to())) {
            thawed = stay.to();
            hours += stay.to() - stay.from();
          }
        }
      }
      return new Freezing(thawed, from, hours);
    }
  }

  Freezing freezing() {
    return freezing;
  }

  /** Whether a cause lay before the bottling. */
  boolean whileMade(String cause) {
    return pieces.stream().anyMatch(p -> p.from < bottledHour && p.cause.equals(cause));
  }

  /** Hours in the freezer after an hour, up to the last thawing. */
  double frozenHoursAfter(double hour) {
    double sum = 0;
    for (Piece piece : pieces) {
      if (piece.fromC <= Spoilage.FROZEN_C
          && piece.toC <= Spoilage.FROZEN_C
          && !Double.isInfinite(piece.to)) {
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
    return Math.max(bottledHour, Hours.between(start, moment));
  }

  /** The hour at which so much more life is spent than by another hour. */
  double whenSpentAfter(double hour, double budget) {
    return whenSpent(spentBy(hour) + budget);
  }

  /** Life spent up to an hour. */
  double spentBy(double hour) {
    int last = lastFrom(hour);
    return last < 0
        ? 0
        : spentBefore[last] + spent(pieces.get(last).between(pieces.get(last).from(), hour));
  }

  /** Hours of life that an hour of a piece costs. */
  private double rate(Piece piece) {
    double rate = piece.rate();
    return rate <= 1 ? rate : 1 + (rate - 1) * faster;
  }

  private double spent(Piece piece) {
    return piece.hours() == 0 ? 0 : piece.hours() * rate(piece);
  }

  /** The last piece that begins before an hour; -1 when none does. */
  private int lastFrom(double hour) {
    int low = 0;
    int high = pieces.size() - 1;
    while (low <= high) {
      int middle = (low + high) / 2;
      if (pieces.get(middle).from < hour) {
        low = middle + 1;
      } else {
        high = middle - 1;
      }
    }
    return high;
  }

  /** What each cause has cost up to an hour, in the order in which they came. */
  Map<String, Cost> costsBy(double hour) {
    Map<String, Cost> costs = new LinkedHashMap<>();
    for (Piece piece : pieces) {
      if (piece.from < hour) {
        Piece part = piece.between(piece.from(), hour);
        double spent = spent(part);
        double hours = spent > 0 ? part.hours() : 0;
        costs.merge(
            part.cause, new Cost(hours, spent), (old, add) -> old.plus(add.hours, add.spent));
      }
    }
    return costs;
  }

  /** The hour at which so much life is spent; infinite when it never is. */
  double whenSpent(double budget) {
    for (int i = lastBefore(budget); i >= 0 && i < pieces.size(); i++) {
      Piece piece = pieces.get(i);
      double left = budget - spentBefore[i];
      double rate = rate(piece);
      if (rate > 0 && rate * piece.hours() >= left) {
        return piece.from + left / rate;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  /** The first piece in which so much may be spent. */
  private int lastBefore(double budget) {
    int low = 0;
    int high = pieces.size() - 1;
    while (low <= high) {
      int middle = (low + high) / 2;
      if (spentBefore[middle] < budget) {
        low = middle + 1;
      } else {
        high = middle - 1;
      }
    }
    return Math.max(0, high);
  }
}
