package dremsa.core.formula;

import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
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
import dremsa.core.measure.Said;

/** A step's headline in a maker's verbs, the same on the bench, on a sheet and in a calendar. */
public final class StepWords {
  private static final Headlines HEADLINES = new Headlines();

  private StepWords() {}

  /** A few words, imperative: {@code "Steep, covered"}. */
  public static String headline(Step step) {
    return step.accept(HEADLINES);
  }

  private static String lid(boolean lid) {
    return lid ? ", lid on" : ", lid off";
  }

  private static final class Headlines implements StepCases<String> {
    @Override
    public String wash(Wash step) {
      return "Wash and drain";
    }

    @Override
    public String prepare(Prepare step) {
      return step.treatment().headline();
    }

    @Override
    public String combine(Combine step) {
      return step.liquid() == LiquidHeat.JUST_BOILED
          ? "Pour just-boiled water over"
          : "Put together in the " + step.vessel().words();
    }

    @Override
    public String heat(Heat step) {
      return step.stir() ? "Heat, stirring" : "Bring to the boil" + lid(step.lid());
    }

    @Override
    public String boil(Boil step) {
      return step.level().headline() + (step.stir() ? ", stirring" : lid(step.lid()));
    }

    @Override
    public String waterBath(WaterBath step) {
      return "Stand the jar in simmering water";
    }

    @Override
    public String steep(Steep step) {
      return step.cover() ? "Steep, covered" : "Steep, open";
    }

    @Override
    public String soak(Soak step) {
      return step.place() == Place.FRIDGE ? "Soak in the fridge" : "Soak";
    }

    @Override
    public String ferment(Ferment step) {
      return "Let it ferment";
    }

    @Override
    public String macerate(Macerate step) {
      return "Macerate in the dark";
    }

    @Override
    public String cool(Cool step) {
      return Said.of("Cool to %.0f °C", step.toC())
          + (step.way() == CoolingWay.COUNTER ? "" : " " + step.way().words());
    }

    @Override
    public String strain(Strain step) {
      return "Strain through " + step.tool().words() + (step.squeeze() ? ", squeeze" : "");
    }

    @Override
    public String blend(Blend step) {
      return "Blend smooth";
    }

    @Override
    public String add(Add step) {
      return "Stir in";
    }

    @Override
    public String bottle(Bottle step) {
      return "Fill the " + step.container().words();
    }

    @Override
    public String freeze(Freeze step) {
      return "Freeze in portions";
    }

    @Override
    public String divide(Divide step) {
      return Said.of("Take %.0f %% %s", step.share() * 100, step.into());
    }
  }
}
