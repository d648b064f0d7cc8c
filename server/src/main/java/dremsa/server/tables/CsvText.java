package dremsa.server.tables;

import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads CSV in whatever dress it comes: its delimiter, its numbers, its days and times. */
public final class CsvText {
  private static final List<DateTimeFormatter> LOCAL =
      forms(
          "u-M-d H:m:s",
          "u-M-d H:m",
          "u/M/d H:m:s",
          "u/M/d H:m",
          "d.M.u H:m:s",
          "d.M.u H:m",
          "d/M/u H:m:s",
          "d/M/u H:m");

  private static final List<DateTimeFormatter> DAYS = forms("u-M-d", "u/M/d", "d.M.u", "d/M/u");

  private static final Pattern POWER_OF_TEN =
      Pattern.compile("[+-]?\\d+(\\.\\d*)?[eE][+-]?\\d{1,3}");

  /** What a spreadsheet would take for something to work out, and what was kept from it before. */
  private static final Pattern WORKED_OUT = Pattern.compile("'*[=+\\-@\t\r].*", Pattern.DOTALL);

  private CsvText() {}

  /**
   * A text as it is written out: one that a spreadsheet would work out as a formula gets an
   * apostrophe before it, which {@link #read} takes away again. Common practice.
   */
  static String written(String text) {
    return WORKED_OUT.matcher(text).matches() ? "'" + text : text;
  }

  /** A text as it was before it was {@link #written}. */
  static String read(String cell) {
    return cell.startsWith("'") && WORKED_OUT.matcher(cell).matches() ? cell.substring(1) : cell;
  }

  private static List<DateTimeFormatter> forms(String... patterns) {
    return List.of(patterns).stream()
        .map(
            p ->
                DateTimeFormatter.ofPattern(p, Locale.ROOT).withResolverStyle(ResolverStyle.STRICT))
        .toList();
  }

  /**
   * The text of a file: in UTF-8, or as spreadsheets save it on some machines, in UTF-16 with its
   * mark or in Windows-1252.
   */
  public static String decode(byte[] file) {
    if (file.length >= 2 && (file[0] & 0xFF) == 0xFF && (file[1] & 0xFF) == 0xFE) {
      return new String(file, 2, file.length - 2, StandardCharsets.UTF_16LE);
    }
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(file)).toString();
    } catch (CharacterCodingException e) {
      return new String(file, Charset.forName("windows-1252"));
    }
  }

  /**
   * The lines of a file.
   *
   * @param most so many lines at most
   */
  public static List<CSVRecord> records(String file, int most) {
    String text = file.startsWith("\uFEFF") ? file.substring(1) : file;
    try (CSVParser parser =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(delimiter(text))
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get()
            .parse(new StringReader(text))) {
      List<CSVRecord> records = new ArrayList<>();
      for (CSVRecord record : parser) {
        if (records.size() >= most) {
          throw Problem.invalid(
              FieldProblem.of("file", null, "At most " + most + " lines are read at once."));
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

  /**
   * A number, with a decimal point or comma and perhaps its unit behind it; a very large or small
   * one may have its power of ten, as spreadsheets and Java write it.
   */
  public static Optional<Double> number(String text) {
    String plain = text.strip().replace(',', '.');
    if (POWER_OF_TEN.matcher(plain).matches()) {
      double value = Double.parseDouble(plain);
      return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
    }
    String digits = text.replaceAll("[^0-9.,+-]", "").replace(',', '.');
    try {
      double value = Double.parseDouble(digits);
      return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  /** A moment: with an offset, or in the local time of a zone. */
  public static Optional<Instant> time(String text, ZoneId zone) {
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

  /** A day. */
  public static Optional<LocalDate> day(String text) {
    for (DateTimeFormatter form : DAYS) {
      try {
        return Optional.of(LocalDate.parse(text, form));
      } catch (DateTimeException e) {
        // The next form.
      }
    }
    return Optional.empty();
  }
}
