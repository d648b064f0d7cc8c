package dremsa.core.kitchen;

/** What a brew stands in. */
public enum VesselKind {
  POT("pot"),
  BOWL("bowl"),
  JAR("jar"),
  BLENDER("blender");

  private final String words;

  VesselKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
