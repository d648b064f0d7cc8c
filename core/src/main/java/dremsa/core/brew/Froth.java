package dremsa.core.brew;

import dremsa.core.material.MaterialKind;

/**
 * What happens above and below the liquid of a pot that is tended by hand: froth that rises to the
 * rim, and what lies on the bottom until it catches. All its figures are our estimates, chosen so
 * that a seed gel at a gentle boil stays in two thirds of a pot and at full heat does not, and so
 * that it catches within minutes when nobody stirs; common practice.
 */
final class Froth {
  /** Steam at the boil, g/m³. */
  private static final double STEAM = 598;

  /** A bubble on plain water lasts so long, s. */
  private static final double ON_WATER = 0.15;

  /** Longer on what has much gum in it, or starch, s. */
  private static final double ON_GUM = 2;

  private static final double ON_STARCH = 1.6;

  /** With this much gum most of it is reached, percent. */
  private static final double GUMMY = 0.15;

  /** Under a lid the froth stays wet and lasts longer. */
  private static final double UNDER_LID = 1.5;

  /** Stirring knocks it down to this share, and for so long, min. */
  private static final double KNOCKED = 0.5;

  private static final double KNOCKED_MINUTES = 0.3;

  /** Share of what comes over the rim that is liquid. */
  private static final double LIQUID = 0.02;

  /** What is stirred lies still after so long, min. */
  private static final double SETTLES = 1.5;

  /** Heat that burns what lies there within a minute, W/m². */
  private static final double BURNS = 40_000;

  /** Below this nothing catches, °C. */
  private static final double CATCHES_FROM = 70;

  private final Constants k;
  private final Pot pot;

  private double height;
  private double sinceStir;

  /** How far what lies on the bottom has caught: 0 not at all, 1 burnt. */
  private double caught;

  private double spilt;

  Froth(Constants k, Pot pot) {
    this.k = k;
    this.pot = pot;
  }

  void stir() {
    sinceStir = 0;
  }

  /**
   * Lets time pass on a hob.
   *
   * @param bubbleWatts that go into bubbles
   * @param watts into the pot
   */
  void pass(double bubbleWatts, double watts, boolean lid, double minutes) {
    double area = pot.in().topArea();
    double bubbles = bubbleWatts / Water.latentHeat(k.boilingC) / STEAM / area;
    boolean knocked = sinceStir < KNOCKED_MINUTES;
    height = bubbles * lasts() * (lid ? UNDER_LID : 1) * (knocked ? KNOCKED : 1);
    if (height > headspace()) {
      double over = bubbles * (1 - headspace() / height) * area * 1e6 * LIQUID * 60 * minutes;
      double grams = Math.min(over, pot.liquid());
      if (pot.liquid() > 0) {
        pot.keepShare(1 - grams / pot.liquid());
      }
      pot.unaccounted += grams;
      spilt += grams;
    }
    sinceStir += minutes;
    if (sinceStir > SETTLES && pot.celsius > CATCHES_FROM) {
      caught += watts / area / BURNS * lies() * minutes;
    }
  }

  /** Nothing bubbles where it is not on a hob. */
  void rest() {
    height = 0;
  }

  /** How long a bubble lasts, s. */
  private double lasts() {
    double liquid = pot.liquid();
    if (liquid <= 0) {
      return 0;
    }
    double gum = pot.pouredGum;
    boolean starch = pot.traits.contains(Contents.Trait.STARCH);
    for (PlantIn plant : pot.plants) {
      gum += pot.gum(plant);
    }
    double gummy = 1 - Math.exp(-100 * gum / liquid / GUMMY);
    return ON_WATER + ON_GUM * gummy + (starch ? ON_STARCH : 0);
  }

  /** How much of what is in the pot lies on its bottom, 0 to 1. */
  private double lies() {
    double most = 0;
    for (PlantIn plant : pot.plants) {
      if (!plant.strained) {
        MaterialKind kind = plant.material.kind();
        most =
            Math.max(
                most,
                kind.isPowder() || kind == MaterialKind.GRAIN
                    ? 1
                    : kind == MaterialKind.GUM_SEED ? 0.6 : 0);
      }
    }
    return most;
  }

  /** From the liquid to the rim, m. */
  private double headspace() {
    double free = pot.in().capacityMl() - pot.millilitres() - pot.plantGrams();
    return Math.max(0.001, free * 1e-6 / pot.in().topArea());
  }

  /** How high it stands: 0 not at all, 1 at the rim, more when it runs over. */
  double share() {
    return pot.vessel == null ? 0 : height / headspace();
  }

  double caught() {
    return caught;
  }

  /** What ran over so far, g. */
  double spilt() {
    return spilt;
  }
}
