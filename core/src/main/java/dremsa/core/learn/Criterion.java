package dremsa.core.learn;

/** What a product is judged by on a head. */
public enum Criterion {
  SLIP("slip", "slipped better", false),
  DETANGLING("detangling, minutes", "was detangled sooner", true),
  SHED_HAIR("shed hair", "shed less", true),
  SHINE("shine", "shone more", false),
  DEFINITION_WET("definition, wet", "was better defined wet", false),
  DEFINITION_HALF_DRY("definition, mostly dry", "was better defined mostly dry", false),
  DEFINITION_DRY("definition, dry", "was better defined dry", false),
  HOLD("hold", "held better", false),
  CRUNCH("crunch", "crunched less", true),
  SOFTNESS("softness", "was softer", false),
  SMELL("smell", "smelt better", false),
  RESIDUE("residue", "left less behind", true),
  STAIN("stain", "stained less", true),
  ITCH("scalp itch", "itched less", true),
  FLAKES("flakes", "flaked less", true);

  private static final int BEST_RATING = 5;
  private static final int LONGEST = 600;

  private final String words;
  private final String better;
  private final boolean lessIsBetter;

  Criterion(String words, String better, boolean lessIsBetter) {
    this.words = words;
    this.better = better;
    this.lessIsBetter = lessIsBetter;
  }

  /** As it is said in a list. */
  public String words() {
    return words;
  }

  /** What the better one did: {@code "slipped better"}. */
  public String better() {
    return better;
  }

  /** Whether the lower score is the better one. */
  public boolean lessIsBetter() {
    return lessIsBetter;
  }

  /** The least it can be scored. */
  public double least() {
    return this == DETANGLING ? 0 : 1;
  }

  /** The most it can be scored: a rating of 5, or ten hours. */
  public double most() {
    return this == DETANGLING ? LONGEST : BEST_RATING;
  }

  /** Whether a number can be a score. */
  public boolean holds(double score) {
    return score >= least() && score <= most();
  }
}
