package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Trouble;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.material.Material;
import dremsa.core.scale.Target.AtHand;
import dremsa.core.scale.Target.Bottles;
import dremsa.core.scale.Target.FullPot;
import dremsa.core.scale.Target.PeopleUses;
import dremsa.core.scale.Target.Volume;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Finds the size of a batch that meets a target, to 0.1 % of the bottled volume. */
public final class Scaling {
  /** The relative error at which the search may stop. */
  public static final double ACCURACY = 0.001;

  private static final int MOST_PREDICTIONS = 60;

  /** Trying the vessels of the last answer again settles within two rounds. */
  private static final int ROUNDS = 3;

  private Scaling() {}

  /**
   * Solves a brew for a target.
   *
   * @param facts what is planned otherwise than usual
   * @throws InvalidTargetException when the target names an ingredient that is not given in parts
   */
  public static Solution solve(Brew brew, Target target, Facts facts) {
    OptionalDouble wanted = wantedMl(brew.formula(), target);
    if (wanted.isPresent()) {
      return forVolume(brew, wanted.getAsDouble(), facts);
    } else if (target instanceof AtHand atHand) {
      double parts = brew.partsOf(atHand.ingredient());
      if (parts <= 0) {
        throw new IllegalArgumentException(
            "'" + atHand.ingredient() + "' is not an ingredient of this formula given in parts");
      }
      return ofScale(brew, atHand.grams() / parts, facts, OptionalDouble.empty());
    } else if (target instanceof FullPot) {
      return ofScale(brew, brew.largestScale(), facts, OptionalDouble.empty());
    }
    throw new AssertionError(target);
  }

  /**
   * Solves a brew for a target and for what it is to be like.
   *
   * @throws IllegalArgumentException when a plant is named that is not given in parts, or nothing
   *     thickens the brew
   */
  public static Solution solve(Brew brew, Target target, Optional<Make> make, Facts facts) {
    return make.isPresent()
        ? Composing.solve(brew, target, make.get(), facts)
        : solve(brew, target, facts);
  }

  private static Solution forVolume(Brew brew, double wanted, Facts facts) {
    double scale = wanted / brew.millilitresAtOne();
    VesselChoice vessels = brew.vesselsFor(scale);
    int predictions = 0;
    for (int round = 0; round < ROUNDS; round++) {
      Search search = new Search(brew, vessels, facts, wanted);
      scale = search.from(scale);
      predictions += search.predictions;
      if (Double.isNaN(scale)) {
        return unreachable(
            brew, OptionalDouble.of(wanted), brew.predict(search.highest, facts), facts);
      }
      VesselChoice fitting = brew.vesselsFor(scale);
      if (fitting.equals(vessels)) {
        break;
      }
      vessels = fitting;
    }
    return judged(brew, scale, vessels, facts, OptionalDouble.of(wanted), predictions);
  }

  private static Solution ofScale(Brew brew, double scale, Facts facts, OptionalDouble wanted) {
    return judged(brew, scale, brew.vesselsFor(scale), facts, wanted, 0);
  }

  private static Solution judged(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      OptionalDouble wanted,
      int predictions) {
    Prediction prediction = brew.predict(scale, vessels, facts);
    if (!prediction.works()) {
      return unreachable(brew, wanted, prediction, facts);
    }
    for (Brew way : brew.ways()) {
      Prediction part = way.predict(scale, vessels, facts);
      if (!part.works()) {
        return unreachable(brew, wanted, part, facts);
      }
    }
    return new Solution.Reached(brew, scale, vessels, prediction, predictions + 1);
  }

  private static Solution unreachable(
      Brew brew, OptionalDouble wanted, Prediction tried, Facts facts) {
    Prediction most = brew.predict(brew.largestScale(), facts);
    List<Trouble> troubles = new ArrayList<>(tried.troubles());
    // A larger vessel cures nothing where hardly anything runs off: that is told first.
    troubles.sort(Comparator.comparing(t -> !(t instanceof Trouble.HerbHoldsAll)));
    return new Solution.Unreachable(
        wanted,
        most.works()
            ? brew.bottledMl(brew.largestScale(), brew.vesselsFor(brew.largestScale()), facts)
            : 0,
        troubles);
  }

