package dremsa.core;

import dremsa.core.brew.Facts;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuides;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Figures;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.Site;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Formulas of all seventeen families, bent: amounts over four orders of magnitude, steps put in,
 * things stirred in, kitchens from cold to hot and from the sea to the mountains, readings at
 * random.
 */
final class WildFormulas {
  private static final List<String> STIRRED =
      List.of(
          "jojoba-oil",
          "glycerin",
          "aloe-juice",
          "onion-juice",
          "apple-vinegar",
          "lemon-juice",
          "citric-acid",
          "sulfur-powder",
          "xanthan",
          "spirit-40",
          "phenoxyethanol",
          "potassium-sorbate",
          "sodium-benzoate",
          "amla-powder",
          "conditioner-base",
          "water");

  private final Random random;

  /** Others are tried with {@code -Dtest.jvm=-Ddremsa.seed=1000}. */
  WildFormulas(long seed) {
    random = new Random(seed + Long.getLong("dremsa.seed", 0));
  }

  Random random() {
    return random;
  }

  Formula next() {
    Method method = Method.values()[random.nextInt(Method.values().length)];
    Formula model = MethodGuides.of(method).model();
    if (!model.branches().isEmpty()) {
      model = model.way(model.branches().get(random.nextInt(model.branches().size())));
    }
    List<Ingredient> ingredients = new ArrayList<>();
    for (Ingredient ingredient : model.ingredients()) {
      // Four orders of magnitude between the least and the most.
      double factor = Math.pow(10, 4 * random.nextDouble() - 2);
      ingredients.add(
          ingredient.proportion() instanceof Proportion.Parts parts
              ? new Ingredient(
                  ingredient.key(),
                  ingredient.material(),
                  new Proportion.Parts(parts.grams() * factor))
              : ingredient);
    }
    List<Step> steps = new ArrayList<>(model.steps());
    int more = random.nextInt(4);
    for (int i = 0; i < more; i++) {
      steps.add(1 + random.nextInt(steps.size() - 1), extra(ingredients));
    }
    return model.with(ingredients, steps);
  }

  private Step extra(List<Ingredient> ingredients) {
    return switch (random.nextInt(7)) {
      case 0 -> new Step.Steep(random.nextBoolean(), window(5, 900), Guide.NONE);
      case 1 ->
          new Step.Soak(
              random.nextBoolean() ? Place.ROOM : Place.FRIDGE, window(30, 3000), Guide.NONE);
      case 2 -> new Step.Strain(pick(StrainTool.values()), random.nextBoolean(), Guide.NONE);
      case 3 ->
          new Step.Cool(25 + random.nextInt(30), pick(Step.CoolingWay.values()), true, Guide.NONE);
      case 4 -> new Step.Ferment(window(300, 6000), Guide.NONE);
      case 5 ->
          new Step.Boil(
              pick(Step.Level.values()), random.nextBoolean(), false, window(1, 60), Guide.NONE);
      default -> {
        String key = STIRRED.get(random.nextInt(STIRRED.size()));
        boolean there = ingredients.stream().anyMatch(i -> i.key().equals(key));
        if (!there) {
          double percent = Math.pow(10, 3 * random.nextDouble() - 1.5);
          ingredients.add(
              random.nextBoolean()
                  ? new Ingredient(
                      key, key, new Proportion.PercentOfFinished(Math.min(60, percent)))
                  : Ingredient.parts(key, percent * 10));
        }
        yield there
            ? new Step.Steep(true, window(1, 10), Guide.NONE)
            : new Step.Add(List.of(key), 60, Guide.NONE);
      }
    };
  }

  Kitchen kitchen() {
    Kitchen usual =
        Figures.large(Figures.withHobWatts(Kitchens.METRIC, 150 + 3500 * random.nextDouble()));
    return usual
        .withClimate(new Climate(-5 + 50 * random.nextDouble(), 15 * random.nextDouble(), -18))
        .withSite(
            Site.UNKNOWN
                .atMetres(4000 * random.nextDouble())
                .withAlkalinity(400 * random.nextDouble()));
  }

  Facts facts(Formula formula) {
    Facts facts = Facts.NONE;
    for (int i = 0; i < formula.steps().size(); i++) {
      StepFacts known = StepFacts.NONE;
      if (random.nextInt(5) == 0) {
        known = known.withMinutes(Math.pow(10, 4 * random.nextDouble() - 1));
      }
      if (random.nextInt(9) == 0) {
        known = known.with(Reading.TEMPERATURE, 1 + 98 * random.nextDouble());
      }
      if (random.nextInt(9) == 0) {
        known = known.with(Reading.PH, 2 + 7 * random.nextDouble());
      }
      if (random.nextInt(12) == 0) {
        known = known.withWater(500 * random.nextDouble(), 5 + 90 * random.nextDouble());
      }
      facts = facts.with(i, known);
    }
    return facts;
  }

  double scale() {
    return Math.pow(10, 2 * random.nextDouble() - 1.5);
  }

  dremsa.core.brew.Brew brew() {
    Formula formula = next();
    Materials materials = Materials.standard();
    Kitchen kitchen = kitchen();
    return dremsa.core.brew.Brew.of(
        formula,
        kitchen,
        materials,
        dremsa.core.brew.Stock.planned(
            formula, kitchen, materials, dremsa.core.formula.BuiltInFormulas::find));
  }

  private Window window(double low, double high) {
    double usual = low + random.nextDouble() * (high - low);
    return Window.minutes(usual / 2, usual, usual * 1.5);
  }

  private <T> T pick(T[] from) {
    return from[random.nextInt(from.length)];
  }
}
