package dremsa.core.keep;

/**
 * What a brew counts as when it is kept. Times in hours; a budget of infinity means that only the
 * cap counts.
 */
public enum KeepingClass {
  RAW_JUICE("raw juice, or a blend with it", days(3, 7), days(7, 7), 14, 0),
  FRESH_INFUSION("hot infusion with fresh plant in it", days(5, 7), days(7, 14), 14, 24),
  GEL("unpreserved gel of seed, root, leaf, bark or seaweed", days(7, 14), days(14, 28), 14, 24),
  INFUSION("unpreserved infusion, decoction or soak", days(7, 14), days(14, 28), 14, 24),
  FERMENT("fermented starch water", days(5, 7), days(7, 7), 14, 24),
  STARCH_HEATED("starch water heated with herbs", days(5, 7), days(7, 7), 14, 24),
  STARCH("starch water or grain cream", days(3, 7), days(7, 7), 14, 0),
  PASTE("paste mixed with water or brew", days(0, 1), days(1, 1), 14, 0),
  CONDITIONER("shop conditioner with home gel or brew", days(7, 14), days(14, 28), 14, 24),
  PRESERVED("water-based, preservative working", onlyCap(), days(35, 90), 35, 35 * 24),
  /** Twice what juice and starch live on without one, the shorter of them; our rule. */
  PRESERVED_RICH(
      "juice, starch or ferment, preservative working", days(6, 14), days(14, 28), 14, 0),
  SPIRIT("20 % vol alcohol or more", onlyCap(), days(180, 365), 0, Double.POSITIVE_INFINITY),
  OIL("oil and dried plant, no water", onlyCap(), days(90, 180), 90, Double.POSITIVE_INFINITY),
  OIL_WET("oil with fresh or wet plant", days(4, 4), days(4, 4), 4, 0);

  private final String words;
  private final double[] budgetDays;
  private final double[] capDays;
  private final double publishedDays;
  private final double roomHours;

  KeepingClass(
      String words, double[] budgetDays, double[] capDays, double publishedDays, double roomHours) {
    this.words = words;
    this.budgetDays = budgetDays;
    this.capDays = capDays;
    this.publishedDays = publishedDays;
    this.roomHours = roomHours;
  }

  private static double[] days(double careful, double practice) {
    return new double[] {careful, practice};
  }

  private static double[] onlyCap() {
    return days(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY);
  }

  public String words() {
    return words;
  }

  /** Life at 5 °C, h; infinite when only the cap counts; 0 for "use now". */
  public double budgetHours(School school) {
    return budgetDays[school.ordinal()] * 24;
  }

  /** No date later than this after straining, h. */
  public double capHours(School school) {
    return capDays[school.ordinal()] * 24;
  }

  /** The published beyond-use figure, h after straining; 0 when there is none to go by. */
  public double publishedHours() {
    return publishedDays * 24;
  }

  /** How long it may stand at room temperature, h; 0 means use at once. */
  public double roomHours() {
    return roomHours;
  }

  /** How long it may stay frozen, h: brews and gels 90 days, grain cream 30; common practice. */
  public double freezerHours() {
    return (this == STARCH || this == PRESERVED_RICH ? 30 : 90) * 24;
  }

  /** Whether it has a life budget that warmth spends. */
  public boolean perishable() {
    return !Double.isInfinite(budgetDays[0]);
  }

  /** The one of the two that keeps shorter by a school: by its life, then by its cap. */
  public KeepingClass worse(KeepingClass other, School school) {
    int byLife = Double.compare(budgetHours(school), other.budgetHours(school));
    int byBoth = byLife != 0 ? byLife : Double.compare(capHours(school), other.capHours(school));
    return byBoth <= 0 ? this : other;
  }
}
