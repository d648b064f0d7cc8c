package dremsa.core.kitchen;

/** What a finished brew is kept in. */
public enum Container {
  /** Fine mist: only what is as thin as water. */
  SPRAY("spray bottle", 0.95, 30),
  /** Trigger sprayer: thin, or a light gel. */
  TRIGGER("trigger bottle", 0.95, 60),
  /** Squeezed through a nozzle. */
  APPLICATOR("applicator bottle", 0.95, 1800),
  JAR("jar", 0.95, Double.POSITIVE_INFINITY),
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

  /** How full it is filled at most, the rest being headspace; share of its size. */
  public double fill() {
    return fill;
  }

  /** The thickest liquid it gives out, mPa·s at 20 °C; common practice. */
  public double thickestMpas() {
    return thickestMpas;
  }
}
