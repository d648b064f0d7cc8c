package dremsa.core.measure;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The loose measures of a kitchen, each with a stated size that a household may change: pinch,
 * handful, glass, the scoop that came with a powder; and pieces, whose weight is a material's own.
 */
public final class CountMeasures {
  /** Common practice: a sixteenth of a teaspoon. */
  public static final KitchenMeasure PINCH = loose("pinch", 0.31, 0.2, 0.6);

  /** Common practice. */
  public static final KitchenMeasure HANDFUL = loose("handful", 60, 30, 120);

  /** Common practice: a drinking glass. */
  public static final KitchenMeasure GLASS = loose("glass", 200, 125, 330);

  /** Our estimate: the scoop in a tub of powder; look at yours. */
  public static final KitchenMeasure SCOOP = loose("scoop", 8, 4, 30);

  public static final KitchenMeasure SPRIG = piece("sprig");
  public static final KitchenMeasure LEAF = piece("leaf");
  public static final KitchenMeasure FLOWER = piece("flower");
  public static final KitchenMeasure BUD = piece("bud");
  public static final KitchenMeasure PIECE = piece("piece");

  private static final List<KitchenMeasure> STANDARD =
      List.of(PINCH, HANDFUL, GLASS, SCOOP, SPRIG, LEAF, FLOWER, BUD, PIECE);

  private static final CountMeasures USUAL = new CountMeasures(Map.of());

  private final Map<String, KitchenMeasure> byId;

  private CountMeasures(Map<String, Double> ownMillilitres) {
    byId = new LinkedHashMap<>();
    for (KitchenMeasure measure : STANDARD) {
      byId.put(measure.id(), measure);
    }
    ownMillilitres.forEach(
        (id, millilitres) -> {
          KitchenMeasure standard = byId.get(id);
          if (standard == null || standard.dimension() != Dimension.VOLUME) {
            throw new IllegalArgumentException("'" + id + "' has no size to change");
          }
          // The stated size is no statement of the household's: its range stays.
          byId.put(id, millilitres == standard.size() ? standard : volume(id, millilitres));
        });
  }

  /** The stated sizes. */
  public static CountMeasures usual() {
    return USUAL;
  }

  /**
   * With sizes of a household's own.
   *
   * @param ownMillilitres by id: pinch, handful, glass, scoop
   */
  public static CountMeasures with(Map<String, Double> ownMillilitres) {
    return new CountMeasures(ownMillilitres);
  }

  /** All of them. */
  public List<KitchenMeasure> all() {
    return List.copyOf(byId.values());
  }

  private static KitchenMeasure loose(String id, double millilitres, double least, double most) {
    return new KitchenMeasure(id, id, Dimension.VOLUME, millilitres, least, most);
  }

  private static KitchenMeasure volume(String id, double millilitres) {
    return new KitchenMeasure(id, id, Dimension.VOLUME, millilitres);
  }

  private static KitchenMeasure piece(String id) {
    return new KitchenMeasure(id, id, Dimension.COUNT, 1);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof CountMeasures same && byId.equals(same.byId);
  }

  @Override
  public int hashCode() {
    return byId.hashCode();
  }
}
