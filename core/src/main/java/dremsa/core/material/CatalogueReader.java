package dremsa.core.material;

import dremsa.core.measure.CsvTable;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads the reference tables beside this class: {@code materials.csv}, one line a material; {@code
 * forms.csv}, which of them are one plant; and {@code figures.csv}, one line a figure of a kind
 * (written {@code kind:LEAF}) or of a material. A material has its kind's figures unless it has its
 * own.
 */
final class CatalogueReader {
  private CatalogueReader() {}

  static Materials read() {
    Map<String, Map<Property, Figure>> figures = new HashMap<>();
    for (CSVRecord line : CsvTable.lines(CatalogueReader.class, "figures.csv")) {
      Property property = Property.valueOf(line.get("property"));
      figures
          .computeIfAbsent(line.get("subject"), subject -> new EnumMap<>(Property.class))
          .put(property, CsvTable.figure(line, property.unit()));
    }
    Map<String, Material> byId = new LinkedHashMap<>();
    for (CSVRecord line : CsvTable.lines(CatalogueReader.class, "materials.csv")) {
      MaterialKind kind = MaterialKind.valueOf(line.get("kind"));
      Map<Property, Figure> own = new EnumMap<>(Property.class);
      own.putAll(figures.getOrDefault("kind:" + kind, Map.of()));
      own.putAll(figures.getOrDefault(line.get("id"), Map.of()));
      Material material =
          new Material(
              line.get("id"),
              line.get("name"),
              line.get("inci"),
              kind,
              line.get("tint"),
              line.get("note"),
              own);
      if (byId.put(material.id(), material) != null) {
        throw new IllegalStateException("materials.csv names '" + material.id() + "' twice");
      }
    }
    Map<String, List<String>> forms = new LinkedHashMap<>();
    for (CSVRecord line : CsvTable.lines(CatalogueReader.class, "forms.csv")) {
      if (!byId.containsKey(line.get("material"))) {
        throw new IllegalStateException("forms.csv names '" + line.get("material") + "'");
      }
      forms.computeIfAbsent(line.get("plant"), p -> new ArrayList<>()).add(line.get("material"));
    }
    Map<MaterialKind, Map<Property, Figure>> kinds = new EnumMap<>(MaterialKind.class);
    for (MaterialKind kind : MaterialKind.values()) {
      kinds.put(kind, figures.getOrDefault("kind:" + kind, Map.of()));
    }
    return new Materials(byId, forms, kinds);
  }
}
