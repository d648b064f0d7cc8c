package dremsa.core.search;

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
import ai.timefold.solver.core.api.solver.Solver;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A local search (late acceptance) over some whole numbers. It goes by the number of moves, so that
 * the same question gives the same answer on a slow machine and on a fast one.
 */
public final class LocalSearch {
  private static final long SEED = 31;

  /** Whether it is to stop is asked after so many answers. */
  private static final int ASKED = 256;

  private LocalSearch() {}

  /** From {@code least} to {@code most}, beginning with {@code start}. */
  public record Range(int least, int most, int start) {
    public Range {
      if (start < least || start > most) {
        throw new IllegalArgumentException("it begins outside: " + start);
      }
    }
  }

  /**
   * When it ends.
   *
   * @param moves so many are tried at most
   * @param longest never longer than this; on a usual machine it does not come to that
   * @param enough it ends with an answer that can be done, is faultless at the second level and
   *     costs at most so much; 0 where no such bound is known
   * @param stopped asked now and then
   */
  public record Ends(long moves, Duration longest, long enough, BooleanSupplier stopped) {
    public Ends(long moves, Duration longest) {
      this(moves, longest, 0, () -> false);
    }
  }

  /** One of the numbers. */
  @PlanningEntity
  static final class Wanted {
    private int place;
    private int least;
    private int most;
    private @Nullable Integer number;

    /** For the solver. */
    Wanted() {}

    Wanted(int place, Range range) {
      this.place = place;
      least = range.least();
      most = range.most();
      number = range.start();
    }

    @PlanningId
    public int getPlace() {
      return place;
    }

    @ValueRangeProvider(id = "numbers")
    public CountableValueRange<Integer> getNumbers() {
      return ValueRangeFactory.createIntValueRange(least, most + 1);
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
  static final class Answer {
    private List<Wanted> all = List.of();
    private @Nullable Asking asking;
    private @Nullable HardMediumSoftLongScore score;

    /** For the solver. */
    Answer() {}

    Answer(List<Wanted> all, Asking asking) {
      this.all = all;
      this.asking = asking;
    }

    @PlanningEntityCollectionProperty
    public List<Wanted> getAll() {
      return all;
    }

    @PlanningScore
    public @Nullable HardMediumSoftLongScore getScore() {
      return score;
    }

    public void setScore(@Nullable HardMediumSoftLongScore score) {
      this.score = score;
    }

    int[] numbers() {
      int[] numbers = new int[all.size()];
      for (Wanted wanted : all) {
        numbers[wanted.place] = wanted.number == null ? wanted.least : wanted.number;
      }
      return numbers;
    }
  }

  /** Weighs an answer up. */
  public static final class Weighing
      implements EasyScoreCalculator<Answer, HardMediumSoftLongScore> {
    @Override
    public HardMediumSoftLongScore calculateScore(Answer answer) {
      return Objects.requireNonNull(answer.asking).score(answer.numbers());
    }
  }

  /** One search: what is asked, and who may end it. */
  private static final class Asking {
    private final Function<int[], Weight> weigh;
    private final BooleanSupplier stopped;
    private @Nullable Solver<Answer> solver;
    private int asked;

    Asking(Function<int[], Weight> weigh, BooleanSupplier stopped) {
      this.weigh = weigh;
      this.stopped = stopped;
    }

    HardMediumSoftLongScore score(int[] numbers) {
      if (++asked % ASKED == 0 && stopped.getAsBoolean() && solver != null) {
        solver.terminateEarly();
      }
      Weight weight = weigh.apply(numbers);
      return HardMediumSoftLongScore.of(-weight.hard(), -weight.medium(), -weight.soft());
    }
  }

  /**
   * The best numbers found; those it begins with where there is nothing to choose or no move to
   * make.
   *
   * @param weigh must not keep the array
   * @param better hears of each better answer
   */
  public static int[] best(
      List<Range> ranges, Function<int[], Weight> weigh, Ends ends, Consumer<int[]> better) {
    if (ranges.isEmpty() || ends.moves() <= 0) {
      return ranges.stream().mapToInt(Range::start).toArray();
    }
    Asking asking = new Asking(weigh, ends.stopped());
    Solver<Answer> solver = SolverFactory.<Answer>create(config(ends)).buildSolver();
    asking.solver = solver;
    solver.addEventListener(event -> better.accept(event.getNewBestSolution().numbers()));
    List<Wanted> all =
        IntStream.range(0, ranges.size())
            .mapToObj(place -> new Wanted(place, ranges.get(place)))
            .toList();
    return solver.solve(new Answer(all, asking)).numbers();
  }

  private static SolverConfig config(Ends ends) {
    TerminationConfig end =
        new TerminationConfig().withMoveCountLimit(ends.moves()).withSpentLimit(ends.longest());
    if (ends.enough() > 0) {
      end.setBestScoreLimit(HardMediumSoftLongScore.of(0, 0, -ends.enough()).toString());
    }
    return new SolverConfig()
        .withSolutionClass(Answer.class)
        .withEntityClasses(Wanted.class)
        .withEasyScoreCalculatorClass(Weighing.class)
        .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
        .withRandomSeed(SEED)
        .withPhases(
            new LocalSearchPhaseConfig().withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE))
        .withTerminationConfig(end);
  }
}
