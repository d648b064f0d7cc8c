package dremsa.core.material;

import dremsa.core.acid.Acid;
import dremsa.core.acid.Solutes;
import dremsa.core.acid.Sourness;
import dremsa.core.measure.Figure;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/** What a gram of a material does to the pH of a brew, by its figures. */
public final class AcidOf {
  /** A dried plant has its own pH drawn with so many times its weight of water; our convention. */
  private static final double DRAWN_WITH = 20;

  /** From here on it holds sour things off rather than being one, pH. */
  private static final double MILD_PH = 4.6;

  private static final Map<Property, Acid> ACIDS =
      Map.of(
          Property.CITRIC_ACID, Acid.CITRIC,
          Property.MALIC_ACID, Acid.MALIC,
          Property.ASCORBIC_ACID, Acid.ASCORBIC,
          Property.SORBIC_ACID, Acid.SORBIC,
          Property.BENZOIC_ACID, Acid.BENZOIC,
          Property.DEHYDROACETIC_ACID, Acid.DEHYDROACETIC);

  private AcidOf() {}

  /** Of one gram; {@link Sourness#NONE} where nothing of the kind is known of it. */
  public static Sourness gram(Material material) {
    Figure own = material.figures().get(Property.OWN_PH);
    Figure base = material.figures().get(Property.BASE);
    Solutes most = acids(material, Figure::high);
    if (most.moles().isEmpty() && base == null) {
      return Sourness.NONE;
    }
    Solutes likely = acids(material, Figure::value);
    Solutes least = acids(material, Figure::low);
    if (own == null) {
      return new Sourness(
          with(most, base == null ? 0 : base.low()),
          with(likely, base == null ? 0 : base.value()),
          with(least, base == null ? 0 : base.high()),
          false);
    }
    double litres =
        material.kind().isPlant() && !material.kind().isFresh()
            ? DRAWN_WITH / 1000
            : Math.max(0.1, material.value(Property.WATER_SHARE, 1)) / 1000;
    // A sour juice is least sour when there is little in it; a mild plant holds an acid off the
    // more, the more there is in it.
    Solutes unlucky = own.value() >= MILD_PH ? most : least;
    return new Sourness(
        most.atPh(own.low(), litres),
        likely.atPh(own.value(), litres),
        unlucky.atPh(own.high(), litres),
        false);
  }

  private static Solutes with(Solutes acids, double millimolesOfBase) {
    return Solutes.of(acids.moles(), acids.base() + millimolesOfBase / 1000);
  }

  private static Solutes acids(Material material, ToDoubleFunction<Figure> end) {
    Map<Acid, Double> moles = new EnumMap<>(Acid.class);
    Figure acetic = material.figures().get(Property.ACID);
    if (acetic != null) {
      double grams = end.applyAsDouble(acetic) / 100 / material.density();
      moles.put(Acid.ACETIC, grams / Acid.ACETIC.molarMass());
    }
    ACIDS.forEach(
        (property, acid) -> {
          Figure figure = material.figures().get(property);
          if (figure != null) {
            moles.put(acid, end.applyAsDouble(figure) / 100 / acid.molarMass());
          }
        });
    return Solutes.of(moles, 0);
  }
}
