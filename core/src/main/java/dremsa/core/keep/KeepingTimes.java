package dremsa.core.keep;

import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * How long each class keeps by each school: the table {@code classes.csv} beside this class, one
 * figure a line, in days, with its range, provenance and source. What a line is missing for has no
 * bound: a class without a budget has only its cap.
 */
final class KeepingTimes {
  /** What a line of the table tells. */
  enum Line {
    /** Life at 5 °C. */
    BUDGET,
    /** No date later than this after straining. */
    CAP,
    /** The published beyond-use figure. */
    PUBLISHED,
    /** At room temperature. */
    ROOM,
    /** Frozen. */
    FREEZER
  }

  /** Stands for every school. */
  private static final String ANY = "*";

  private static final Map<KeepingClass, Map<Line, Map<School, Figure>>> TABLE = read();

  private KeepingTimes() {}

  /** A figure in days, if there is a bound. */
  static Optional<Figure> days(KeepingClass keepingClass, Line line, School school) {
    return Optional.ofNullable(
        TABLE.getOrDefault(keepingClass, Map.of()).getOrDefault(line, Map.of()).get(school));
  }

  /** The figure in hours; infinite where there is no bound. */
  static double hours(KeepingClass keepingClass, Line line, School school) {
    Figure figure =
        TABLE.getOrDefault(keepingClass, Map.of()).getOrDefault(line, Map.of()).get(school);
    return figure == null ? Double.POSITIVE_INFINITY : figure.value() * 24;
  }

  private static Map<KeepingClass, Map<Line, Map<School, Figure>>> read() {
    Map<KeepingClass, Map<Line, Map<School, Figure>>> table = new EnumMap<>(KeepingClass.class);
    CSVFormat format =
        CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).get();
    try (Reader reader =
            new InputStreamReader(
                KeepingTimes.class.getResourceAsStream("classes.csv"), StandardCharsets.UTF_8);
        CSVParser parser = CSVParser.parse(reader, format)) {
      for (CSVRecord line : parser) {
        Map<School, Figure> of =
            table
                .computeIfAbsent(
                    KeepingClass.valueOf(line.get("class")), c -> new EnumMap<>(Line.class))
                .computeIfAbsent(
                    Line.valueOf(line.get("figure")), f -> new EnumMap<>(School.class));
        String school = line.get("school");
        for (School each : School.values()) {
          if (school.equals(ANY) || school.equals(each.name())) {
            of.put(each, figure(line));
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read classes.csv", e);
    }
    return table;
  }

  private static Figure figure(CSVRecord line) {
    return new Figure(
        Double.parseDouble(line.get("value")),
        Double.parseDouble(line.get("low")),
        Double.parseDouble(line.get("high")),
        "d",
        Provenance.valueOf(line.get("provenance")),
        line.get("source"));
  }
}
