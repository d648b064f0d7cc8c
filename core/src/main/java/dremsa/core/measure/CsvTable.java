package dremsa.core.measure;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads the tables of figures that ship with the core: UTF-8, RFC 4180, with a line of names. */
public final class CsvTable {
  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).get();

  private CsvTable() {}

  /**
   * The lines of a table that lies beside a class.
   *
   * @throws UncheckedIOException when it cannot be read, which means a broken build
   */
  public static List<CSVRecord> lines(Class<?> beside, String name) {
    try (Reader reader =
            new InputStreamReader(beside.getResourceAsStream(name), StandardCharsets.UTF_8);
        CSVParser parser = CSVParser.parse(reader, FORMAT)) {
      return parser.getRecords();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + name, e);
    }
  }

  /** The figure of a line, from its columns value, low, high, provenance and source. */
  public static Figure figure(CSVRecord line, String unit) {
    return new Figure(
        Double.parseDouble(line.get("value")),
        Double.parseDouble(line.get("low")),
        Double.parseDouble(line.get("high")),
        unit,
        Provenance.valueOf(line.get("provenance")),
        line.get("source"));
  }
}
