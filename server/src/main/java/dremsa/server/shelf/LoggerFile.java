package dremsa.server.shelf;

import dremsa.core.keep.FridgeLog;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
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

  private static final List<DateTimeFormatter> LOCAL =
      List.of(
              "u-M-d H:m:s",
              "u-M-d H:m",
              "u/M/d H:m:s",
              "u/M/d H:m",
              "d.M.u H:m:s",
              "d.M.u H:m",
              "d/M/u H:m:s",
              "d/M/u H:m")
          .stream()
          .map(
              p ->
                  DateTimeFormatter.ofPattern(p, Locale.ROOT)
                      .withResolverStyle(ResolverStyle.STRICT))
          .toList();

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
    List<CSVRecord> records = records(file);
    List<Left> left = new ArrayList<>();
    List<Row> rows = new ArrayList<>();
    String header = "";
    for (CSVRecord record : records) {
      int line = (int) record.getRecordNumber();
      Optional<Instant> at = record.size() < 2 ? Optional.empty() : time(record.get(0), zone);
      Optional<Double> value = record.size() < 2 ? Optional.empty() : number(record.get(1));
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
        left.add(new Left(row.line(), "%.1f °C in a fridge".formatted(celsius)));
      } else if (row.at().isAfter(now.plus(CLOCKS))) {
        left.add(new Left(row.line(), "still to come: is it another time zone?"));
      } else {
        readings.add(new FridgeLog.Reading(row.at(), celsius));
      }
    }
    if (readings.size() < 2) {
      String why =
          left.isEmpty() ? "" : " Line %d: %s.".formatted(left.get(0).line(), left.get(0).why());
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
          "About %.0f in a fridge: is it Fahrenheit? Say which unit it is.".formatted(middle),
          List.of(FieldProblem.of("unit", "AUTO", "Celsius or Fahrenheit?")));
    }
    return false;
  }

  private static List<CSVRecord> records(String file) {
    String text = file.startsWith("\uFEFF") ? file.substring(1) : file;
    char delimiter = delimiter(text);
    try (CSVParser parser =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(delimiter)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get()
            .parse(new StringReader(text))) {
      List<CSVRecord> records = new ArrayList<>();
      for (CSVRecord record : parser) {
        if (records.size() >= MOST_LINES) {
          throw Problem.invalid(
              FieldProblem.of("file", null, "At most " + MOST_LINES + " lines are read at once."));
        }
        records.add(record);
      }
      return records;
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      throw Problem.invalid(
          FieldProblem.of("file", null, "This is no CSV: a quotation mark is not closed."));
    }
  }

  /** The one of semicolon, tab and comma that the first lines have most of. */
  private static char delimiter(String text) {
    String head = text.substring(0, Math.min(2000, text.length()));
    char best = ',';
    long most = -1;
    for (char c : new char[] {';', '\t', ','}) {
      long count = head.chars().filter(i -> i == c).count();
      if (count > most) {
        most = count;
        best = c;
      }
      if (c != ',' && count > 0 && count >= head.lines().count() - 1) {
        // A decimal comma is no delimiter where every line has one of the others.
        return c;
      }
    }
    return best;
  }

  private static Optional<Double> number(String text) {
    String digits = text.replaceAll("[^0-9.,+-]", "").replace(',', '.');
    try {
      double value = Double.parseDouble(digits);
      return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  private static Optional<Instant> time(String text, ZoneId zone) {
    try {
      return Optional.of(OffsetDateTime.parse(text.replace(' ', 'T')).toInstant());
    } catch (DateTimeException e) {
      // Not with an offset: one of the local forms then.
    }
    String plain = text.replace('T', ' ').replaceAll("\\.[0-9]+$", "");
    for (DateTimeFormatter form : LOCAL) {
      try {
        return Optional.of(LocalDateTime.parse(plain, form).atZone(zone).toInstant());
      } catch (DateTimeException e) {
        // The next form.
      }
    }
    return Optional.empty();
  }
}
