package dremsa.server.tables;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.http.Problem;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Reads a short table in, in one turn: all of it, or nothing where a line is wrong. */
@Service
public class TableReader {
  /** Longer ones go by {@link TableImports}: nobody else's tap of the household waits so long. */
  static final int MOST_AT_ONCE = 500;

  private final List<HouseholdTable> tables;
  private final Households households;
  private final Turns turns;

  TableReader(List<HouseholdTable> tables, Households households, Turns turns) {
    this.tables = tables;
    this.households = households;
    this.turns = turns;
  }

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
      List<TableReading.LineSaid> left,
      List<TableReading.LineSaid> wrong,
      List<String> unknown,
      boolean kept) {}

  /**
   * The table of a name.
   *
   * @throws Problem 404
   */
  HouseholdTable table(String name) {
    return tables.stream()
        .filter(t -> t.name().equals(name))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("table"));
  }

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
    TableReading reading =
        TableReading.of(table(name), household, file, MOST_AT_ONCE, households.now(household));
    reading.next(reading.lines());
    boolean kept = !reading.anyWrong() && !look;
    if (!reading.anyWrong()) {
      reading.end();
    }
    if (!kept) {
      turns.leaveNothing();
    }
    return new TableOutcome(
        name,
        reading.lines(),
        reading.taken(),
        reading.there(),
        reading.leftOut(),
        reading.left(),
        reading.wrong(),
        reading.unknown(),
        kept);
  }
}
