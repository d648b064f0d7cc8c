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
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.Wash;
import dremsa.core.formula.Step.WaterBath;

/**
 * What somebody has to say of each member of the family of steps. Who must know every one of them
 * implements this, so that a new member cannot be forgotten; who cares for a few takes {@link
 * Some}.
 *
 * @param <R> what is said
 */
public interface StepCases<R> {
  R wash(Wash step);

  R prepare(Prepare step);

  R combine(Combine step);

  R heat(Heat step);

  R boil(Boil step);

  R waterBath(WaterBath step);

  R steep(Steep step);

  R soak(Soak step);

  R ferment(Ferment step);

  R macerate(Macerate step);

  R cool(Cool step);

  R strain(Strain step);

  R blend(Blend step);

  R add(Add step);

  R bottle(Bottle step);

  R freeze(Freeze step);

  R divide(Divide step);

  /**
   * For those to whom most members are the same.
   *
   * @param <R> what is said
   */
  interface Some<R> extends StepCases<R> {
    /** What is said of every member that is not named. */
    R otherwise(Step step);

    @Override
    default R wash(Wash step) {
      return otherwise(step);
    }

    @Override
    default R prepare(Prepare step) {
      return otherwise(step);
    }

    @Override
    default R combine(Combine step) {
      return otherwise(step);
    }

    @Override
    default R heat(Heat step) {
      return otherwise(step);
    }

    @Override
    default R boil(Boil step) {
      return otherwise(step);
    }

    @Override
    default R waterBath(WaterBath step) {
      return otherwise(step);
    }

    @Override
    default R steep(Steep step) {
      return otherwise(step);
    }

    @Override
    default R soak(Soak step) {
      return otherwise(step);
    }

    @Override
    default R ferment(Ferment step) {
      return otherwise(step);
    }

    @Override
    default R macerate(Macerate step) {
      return otherwise(step);
    }

    @Override
    default R cool(Cool step) {
      return otherwise(step);
    }

    @Override
    default R strain(Strain step) {
      return otherwise(step);
    }

    @Override
    default R blend(Blend step) {
      return otherwise(step);
    }

    @Override
    default R add(Add step) {
      return otherwise(step);
    }

    @Override
    default R bottle(Bottle step) {
      return otherwise(step);
    }

    @Override
    default R freeze(Freeze step) {
      return otherwise(step);
    }

    @Override
    default R divide(Divide step) {
      return otherwise(step);
    }
  }
}
