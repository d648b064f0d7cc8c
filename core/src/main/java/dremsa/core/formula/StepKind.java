package dremsa.core.formula;

/** The members of the family of steps, for data and for tables by kind. */
public enum StepKind {
  WASH("wash"),
  PREPARE("prepare"),
  COMBINE("combine"),
  HEAT("heat"),
  BOIL("boil"),
  WATER_BATH("waterBath"),
  STEEP("steep"),
  SOAK("soak"),
  FERMENT("ferment"),
  MACERATE("macerate"),
  COOL("cool"),
  STRAIN("strain"),
  BLEND("blend"),
  ADD("add"),
  BOTTLE("bottle"),
  FREEZE("freeze"),
  DIVIDE("divide");

  private final String key;

  StepKind(String key) {
    this.key = key;
  }

  /** One word, stable for ever, because stored rows and files hold it: {@code "steep"}. */
  public String key() {
    return key;
  }
}
