package dremsa.core.keep;

/** Which of the credible customs a household keeps by. */
public enum School {
  /** The shortest credible, and the one with published backing. The default. */
  CAREFUL(
      "careful", "the shortest credible times, with published backing (FDA Food Code, USP <795>)"),
  /** What many makers do, with the cautions that go with it. */
  PRACTICE("practice", "what many makers do; dates beyond the published figures are marked");

  private final String words;
  private final String about;

  School(String words, String about) {
    this.words = words;
    this.about = about;
  }

  public String words() {
    return words;
  }

  /** What it stands for, in a line. */
  public String about() {
    return about;
  }
}
