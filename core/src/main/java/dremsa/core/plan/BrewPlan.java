package dremsa.core.plan;

import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * When to brew what, how much of it, and what comes of it.
 *
 * @param brews in the order of their days
 * @param servings what each need takes from which bottle or brew
 * @param without who goes without
 * @param thrown what is past its day before it is used up
 * @param frozen of what still comes off the bench, by its id, what goes into the freezer then, mL
 * @param score all of it weighed up
 * @param gap by how much it might be better at most, share; empty where no bound is known
 */
public record BrewPlan(
    List<PlannedBrew> brews,
    List<Serving> servings,
    List<Without> without,
    List<Thrown> thrown,
    Map<String, Double> frozen,
    PlanScore score,
    OptionalDouble gap) {
  private static final int STEP_ML = 5;

  /**
   * A brew.
   *
   * @param name of its formula
   * @param frozenMl goes into the freezer in portions the same evening
   * @param from the first day on which it can be used
   * @param lastDay of what is not frozen
   * @param hands minutes of work
   * @param pinned it stays whatever happens
   */
  public record PlannedBrew(
      LocalDate day,
      String formula,
      String name,
      double millilitres,
      double frozenMl,
      Optional<LocalDate> frozenTo,
      LocalDate from,
      LocalDate lastDay,
      double hands,
      boolean pinned) {
    /** The same as something agreed on. */
    public Agreed agreed() {
      return new Agreed(day, formula, millilitres, pinned);
    }
  }

  /**
   * Where something comes from.
   *
   * @param brew number of the brew; empty where it stands already
   * @param supply id of what stands
   */
  public record Source(OptionalInt brew, Optional<String> supply) {}

  /**
   * Some for a need.
   *
   * @param thawed it was frozen until then
   */
  public record Serving(Need need, Source source, double millilitres, boolean thawed) {}

  /**
   * Nothing, or too little, for a need.
   *
   * @param there so much would be there, mL
   */
  public record Without(Need need, double there) {}

  /** Something past its day. */
  public record Thrown(LocalDate day, Source source, double millilitres) {}

  public BrewPlan {
    brews = List.copyOf(brews);
    servings = List.copyOf(servings);
    without = List.copyOf(without);
    thrown = List.copyOf(thrown);
    frozen = Map.copyOf(frozen);
  }

  /** All brews as something agreed on. */
  public List<Agreed> agreed() {
    return brews.stream().map(PlannedBrew::agreed).toList();
  }

  /**
   * The same brews in amounts that can be measured: up to the next {@value #STEP_ML} mL, where the
   * pots take as much.
   */
  public List<Agreed> measurable(Situation situation) {
    return brews.stream()
        .map(
            brew -> {
              double most =
                  situation
                      .brewable(brew.formula())
                      .map(Brewable::mostMl)
                      .orElse(Double.POSITIVE_INFINITY);
              double round = Math.ceil(brew.millilitres() / STEP_ML - 1e-6) * STEP_ML;
              return new Agreed(
                  brew.day(),
                  brew.formula(),
                  round <= most ? round : brew.millilitres(),
                  brew.pinned());
            })
        .toList();
  }

  /** On how many evenings anything is brewed. */
  public int sessions() {
    return (int) brews.stream().map(PlannedBrew::day).distinct().count();
  }

  /** Minutes of hands, laying out and washing up as well. */
  public double hands(PlanWeights weights) {
    return brews.stream().mapToDouble(PlannedBrew::hands).sum() + sessions() * weights.session();
  }

  public double brewedMl() {
    return brews.stream().mapToDouble(PlannedBrew::millilitres).sum();
  }

  public double thrownMl() {
    return thrown.stream().mapToDouble(Thrown::millilitres).sum();
  }

  /** The score in words: {@code "3 sessions, 2 h 10 min of hands, 40 mL thrown away (1.5 %)"}. */
  public String words(PlanWeights weights) {
    int sessions = sessions();
    String stands = ofWhatStands();
    if (sessions == 0) {
      return without.isEmpty()
          ? "Nothing need be brewed. " + stands
          : "Nothing is brewed. " + served() + stands;
    }
    double brewed =
        thrown.stream()
            .filter(each -> each.source().brew().isPresent())
            .mapToDouble(Thrown::millilitres)
            .sum();
    return Said.of("%d %s, ", sessions, sessions == 1 ? "session" : "sessions")
        + Said.duration(hands(weights))
        + " of hands, "
        + (brewed < 1
            ? "nothing of it thrown away"
            : Said.of("%.0f mL of it thrown away (%.1f %%)", brewed, 100 * brewed / brewedMl()))
        + ". "
        + served()
        + stands;
  }

  private String ofWhatStands() {
    double standing =
        thrown.stream()
            .filter(each -> each.source().supply().isPresent())
            .mapToDouble(Thrown::millilitres)
            .sum();
    return standing < 1
        ? ""
        : Said.of(" Of what stands already %.0f mL goes off unused.", standing);
  }

  private String served() {
    return without.isEmpty()
        ? "Every use is served."
        : Said.of("%d %s without.", without.size(), without.size() == 1 ? "use goes" : "uses go");
  }
}
