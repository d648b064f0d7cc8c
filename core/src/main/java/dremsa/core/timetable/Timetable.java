package dremsa.core.timetable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * When each task is done.
 *
 * @param items in the order of their beginning
 * @param clash minutes for which more was taken up than there is; 0 in one that can be done
 * @param overrun minutes by which anything waited too long
 * @param late minutes by which anything was not ready in time
 */
public record Timetable(List<Item> items, double clash, double overrun, double late) {
  /** Hands that rest for less than this stay on their feet, min. */
  private static final double BREATHER = 5;

  /**
   * A task in its time.
   *
   * @param job number of its job
   * @param task number of it within the job
   * @param start minute
   * @param handsEnd minute at which the work is over
   * @param end minute at which its rest is over, and the next task may begin
   */
  public record Item(int job, int task, double start, double handsEnd, double end) {}

  /** A stretch on one's feet. */
  public record Stretch(double from, double to) {}

  public Timetable {
    items = List.copyOf(items);
  }

  /** When everything is over, minutes. */
  public double end() {
    return items.stream().mapToDouble(Item::end).max().orElse(0);
  }

  /** Stretches in which hands are at work; shorter breaks than a breather are none. */
  public List<Stretch> stretches() {
    List<Stretch> all = new ArrayList<>();
    List<Item> working =
        items.stream()
            .filter(item -> item.handsEnd() > item.start())
            .sorted(Comparator.comparingDouble(Item::start))
            .toList();
    for (Item item : working) {
      Stretch last = all.isEmpty() ? null : all.get(all.size() - 1);
      if (last != null && item.start() <= last.to() + BREATHER) {
        all.set(all.size() - 1, new Stretch(last.from(), Math.max(last.to(), item.handsEnd())));
      } else {
        all.add(new Stretch(item.start(), item.handsEnd()));
      }
    }
    return List.copyOf(all);
  }
}
