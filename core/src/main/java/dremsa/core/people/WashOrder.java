package dremsa.core.people;

import dremsa.core.timetable.Job;
import dremsa.core.timetable.Ordering;
import dremsa.core.timetable.Task;
import dremsa.core.timetable.Timetable;
import dremsa.core.timetable.Workroom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * In which order one pair of hands does several heads: while one rests under its cap, the next is
 * worked on, and nothing stays on too long. Found by trying which head has the right of way, each
 * time carrying on with whatever must come off first; one head after the other always remains.
 *
 * @param items in the order of their beginning
 * @param overrun minutes by which anything stays on too long; 0 where nothing does
 */
public record WashOrder(List<Item> items, double overrun) {
  /** Wet hair between two things waits no longer; our estimate, min. */
  static final double GAP = 20;

  private static final Comparator<WashOrder> BEST_FIRST =
      Comparator.comparingDouble((WashOrder order) -> Math.rint(order.overrun * 100))
          .thenComparingDouble(WashOrder::minutes);

  /** So many orders are tried by the solver: a tenth of a second. */
  private static final long SEARCHED = 2_500;

  /** More heads than this are done one after the other. */
  private static final int MOST_TRIED = 5;

  /**
   * A piece of work.
   *
   * @param head from 0
   * @param step of this head, from 0
   * @param start minutes since the beginning
   * @param end of the work, minutes since the beginning
   */
  public record Item(int head, int step, double start, double end) {}

  /**
   * How far a head is.
   *
   * @param done so many steps
   * @param ended minute at which the last of them ended; 0 where none was done
   */
  public record Progress(int done, double ended) {
    public static final Progress NONE = new Progress(0, 0);
  }

  /** The order from the beginning. */
  public static WashOrder of(List<List<WashStep>> heads) {
    return of(heads, heads.stream().map(head -> Progress.NONE).toList(), 0);
  }

  /**
   * The order of what is still to be done.
   *
   * @param progress of each head
   * @param now minutes since the beginning
   */
  public static WashOrder of(List<List<WashStep>> heads, List<Progress> progress, double now) {
    List<WashOrder> tried = new ArrayList<>();
    for (List<Integer> rightOfWay : orders(heads.size())) {
      for (boolean together : new boolean[] {true, false}) {
        tried.add(new Plan(heads, progress, now, rightOfWay, together).run());
      }
    }
    return tried.stream().min(BEST_FIRST).orElse(new WashOrder(List.of(), 0));
  }

  /**
   * The same, looked for longer: by the solver that works a brew day out. What is found here by
   * trying is kept where the solver finds nothing better.
   *
   * @param progress of each head
   * @param now minutes since the beginning
   */
  public static WashOrder searched(
      List<List<WashStep>> heads, List<Progress> progress, double now) {
    WashOrder tried = of(heads, progress, now);
    if (heads.size() < 2) {
      return tried;
    }
    List<Job> jobs = new ArrayList<>();
    for (int head = 0; head < heads.size(); head++) {
      jobs.add(job(head, heads.get(head), progress.get(head), now));
    }
    Timetable table = Ordering.of(new Workroom(jobs, Map.of(), 1, List.of()), SEARCHED);
    WashOrder found = from(table, progress, now);
    return BEST_FIRST.compare(found, tried) < 0 ? found : tried;
  }

  /** What is left of a head; what it rests already is a task without work before the others. */
  private static Job job(int head, List<WashStep> steps, Progress progress, double now) {
    List<Task> tasks = new ArrayList<>();
    if (progress.done() > 0) {
      Optional<Contact> rest = steps.get(progress.done() - 1).rest();
      double since = now - progress.ended();
      double least = Math.max(0, rest.map(Contact::usual).orElse(0.0) - since);
      double most = Math.max(least, rest.map(Contact::most).orElse(GAP) - since);
      tasks.add(new Task("rests", 0, least, most, Set.of(), true));
    }
    for (WashStep step : steps.subList(progress.done(), steps.size())) {
      double rest = step.rest().map(Contact::usual).orElse(0.0);
      double most = step.rest().map(Contact::most).orElse(GAP);
      tasks.add(new Task(step.words(), step.hands(), rest, most, Set.of(), true));
    }
    return new Job(String.valueOf(head), "", tasks, 0, OptionalDouble.empty());
  }

