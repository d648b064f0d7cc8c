package dremsa.core.measure;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import javax.measure.quantity.Mass;
import javax.measure.quantity.Volume;
import systems.uom.common.Imperial;
import systems.uom.common.USCustomary;
import tech.units.indriya.unit.Units;

/**
 * The measures that Dremsa knows, with sizes taken from the JSR 385 unit systems where those hold
 * them (US customary: NIST Handbook 44; imperial: UK Weights and Measures Act).
 */
public final class KitchenMeasures {
  public static final KitchenMeasure GRAM = mass("g", "g", Units.GRAM);
  public static final KitchenMeasure KILOGRAM = mass("kg", "kg", Units.KILOGRAM);
  public static final KitchenMeasure OUNCE = mass("oz", "oz", USCustomary.OUNCE);
  public static final KitchenMeasure POUND = mass("lb", "lb", USCustomary.POUND);

  public static final KitchenMeasure MILLILITRE =
      volume("ml", "mL", MetricPrefix.MILLI(Units.LITRE));
  public static final KitchenMeasure CENTILITRE =
      volume("cl", "cL", MetricPrefix.CENTI(Units.LITRE));
  public static final KitchenMeasure DECILITRE = volume("dl", "dL", MetricPrefix.DECI(Units.LITRE));
  public static final KitchenMeasure LITRE = volume("l", "L", Units.LITRE);

  public static final KitchenMeasure US_CUP = volume("us-cup", "cup", USCustomary.CUP);

  // The unit system rounds its spoons at the ninth figure; by definition they are parts of the cup.
  public static final KitchenMeasure US_TABLESPOON = volume("us-tbsp", "tbsp", US_CUP.size() / 16);
  public static final KitchenMeasure US_TEASPOON = volume("us-tsp", "tsp", US_CUP.size() / 48);

  public static final KitchenMeasure US_FLUID_OUNCE =
      volume("us-floz", "fl oz", USCustomary.FLUID_OUNCE);
  public static final KitchenMeasure US_PINT = volume("us-pint", "pint", USCustomary.PINT);
  public static final KitchenMeasure US_QUART = volume("us-quart", "quart", US_CUP.size() * 4);
  public static final KitchenMeasure US_GALLON = volume("us-gallon", "gallon", US_CUP.size() * 16);

  // 21 CFR 101.9(b)(5)(viii) rounds the customary measures for labels.
  public static final KitchenMeasure LABEL_CUP = volume("label-cup", "cup", 240);
  public static final KitchenMeasure LABEL_TABLESPOON = volume("label-tbsp", "tbsp", 15);
  public static final KitchenMeasure LABEL_TEASPOON = volume("label-tsp", "tsp", 5);
  public static final KitchenMeasure LABEL_FLUID_OUNCE = volume("label-floz", "fl oz", 30);

  public static final KitchenMeasure METRIC_CUP = volume("metric-cup", "cup", 250);
  public static final KitchenMeasure METRIC_TABLESPOON = volume("metric-tbsp", "tbsp", 15);
  public static final KitchenMeasure METRIC_DESSERTSPOON = volume("metric-dsp", "dsp", 10);
  public static final KitchenMeasure METRIC_TEASPOON = volume("metric-tsp", "tsp", 5);

  public static final KitchenMeasure UK_PINT = volume("uk-pint", "pint", Imperial.PINT);
  public static final KitchenMeasure UK_QUART = volume("uk-quart", "quart", UK_PINT.size() * 2);
  public static final KitchenMeasure UK_GALLON = volume("uk-gallon", "gallon", UK_PINT.size() * 8);
  public static final KitchenMeasure UK_FLUID_OUNCE =
      volume("uk-floz", "fl oz", Imperial.FLUID_OUNCE);

  public static final KitchenMeasure AU_TABLESPOON = volume("au-tbsp", "tbsp", 20);

  /** One drop: the European Pharmacopoeia's standard dropper, 20 drops of water to 1 mL. */
  public static final KitchenMeasure DROP = volume("drop", "drop", 0.05);

