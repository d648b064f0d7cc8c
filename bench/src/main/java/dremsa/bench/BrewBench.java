package dremsa.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.outlook.Outlook;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import java.time.Instant;
import java.time.ZoneOffset;
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

/** Predictions, whole answers and solves per second on one core; a formula of twelve steps. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class BrewBench {
  private static final Instant START = Instant.parse("2026-11-24T09:00:00Z");

  private Brew brew;
  private VesselChoice vessels;
  private double scale;

  @Setup
  public void setUp() {
    Formula gel = BuiltInFormulas.find("linseed-conditioner").orElseThrow();
    List<Step> steps = new ArrayList<>(gel.steps());
    // Handwork between the others, to the twelve steps that a long formula has.
    while (steps.size() < 12) {
      steps.add(
          0,
          new Step.Prepare(
              List.of(),
              Step.Treatment.STERILISE,
              dremsa.core.formula.Window.minutes(5, 10, 20),
              dremsa.core.formula.Guide.NONE));
    }
    Formula twelve =
        new Formula(
            "twelve", "Twelve steps", gel.method(), gel.purposes(), "", gel.ingredients(), steps);
    brew = Brew.of(twelve, Kitchen.usual(MeasureSystem.METRIC), Materials.standard());
    Solution.Reached reached = solve();
    scale = reached.scale();
    vessels = reached.vessels();
    System.out.println("a solve takes " + reached.predictions() + " predictions");
  }

  @Benchmark
  public Prediction predict() {
    return brew.predict(scale, vessels, Facts.NONE);
  }

  /** A prediction with every range, what moves it, and how long it keeps. */
  @Benchmark
  public Outlook whole() {
    return Outlook.of(
        brew,
        scale,
        vessels,
        Facts.NONE,
        brew.predict(scale, vessels, Facts.NONE),
        Keeping.inFridge(
            START, ZoneOffset.UTC, School.CAREFUL, Climates.always(brew.kitchen().climate())));
  }

  @Benchmark
  public Solution.Reached solve() {
    return (Solution.Reached) Scaling.solve(brew, new Target.Volume(500), Facts.NONE);
  }
}
