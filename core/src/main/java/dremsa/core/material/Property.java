package dremsa.core.material;

/** A figure that a material may have. */
public enum Property {
  /** Bulk density as measured by spoon or cup, g/mL; for liquids the density at 20 °C. */
  DENSITY("density", "g/mL", 0.01, 3),
  /** Water in it, share of the mass. */
  WATER_SHARE("share of water in it", "", 0, 1),
  /** Liquid held after straining, g per g of plant as put in; of gum seed through a cold sieve. */
  HOLD("liquid it holds", "g/g", 0, 60),
  /** Of gum seed strained hot through a sieve, g/g. */
  HOLD_HOT("liquid it holds, strained hot", "g/g", 0, 60),
  /** Of gum seed squeezed through cloth, g/g. */
  HOLD_SQUEEZED("liquid it holds, squeezed", "g/g", 0, 60),
  /** Share of the extractable matter that comes at once (the fast pool), 0 to 1. */
  FAST_SHARE("share that comes out at once", "", 0, 1),
  /** Rate of the slow pool at 80 °C in water, per minute. */
  SLOW_RATE("rate of what comes out slowly", "1/min", 0, 10),
  /** Gum that can be dissolved, g per g of plant as put in. */
  GUM_YIELD("gum it gives", "g/g", 0, 1),
  /** Thickening factor A of its gum, mPa·s at 1 % and 20 °C. */
  GUM_POWER("thickening by its gum", "mPa·s", 0, 1e6),
  /** Ethanol, percent by volume at 20 °C. */
  ALCOHOL("alcohol", "% vol", 0, 100),
  /** Acetic acid, g per 100 mL, as on a bottle of vinegar. */
  ACID("acetic acid", "g/100 mL", 0, 100),
  /** Citric acid, free or as its salt, g per 100 g. */
  CITRIC_ACID("citric acid", "g/100 g", 0, 100),
  /** Malic acid and the like of fresh and dried plants, free or as salt, g per 100 g. */
  MALIC_ACID("malic acid and the like", "g/100 g", 0, 100),
  ASCORBIC_ACID("ascorbic acid", "g/100 g", 0, 100),
  SORBIC_ACID("sorbic acid", "g/100 g", 0, 100),
  BENZOIC_ACID("benzoic acid", "g/100 g", 0, 100),
  DEHYDROACETIC_ACID("dehydroacetic acid", "g/100 g", 0, 100),
  /** Potassium, sodium or calcium that holds acids as salts, mmol per g. */
  BASE("base that holds its acids", "mmol/g", 0, 40),
  /** The pH it has by itself; of dried plant, drawn with twenty times its weight of water. */
  OWN_PH("pH by itself", "", 0, 14),
  /** Volume of one drop, mL. */
  DROP("size of a drop", "mL", 0.005, 0.5),
  /** Weight of one piece (leaf, flower, bud, bulb), g. */
  PIECE("weight of a piece", "g", 0.0001, 5000),
  /** Weight of one sprig, g. */
  SPRIG("weight of a sprig", "g", 0.0001, 5000),
  /** Usual dose of the finished mass with its range, percent. */
  DOSE("usual dose", "%", 0, 100),
  /** Most that a leave-on product may hold, percent of the finished mass. */
  LIMIT_LEAVE_ON("most in what stays on", "%", 0, 100),
  /** Most that a rinse-off product may hold, percent of the finished mass. */
  LIMIT_RINSE_OFF("most in what is rinsed off", "%", 0, 100),
  /** The pH at which it works: low..high. */
  WORKING_PH("pH at which it works", "", 0, 14),
  /** The highest temperature at which it may be added, °C. */
  MAX_TEMPERATURE("highest temperature", "°C", 0, 200);

  private final String words;
  private final String unit;
  private final double least;
  private final double most;

  Property(String words, String unit, double least, double most) {
    this.words = words;
    this.unit = unit;
    this.least = least;
    this.most = most;
  }

  /** The least that makes sense. */
  public double least() {
    return least;
  }

  /** The most that makes sense. */
  public double most() {
    return most;
  }

  /** What it is, in words. */
  public String words() {
    return words;
  }

  /** Whether a span belongs to it, from the least to the most that works. */
  public boolean isSpan() {
    return this == DOSE || this == WORKING_PH;
  }

  /** The unit its figures are written in. */
  public String unit() {
    return unit;
  }
}
