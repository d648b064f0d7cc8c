package dremsa.core.measure;

/** The household measures a maker grew up with. A spoon or cup differs between them. */
public enum MeasureSystem {
  /** US customary: cup 236.6 mL, tablespoon 14.8 mL. */
  US("US customary"),
  /** US nutrition labels: cup 240 mL, tablespoon 15 mL. */
  US_LABEL("US nutrition label"),
  /** Metric: cup 250 mL, tablespoon 15 mL. */
  METRIC("Metric"),
  /** British: imperial pint and fluid ounce, metric spoons. */
  UK("British"),
  /** Australian: tablespoon 20 mL, cup 250 mL. */
  AUSTRALIAN("Australian");

  private final String words;

  MeasureSystem(String words) {
    this.words = words;
  }

  /** The name shown to a person. */
  public String words() {
    return words;
  }
}
