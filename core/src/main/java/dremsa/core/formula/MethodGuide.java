package dremsa.core.formula;

import dremsa.core.kitchen.Place;
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
      all.addAll(step.accept(BUSY));
      if (step.onHob() || step.pouredHot()) {
        all.add(Equipment.HOB);
      }
    }
    return all;
  }

  private static final StepCases<Set<Equipment>> BUSY =
      new StepCases.Some<>() {
        @Override
        public Set<Equipment> combine(Step.Combine step) {
          return Set.of(
              switch (step.vessel()) {
                case POT -> Equipment.POT;
                case BOWL -> Equipment.BOWL;
                case JAR -> Equipment.JAR;
                case BLENDER -> Equipment.BLENDER;
              });
        }

        @Override
        public Set<Equipment> waterBath(Step.WaterBath step) {
          return Set.of(Equipment.POT);
        }

        @Override
        public Set<Equipment> blend(Step.Blend step) {
          return Set.of(Equipment.BLENDER);
        }

        @Override
        public Set<Equipment> strain(Step.Strain step) {
          return Set.of(Equipment.STRAINER);
        }

        @Override
        public Set<Equipment> soak(Step.Soak step) {
          return step.place() == Place.FRIDGE ? Set.of(Equipment.FRIDGE) : Set.of();
        }

        @Override
        public Set<Equipment> otherwise(Step step) {
          return Set.of();
        }
      };

  /** Minutes in which hands are needed, by the usual times. */
  public static double handsMinutes(Formula formula) {
    return formula.steps().stream().mapToDouble(Step::handsMinutes).sum();
  }
}