  private static WashOrder from(Timetable table, List<Progress> progress, double now) {
    List<Item> items = new ArrayList<>();
    for (Timetable.Item item : table.items()) {
      Progress before = progress.get(item.job());
      int resting = before.done() > 0 ? 1 : 0;
      if (item.task() >= resting) {
        items.add(
            new Item(
                item.job(),
                before.done() + item.task() - resting,
                now + item.start(),
                now + item.handsEnd()));
      }
    }
    return new WashOrder(List.copyOf(items), table.overrun());
  }

  /** When everybody is done, minutes since the beginning. */
  public double minutes() {
    return items.stream().mapToDouble(Item::end).max().orElse(0);
  }

  private static List<List<Integer>> orders(int heads) {
    List<List<Integer>> all = new ArrayList<>();
    List<Integer> plain = new ArrayList<>();
    for (int i = 0; i < heads; i++) {
      plain.add(i);
    }
    if (heads > MOST_TRIED) {
      return List.of(plain);
    }
    permute(plain, 0, all);
    return all;
  }

  private static void permute(List<Integer> order, int from, List<List<Integer>> all) {
    if (from >= order.size()) {
      all.add(List.copyOf(order));
      return;
    }
    for (int i = from; i < order.size(); i++) {
      java.util.Collections.swap(order, from, i);
      permute(order, from + 1, all);
      java.util.Collections.swap(order, from, i);
    }
  }

  /** One try. */
  private static final class Plan {
    private final List<List<WashStep>> heads;
    private final List<Integer> rightOfWay;
    private final boolean together;
    private final int[] next;
    private final double[] ended;
    private final List<Item> items = new ArrayList<>();
    private double minute;
    private double overrun;

    Plan(
        List<List<WashStep>> heads,
        List<Progress> progress,
        double now,
        List<Integer> rightOfWay,
        boolean together) {
      this.heads = heads;
      this.rightOfWay = rightOfWay;
      this.together = together;
      this.minute = now;
      next = progress.stream().mapToInt(Progress::done).toArray();
      ended = progress.stream().mapToDouble(Progress::ended).toArray();
    }

    WashOrder run() {
      while (true) {
        int head = choose();
        if (head < 0) {
          return new WashOrder(List.copyOf(items), overrun);
        }
        double start = Math.max(minute, ready(head));
        overrun += Math.max(0, start - latest(head));
        double end = start + step(head).hands();
        items.add(new Item(head, next[head], start, end));
        next[head]++;
        ended[head] = end;
        minute = end;
      }
    }

    private boolean open(int head) {
      return next[head] < heads.get(head).size();
    }

    private WashStep step(int head) {
      return heads.get(head).get(next[head]);
    }

    /** From when on the next step of a head is best begun. */
    private double ready(int head) {
      return next[head] == 0
          ? 0
          : ended[head]
              + heads.get(head).get(next[head] - 1).rest().map(Contact::usual).orElse(0.0);
    }

    /** Until when it must have begun. */
    private double latest(int head) {
      return next[head] == 0
          ? Double.POSITIVE_INFINITY
          : ended[head] + heads.get(head).get(next[head] - 1).rest().map(Contact::most).orElse(GAP);
    }

    private int choose() {
      int best = -1;
      for (int head : rightOfWay) {
        if (!open(head)) {
          continue;
        }
        if (best < 0 || better(head, best)) {
          best = head;
        }
      }
      return best;
    }

    /** Whether a head comes before another: what is ready and safe to begin, then what is due. */
    private boolean better(int head, int than) {
      double a = Math.max(minute, ready(head));
      double b = Math.max(minute, ready(than));
      boolean safeA = safe(head, a);
      boolean safeB = safe(than, b);
      if (safeA != safeB) {
        return safeA;
      }
      // One begun is carried on with, unless it rests and the hands are free meanwhile.
      if (a != b) {
        return a < b;
      }
      return latest(head) < latest(than);
    }

    /** Whether nothing else stays on too long when this is begun now. */
    private boolean safe(int head, double start) {
      boolean begun = next[head] > 0;
      for (int other = 0; other < heads.size(); other++) {
        boolean otherBegun = next[other] > 0 && open(other);
        if (other == head || !otherBegun) {
          continue;
        }
        if (!together && !begun) {
          return false;
        }
        if (start + chain(head) > latest(other) && latest(other) >= minute) {
          return false;
        }
      }
      return true;
    }

    /** Work on a head that must be done in one go from here: until it may rest. */
    private double chain(int head) {
      double work = 0;
      for (int i = next[head]; i < heads.get(head).size(); i++) {
        WashStep step = heads.get(head).get(i);
        work += step.hands();
        if (step.rest().isPresent()) {
          break;
        }
      }
      return Math.min(work, step(head).hands() + GAP);
    }
  }
}
