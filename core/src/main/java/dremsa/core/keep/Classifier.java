package dremsa.core.keep;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Contents;
import dremsa.core.brew.Contents.Trait;
import dremsa.core.measure.Said;

/** Finds the keeping class from what is in a brew and what was done to it, not from its family. */
public final class Classifier {
  /** ISO 29621: from 20 % vol alcohol on, microbiologically low risk. */
  public static final double LOW_RISK_ALCOHOL = 20;

  /** From this much dissolved gum on it is a gel, percent by mass. */
  private static final double GEL_GUM_PERCENT = 0.05;

  /** From this share of plant left in it on it is a paste. */
  private static final double PASTE_SOLIDS = 0.05;

  /** Up to this share what is left in does not matter; our estimate. */
  private static final double CLEAR_SOLIDS = 0.01;

  /**
   * Neat vinegar of the least strength that is sold, 4 g in 100 mL, reckoned as if all of it took
   * the room of water.
   */
  private static final double ACID_ENOUGH = 3.9;

  private static final double SOUR_ENOUGH = 3.5;

  /** From this share on there is water in an oil that it does not dissolve; our estimate. */
  private static final double FREE_WATER = 0.01;

  private Classifier() {}

  /**
   * Whether there is so much to live on that a dose meant for watery things is no promise: raw
   * juice, starch in whatever form, a ferment, plant left in it.
   */
  private static boolean isRich(Contents brew) {
    return brew.has(Trait.RAW_JUICE)
        || brew.has(Trait.STARCH)
        || brew.has(Trait.FERMENTED)
        || plantShare(brew) > PASTE_SOLIDS;
  }

  /**
   * The class of a finished brew by a school. The more perishable counts where several would fit.
   */
  public static Classification classify(Contents brew, School school) {
    Classification found = ofWhatRuns(brew, school);
    double towards =
        Math.min(1, Math.max(0, (plantShare(brew) - CLEAR_SOLIDS) / (PASTE_SOLIDS - CLEAR_SOLIDS)));
    boolean shortens =
        found.keepingClass().perishable() && found.keepingClass() != KeepingClass.PASTE;
    return shortens && towards > 0
        ? new Classification(found.keepingClass(), found.why(), towards)
        : found;
  }

  private static Classification ofWhatRuns(Contents brew, School school) {
    boolean mostlyOil = brew.oilShare() > 0.5;
    // Juice is water with something to live on in it.
    boolean wet = brew.waterShare() + brew.juiceShare() >= FREE_WATER;
    if (mostlyOil && brew.has(Trait.FRESH_PLANT)) {
      return new Classification(KeepingClass.OIL_WET, "fresh plant in oil");
    }
    if (mostlyOil && brew.juiceShare() >= FREE_WATER) {
      return new Classification(KeepingClass.OIL_WET, "juice in oil");
    }
    if (mostlyOil && !wet) {
      return new Classification(KeepingClass.OIL, "no water in it");
    }
    if (brew.alcoholSurely() >= LOW_RISK_ALCOHOL) {
      return new Classification(
          KeepingClass.SPIRIT, said("%.0f %% vol alcohol", brew.alcoholPercent()));
    }
    double activity = WaterActivity.atMost(brew);
    if (activity < WaterActivity.NOTHING_GROWS) {
      return new Classification(
          KeepingClass.GLYCERIN, said("its water activity is %.2f at most", activity));
    }
    if (brew.aceticPercentSurely() >= ACID_ENOUGH && brew.ph().surelyAtMost(SOUR_ENOUGH)) {
      return new Classification(
          KeepingClass.VINEGAR, said("%.1f %% acid or more", brew.aceticPercentSurely()));
    }
    if (Preservation.in(brew, school).stream().anyMatch(Preservation::works)) {
      return isRich(brew)
          ? new Classification(
              KeepingClass.PRESERVED_RICH, "a preservative works, but there is much to live on")
          : new Classification(
              KeepingClass.PRESERVED, "a preservative within its dose, its pH and its temperature");
    }
    if (mostlyOil) {
      return new Classification(KeepingClass.OIL_WET, "water in oil, nothing preserving it");
    }
    if (brew.has(Trait.RAW_JUICE)) {
      return new Classification(KeepingClass.RAW_JUICE, "raw juice or fresh food in it");
    }
    if (plantShare(brew) > PASTE_SOLIDS) {
      return new Classification(KeepingClass.PASTE, "powder left in it");
    }
    if (brew.has(Trait.FERMENTED) && brew.ph().surelyAtMost(Sourness.Ph.ACID_FOOD)) {
      return new Classification(
          KeepingClass.FERMENT,
          Said.of(
              "fermented grain water, %s",
              brew.ph().read()
                  ? said("pH %.1f", brew.ph().value())
                  : said("surely as sour as pH %.1f", Sourness.Ph.ACID_FOOD)));
    }
    if (brew.has(Trait.STARCH)) {
      return brew.has(Trait.STARCH_HEATED)
          ? new Classification(KeepingClass.STARCH_HEATED, "starch, heated with herbs")
          : new Classification(KeepingClass.STARCH, "starch in it");
    }
    if (brew.has(Trait.CONDITIONER_WHOLE)) {
      return new Classification(
          KeepingClass.PRESERVED, "a shop base, hardly diluted: its maker's own date counts too");
    }
    if (brew.has(Trait.CONDITIONER)) {
      return new Classification(KeepingClass.CONDITIONER, "a shop base, its preservative diluted");
    }
    if (brew.has(Trait.FRESH_UNBOILED)) {
      return new Classification(KeepingClass.FRESH_INFUSION, "fresh plant in it, not boiled");
    }
    if (brew.gumPercent() >= GEL_GUM_PERCENT) {
      return new Classification(
          KeepingClass.GEL, said("%.1f %% gum, nothing preserving it", brew.gumPercent()));
    }
    return new Classification(KeepingClass.INFUSION, "water and plant, nothing preserving it");
  }

  /** Share that is plant left in it; raw juice does not thin it out, as it spoils no less. */
  private static double plantShare(Contents brew) {
    double juice = brew.has(Trait.RAW_JUICE) ? brew.juice() : 0;
    double rest = brew.grams() - juice;
    return rest <= 0 ? 0 : brew.solids() / rest;
  }

  private static String said(String format, double figure) {
    return Said.of(format, figure);
  }
}
