package dremsa.core.measure;

/** The household measures a maker grew up with. A spoon or cup differs between them. */
public enum MeasureSystem {
  /** Metric: cup 250 mL, tablespoon 15 mL. */
  METRIC("Metric", "cup 250 mL, tablespoon 15 mL"),
  /** British: imperial pint and fluid ounce, metric spoons. */
  UK("British", "pints, metric spoons"),
  /** US customary: cup 236.6 mL, tablespoon 14.8 mL. */
  US("US customary", "cup 237 mL"),
  /** US nutrition labels: cup 240 mL, tablespoon 15 mL. */
  US_LABEL("US nutrition label", "cup 240 mL"),
  /** Australian: tablespoon 20 mL, cup 250 mL. */
  AUSTRALIAN("Australian", "tablespoon 20 mL");

  private final String words;
  private final String mark;

  MeasureSystem(String words, String mark) {
    this.words = words;
    this.mark = mark;
  }

  /** The name shown to a person. */
  public String words() {
    return words;
  }

  /** The name and what it is known by: {@code "British (pints, metric spoons)"}. */
  public String inFull() {
    return words + " (" + mark + ")";
  }
}
