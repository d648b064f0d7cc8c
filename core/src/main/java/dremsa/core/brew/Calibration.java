package dremsa.core.brew;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Hob;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Said;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/**
 * Finds what a hob really gives, from two trials that anybody can do: timing water to the boil, and
 * weighing a pot before and after ten minutes' boiling. Both run the brew model backwards.
 */
public final class Calibration {
  /** Least and most net power that is looked for, W. */
  private static final double LEAST_W = 60;

  private static final double MOST_W = 6000;

  /** How well a maker times the first rolling bubbles, and measures the water; our estimate. */
  private static final double TIMING_ERROR = 0.06;

  /** How well a kitchen scale tells the loss, g; our estimate. */
  private static final double WEIGHING_ERROR_G = 4;

  /** How well the loss of an open surface is known; our estimate. */
  private static final double SURFACE_ERROR = 0.2;

  private Calibration() {}

  /** A trial that says something impossible. */
  public static final class ImpossibleTrialException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String field;

    ImpossibleTrialException(String field, String message) {
      super(message);
      this.field = field;
    }

    /** The number that does not fit. */
    public String field() {
      return field;
    }
  }

  /**
   * Net power into a pot, from the time that water took to boil with the lid on.
   *
   * @param pot that stood on the hob
   * @param grams of water, 200 to 10 000
   * @param fromC its temperature at the start, 1 to 40 °C
   * @param minutes to a rolling boil, 1 to 60
   * @return W, with the range that timing and measuring leave
   * @throws ImpossibleTrialException when no power explains it
   */
  public static Figure power(
      Kitchen kitchen, Vessel pot, double grams, double fromC, double minutes) {
    within("grams", grams, 200, 10_000);
    within("grams", grams, 200, pot.capacityMl() * 0.95);
    within("fromC", fromC, 1, 40);
    within("minutes", minutes, 1, 60);
    double value = powerFor(kitchen, pot, grams, fromC, minutes);
    double low = powerFor(kitchen, pot, grams, fromC, minutes * (1 + TIMING_ERROR));
    double high = powerFor(kitchen, pot, grams, fromC, minutes / (1 + TIMING_ERROR));
    return new Figure(value, low, high, "W", Provenance.CALIBRATED, "");
  }

  private static double powerFor(
      Kitchen kitchen, Vessel pot, double grams, double fromC, double minutes) {
    Kitchen cool =
        kitchen.withClimate(
            new dremsa.core.kitchen.Climate(
                fromC, kitchen.climate().fridgeC(), kitchen.climate().freezerC()));
    try {
      return new BracketingNthOrderBrentSolver(1e-9, 0.01, 1e-6, 4)
          .solve(
              100,
              watts -> toTheBoil(cool, pot, grams, watts).orElse(10_000) - minutes,
              LEAST_W,
              MOST_W);
    } catch (MathRuntimeException e) {
      throw new ImpossibleTrialException(
          "minutes",
          Said.of(
              "No hob of %.0f to %.0f W does that: look at the amount and the minutes again",
              LEAST_W, MOST_W));
    }
  }

  private static OptionalDouble toTheBoil(Kitchen kitchen, Vessel pot, double grams, double watts) {
    Formula water =
        new Formula(
            "trial",
            "Trial",
            Method.DECOCTION,
            Set.of(),
            "",
            List.of(Ingredient.parts("water", grams)),
            List.of(
                new Step.Combine(
                    VesselKind.POT, List.of("water"), Step.LiquidHeat.ROOM, Guide.NONE),
                new Step.Heat(true, false, Guide.NONE)));
    Figure given = Figure.estimate(watts, watts, watts, "W");
    Kitchen with =
        new Kitchen(
            List.of(new Hob("trial", "Trial", given, given, given)),
            List.of(pot),
            kitchen.strainers(),
            kitchen.scoops(),
            kitchen.climate(),
            kitchen.parameters(),
            kitchen.counts(),
            kitchen.scaleStep(),
            kitchen.site());
    Prediction p =
        Brew.of(water, with, Materials.standard())
            .untraced(1, VesselChoice.NONE.with(pot), Facts.NONE);
    return p.works() ? OptionalDouble.of(p.steps().get(1).minutes()) : OptionalDouble.empty();
  }

  /**
   * Heat that goes into bubbles at a boil, from the weight that an open pot lost while it boiled:
   * what steamed off, less what its surface would have lost without bubbles.
   *
   * @param pot that boiled, open
   * @param beforeGrams of water before, 200 to 10 000
   * @param afterGrams after, below it
   * @param minutes that it boiled, 5 to 60
   * @return W, with the range that the scale and the surface leave
   * @throws ImpossibleTrialException when it weighs more than before
   */
  public static Figure boilHeat(
      Kitchen kitchen, Vessel pot, double beforeGrams, double afterGrams, double minutes) {
    within("beforeGrams", beforeGrams, 200, 10_000);
    within("minutes", minutes, 5, 60);
    double lost = beforeGrams - afterGrams;
    if (!(lost > 0)) {
      throw new ImpossibleTrialException(
          "afterGrams", "After boiling it must weigh less than before");
    }
    Constants k = new Constants(kitchen);
    Pot open = new Pot(k);
    open.vessel = pot;
    double surface = HeatBalance.surfaceWatts(k, open, 1, k.boilingC);
    double perGram = Water.latentHeat(k.boilingC) / (minutes * 60);
    double all = lost * perGram;
    if (all > MOST_W) {
      throw new ImpossibleTrialException(
          "afterGrams",
          Said.of("That would take %.0f W: look at the weights and the minutes again", all));
    }
    double value = Math.max(0, all - surface);
    double error = WEIGHING_ERROR_G * perGram + surface * SURFACE_ERROR;
    return new Figure(
        value, Math.max(0, value - error), value + error, "W", Provenance.CALIBRATED, "");
  }

  private static void within(String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new ImpossibleTrialException(
          field, Said.of("This trial takes %.0f to %.0f here", low, high));
    }
  }
}
