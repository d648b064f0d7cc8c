package dremsa.core.plan;

import dremsa.core.measure.Said;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Why somebody goes without.
 *
 * @param kind what stands in the way
 * @param needs how many needs it stands in the way of
 * @param words a sentence with its numbers
 */
public record Obstacle(Kind kind, int needs, String words) {
  /** What stands in the way. */
  public enum Kind {
    NO_FORMULA,
    NO_POT,
    NO_EVENING,
    DOSE_TOO_LARGE,
    TOO_SOON,
    TOO_SHORT_A_LIFE,
    TOO_MUCH
  }

  /** What stands in the way of all who go without in a plan; each thing once. */
  public static List<Obstacle> of(Situation situation, BrewPlan plan) {
    Map<String, Obstacle> all = new LinkedHashMap<>();
    for (BrewPlan.Without without : plan.without()) {
      Obstacle one = of(situation, without.need());
      all.merge(
          one.kind + one.words, one, (a, b) -> new Obstacle(a.kind, a.needs + b.needs, a.words));
    }
    return List.copyOf(all.values());
  }

  private static Obstacle of(Situation situation, Need need) {
    Optional<Brewable> found =
        need.accepted().stream()
            .flatMap(accepted -> situation.brewable(accepted.formula()).stream())
            .findFirst();
    if (found.isEmpty()) {
      return new Obstacle(
          Kind.NO_FORMULA, 1, "No formula that can be brewed here serves " + need.words() + ".");
    }
    Brewable brewable = found.get();
    if (brewable.mostMl() <= 0) {
      return new Obstacle(
          Kind.NO_POT, 1, "No pot and container here takes " + brewable.name() + ".");
    }
    if (brewable.mostMl() < need.least()) {
      return new Obstacle(
          Kind.DOSE_TOO_LARGE,
          1,
          Said.of(
              "%s takes %.0f mL at once, and no more than %.0f mL of %s can be brewed.",
              need.words(), need.millilitres(), brewable.mostMl(), brewable.name()));
    }
    double longest = situation.evenings().stream().mapToDouble(Evening::minutes).max().orElse(0);
    double wanted = Math.max(brewable.minutes(), brewable.hands() + situation.weights().session());
    if (longest < wanted) {
      return new Obstacle(
          Kind.NO_EVENING,
          1,
          longest <= 0
              ? "No evening is free for brewing."
              : Said.of(
                  "%s takes an evening of %.0f minutes; the longest free one has %.0f.",
                  brewable.name(), wanted, longest));
    }
    boolean early =
        situation.evenings().stream()
            .filter(evening -> evening.minutes() >= wanted)
            .noneMatch(evening -> !evening.day().plusDays(brewable.lead()).isAfter(need.day()));
    if (early) {
      return new Obstacle(
          Kind.TOO_SOON,
          1,
          Said.of(
              "%s is ready %d %s after it is brewed; no free evening is early enough for %s.",
              brewable.name(),
              brewable.lead(),
              brewable.lead() == 1 ? "day" : "days",
              need.words()));
    }
    boolean keeps =
        situation.evenings().stream()
            .filter(evening -> evening.minutes() >= wanted)
            .anyMatch(
                evening -> {
                  long age = ChronoUnit.DAYS.between(evening.day(), need.day());
                  return age >= brewable.lead() && age <= brewable.longest();
                });
    if (!keeps) {
      return new Obstacle(
          Kind.TOO_SHORT_A_LIFE,
          1,
          Said.of(
              "%s keeps %d %s, and no free evening is so short before %s.",
              brewable.name(),
              brewable.life(),
              brewable.life() == 1 ? "day" : "days",
              need.words()));
    }
    double sum =
        situation.needs().stream()
            .filter(
                each ->
                    each.accepted().stream()
                        .anyMatch(one -> one.formula().equals(brewable.formula())))
            .mapToDouble(Need::millilitres)
            .sum();
    return new Obstacle(
        Kind.TOO_MUCH,
        1,
        Said.of(
            "%.0f mL of %s is wanted in %d days; %.0f mL at once on %d free %s, and what keeps, is"
                + " not enough.",
            sum,
            brewable.name(),
            situation.days(),
            brewable.mostMl(),
            situation.evenings().size(),
            situation.evenings().size() == 1 ? "evening" : "evenings"));
  }
}
