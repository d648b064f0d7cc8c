package dremsa.core.plan;

import java.util.Objects;
import java.util.Optional;

/**
 * What a formula is to a plan, in one household's kitchen.
 *
 * @param formula its id
 * @param name as told to the maker
 * @param lead days from the evening it is brewed until it can be used, 0 or more
 * @param life it may be used until so many days after the evening it is brewed
 * @param leastMl the smallest brew worth making, mL
 * @param mostMl the largest that the pots and containers take, mL
 * @param hands minutes of work for one brew, without laying out and washing up
 * @param minutes it takes an evening of at least so long, until it may be left alone
 * @param freezing how it freezes; empty where it must not
 * @param costPerMl of its ingredients, in the household's money
 */
public record Brewable(
    String formula,
    String name,
    int lead,
    int life,
    double leastMl,
    double mostMl,
    double hands,
    double minutes,
    Optional<Freezing> freezing,
    double costPerMl) {

  /**
   * How it freezes.
   *
   * @param life days after the evening it is brewed
   * @param portionMl one portion; thawed as a whole
   */
  public record Freezing(int life, double portionMl) {
    public Freezing {
      if (life < 1 || portionMl <= 0) {
        throw new IllegalArgumentException("a frozen portion keeps for a day and holds something");
      }
    }
  }

  public Brewable {
    Objects.requireNonNull(formula, "formula");
    Objects.requireNonNull(name, "name");
    if (lead < 0 || life < 0 || leastMl < 0 || mostMl < leastMl || hands < 0) {
      throw new IllegalArgumentException("not a brew: " + formula);
    }
  }

  /** The last day of any of it, frozen or not, days after the evening it is brewed. */
  int longest() {
    return Math.max(life, freezing.map(Freezing::life).orElse(0));
  }
}
