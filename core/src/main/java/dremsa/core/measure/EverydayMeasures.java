package dremsa.core.measure;

import java.util.List;
import java.util.Optional;

/**
 * Measures that people write down and no kitchen owns: a splash, a mug, a tea bag. Each has a
 * believable range; common practice unless it says otherwise.
 */
public final class EverydayMeasures {
  /**
   * A tablespoon where nothing else is said, though it may be a teaspoon: from one to the other.
   */
  public static final KitchenMeasure SPOON = loose("spoon", Dimension.VOLUME, 15, 5, 20);

  public static final KitchenMeasure MUG = loose("mug", Dimension.VOLUME, 300, 230, 400);
  public static final KitchenMeasure BUNCH = loose("bunch", Dimension.VOLUME, 250, 120, 500);
  public static final KitchenMeasure SPLASH = loose("splash", Dimension.VOLUME, 5, 2, 15);
  public static final KitchenMeasure DASH = loose("dash", Dimension.VOLUME, 0.6, 0.3, 2);
  public static final KitchenMeasure CAPFUL = loose("capful", Dimension.VOLUME, 5, 3, 10);
  public static final KitchenMeasure DROPPERFUL =
      loose("dropperful", Dimension.VOLUME, 1, 0.5, 1.5);

  /** What a tea bag holds, g. */
  public static final KitchenMeasure TEABAG = loose("bag", Dimension.MASS, 2, 1.5, 3);

  private static final List<KitchenMeasure> ALL =
      List.of(SPOON, MUG, BUNCH, SPLASH, DASH, CAPFUL, DROPPERFUL, TEABAG);

  /** A heaped spoon or cup holds so much more than a level one, and at most twice as much. */
  private static final double HEAPED = 1.5;

  private EverydayMeasures() {}

  /** All of them. */
  public static List<KitchenMeasure> all() {
    return ALL;
  }

  static Optional<KitchenMeasure> find(String symbol) {
    return ALL.stream().filter(measure -> measure.symbol().equals(symbol)).findFirst();
  }

  /** The same measure heaped. */
  public static KitchenMeasure heaped(KitchenMeasure measure) {
    return new KitchenMeasure(
        "heaped-" + measure.id(),
        "heaped " + measure.symbol(),
        measure.dimension(),
        measure.size() * HEAPED,
        measure.size() * 1.2,
        measure.size() * 2);
  }

  private static KitchenMeasure loose(
      String id, Dimension dimension, double size, double least, double most) {
    return new KitchenMeasure(id, id, dimension, size, least, most);
  }
}
