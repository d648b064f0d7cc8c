package dremsa.bench;

import dremsa.core.learn.KitchenFit;
import dremsa.core.learn.SimulatedKitchen;
import dremsa.core.learn.Weighed;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** How well and how fast a kitchen learns: the figures of docs/science.md. */
public final class LearnReport {
  private static final int KITCHENS = 200;
  private static final int MANY = 500;

  private LearnReport() {}

  public static void main(String[] args) {
    for (int batches : new int[] {1, 3, 5, 10}) {
      SimulatedKitchen.Report report = SimulatedKitchen.report(KITCHENS, batches);
      System.out.printf(
          Locale.ROOT,
          "%d kitchens, %d batches: next yield off by %.1f %% (median), %.1f %% unlearned;"
              + " %.1f %% of intervals hold the truth%n",
          KITCHENS,
          batches,
          100 * report.medianAfter(),
          100 * report.medianBefore(),
          100 * report.held());
    }
    SimulatedKitchen kitchen = new SimulatedKitchen(1);
    List<Weighed> many = new ArrayList<>();
    for (int i = 0; i < MANY; i++) {
      many.add(kitchen.brew().measured());
    }
    for (int run = 0; run < 3; run++) {
      long began = System.nanoTime();
      KitchenFit.of(
          many, SimulatedKitchen.BELIEVED, SimulatedKitchen.KNOWN, Set.of(), Set.of(), done -> {});
      System.out.printf(
          Locale.ROOT, "%d batches: %.1f s%n", MANY, (System.nanoTime() - began) / 1e9);
    }
  }
}
