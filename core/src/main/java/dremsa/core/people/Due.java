package dremsa.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * An occasion on its day.
 *
 * @param planned the day that the rule says
 * @param day the day it is, or was, done on: planned, moved, or moved on by itself
 * @param state how it stands with it
 */
public record Due(Occasion occasion, LocalDate planned, LocalDate day, State state) {
  /** How it stands. */
  public enum State {
    COMING("planned"),
    /** Somebody put it on another day. */
    MOVED("moved"),
    /** Its day passed and nobody did it: it moved on to today by itself. */
    CARRIED("not done on its day, moved on to today"),
    DONE("done"),
    SKIPPED("left out"),
    /** Nobody did it before it came round again. */
    MISSED("missed");

    private final String words;

    State(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** Whether it is still to be done. */
    public boolean isOpen() {
      return this == COMING || this == MOVED || this == CARRIED;
    }
  }

  /**
   * What somebody said of an occasion of one day.
   *
   * @param occasion its key
   * @param planned the day that the rule says
   * @param moved the day it was put on, or done on; empty where it is left out
   */
  public record Said(String occasion, LocalDate planned, Optional<LocalDate> moved, boolean done) {
    public Said {
      Objects.requireNonNull(occasion, "occasion");
      Objects.requireNonNull(planned, "planned");
    }
  }

  /** An open one is carried over no longer than this, days. */
  private static final int LONGEST_CARRIED = 21;

  /** Nothing is moved by more than this, days. */
  public static final int FURTHEST = 60;

  /**
   * The occasions of a routine whose day lies in a span, in the order of their days. A missed one
   * moves on to today by itself, until it comes round again; what was missed for good is told on
   * its own day.
   *
   * @param said what somebody said of single days
   * @param today at the household's place
   */
  public static List<Due> between(
      Routine routine, List<Said> said, LocalDate today, LocalDate from, LocalDate to) {
    List<Due> all = new ArrayList<>();
    for (Occasion occasion : routine.occasions()) {
      Map<LocalDate, Said> known =
          said.stream()
              .filter(each -> each.occasion().equals(occasion.key()))
              .collect(Collectors.toMap(Said::planned, Function.identity(), (a, b) -> b));
      // Those before may have been moved into the span, and those after out of it.
      LocalDate early = earlier(from, today).minusDays(FURTHEST);
      LocalDate late = to.plusDays(FURTHEST);
      List<LocalDate> days = new ArrayList<>(routine.days(occasion, early, late));
      // Done by another rule before: it was done all the same.
      known.values().stream()
          .filter(each -> each.done() && !days.contains(each.planned()))
          .forEach(each -> days.add(each.planned()));
      days.sort(Comparator.naturalOrder());
      for (int i = 0; i < days.size(); i++) {
        Optional<LocalDate> next =
            i + 1 < days.size() ? Optional.of(days.get(i + 1)) : Optional.empty();
        all.add(due(occasion, days.get(i), next, known, today));
      }
    }
    return all.stream()
        .filter(due -> !due.day.isBefore(from) && !due.day.isAfter(to))
        .sorted(
            Comparator.comparing(Due::day)
                .thenComparing(due -> due.occasion.time())
                .thenComparing(due -> due.occasion.key()))
        .toList();
  }

  private static LocalDate earlier(LocalDate a, LocalDate b) {
    return a.isBefore(b) ? a : b;
  }

  private static Due due(
      Occasion occasion,
      LocalDate planned,
      Optional<LocalDate> next,
      Map<LocalDate, Said> known,
      LocalDate today) {
    Said said = known.get(planned);
    if (said != null && said.done()) {
      return new Due(occasion, planned, said.moved().orElse(planned), State.DONE);
    }
    if (said != null && said.moved().isEmpty()) {
      return new Due(occasion, planned, planned, State.SKIPPED);
    }
    LocalDate day = said == null ? planned : said.moved().orElse(planned);
    if (!day.isBefore(today)) {
      return new Due(occasion, planned, day, said == null ? State.COMING : State.MOVED);
    }
    boolean again = next.isPresent() && !next.get().isAfter(today);
    return again || day.plusDays(LONGEST_CARRIED).isBefore(today)
        ? new Due(occasion, planned, day, State.MISSED)
        : new Due(occasion, planned, today, State.CARRIED);
  }
}
