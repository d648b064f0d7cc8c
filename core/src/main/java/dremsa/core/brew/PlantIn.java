package dremsa.core.brew;

import dremsa.core.acid.Sourness;
import dremsa.core.material.AcidOf;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;

/** A plant that is or was in the pot. */
final class PlantIn {
  final int ingredient;
  final Material material;
  double grams;
  final double addedAt;
  boolean strained;
  double strainedAt;

  /** Share of its dissolved gum that ran off with the liquid. */
  double gumShare = 1;

  /** Water of a fresh plant that came into the liquid, g. */
  double released;

  /** Of that, what liquid took the place of in the plant. */
  double exchanged;

  private final Constants k;
  private final double waterShare;

  private final double fast;
  private final double slow;
  private final double gumYield;
  private final double gumRoot;

  /** What a gram of it does to the pH. */
  private final Sourness sour;

  PlantIn(int ingredient, Material material, double grams, double addedAt, Constants k) {
    this.k = k;
    this.ingredient = ingredient;
    this.material = material;
    this.grams = grams;
    this.addedAt = addedAt;
    this.waterShare = material.kind().isFresh() ? material.value(Property.WATER_SHARE, 0.85) : 0;
    this.sour = AcidOf.gram(material);
    this.fast = material.value(Property.FAST_SHARE, 0.3);
    this.slow = material.value(Property.SLOW_RATE, 0.01);
    this.gumYield = material.value(Property.GUM_YIELD, 0);
    this.gumRoot = gumYield == 0 ? 0 : k.gumRoot(material.value(Property.GUM_POWER, 0));
  }

  /** Water that it came with, g; none for a dried one. */
  double water() {
    return grams * waterShare;
  }

  private double contact(double minutes) {
    return (strained ? strainedAt : minutes) - addedAt;
  }

  /**
   * Share of its extractable matter that went over (two pools, first order in time).
   *
   * @param minutes of extraction so far, reckoned at 80 °C in water
   */
  double extracted(double minutes) {
    double contact = contact(minutes);
    return fast * (1 - Math.exp(-k.fastRate * contact))
        + (1 - fast) * (1 - Math.exp(-slow * contact));
  }

  /** Its gum in the liquid, g. */
  double gum(double minutes) {
    return gumYield == 0
        ? 0
        : gumYield * grams * (1 - Math.exp(-k.gumRate * contact(minutes))) * gumShare;
  }

  /** What it has done to the acids of the liquid so far. */
  Sourness sourness(double minutes) {
    return sour == Sourness.NONE || gumShare <= 0
        ? Sourness.NONE
        : sour.times(grams * extracted(minutes) * gumShare);
  }

  /** Water of it that has not come out yet, g; none once it is strained. */
  double waterLeft() {
    return strained ? 0 : water() - released;
  }

  /** How much wetter a piece of bad luck may be, as a factor; 1 for no wetter. */
  double unluckyWetness() {
    double unlucky = material.figure(Property.WATER_SHARE).map(Figure::high).orElse(1.0);
    return Math.max(1, unlucky / Math.max(0.01, waterShare));
  }

  boolean thickens() {
    return gumYield > 0;
  }

  double gumRoot() {
    return gumRoot;
  }
}
