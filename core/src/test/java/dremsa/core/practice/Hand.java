package dremsa.core.practice;

import dremsa.core.brew.PotNow;
import dremsa.core.formula.Step;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** A hand at a simulated pot. It looks before it acts, as a maker does. */
final class Hand {
  static final double FULL = 1;
  static final double MOVING = 0.4;

  private static final double LOOKS = 0.25;
  private static final double LONGEST = 600;

  private final Exercise exercise;
  private final List<Act> acts = new ArrayList<>();
  private double second;

  Hand(Exercise exercise) {
    this.exercise = exercise;
  }

  PracticeRun run() {
    return PracticeRun.of(exercise, Materials.standard(), acts, second);
  }

  PotNow pot() {
    return run().pot();
  }

  Debrief debrief() {
    return Debrief.of(run());
  }

  Step step() {
    return exercise.formula().steps().get(run().step());
  }

  Act act(Act.Kind kind, String what, double value) {
    return new Act(second, kind, what, value);
  }

  Hand does(Act.Kind kind, String what, double value) {
    Act act = act(kind, what, value);
    run()
        .refuses(act)
        .ifPresent(
            why -> {
              throw new AssertionError(why);
            });
    acts.add(act);
    return this;
  }

  Hand heat(double share) {
    return does(Act.Kind.HEAT, "", share);
  }

  Hand lid(boolean on) {
    return does(Act.Kind.LID, "", on ? 1 : 0);
  }

  Hand choose(String option) {
    return does(Act.Kind.CHOOSE, option, 0);
  }

  Hand waits(double minutes) {
    second += minutes * 60;
    return this;
  }

  /** Stirs twice a minute for so long. */
  Hand stirs(double minutes) {
    for (double passed = 0; passed < minutes - 1e-9; passed += 2 * LOOKS) {
      does(Act.Kind.STIR, "", 0).waits(2 * LOOKS);
    }
    return this;
  }

  Hand until(Predicate<PotNow> seen, boolean stirring) {
    for (double passed = 0; !seen.test(pot()); passed += LOOKS) {
      if (passed > LONGEST) {
        throw new AssertionError("it was waited for in vain at " + step().headline());
      }
      if (stirring) {
        does(Act.Kind.STIR, "", 0);
      }
      waits(LOOKS);
    }
    return this;
  }

  Hand next() {
    return does(Act.Kind.NEXT, "", 0);
  }

  /** Does the present step as it should be done. */
  Hand well() {
    Step step = step();
    run().choiceNow().ifPresent(choice -> choose(choice.good().key()));
    boolean stirs = step.needsHands();
    if (step.onHob()) {
      lid(step.headline().contains("lid on")).heat(step.window().isPresent() ? MOVING : FULL);
      if (step.window().isEmpty()) {
        until(PotNow::boils, stirs);
      } else if (stirs) {
        until(PotNow::boils, true).stirs(step.window().orElseThrow().usual());
      } else {
        until(PotNow::boils, false).waits(step.window().orElseThrow().usual());
      }
    } else {
      double minutes = usual();
      waits(minutes);
    }
    return next();
  }

  private double usual() {
    return Debrief.of(done()).good().steps().get(run().step()).minutes();
  }

  /** Any run that is over tells how long the steps of a good one take. */
  private PracticeRun done() {
    List<Act> hasty = new ArrayList<>();
    for (int step = 0; step < exercise.formula().steps().size(); step++) {
      hasty.add(new Act(step, Act.Kind.NEXT, "", 0));
    }
    return PracticeRun.of(exercise, Materials.standard(), hasty, 1000);
  }

  /** Does all well up to a step. */
  Hand upTo(String kind) {
    while (!step().kind().key().equals(kind)) {
      well();
    }
    return this;
  }

  /** Does all that is left well. */
  Hand rest() {
    while (!run().isOver()) {
      well();
    }
    return this;
  }
}
