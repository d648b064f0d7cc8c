package dremsa.core.fault;

/** What a maker finds wrong with a brew. */
public enum Symptom {
  TOO_THIN("too thin"),
  TOO_THICK("too thick"),
  LITTLE_CAME_OUT("little came out"),
  BOILED_DRY("boiled dry"),
  SOUR("sour"),
  FLAKY("flakes when dry"),
  SLIMY("slimy"),
  LUMPY("lumpy"),
  SEPARATED("separated"),
  BLOCKED_NOZZLE("blocks the nozzle"),
  STAINED("stained"),
  ITCHY("itches");

  private final String words;

  Symptom(String words) {
    this.words = words;
  }

  /** As it is said in a list. */
  public String words() {
    return words;
  }
}
