package dremsa.core.scale;

/**
 * The figures that a maker may ask "why" of, each with its equation in words. The numbers behind it
 * are the parameters and figures that move it ({@link dremsa.core.brew.Ranges}).
 */
public enum Explained {
  BOTTLED(
      "bottled",
      "In the bottle",
      "What goes in, less what the plants hold, what steams off and what stays in the cloth. The size"
          + " of the batch is found by trying sizes until this comes out as wanted, to 0.1 %.",
      "Water balance of docs/science.md, equations 1 to 4"),
  HELD(
      "held",
      "Held by the plants",
      "Grams of plant times what a gram of it holds; never more than there is. Squeezing leaves 0.6"
          + " of it. Swollen gum seed holds three times as much cold as squeezed.",
      "Equation 4"),
  STEAM(
      "steam",
      "Steam",
      "The open surface steams, the more the hotter it is and the drier the room. At the boil it"
          + " goes on doing so, and what heat the hob gives beyond that and the walls goes into"
          + " bubbles. It goes by width, minutes, heat and lid, hardly by the size of the batch.",
      "Equations 2 and 3; latent heat and vapour pressure after IAPWS-IF97"),
  CLOTH(
      "cloth",
      "Left in the cloth",
      "A cloth or paper stays wet: so many grams for each pass, whatever the size of the batch.",
      "Equation 4"),
  AMOUNT(
      "amount",
      "What to weigh out",
      "The formula's parts times the size of the batch; what has a percentage goes by the finished"
          + " mass, drops by the finished volume. Spoons and scale are rounded to what this kitchen"
          + " owns, with the error shown; what has a limit is never rounded up.",
      ""),
  TIME(
      "time",
      "How long it takes",
      "Heating: the heat the batch needs over what the hob gives less what the pot loses. Cooling:"
          + " the other way round, with what evaporates. Other steps take their usual minutes, times"
          + " the fillings of blender and strainer.",
      "Equation 1; specific heat and vapour pressure after IAPWS-IF97"),
  STRENGTH(
      "strength",
      "Strength",
      "Two shares of what a plant can give: one comes at once, one slowly; both the faster the"
          + " warmer. It counts all minutes with their temperatures.",
      "Equation 5; first order in time after Spiro & Jago 1982, from memory"),
  PH(
      "ph",
      "Acidity",
      "The pH at which all charges balance: acids and their salts, what plants and juices bring, and"
          + " the base in your water. Each brings its range along, the unlucky way round. What you"
          + " read replaces it.",
      "Charge balance; constants of the CRC Handbook of Chemistry and Physics, from memory"),
  ALCOHOL(
      "alcohol",
      "Alcohol",
      "Ethanol by volume, with the room that spirit and water lose together. Fresh plants change"
          + " their water for spirit and weaken it. What counts for keeping is the weakest spirit"
          + " with the wettest plant.",
      "OIML R 22, from memory"),
  THICKNESS(
      "thickness",
      "Thickness",
      "Gum dissolved out of the seed, to the power 1.8 of its share in the liquid, thinner when hot:"
          + " about eight times at the boil.",
      "Equation 6"),
  KEEPS(
      "keeps",
      "How long it keeps",
      "Each kind of brew has a life in hours at 5 °C. Warmth spends it faster: an hour at 21 °C costs"
          + " more than four. A second clock runs from straining; the earlier one counts.",
      "Square-root model, Ratkowsky et al. 1982; USP <795> and FDA Food Code as yardsticks"),
  COST(
      "cost",
      "Cost",
      "Grams of each ingredient times what a gram of its oldest lot cost. What has no price is named"
          + " and counts nothing.",
      "");

  private final String result;
  private final String title;
  private final String words;
  private final String source;

  Explained(String result, String title, String words, String source) {
    this.result = result;
    this.title = title;
    this.words = words;
    this.source = source;
  }

  /** The name of the result, as among the ranges of a prediction. */
  public String result() {
    return result;
  }

  public String title() {
    return title;
  }

  /** The equation in words. */
  public String words() {
    return words;
  }

  /** Where it comes from; empty where it is plain arithmetic. */
  public String source() {
    return source;
  }
}
