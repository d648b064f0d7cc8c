package dremsa.core.brew;

/** Reads a weight taken while a step lasted as the weight at its end. */
public final class Weighing {
  private Weighing() {}

  /**
   * The facts with a weight that was read at a minute of a step. What leaves after the reading
   * leaves as predicted; of a straining it is what ran off that is weighed.
   *
   * @param minute since the step began
   * @param grams of liquid and plants in the vessel then
   */
  public static Facts read(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      int step,
      double minute,
      double grams) {
    double leaves = 0;
    if (brew.formula().steps().get(step).strainer().isEmpty()) {
      Prediction prediction = brew.predict(scale, vessels, facts);
      StepOutcome outcome = prediction.steps().get(step);
      double at = Math.min(outcome.startMinute() + minute, outcome.endMinute());
      leaves = prediction.momentAt(at).grams() - prediction.momentAt(outcome.endMinute()).grams();
    }
    return facts.with(
        step, facts.of(step).with(Reading.WEIGHT, Math.max(0, grams - Math.max(0, leaves))));
  }

  /**
   * What a scale would show of the vessel's contents at a minute: the liquid, and the plants until
   * they are strained, g.
   */
  public static double gramsAt(Brew brew, Prediction prediction, double minute) {
    double grams = prediction.momentAt(minute).grams();
    boolean strained = minute >= prediction.heat().strainedMinute() - 1e-6;
    for (int i = 0; i < brew.materials().size() && !strained; i++) {
      if (brew.materials().get(i).kind().isPlant()) {
        grams += prediction.amounts().getOrDefault(brew.formula().ingredients().get(i).key(), 0.0);
      }
    }
    return grams;
  }
}
