package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Landmark;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.TracePoint;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Divide;
import dremsa.core.formula.Step.Freeze;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.StepCases;
import dremsa.core.kitchen.Container;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * What the temperature of a pot means for what is done with it at a step: what it must be cool
 * enough for, and what to do where it is not. A cold brew is never warned of.
 *
 * @param belowC up to so warm it can be done, °C
 * @param what it must be cool enough for: {@code "wringing by hand"}
 * @param instead what to do while it is hotter; empty where only waiting helps
 */
public record Handling(double belowC, String what, String instead) {
  /**
   * Skin burns after ten minutes at 48 °C and after one at 51 °C (ISO 13732-1, from memory); who
   * wrings a cloth lets go sooner.
   */
  static final double HANDS_C = 50;

  /** Plastic for drinks softens at about 70 °C; warm glass stands 40 °C of difference: practice. */
  static final double VESSELS_C = 60;

  /** Lukewarm: warmer than that it warms what stands beside it in the cold; common practice. */
  static final double FRIDGE_C = 40;

  /** So little is not told apart, °C. */
  public static final double NOT_TOLD_APART_C = 0.5;

  /** A step waits no longer than this to become cool, min. */
  private static final double LONGEST_WAIT = 24 * 60;

  /** Whether a pot of this temperature is too hot for it; half a degree is not told apart. */
  public boolean tooHot(double celsius) {
    return celsius > belowC + NOT_TOLD_APART_C;
  }

  /** What one step of a brew must be cool enough for, the least temperature last. */
  public static List<Handling> at(Brew brew, int index) {
    return brew.formula().steps().get(index).accept(new AtStep(brew));
  }

  /**
   * What is to be minded at a step at a temperature, in sentences; empty where it is cool enough.
   *
   * @param celsius of the pot
   */
  public static Optional<String> warning(Brew brew, int index, double celsius) {
    List<Handling> hot = at(brew, index).stream().filter(h -> h.tooHot(celsius)).toList();
    if (hot.isEmpty()) {
      return Optional.empty();
    }
    String what =
        hot.stream()
            .map(h -> Said.of("%s (below %.0f °C)", h.what, h.belowC))
            .collect(Collectors.joining(", "));
    String instead =
        hot.stream()
            .map(Handling::instead)
            .filter(words -> !words.isEmpty())
            .distinct()
            .collect(Collectors.joining(" "));
    return Optional.of(
        Said.of("About %.0f °C: too hot for %s.", celsius, what)
            + (instead.isEmpty() ? "" : " " + instead));
  }

  /** What is to be minded at a step as it is predicted. */
  public static Optional<String> warning(Brew brew, StepOutcome outcome) {
    return warning(brew, outcome.index(), outcome.startC());
  }

  /**
   * When it is cool enough, if the step waits with its pot where it stands.
   *
   * @return minutes since the first step; the step's beginning where it is cool enough already,
   *     empty where it does not become so
   */
  public static OptionalDouble coolFrom(
      Brew brew, double scale, VesselChoice vessels, Facts facts, int index, double belowC) {
    Facts waiting = facts.with(index, facts.of(index).withMinutes(LONGEST_WAIT));
    Prediction prediction = brew.predict(scale, vessels, waiting);
    StepOutcome outcome = prediction.steps().get(index);
    double since = Double.NaN;
    for (TracePoint point : prediction.trace()) {
      if (point.minute() < outcome.startMinute() - 1e-9 || point.minute() > outcome.endMinute()) {
        continue;
      }
      if (point.celsius() > belowC) {
        since = Double.NaN;
      } else if (Double.isNaN(since)) {
        since = point.minute();
      }
    }
    return Double.isNaN(since) ? OptionalDouble.empty() : OptionalDouble.of(since);
  }

  private static final class AtStep implements StepCases.Some<List<Handling>> {
    private static final String POUR =
        "Pour slowly and away from you, through metal or cloth, never through plastic.";

    private final Brew brew;

    AtStep(Brew brew) {
      this.brew = brew;
    }

    @Override
    public List<Handling> strain(Strain step) {
      List<Handling> all = new ArrayList<>();
      // A gel runs off only while it is hot: waiting would leave it in the seeds.
      String instead =
          has(MaterialKind.GUM_SEED) ? POUR + " It runs only while it is hot: do not wait." : POUR;
      all.add(new Handling(Landmark.STRAIN.celsius(), "pouring without a splash guard", instead));
      all.add(new Handling(VESSELS_C, "a plastic bowl or sieve", ""));
      if (step.squeeze() || step.tool().soaksUp()) {
        all.add(
            new Handling(
                HANDS_C,
                "wringing by hand",
                "Press it out with a spoon or tongs, or wait with the wringing."));
      }
      return all;
    }

    @Override
    public List<Handling> blend(Blend step) {
      return List.of(
          new Handling(
              Landmark.BLEND.celsius(),
              "a closed blender",
              "Steam throws the lid off: let it cool, or blend small loads with the vent open."));
    }

    @Override
    public List<Handling> add(Add step) {
      List<Handling> all = new ArrayList<>();
      for (String key : step.ingredients()) {
        Material material = brew.materialOf(key).orElseThrow();
        all.add(
            new Handling(
                SelfCheck.warmest(step, material),
                lowered(material.name()),
                "Wait, and stir it in then."));
      }
      return all;
    }

    @Override
    public List<Handling> divide(Divide step) {
      return List.of(new Handling(Landmark.STRAIN.celsius(), "pouring over", POUR));
    }

    @Override
    public List<Handling> bottle(Bottle step) {
      boolean glass = step.container() == Container.JAR;
      return List.of(
          new Handling(
              VESSELS_C,
              glass ? "a cold jar" : "a plastic bottle",
              glass
                  ? "Warm the glass first."
                  : "Plastic softens and glass cracks: let it cool first."),
          new Handling(
              HANDS_C,
              "closing",
              "Leave the lid off until it is hand-warm: steam closed in drips back as water."),
          new Handling(FRIDGE_C, "the fridge", "It warms what stands beside it."));
    }

    @Override
    public List<Handling> freeze(Freeze step) {
      return List.of(
          new Handling(VESSELS_C, "a plastic tray", "Let it cool first."),
          new Handling(FRIDGE_C, "the freezer", "It thaws what lies beside it."));
    }

    @Override
    public List<Handling> otherwise(Step step) {
      return List.of();
    }

    private boolean has(MaterialKind kind) {
      return brew.materials().stream().anyMatch(material -> material.kind() == kind);
    }

    private static String lowered(String name) {
      return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }
  }
}
