package dremsa.core.kitchen;

import dremsa.core.measure.Figure;

/** A number of the brew model, with its default and believable range. */
public enum Parameter {
  HEAT_LOSS("Heat lost by a vessel's walls to still air", Figure.estimate(8, 5, 12, "W/(m² K)")),
  ICE_BATH_LOSS("Heat lost in an ice bath", Figure.estimate(80, 50, 120, "W/(m² K)")),
  WATER_HEAT(
      "Specific heat of water", Figure.published(4.186, 4.17, 4.22, "J/(g K)", "IAPWS-IF97")),
  PLANT_HEAT("Specific heat of dry plant", Figure.estimate(1.7, 1.3, 2.1, "J/(g K)")),
  OIL_HEAT("Specific heat of oil", Figure.commonPractice(2.0, 1.8, 2.2, "J/(g K)")),
  EVAPORATION(
      "Evaporation factor of an open surface in still air",
      Figure.published(
          0.089, 0.07, 0.11, "W/(m² Pa)", "ASHRAE Handbook, HVAC Applications: natatoriums")),
  AIR_HUMIDITY("Relative humidity of the room", Figure.estimate(0.5, 0.3, 0.7, "")),
  COVER(
      "Share of the evaporation that escapes a cover below the boil",
      Figure.estimate(0.1, 0.05, 0.2, "")),
  LID("Share of the bubbles' steam that escapes a lid", Figure.estimate(0.15, 0.05, 0.3, "")),
  ROLLING_BOIL(
      "Heat that goes into bubbles at a rolling boil", Figure.estimate(700, 500, 900, "W")),
  GENTLE_BOIL("Heat that goes into bubbles at a gentle boil", Figure.estimate(300, 180, 450, "W")),
  SIMMER("Heat that goes into bubbles at a simmer", Figure.estimate(40, 10, 100, "W")),
  POURED_WATER("Temperature of just-boiled water as it lands", Figure.estimate(96, 92, 98, "°C")),
  CLOTH_KEEPS("Liquid left in a cloth or paper, each pass", Figure.estimate(5, 3, 8, "g")),
  SQUEEZE("Share of the held liquid that squeezing leaves", Figure.estimate(0.6, 0.45, 0.75, "")),
  FAST_RATE("Rate of the fast pool at 80 °C", Figure.estimate(0.5, 0.3, 0.8, "1/min")),
  EXTRACTION_ENERGY(
      "Activation energy of extraction",
      Figure.fromMemory(40, 30, 50, "kJ/mol", "Spiro & Jago 1982, on tea infusion")),
  SPIRIT_SOLVENT("Extraction in spirit against water", Figure.estimate(0.11, 0.07, 0.16, "")),
  OIL_SOLVENT("Extraction in oil against water", Figure.estimate(0.1, 0.06, 0.15, "")),
  PLANT_EXCHANGE(
      "Time constant in which fresh plant changes its water for spirit",
      Figure.estimate(12, 6, 24, "h")),
  GUM_TIME("Time constant of gum dissolving at 100 °C", Figure.estimate(2.5, 1.5, 4, "min")),
  GUM_EXPONENT("Exponent of thickness over gum content", Figure.estimate(1.8, 1.6, 2.0, "")),
  GUM_ENERGY("Energy of thickness over temperature", Figure.estimate(25, 20, 30, "kJ/mol")),
  BATH_TEMPERATURE(
      "Temperature of a water bath on low heat", Figure.commonPractice(90, 85, 95, "°C")),
  BATH_LAG("Lag of a 300 mL jar behind its water bath", Figure.estimate(10, 7, 15, "min")),
  FERMENT_TIME("Time constant of souring at 22 °C", Figure.estimate(24, 16, 36, "h")),
  FERMENT_END("pH at which a ferment comes to rest", Figure.estimate(4.0, 3.5, 4.0, ""));

  private final String words;
  private final Figure standard;

  Parameter(String words, Figure standard) {
    this.words = words;
    this.standard = standard;
  }

  /** What it is, in words. */
  public String words() {
    return words;
  }

  /** The default with its range and provenance. */
  public Figure standard() {
    return standard;
  }
}
