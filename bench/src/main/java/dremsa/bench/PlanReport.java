package dremsa.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.plan.Agreed;
import dremsa.core.plan.BrewDay;
import dremsa.core.plan.BrewPlan;
import dremsa.core.plan.Effort;
import dremsa.core.plan.LivedHousehold;
import dremsa.core.plan.Planner;
import dremsa.core.plan.Situation;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** What plans are worth, and how long they take: the figures of docs/science.md. */
public final class PlanReport {
  private static final int SEEDS = 50;

  private PlanReport() {}

  public static void main(String[] args) {
    lives();
    times();
    evening();
  }

  /** Four brews over one hob. */
  private static void evening() {
    Kitchen kitchen = Kitchen.usual(MeasureSystem.METRIC);
    List<BrewDay.Run> runs =
        Stream.of("linseed-gel", "lemon-balm-spray", "birch-sage-decoction", "fennel-seed-rinse")
            .map(formula -> run(kitchen, formula))
            .toList();
    List<Double> took = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      long began = System.nanoTime();
      BrewDay.of(kitchen, runs, List.of());
      took.add((System.nanoTime() - began) / 1e6);
    }
    System.out.printf(
        Locale.ROOT,
        "an evening of four brews: %.0f ms at once, %.0f ms when warm%n",
        took.get(0),
        took.stream().min(Comparator.naturalOrder()).orElseThrow());
  }

  private static BrewDay.Run run(Kitchen kitchen, String formula) {
    Brew brew = Brew.of(BuiltInFormulas.find(formula).orElseThrow(), kitchen, Materials.standard());
    Solution.Reached reached =
        (Solution.Reached) Scaling.solve(brew, new Target.Volume(300), Facts.NONE);
    return new BrewDay.Run(
        formula,
        brew.formula().name(),
        reached.brew(),
        reached.vessels(),
        reached.prediction(),
        0,
        OptionalDouble.empty());
  }

  private static void lives() {
    System.out.println("Twelve weeks of a household, " + SEEDS + " seeds: median, worst");
    report("by the plan", new LivedHousehold.Planned(), 3000);
    report("by the plan, no freezer", new LivedHousehold.Planned(), 0);
    report("a pint when it runs out", new LivedHousehold.Pint(), 3000);
    report("a careful maker's rule", new LivedHousehold.Careful(), 3000);
    report("a careful maker's rule, no freezer", new LivedHousehold.Careful(), 0);
  }

  private static void report(String name, LivedHousehold.Way way, double freezer) {
    List<LivedHousehold.Record> all =
        LongStream.rangeClosed(1, SEEDS)
            .mapToObj(seed -> LivedHousehold.live(way, seed, freezer))
            .toList();
    System.out.printf(
        Locale.ROOT,
        "%-36s thrown %4.1f %% %5.1f %%  served %5.1f %% %5.1f %%  brews %3.0f %3.0f  sessions %3.0f"
            + " %3.0f  hands %5.0f min %5.0f min  past its date %d%n",
        name,
        100 * middle(all, LivedHousehold.Record::thrown),
        100 * most(all, LivedHousehold.Record::thrown),
        100 * middle(all, LivedHousehold.Record::served),
        100 - 100 * most(all, record -> 1 - record.served()),
        middle(all, LivedHousehold.Record::brews),
        most(all, LivedHousehold.Record::brews),
        middle(all, LivedHousehold.Record::sessions),
        most(all, LivedHousehold.Record::sessions),
        middle(all, LivedHousehold.Record::hands),
        most(all, LivedHousehold.Record::hands),
        all.stream().mapToInt(LivedHousehold.Record::pastDate).sum());
  }

  private static double middle(
      List<LivedHousehold.Record> all, ToDoubleFunction<LivedHousehold.Record> of) {
    return all.stream().mapToDouble(of).sorted().skip(all.size() / 2).findFirst().orElseThrow();
  }

  private static double most(
      List<LivedHousehold.Record> all, ToDoubleFunction<LivedHousehold.Record> of) {
    return all.stream().mapToDouble(of).max().orElseThrow();
  }

  /** Four heads, six products, six weeks. */
  private static void times() {
    Situation situation = LivedHousehold.situation(42, List.<Agreed>of());
    List<Double> first = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      long began = System.nanoTime();
      Planner.first(situation);
      first.add((System.nanoTime() - began) / 1e6);
    }
    System.out.printf(
        Locale.ROOT,
        "six weeks, first answer: %.0f ms at once, %.0f ms when warm%n",
        first.get(0),
        first.stream().min(Comparator.naturalOrder()).orElseThrow());
    BrewPlan known =
        Planner.best(
            situation, new Effort(1_000_000, Duration.ofMinutes(5), 0, () -> false), plan -> {});
    long began = System.nanoTime();
    BrewPlan found = Planner.best(situation, Effort.USUAL, plan -> {});
    System.out.printf(
        Locale.ROOT,
        "six weeks, joint: %.1f s, %.1f %% above the best known, at most %.0f %% above any%n",
        (System.nanoTime() - began) / 1e9,
        100 * (found.score().minutes() / known.score().minutes() - 1),
        100 * found.gap().orElse(Double.NaN));
    Runtime now = Runtime.getRuntime();
    System.out.printf(
        Locale.ROOT,
        "memory in use: %d MB of %d MB%n",
        (now.totalMemory() - now.freeMemory()) >> 20,
        now.maxMemory() >> 20);
  }
}
