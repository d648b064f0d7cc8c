package dremsa.core.keep;

/**
 * Which of the credible customs a household keeps by. Its times stand in {@code classes.csv}; a new
 * one says here how it takes what is not sure.
 */
public enum School {
  /** The shortest credible, and the one with published backing. The default. */
  CAREFUL(
      "careful",
      "The shortest credible times, with published backing (FDA Food Code, USP <795>). Our choice"
          + " for everyone who has no reason to choose otherwise.",
      true,
      0.25),
  /** What many makers do, with the cautions that go with it. */
  PRACTICE(
      "practice",
      "What many makers do. Dates beyond the published figures are marked, and ask for clean"
          + " working: sterilised bottles, a fine strain, a fridge at 5 °C.",
      false,
      0.5);

  private final String words;
  private final String about;
  private final boolean wantsPhRead;
  private final double latestPreservative;

  School(String words, String about, boolean wantsPhRead, double latestPreservative) {
    this.words = words;
    this.about = about;
    this.wantsPhRead = wantsPhRead;
    this.latestPreservative = latestPreservative;
  }

  public String words() {
    return words;
  }

  /** What it stands for, in a sentence or two. */
  public String about() {
    return about;
  }

  /** Whether a weak acid preserves only where the pH was read, not reckoned. */
  boolean wantsPhRead() {
    return wantsPhRead;
  }

  /** By what share of its life at most may be spent when a preservative goes in; our estimate. */
  double latestPreservative() {
    return latestPreservative;
  }
}
