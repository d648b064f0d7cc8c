package dremsa.core.brew;

import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.Ferment;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.formula.StepWords;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Finds when a step calls for hands or eyes. How often to stir, shake and look is common practice.
 */
public final class Prompts {
  private static final double DAY = 24 * 60;

  /** Roots and barks sink and stick: stirred this often, min. */
  private static final double NOW_AND_THEN = 5;

  /** Stirring a gel without a stop begins at this share of the way to the boil. */
  private static final double STIR_ON_AT = 0.5;

  /** Nobody is told more often within one step. */
  private static final int MOST_OF_A_KIND = 60;

  private Prompts() {}

  /**
   * What one step calls for, in the order of its minutes.
   *
   * @param outcome how the step goes, or went so far
   * @param extended minutes that the maker added to its window
   */
  public static List<Prompt> of(Brew brew, StepOutcome outcome, double extended) {
    Step step = brew.formula().steps().get(outcome.index());
    List<Prompt> prompts = new ArrayList<>();
    first(step, prompts);
    stirring(brew, step, outcome.minutes(), prompts);
    standing(step, outcome.minutes(), prompts);
    ending(step, outcome.minutes(), extended, prompts);
    prompts.sort(Comparator.comparingDouble(Prompt::minute));
    return List.copyOf(prompts);
  }

  private static void first(Step step, List<Prompt> prompts) {
    if (step instanceof Combine combine
        && combine.liquid() == LiquidHeat.JUST_BOILED
        && combine.vessel() != VesselKind.POT) {
      prompts.add(new Prompt(Prompt.Kind.FIRST, 0, "Warm the glass first"));
    } else if (step instanceof WaterBath) {
      prompts.add(new Prompt(Prompt.Kind.FIRST, 0, "Warm the jar first, lid loosely on"));
    } else if (step instanceof Prepare prepare && prepare.treatment() == Treatment.DRAIN_LATEX) {
      prompts.add(new Prompt(Prompt.Kind.FIRST, 0, "Stand the leaf upright to drain"));
      prompts.add(
          new Prompt(
              Prompt.Kind.NOW, prepare.time().shortest(), "Drained: now soak it in clean water"));
    }
  }

  private static void stirring(Brew brew, Step step, double minutes, List<Prompt> prompts) {
    if (step instanceof Heat heat && heat.stir()) {
      prompts.add(new Prompt(Prompt.Kind.STIR, 0, "Start stirring"));
      if (minutes > 2) {
        prompts.add(
            new Prompt(Prompt.Kind.STIR, minutes * STIR_ON_AT, "Keep stirring, without a stop"));
      }
    } else if (step instanceof Boil boil && boil.stir()) {
      prompts.add(new Prompt(Prompt.Kind.STIR, 0, "Keep stirring"));
    } else if ((step instanceof Boil || step instanceof Heat) && sticks(brew)) {
      every(NOW_AND_THEN, minutes, "Stir", Prompt.Kind.STIR, prompts);
    }
  }

  private static boolean sticks(Brew brew) {
    return brew.materials().stream()
        .map(Material::kind)
        .anyMatch(
            kind ->
                kind == MaterialKind.ROOT
                    || kind == MaterialKind.BARK
                    || kind == MaterialKind.GRAIN
                    || kind == MaterialKind.GUM_POWDER);
  }

  private static void standing(Step step, double minutes, List<Prompt> prompts) {
    if (step instanceof Macerate macerate && macerate.shakeEveryDays() > 0) {
      every(macerate.shakeEveryDays() * DAY, minutes, "Shake the jar", Prompt.Kind.SHAKE, prompts);
    } else if (step instanceof Ferment) {
      every(DAY, minutes, "Look at the ferment and smell it", Prompt.Kind.LOOK, prompts);
    } else if (step instanceof Soak soak && soak.time().usual() > DAY) {
      every(DAY, minutes, "Look at the soak and swirl it", Prompt.Kind.LOOK, prompts);
    }
  }

  private static void every(
      double interval, double minutes, String words, Prompt.Kind kind, List<Prompt> prompts) {
    int count = 0;
    for (double at = interval; at < minutes - interval / 4 && count < MOST_OF_A_KIND; count++) {
      prompts.add(new Prompt(kind, at, words));
      at += interval;
    }
  }

  private static void ending(Step step, double minutes, double extended, List<Prompt> prompts) {
    Optional<Window> window = step.window();
    String what = StepWords.headline(step);
    if (window.isPresent()) {
      double usual = window.get().usual() + extended;
      soon(usual, what, prompts);
      prompts.add(new Prompt(Prompt.Kind.NOW, usual, what + ": look at it"));
      double latest = window.get().longest() + extended;
      if (latest > usual) {
        prompts.add(new Prompt(Prompt.Kind.LATE, latest, what + ": too long"));
      }
    } else if (step instanceof Cool cool) {
      soon(minutes, what, prompts);
      prompts.add(
          new Prompt(
              Prompt.Kind.NOW,
              minutes,
              String.format(Locale.ROOT, "It should be down to %.0f °C", cool.toC())));
    } else if (step instanceof Heat) {
      soon(minutes, what, prompts);
      prompts.add(new Prompt(Prompt.Kind.NOW, minutes, "It should boil now"));
    }
  }

  /** A tenth of the time ahead, at least one and at most fifteen minutes. */
  private static void soon(double end, String what, List<Prompt> prompts) {
    double ahead = Math.min(15, Math.max(1, end / 10));
    if (end >= 4) {
      prompts.add(
          new Prompt(
              Prompt.Kind.SOON,
              end - ahead,
              String.format(Locale.ROOT, "%s: ends in %.0f min", what, ahead)));
    }
  }
}
