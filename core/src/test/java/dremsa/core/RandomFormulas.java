package dremsa.core;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** Formulas as nobody would write them, but as somebody might: for laws that hold for all. */
public final class RandomFormulas {
  private static final List<Material> PLANTS =
      Materials.standard().all().stream()
          .filter(m -> m.kind().isPlant() && m.kind() != MaterialKind.ALOE_LEAF)
          .toList();
  private static final List<String> LATE =
      List.of("jojoba-oil", "glycerin", "aloe-juice", "apple-vinegar", "sulfur-powder");

  private final Random random;

  public RandomFormulas(long seed) {
    random = new Random(seed);
  }

  public Random random() {
    return random;
  }

  /** One of 1 to 3 plants in water, boiled, steeped, soaked or bathed, strained, with additions. */
  public Formula next() {
    List<Ingredient> ingredients = new ArrayList<>();
    List<String> keys = new ArrayList<>(List.of("water"));
    ingredients.add(Ingredient.parts("water", 200 + random.nextInt(1500)));
    int plants = 1 + random.nextInt(3);
    while (keys.size() <= plants) {
      Material plant = PLANTS.get(random.nextInt(PLANTS.size()));
      if (!keys.contains(plant.id())) {
        keys.add(plant.id());
        ingredients.add(Ingredient.parts(plant.id(), 2 + random.nextInt(40)));
      }
    }
    List<Step> steps = new ArrayList<>();
    VesselKind vessel = random.nextBoolean() ? VesselKind.POT : VesselKind.JAR;
    boolean hot = random.nextBoolean();
    steps.add(
        new Step.Combine(
            vessel, keys, hot ? Step.LiquidHeat.JUST_BOILED : Step.LiquidHeat.ROOM, Guide.NONE));
    if (vessel == VesselKind.POT && random.nextBoolean()) {
      steps.add(new Step.Heat(random.nextBoolean(), true, Guide.NONE));
      steps.add(
          new Step.Boil(
              pick(Step.Level.values()), random.nextBoolean(), true, window(1, 20), Guide.NONE));
    }
    switch (random.nextInt(4)) {
      case 0 -> steps.add(new Step.Steep(random.nextBoolean(), window(10, 700), Guide.NONE));
      case 1 ->
          steps.add(
              new Step.Soak(
                  random.nextBoolean() ? Place.ROOM : Place.FRIDGE, window(60, 900), Guide.NONE));
      case 2 -> steps.add(new Step.WaterBath(window(10, 40), Guide.NONE));
      default ->
          steps.add(
              new Step.Cool(
                  30 + random.nextInt(30), pick(Step.CoolingWay.values()), true, Guide.NONE));
    }
    for (int i = 0; i <= random.nextInt(2); i++) {
      steps.add(new Step.Strain(pick(StrainTool.values()), random.nextBoolean(), Guide.NONE));
    }
    if (random.nextBoolean()) {
      String late = LATE.get(random.nextInt(LATE.size()));
      ingredients.add(
          new Ingredient(late, late, new Proportion.PercentOfFinished(0.5 + random.nextInt(20))));
      steps.add(new Step.Cool(35, Step.CoolingWay.COUNTER, true, Guide.NONE));
      steps.add(new Step.Add(List.of(late), 40, Guide.NONE));
    }
    steps.add(new Step.Bottle(pick(Container.values()), Guide.NONE));
    return new Formula(
        "random", "Random", Method.BLEND, Set.of(Purpose.RINSE), "", ingredients, steps);
  }

  private Window window(double low, double high) {
    double usual = low + random.nextDouble() * (high - low);
    return Window.minutes(usual / 2, usual, usual * 1.5);
  }

  private <T> T pick(T[] from) {
    return from[random.nextInt(from.length)];
  }
}
