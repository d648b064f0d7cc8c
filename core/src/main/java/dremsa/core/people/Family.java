package dremsa.core.people;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.CsvTable;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/**
 * Materials that somebody does not bear together; which belongs to which stands in {@code
 * families.csv}. In doubt a material belongs to it.
 */
public enum Family {
  NUT_OILS("nut oils"),
  GRAIN("grain"),
  ALOE("aloe"),
  DAISIES("chamomile and other daisies"),
  MINTS("mint and its kin"),
  ONIONS("onion and its kin"),
  SEEDS("gum seeds"),
  SEAWEED("seaweed"),
  SPIRIT("spirit"),
  FOODS("egg, milk and honey"),
  SCENTS("essential oils and fragrance");

  private static final class Table {
    private static final Map<Family, Set<String>> MATERIALS = read();

    private static Map<Family, Set<String>> read() {
      Map<Family, Set<String>> all = new EnumMap<>(Family.class);
      for (CSVRecord line : CsvTable.lines(Family.class, "families.csv")) {
        all.computeIfAbsent(Family.valueOf(line.get("family")), f -> new LinkedHashSet<>())
            .add(line.get("material"));
      }
      return all;
    }
  }

  private final String words;

  Family(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether a material belongs to it: by the table, or by what sort of thing it is. */
  public boolean holds(Material material) {
    MaterialKind kind = material.kind();
    boolean byKind =
        switch (this) {
          case GRAIN -> kind == MaterialKind.GRAIN;
          case ALOE -> kind == MaterialKind.ALOE_LEAF;
          case SEEDS -> kind == MaterialKind.GUM_SEED;
          case SEAWEED -> kind == MaterialKind.SEAWEED;
          case FOODS -> kind == MaterialKind.FOOD;
          case SPIRIT -> kind == MaterialKind.SPIRIT;
          case SCENTS -> kind == MaterialKind.ESSENTIAL_OIL || kind == MaterialKind.FRAGRANCE;
          case NUT_OILS, DAISIES, MINTS, ONIONS -> false;
        };
    return byKind || Table.MATERIALS.getOrDefault(this, Set.of()).contains(material.id());
  }
}
