package dremsa.core.timetable;

import dremsa.core.search.LocalSearch;
import dremsa.core.search.Weight;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntBinaryOperator;

/**
 * Finds a good timetable: a local search over whose turn it is and how long each job waits before
 * it begins. It goes by the number of moves, so that the same work gives the same timetable on
 * every machine.
 */
public final class Ordering {
  /** Enough for an evening's brews, in less than a second. */
  public static final long USUAL = 6_000;

  /** It never takes longer; on a usual machine it does not come to that. */
  private static final Duration LONGEST = Duration.ofSeconds(20);

  /** Jobs wait in steps of so many minutes, and at most so many steps. */
  private static final int STEP = 5;

  private static final int STEPS = 24;

  /** Getting up once more counts as so many minutes of a later end; our estimate. */
  private static final double STRETCH = 15;

  private static final Comparator<Weight> BEST_FIRST =
      Comparator.comparingLong(Weight::hard)
          .thenComparingLong(Weight::medium)
          .thenComparingLong(Weight::soft);

  private final Workroom room;
  private final int tasks;

  private Ordering(Workroom room) {
    this.room = room;
    tasks = room.jobs().stream().mapToInt(job -> job.tasks().size()).sum();
  }

  /** The usual effort. */
  public static Timetable of(Workroom room) {
    return of(room, USUAL);
  }

  /**
   * The best timetable found.
   *
   * @param moves so many are tried; 0 takes the best of a few simple ones
   */
  public static Timetable of(Workroom room, long moves) {
    Ordering ordering = new Ordering(room);
    LocalSearch.Ends ends = new LocalSearch.Ends(room.jobs().size() < 2 ? 0 : moves, LONGEST);
    return ordering.timetable(
        LocalSearch.best(ordering.start(), ordering::weigh, ends, numbers -> {}));
  }

  private Weight weigh(int[] numbers) {
    Timetable table = timetable(numbers);
    double soft = table.end() + STRETCH * table.stretches().size();
    return new Weight(
        Math.round(table.clash() * 100),
        Math.round((table.overrun() + table.late()) * 100),
        Math.round(soft * 100));
  }

  /** Numbers job by job: the turn of each of its tasks, then, where it may wait, its wait. */
  private Timetable timetable(int[] numbers) {
    int[][] turns = new int[room.jobs().size()][];
    double[] delays = new double[turns.length];
    int at = 0;
    for (int job = 0; job < turns.length; job++) {
      turns[job] = new int[room.jobs().get(job).tasks().size()];
      for (int task = 0; task < turns[job].length; task++) {
        turns[job][task] = numbers[at++];
      }
      if (room.mayWait()) {
        delays[job] = numbers[at++] * STEP;
      }
    }
    return Dispatch.of(room, turns, delays);
  }

  /** One job after the other, all in turns, or all ending together: whichever is best. */
  private List<LocalSearch.Range> start() {
    int jobs = room.jobs().size();
    List<IntBinaryOperator> ways =
        List.of(
            (job, task) -> task * jobs + job,
            (job, task) -> job * tasks / Math.max(1, jobs) + task,
            (job, task) -> tasks - 1 - (room.jobs().get(job).tasks().size() - 1 - task));
    return ways.stream()
        .map(this::ranges)
        .min(
            Comparator.comparing(
                ranges -> weigh(ranges.stream().mapToInt(LocalSearch.Range::start).toArray()),
                BEST_FIRST))
        .orElseThrow();
  }

  private List<LocalSearch.Range> ranges(IntBinaryOperator way) {
    List<LocalSearch.Range> all = new ArrayList<>();
    for (int job = 0; job < room.jobs().size(); job++) {
      for (int task = 0; task < room.jobs().get(job).tasks().size(); task++) {
        int turn = Math.max(0, Math.min(tasks, way.applyAsInt(job, task)));
        all.add(new LocalSearch.Range(0, tasks, turn));
      }
      if (room.mayWait()) {
        all.add(new LocalSearch.Range(0, STEPS, 0));
      }
    }
    return all;
  }
}
