package dremsa.core.formula;

/** The families of the craft. */
public enum Method {
  HOT_INFUSION("Hot infusion"),
  DECOCTION("Decoction"),
  SHORT_SIMMER("Short simmer of fresh sprigs"),
  COLD_SOAK("Cold soak"),
  WATER_BATH("Water bath"),
  SEED_GEL("Seed gel"),
  MUCILAGE("Mucilage of root, leaf or bark"),
  SEAWEED_GEL("Seaweed gel"),
  STARCH_WATER("Starch water"),
  GRAIN_CREAM("Cooked-grain cream"),
  ALOE_JUICE("Aloe juice"),
  FRESH_JUICE("Fresh juice"),
  TINCTURE("Alcohol maceration"),
  INFUSED_OIL("Infused oil"),
  PASTE("Paste or mask"),
  FORTIFIED_CONDITIONER("Fortified conditioner"),
  BLEND("Blend");

  private final String words;

  Method(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
