package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;

/**
 * A preservative does not make a brew young again. What had spent too much of its life before one
 * was stirred in keeps as if there were none: a quarter of it by the careful school, a half by the
 * practice school; our rule, on the side of caution, as what has grown by then is not measured.
 */
final class LatePreservative {
  private LatePreservative() {}

  /** The class of a finished brew, with the time at which it was preserved in mind. */
  static Classification classify(
      Brew brew, Prediction prediction, School school, Timeline timeline) {
    Classification found = Classifier.classify(prediction.contents(), school);
    double hour = preservedHour(brew, prediction);
    boolean preserved =
        found.keepingClass() == KeepingClass.PRESERVED
            || found.keepingClass() == KeepingClass.PRESERVED_RICH;
    if (!preserved || Double.isNaN(hour)) {
      return found;
    }
    Classification bare = Classifier.classify(prediction.contents().unpreserved(), school);
    double budget = bare.budgetHours(school);
    double spent = budget <= 0 ? 1 : timeline.spentBy(hour) / budget;
    return spent <= school.latestPreservative()
        ? found
        : new Classification(
            bare.keepingClass(),
            Said.of(
                "%s; a preservative came when %.0f %% of its life was spent, too late to count",
                bare.why(), 100 * Math.min(1, spent)),
            bare.towardsPaste());
  }

  /** The hour at which the last preservative went in; NaN where none went in by itself. */
  private static double preservedHour(Brew brew, Prediction prediction) {
    double last = Double.NaN;
    for (StepOutcome outcome : prediction.steps()) {
      boolean preserves =
          brew.formula().steps().get(outcome.index()).ingredients().stream()
              .anyMatch(
                  key ->
                      brew.materialOf(key)
                          .filter(material -> material.kind() == MaterialKind.PRESERVATIVE)
                          .isPresent());
      if (preserves) {
        last = outcome.endMinute() / 60;
      }
    }
    return last;
  }
}
