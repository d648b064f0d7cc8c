package dremsa.core.practice;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.PotNow;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.Tending;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Step;
import dremsa.core.material.Materials;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A practice as it stands at a moment: an exercise, what was done so far, and the time. The same
 * acts give the same pot, so that nothing but them is to be kept.
 */
public final class PracticeRun {
  /** A practice holds this many acts; more is a child at the buttons. */
  public static final int MOST_ACTS = 2000;

  private static final double MOST_WATER_ML = 5000;

  /** So many times what the card says nobody weighs in. */
  private static final double MOST_TIMES = 20;

  private final Exercise exercise;
  private final Materials materials;
  private final double second;
  private final Map<Integer, Choice.Option> chosen = new TreeMap<>();
  private final Map<Integer, StepFacts> steps = new TreeMap<>();
  private final Map<String, Double> weighed = new HashMap<>();

  private int step;
  private double stepBegan;
  private double heat;
  private boolean lid;
  private List<Tending.Turn> turns = new ArrayList<>();
  private List<Double> stirs = new ArrayList<>();
  private StepFacts now = StepFacts.NONE;
  private @Nullable Dip dip;

  /** Resolved once for all that is asked of a moment. */
  private @Nullable Brew resolved;

  private PracticeRun(Exercise exercise, Materials materials, double second) {
    this.exercise = exercise;
    this.materials = materials;
    this.second = second;
  }

  /**
   * Lets a practice come to a moment.
   *
   * @param acts in the order in which they were done, none later than the moment
   * @param second since it began, of the pot's time
   */
  public static PracticeRun of(
      Exercise exercise, Materials materials, List<Act> acts, double second) {
    PracticeRun run = new PracticeRun(exercise, materials, second);
    for (Act act : acts) {
      run.take(act);
    }
    return run;
  }

  private void take(Act act) {
    double minute = (act.second() - stepBegan) / 60;
    switch (act.kind()) {
      case NEXT -> next(minute, act.second());
      case HEAT -> turn(minute, act.value(), lid);
      case LID -> turn(minute, heat, act.value() > 0);
      case STIR -> stirs.add(minute);
      case POUR -> now = now.withWater(act.value(), exercise.kitchen().climate().roomC());
      case WEIGH -> weighed.put(act.what(), act.value());
      case CHOOSE ->
          exercise
              .choiceAt(step)
              .flatMap(choice -> choice.option(act.what()))
              .ifPresent(this::choose);
      case MEASURE -> dip = new Dip(act.second(), step, facts().with(step, factsAt(minute)));
    }
  }

  private void choose(Choice.Option option) {
    chosen.put(step, option);
    resolved = null;
  }

  private void turn(double minute, double to, boolean covered) {
    heat = to;
    lid = covered;
    turns.add(new Tending.Turn(minute, heat, lid));
  }

  private void next(double minute, double at) {
    steps.put(step, factsAt(minute));
    step++;
    stepBegan = at;
    boolean onHob = !isOver() && present().onHob();
    // What is done off the hob is done with the hob turned off.
    heat = onHob ? heat : 0;
    turns = new ArrayList<>(List.of(new Tending.Turn(0, heat, lid)));
    stirs = new ArrayList<>();
    now = StepFacts.NONE;
  }

  private StepFacts factsAt(double minute) {
    StepFacts facts = now.withMinutes(minute);
    if (!isOver() && present().onHob()) {
      facts = facts.withTending(new Tending(turns, stirs));
    }
    for (String key : present().ingredients()) {
      Double grams = weighed.getOrDefault(key, exercise.card().get(key));
      if (grams != null) {
        facts = facts.withWeighed(key, grams);
      }
    }
    Choice.Option option = chosen.get(step);
    return option != null && option.leftOut() ? facts.left() : facts;
  }

  private PotNow potAt(double minute) {
    Brew brew = brew();
    return brew.standing(
        exercise.scale(), vessels(brew), facts().with(step, factsAt(minute)), step);
  }

  private VesselChoice vessels(Brew brew) {
    return brew.vesselsFor(exercise.scale());
  }

  /** What is practised. */
  public Exercise exercise() {
    return exercise;
  }

  /** The brew with what was chosen. */
  public Brew brew() {
    if (resolved == null) {
      resolved = exercise.brew(materials, chosen);
    }
    return resolved;
  }

  /** What happened in the steps that are done. */
  public Facts facts() {
    return new Facts(steps);
  }

  /** Ways that were chosen, by step. */
  Map<Integer, Choice.Option> chosen() {
    return chosen;
  }

  Materials materials() {
    return materials;
  }

  /** Whether every step is done. */
  public boolean isOver() {
    return step >= exercise.formula().steps().size();
  }

  /** Index of the step that is done now; how many there are when all are done. */
  public int step() {
    return step;
  }

  private Step present() {
    return brew().formula().steps().get(Math.min(step, exercise.formula().steps().size() - 1));
  }

  /** Minutes since the step began. */
  public double stepMinutes() {
    return Math.max(0, (second - stepBegan) / 60);
  }

  /** How the pot looks. */
  public PotNow pot() {
    return isOver() ? potAtTheEnd() : potAt(stepMinutes());
  }

  private PotNow potAtTheEnd() {
    Brew brew = brew();
    return brew.standing(exercise.scale(), vessels(brew), facts(), step - 1);
  }