  private static final Map<MeasureSystem, List<KitchenMeasure>> VOLUMES =
      Map.of(
          MeasureSystem.US, List.of(US_PINT, US_CUP, US_FLUID_OUNCE, US_TABLESPOON, US_TEASPOON),
          MeasureSystem.US_LABEL,
              List.of(LABEL_CUP, LABEL_FLUID_OUNCE, LABEL_TABLESPOON, LABEL_TEASPOON),
          MeasureSystem.METRIC,
              List.of(METRIC_CUP, METRIC_TABLESPOON, METRIC_DESSERTSPOON, METRIC_TEASPOON),
          MeasureSystem.UK,
              List.of(
                  UK_PINT,
                  UK_FLUID_OUNCE,
                  METRIC_CUP,
                  METRIC_TABLESPOON,
                  METRIC_DESSERTSPOON,
                  METRIC_TEASPOON),
          MeasureSystem.AUSTRALIAN,
              List.of(METRIC_CUP, AU_TABLESPOON, METRIC_DESSERTSPOON, METRIC_TEASPOON));

  private static final List<KitchenMeasure> COMMON =
      List.of(GRAM, KILOGRAM, OUNCE, POUND, MILLILITRE, CENTILITRE, DECILITRE, LITRE, DROP);

  /** Quarts and gallons, by what a maker of a system means by the word. */
  private static final List<KitchenMeasure> LARGE_US = List.of(US_GALLON, US_QUART);

  private static final List<KitchenMeasure> LARGE_UK = List.of(UK_GALLON, UK_QUART);

  /**
   * Where litres are used a gallon is somebody else's: the American one, or as much as an imperial
   * one.
   */
  private static final List<KitchenMeasure> LARGE_ELSEWHERE =
      List.of(
          new KitchenMeasure(
              "gallon",
              "gallon",
              Dimension.VOLUME,
              US_GALLON.size(),
              US_GALLON.size(),
              UK_GALLON.size()),
          new KitchenMeasure(
              "quart",
              "quart",
              Dimension.VOLUME,
              US_QUART.size(),
              US_QUART.size(),
              UK_QUART.size()));

  private static final Map<String, KitchenMeasure> BY_ID = index();

  private KitchenMeasures() {}

  /** The spoon, cup and pint measures of a system, largest first. */
  public static List<KitchenMeasure> volumesOf(MeasureSystem system) {
    return VOLUMES.getOrDefault(system, List.of());
  }

  /** Quart and gallon as a maker of a system reads them; larger than any spoon set holds. */
  static List<KitchenMeasure> largeOf(MeasureSystem system) {
    return switch (system) {
      case US, US_LABEL -> LARGE_US;
      case UK -> LARGE_UK;
      case METRIC, AUSTRALIAN -> LARGE_ELSEWHERE;
    };
  }

  /** The measures that mean the same everywhere: grams, ounces, litres, drops. */
  public static List<KitchenMeasure> common() {
    return COMMON;
  }

  /** The measure with this id, if there is one. */
  public static Optional<KitchenMeasure> find(String id) {
    return Optional.ofNullable(BY_ID.get(id));
  }

  private static Map<String, KitchenMeasure> index() {
    Map<String, KitchenMeasure> byId = new LinkedHashMap<>();
    COMMON.forEach(measure -> byId.put(measure.id(), measure));
    VOLUMES.values().forEach(list -> list.forEach(measure -> byId.put(measure.id(), measure)));
    List.of(LARGE_US, LARGE_UK, LARGE_ELSEWHERE)
        .forEach(list -> list.forEach(measure -> byId.put(measure.id(), measure)));
    return Map.copyOf(byId);
  }

  private static KitchenMeasure mass(String id, String symbol, Unit<Mass> unit) {
    return new KitchenMeasure(
        id,
        symbol,
        Dimension.MASS,
        unit.getConverterTo(Units.GRAM).convert(Integer.valueOf(1)).doubleValue());
  }

  private static KitchenMeasure volume(String id, String symbol, Unit<Volume> unit) {
    double litres = unit.getConverterTo(Units.LITRE).convert(Integer.valueOf(1)).doubleValue();
    return volume(id, symbol, litres * 1000);
  }

  private static KitchenMeasure volume(String id, String symbol, double millilitres) {
    return new KitchenMeasure(id, symbol, Dimension.VOLUME, millilitres);
  }
}
