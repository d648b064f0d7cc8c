package dremsa.core.check;

/** What is often said, and what there is to say to it; common practice. */
public enum Belief {
  NATURAL(
      "Natural means safe.",
      "Plants irritate and sensitise too. Patch-test what is new, and keep to the limits."),
  BOILED_FERMENT(
      "Boiled grain water is fermented.",
      "Boiling makes starch water. A ferment needs a day or more at room temperature."),
  LEMON_PRESERVES(
      "Lemon, vitamins or essential oils preserve.",
      "At these amounts none of them stops mould or bacteria. Go by the date."),
  ALOE_ALKALINE("Aloe juice is alkaline.", "It is mildly acid."),
  GROWTH(
      "Rinse water stops hair loss or makes hair grow.",
      "Results vary; gentle handling and patience matter. Hair loss belongs to a doctor."),
  SEALED_JAR(
      "A sealed jar keeps a brew on the shelf.",
      "Above pH 4.6 a sealed jar at room temperature is no way to keep it."),
  THICK_HOT(
      "A gel must look thick before it leaves the hob.",
      "Hot it is about eight times thinner than cold: boiled on, it cannot be strained."),
  SECOND_GEL("Spent seed gives a second gel.", "What it had to give is in the first."),
  PROOF(
      "Any spirit keeps a tincture.",
      "From 40 % vol in the jar. Below 20 % vol in the bottle it keeps no better than water.");

  private final String claim;
  private final String answer;

  Belief(String claim, String answer) {
    this.claim = claim;
    this.answer = answer;
  }

  public String claim() {
    return claim;
  }

  public String answer() {
    return answer;
  }
}
