package dremsa.core.brew;

import dremsa.core.acid.Acid;
import dremsa.core.acid.ChargeBalance;
import dremsa.core.acid.Sourness;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What a finished brew consists of. Keeping, mixing and pouring one brew into another work on this
 * and on nothing else, so that a class is found from the composition and not from a name.
 *
 * @param water g, with what is dissolved in it
 * @param ethanol g
 * @param ethanolSure g, the least that is believable: weak spirit, wet plants
 * @param glycerin g
 * @param oil g
 * @param juice g
 * @param other g, what is none of these: additives, the solids of a conditioner
 * @param solids g of plant left in it, its own water included
 * @param waterOfSolids g of water in them that has not come out yet
 * @param sourness its acids and bases, what souring gave included
 * @param gums dissolved, by plant
 * @param preservatives stirred in
 * @param traits what composition alone does not tell
 */
public record Contents(
    double water,
    double ethanol,
    double ethanolSure,
    double glycerin,
    double oil,
    double juice,
    double other,
    double solids,
    double waterOfSolids,
    Sourness sourness,
    List<Gum> gums,
    List<Preserver> preservatives,
    Set<Trait> traits) {
  /** Of plant that stays in the brew, wetted through, g/mL; our estimate. */
  static final double SOLID_DENSITY = 1.3;

  /** With less water than this a brew has no pH to speak of; our estimate. */
  private static final double LEAST_WATER = 0.1;

  /** Nothing at all. */
  public static final Contents NONE =
      new Contents(0, 0, 0, 0, 0, 0, 0, 0, 0, Sourness.NONE, List.of(), List.of(), Set.of());

  /**
   * Dissolved gum.
   *
   * @param grams dissolved
   * @param power thickening factor, mPa·s at 1 % and 20 °C
   */
  public record Gum(double grams, double power) {}

  /**
   * A preservative that was stirred in.
   *
   * @param grams of it
   * @param tooHot it met more than its highest temperature
   */
  public record Preserver(Material material, double grams, boolean tooHot) {}

  /** What went in, or what was done, that decides how a brew spoils. */
  public enum Trait {
    /** Raw juice that was not boiled five minutes since. */
    RAW_JUICE,
    /** Fresh plant, ever. */
    FRESH_PLANT,
    /** Fresh plant that was not boiled five minutes since. */
    FRESH_UNBOILED,
    /** Grain was in it. */
    STARCH,
    /** Grain was cooked in it: it sets to a cream whose thickness the model does not know. */
    STARCH_COOKED,
    /** Grain and herbs were heated together. */
    STARCH_HEATED,
    /** Starch that soured on purpose, surely as far as pH 4.6. */
    FERMENTED,
    /** A shop base, its own preservative diluted. */
    CONDITIONER,
    /** A shop base with hardly anything stirred in. */
    CONDITIONER_WHOLE
  }

  public Contents {
    gums = List.copyOf(gums);
    preservatives = List.copyOf(preservatives);
    traits = Set.copyOf(traits);
  }

  /** All of it, g. */
  public double grams() {
    return liquid() + solids;
  }

  /** Without the plant left in it, g. */
  public double liquid() {
    return water + ethanol + glycerin + oil + juice + other;
  }

  /** mL at 20 °C. */
  public double millilitres() {
    return Solvent.millilitres(water, ethanol, glycerin, oil, juice, other)
        + solids / SOLID_DENSITY;
  }

  /** Percent by volume of the liquid. */
  public double alcoholPercent() {
    double volume = Solvent.millilitres(water, ethanol, glycerin, oil, juice, other);
    return volume <= 0 ? 0 : Math.min(100, 100 * ethanol / Solvent.ETHANOL_DENSITY / volume);
  }

  /**
   * Percent by volume that are surely there: of the weakest spirit that is believable, when all
   * plant in it has given its water.
   */
  public double alcoholSurely() {
    double weaker = water + (ethanol - ethanolSure) + waterOfSolids;
    double volume = Solvent.millilitres(weaker, ethanolSure, glycerin, oil, juice, other);
    return volume <= 0 ? 0 : 100 * ethanolSure / Solvent.ETHANOL_DENSITY / volume;
  }

  /** Acetic acid that is surely there, g in 100 mL of its liquid. */
  public double aceticPercentSurely() {
    double volume =
        Solvent.millilitres(water + waterOfSolids, ethanol, glycerin, oil, juice, other);
    double grams = sourness.leastSour().moles(Acid.ACETIC) * Acid.ACETIC.molarMass();
    return volume <= 0 ? 0 : 100 * grams / volume;
  }

  /** Share of the liquid's mass that is oil. */
  public double oilShare() {
    return share(oil, liquid());
  }

  /** Share of the liquid's mass that is water. */
  public double waterShare() {
    return share(water, liquid());
  }

  /** Share of the liquid's mass that is juice. */
  public double juiceShare() {
    return share(juice, liquid());
  }

  /** Share of the mass that is plant left in it. */
  public double solidsShare() {
    return share(solids, grams());
  }

  /** Dissolved gum, percent by mass of the liquid. */
  public double gumPercent() {
    return 100 * share(gums.stream().mapToDouble(Gum::grams).sum(), liquid());
  }

  /** Its pH, estimated with a range or read; none where hardly any water is in it. */
  public Sourness.Ph ph() {
    double wet = water + juice;
    return share(wet, liquid()) < LEAST_WATER ? Sourness.Ph.NONE : sourness.ph(wet / 1000);
  }

  /** The pH that is believed, without its range; NaN where there is none. */
  public double phLikely() {
    double wet = water + juice;
    return share(wet, liquid()) < LEAST_WATER
        ? Double.NaN
        : ChargeBalance.ph(sourness.likely(), wet / 1000);
  }

  /**
   * Whether it is thickened by gum in water alone. What a cream, an oil or a paste is like, its
   * maker knows; the model does not.
   */
  public boolean thicknessKnown() {
    return !has(Trait.STARCH_COOKED)
        && share(oil + other, liquid()) <= 0.05
        && share(solids, liquid()) <= 0.05;
  }

  /** mPa·s at a temperature, by the kitchen's parameters; NaN where the model does not know. */
  public double thickness(Kitchen kitchen, double celsius) {
    if (!thicknessKnown()) {
      return Double.NaN;
    }
    Constants k = new Constants(kitchen);
    double root = 0;
    for (Gum gum : gums) {
      root += k.gumRoot(gum.power()) * 100 * share(gum.grams(), liquid());
    }
    return k.thickness(Solvent.viscosity(water + juice, ethanol, glycerin, celsius), root, celsius);
  }

  public boolean has(Trait trait) {
    return traits.contains(trait);
  }

  /**
   * The same with so much more water, or less where it is steamed off.
   *
   * @param grams that come in; negative for less, at most all the water
   */
  public Contents watered(double grams) {
    return new Contents(
        Math.max(0, water + grams),
        ethanol,
        ethanolSure,
        glycerin,
        oil,
        juice,
        other,
        solids,
        waterOfSolids,
        sourness,
        gums,
        preservatives,
        traits);
  }

  /** The same brew in another amount. */
  public Contents times(double factor) {
    return new Contents(
        water * factor,
        ethanol * factor,
        ethanolSure * factor,
        glycerin * factor,
        oil * factor,
        juice * factor,
        other * factor,
        solids * factor,
        waterOfSolids * factor,
        sourness.times(factor),
        gums.stream().map(gum -> new Gum(gum.grams() * factor, gum.power())).toList(),
        preservatives.stream()
            .map(p -> new Preserver(p.material(), p.grams() * factor, p.tooHot()))
            .toList(),
        traits);
  }

  /** So many millilitres of the same brew. */
  public Contents millilitres(double wanted) {
    return times(wanted / millilitres());
  }

  /** The same brew, had nobody stirred a preservative in. */
  public Contents unpreserved() {
    return new Contents(
        water,
        ethanol,
        ethanolSure,
        glycerin,
        oil,
        juice,
        other,
        solids,
        waterOfSolids,
        sourness,
        gums,
        List.of(),
        traits);
  }

  /** The two poured together. */
  public Contents plus(Contents more) {
    EnumSet<Trait> both = EnumSet.noneOf(Trait.class);
    both.addAll(traits);
    both.addAll(more.traits);
    boolean diluted = !(traits.equals(more.traits) || liquid() == 0 || more.liquid() == 0);
    if (diluted && both.remove(Trait.CONDITIONER_WHOLE)) {
      both.add(Trait.CONDITIONER);
    }
    return new Contents(
        water + more.water,
        ethanol + more.ethanol,
        ethanolSure + more.ethanolSure,
        glycerin + more.glycerin,
        oil + more.oil,
        juice + more.juice,
        other + more.other,
        solids + more.solids,
        waterOfSolids + more.waterOfSolids,
        sourness.plus(more.sourness),
        joined(gums, more.gums),
        joined(preservatives, more.preservatives),
        both);
  }

  private static <T> List<T> joined(List<T> first, List<T> second) {
    List<T> all = new ArrayList<>(first);
    all.addAll(second);
    return all;
  }

  private static double share(double part, double whole) {
    return whole <= 0 ? 0 : part / whole;
  }
}
