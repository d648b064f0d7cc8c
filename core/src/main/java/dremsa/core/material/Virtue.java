package dremsa.core.material;

import dremsa.core.measure.CsvTable;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/**
 * What makers say of a material that is no number; common practice throughout. Which material has
 * which stands in {@code virtues.csv}; a household's own materials have none.
 */
public enum Virtue {
  /** Used for an oily scalp. */
  OILY_SCALP,
  /** Used against flakes. */
  FLAKES,
  /** Used for dry lengths. */
  DRY_LENGTHS,
  /** Used against tangles. */
  TANGLES,
  /** Stains light hair. */
  STAINS,
  /** An oil for hair of low porosity. */
  LIGHT_OIL,
  /** An oil for hair of high porosity. */
  RICH_OIL,
  /** A scent that a child of three may have. */
  GENTLE_SCENT,
  /** Its menthol or cineole can stop a small child's breath. */
  NOT_BELOW_SIX,
  /** Ground, so that its gel cannot be strained. */
  GROUND_SEED,
  /** Brings much protein to hair. */
  PROTEIN_STRONG,
  /** Brings some protein to hair. */
  PROTEIN_MILD,
  /** Smarts on broken skin; an hour on a scalp is the most. */
  IRRITANT,
  /** A bud so strong that four hours on a scalp are the most. */
  STRONG_BUD;

  private static final class Table {
    private static final Map<Virtue, Set<String>> MATERIALS = read();

    private static Map<Virtue, Set<String>> read() {
      Map<Virtue, Set<String>> all = new EnumMap<>(Virtue.class);
      for (CSVRecord line : CsvTable.lines(Virtue.class, "virtues.csv")) {
        all.computeIfAbsent(Virtue.valueOf(line.get("virtue")), v -> new LinkedHashSet<>())
            .add(line.get("material"));
      }
      return all;
    }
  }

  /** Ids of the materials that have it, in the order of the table. */
  public Set<String> materials() {
    return Collections.unmodifiableSet(Table.MATERIALS.getOrDefault(this, Set.of()));
  }

  /** Whether a material has it. */
  public boolean of(Material material) {
    return materials().contains(material.id());
  }
}
