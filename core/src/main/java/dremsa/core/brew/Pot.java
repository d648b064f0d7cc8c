package dremsa.core.brew;

import dremsa.core.kitchen.Vessel;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import java.util.ArrayList;
import java.util.List;

/** The state of a vessel while a formula runs. Mutable; lives for one prediction. */
final class Pot {
  private static final double ETHANOL_DENSITY = 0.7893;
  private static final double GLYCERIN_DENSITY = 1.26;
  private static final double OIL_DENSITY = 0.915;
  private static final double WATER_DENSITY = Water.density(20);

  private final Constants k;

  Vessel vessel;
  double minute;
  double celsius;

  double water;
  double ethanol;
  double glycerin;
  double oil;
  double juice;
  double other;

  /** Minutes of extraction, reckoned at 80 °C in water. */
  double extractionMinutes;

  /** Acid put in, g. */
  double acidGrams;

  /** Fermentation, in hours as at 22 °C. */
  double sourHours;

  double boiledMinutes;
  boolean pouredHot;
  double firstWetMinute = Double.NaN;
  double strainedMinute = Double.NaN;
  double strainedC = Double.NaN;
  boolean debris;

  double poured;
  double held;
  double cloth;
  double steam;
  double unaccounted;

  final List<PlantIn> plants = new ArrayList<>();

  Pot(Constants k) {
    this.k = k;
    this.celsius = k.climate.roomC();
  }

  /** A plant that is or was in the pot. */
  static final class PlantIn {
    final int ingredient;
    final Material material;
    final double grams;
    final double addedAt;
    boolean strained;
    double strainedAt;

    /** Share of its dissolved gum that ran off with the liquid. */
    double gumShare = 1;

    /** Water of a fresh plant that blending set free, g. */
    double released;

    private final double fast;
    private final double slow;
    private final double gumYield;
    private final double gumRoot;

    PlantIn(int ingredient, Material material, double grams, double addedAt, Constants k) {
      this.ingredient = ingredient;
      this.material = material;
      this.grams = grams;
      this.addedAt = addedAt;
      this.fast = material.value(Property.FAST_SHARE, 0.3);
      this.slow = material.value(Property.SLOW_RATE, 0.01);
      this.gumYield = material.value(Property.GUM_YIELD, 0);
      this.gumRoot =
          gumYield == 0 ? 0 : Math.pow(material.value(Property.GUM_POWER, 0), 1 / k.gumExponent);
    }
  }

  void add(int ingredient, Material material, double grams) {
    double density = material.density();
    switch (material.kind()) {
      case SPIRIT -> {
        double share = material.value(Property.ALCOHOL, 40) / 100 * ETHANOL_DENSITY / density;
        ethanol += grams * share;
        water += grams * (1 - share);
      }
      case GLYCERIN -> glycerin += grams;
      case CARRIER_OIL, INFUSED_OIL, ESSENTIAL_OIL, FRAGRANCE -> oil += grams;
      case JUICE -> juice += grams;
      case WATER, ACID, BREW -> water += grams;
      case CONDITIONER -> {
        double share = material.value(Property.WATER_SHARE, 0.85);
        water += grams * share;
        other += grams * (1 - share);
      }
      case PRESERVATIVE, POWDER_ADDITIVE -> other += grams;
      default -> {
        plants.add(new PlantIn(ingredient, material, grams, extractionMinutes, k));
        return;
      }
    }
    poured += grams;
    acidGrams += grams / density * material.value(Property.ACID, 0) / 100;
    if (Double.isNaN(firstWetMinute)) {
      firstWetMinute = minute;
    }
  }

  double liquid() {
    return water + ethanol + glycerin + oil + juice + other;
  }

  /** Volume of the liquid, mL at 20 °C; contraction of spirit with water is neglected. */
  double millilitres() {
    return water / WATER_DENSITY
        + ethanol / ETHANOL_DENSITY
        + glycerin / GLYCERIN_DENSITY
        + oil / OIL_DENSITY
        + juice / 1.01
        + other;
  }

  double alcoholPercent() {
    double volume = millilitres();
    return volume <= 0 ? 0 : 100 * ethanol / ETHANOL_DENSITY / volume;
  }

  /** Keeps a share of every liquid part. */
  void keepShare(double share) {
    water *= share;
    ethanol *= share;
    glycerin *= share;
    oil *= share;
    juice *= share;
    other *= share;
  }

  /** Takes vapour away: water first, as all there is to a watery brew. */
  double evaporate(double grams) {
    double gone = Math.min(grams, water);
    water -= gone;
    steam += gone;
    return gone;
  }

  /** J/K of all that is in the pot. */
  double heatCapacity() {
    double plantMass = 0;
    for (PlantIn plant : plants) {
      plantMass += plant.strained ? 0 : plant.grams;
    }
    return (water + juice + other) * k.waterHeat
        + (ethanol + glycerin) * 2.4
        + oil * k.oilHeat
        + plantMass * k.plantHeat;
  }

  /** How fast the liquid draws against plain water. */
  double solvent() {
    double liquid = liquid();
    if (liquid <= 0) {
      return 0;
    }
    if (oil > liquid / 2) {
      return k.oilSolvent;
    }
    double strong = Math.min(1, alcoholPercent() / 40);
    return 1 + strong * (k.spiritSolvent - 1);
  }

  private double contact(PlantIn plant) {
    return (plant.strained ? plant.strainedAt : extractionMinutes) - plant.addedAt;
  }

  /** Share of the plant's extractable matter that went over (two pools, first order in time). */
  double extracted(PlantIn plant) {
    double contact = contact(plant);
    return plant.fast * (1 - Math.exp(-k.fastRate * contact))
        + (1 - plant.fast) * (1 - Math.exp(-plant.slow * contact));
  }

  /** Gum of this plant in the liquid, g. */
  double gum(PlantIn plant) {
    return plant.gumYield == 0
        ? 0
        : plant.gumYield
            * plant.grams
            * (1 - Math.exp(-k.gumRate * contact(plant)))
            * plant.gumShare;
  }

  double gumPercent() {
    double sum = 0;
    for (PlantIn plant : plants) {
      sum += gum(plant);
    }
    double liquid = liquid();
    return liquid <= 0 ? 0 : 100 * sum / liquid;
  }

  /**
   * mPa·s at a temperature. Gums of several plants add up on the scale on which each is a power.
   */
  double thickness(double atC) {
    double liquid = liquid();
    double root = 0;
    if (liquid > 0) {
      for (PlantIn plant : plants) {
        if (plant.gumYield > 0) {
          root += plant.gumRoot * 100 * gum(plant) / liquid;
        }
      }
    }
    double thin = Water.viscosity(atC);
    if (root == 0) {
      return thin;
    }
    double warm =
        Math.exp(k.gumEnergyOverR * (1 / (atC + Constants.KELVIN) - 1 / (20 + Constants.KELVIN)));
    return thin + Math.pow(root, k.gumExponent) * warm;
  }

  TracePoint moment() {
    double strength = plants.isEmpty() ? 0 : extracted(plants.get(0));
    return new TracePoint(minute, celsius, liquid(), strength, thickness(celsius));
  }
}
