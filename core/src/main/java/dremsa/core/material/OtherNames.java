package dremsa.core.material;

import dremsa.core.measure.CsvTable;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

  /** All of them by the id of the material, in the order of the table. */
  public static Map<String, List<String>> all() {
    return Map.copyOf(BY_MATERIAL);
  }
}
