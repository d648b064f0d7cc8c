package dremsa.core.material;

import dremsa.core.measure.CsvTable;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVRecord;

/**
 * What materials are called besides their names: folk names, other spellings, names in other
 * kitchens. They stand in {@code names.csv}; one name may mean several materials, and a brew from
 * the shelf may be named as well ({@code brew:linseed-gel}). Common practice.
 */
public final class OtherNames {
  private static final Map<String, List<String>> BY_MATERIAL = read();

  private OtherNames() {}

  private static Map<String, List<String>> read() {
    Map<String, List<String>> all = new LinkedHashMap<>();
    for (CSVRecord line : CsvTable.lines(OtherNames.class, "names.csv")) {
      all.computeIfAbsent(line.get("material"), id -> new ArrayList<>()).add(line.get("name"));
    }
    return all;
  }

  /** Other names of a material, lower case; empty when it has none. */
  public static List<String> of(String material) {
    return List.copyOf(BY_MATERIAL.getOrDefault(material, List.of()));
  }

  /**
   * A word that somebody looks for, and what else it is called here: "flax" is linseed.
   *
   * @return the word itself first, then names of materials in lower case, without part and state
   */
  public static List<String> of(String word, Materials materials) {
    Set<String> all = new LinkedHashSet<>();
    all.add(word);
    String wanted = word.strip().toLowerCase(Locale.ROOT);
    if (wanted.length() >= LEAST) {
      for (Material material : materials.all()) {
        if (of(material.id()).stream().anyMatch(name -> (" " + name).contains(" " + wanted))) {
          String name = material.name().toLowerCase(Locale.ROOT).replaceFirst(",.*", "");
          all.add(PART.matcher(name).replaceFirst(""));
        }
      }
    }
    return List.copyOf(all);
  }

  /** Shorter words name too much. */
  private static final int LEAST = 3;

  /** Parts that a plant's name goes without. */
  private static final Pattern PART =
      Pattern.compile(
          "\\s+(leaf|leaves|flower|root|seed|bark|buds?|cones|herb|petals|husk|powder|pods?)$");

  /** All of them by the id of the material, in the order of the table. */
  public static Map<String, List<String>> all() {
    return Map.copyOf(BY_MATERIAL);
  }
}
