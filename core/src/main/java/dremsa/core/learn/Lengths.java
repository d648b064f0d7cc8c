package dremsa.core.learn;

import dremsa.core.learn.StraightLine.Point;
import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;

/**
 * How fast hair gets longer: a straight line through the readings of one section, stretched. A cut
 * begins a new line with the same slope. It never says what made it grow.
 */
public final class Lengths {
  /** What hair usually grows, cm a month; published, from memory. */
  public static final double USUAL_LOW = 1.0;

  public static final double USUAL_HIGH = 1.25;

  /** An interval that is narrower than this tells something, cm a month. */
  public static final double NARROW = 0.3;

  /** How well a tape tells a length where nothing tells how well, cm; our estimate. */
  private static final double TAPE_CM = 0.5;

  private static final double DAYS_A_MONTH = 365.25 / 12;

  /** A soft edge is bent: so many pieces draw it. */
  private static final int EDGES = 8;

  /** Nobody plans further ahead than this, months. */
  private static final int LONGEST = 36;

  private Lengths() {}

  /**
   * A reading.
   *
   * @param cm stretched, above 0
   */
  public record Reading(LocalDate day, double cm) {
    public Reading {
      if (!(cm > 0 && cm <= 300)) {
        throw new IllegalArgumentException("hair is longer than 0 and up to 300 cm, not " + cm);
      }
    }
  }

  /**
   * A place of a line with its soft edge, cm.
   *
   * @param low 95 % likely above this
   * @param high 95 % likely below this
   */
  public record Edge(LocalDate day, double low, double cm, double high) {}

  /**
   * What the readings say.
   *
   * @param cmAMonth slope; empty where there are too few readings for one
   * @param low 95 % likely above this; with {@code high} empty where there are too few
   * @param readings how many
   * @param cuts after which a new line began
   * @param robust slope that one reading far off does not move (Theil-Sen)
   * @param doubtful a reading far off the line of the others
   * @param monthsToGo so many more until the interval is narrow, measured as often as until now;
   *     empty where it is narrow, or would be in no less than three years
   * @param lines to be drawn: one for each stretch between cuts that has two readings and more
   */
  public record Growth(
      OptionalDouble cmAMonth,
      OptionalDouble low,
      OptionalDouble high,
      int readings,
      int cuts,
      OptionalDouble robust,
      Optional<Reading> doubtful,
      OptionalInt monthsToGo,
      List<List<Edge>> lines) {
    /** Whether the interval is narrow enough to say something. */
    public boolean settled() {
      return low.isPresent() && high.getAsDouble() - low.getAsDouble() <= NARROW;
    }

    /** As sentences for the maker. */
    public String words() {
      if (cmAMonth.isEmpty() || low.isEmpty()) {
        return "This cannot be told yet: " + toGo();
      }
      double from = low.getAsDouble();
      double to = high.getAsDouble();
      String line =
          Said.of(
              "%.2f cm a month, 95 %% likely between %.2f and %.2f, from %d readings. ",
              cmAMonth.getAsDouble(), from, to, readings);
      String doubted =
          doubtful
              .map(
                  reading ->
                      Said.of(
                          " The %.1f cm of %s lie far off the others; without leaning on any single"
                              + " reading it is %.2f cm a month.",
                          reading.cm(), reading.day(), robust.orElse(Double.NaN)))
              .orElse("");
      return line + meaning(from, to) + doubted;
    }

    private String meaning(double from, double to) {
      if (to < 0) {
        return "It got shorter: a cut that was not marked, breakage, or another way of measuring?";
      }
      if (!settled()) {
        return "That is too wide to tell much: " + toGo();
      }
      if (to < USUAL_LOW) {
        return Said.of("That is less than the usual %.1f to %.2f cm.", USUAL_LOW, USUAL_HIGH);
      }
      if (from > USUAL_HIGH) {
        return Said.of("That is more than the usual %.1f to %.2f cm.", USUAL_LOW, USUAL_HIGH);
      }
      return Said.of("The usual is %.1f to %.2f cm.", USUAL_LOW, USUAL_HIGH);
    }

    private String toGo() {
      return monthsToGo.isPresent()
          ? Said.of(
              "go on for about %d more %s.",
              monthsToGo.getAsInt(), monthsToGo.getAsInt() == 1 ? "month" : "months")
          : "measured like this it takes more than three years.";
    }
  }

