package dremsa.devices;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Cooling;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ripening;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.Stock;
import dremsa.core.brew.Weighing;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.measure.MeasureSystem;
import java.util.List;

/**
 * The pot as it "really" is: the brew model in a kitchen that loses heat faster and is warmer than
 * the household believes, so that a reading has something to correct.
 */
final class TruePot {
  private static final double LOSS = 1.25;
  private static final double WARMER_C = 0.8;

  private final Kitchen kitchen = truth();

  private static Kitchen truth() {
    Kitchen usual = Kitchen.usual(MeasureSystem.METRIC);
    double loss = usual.parameters().value(Parameter.HEAT_LOSS) * LOSS;
    return usual
        .withClimate(new Climate(Climate.USUAL.roomC() + WARMER_C, 5, -18))
        .withParameters(
            usual
                .parameters()
                .with(Parameter.HEAT_LOSS, Figure.estimate(loss, loss, loss, "W/(m² K)")));
  }

  /** What a probe, a scale and a meter would say. */
  record Truth(double celsius, double grams, double ph) {}

  /**
   * The pot some time after it was told.
   *
   * @param minutes since then
   */
  Truth at(PotState state, double minutes) {
    Formula formula = formula(state);
    Materials materials = Materials.standard();
    Brew brew =
        Brew.of(
            formula,
            kitchen,
            materials,
            Stock.planned(formula, kitchen, materials, BuiltInFormulas::find));
    int present = Math.min(state.stepMinutes().size(), formula.steps().size() - 1);
    Facts facts = Facts.NONE;
    for (int i = 0; i < present; i++) {
      facts = facts.with(i, StepFacts.lasting(state.stepMinutes().get(i)));
    }
    double elapsed = state.elapsedMinutes() + minutes;
    // The present step lasts at least until now; how long it will last does not matter here.
    facts = facts.with(present, StepFacts.lasting(elapsed + 1e-3));
    Prediction prediction = brew.predict(state.scale(), brew.vesselsFor(state.scale()), facts);
    double now = prediction.steps().get(present).startMinute() + elapsed;
    return new Truth(
        Cooling.celsiusAt(prediction, now),
        Weighing.gramsAt(brew, prediction, now),
        ph(formula, present, elapsed));
  }

  private static Formula formula(PotState state) {
    return BuiltInFormulas.find(state.formulaId())
        .or(
            () ->
                BuiltInFormulas.all().stream()
                    .filter(f -> f.method().name().equals(state.method()))
                    .findFirst())
        .orElseGet(() -> BuiltInFormulas.all().get(0));
  }

  private double ph(Formula formula, int present, double elapsed) {
    List<Step> steps = formula.steps();
    if (!(steps.get(present) instanceof Step.Ferment)) {
      return 6.4;
    }
    return Ripening.of(StepFacts.NONE, kitchen, elapsed).ph().value();
  }
}
