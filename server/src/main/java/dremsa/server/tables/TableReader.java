package dremsa.server.tables;

import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;

/** Reads a table in: all of it, or nothing where a line is wrong. */
@Service
public class TableReader {
  private static final int MOST_LINES = 20_000;
  private static final int MOST_TOLD = 20;

  private final List<HouseholdTable> tables;
  private final Households households;
  private final Turns turns;

  TableReader(List<HouseholdTable> tables, Households households, Turns turns) {
    this.tables = tables;
    this.households = households;
    this.turns = turns;
  }

  /** A line and what is said of it; the column is empty where it is about the whole line. */
  record LineSaid(int line, String column, String why) {}

  /**
   * What was read, or would be.
   *
   * @param taken lines that are new
   * @param there lines that stand there already
   * @param left lines left out, with the reason; the first twenty
   * @param leftOut how many those are in all
   * @param wrong lines that are wrong, the first twenty; with any, nothing is kept
   * @param unknown columns that this table does not have
   * @param kept whether it was kept
   */
  record TableOutcome(
      String table,
      int lines,
      int taken,
      int there,
      int leftOut,
      List<LineSaid> left,
      List<LineSaid> wrong,
      List<String> unknown,
      boolean kept) {}

  /**
   * Reads a table.
   *
   * @param look only shows what it would do
   */
  public TableOutcome read(UUID householdId, String name, String file, boolean look) {
    return turns.take(householdId, () -> readInTurn(householdId, name, file, look));
  }

  private TableOutcome readInTurn(UUID householdId, String name, String file, boolean look) {
    Household household = households.of(householdId);
    Instant now = households.now(household);
    HouseholdTable table =
        tables.stream()
            .filter(t -> t.name().equals(name))
            .findFirst()
            .orElseThrow(() -> Problem.notFound("table"));
    List<CSVRecord> records = CsvText.records(file, MOST_LINES + 1);
    if (records.isEmpty()) {
      throw Problem.invalid(FieldProblem.of("file", null, "There is nothing in this file."));
    }
    List<String> header =
        records.get(0).stream().map(h -> h.strip().toLowerCase(Locale.ROOT)).toList();
    if (header.stream().noneMatch(table.columns()::contains)) {
      throw Problem.invalid(
          FieldProblem.of(
              "file",
              null,
              Said.of(
                  "The first line names none of the columns of '%s': %s.",
                  name, String.join(", ", table.columns()))));
    }
    HouseholdTable.Taking taking = table.begin(householdId, now);
    List<LineSaid> left = new ArrayList<>();
    List<LineSaid> wrong = new ArrayList<>();
    int taken = 0;
    int there = 0;
    for (CSVRecord record : records.subList(1, records.size())) {
      int line = (int) record.getRecordNumber();
      try {
        HouseholdTable.Taken became = taking.take(row(record, header, household));
        taken += became.taken() ? 1 : 0;
        there += became == HouseholdTable.Taken.THERE ? 1 : 0;
        if (!became.why().isEmpty()) {
          left.add(new LineSaid(line, "", became.why()));
        }
      } catch (Row.WrongException e) {
        wrong.add(new LineSaid(line, e.column(), Problem.why(e)));
      } catch (Problem e) {
        wrong.add(new LineSaid(line, "", Problem.why(e)));
      }
    }
    boolean kept = wrong.isEmpty() && !look;
    if (wrong.isEmpty()) {
      taking.end();
    }
    if (!kept) {
      turns.leaveNothing();
    }
    return new TableOutcome(
        name,
        records.size() - 1,
        taken,
        there,
        left.size(),
        first(left),
        first(wrong),
        header.stream().filter(h -> !table.columns().contains(h)).toList(),
        kept);
  }

  private static Row row(CSVRecord record, List<String> header, Household household) {
    Map<String, String> cells = new HashMap<>();
    for (int i = 0; i < Math.min(header.size(), record.size()); i++) {
      cells.put(header.get(i), record.get(i));
    }
    return new Row(cells, household.zone());
  }

  private static List<LineSaid> first(List<LineSaid> all) {
    return List.copyOf(all.subList(0, Math.min(MOST_TOLD, all.size())));
  }
}
