package dremsa.core.brew;

import dremsa.core.acid.Hardness;
import dremsa.core.acid.Sourness;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Hob;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.ModelParameters;
import dremsa.core.kitchen.Parameter;

/** The kitchen's parameters as plain numbers, read once so that the inner loops do not look up. */
final class Constants {
  /** Gas constant, J/(mol K). */
  static final double R = 8.314;

  static final double REFERENCE_K = 353.15;
  static final double KELVIN = 273.15;

  private static final double FINE_DEGREES = 1.0;
  private static final double COARSE_DEGREES = 4.0;

  /** A moment of heating or cooling is about so many degrees long. */
  final double degreesPerStep;

  /** Reckoned roughly, to see how far something shifts a result. */
  final boolean coarse;

  final double heatLoss;
  final double iceBathLoss;
  final double waterHeat;
  final double plantHeat;
  final double oilHeat;
  final double evaporation;
  final double roomVapour;
  final double cover;
  final double lid;
  final double rolling;
  final double gentle;
  final double simmer;

  /** Where water boils in this kitchen, °C. */
  final double boilingC;

  final double pouredWater;
  final double clothKeeps;
  final double squeeze;
  final double fastRate;
  final double extractionOverR;
  final double spiritSolvent;
  final double oilSolvent;
  final double gumRate;
  final double gumExponent;
  final double gumEnergyOverR;
  final double exchangeMinutes;
  final double bathC;
  final double bathLag;
  final Kitchen kitchen;

  /** What a gram of tap water holds. */
  final Sourness tap;

  final double hobWatts;
  final Climate climate;

  Constants(Kitchen kitchen) {
    this(kitchen, false);
  }

  Constants(Kitchen kitchen, boolean coarse) {
    this.coarse = coarse;
    degreesPerStep = coarse ? COARSE_DEGREES : FINE_DEGREES;
    ModelParameters p = kitchen.parameters();
    climate = kitchen.climate();
    heatLoss = p.value(Parameter.HEAT_LOSS);
    iceBathLoss = p.value(Parameter.ICE_BATH_LOSS);
    waterHeat = p.value(Parameter.WATER_HEAT);
    plantHeat = p.value(Parameter.PLANT_HEAT);
    oilHeat = p.value(Parameter.OIL_HEAT);
    evaporation = p.value(Parameter.EVAPORATION);
    roomVapour = p.value(Parameter.AIR_HUMIDITY) * Water.saturationPressure(climate.roomC());
    cover = p.value(Parameter.COVER);
    lid = p.value(Parameter.LID);
    rolling = p.value(Parameter.ROLLING_BOIL);
    gentle = p.value(Parameter.GENTLE_BOIL);
    simmer = p.value(Parameter.SIMMER);
    boilingC = Water.boilingC(kitchen.site().altitudeM().value());
    pouredWater = p.value(Parameter.POURED_WATER) - (Water.BOILING_C - boilingC);
    clothKeeps = p.value(Parameter.CLOTH_KEEPS);
    squeeze = p.value(Parameter.SQUEEZE);
    fastRate = p.value(Parameter.FAST_RATE);
    extractionOverR = p.value(Parameter.EXTRACTION_ENERGY) * 1000 / R;
    spiritSolvent = p.value(Parameter.SPIRIT_SOLVENT);
    oilSolvent = p.value(Parameter.OIL_SOLVENT);
    gumRate = 1 / (p.value(Parameter.GUM_TIME) * arrhenius(Water.BOILING_C));
    gumExponent = p.value(Parameter.GUM_EXPONENT);
    gumEnergyOverR = p.value(Parameter.GUM_ENERGY) * 1000 / R;
    exchangeMinutes = p.value(Parameter.PLANT_EXCHANGE) * 60;
    bathC = Math.min(p.value(Parameter.BATH_TEMPERATURE), boilingC - 1);
    bathLag = p.value(Parameter.BATH_LAG);
    this.kitchen = kitchen;
    tap = Hardness.litre(kitchen.site().alkalinity()).times(0.001 / Water.density(20));
    hobWatts = kitchen.strongestHob().map(hob -> hob.watts(Hob.Setting.HIGH)).orElse(0.0);
  }

  /** Speed of extraction against 80 °C. */
  double arrhenius(double celsius) {
    return Math.exp(-extractionOverR * (1 / (celsius + KELVIN) - 1 / REFERENCE_K));
  }

  /**
   * A thickening factor on the scale on which gums of several plants add up. Multiplied by percent
   * of gum and summed it goes into {@link #thickness}.
   */
  double gumRoot(double power) {
    return Math.pow(power, 1 / gumExponent);
  }

  /**
   * mPa·s of a liquid with gum in it.
   *
   * @param thin of the liquid without it, mPa·s
   */
  double thickness(double thin, double rootPercent, double celsius) {
    if (rootPercent == 0) {
      return thin;
    }
    double warm = Math.exp(gumEnergyOverR * (1 / (celsius + KELVIN) - 1 / (20 + KELVIN)));
    return thin + Math.pow(rootPercent, gumExponent) * warm;
  }
}
