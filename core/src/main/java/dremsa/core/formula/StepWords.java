package dremsa.core.formula;

import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.Divide;
import dremsa.core.formula.Step.Ferment;
import dremsa.core.formula.Step.Freeze;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.Wash;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.kitchen.Place;
import java.util.Locale;

/** A step's headline in a maker's verbs, the same on the bench, on a sheet and in a calendar. */
public final class StepWords {
  private StepWords() {}

  /** A few words, imperative: {@code "Steep, covered"}. */
  public static String headline(Step step) {
    if (step instanceof Wash) {
      return "Wash and drain";
    } else if (step instanceof Prepare prepare) {
      return switch (prepare.treatment()) {
        case PICK -> "Pick the leaves";
        case CHOP -> "Chop";
        case CRUSH -> "Crush";
        case POWDER -> "Grind to powder";
        case PEEL -> "Trim and peel";
        case DRAIN_LATEX -> "Drain off the yellow latex";
        case STERILISE -> "Sterilise jars and bottles";
        case DRY -> "Dry fully";
      };
    } else if (step instanceof Combine combine) {
      return combine.liquid() == LiquidHeat.JUST_BOILED
          ? "Pour just-boiled water over"
          : "Put together in the " + combine.vessel().words();
    } else if (step instanceof Heat heat) {
      return heat.stir() ? "Heat, stirring" : "Bring to the boil" + lid(heat.lid());
    } else if (step instanceof Boil boil) {
      return switch (boil.level()) {
            case ROLLING -> "Boil hard";
            case GENTLE -> "Boil gently";
            case SIMMER -> "Simmer";
          }
          + (boil.stir() ? ", stirring" : lid(boil.lid()));
    } else if (step instanceof WaterBath) {
      return "Stand the jar in simmering water";
    } else if (step instanceof Steep steep) {
      return steep.cover() ? "Steep, covered" : "Steep, open";
    } else if (step instanceof Soak soak) {
      return soak.place() == Place.FRIDGE ? "Soak in the fridge" : "Soak";
    } else if (step instanceof Ferment) {
      return "Let it ferment";
    } else if (step instanceof Macerate) {
      return "Macerate in the dark";
    } else if (step instanceof Cool cool) {
      return String.format(Locale.ROOT, "Cool to %.0f °C", cool.toC())
          + switch (cool.way()) {
            case COUNTER -> "";
            case SHALLOW_BOWL -> " in a shallow bowl";
            case ICE_BATH -> " in an ice bath";
            case FRIDGE -> " in the fridge";
          };
    } else if (step instanceof Strain strain) {
      return "Strain through " + strain.tool().words() + (strain.squeeze() ? ", squeeze" : "");
    } else if (step instanceof Blend) {
      return "Blend smooth";
    } else if (step instanceof Add) {
      return "Stir in";
    } else if (step instanceof Bottle bottle) {
      return "Fill the " + bottle.container().words();
    } else if (step instanceof Freeze) {
      return "Freeze in portions";
    } else if (step instanceof Divide divide) {
      return String.format(Locale.ROOT, "Take %.0f %% %s", divide.share() * 100, divide.into());
    }
    throw new AssertionError(step);
  }

  /** One word for the kind of step, stable, for data: {@code "steep"}. */
  public static String kind(Step step) {
    String name = step.getClass().getSimpleName();
    return Character.toLowerCase(name.charAt(0)) + name.substring(1);
  }

  private static String lid(boolean lid) {
    return lid ? ", lid on" : ", lid off";
  }
}
