package dremsa.core.learn;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Provenance;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A kitchen that differs from what the model believes: its true figures are drawn from what is
 * believed of them. What is brewed in it is weighed with a scale of 1 g and a jug good to 2 %.
 */
public final class SimulatedKitchen {
  public static final Kitchen BELIEVED = Kitchen.usual(MeasureSystem.METRIC);
  public static final Materials KNOWN = Materials.standard();

  /**
   * What its households brew: formulas whose yield hangs on the kitchen by 3 % and more. What is
   * poured over and strained comes out within 2 % of what is foretold in any kitchen.
   */
  private static final List<String> FORMULAS =
      List.of(
          "linseed-gel",
          "linseed-light",
          "quince-gel",
          "marshmallow-gel",
          "burdock-decoction",
          "birch-sage-decoction",
          "carrageen-gel",
          "calendula-oil",
          "rosemary-tincture",
          "aloe-juice-fresh");

  private static final int FAVOURITES = 2;
  private static final double[] AMOUNTS = {200, 250, 300, 400, 500};

  private final Random dice;
  private final Map<String, Double> deviations = new HashMap<>();
  private final List<String> favourites;
  private int brewed;

  public SimulatedKitchen(long seed) {
    dice = new Random(seed);
    List<String> all = new ArrayList<>(FORMULAS);
    Collections.shuffle(all, dice);
    favourites = List.copyOf(all.subList(0, FAVOURITES));
  }

  /** What one of its figures really is. */
  public double truth(Knob knob) {
    Figure prior = knob.figure(BELIEVED, KNOWN).orElseThrow();
    double deviation = deviations.computeIfAbsent(knob.key(), key -> dice.nextGaussian());
    return prior.value()
        * Math.exp(deviation * (Math.log(prior.high()) - Math.log(prior.low())) / 4);
  }

  private Brew really(Brew brew) {
    Brew real = brew;
    for (Knob knob : Knob.of(brew)) {
      Figure prior = knob.figure(BELIEVED, KNOWN).orElseThrow();
      if (Knob.open(prior)) {
        real = knob.with(real, prior.withValue(truth(knob), Provenance.CALIBRATED));
      }
    }
    return real;
  }

  /**
   * A batch.
   *
   * @param measured with what its maker measured
   * @param reallyMl what came out, mL
   */
  public record Batch(Weighed measured, double reallyMl) {}

  /** Brews the next batch, measured out by what is believed. */
  public Batch brew() {
    String formula = favourites.get(brewed++ % favourites.size());
    double amount = AMOUNTS[dice.nextInt(AMOUNTS.length)];
    Brew planned = Brew.of(BuiltInFormulas.find(formula).orElseThrow(), BELIEVED, KNOWN);
    Solution.Reached reached =
        (Solution.Reached) Scaling.solve(planned, new Target.Volume(amount), Facts.NONE);
    Brew brew = reached.brew();
    VesselChoice vessels = reached.vessels();
    double real =
        really(brew).untraced(reached.scale(), vessels, Facts.NONE).finished().millilitres();
    double read = Math.max(1, Math.round(real * (1 + 0.02 * dice.nextGaussian())));
    return new Batch(
        new Weighed(
            "batch " + brewed,
            brew,
            reached.scale(),
            vessels,
            Facts.NONE,
            List.of(new Weighed.Observed(brew.formula().steps().size(), read))),
        real);
  }

  /**
   * How well many kitchens learn.
   *
   * @param medianBefore error of the next yield without having learned, share
   * @param medianAfter the same after some batches
   * @param held share of all intervals of figures that hold the truth
   */
  public record Report(double medianBefore, double medianAfter, double held) {}

  /** Lets so many kitchens learn from so many batches each. */
  public static Report report(int kitchens, int batches) {
    List<Double> before = new ArrayList<>();
    List<Double> after = new ArrayList<>();
    int held = 0;
    int figures = 0;
    for (int seed = 0; seed < kitchens; seed++) {
      SimulatedKitchen kitchen = new SimulatedKitchen(seed);
      List<Weighed> weighed = new ArrayList<>();
      for (int i = 0; i < batches; i++) {
        weighed.add(kitchen.brew().measured());
      }
      List<Taught> taught =
          KitchenFit.of(weighed, BELIEVED, KNOWN, Set.of(), Set.of(), done -> {}).figures();
      Batch next = kitchen.brew();
      Weighed wanted = next.measured();
      before.add(off(wanted, wanted.brew(), next.reallyMl()));
      after.add(off(wanted, figured(wanted.brew(), taught), next.reallyMl()));
      for (Taught each : taught) {
        double truth = kitchen.truth(each.knob());
        figures++;
        held += truth >= each.after().low() && truth <= each.after().high() ? 1 : 0;
      }
    }
    return new Report(median(before), median(after), (double) held / figures);
  }

  private static double off(Weighed wanted, Brew figured, double really) {
    return Math.abs(wanted.predicted(figured, wanted.yield()) / really - 1);
  }

  private static Brew figured(Brew brew, List<Taught> taught) {
    Brew figured = brew;
    for (Taught each : taught) {
      figured = each.told() ? each.knob().with(figured, each.after()) : figured;
    }
    return figured;
  }

  private static double median(List<Double> all) {
    return all.stream().sorted().toList().get(all.size() / 2);
  }
}
