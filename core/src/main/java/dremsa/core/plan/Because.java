package dremsa.core.plan;

import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Why a brew is planned as it is. */
public sealed interface Because {
  /** As a sentence for the maker. */
  String words();

  /**
   * Who is served by it.
   *
   * @param first the first of them
   * @param others how many more, on whichever day
   */
  record Feeds(Need first, LocalDate last, int others) implements Because {
    @Override
    public String words() {
      String on = first.words() + " on " + day(first.day());
      return others == 0
          ? "For " + on + "."
          : Said.of("For %s and %d more until %s.", on, others, day(last));
    }
  }

  /**
   * Part of it is frozen.
   *
   * @param freshTo last day of what is not
   * @param beyond the first need that lies after it
   */
  record Freezes(double millilitres, LocalDate freshTo, Optional<Need> beyond) implements Because {
    @Override
    public String words() {
      return Said.of("%.0f mL goes into the freezer: ", millilitres)
          + beyond
              .map(
                  need ->
                      need.words()
                          + " on "
                          + day(need.day())
                          + " is past its last day, "
                          + day(freshTo)
                          + ".")
              .orElse("it is more than is used until " + day(freshTo) + ".");
    }
  }

  /** Other brews are made on the same evening: laid out and washed up once. */
  record Shares(List<String> names) implements Because {
    @Override
    public String words() {
      return "On the same evening as " + Said.and(names) + ": laid out and washed up once.";
    }
  }

  /** No later evening would do. */
  record LastEvening(Need need) implements Because {
    @Override
    public String words() {
      return "The last evening for " + need.words() + " on " + day(need.day()) + ".";
    }
  }

  /** It is made larger than needed. */
  record Least(double least) implements Because {
    @Override
    public String words() {
      return Said.of("Less than %.0f mL is not worth brewing.", least);
    }
  }

  /**
   * The next best choice.
   *
   * @param on the evening it would be brewed instead; empty where it would not be brewed
   * @param minutes so much more it would cost, all weights summed up as minutes of hands
   * @param without so many more would go without, or get what is liked less
   * @param thrownMl so much more would be thrown away
   */
  record Instead(Optional<LocalDate> on, double minutes, int without, double thrownMl)
      implements Because {
    @Override
    public String words() {
      String what = on.map(day -> "Brewed on " + day(day) + " instead").orElse("Not brewed at all");
      List<String> all = new ArrayList<>();
      if (without > 0) {
        all.add(without == 1 ? "one more goes without" : without + " more go without");
      }
      if (thrownMl >= 1) {
        all.add(Said.of("%.0f mL more is thrown away", thrownMl));
      }
      if (all.isEmpty()) {
        all.add(
            minutes < 1
                ? "it costs no more"
                : Said.of("it costs as much as %.0f minutes more of work", minutes));
      }
      return what + ", " + Said.and(all) + ".";
    }
  }

  /** All reasons for one brew of a plan, the most telling first. */
  static List<Because> of(Situation situation, BrewPlan plan, int brew) {
    return of(situation, plan, Planner.judge(situation, plan.agreed()), brew);
  }

  /** All reasons for each brew of a plan, the most telling first. */
  static List<List<Because>> of(Situation situation, BrewPlan plan) {
    // Weighed up as what it is set against is: by exactly these brews.
    BrewPlan now = Planner.judge(situation, plan.agreed());
    List<List<Because>> all = new ArrayList<>();
    for (int brew = 0; brew < plan.brews().size(); brew++) {
      all.add(of(situation, plan, now, brew));
    }
    return List.copyOf(all);
  }

  private static List<Because> of(Situation situation, BrewPlan plan, BrewPlan now, int brew) {
    BrewPlan.PlannedBrew planned = plan.brews().get(brew);
    List<Because> all = new ArrayList<>();
    List<Need> fed =
        plan.servings().stream()
            .filter(serving -> serving.source().brew().orElse(-1) == brew)
            .map(BrewPlan.Serving::need)
            .distinct()
            .sorted(Comparator.comparing(Need::day))
            .toList();
    if (!fed.isEmpty()) {
      all.add(new Feeds(fed.get(0), fed.get(fed.size() - 1).day(), fed.size() - 1));
    }
    if (planned.frozenMl() > 0) {
      all.add(
          new Freezes(
              planned.frozenMl(),
              planned.lastDay(),
              fed.stream().filter(need -> need.day().isAfter(planned.lastDay())).findFirst()));
    }
    List<String> beside =
        plan.brews().stream()
            .filter(other -> other != planned && other.day().equals(planned.day()))
            .map(BrewPlan.PlannedBrew::name)
            .toList();
    if (!beside.isEmpty()) {
      all.add(new Shares(beside));
    }
    Brewable brewable = situation.brewable(planned.formula()).orElseThrow();
    fed.stream()
        .filter(need -> lastEvening(situation, brewable, planned.day(), need))
        .findFirst()
        .ifPresent(need -> all.add(new LastEvening(need)));
    if (planned.millilitres() <= brewable.leastMl() + 0.5) {
      all.add(new Least(brewable.leastMl()));
    }
    instead(situation, plan, now, brew, brewable).ifPresent(all::add);
    return List.copyOf(all);
  }

  private static boolean lastEvening(
      Situation situation, Brewable brewable, LocalDate day, Need need) {
    return situation.evenings().stream()
        .noneMatch(
            evening ->
                evening.day().isAfter(day)
                    && evening.minutes() >= brewable.minutes()
                    && !evening.day().plusDays(brewable.lead()).isAfter(need.day()));
  }

  /** The cheapest of leaving it out and of the evenings just before and after it. */
  private static Optional<Instead> instead(
      Situation situation, BrewPlan plan, BrewPlan now, int brew, Brewable brewable) {
    BrewPlan.PlannedBrew planned = plan.brews().get(brew);
    List<Optional<LocalDate>> choices = new ArrayList<>();
    choices.add(Optional.empty());
    List<LocalDate> others =
        situation.evenings().stream()
            .filter(evening -> evening.minutes() >= brewable.minutes())
            .map(Evening::day)
            .filter(day -> !day.equals(planned.day()))
            .toList();
    others.stream()
        .filter(day -> day.isBefore(planned.day()))
        .max(Comparator.naturalOrder())
        .ifPresent(day -> choices.add(Optional.of(day)));
    others.stream()
        .filter(day -> day.isAfter(planned.day()))
        .min(Comparator.naturalOrder())
        .ifPresent(day -> choices.add(Optional.of(day)));
    Optional<Instead> best = Optional.empty();
    PlanScore lowest = null;
    for (Optional<LocalDate> on : choices) {
      List<Agreed> brews = new ArrayList<>(plan.agreed());
      brews.remove(brew);
      on.ifPresent(
          day -> brews.add(new Agreed(day, planned.formula(), planned.millilitres(), false)));
      BrewPlan other = Planner.judge(situation, brews);
      if (other.score().hard() == 0 && (lowest == null || other.score().compareTo(lowest) < 0)) {
        lowest = other.score();
        best =
            Optional.of(
                new Instead(
                    on,
                    other.score().minutes() - now.score().minutes(),
                    other.without().size() - now.without().size(),
                    other.thrownMl() - now.thrownMl()));
      }
    }
    return best;
  }

  private static String day(LocalDate day) {
    return day.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH)
        + " "
        + day.getDayOfMonth();
  }
}
