package dremsa.core.kitchen;

/** What a brew is strained through. */
public enum StrainTool {
  SIEVE("a sieve", false, false, 1500),
  CLOTH("a cloth", true, false, 2000),
  NUT_BAG("a nut-milk bag", true, false, 1500),
  STOCKING("a stocking", true, false, 500),
  FINE_CLOTH("a very fine cloth", true, true, 1000),
  PAPER("a paper filter", true, true, 500);

  private final String words;
  private final boolean soaksUp;
  private final boolean stopsPowder;
  private final double fillingMl;

  StrainTool(String words, boolean soaksUp, boolean stopsPowder, double fillingMl) {
    this.words = words;
    this.soaksUp = soaksUp;
    this.stopsPowder = stopsPowder;
    this.fillingMl = fillingMl;
  }

  /** What is poured through at once before it must be emptied, mL; our estimate. */
  public double fillingMl() {
    return fillingMl;
  }

  /** With its article: {@code "a cloth"}. */
  public String words() {
    return words;
  }

  /** Whether some liquid stays in the tool itself. */
  public boolean soaksUp() {
    return soaksUp;
  }

  /** Fine enough to keep powder out of a spray bottle. */
  public boolean stopsPowder() {
    return stopsPowder;
  }

  /** Without its article: {@code "nut-milk bag"}. */
  public String noun() {
    return words.replaceFirst("^an? ", "");
  }
}
