package dremsa.core.timetable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Sets tasks one after the other where they fit first: whose turn it is next says a number for each
 * task, the lowest first. What a task takes up is held until its job goes on, so that nothing is
 * put on a hob from which nothing was taken off.
 */
final class Dispatch {
  private static final double EPS = 1e-9;

  /** A span in which something is taken up; open until the job goes on. */
  private static final class Hold {
    final int job;
    final double from;
    double to;

    Hold(int job, double from, double to) {
      this.job = job;
      this.from = from;
      this.to = to;
    }
  }

  private final Workroom room;
  private final int[][] turns;
  private final double[] delays;
  private final Map<String, List<Hold>> holds = new HashMap<>();
  private final List<Hold> hands = new ArrayList<>();
  private final List<Timetable.Item> items = new ArrayList<>();
  private final int[] next;
  private final double[] handsEnded;
  private final double[] ready;
  private final List<List<Hold>> open = new ArrayList<>();
  private double clash;
  private double overrun;
  private double late;

  private Dispatch(Workroom room, int[][] turns, double[] delays) {
    this.room = room;
    this.turns = turns;
    this.delays = delays;
    int jobs = room.jobs().size();
    next = new int[jobs];
    handsEnded = new double[jobs];
    ready = new double[jobs];
    for (int job = 0; job < jobs; job++) {
      open.add(new ArrayList<>());
      ready[job] = room.jobs().get(job).notBefore() + delays[job];
    }
  }

  /**
   * A timetable.
   *
   * @param turns a number for each task of each job
   * @param delays minutes by which each job begins later than it might
   */
  static Timetable of(Workroom room, int[][] turns, double[] delays) {
    return new Dispatch(room, turns, delays).run();
  }

  private Timetable run() {
    while (true) {
      int job = choose(true);
      if (job < 0) {
        job = choose(false);
      }
      if (job < 0) {
        break;
      }
      set(job);
    }
    items.sort(Comparator.comparingDouble(Timetable.Item::start));
    return new Timetable(items, clash, overrun, late);
  }

  /** Whose turn it is; what waits for something that nobody gives back yet is passed over. */
  private int choose(boolean free) {
    int best = -1;
    for (int job = 0; job < next.length; job++) {
      if (next[job] >= room.jobs().get(job).tasks().size()) {
        continue;
      }
      boolean sooner = best < 0 || turns[job][next[job]] < turns[best][next[best]];
      if (sooner && (!free || !Double.isInfinite(fits(job)))) {
        best = job;
      }
    }
    return best;
  }

  private Task task(int job) {
    return room.jobs().get(job).tasks().get(next[job]);
  }

  /** The first minute at which the next task of a job fits; infinite where something is held. */
  private double fits(int job) {
    Task task = task(job);
    double at = ready[job];
    while (true) {
      double later = Math.max(handsFree(at, task.hands()), thingsFree(job, task, at));
      if (later <= at + EPS) {
        return at;
      }
      if (Double.isInfinite(later)) {
        return later;
      }
      at = later;
    }
  }

  private double handsFree(double at, double minutes) {
    if (minutes <= 0) {
      return at;
    }
    for (Workroom.Quiet quiet : room.quiet()) {
      if (at < quiet.to() - EPS && at + minutes > quiet.from() + EPS) {
        return quiet.to();
      }
    }
    return free(hands, -1, room.pairsOfHands(), at, at + minutes);
  }

  private double thingsFree(int job, Task task, double at) {
    double latest = at;
    // What is not let go is held for nobody knows how long yet.
    boolean last = next[job] == room.jobs().get(job).tasks().size() - 1;
    double until =
        task.letsGo() || last ? at + task.hands() + task.rest() : Double.POSITIVE_INFINITY;
    for (String what : task.uses()) {
      List<Hold> held = holds.get(what);
      if (held != null) {
        latest = Math.max(latest, free(held, job, room.count(what), at, until));
      }
    }
    return latest;
  }

  /** {@code from} where there is room all the while, or the next moment that may be better. */
  private static double free(List<Hold> held, int own, int count, double from, double to) {
    int beside = 0;
    double soonest = Double.POSITIVE_INFINITY;
    for (Hold hold : held) {
      boolean meets = hold.from < to - EPS && hold.to > from + EPS;
      if (meets && hold.job != own) {
        beside++;
        soonest = Math.min(soonest, hold.to);
      }
    }
    return beside < count ? from : soonest;
  }

  private void set(int job) {
    Task task = task(job);
    double fits = fits(job);
    double start = fits;
    if (Double.isInfinite(fits)) {
      // Two jobs wait for what the other holds: it is done all the same, and counts as a clash.
      start = Math.max(ready[job], handsFree(ready[job], task.hands()));
      clash += 1 + task.hands() + task.rest();
    }
    if (next[job] > 0) {
      Task before = room.jobs().get(job).tasks().get(next[job] - 1);
      overrun += Math.max(0, start - handsEnded[job] - before.most() - EPS);
    }
    for (Hold hold : open.get(job)) {
      hold.to = Math.max(hold.from, start);
    }
    open.get(job).clear();
    double handsEnd = start + task.hands();
    double end = handsEnd + task.rest();
    boolean last = next[job] == room.jobs().get(job).tasks().size() - 1;
    for (String what : task.uses()) {
      boolean closed = task.letsGo() || last;
      Hold hold = new Hold(job, start, closed ? end : Double.POSITIVE_INFINITY);
      holds.computeIfAbsent(what, key -> new ArrayList<>()).add(hold);
      if (!closed) {
        open.get(job).add(hold);
      }
    }
    if (task.hands() > 0) {
      hands.add(new Hold(job, start, handsEnd));
    }
    items.add(new Timetable.Item(job, next[job], start, handsEnd, end));
    handsEnded[job] = handsEnd;
    ready[job] = end;
    next[job]++;
    if (last) {
      late += Math.max(0, end - room.jobs().get(job).readyBy().orElse(Double.POSITIVE_INFINITY));
    }
  }
}
