package dremsa.core.keep;

import dremsa.core.measure.CsvTable;
import dremsa.core.measure.Figure;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
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
    for (CSVRecord line : CsvTable.lines(KeepingTimes.class, "classes.csv")) {
      Map<School, Figure> of =
          table
              .computeIfAbsent(
                  KeepingClass.valueOf(line.get("class")), c -> new EnumMap<>(Line.class))
              .computeIfAbsent(Line.valueOf(line.get("figure")), f -> new EnumMap<>(School.class));
      String school = line.get("school");
      for (School each : School.values()) {
        if (school.equals(ANY) || school.equals(each.name())) {
          of.put(each, CsvTable.figure(line, "d"));
        }
      }
    }
    return table;
  }
}
