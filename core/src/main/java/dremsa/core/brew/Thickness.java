package dremsa.core.brew;

/** How thick a brew is when cold, in words. */
public enum Thickness {
  SPRAY("thin as water", 30),
  LIGHT("light", 60),
  SYRUP("syrup", 250),
  GEL("gel", 1800),
  STIFF("stiff", Double.POSITIVE_INFINITY);

  private final String words;
  private final double below;

  Thickness(String words, double below) {
    this.words = words;
    this.below = below;
  }

  public String words() {
    return words;
  }

  /** The thickness at which the next band begins, mPa·s at 20 °C; our estimate. */
  public double below() {
    return below;
  }

  /** The band of a thickness in mPa·s at 20 °C. */
  public static Thickness of(double mpas) {
    for (Thickness band : values()) {
      if (mpas < band.below) {
        return band;
      }
    }
    return STIFF;
  }
}
