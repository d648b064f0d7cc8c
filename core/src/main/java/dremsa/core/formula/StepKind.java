package dremsa.core.formula;

import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import java.util.function.Function;

/** The members of the family of steps by name, and each one's headline in a maker's verbs. */
public enum StepKind {
  WASH("wash", "Wash", (Step.Wash step) -> "Wash and drain"),
  PREPARE("prepare", "Prepare", (Step.Prepare step) -> step.treatment().headline()),
  COMBINE(
      "combine",
      "Put together",
      (Step.Combine step) ->
          step.liquid() == Step.LiquidHeat.JUST_BOILED
              ? "Pour just-boiled water over"
              : "Put together in the " + step.vessel().words()),
  HEAT(
      "heat",
      "Heat to the boil",
      (Step.Heat step) -> step.stir() ? "Heat, stirring" : "Bring to the boil" + lid(step.lid())),
  BOIL(
      "boil",
      "Boil",
      (Step.Boil step) -> step.level().headline() + (step.stir() ? ", stirring" : lid(step.lid()))),
  WATER_BATH(
      "waterBath", "Water bath", (Step.WaterBath step) -> "Stand the jar in simmering water"),
  STEEP("steep", "Steep", (Step.Steep step) -> step.cover() ? "Steep, covered" : "Steep, open"),
  SOAK(
      "soak",
      "Soak",
      (Step.Soak step) -> step.place() == Place.FRIDGE ? "Soak in the fridge" : "Soak"),
  FERMENT("ferment", "Ferment", (Step.Ferment step) -> "Let it ferment"),
  MACERATE("macerate", "Macerate", (Step.Macerate step) -> "Macerate in the dark"),
  COOL(
      "cool",
      "Cool",
      (Step.Cool step) ->
          Said.of("Cool to %.0f °C", step.toC())
              + (step.way() == Step.CoolingWay.COUNTER ? "" : " " + step.way().words())),
  STRAIN(
      "strain",
      "Strain",
      (Step.Strain step) ->
          "Strain through " + step.tool().words() + (step.squeeze() ? ", squeeze" : "")),
  BLEND("blend", "Blend", (Step.Blend step) -> "Blend smooth"),
  ADD("add", "Stir in", (Step.Add step) -> "Stir in"),
  BOTTLE("bottle", "Bottle", (Step.Bottle step) -> "Fill the " + step.container().words()),
  FREEZE("freeze", "Freeze", (Step.Freeze step) -> "Freeze in portions"),
  DIVIDE(
      "divide",
      "Divide",
      (Step.Divide step) -> Said.of("Take %.0f %% %s", step.share() * 100, step.into()));

  private final String key;
  private final String words;
  private final Function<Step, String> headline;

  <S extends Step> StepKind(String key, String words, Function<S, String> headline) {
    this.key = key;
    this.words = words;
    this.headline = ofThisKind(headline);
  }

  /** A step is only ever asked by its own kind: {@link Step#headline}. */
  @SuppressWarnings("unchecked")
  private static Function<Step, String> ofThisKind(Function<? extends Step, String> headline) {
    return (Function<Step, String>) headline;
  }

  private static String lid(boolean lid) {
    return lid ? ", lid on" : ", lid off";
  }

  /** What a maker calls it, where none of its details are known: {@code "Put together"}. */
  public String words() {
    return words;
  }

  /** One word, stable for ever, because stored rows and files hold it: {@code "steep"}. */
  public String key() {
    return key;
  }

  String headline(Step step) {
    return headline.apply(step);
  }
}
