package dremsa.core.brew;

/**
 * What can be read of a brew, as a number in one unit. A reading is a kind and a number wherever it
 * is told, kept and shown; what it does to the model stands in {@link StepFacts}, what is believed
 * of it in {@link dremsa.core.check.Plausibility}.
 */
public enum Reading {
  /** Of what is in the vessel. */
  TEMPERATURE("Temperature", "°C", -30, 200),
  /** Of liquid and plants, without the vessel. */
  WEIGHT("Weight in the pot", "g", 0, 100_000),
  /** As read from a jug at about 20 °C. */
  VOLUME("Volume in the pot", "mL", 0, 100_000),
  /** From a strip or a meter. */
  PH("Acidity", "pH", 0, 14);

  private final String words;
  private final String unit;
  private final double least;
  private final double most;

  Reading(String words, String unit, double least, double most) {
    this.words = words;
    this.unit = unit;
    this.least = least;
    this.most = most;
  }

  /** As it is said in a list: {@code "Weight in the pot"}. */
  public String words() {
    return words;
  }

  /** The unit of its numbers. */
  public String unit() {
    return unit;
  }

  /** Whether a number can be one at all, of any brew. */
  public boolean holds(double number) {
    return number >= least && number <= most;
  }
}
