package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Finished;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.Strength;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.Window;
import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * What ending a step at an unusual moment does: asked before it is ended too early, and told of the
 * batch afterwards.
 */
public final class Ending {
  /** A pot so far from the boil does not boil, °C. */
  private static final double OFF_THE_BOIL = 5;

  /** So little warmer than wanted it is cool enough, °C. */
  private static final double NEARLY_COOL = 5;

  private Ending() {}

  /**
   * A result, ended now and ended as usual.
   *
   * @param words to be read after the name: {@code "21 % instead of 96 %"}
   */
  public record Effect(String name, String words) {}

  /**
   * What to ask before a step is ended.
   *
   * @param words why it is too early
   * @param effects in numbers; empty where nothing measurable changes
   */
  public record Question(String words, List<Effect> effects) {}

  /**
   * What to ask before the present step is ended; empty when it can simply be ended.
   *
   * @param facts as the run goes, with what was read at the step
   * @param index of the step
   * @param minutes that it has lasted
   * @param seen the maker says that what it waits for is there
   * @param lastDay judges a prediction
   */
  public static Optional<Question> question(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      int index,
      double minutes,
      boolean seen,
      Function<Prediction, LocalDate> lastDay) {
    Step step = brew.formula().steps().get(index);
    StepFacts known = facts.of(index).withMinutes(minutes);
    Prediction unseen = brew.predict(scale, vessels, facts.with(index, known));
    StepOutcome outcome = unseen.steps().get(index);
    Optional<String> why = step.accept(new Why(brew, outcome, seen, known));
    if (why.isEmpty()) {
      return Optional.empty();
    }
    Prediction now =
        seen ? brew.predict(scale, vessels, facts.with(index, known.asSeen())) : unseen;
    StepFacts usual =
        step.window()
            .map(w -> facts.of(index).withMinutes(w.usual()))
            .orElse(facts.of(index).untimed());
    Prediction planned = brew.predict(scale, vessels, facts.with(index, usual));
    return Optional.of(new Question(why.get(), effects(now, planned, lastDay)));
  }

  /** Why it is too early. */
  private static final class Why implements StepCases.Some<Optional<String>> {
    private final Brew brew;
    private final StepOutcome outcome;
    private final boolean seen;
    private final StepFacts known;

    Why(Brew brew, StepOutcome outcome, boolean seen, StepFacts known) {
      this.brew = brew;
      this.outcome = outcome;
      this.seen = seen;
      this.known = known;
    }

    @Override
    public Optional<String> heat(Heat step) {
      boolean off = outcome.endC() < brew.boilingC() - OFF_THE_BOIL;
      return seen || !off
          ? Optional.empty()
          : Optional.of(
              Said.of("It does not boil yet: about %.0f °C by the model.", outcome.endC()));
    }

    @Override
    public Optional<String> cool(Cool step) {
      return outcome.endC() <= step.toC() + NEARLY_COOL
          ? Optional.empty()
          : Optional.of(
              Said.of(
                  "It is still about %.0f °C by the model, not %.0f °C.",
                  outcome.endC(), step.toC()));
    }

    @Override
    public Optional<String> boil(Boil step) {
      return early(step);
    }

    @Override
    public Optional<String> otherwise(Step step) {
      return early(step);
    }

    private Optional<String> early(Step step) {
      double minutes = known.minutes().orElse(outcome.minutes());
      boolean early =
          timeWorks(step) && step.window().orElseThrow().judge(minutes) == Window.Timing.EARLY;
      return early
          ? Optional.of(
              Said.of(
                  "Too early: %s of %s.",
                  Said.duration(minutes), Said.duration(step.window().orElseThrow().usual())))
          : Optional.empty();
    }
  }

  /** Whether the time itself does the work, and not a hand that is done when it is done. */
  private static boolean timeWorks(Step step) {
    return step.window().isPresent()
        && (step.onHob()
            || step.stands()
            || step.readies().map(Step.Treatment::takesItsTime).orElse(false));
  }

  private static List<Effect> effects(
      Prediction now, Prediction usual, Function<Prediction, LocalDate> lastDay) {
    List<Effect> effects = new ArrayList<>();
    OptionalDouble strength = strength(now);
    if (strength.isPresent() && strength(usual).isPresent()) {
      told(
          "strength",
          Said.of("%.0f %%", strength.getAsDouble()),
          Said.of("%.0f %%", strength(usual).getAsDouble()),
          effects);
    }
    Finished finished = now.finished();
    if (finished.band().isPresent() && usual.finished().band().isPresent()) {
      told(
          "thickness",
          finished.band().orElseThrow().words(),
          usual.finished().band().orElseThrow().words(),
          effects);
    }
    told(
        "to bottle",
        Said.of("%.0f mL", finished.millilitres()),
        Said.of("%.0f mL", usual.finished().millilitres()),
        effects);
    told("last day", Said.day(lastDay.apply(now)), Said.day(lastDay.apply(usual)), effects);
    return effects;
  }

  private static void told(String name, String now, String usual, List<Effect> effects) {
    if (!now.equals(usual)) {
      effects.add(new Effect(name, now + " instead of " + usual));
    }
  }

  /** What of the first plant has gone over, %. */
  private static OptionalDouble strength(Prediction prediction) {
    return prediction.strengths().stream()
        .mapToDouble(Strength::extracted)
        .map(e -> e * 100)
        .findFirst();
  }

  /**
   * What an early or a late end leaves on a batch.
   *
   * @param step at which it was
   * @param brief for a label: {@code "weak, 21 %"}
   * @param words one or two sentences
   */
  public record Mark(int step, Window.Timing timing, String brief, String words) {}

  /**
   * What the ends of the steps leave on a batch.
   *
   * @param prediction as it really went
   * @param timings of the steps that have a window, by their index
   */
  public static List<Mark> marks(
      Brew brew, Prediction prediction, Map<Integer, Window.Timing> timings) {
    List<Mark> marks = new ArrayList<>();
    new TreeMap<>(timings)
        .forEach(
            (index, timing) -> {
              Step step = brew.formula().steps().get(index);
              if (timing != Window.Timing.RIGHT && timeWorks(step)) {
                marks.add(mark(step, prediction, index, timing));
              }
            });
    return List.copyOf(marks);
  }

  private static Mark mark(Step step, Prediction prediction, int index, Window.Timing timing) {
    boolean early = timing == Window.Timing.EARLY;
    String lasted = Said.duration(prediction.steps().get(index).minutes());
    OptionalDouble strength = strength(prediction);
    String percent = strength.isPresent() ? Said.of("%.0f %%", strength.getAsDouble()) : "";
    String guide = early ? step.guide().early() : step.guide().late();
    String limit =
        Said.duration(
            early ? step.window().orElseThrow().shortest() : step.window().orElseThrow().longest());
    String words =
        Said.of("%s took %s, %s than %s.", step.headline(), lasted, early ? "less" : "more", limit)
            + (percent.isEmpty() ? "" : " Strength about " + percent + ".")
            + (guide.isBlank() ? "" : " " + guide);
    String brief = early ? percent.isEmpty() ? "ended early" : "weak, " + percent : "took too long";
    return new Mark(index, timing, brief, words);
  }
}
