package dremsa.core.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What a plan is made for.
 *
 * @param today the first day
 * @param days how many, 1 to {@value #MOST_DAYS}
 * @param evenings when there is time to brew
 * @param agreed brews of an earlier plan; as little as possible of them is changed
 * @param freezerMl room in the freezer, what is in it already counts
 * @param fridgeMl room in fridge and containers, what stands already counts
 */
public record Situation(
    LocalDate today,
    int days,
    List<Brewable> brewables,
    List<Need> needs,
    List<Supply> supplies,
    List<Evening> evenings,
    List<Agreed> agreed,
    double freezerMl,
    double fridgeMl,
    PlanWeights weights) {
  /** Twelve weeks. */
  public static final int MOST_DAYS = 84;

  public Situation {
    Objects.requireNonNull(today, "today");
    brewables = List.copyOf(brewables);
    needs = List.copyOf(needs);
    supplies = List.copyOf(supplies);
    evenings = List.copyOf(evenings);
    agreed = List.copyOf(agreed);
    if (days < 1 || days > MOST_DAYS) {
      throw new IllegalArgumentException("a plan is for 1 to " + MOST_DAYS + " days");
    }
  }

  /** What a formula is to the plan; empty where it cannot be brewed. */
  public Optional<Brewable> brewable(String formula) {
    return brewables.stream().filter(each -> each.formula().equals(formula)).findFirst();
  }

  /** The same with other brews agreed on. */
  public Situation withAgreed(List<Agreed> other) {
    return new Situation(
        today, days, brewables, needs, supplies, evenings, other, freezerMl, fridgeMl, weights);
  }
}
