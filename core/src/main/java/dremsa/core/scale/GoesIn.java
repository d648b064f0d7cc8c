package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What goes in at a step, for what is really in the vessel then.
 *
 * @param portion how much, exact and in the kitchen's measures
 * @param dose as it was written: {@code "1 % of it"}, {@code "8 drops to 100 mL"}; empty for parts
 * @param plannedGrams where it was planned noticeably otherwise, g
 * @param why it is otherwise, a sentence; empty where it is as planned
 * @param weighed it went in already and was weighed
 */
public record GoesIn(
    Portion portion, String dose, OptionalDouble plannedGrams, String why, boolean weighed) {
  /** Less than this share is no other amount. */
  private static final double NOTICED = 0.02;

  /** Less than this is no other volume, mL. */
  private static final double NOTICED_ML = 2;

  /** Less than this is no other time, min. */
  private static final double NOTICED_MIN = 0.5;

  /**
   * All that goes in at a step.
   *
   * @param prediction as the brew goes
   * @param facts that it rests on
   * @param planned the same brew as it was measured out; empty where there is no plan beside it
   */
  public static List<GoesIn> at(
      Brew brew, Prediction prediction, Facts facts, int index, Optional<Prediction> planned) {
    StepOutcome outcome = prediction.steps().get(index);
    List<GoesIn> all = new ArrayList<>();
    for (int i = 0; i < brew.formula().ingredients().size(); i++) {
      Ingredient ingredient = brew.formula().ingredients().get(i);
      Double grams = outcome.put().get(ingredient.key());
      if (grams == null) {
        continue;
      }
      Portion portion = Portion.of(ingredient, brew.materials().get(i), grams, brew.kitchen());
      boolean weighed = facts.of(index).weighed().containsKey(ingredient.key());
      Optional<StepOutcome> then = planned.flatMap(p -> puts(p, ingredient.key()));
      Optional<Double> before = then.map(o -> o.put().get(ingredient.key()));
      boolean other = before.isPresent() && Math.abs(before.get() - grams) > NOTICED * before.get();
      all.add(
          new GoesIn(
              portion,
              dose(ingredient.proportion()),
              other ? OptionalDouble.of(before.orElseThrow()) : OptionalDouble.empty(),
              other && !weighed
                  ? why(brew, outcome, then.orElseThrow(), prediction, facts, planned.orElseThrow())
                  : "",
              weighed));
    }
    return List.copyOf(all);
  }

  private static Optional<StepOutcome> puts(Prediction prediction, String key) {
    return prediction.steps().stream().filter(o -> o.put().containsKey(key)).findFirst();
  }

  private static String dose(Proportion proportion) {
    if (proportion instanceof Proportion.PercentOfFinished percent) {
      return Said.figures(percent.percent(), 3) + " % of it";
    } else if (proportion instanceof Proportion.DropsPer100Ml drops) {
      return Said.figures(drops.drops(), 3) + " drops to 100 mL";
    }
    return "";
  }

  private static String why(
      Brew brew,
      StepOutcome now,
      StepOutcome then,
      Prediction prediction,
      Facts facts,
      Prediction planned) {
    String pot =
        Math.abs(now.beforeMl() - then.beforeMl()) > NOTICED_ML
            ? Said.of("There are %.0f mL, not %.0f mL as planned", now.beforeMl(), then.beforeMl())
            : "It is otherwise than planned";
    return pot + cause(brew, now.index(), prediction, facts, planned) + ".";
  }

  /** What was read or done last before, that moved it. */
  private static String cause(
      Brew brew, int index, Prediction prediction, Facts facts, Prediction planned) {
    for (int i = index - 1; i >= 0; i--) {
      StepFacts known = facts.of(i);
      String at = " at “" + brew.formula().steps().get(i).headline() + "”";
      if (known.read(Reading.VOLUME).isPresent()) {
        return ": measured" + at;
      } else if (known.read(Reading.WEIGHT).isPresent()) {
        return ": weighed" + at;
      } else if (known.waterMl() > 0) {
        return Said.of(": %.0f mL of water were poured in", known.waterMl()) + at;
      } else if (!known.weighed().isEmpty()) {
        return ": otherwise weighed in" + at;
      } else if (known.skipped()) {
        return ": left out was" + at.replaceFirst(" at", "");
      }
    }
    return longest(brew, index, prediction, planned);
  }

  /** The step whose time departs most from the plan. */
  private static String longest(Brew brew, int index, Prediction prediction, Prediction planned) {
    double most = NOTICED_MIN;
    String words = "";
    for (int i = 0; i < Math.min(index, planned.steps().size()); i++) {
      Step step = brew.formula().steps().get(i);
      double now = prediction.steps().get(i).minutes();
      double then = planned.steps().get(i).minutes();
      if (step.onHob() && Math.abs(now - then) > most) {
        most = Math.abs(now - then);
        words =
            Said.of(
                ": “%s” took %s, not %s", step.headline(), Said.duration(now), Said.duration(then));
      }
    }
    return words;
  }
}
