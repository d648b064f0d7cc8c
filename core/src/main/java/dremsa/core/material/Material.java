package dremsa.core.material;

import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Something that goes into a brew.
 *
 * @param id stable, lower case with hyphens
 * @param name common name
 * @param inci name in the international nomenclature of cosmetic ingredients; empty when it has
 *     none
 * @param kind what sort of thing it is
 * @param tint colour of a brew made from it, six hexadecimal digits; common practice, for drawing
 * @param note a caution or remark shown beside it; may be empty
 * @param figures what is known of it, its kind's defaults included
 */
public record Material(
    String id,
    String name,
    String inci,
    MaterialKind kind,
    String tint,
    String note,
    Map<Property, Figure> figures) {

  public Material {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(inci, "inci");
    Objects.requireNonNull(kind, "kind");
    Objects.requireNonNull(tint, "tint");
    Objects.requireNonNull(note, "note");
    figures.forEach(Material::check);
    figures = figures.isEmpty() ? Map.of() : Map.copyOf(figures);
  }

  private static void check(Property property, Figure figure) {
    if (!(figure.low() >= property.least() && figure.high() <= property.most())) {
      throw new ImpossibleFigureException(property);
    }
  }

  /** The figure for a property, if one is known. */
  public Optional<Figure> figure(Property property) {
    return Optional.ofNullable(figures.get(property));
  }

  /**
   * The value of a property.
   *
   * @param otherwise what to answer when it is not known
   */
  public double value(Property property, double otherwise) {
    Figure figure = figures.get(property);
    return figure == null ? otherwise : figure.value();
  }

  /** Density in g/mL; 1 where it is not known. */
  public double density() {
    return value(Property.DENSITY, 1);
  }

  /** Volume of one drop, mL; where it has none of its own twenty to the millilitre, from memory. */
  public double dropMl() {
    return value(Property.DROP, 0.05);
  }

  /** The same material with only those figures that the household set or found itself. */
  public Material ownFigures() {
    Map<Property, Figure> own = new EnumMap<>(Property.class);
    figures.forEach(
        (property, figure) -> {
          if (figure.provenance() == Provenance.HOUSEHOLD
              || figure.provenance() == Provenance.CALIBRATED) {
            own.put(property, figure);
          }
        });
    return new Material(id, name, inci, kind, tint, note, own);
  }

  /** The same material with one figure replaced or added. */
  public Material with(Property property, Figure figure) {
    Map<Property, Figure> changed = new EnumMap<>(Property.class);
    changed.putAll(figures);
    changed.put(property, figure);
    return new Material(id, name, inci, kind, tint, note, changed);
  }
}
