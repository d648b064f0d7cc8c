package dremsa.core.fault;

import dremsa.core.brew.Prediction;
import dremsa.core.formula.MethodGuides;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Asks the model what explains best what a maker found wrong. */
public final class WhatWentWrong {
  /** More is no help. */
  private static final int MOST = 5;

  /** An effect of this size, in the logarithm, explains most of what anybody sees. */
  private static final double PLAIN = 0.25;

  /** Less than this does not explain anything. */
  private static final double WORTH = 0.03;

  private WhatWentWrong() {}

  /**
   * What may have caused it, the best first; what was written down before what is supposed where
   * both explain it as well.
   *
   * @return empty where neither the model nor the method knows a cause
   */
  public static List<Explanation> of(Brewed brewed, Symptom symptom) {
    List<Explanation> all = new ArrayList<>();
    if (Measured.by(symptom).isPresent()) {
      Measured measured = Measured.by(symptom).orElseThrow();
      String now = measured.cure(brewed);
      for (Departure departure : Departures.of(brewed)) {
        explained(brewed, measured, departure, now).ifPresent(all::add);
      }
    }
    all.addAll(Findings.of(brewed, symptom));
    all.sort(Comparator.comparingDouble(Explanation::weight).reversed());
    return onceEach(all);
  }

  /** What makers of this method commonly get wrong, where nothing better is known. */
  public static List<String> usual(Brewed brewed) {
    return MethodGuides.of(brewed.brew().formula().method()).mistakes();
  }

  private static Optional<Explanation> explained(
      Brewed brewed, Measured measured, Departure departure, String now) {
    Prediction asItWent = brewed.prediction();
    Prediction other = departure.other().prediction();
    double worse =
        departure.recorded()
            ? measured.badness(asItWent) - measured.badness(other)
            : measured.badness(other) - measured.badness(asItWent);
    if (!(worse > WORTH)) {
      return Optional.empty();
    }
    double weight = departure.likely() * -Math.expm1(-worse / PLAIN);
    Prediction bad = departure.recorded() ? asItWent : other;
    Prediction good = departure.recorded() ? other : asItWent;
    return Optional.of(
        new Explanation(
            departure.step(),
            departure.words(),
            departure.recorded(),
            weight,
            now,
            Said.of(
                "%s The model then gives %s instead of %s.",
                departure.next(), measured.told(good), measured.told(bad))));
  }

  /** One of each step and way: who boiled too short did not also boil too short by half. */
  private static List<Explanation> onceEach(List<Explanation> all) {
    List<Explanation> kept = new ArrayList<>();
    for (Explanation each : all) {
      boolean told =
          kept.stream()
              .anyMatch(
                  other ->
                      other.step() == each.step() && other.next().equals(each.next())
                          || other.words().equals(each.words()));
      if (!told && kept.size() < MOST) {
        kept.add(each);
      }
    }
    return List.copyOf(kept);
  }
}