  /** What the hob is turned to, 0 to 1. */
  public double heat() {
    return heat;
  }

  public boolean lid() {
    return lid;
  }

  /** What was measured last, and how many minutes ago; empty before. */
  public Optional<Measured> measured() {
    if (dip == null) {
      return Optional.empty();
    }
    Brew brew = brew();
    PotNow pot = brew.standing(exercise.scale(), vessels(brew), dip.facts(), dip.step());
    return Optional.of(new Measured(pot.celsius(), pot.ph(), (second - dip.second()) / 60));
  }

  /** Thermometer and strip went in. */
  private record Dip(double second, int step, Facts facts) {}

  /**
   * What thermometer and strip said.
   *
   * @param celsius read
   * @param ph read; NaN where there was nothing to read
   * @param minutesAgo by the pot's time
   */
  public record Measured(double celsius, double ph, double minutesAgo) {}

  /**
   * Which way was chosen at the present step; empty before, or where there is nothing to choose.
   */
  public Optional<Choice.Option> chosenNow() {
    return Optional.ofNullable(chosen.get(step));
  }

  /** What the present step leaves to choose. */
  public Optional<Choice> choiceNow() {
    return isOver() ? Optional.empty() : exercise.choiceAt(step);
  }

  /** What goes in at the present step, g by ingredient: as weighed, else as the card says. */
  public Map<String, Double> putsNow() {
    if (isOver() || !(present().puts() || present().stirredBelow().isPresent())) {
      return Map.of();
    }
    Map<String, Double> puts = new TreeMap<>();
    Prediction planned =
        brew().untraced(exercise.scale(), vessels(brew()), facts().with(step, factsAt(1)));
    for (String key : present().ingredients()) {
      puts.put(key, planned.steps().get(step).put().getOrDefault(key, 0.0));
    }
    return puts;
  }

  /** What rings, or has called the maker away, at this moment. */
  public Optional<Calling> calling() {
    if (isOver()) {
      return Optional.empty();
    }
    double minute = stepMinutes();
    return exercise.bells().stream()
        .filter(bell -> bell.step() == step && minute >= bell.minute() && minute < bell.backAt())
        .findFirst()
        .map(
            bell ->
                minute < bell.goesAt()
                    ? new Calling(bell.words(), false, bell.goesAt() - minute)
                    : new Calling(bell.words(), true, bell.backAt() - minute));
  }

  /**
   * What calls the maker away.
   *
   * @param words what it is
   * @param away whether the maker is gone already
   * @param minutes until gone, or until back
   */
  public record Calling(String words, boolean away, double minutes) {}

  /** Why something cannot be done now; empty where it can. */
  public Optional<String> refuses(Act act) {
    if (isOver()) {
      return Optional.of("This practice is over.");
    }
    Optional<Calling> calling = calling().filter(Calling::away);
    if (calling.isPresent()) {
      return Optional.of(
          Said.of(
              "You are away for another %s: nobody is at the pot.",
              Said.duration(Math.max(1, calling.get().minutes()))));
    }
    return switch (act.kind()) {
      case HEAT -> onHob(act.value() >= 0 && act.value() <= 1, "A hob gives from 0 to 1.");
      case LID, STIR -> onHob(true, "");
      case POUR ->
          act.value() > 0 && act.value() <= MOST_WATER_ML
              ? refusedUnless(pot().vessel().isPresent(), "There is nothing to pour it into yet.")
              : Optional.of(Said.of("Pour in more than 0 and up to %.0f mL.", MOST_WATER_ML));
      case WEIGH -> weighing(act);
      case CHOOSE ->
          refusedUnless(
              choiceNow().flatMap(choice -> choice.option(act.what())).isPresent(),
              "There is no such way to do this step.");
      case NEXT ->
          refusedUnless(
              choiceNow().isEmpty() || chosenNow().isPresent(), "Choose first how you do it.");
      case MEASURE -> refusedUnless(pot().millilitres() > 0, "There is nothing to measure yet.");
    };
  }

  private Optional<String> onHob(boolean possible, String otherwise) {
    return present().onHob()
        ? refusedUnless(possible, otherwise)
        : Optional.of("There is no pot on the hob at this step.");
  }

  private Optional<String> weighing(Act act) {
    Map<String, Double> puts = putsNow();
    if (!puts.containsKey(act.what())) {
      return Optional.of("This does not go in at this step.");
    }
    double most = MOST_TIMES * Math.max(1, planned(act.what()));
    return refusedUnless(
        act.value() >= 0 && act.value() <= most, Said.of("Weigh in from 0 to %.0f g here.", most));
  }

  private double planned(String key) {
    return exercise
        .formula()
        .ingredient(key)
        .map(Ingredient::key)
        .map(each -> brew().partsOf(each) * exercise.scale())
        .filter(grams -> grams > 0)
        .orElse(brew().millilitresAtOne() * exercise.scale());
  }

  private static Optional<String> refusedUnless(boolean possible, String otherwise) {
    return possible ? Optional.empty() : Optional.of(otherwise);
  }

  /** What came of it, once it is over. */
  Prediction outcome() {
    Brew brew = brew();
    return brew.predict(exercise.scale(), vessels(brew), facts());
  }
}
