package dremsa.core.plan;

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
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * All formulas together: a local search over what is brewed on which evening, for the days lived
 * through by {@link Ledger}. It goes by the number of moves, so that the same situation gives the
 * same plan on a slow machine and on a fast one.
 */
final class Joint {
  private static final long SEED = 31;

  /** Somebody is asked whether it is to end after so many plans. */
  private static final int ASKED = 256;

  private Joint() {}

  /** A brew that there may be: one formula on one evening. */
  @PlanningEntity
  static final class Choice {
    private int slot;
    private int least;
    private int most;
    private @Nullable Integer cover;

    /** For the solver. */
    Choice() {}

    Choice(int slot, int least, int most, int cover) {
      this.slot = slot;
      this.least = least;
      this.most = most;
      this.cover = cover;
    }

    @PlanningId
    public int getSlot() {
      return slot;
    }

    @ValueRangeProvider(id = "covers")
    public CountableValueRange<Integer> getCovers() {
      return ValueRangeFactory.createIntValueRange(least, most + 1);
    }

    @PlanningVariable(valueRangeProviderRefs = "covers")
    public @Nullable Integer getCover() {
      return cover;
    }

    public void setCover(@Nullable Integer cover) {
      this.cover = cover;
    }
  }

  /** All of them. */
  @PlanningSolution
  static final class Choices {
    private List<Choice> all = new ArrayList<>();
    private @Nullable HardMediumSoftLongScore score;
    private @Nullable Search search;

    /** For the solver. */
    Choices() {}

    Choices(List<Choice> all, Search search) {
      this.all = all;
      this.search = search;
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
  }

  /** Weighs a plan up. */
  public static final class Weighing
      implements EasyScoreCalculator<Choices, HardMediumSoftLongScore> {
    @Override
    public HardMediumSoftLongScore calculateScore(Choices choices) {
      return java.util.Objects.requireNonNull(choices.search).score(choices.all);
    }
  }

  /** One search: what it is for, and who may end it. */
  private static final class Search {
    private final Compiled at;
    private final int[] covers;
    private final Effort effort;
    private @Nullable Solver<Choices> solver;
    private int asked;

    Search(Compiled at, int[] start, Effort effort) {
      this.at = at;
      this.covers = start.clone();
      this.effort = effort;
    }

    HardMediumSoftLongScore score(List<Choice> choices) {
      if (++asked % ASKED == 0 && effort.stopped().getAsBoolean() && solver != null) {
        solver.terminateEarly();
      }
      write(choices, covers);
      PlanScore score = Ledger.score(at, covers);
      return HardMediumSoftLongScore.of(-score.hard(), -score.medium(), -score.soft());
    }

    static void write(List<Choice> choices, int[] covers) {
      for (Choice choice : choices) {
        covers[choice.slot] = choice.cover == null ? 0 : choice.cover;
      }
    }
  }

  /**
   * Looks for a better plan.
   *
   * @param start covers to begin with
   * @param bound no plan costs less, thousandths of a minute
   * @param better hears of each better one
   */
  static int[] improve(
      Compiled at, int[] start, long bound, Effort effort, Consumer<int[]> better) {
    List<Choice> choices = choices(at, start);
    if (choices.isEmpty() || effort.moves() <= 0) {
      return start;
    }
    Search search = new Search(at, start, effort);
    Solver<Choices> solver = SolverFactory.<Choices>create(config(bound, effort)).buildSolver();
    search.solver = solver;
    solver.addEventListener(
        event -> {
          int[] covers = start.clone();
          Search.write(event.getNewBestSolution().all, covers);
          better.accept(covers);
        });
    int[] found = start.clone();
    Search.write(solver.solve(new Choices(choices, search)).all, found);
    return found;
  }

  private static List<Choice> choices(Compiled at, int[] start) {
    List<Choice> choices = new ArrayList<>();
    for (int p = 0; p < at.brewables; p++) {
      int most = at.mostCovered(p);
      for (int day = 0; day < at.days && most > 0; day++) {
        int slot = at.slot(day, p);
        if (at.canBrew(day, p) && !at.pinned[slot]) {
          int least = at.agreed[slot] > 0 ? Ledger.AS_AGREED : 0;
          choices.add(new Choice(slot, least, Math.max(most, start[slot]), start[slot]));
        }
      }
    }
    return choices;
  }

  private static SolverConfig config(long bound, Effort effort) {
    long enough = (long) Math.floor(bound * (1 + effort.enough()));
    TerminationConfig end =
        new TerminationConfig().withMoveCountLimit(effort.moves()).withSpentLimit(effort.longest());
    if (bound > 0) {
      end.setBestScoreLimit(HardMediumSoftLongScore.of(0, 0, -enough).toString());
    }
    return new SolverConfig()
        .withSolutionClass(Choices.class)
        .withEntityClasses(Choice.class)
        .withEasyScoreCalculatorClass(Weighing.class)
        .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
        .withRandomSeed(SEED)
        .withPhases(
            new LocalSearchPhaseConfig().withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE))
        .withTerminationConfig(end);
  }
}
