package dremsa.core.formula;

/** The members of the family of steps, for data and for tables by kind. */
public enum StepKind {
  WASH("wash", "Wash"),
  PREPARE("prepare", "Prepare"),
  COMBINE("combine", "Put together"),
  HEAT("heat", "Heat to the boil"),
  BOIL("boil", "Boil"),
  WATER_BATH("waterBath", "Water bath"),
  STEEP("steep", "Steep"),
  SOAK("soak", "Soak"),
  FERMENT("ferment", "Ferment"),
  MACERATE("macerate", "Macerate"),
  COOL("cool", "Cool"),
  STRAIN("strain", "Strain"),
  BLEND("blend", "Blend"),
  ADD("add", "Stir in"),
  BOTTLE("bottle", "Bottle"),
  FREEZE("freeze", "Freeze"),
  DIVIDE("divide", "Divide");

  private final String key;
  private final String words;

  StepKind(String key, String words) {
    this.key = key;
    this.words = words;
  }

  /** What a maker calls it, where none of its details are known: {@code "Put together"}. */
  public String words() {
    return words;
  }

  /** One word, stable for ever, because stored rows and files hold it: {@code "steep"}. */
  public String key() {
    return key;
  }
}
