package dremsa.core.timetable;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.valuerange.CountableValueRange;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeFactory;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.score.calculator.EasyScoreCalculator;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Finds a good timetable: a local search over whose turn it is and how long each job waits before
 * it begins. It goes by the number of moves, so that the same work gives the same timetable on
 * every machine.
 */
public final class Ordering {
  /** Enough for an evening's brews, in less than a second. */
  public static final long USUAL = 6_000;

  private static final long SEED = 31;

  /** It never takes longer; on a usual machine it does not come to that. */
  private static final Duration LONGEST = Duration.ofSeconds(20);

  /** Jobs wait in steps of so many minutes, and at most so many steps. */
  private static final int STEP = 5;

  private static final int STEPS = 24;

  /** Getting up once more counts as so many minutes of a later end; our estimate. */
  private static final double STRETCH = 15;

  private Ordering() {}

  /** A number that is looked for: a task's turn, or the steps a job waits. */
  @PlanningEntity
  static final class Choice {
    private int id;
    private int job;

    /** −1 for the wait of the job. */
    private int task;

    private int most;
    private @Nullable Integer number;

    /** For the solver. */
    Choice() {}

    Choice(int id, int job, int task, int most, int number) {
      this.id = id;
      this.job = job;
      this.task = task;
      this.most = most;
      this.number = number;
    }

    @PlanningId
    public int getId() {
      return id;
    }

    @ValueRangeProvider(id = "numbers")
    public CountableValueRange<Integer> getNumbers() {
      return ValueRangeFactory.createIntValueRange(0, most + 1);
    }

    @PlanningVariable(valueRangeProviderRefs = "numbers")
    public @Nullable Integer getNumber() {
      return number;
    }

    public void setNumber(@Nullable Integer number) {
      this.number = number;
    }
  }

  /** All of them. */
  @PlanningSolution
  static final class Choices {
    private List<Choice> all = new ArrayList<>();
    private @Nullable Workroom room;
    private @Nullable HardMediumSoftLongScore score;

    /** For the solver. */
    Choices() {}

    Choices(Workroom room, List<Choice> all) {
      this.room = room;
      this.all = all;
    }

    @PlanningEntityCollectionProperty
    public List<Choice> getAll() {
      return all;
    }

    @PlanningScore
    public @Nullable HardMediumSoftLongScore getScore() {
      return score;
    }

    public void setScore(@Nullable HardMediumSoftLongScore score) {
      this.score = score;
    }

    Timetable timetable() {
      Workroom in = Objects.requireNonNull(room);
      int[][] turns = new int[in.jobs().size()][];
      for (int job = 0; job < turns.length; job++) {
        turns[job] = new int[in.jobs().get(job).tasks().size()];
      }
      double[] delays = new double[turns.length];
      for (Choice choice : all) {
        int number = choice.number == null ? 0 : choice.number;
        if (choice.task < 0) {
          delays[choice.job] = number * STEP;
        } else {
          turns[choice.job][choice.task] = number;
        }
      }
      return Dispatch.of(in, turns, delays);
    }
  }

  /** Weighs a timetable up. */
  public static final class Weighing
      implements EasyScoreCalculator<Choices, HardMediumSoftLongScore> {
    @Override
    public HardMediumSoftLongScore calculateScore(Choices choices) {
      return score(choices.timetable());
    }
  }

  private static HardMediumSoftLongScore score(Timetable table) {
    double soft = table.end() + STRETCH * table.stretches().size();
    return HardMediumSoftLongScore.of(
        -Math.round(table.clash() * 100),
        -Math.round((table.overrun() + table.late()) * 100),
        -Math.round(soft * 100));
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
    int tasks = room.jobs().stream().mapToInt(job -> job.tasks().size()).sum();
    Choices start = start(room, tasks);
    if (moves <= 0 || room.jobs().size() < 2) {
      return start.timetable();
    }
    SolverConfig config =
        new SolverConfig()
            .withSolutionClass(Choices.class)
            .withEntityClasses(Choice.class)
            .withEasyScoreCalculatorClass(Weighing.class)
            .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
            .withRandomSeed(SEED)
            .withPhases(
                new LocalSearchPhaseConfig().withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE))
            .withTerminationConfig(
                new TerminationConfig().withMoveCountLimit(moves).withSpentLimit(LONGEST));
    return SolverFactory.<Choices>create(config).buildSolver().solve(start).timetable();
  }

  /** One job after the other, or all in turns: whichever is better. */
  private static Choices start(Workroom room, int tasks) {
    Choices best = null;
    List<Function<int[], Integer>> ways =
        List.of(
            at -> at[1] * room.jobs().size() + at[0],
            at -> at[0] * tasks / Math.max(1, room.jobs().size()) + at[1],
            at -> tasks - 1 - (room.jobs().get(at[0]).tasks().size() - 1 - at[1]));
    for (Function<int[], Integer> way : ways) {
      Choices choices = new Choices(room, choices(room, tasks, way));
      if (best == null || score(choices.timetable()).compareTo(score(best.timetable())) > 0) {
        best = choices;
      }
    }
    return Objects.requireNonNull(best);
  }

  private static List<Choice> choices(Workroom room, int tasks, Function<int[], Integer> way) {
    List<Choice> all = new ArrayList<>();
    for (int job = 0; job < room.jobs().size(); job++) {
      for (int task = 0; task < room.jobs().get(job).tasks().size(); task++) {
        int number = Math.max(0, Math.min(tasks, way.apply(new int[] {job, task})));
        all.add(new Choice(all.size(), job, task, tasks, number));
      }
      if (room.mayWait()) {
        all.add(new Choice(all.size(), job, -1, STEPS, 0));
      }
    }
    return all;
  }
}