  /** One bracketed search with the vessels held fixed, so that the curve has no jumps. */
  private static final class Search {
    private final Brew brew;
    private final VesselChoice vessels;
    private final Facts facts;
    private final double wanted;
    private int predictions;
    private double highest;

    Search(Brew brew, VesselChoice vessels, Facts facts, double wanted) {
      this.brew = brew;
      this.vessels = vessels;
      this.facts = facts;
      this.wanted = wanted;
    }

    /** The scale that gives the wanted volume, or NaN when none does. */
    double from(double guess) {
      double low = guess;
      double atLow = excess(low);
      while (atLow > 0) {
        low /= 2;
        if (low < guess * 1e-4) {
          return Double.NaN;
        }
        atLow = excess(low);
      }
      double high = Math.max(low * 1.3, guess);
      double atHigh = excess(high);
      for (int i = 0; atHigh < 0; i++) {
        highest = high;
        if (i == 12) {
          return Double.NaN;
        }
        low = high;
        atLow = atHigh;
        high *= 1.6;
        atHigh = excess(high);
      }
      highest = high;
      if (Math.abs(atLow) <= ACCURACY / 2 * wanted) {
        return low;
      }
      BracketingNthOrderBrentSolver solver =
          new BracketingNthOrderBrentSolver(1e-9, 1e-12, ACCURACY / 2 * wanted, 4);
      UnivariateFunction function = this::excess;
      return solver.solve(MOST_PREDICTIONS, function, low, high);
    }

    private double excess(double scale) {
      predictions++;
      return brew.bottledMl(scale, vessels, facts) - wanted;
    }
  }

  /** The targets that name their volume outright. */
  public static OptionalDouble wantedMl(Formula formula, Target target) {
    if (target instanceof Volume volume) {
      return OptionalDouble.of(volume.millilitres());
    } else if (target instanceof Bottles bottles) {
      return OptionalDouble.of(bottles.count() * bottles.sizeMl() * formula.container().fill());
    } else if (target instanceof PeopleUses uses) {
      return OptionalDouble.of(uses.people() * uses.uses() * uses.mlPerUse());
    }
    return OptionalDouble.empty();
  }

  /** The portions of a solved batch, in the order of the formula. */
  public static List<Portion> portions(Brew brew, Prediction prediction) {
    return brew.formula().ingredients().stream()
        .filter(ingredient -> prediction.amounts().containsKey(ingredient.key()))
        .map(
            ingredient ->
                Portion.of(
                    ingredient,
                    brew.materialOf(ingredient.key()).orElseThrow(),
                    prediction.amounts().getOrDefault(ingredient.key(), 0.0),
                    brew.kitchen()))
        .toList();
  }

  /** Liquid that the formula's parts put in, at scale 1, mL. */
  static double liquidMl(Brew brew) {
    double sum = 0;
    for (Ingredient ingredient : brew.formula().ingredients()) {
      Material material = brew.materialOf(ingredient.key()).orElseThrow();
      if (!material.kind().isPlant()) {
        sum += brew.partsOf(ingredient.key()) / material.density();
      }
    }
    return sum;
  }

  /** Millilitres of liquid to a gram of all plants together, as put in; NaN without a plant. */
  public static double wholeRatio(Brew brew) {
    double plants = 0;
    for (Ingredient ingredient : brew.formula().ingredients()) {
      if (brew.materialOf(ingredient.key()).orElseThrow().kind().isPlant()) {
        plants += brew.partsOf(ingredient.key());
      }
    }
    return plants > 0 ? liquidMl(brew) / plants : Double.NaN;
  }
}
