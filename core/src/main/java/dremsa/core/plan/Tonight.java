package dremsa.core.plan;

import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What an evening is for.
 *
 * @param brews of it
 * @param hands minutes of work, laying out and washing up as well
 * @param because the first reason of the first of them
 */
public record Tonight(List<BrewPlan.PlannedBrew> brews, double hands, Optional<Because> because) {

  private static final int NAMED = 2;

  /** Empty where a plan has nothing for that day. */
  public static Optional<Tonight> of(Situation situation, BrewPlan plan, LocalDate day) {
    List<Integer> places =
        IntStream.range(0, plan.brews().size())
            .filter(i -> plan.brews().get(i).day().equals(day))
            .boxed()
            .toList();
    if (places.isEmpty()) {
      return Optional.empty();
    }
    List<BrewPlan.PlannedBrew> brews = places.stream().map(plan.brews()::get).toList();
    return Optional.of(
        new Tonight(
            brews,
            brews.stream().mapToDouble(BrewPlan.PlannedBrew::hands).sum()
                + situation.weights().session(),
            Because.of(situation, plan, places.get(0)).stream().findFirst()));
  }

  /** As a line for the maker, without a full stop. */
  public String words() {
    String why = lowered(because.map(Because::words).orElse(""));
    return Said.of("Brew %s today, %s of hands", what(), Said.duration(hands))
        + (why.isEmpty() ? "" : ": " + why.substring(0, why.length() - 1));
  }

  /** Two with their amounts; of more the first two and how many besides. */
  private String what() {
    boolean few = brews.size() <= NAMED;
    List<String> names =
        brews.stream()
            .limit(NAMED)
            .map(
                brew ->
                    few
                        ? Said.of("%.0f mL of %s", brew.millilitres(), lowered(brew.name()))
                        : lowered(brew.name()))
            .toList();
    return few
        ? Said.and(names)
        : String.join(", ", names) + Said.of(" and %d more", brews.size() - NAMED);
  }

  /** Within a sentence; what begins with two capitals is a name that keeps them. */
  private static String lowered(String words) {
    boolean capitals = words.length() > 1 && Character.isUpperCase(words.charAt(1));
    return words.isEmpty() || capitals
        ? words
        : Character.toLowerCase(words.charAt(0)) + words.substring(1);
  }
}
