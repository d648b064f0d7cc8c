package dremsa.server.wire;

import dremsa.core.people.HeadUse;
import dremsa.core.people.Product;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What of a use counts for limits, as it is kept.
 *
 * @param materials ids of what was in it
 * @param essential percent of the product, by the oil's material id
 */
public record OnHeadJson(
    Product.Protein protein,
    boolean spirit,
    boolean ferment,
    Set<String> materials,
    Map<String, Double> essential) {
  private static final int MOST_MATERIALS = 200;

  /** As it is kept, always in the same order. */
  public static OnHeadJson of(HeadUse use) {
    return new OnHeadJson(
        use.protein(),
        use.spirit(),
        use.ferment(),
        new TreeSet<>(use.materials()),
        new TreeMap<>(use.essential()));
  }

  /** Refuses what no use can be. */
  public void check() {
    if (materials.size() > MOST_MATERIALS
        || essential.size() > MOST_MATERIALS
        || essential.values().stream().anyMatch(percent -> !(percent >= 0 && percent <= 100))
        || protein == null) {
      throw new IllegalArgumentException("this is no use on a head");
    }
  }
}
