package dremsa.bench;

import dremsa.core.brew.PotNow;
import dremsa.core.material.Materials;
import dremsa.core.practice.Act;
import dremsa.core.practice.Exercise;
import dremsa.core.practice.Exercises;
import dremsa.core.practice.PracticeRun;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Looks at a practised pot per second on one core: a gel that was tended at the boil for twenty
 * minutes, with forty stirs. Four pots that are looked at once a second want four.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class PracticeBench {
  private static final double BOILED = 20 * 60;

  private final Exercise gel = Exercises.find("to-the-bottom").orElseThrow();
  private final List<Act> acts = new ArrayList<>();
  private double second;

  @Setup
  public void setUp() {
    acts.add(new Act(180, Act.Kind.NEXT, "", 0));
    acts.add(new Act(181, Act.Kind.HEAT, "", 1));
    acts.add(new Act(480, Act.Kind.NEXT, "", 0));
    acts.add(new Act(481, Act.Kind.HEAT, "", 0.3));
    for (second = 510; second < 480 + BOILED; second += 30) {
      acts.add(new Act(second, Act.Kind.STIR, "", 0));
    }
  }

  @Benchmark
  public PotNow look() {
    return PracticeRun.of(gel, Materials.standard(), acts, second).pot();
  }
}
