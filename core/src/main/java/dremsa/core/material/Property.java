package dremsa.core.material;

/** A figure that a material may have. */
public enum Property {
  /** Bulk density as measured by spoon or cup, g/mL; for liquids the density at 20 °C. */
  DENSITY("g/mL"),
  /** Water in it, share of the mass. */
  WATER_SHARE(""),
  /** Liquid held after straining, g per g of plant as put in; of gum seed through a cold sieve. */
  HOLD("g/g"),
  /** Of gum seed strained hot through a sieve, g/g. */
  HOLD_HOT("g/g"),
  /** Of gum seed squeezed through cloth, g/g. */
  HOLD_SQUEEZED("g/g"),
  /** Share of the extractable matter that comes at once (the fast pool), 0 to 1. */
  FAST_SHARE(""),
  /** Rate of the slow pool at 80 °C in water, per minute. */
  SLOW_RATE("1/min"),
  /** Gum that can be dissolved, g per g of plant as put in. */
  GUM_YIELD("g/g"),
  /** Thickening factor A of its gum, mPa·s at 1 % and 20 °C. */
  GUM_POWER("mPa·s"),
  /** Ethanol, percent by volume at 20 °C. */
  ALCOHOL("% vol"),
  /** Acid, g per 100 mL. */
  ACID("g/100 mL"),
  /** Volume of one drop, mL. */
  DROP("mL"),
  /** Weight of one piece (leaf, flower, bud, bulb), g. */
  PIECE("g"),
  /** Weight of one sprig, g. */
  SPRIG("g"),
  /** Usual dose of the finished mass with its range, percent. */
  DOSE("%"),
  /** Most that a leave-on product may hold, percent of the finished mass. */
  LIMIT_LEAVE_ON("%"),
  /** Most that a rinse-off product may hold, percent of the finished mass. */
  LIMIT_RINSE_OFF("%"),
  /** The pH at which it works: low..high. */
  WORKING_PH(""),
  /** The highest temperature at which it may be added, °C. */
  MAX_TEMPERATURE("°C");

  private final String unit;

  Property(String unit) {
    this.unit = unit;
  }

  /** The unit its figures are written in. */
  public String unit() {
    return unit;
  }
}
