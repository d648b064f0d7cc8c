package dremsa.server.tables;

import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/**
 * A file while it is read in, line by line. Where it is read in several turns, what was met in the
 * earlier ones is remembered here, so that two alike lines of a file stay two.
 */
final class TableReading {
  private static final int MOST_TOLD = 20;

  /** Lines of one batch stay in one piece, as they may lean on each other. */
  private static final String TOGETHER = "code";

  private final HouseholdTable table;
  private final Household household;
  private final List<String> header;
  private final List<CSVRecord> lines;
  private final HouseholdTable.Taking taking;
  private final List<LineSaid> left = new ArrayList<>();
  private final List<LineSaid> wrong = new ArrayList<>();
  private int done;
  private int taken;
  private int there;
  private int leftOut;
  private int wrongs;

  private TableReading(
      HouseholdTable table, Household household, List<CSVRecord> records, Instant now) {
    this.table = table;
    this.household = household;
    this.header = records.get(0).stream().map(h -> h.strip().toLowerCase(Locale.ROOT)).toList();
    this.lines = records.subList(1, records.size());
    if (header.stream().noneMatch(table.columns()::contains)) {
      throw Problem.invalid(
          FieldProblem.of(
              "file",
              null,
              Said.of(
                  "The first line names none of the columns of '%s': %s.",
                  table.name(), String.join(", ", table.columns()))));
    }
    this.taking = table.begin(household.id(), now);
  }

  /** A line and what is said of it; the column is empty where it is about the whole line. */
  record LineSaid(int line, String column, String why) {}

  /**
   * Begins to read a file.
   *
   * @throws Problem 400 at {@code file} when nothing can be read of it, or there are too many lines
   */
  static TableReading of(
      HouseholdTable table, Household household, String file, int most, Instant now) {
    List<CSVRecord> records = CsvText.records(file, most + 1);
    if (records.isEmpty()) {
      throw Problem.invalid(FieldProblem.of("file", null, "There is nothing in this file."));
    }
    return new TableReading(table, household, records, now);
  }

  /**
   * Reads the next lines.
   *
   * @param least how many, and further to where another batch begins, but never twice as many
   */
  void next(int least) {
    int end = Math.min(lines.size(), done + least);
    while (end < lines.size() && end < done + 2 * least && together(end - 1, end)) {
      end++;
    }
    until(end);
  }

  /** Reads on until so many lines are done. */
  void until(int end) {
    for (; done < end; done++) {
      take(lines.get(done));
    }
  }

  private boolean together(int one, int other) {
    int column = header.indexOf(TOGETHER);
    return column >= 0 && cell(one, column).equals(cell(other, column));
  }

  private String cell(int line, int column) {
    CSVRecord record = lines.get(line);
    return column < record.size() ? record.get(column) : "";
  }

  private void take(CSVRecord record) {
    int line = (int) record.getRecordNumber();
    try {
      HouseholdTable.Taken became = taking.take(row(record));
      taken += became.taken() ? 1 : 0;
      there += became == HouseholdTable.Taken.THERE ? 1 : 0;
      if (!became.why().isEmpty()) {
        leftOut++;
        say(left, line, "", became.why());
      }
    } catch (Row.WrongException e) {
      wrongs++;
      say(wrong, line, e.column(), Problem.why(e));
    } catch (Problem e) {
      wrongs++;
      say(wrong, line, "", Problem.why(e));
    }
  }

  private static void say(List<LineSaid> all, int line, String column, String why) {
    if (all.size() < MOST_TOLD) {
      all.add(new LineSaid(line, column, why));
    }
  }

  private Row row(CSVRecord record) {
    Map<String, String> cells = new HashMap<>();
    for (int i = 0; i < Math.min(header.size(), record.size()); i++) {
      cells.put(header.get(i), CsvText.read(record.get(i)));
    }
    return new Row(cells, household.zone());
  }

  /** All lines are read: what belongs to them together is done. */
  void end() {
    taking.end();
  }

  boolean atEnd() {
    return done == lines.size();
  }

  int done() {
    return done;
  }

  int taken() {
    return taken;
  }

  int there() {
    return there;
  }

  int leftOut() {
    return leftOut;
  }

  boolean anyWrong() {
    return wrongs > 0;
  }

  int lines() {
    return lines.size();
  }

  /** The first twenty lines that were left out, and why. */
  List<LineSaid> left() {
    return List.copyOf(left);
  }

  /** The first twenty lines that are wrong, and why. */
  List<LineSaid> wrong() {
    return List.copyOf(wrong);
  }

  /** Columns that this table does not have. */
  List<String> unknown() {
    return header.stream().filter(h -> !table.columns().contains(h)).toList();
  }
}
