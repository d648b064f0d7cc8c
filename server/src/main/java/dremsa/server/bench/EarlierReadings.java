package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.server.wire.Lift;
import dremsa.server.wire.Stored;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Readings at the end of a step, when each kind had a place and a name of its own. */
@Configuration(proxyBeanMethods = false)
class EarlierReadings {
  private static final Map<String, Reading> IN_TAPS =
      Map.of(
          "measuredMl", Reading.VOLUME,
          "measuredC", Reading.TEMPERATURE,
          "measuredG", Reading.WEIGHT,
          "measuredPh", Reading.PH);

  private static final Map<String, Reading> IN_BACKUPS =
      Map.of(
          "measured_ml", Reading.VOLUME,
          "measured_c", Reading.TEMPERATURE,
          "measured_g", Reading.WEIGHT,
          "measured_ph", Reading.PH);

  private static final Map<String, Reading> IN_TABLES =
      Map.of(
          "MEASURED_ML", Reading.VOLUME,
          "MEASURED_C", Reading.TEMPERATURE,
          "MEASURED_G", Reading.WEIGHT);

  /** Until version 2 the states of a batch that taps go back to had them so. */
  @Bean
  static Lift readingsOfTaps() {
    return new Lift(
        Batch.Memento.class,
        2,
        memento ->
            memento
                .path("steps")
                .forEach(
                    step -> {
                      if (step instanceof ObjectNode state && !state.has("readings")) {
                        ObjectNode readings = state.objectNode();
                        take(state, IN_TAPS).forEach((kind, n) -> readings.put(kind.name(), n));
                        state.set("readings", readings);
                      }
                    }));
  }

  /** A row of a backup. */
  static void lift(ObjectNode row, Stored stored) {
    if (!row.has("readings")) {
      row.put("readings", stored.write(take(row, IN_BACKUPS)));
    }
  }

  private static Map<Reading, Double> take(ObjectNode row, Map<String, Reading> names) {
    Map<Reading, Double> found = new TreeMap<>();
    names.forEach(
        (name, kind) -> {
          JsonNode number = row.remove(name);
          if (number != null && !number.isNull()) {
            found.put(kind, number.isNumber() ? number.doubleValue() : Double.NaN);
          }
        });
    return found;
  }

  /** The kind of a table's line, as it was called. */
  static String inTable(String kind) {
    Reading earlier = IN_TABLES.get(kind);
    return earlier == null ? kind : ReadingTable.MEASURED + earlier;
  }

  /** What a request says under the earlier names; the new ones count before them. */
  static void putInto(
      Map<Reading, Double> all,
      @Nullable Double millilitres,
      @Nullable Double celsius,
      @Nullable Double grams,
      @Nullable Double ph) {
    Map<Reading, @Nullable Double> said = new LinkedHashMap<>();
    said.put(Reading.VOLUME, millilitres);
    said.put(Reading.TEMPERATURE, celsius);
    said.put(Reading.WEIGHT, grams);
    said.put(Reading.PH, ph);
    said.forEach(all::putIfAbsent);
  }
}
