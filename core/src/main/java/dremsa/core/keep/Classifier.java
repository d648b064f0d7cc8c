package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Finished;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Step;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import java.util.List;
import java.util.function.Predicate;

/** Finds the keeping class from what is in a brew and what was done to it, not from its family. */
public final class Classifier {
  /** ISO 29621: from 20 % vol alcohol on, microbiologically low risk. */
  public static final double LOW_RISK_ALCOHOL = 20;

  /** From this much dissolved gum on it is a gel, percent by mass. */
  private static final double GEL_GUM_PERCENT = 0.05;

  /** From this share of plant left in it on it is a paste. */
  private static final double PASTE_SOLIDS = 0.05;

  private Classifier() {}

  /** The class of a finished brew. The more perishable counts where several would fit. */
  public static Classification classify(Brew brew, Prediction prediction) {
    Finished finished = prediction.finished();
    List<Material> materials = brew.materials();
    boolean fresh = any(materials, m -> m.kind().isFresh());
    boolean oily = finished.oilShare() > 0.5;
    if (oily && finished.waterShare() < 0.01) {
      return fresh
          ? new Classification(KeepingClass.OIL_WET, "fresh plant in oil")
          : new Classification(KeepingClass.OIL, "no water in it");
    }
    if (finished.alcoholPercent() >= LOW_RISK_ALCOHOL) {
      return new Classification(
          KeepingClass.SPIRIT, "%.0f %% vol alcohol".formatted(finished.alcoholPercent()));
    }
    if (Preservation.in(brew, prediction).stream().anyMatch(Preservation::works)) {
      return new Classification(
          KeepingClass.PRESERVED, "a preservative within its dose, its pH and its temperature");
    }
    if (finished.juiceShare() > 0 && prediction.heat().boiledMinutes() < 5) {
      return new Classification(KeepingClass.RAW_JUICE, "raw juice in it");
    }
    if (finished.solidsShare() > PASTE_SOLIDS) {
      return new Classification(KeepingClass.PASTE, "powder left in it");
    }
    if (any(materials, m -> m.kind() == MaterialKind.GRAIN)) {
      if (brew.formula().steps().stream().anyMatch(Step.Ferment.class::isInstance)) {
        return new Classification(KeepingClass.FERMENT, "fermented grain water");
      }
      boolean herbs = any(materials, m -> m.kind().isPlant() && m.kind() != MaterialKind.GRAIN);
      return herbs && prediction.heat().wasHot()
          ? new Classification(KeepingClass.STARCH_HEATED, "starch, heated with herbs")
          : new Classification(KeepingClass.STARCH, "starch in it");
    }
    if (any(materials, m -> m.kind() == MaterialKind.CONDITIONER)) {
      return new Classification(KeepingClass.CONDITIONER, "a shop base, its preservative diluted");
    }
    if (fresh && prediction.heat().boiledMinutes() < 5) {
      return new Classification(KeepingClass.FRESH_INFUSION, "fresh plant in it, not boiled");
    }
    if (finished.gumPercent() >= GEL_GUM_PERCENT) {
      return new Classification(
          KeepingClass.GEL, "%.1f %% gum, nothing preserving it".formatted(finished.gumPercent()));
    }
    return new Classification(KeepingClass.INFUSION, "water and plant, nothing preserving it");
  }

  private static boolean any(List<Material> materials, Predicate<Material> test) {
    return materials.stream().anyMatch(test);
  }
}
