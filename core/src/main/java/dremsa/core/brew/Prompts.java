package dremsa.core.brew;

import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.Ferment;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.StepKind;
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
    List<Prompt> prompts = new ArrayList<>(step.accept(new Meanwhile(brew, outcome.minutes())));
    ending(step, outcome.minutes(), extended, prompts);
    prompts.sort(Comparator.comparingDouble(Prompt::minute));
    return List.copyOf(prompts);
  }

  /** What each kind of step calls for while it lasts. */
  private static final class Meanwhile implements StepCases.Some<List<Prompt>> {
    private final Brew brew;
    private final double minutes;

    Meanwhile(Brew brew, double minutes) {
      this.brew = brew;
      this.minutes = minutes;
    }

    @Override
    public List<Prompt> combine(Combine step) {
      return step.pouredHot() && step.vessel() != VesselKind.POT
          ? List.of(new Prompt(Prompt.Kind.FIRST, 0, "Warm the glass first"))
          : List.of();
    }

    @Override
    public List<Prompt> prepare(Prepare step) {
      return step.treatment() == Treatment.DRAIN_LATEX
          ? List.of(
              new Prompt(Prompt.Kind.FIRST, 0, "Stand the leaf upright to drain"),
              new Prompt(
                  Prompt.Kind.NOW, step.time().shortest(), "Drained: now soak it in clean water"))
          : List.of();
    }

    @Override
    public List<Prompt> waterBath(WaterBath step) {
      return List.of(new Prompt(Prompt.Kind.FIRST, 0, "Warm the jar first, lid loosely on"));
    }

    @Override
    public List<Prompt> heat(Heat step) {
      if (!step.stir()) {
        return stirNowAndThen();
      }
      Prompt start = new Prompt(Prompt.Kind.STIR, 0, "Start stirring");
      return minutes > 2
          ? List.of(
              start,
              new Prompt(Prompt.Kind.STIR, minutes * STIR_ON_AT, "Keep stirring, without a stop"))
          : List.of(start);
    }

    @Override
    public List<Prompt> boil(Boil step) {
      return step.stir()
          ? List.of(new Prompt(Prompt.Kind.STIR, 0, "Keep stirring"))
          : stirNowAndThen();
    }

    private List<Prompt> stirNowAndThen() {
      return sticks() ? every(NOW_AND_THEN, "Stir", Prompt.Kind.STIR) : List.of();
    }

    @Override
    public List<Prompt> macerate(Macerate step) {
      return step.shakeEveryDays() > 0
          ? every(step.shakeEveryDays() * DAY, "Shake the jar", Prompt.Kind.SHAKE)
          : List.of();
    }

    @Override
    public List<Prompt> ferment(Ferment step) {
      return every(DAY, "Look at it and smell it", Prompt.Kind.LOOK);
    }

    @Override
    public List<Prompt> soak(Soak step) {
      return step.time().usual() > DAY
          ? every(DAY, "Look at it and swirl it", Prompt.Kind.LOOK)
          : List.of();
    }

    @Override
    public List<Prompt> otherwise(Step step) {
      return List.of();
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

    private List<Prompt> every(double interval, String words, Prompt.Kind kind) {
      List<Prompt> prompts = new ArrayList<>();
      double at = interval;
      while (at < minutes - interval / 4 && prompts.size() < MOST_OF_A_KIND) {
        prompts.add(new Prompt(kind, at, words));
        at += interval;
      }
      return prompts;
    }
  }

  /** Its end, and a little before. */
  private static void ending(Step step, double minutes, double extended, List<Prompt> prompts) {
    String what = step.headline();
    if (step.window().isPresent()) {
      Window window = step.window().get();
      double usual = window.usual() + extended;
      soon(usual, what, prompts);
      prompts.add(new Prompt(Prompt.Kind.NOW, usual, step.accept(IS_IT)));
      double latest = window.longest() + extended;
      if (latest > usual) {
        prompts.add(new Prompt(Prompt.Kind.LATE, latest, what + ": too long"));
      }
      return;
    }
    if (step.kind() == StepKind.HEAT || step.kind() == StepKind.COOL) {
      soon(minutes, what, prompts);
      prompts.add(new Prompt(Prompt.Kind.NOW, minutes, step.accept(IS_IT)));
    }
  }

  /** What to look for when a step's usual end is here, as short as it can be asked. */
  private static final StepCases<String> IS_IT =
      new StepCases.Some<>() {
        @Override
        public String cool(Cool step) {
          return Said.of("Is it down to %.0f °C?", step.toC());
        }

        @Override
        public String heat(Heat step) {
          return "Does it boil?";
        }

        @Override
        public String boil(Boil step) {
          return step.stir() ? "Is it thick enough?" : "Has it boiled enough?";
        }

        @Override
        public String waterBath(WaterBath step) {
          return "Has it drawn?";
        }

        @Override
        public String steep(Steep step) {
          return "Has it drawn?";
        }

        @Override
        public String soak(Soak step) {
          return "Has it drawn?";
        }

        @Override
        public String ferment(Ferment step) {
          return "Is it sour enough?";
        }

        @Override
        public String macerate(Macerate step) {
          return "Is it strong enough?";
        }

        @Override
        public String blend(Blend step) {
          return "Is it smooth?";
        }

        @Override
        public String otherwise(Step step) {
          return "Is it done?";
        }
      };

  /** A tenth of the time ahead, at least one and at most fifteen minutes. */
  private static void soon(double end, String what, List<Prompt> prompts) {
    double ahead = Math.min(15, Math.max(1, end / 10));
    if (end >= 4) {
      prompts.add(
          new Prompt(Prompt.Kind.SOON, end - ahead, Said.of("%s: ends in %.0f min", what, ahead)));
    }
  }
}
