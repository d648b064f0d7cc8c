package dremsa.core.kitchen;

/** What a brew is strained through. */
public enum StrainTool {
  SIEVE("a sieve", false, false),
  CLOTH("a cloth", true, false),
  NUT_BAG("a nut-milk bag", true, false),
  STOCKING("a stocking", true, false),
  FINE_CLOTH("a very fine cloth", true, true),
  PAPER("a paper filter", true, true);

  private final String words;
  private final boolean soaksUp;
  private final boolean stopsPowder;

  StrainTool(String words, boolean soaksUp, boolean stopsPowder) {
    this.words = words;
    this.soaksUp = soaksUp;
    this.stopsPowder = stopsPowder;
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
}
