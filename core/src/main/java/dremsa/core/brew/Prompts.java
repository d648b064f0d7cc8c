package dremsa.core.brew;

import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.Ferment;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.StepWords;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds when a step calls for hands or eyes. How often to stir, shake and look is common practice.
 */
public final class Prompts implements StepCases.Some<Prompts> {
  private static final double DAY = 24 * 60;

  /** Roots and barks sink and stick: stirred this often, min. */
  private static final double NOW_AND_THEN = 5;

  /** Stirring a gel without a stop begins at this share of the way to the boil. */
  private static final double STIR_ON_AT = 0.5;

  /** Nobody is told more often within one step. */
  private static final int MOST_OF_A_KIND = 60;

  private final Brew brew;
  private final double minutes;
  private final double extended;
  private final List<Prompt> prompts = new ArrayList<>();

  private Prompts(Brew brew, double minutes, double extended) {
    this.brew = brew;
    this.minutes = minutes;
    this.extended = extended;
  }

  /**
   * What one step calls for, in the order of its minutes.
   *
   * @param outcome how the step goes, or went so far
   * @param extended minutes that the maker added to its window
   */
  public static List<Prompt> of(Brew brew, StepOutcome outcome, double extended) {
    Prompts prompts = new Prompts(brew, outcome.minutes(), extended);
    Step step = brew.formula().steps().get(outcome.index());
    step.accept(prompts);
    prompts.ending(step);
    prompts.prompts.sort(Comparator.comparingDouble(Prompt::minute));
    return List.copyOf(prompts.prompts);
  }

  private void say(Prompt.Kind kind, double minute, String words) {
    prompts.add(new Prompt(kind, minute, words));
  }

  @Override
  public Prompts combine(Combine step) {
    if (step.pouredHot() && step.vessel() != VesselKind.POT) {
      say(Prompt.Kind.FIRST, 0, "Warm the glass first");
    }
    return this;
  }

  @Override
  public Prompts prepare(Prepare step) {
    if (step.treatment() == Treatment.DRAIN_LATEX) {
      say(Prompt.Kind.FIRST, 0, "Stand the leaf upright to drain");
      say(Prompt.Kind.NOW, step.time().shortest(), "Drained: now soak it in clean water");
    }
    return this;
  }

  @Override
  public Prompts waterBath(WaterBath step) {
    say(Prompt.Kind.FIRST, 0, "Warm the jar first, lid loosely on");
    return this;
  }

  @Override
  public Prompts heat(Heat step) {
    if (!step.stir()) {
      return stirNowAndThen();
    }
    say(Prompt.Kind.STIR, 0, "Start stirring");
    if (minutes > 2) {
      say(Prompt.Kind.STIR, minutes * STIR_ON_AT, "Keep stirring, without a stop");
    }
    return this;
  }

  @Override
  public Prompts boil(Boil step) {
    if (!step.stir()) {
      return stirNowAndThen();
    }
    say(Prompt.Kind.STIR, 0, "Keep stirring");
    return this;
  }

  private Prompts stirNowAndThen() {
    if (sticks()) {
      every(NOW_AND_THEN, "Stir", Prompt.Kind.STIR);
    }
    return this;
  }

  @Override
  public Prompts macerate(Macerate step) {
    if (step.shakeEveryDays() > 0) {
      every(step.shakeEveryDays() * DAY, "Shake the jar", Prompt.Kind.SHAKE);
    }
    return this;
  }

  @Override
  public Prompts ferment(Ferment step) {
    every(DAY, "Look at the ferment and smell it", Prompt.Kind.LOOK);
    return this;
  }

  @Override
  public Prompts soak(Soak step) {
    if (step.time().usual() > DAY) {
      every(DAY, "Look at the soak and swirl it", Prompt.Kind.LOOK);
    }
    return this;
  }

  @Override
  public Prompts otherwise(Step step) {
    return this;
  }

  private boolean sticks() {
    return brew.materials().stream()
        .map(Material::kind)
        .anyMatch(
            kind ->
                kind == MaterialKind.ROOT
                    || kind == MaterialKind.BARK
                    || kind == MaterialKind.GRAIN
                    || kind == MaterialKind.GUM_POWDER);
  }

  private void every(double interval, String words, Prompt.Kind kind) {
    int count = 0;
    for (double at = interval; at < minutes - interval / 4 && count < MOST_OF_A_KIND; count++) {
      say(kind, at, words);
      at += interval;
    }
  }

  /** Its end, and a little before. */
  private void ending(Step step) {
    String what = StepWords.headline(step);
    if (step.window().isPresent()) {
      Window window = step.window().get();
      double usual = window.usual() + extended;
      soon(usual, what);
      say(Prompt.Kind.NOW, usual, what + ": look at it");
      double latest = window.longest() + extended;
      if (latest > usual) {
        say(Prompt.Kind.LATE, latest, what + ": too long");
      }
      return;
    }
    String reached = step.accept(REACHED);
    if (!reached.isEmpty()) {
      soon(minutes, what);
      say(Prompt.Kind.NOW, minutes, reached);
    }
  }

  /** What steps without a time of their own wait for. */
  private static final StepCases<String> REACHED =
      new StepCases.Some<>() {
        @Override
        public String cool(Cool step) {
          return Said.of("It should be down to %.0f °C", step.toC());
        }

        @Override
        public String heat(Heat step) {
          return "It should boil now";
        }

        @Override
        public String otherwise(Step step) {
          return "";
        }
      };

  /** A tenth of the time ahead, at least one and at most fifteen minutes. */
  private void soon(double end, String what) {
    double ahead = Math.min(15, Math.max(1, end / 10));
    if (end >= 4) {
      say(Prompt.Kind.SOON, end - ahead, Said.of("%s: ends in %.0f min", what, ahead));
    }
  }
}
