package dremsa.core.formula;

import dremsa.core.measure.Figure;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What there is to know of a method, beside its steps. Common practice throughout.
 *
 * @param method which
 * @param about what it is and what it suits, in a sentence or two
 * @param model the built-in formula whose typed steps, windows and cues show the method
 * @param waterToHerb g of liquid for each g of plant as put in; empty where the thickness or the
 *     juice decides
 * @param mistakes what goes wrong, beside what the windows of the steps say
 * @param leftovers the second use of what is strained out
 */
public record MethodGuide(
    Method method,
    String about,
    Formula model,
    Optional<Figure> waterToHerb,
    List<String> mistakes,
    String leftovers) {
  public MethodGuide {
    mistakes = List.copyOf(mistakes);
  }

  /** What a step keeps busy. */
  public enum Equipment {
    HOB("hob"),
    POT("pot"),
    BOWL("bowl"),
    JAR("jar with a lid"),
    BLENDER("blender"),
    STRAINER("strainer"),
    FRIDGE("fridge");

    private final String words;

    Equipment(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What a formula's steps keep busy. */
  public static Set<Equipment> equipment(Formula formula) {
    Set<Equipment> all = EnumSet.noneOf(Equipment.class);
    for (Step step : formula.steps()) {
      if (step instanceof Step.Combine combine) {
        all.add(
            switch (combine.vessel()) {
              case POT -> Equipment.POT;
              case BOWL -> Equipment.BOWL;
              case JAR -> Equipment.JAR;
              case BLENDER -> Equipment.BLENDER;
            });
        if (combine.liquid() == Step.LiquidHeat.JUST_BOILED) {
          all.add(Equipment.HOB);
        }
      } else if (step instanceof Step.Heat || step instanceof Step.Boil) {
        all.add(Equipment.HOB);
      } else if (step instanceof Step.WaterBath) {
        all.add(Equipment.HOB);
        all.add(Equipment.POT);
      } else if (step instanceof Step.Blend) {
        all.add(Equipment.BLENDER);
      } else if (step instanceof Step.Strain) {
        all.add(Equipment.STRAINER);
      } else if (step instanceof Step.Soak soak
          && soak.place() == dremsa.core.kitchen.Place.FRIDGE) {
        all.add(Equipment.FRIDGE);
      }
    }
    return all;
  }

  /** Minutes in which hands are needed, by the usual times; a step without a time counts three. */
  public static double handsMinutes(Formula formula) {
    return formula.steps().stream()
        .filter(Step::needsHands)
        .mapToDouble(step -> step.window().map(Window::usual).orElse(3.0))
        .sum();
  }
}
