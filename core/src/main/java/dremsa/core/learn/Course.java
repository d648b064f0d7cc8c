package dremsa.core.learn;

import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * A product used in a rhythm for some weeks by one person.
 *
 * @param product its name
 * @param from the first day
 * @param weeks 1 to {@value #LONGEST}
 * @param everyDays the rhythm: once in so many days
 * @param uses the days on which it was used
 * @param judged what was judged on which day, before and meanwhile
 * @param beside what else changed meanwhile
 */
public record Course(
    String product,
    LocalDate from,
    int weeks,
    int everyDays,
    List<LocalDate> uses,
    List<Judged> judged,
    Set<Confounder> beside) {
  /** Longer is no course but a habit. */
  public static final int LONGEST = 52;

  /** What was judged before counts so far back, weeks; our estimate. */
  static final int BEFORE_WEEKS = 8;

  /** What a product does shows after this share of a course; our estimate. */
  private static final double TAKES_HOLD = 0.5;

  /** As much of the rhythm kept up is kept up; our estimate. */
  private static final double KEPT_UP = 0.8;

  private static final int WEEK = 7;

  /**
   * Something judged.
   *
   * @param score within the criterion's scale
   */
  public record Judged(LocalDate day, Criterion criterion, double score) {}

  public Course {
    if (weeks < 1 || weeks > LONGEST || everyDays < 1 || everyDays > weeks * WEEK) {
      throw new IllegalArgumentException(
          "a course lasts 1 to " + LONGEST + " weeks, and its rhythm is within it");
    }
    uses = List.copyOf(uses);
    judged = List.copyOf(judged);
    beside = Set.copyOf(beside);
  }

  /** The last day that belongs to it. */
  public LocalDate last() {
    return from.plusDays((long) weeks * WEEK - 1);
  }

  /** Days on which it was used, each once, up to a day. */
  public Set<LocalDate> ticks(LocalDate today) {
    Set<LocalDate> ticks = new TreeSet<>();
    for (LocalDate day : uses) {
      if (!day.isBefore(from) && !day.isAfter(last()) && !day.isAfter(today)) {
        ticks.add(day);
      }
    }
    return ticks;
  }

  /** How often it was to be used by a day. */
  public int wanted(LocalDate today) {
    LocalDate end = today.isAfter(last()) ? last() : today;
    long days = ChronoUnit.DAYS.between(from, end) + 1;
    return days <= 0 ? 0 : (int) ((days + everyDays - 1) / everyDays);
  }

  /** Whether the rhythm was kept up. */
  public boolean keptUp(LocalDate today) {
    return ticks(today).size() >= KEPT_UP * wanted(today);
  }

  /** What was judged before it, against what was judged in its second half. */
  public Map<Criterion, Shift> shifts() {
    LocalDate holds = from.plusDays(Math.round(weeks * WEEK * TAKES_HOLD));
    Map<Criterion, Shift> all = new EnumMap<>(Criterion.class);
    for (Criterion criterion : Criterion.values()) {
      List<Double> before = new ArrayList<>();
      List<Double> after = new ArrayList<>();
      for (Judged each : judged) {
        if (each.criterion() == criterion) {
          if (each.day().isBefore(from) && !each.day().isBefore(from.minusWeeks(BEFORE_WEEKS))) {
            before.add(each.score());
          } else if (!each.day().isBefore(holds) && !each.day().isAfter(last())) {
            after.add(each.score());
          }
        }
      }
      if (!before.isEmpty() || !after.isEmpty()) {
        all.put(criterion, Shift.of(before, after, 1));
      }
    }
    return all;
  }

  /** What can be told of it on a day, and what not: sentences. */
  public List<String> words(LocalDate today) {
    List<String> all = new ArrayList<>();
    int ticks = ticks(today).size();
    int wanted = wanted(today);
    all.add(
        Said.of(
            "%s was used on %d of %d days that the rhythm asks for%s.",
            product, ticks, wanted, keptUp(today) ? "" : ": too seldom to say what it does"));
    if (today.isBefore(last())) {
      long left = ChronoUnit.DAYS.between(today, last());
      all.add(Said.of("It goes on for %d more days.", left));
    }
    Map<Criterion, Shift> shifts = shifts();
    shifts.forEach(
        (criterion, shift) -> all.add(shift.words(criterion, "before it", "in its second half")));
    if (shifts.isEmpty()) {
      all.add("Nothing was judged before it or in its second half: nothing can be told.");
    }
    if (!beside.isEmpty()) {
      all.add(
          Said.of(
              "Meanwhile something else changed too: %s. What is told may come from that.",
              Said.and(beside.stream().map(Confounder::words).sorted().toList())));
    } else if (shifts.values().stream().anyMatch(Shift::settled)) {
      all.add("One person and one course: something else may have changed meanwhile.");
    }
    return all;
  }
}
