package dremsa.core.practice;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.PotNow;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.Step;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import dremsa.core.material.Material;
import dremsa.core.measure.Said;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What came of a practice, beside a good brew of the same.
 *
 * @param yours how it went
 * @param good how a good one goes
 * @param reached what was asked for, and what it came to
 * @param differences what each step that went otherwise cost, the dearest first
 */
public record Debrief(
    Prediction yours, Prediction good, List<Reached> reached, List<Difference> differences) {
  /** Any moment serves: what is asked is how long it keeps from then. */
  private static final Instant SOME_MORNING = Instant.parse("2026-01-06T09:00:00Z");

  private static final double HOURS_A_DAY = 24;

  /** Less than this is not worth a line. */
  private static final double WORTH_ML = 5;

  private static final double WORTH_THICKNESS = 0.1;
  private static final double WORTH_MPAS = 5;
  private static final double WORTH_DAYS = 0.5;

  /** Shares: less is not told. */
  private static final double WORTH_TIME = 0.1;

  private static final double WORTH_PUTTING = 0.02;

  public Debrief {
    reached = List.copyOf(reached);
    differences = List.copyOf(differences);
  }

  /**
   * Something asked for.
   *
   * @param value that it came to, in the aim's unit
   * @param ok whether that is what was asked
   */
  public record Reached(Aim aim, double value, boolean ok) {}

  /**
   * A step that went otherwise.
   *
   * @param step its index
   * @param words what was otherwise
   * @param millilitres that it cost; negative where it brought some
   * @param thickness mPa·s that it cost; negative where it made it thicker; NaN where not known
   * @param days in the fridge that it cost; negative where it brought some
   * @param lost what it spoilt altogether; empty where nothing
   */
  public record Difference(
      int step, String words, double millilitres, double thickness, double days, String lost) {
    /** What it cost, in words; empty where nothing that is measured. */
    public String cost() {
      List<String> all = new ArrayList<>();
      told(all, millilitres, WORTH_ML, "%.0f mL less", "%.0f mL more");
      if (!Double.isNaN(thickness)) {
        told(all, thickness, WORTH_MPAS, "%.0f mPa·s thinner", "%.0f mPa·s thicker");
      }
      told(all, days, WORTH_DAYS, "%.1f days less in the fridge", "%.1f days more in the fridge");
      if (!lost.isEmpty()) {
        all.add(lost);
      }
      return String.join(", ", all);
    }

    private static void told(
        List<String> all, double cost, double worth, String less, String more) {
      if (Math.abs(cost) >= worth) {
        all.add(Said.of(cost > 0 ? less : more, Math.abs(cost)));
      }
    }

    /** How much it weighs against others: what is lost comes first. */
    private double weight(Prediction good) {
      double whole = Math.max(1, good.finished().millilitres());
      double thick = Math.max(WORTH_MPAS, good.finished().thickness());
      return (lost.isEmpty() ? 0 : 100)
          + Math.abs(millilitres) / whole
          + (Double.isNaN(thickness) ? 0 : Math.abs(thickness) / thick)
          + Math.abs(days) / 7;
    }
  }

  /** Whether all that was asked for was reached. */
  public boolean allReached() {
    return reached.stream().allMatch(Reached::ok);
  }

  /**
   * Of a practice that is over.
   *
   * @throws IllegalStateException when it is not
   */
  public static Debrief of(PracticeRun run) {
    if (!run.isOver()) {
      throw new IllegalStateException("this practice is not over");
    }
    Exercise exercise = run.exercise();
    Tried yours = new Tried(run, run.chosen(), run.facts());
    Tried good = new Tried(run, Map.of(), exercise.good());
    List<Difference> differences = new ArrayList<>();
    for (int step = 0; step < exercise.formula().steps().size(); step++) {
      difference(run, yours, step).ifPresent(differences::add);
    }
    differences.sort(
        Comparator.comparingDouble((Difference d) -> d.weight(good.prediction)).reversed());
    return new Debrief(
        yours.prediction,
        good.prediction,
        exercise.aims().stream().map(yours::reached).toList(),
        differences);
  }

  /** One way that it can go. */
  private static final class Tried {
    private final Exercise exercise;
    private final Map<Integer, Choice.Option> chosen;
    private final Brew brew;
    private final Prediction prediction;
    private final PotNow end;

    Tried(PracticeRun run, Map<Integer, Choice.Option> chosen, Facts facts) {
      this.exercise = run.exercise();
      this.chosen = chosen;
      this.brew = exercise.brew(run.materials(), chosen);
      var vessels = brew.vesselsFor(exercise.scale());
      this.prediction = brew.predict(exercise.scale(), vessels, facts);
      this.end =
          brew.standing(exercise.scale(), vessels, facts, exercise.formula().steps().size() - 1);
    }

    double days() {
      Keeping keeping =
          Keeping.inFridge(
              SOME_MORNING,
              ZoneOffset.UTC,
              School.CAREFUL,
              Climates.always(exercise.kitchen().climate()));
      double hours =
          Duration.between(SOME_MORNING, keeping.lasts(brew, prediction).runsOut()).toMinutes()
              / 60.0;
      return Math.max(0, hours - prediction.heat().bottledMinute() / 60) / HOURS_A_DAY;
    }

    Reached reached(Aim aim) {
      double value = value(aim);
      return new Reached(aim, value, aim.holds(value));
    }

    double value(Aim aim) {
      return switch (aim.what()) {
        case TO_BOTTLE -> prediction.finished().millilitres();
        case THICKNESS -> prediction.finished().thickness();
        case KEEPS -> days();
        case DUST -> prediction.finished().debris() ? 1 : 0;
        case CAUGHT -> 100 * end.caught();
        case SPILT -> end.spilt();
        case SOUR -> prediction.contents().ph().high();
        case WARMTH -> prediction.steps().get(aim.step()).startC();
        case LASTED -> prediction.steps().get(aim.step()).minutes();
        case GLASS -> overGlass(aim.step());
        case DOSE ->
            100
                * prediction.amounts().getOrDefault(aim.ingredient(), 0.0)
                / Math.max(1e-9, prediction.finished().grams());
      };
    }

    private double overGlass(int step) {
      Choice choice = exercise.choiceAt(step).orElseThrow();
      double glass =
          chosen
              .getOrDefault(step, choice.good())
              .glassC()
              .orElse(exercise.kitchen().climate().roomC());
      return prediction.steps().get(step).endC() - glass;
    }
  }

  /** What a step cost: it is done well, all others stay as they went. */
  private static Optional<Difference> difference(PracticeRun run, Tried yours, int step) {
    Exercise exercise = run.exercise();
    Map<Integer, Choice.Option> chosen = new TreeMap<>(run.chosen());
    Choice.Option taken = chosen.remove(step);
    StepFacts well = exercise.good().of(step);
    Tried righted = new Tried(run, chosen, run.facts().with(step, well));
    double millilitres =
        righted.prediction.finished().millilitres() - yours.prediction.finished().millilitres();
    double thickness =
        righted.prediction.finished().thickness() - yours.prediction.finished().thickness();
    double days = righted.days() - yours.days();
    List<String> lost = new ArrayList<>();
    for (Aim aim : exercise.aims()) {
      boolean told = aim.what() != Aim.What.TO_BOTTLE && aim.what() != Aim.What.KEEPS;
      if (told && aim.what() != Aim.What.THICKNESS) {
        Reached before = yours.reached(aim);
        if (!before.ok() && aim.off(righted.value(aim)) <= aim.off(before.value()) / 2) {
          lost.add(
              aim.what().words() + " " + aim.told(before.value()) + ", wanted " + aim.wanted());
        }
      }
    }
    boolean worth =
        Math.abs(millilitres) >= WORTH_ML
            || Math.abs(thickness)
                >= Math.max(WORTH_MPAS, WORTH_THICKNESS * yours.prediction.finished().thickness())
            || Math.abs(days) >= WORTH_DAYS
            || !lost.isEmpty();
    if (!worth) {
      return Optional.empty();
    }
    return Optional.of(
        new Difference(
            step,
            words(yours, righted, step, taken),
            millilitres,
            thickness,
            days,
            String.join("; ", lost)));
  }

  private static String words(Tried yours, Tried righted, int step, Choice.@Nullable Option taken) {
    Step done = yours.brew.formula().steps().get(step);
    StringBuilder words = new StringBuilder(done.headline()).append(": ");
    if (taken != null && yours.exercise.choiceAt(step).orElseThrow().good() != taken) {
      return words.append(taken.words()).append('.').toString();
    }
    StepOutcome mine = yours.prediction.steps().get(step);
    StepOutcome well = righted.prediction.steps().get(step);
    List<String> otherwise = new ArrayList<>();
    String lasted = Said.duration(mine.minutes());
    String usually = Said.duration(well.minutes());
    if (!lasted.equals(usually)
        && Math.abs(mine.minutes() - well.minutes()) > WORTH_TIME * well.minutes()) {
      otherwise.add(lasted + ", not " + usually);
    }
    well.put()
        .forEach(
            (key, grams) -> {
              double put = mine.put().getOrDefault(key, 0.0);
              if (Math.abs(put - grams) > WORTH_PUTTING * grams) {
                otherwise.add(
                    Said.of(
                        "%s %s g, not %s g",
                        name(yours, key), Said.figures(put, 3), Said.figures(grams, 3)));
              }
            });
    double steamed = mine.beforeMl() - mine.millilitres();
    double usual = well.beforeMl() - well.millilitres();
    if (done.onHob() && Math.abs(steamed - usual) > WORTH_ML) {
      otherwise.add(Said.of("%.0f mL went off, not %.0f mL", steamed, usual));
    }
    if (done.onHob() && otherwise.isEmpty()) {
      otherwise.add("hotter or less stirred");
    }
    return words
        .append(otherwise.isEmpty() ? "otherwise" : String.join(", ", otherwise))
        .append('.')
        .toString();
  }

  private static String name(Tried tried, String key) {
    return tried.brew.materialOf(key).map(Material::name).orElse(key);
  }
}