  /**
   * The line through some readings.
   *
   * @param readings of one section, in any order
   * @param cuts days on which something was cut off; a reading on such a day is one after the cut
   * @throws IllegalArgumentException for two readings on one day
   */
  public static Growth of(Collection<Reading> readings, Collection<LocalDate> cuts) {
    List<Reading> sorted = readings.stream().sorted(Comparator.comparing(Reading::day)).toList();
    Set<LocalDate> days = new HashSet<>();
    for (Reading reading : sorted) {
      if (!days.add(reading.day())) {
        throw new IllegalArgumentException("two readings on " + reading.day());
      }
    }
    return new Fit(sorted, new HashSet<>(cuts)).growth();
  }

  /** The readings as points: months since the first, cm; a group for each stretch between cuts. */
  private static final class Fit {
    private final List<Reading> readings;
    private final List<List<Point>> stretches = new ArrayList<>();
    private final LocalDate first;
    private final StraightLine line;

    Fit(List<Reading> readings, Set<LocalDate> cuts) {
      this.readings = readings;
      first = readings.isEmpty() ? LocalDate.EPOCH : readings.get(0).day();
      TreeMap<Long, List<Point>> by = new TreeMap<>();
      for (Reading reading : readings) {
        long before = cuts.stream().filter(cut -> !cut.isAfter(reading.day())).count();
        by.computeIfAbsent(before, n -> new ArrayList<>())
            .add(new Point(month(reading), reading.cm()));
      }
      stretches.addAll(by.values());
      line = StraightLine.through(stretches);
    }

    private double month(Reading reading) {
      return ChronoUnit.DAYS.between(first, reading.day()) / DAYS_A_MONTH;
    }

    Growth growth() {
      int cuts = Math.max(0, stretches.size() - 1);
      if (!line.hasSlope()) {
        return new Growth(
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            readings.size(),
            cuts,
            OptionalDouble.empty(),
            Optional.empty(),
            toGo(TAPE_CM),
            List.of());
      }
      if (line.free() < 1) {
        return new Growth(
            OptionalDouble.of(line.slope()),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            readings.size(),
            cuts,
            OptionalDouble.of(line.robust()),
            Optional.empty(),
            toGo(TAPE_CM),
            lines());
      }
      double half = line.half();
      return new Growth(
          OptionalDouble.of(line.slope()),
          OptionalDouble.of(line.slope() - half),
          OptionalDouble.of(line.slope() + half),
          readings.size(),
          cuts,
          OptionalDouble.of(line.robust()),
          line.farOff().flatMap(this::reading),
          2 * half <= NARROW
              ? OptionalInt.empty()
              : toGo(line.free() > 2 ? line.error() : Math.max(line.error(), TAPE_CM)),
          lines());
    }

    private List<List<Edge>> lines() {
      List<List<Edge>> all = new ArrayList<>();
      for (int n = 0; n < stretches.size(); n++) {
        List<Point> stretch = stretches.get(n);
        double from = stretch.get(0).x();
        double to = stretch.get(stretch.size() - 1).x();
        if (to > from) {
          List<Edge> edges = new ArrayList<>();
          for (int i = 0; i <= EDGES; i++) {
            double x = from + (to - from) * i / EDGES;
            double half = line.band(n, x);
            double cm = line.at(n, x);
            edges.add(
                new Edge(first.plusDays(Math.round(x * DAYS_A_MONTH)), cm - half, cm, cm + half));
          }
          all.add(List.copyOf(edges));
        }
      }
      return List.copyOf(all);
    }

    private Optional<Reading> reading(Point point) {
      return readings.stream().filter(each -> month(each) == point.x()).findFirst();
    }

    /** Goes on measuring as often as until now, as well as until now. */
    private OptionalInt toGo(double error) {
      double gap = gap();
      int last = stretches.size() - 1;
      double others = last < 0 ? 0 : line.spreadBeside(last);
      List<Double> months = new ArrayList<>();
      if (last >= 0) {
        stretches.get(last).forEach(point -> months.add(point.x()));
      }
      double from = months.isEmpty() ? 0 : months.get(months.size() - 1);
      for (int more = 1; more * gap <= LONGEST; more++) {
        months.add(from + more * gap);
        double middle = months.stream().mapToDouble(month -> month).average().orElse(0);
        double all = others + months.stream().mapToDouble(m -> (m - middle) * (m - middle)).sum();
        int free = readings.size() + more - Math.max(1, stretches.size()) - 1;
        if (free > 0 && all > 0 && 2 * StraightLine.half(free, error, all) <= NARROW) {
          return OptionalInt.of((int) Math.max(1, Math.ceil(more * gap)));
        }
      }
      return OptionalInt.empty();
    }

    /** The usual time between two readings, a week to three months; a month where there are few. */
    private double gap() {
      if (readings.size() < 3) {
        return 1;
      }
      double span = month(readings.get(readings.size() - 1));
      return Math.max(7 / DAYS_A_MONTH, Math.min(3, span / (readings.size() - 1)));
    }
  }
}
