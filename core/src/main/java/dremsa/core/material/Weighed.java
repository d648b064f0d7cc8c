package dremsa.core.material;

import dremsa.core.measure.Dimension;
import dremsa.core.measure.Figure;
import dremsa.core.measure.KitchenMeasure;
import dremsa.core.measure.KitchenMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Said;
import dremsa.core.measure.TypedAmount;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an amount of a material weighs, with the same amount in other measures beside it, so that a
 * slip (a tablespoon for a teaspoon, an eighth of a cup for a spoon) is seen.
 *
 * @param lowGrams for the smaller number typed and the lightest believable measure
 * @param grams the amount used
 * @param highGrams for the larger number and the heaviest measure
 * @param millilitres of a dry herb its bulk, as spooned
 * @param beside the same in other measures, e.g. {@code "2 tbsp"}, {@code "12 g"}
 */
public record Weighed(
    double lowGrams, double grams, double highGrams, double millilitres, List<String> beside) {
  /** The same spoon filled again weighs within this share of before; our estimate. */
  private static final double SPOON_OFF = 0.05;

  public Weighed {
    beside = List.copyOf(beside);
  }

  /** A kind of piece whose weight is not known for a material. */
  public static final class UnknownPieceException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    UnknownPieceException(Material material, KitchenMeasure measure) {
      super(
          "What a "
              + measure.symbol()
              + " of "
              + material.name()
              + " weighs is not known: give grams or a volume.");
    }
  }

  /**
   * Weighs a typed amount.
   *
   * @throws UnknownPieceException when it is counted in pieces whose weight is not known
   */
  public static Weighed of(TypedAmount typed, Material material, MeasureSystem system) {
    KitchenMeasure measure = typed.measure();
    Figure density = density(material);
    Figure each = each(measure, material, density);
    double grams = typed.size() * each.value();
    double millilitres = grams / density.value();
    return new Weighed(
        typed.low() * measure.least() * each.low(),
        grams,
        typed.high() * measure.most() * each.high(),
        millilitres,
        beside(grams, millilitres, measure, system));
  }

  /**
   * The grams of a typed amount, without what is told beside it.
   *
   * @throws UnknownPieceException when it is counted in pieces whose weight is not known
   */
  public static double grams(TypedAmount typed, Material material) {
    return typed.size() * each(typed.measure(), material, density(material)).value();
  }

  private static Figure density(Material material) {
    return material
        .figure(Property.DENSITY)
        .orElseGet(() -> Figure.estimate(1, 0.9, 1.1, Property.DENSITY.unit()));
  }

  /** What one gram, millilitre or piece of a measure weighs. */
  private static Figure each(KitchenMeasure measure, Material material, Figure density) {
    return switch (measure.dimension()) {
      case MASS -> Figure.estimate(1, 1, 1, "g");
      case VOLUME -> drop(measure, material, density);
      case COUNT -> piece(measure, material);
    };
  }

  /**
   * What a household found by putting a measure of it on the scale.
   *
   * @param typed what was measured off, a volume
   * @param grams that it weighed, above 0
   * @param scaleStep of the scale, g
   * @return its bulk density, g/mL, as exactly as scale and spoon are
   * @throws IllegalArgumentException when it is no volume, or weighs what nothing weighs
   */
  public static Figure densityOf(TypedAmount typed, double grams, double scaleStep) {
    if (typed.measure().dimension() != Dimension.VOLUME) {
      throw new IllegalArgumentException("Measure it by the spoon or the cup, then weigh that.");
    }
    double density = grams / typed.size();
    if (!(density >= Property.DENSITY.least() && density <= Property.DENSITY.most())) {
      throw new IllegalArgumentException(
          Said.of(
              "That would be %.3g g in a millilitre: look at the spoon and the scale again.",
              density));
    }
    double off = Math.min(0.5, SPOON_OFF + scaleStep / 2 / grams);
    return new Figure(
        density,
        density * (1 - off),
        Math.min(Property.DENSITY.most(), density * (1 + off)),
        Property.DENSITY.unit(),
        Provenance.HOUSEHOLD,
        "");
  }

  /** A drop of a thin oil is smaller than one of water. */
  private static Figure drop(KitchenMeasure measure, Material material, Figure density) {
    if (!measure.equals(KitchenMeasures.DROP)) {
      return density;
    }
    double size = material.value(Property.DROP, measure.size()) / measure.size();
    return new Figure(
        density.value() * size,
        density.low() * size,
        density.high() * size,
        density.unit(),
        density.provenance(),
        density.source());
  }

  private static Figure piece(KitchenMeasure measure, Material material) {
    Property property = measure.id().equals("sprig") ? Property.SPRIG : Property.PIECE;
    return material
        .figure(property)
        .orElseThrow(() -> new UnknownPieceException(material, measure));
  }

  /**
   * The same amount in grams, in millilitres, and in the spoons or cups that it was not given in.
   *
   * @param given the measure that needs no repeating; null for none
   */
  public static List<String> beside(
      double grams, double millilitres, @Nullable KitchenMeasure given, MeasureSystem system) {
    List<String> beside = new ArrayList<>();
    if (given == null || given.dimension() != Dimension.MASS) {
      beside.add(number(grams) + " g");
    }
    if (given == null || !given.id().equals("ml")) {
      beside.add(number(millilitres) + " mL");
    }
    for (KitchenMeasure measure : KitchenMeasures.volumesOf(system)) {
      double count = millilitres / measure.size();
      boolean spoon = measure.symbol().equals("tbsp") || measure.symbol().equals("tsp");
      boolean cup = measure.symbol().equals("cup");
      boolean sensible = cup ? count > 0.1 && count < 40 : spoon && count > 0.1 && count <= 24;
      if (sensible && !measure.equals(given)) {
        beside.add(eighths(count) + " " + measure.symbol());
      }
    }
    return beside;
  }

  /** To the nearest eighth below four, then to the nearest half. */
  private static String eighths(double value) {
    double step = value < 4 ? 8 : 2;
    double rounded = Math.max(1, Math.round(value * step)) / step;
    String exact = Math.abs(rounded - value) < 0.02 * value ? "" : "about ";
    return exact + TypedAmount.written(rounded);
  }

  private static String number(double value) {
    if (value >= 20) {
      return Long.toString(Math.round(value));
    }
    return Said.of(value >= 1 ? "%.1f" : "%.2f", value);
  }
}
