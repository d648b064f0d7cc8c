package dremsa.server.safekeeping;

import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Which days' backups stay: the last seven that there are, and of the last four weeks that have one
 * the first of each, so that a fault found late can still be gone back behind. Counted are backups,
 * not days gone by: a machine that was off for a month loses none.
 */
final class Rotation {
  static final int DAILY = 7;
  static final int WEEKLY = 4;

  private Rotation() {}

  /** Those of the days that stay. */
  static Set<LocalDate> kept(Collection<LocalDate> days) {
    List<LocalDate> newest = days.stream().distinct().sorted(Comparator.reverseOrder()).toList();
    Set<LocalDate> kept = new TreeSet<>(newest.subList(0, Math.min(DAILY, newest.size())));
    Map<Integer, LocalDate> firstOfWeek = new LinkedHashMap<>();
    newest.forEach(day -> firstOfWeek.put(week(day), day));
    firstOfWeek.values().stream().limit(WEEKLY).forEach(kept::add);
    return kept;
  }

  /** The week by ISO 8601, in its year. */
  private static int week(LocalDate day) {
    return day.get(IsoFields.WEEK_BASED_YEAR) * 100 + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
  }
}
