package dremsa.core.material;

import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads the reference tables beside this class: {@code materials.csv}, one line a material; {@code
 * forms.csv}, which of them are one plant; and {@code figures.csv}, one line a figure of a kind
 * (written {@code kind:LEAF}) or of a material. A material has its kind's figures unless it has its
 * own.
 */
final class CatalogueReader {
  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setTrim(true)
          .setIgnoreEmptyLines(true)
          .get();

  private CatalogueReader() {}

  static Materials read() {
    Map<String, Map<Property, Figure>> figures = new HashMap<>();
    for (CSVRecord line : lines("figures.csv")) {
      figures
          .computeIfAbsent(line.get("subject"), subject -> new EnumMap<>(Property.class))
          .put(Property.valueOf(line.get("property")), figure(line));
    }
    Map<String, Material> byId = new LinkedHashMap<>();
    for (CSVRecord line : lines("materials.csv")) {
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
    for (CSVRecord line : lines("forms.csv")) {
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

  private static Figure figure(CSVRecord line) {
    Property property = Property.valueOf(line.get("property"));
    return new Figure(
        Double.parseDouble(line.get("value")),
        Double.parseDouble(line.get("low")),
        Double.parseDouble(line.get("high")),
        property.unit(),
        Provenance.valueOf(line.get("provenance")),
        line.get("source"));
  }

  private static List<CSVRecord> lines(String table) {
    try (Reader reader =
            new InputStreamReader(
                CatalogueReader.class.getResourceAsStream(table), StandardCharsets.UTF_8);
        CSVParser parser = CSVParser.parse(reader, FORMAT)) {
      return parser.getRecords();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + table, e);
    }
  }
}
