package dremsa.core.learn;

/** A part of a head on which something is tried or measured. */
public enum HeadSection {
  LEFT("left"),
  RIGHT("right"),
  BACK("back"),
  CROWN("crown");

  private final String words;

  HeadSection(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
