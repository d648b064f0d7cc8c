package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Trouble;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.jspecify.annotations.Nullable;

/**
 * Finds the proportions that give a wanted strength or thickness. The unknown is one factor on the
 * plants concerned; for each factor the size of the batch is solved for its target, starting from
 * the last size, so that a step of the search costs two or three predictions.
 */
final class Composing {
  /** Relative accuracy of strength and thickness. */
  private static final double ACCURACY = 0.002;

  private static final double LEAST_FACTOR = 1.0 / 128;
  private static final double MOST_FACTOR = 128;
  private static final int MOST_TRIES = 60;

  private final Brew brew;
  private final Target target;
  private final Facts facts;
  private final List<String> keys;
  private int predictions;
  private @Nullable Solution last;

  private Composing(Brew brew, Target target, Facts facts, List<String> keys) {
    this.brew = brew;
    this.target = target;
    this.facts = facts;
    this.keys = keys;
  }

  static Solution solve(Brew brew, Target target, Make make, Facts facts) {
    if (make instanceof Make.Ratio ratio) {
      double plant = plantParts(brew, ratio.ingredient());
      double liquid = liquidParts(brew);
      double factor = liquid / ratio.liquidPerPlant() / plant;
      return Scaling.solve(with(brew, List.of(ratio.ingredient()), bounded(factor)), target, facts);
    } else if (make instanceof Make.WholeRatio ratio) {
      List<String> plants = plants(brew);
      double grams = plants.stream().mapToDouble(brew::partsOf).sum();
      if (grams <= 0) {
        throw new IllegalArgumentException("no plant is given in parts here");
      }
      double factor = Scaling.liquidMl(brew) / ratio.mlPerGram() / grams;
      return Scaling.solve(with(brew, plants, bounded(factor)), target, facts);
    } else if (make instanceof Make.Strength strength) {
      plantParts(brew, strength.ingredient());
      return new Composing(brew, target, facts, List.of(strength.ingredient()))
          .search(
              "strength",
              "g per 100 mL",
              strength.gramsPer100Ml(),
              p ->
                  100
                      * p.amounts().getOrDefault(strength.ingredient(), 0.0)
                      / p.finished().millilitres());
    } else if (make instanceof Make.Thick thick) {
      List<String> gums = gums(brew);
      if (gums.isEmpty()) {
        throw new IllegalArgumentException("nothing in this formula thickens it");
      }
      return new Composing(brew, target, facts, gums)
          .search("thickness", "mPa·s", thick.mpas(), p -> p.finished().thickness());
    }
    throw new AssertionError(make);
  }

  private Solution search(
      String what,
      String unit,
      double wanted,
      java.util.function.ToDoubleFunction<Prediction> result) {
    UnivariateFunction difference =
        logFactor -> {
          last = Scaling.solve(with(brew, keys, Math.exp(logFactor)), target, facts);
          predictions += last instanceof Solution.Reached r ? r.predictions() : 10;
          return last instanceof Solution.Reached r
              ? Math.log(result.applyAsDouble(r.prediction()) / wanted)
              : Double.NaN;
        };
    double low = 0;
    double atLow = difference.value(0);
    if (Double.isNaN(atLow)) {
      if (last instanceof Solution.Reached) {
        throw new IllegalArgumentException(
            "the " + what + " of a cream, an oil or a paste cannot be told");
      }
      return Objects.requireNonNull(last);
    }
    double high = low;
    double atHigh = atLow;
    while (atLow > 0 && low > Math.log(LEAST_FACTOR)) {
      high = low;
      atHigh = atLow;
      low -= 0.7;
      atLow = difference.value(low);
    }
    @Nullable Solution refused = null;
    while (atHigh < 0 && high < Math.log(MOST_FACTOR)) {
      double next = high + 0.7;
      double atNext = difference.value(next);
      if (Double.isNaN(atNext)) {
        // More than this and the plants hold everything, or the pot is too small.
        refused = last;
        break;
      }
      low = high;
      atLow = atHigh;
      high = next;
      atHigh = atNext;
    }
    if (atLow > 0 || atHigh < 0) {
      return outOfReach(what, unit, wanted, atLow, atHigh, refused);
    }
    if (Math.abs(atLow) < ACCURACY) {
      return found(low);
    }
    double at =
        new BracketingNthOrderBrentSolver(1e-9, 1e-12, ACCURACY / 2, 4)
            .solve(MOST_TRIES, difference, low, high);
    return found(at);
  }

  private Solution found(double logFactor) {
    Solution answer = Scaling.solve(with(brew, keys, Math.exp(logFactor)), target, facts);
    if (answer instanceof Solution.Reached r) {
      return new Solution.Reached(
          r.brew(), r.scale(), r.vessels(), r.prediction(), predictions + r.predictions());
    }
    return answer;
  }

  private Solution outOfReach(
      String what,
      String unit,
      double wanted,
      double atLow,
      double atHigh,
      @Nullable Solution refused) {
    List<Trouble> troubles = new ArrayList<>();
    troubles.add(
        new Trouble.OutOfReach(
            what, wanted, wanted * Math.exp(atLow), wanted * Math.exp(atHigh), unit));
    double most = 0;
    if (refused instanceof Solution.Unreachable no) {
      troubles.addAll(no.troubles());
      most = no.mostMl();
    }
    return new Solution.Unreachable(Scaling.wantedMl(brew.formula(), target), most, troubles);
  }

  private static double bounded(double factor) {
    if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR)) {
      throw new InvalidTargetException("liquidPerPlant", factor, LEAST_FACTOR, MOST_FACTOR);
    }
    return factor;
  }

  private static Brew with(Brew brew, List<String> keys, double factor) {
    Formula changed = brew.formula();
    for (String key : keys) {
      Ingredient old = changed.ingredient(key).orElseThrow();
      double grams = ((Proportion.Parts) old.proportion()).grams() * factor;
      changed =
          changed.withIngredients(
              changed.ingredients().stream()
                  .map(
                      i ->
                          i.key().equals(key)
                              ? new Ingredient(key, i.material(), new Proportion.Parts(grams))
                              : i)
                  .toList());
    }
    return brew.with(changed);
  }

  private static double plantParts(Brew brew, String key) {
    boolean plant = brew.materialOf(key).map(m -> m.kind().isPlant()).orElse(false);
    if (!plant || brew.partsOf(key) <= 0) {
      throw new IllegalArgumentException("'" + key + "' is no plant given in parts here");
    }
    return brew.partsOf(key);
  }

  private static List<String> plants(Brew brew) {
    return brew.formula().ingredients().stream()
        .map(Ingredient::key)
        .filter(key -> brew.materialOf(key).orElseThrow().kind().isPlant())
        .filter(key -> brew.partsOf(key) > 0)
        .toList();
  }

  private static double liquidParts(Brew brew) {
    double sum = 0;
    for (Ingredient ingredient : brew.formula().ingredients()) {
      Material material = brew.materialOf(ingredient.key()).orElseThrow();
      if (!material.kind().isPlant()) {
        sum += brew.partsOf(ingredient.key());
      }
    }
    return sum;
  }

  private static List<String> gums(Brew brew) {
    return brew.formula().ingredients().stream()
        .map(Ingredient::key)
        .filter(key -> brew.partsOf(key) > 0)
        .filter(
            key ->
                brew.materialOf(key).orElseThrow().value(Property.GUM_YIELD, 0)
                        * brew.materialOf(key).orElseThrow().value(Property.GUM_POWER, 0)
                    > 0)
        .toList();
  }
}
