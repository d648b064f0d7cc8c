package dremsa.core.brew;

import java.util.ArrayList;
import java.util.List;

/**
 * Reads a pot that has come to its end: what stands ready, where the rest went, how it will chill.
 */
final class Bottling {
  private final Constants k;
  private final Pot pot;

  Bottling(Constants k, Pot pot) {
    this.k = k;
    this.pot = pot;
  }

  Finished finished(Contents contents) {
    boolean known = contents.thicknessKnown();
    return new Finished(
        contents.millilitres(),
        contents.grams(),
        known ? pot.thickness(20) : Double.NaN,
        known ? pot.thickness(Double.isNaN(pot.strainedC) ? 20 : pot.strainedC) : Double.NaN,
        contents.gumPercent(),
        contents.alcoholPercent(),
        contents.oilShare(),
        contents.juiceShare(),
        contents.waterShare(),
        contents.solidsShare(),
        pot.debris);
  }

  WaterAccount account() {
    return new WaterAccount(
        pot.poured, pot.liquid(), pot.held, pot.cloth, pot.steam, pot.apart, pot.unaccounted);
  }

  /** Of each plant put in, in the order of putting in. */
  List<Strength> strengths(Brew brew, double millilitres) {
    List<Strength> strengths = new ArrayList<>();
    for (PlantIn plant : pot.plants) {
      strengths.add(
          new Strength(
              brew.formula().ingredients().get(plant.ingredient).key(),
              pot.extracted(plant),
              millilitres <= 0 ? 0 : 100 * plant.grams / millilitres));
    }
    return strengths;
  }

  HeatHistory history() {
    return new HeatHistory(
        Double.isNaN(pot.firstWetMinute) ? 0 : pot.firstWetMinute,
        pot.boiledMinutes,
        pot.pouredHot,
        Double.isNaN(pot.strainedMinute) ? unstrained() : pot.strainedMinute,
        pot.minute,
        pot.souredMinute());
  }

  /** What is never strained was made when it had soured, or else when it is bottled. */
  private double unstrained() {
    return pot.souredMinute().orElse(pot.minute);
  }

  Chilling chilling() {
    double millilitres = pot.millilitres();
    return new Chilling(
        pot.celsius,
        millilitres <= 0 ? 0 : pot.heatCapacity() / millilitres,
        k.heatLoss,
        millilitres);
  }
}
