package dremsa.core.kitchen;

/** What a finished brew is kept in. */
public enum Container {
  /** Fine mist: only what is as thin as water. */
  SPRAY("spray bottle", 1, 30),
  /** Trigger sprayer: thin, or a light gel. */
  TRIGGER("trigger bottle", 1, 60),
  /** Squeezed through a nozzle. */
  APPLICATOR("applicator bottle", 1, 1800),
  /** Sold by what it holds to the brim. */
  JAR("jar", 0.9, Double.POSITIVE_INFINITY),
  /** Frozen in portions. */
  CUBES("ice-cube tray", 0.9, Double.POSITIVE_INFINITY);

  private final String words;
  private final double fill;
  private final double thickestMpas;

  Container(String words, double fill, double thickestMpas) {
    this.words = words;
    this.fill = fill;
    this.thickestMpas = thickestMpas;
  }

  public String words() {
    return words;
  }

  /** Whether it gives the brew out as a spray. */
  public boolean sprays() {
    return this == SPRAY || this == TRIGGER;
  }

  /**
   * How full it is filled at most, share of what is written on it. A bottle has its headspace above
   * that; a jar and a tray need theirs within, the tray because water grows by 9 % as it freezes;
   * common practice.
   */
  public double fill() {
    return fill;
  }

  /** The thickest liquid it gives out, mPa·s at 20 °C; common practice. */
  public double thickestMpas() {
    return thickestMpas;
  }
}
