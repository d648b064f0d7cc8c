package dremsa.core.plan;

/**
 * What counts how much, in minutes of hands unless said otherwise. Our estimates.
 *
 * @param session laying out and washing up, once an evening
 * @param waste a millilitre thrown away
 * @param money one unit of the household's money
 * @param age a millilitre kept for a day
 * @param freeze filling portions, once a brew
 * @param thaw getting portions out, once a use
 * @param tight a use for which no later evening would do: an evening may fall out
 * @param change a brew that was agreed on and is taken out, moved or put in
 * @param margin so much more is brewed than is needed, as yields scatter; share
 */
public record PlanWeights(
    double session,
    double waste,
    double money,
    double age,
    double freeze,
    double thaw,
    double tight,
    double change,
    double margin) {
  public static final PlanWeights USUAL = new PlanWeights(20, 0.5, 1, 0.002, 3, 0.5, 8, 6, 0.03);

  /** Somebody goes without; in the medium level, which outweighs all minutes. */
  static final long WITHOUT = 1000;

  /** Somebody gets what is liked less, for each step down; in the medium level. */
  static final long LIKED_LESS = 60;
}
