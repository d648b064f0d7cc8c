package dremsa.server.shelf;

import dremsa.core.keep.FridgeLog;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.tables.CsvText;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;
import org.springframework.http.HttpStatus;

/** Reads the CSV of a fridge logger: time and temperature, in whatever dress it comes. */
final class LoggerFile {
  private static final int MOST_LINES = 60_000;

  /** Fridges are hardly ever warmer than this for half of the time, °C. */
  private static final double LIKELY_FAHRENHEIT = 25;

  private static final double COLDEST_C = -30;
  private static final double WARMEST_C = 60;
  private static final Duration CLOCKS = Duration.ofMinutes(10);

  private LoggerFile() {}

  /** What its numbers are. */
  enum Unit {
    AUTO,
    C,
    F
  }

  /** A line that was not taken. */
  record Left(int line, String why) {}

  /** What was read. */
  record Read(List<FridgeLog.Reading> readings, List<Left> left) {}

  private record Row(int line, Instant at, double value) {}

  static Read read(String file, Unit unit, ZoneId zone, Instant now) {
    List<CSVRecord> records = CsvText.records(file, MOST_LINES);
    List<Left> left = new ArrayList<>();
    List<Row> rows = new ArrayList<>();
    String header = "";
    for (CSVRecord record : records) {
      int line = (int) record.getRecordNumber();
      Optional<Instant> at =
          record.size() < 2 ? Optional.empty() : CsvText.time(record.get(0), zone);
      Optional<Double> value = record.size() < 2 ? Optional.empty() : CsvText.number(record.get(1));
      if (at.isPresent() && value.isPresent()) {
        rows.add(new Row(line, at.get(), value.get()));
      } else if (rows.isEmpty() && line <= 5) {
        header += String.join(" ", record.toList()).toLowerCase(Locale.ROOT) + " ";
      } else {
        left.add(
            new Left(
                line,
                at.isEmpty() ? "no time in the first column" : "no number in the second column"));
      }
    }
    boolean fahrenheit = fahrenheit(unit, header, rows);
    List<FridgeLog.Reading> readings = new ArrayList<>();
    for (Row row : rows) {
      double celsius = fahrenheit ? (row.value() - 32) / 1.8 : row.value();
      if (!(celsius >= COLDEST_C && celsius <= WARMEST_C)) {
        left.add(new Left(row.line(), Said.of("%.1f °C in a fridge", celsius)));
      } else if (row.at().isAfter(now.plus(CLOCKS))) {
        left.add(new Left(row.line(), "still to come: is it another time zone?"));
      } else {
        readings.add(new FridgeLog.Reading(row.at(), celsius));
      }
    }
    if (readings.size() < 2) {
      String why =
          left.isEmpty() ? "" : Said.of(" Line %d: %s.", left.get(0).line(), left.get(0).why());
      throw Problem.invalid(
          FieldProblem.of(
              "file",
              null,
              "No readings were found: a time and a temperature on each line are wanted." + why));
    }
    return new Read(readings, left);
  }

  private static boolean fahrenheit(Unit unit, String header, List<Row> rows) {
    if (unit != Unit.AUTO) {
      return unit == Unit.F;
    }
    if (header.matches("(?s).*(°f|\\(f\\)|fahrenheit).*")) {
      return true;
    }
    double middle =
        rows.stream().mapToDouble(Row::value).sorted().skip(rows.size() / 2).findFirst().orElse(0);
    boolean said = header.matches("(?s).*(°c|\\(c\\)|celsius).*");
    if (!said && middle > LIKELY_FAHRENHEIT) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "questioned",
          Said.of("About %.0f in a fridge: is it Fahrenheit? Say which unit it is.", middle),
          List.of(FieldProblem.of("unit", "AUTO", "Celsius or Fahrenheit?")));
    }
    return false;
  }
}
