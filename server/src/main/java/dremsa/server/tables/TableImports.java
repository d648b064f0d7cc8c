package dremsa.server.tables;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.http.Problem;
import dremsa.server.reminders.Repeated;
import dremsa.server.wire.Stored;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Reads long tables in, piece by piece, each in a short turn of its household, so that nobody waits
 * for long, neither there nor elsewhere. First all of it is looked through and nothing kept; what
 * was said of it is shown, and taken in when somebody says so. What is there already is passed
 * over, so that reading begins anew after a stop, or where an instance that died left off.
 */
@Service
class TableImports {
  private static final Logger LOG = LoggerFactory.getLogger(TableImports.class);

  static final int MOST_LINES = 20_000;

  /** About half a second's work: a tap of the same household waits no longer. */
  private static final int PIECE = 25;

  private static final int WHY = 300;

  private final JdbcTemplate jdbc;
  private final TableReader reader;
  private final Households households;
  private final Turns turns;
  private final Stored stored;

  /** What this instance is reading; another one begins anew from the rows. */
  private final Map<UUID, TableReading> readings = new HashMap<>();

  TableImports(
      JdbcTemplate jdbc, TableReader reader, Households households, Turns turns, Stored stored) {
    this.jdbc = jdbc;
    this.reader = reader;
    this.households = households;
    this.turns = turns;
    this.stored = stored;
  }

  @Configuration
  static class Work {
    @Bean
    Repeated readTables(TableImports imports) {
      return new Repeated("read-tables", Duration.ofMillis(500), imports::runDue);
    }
  }

  /** How far it is. */
  enum State {
    /** It is looked through; nothing is kept. */
    LOOKING,
    /** It waits for somebody to say that it shall be taken in. */
    LOOKED,
    TAKING,
    STOPPED,
    DONE,
    FAILED
  }

  /** What is said of lines, and of columns. */
  record SaidOfLines(
      List<TableReading.LineSaid> left, List<TableReading.LineSaid> wrong, List<String> unknown) {
    static final SaidOfLines NOTHING = new SaidOfLines(List.of(), List.of(), List.of());
  }

  /**
   * A table as far as it is read.
   *
   * @param done lines gone through in this state
   * @param why it failed
   */
  record ImportView(
      UUID id,
      String table,
      State state,
      int lines,
      int done,
      int taken,
      int there,
      int leftOut,
      List<TableReading.LineSaid> left,
      List<TableReading.LineSaid> wrong,
      List<String> unknown,
      @Nullable String why) {}

  private static final String SELECT =
      "select id, table_name, state, line_count, done_lines, taken, there, left_out, said, why"
          + " from table_import where household_id = ?";

  private RowMapper<ImportView> view() {
    return (row, n) -> {
      SaidOfLines said = stored.read(row.getString(9), SaidOfLines.class);
      return new ImportView(
          UUID.fromString(row.getString(1)),
          row.getString(2),
          State.valueOf(row.getString(3)),
          row.getInt(4),
          row.getInt(5),
          row.getInt(6),
          row.getInt(7),
          row.getInt(8),
          said.left(),
          said.wrong(),
          said.unknown(),
          row.getString(10));
    };
  }

  /** The last one of a household. */
  Optional<ImportView> of(UUID household) {
    return jdbc.query(SELECT, view(), household.toString()).stream().findFirst();
  }

  private ImportView get(UUID household, UUID id) {
    return of(household)
        .filter(found -> found.id().equals(id))
        .orElseThrow(() -> Problem.notFound("table being read"));
  }

  /**
   * Begins to look through a file.
   *
   * @throws Problem 400 when nothing can be read of it, 409 while another is taken in
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public ImportView begin(UUID household, String table, String file, Instant now) {
    turns.require(household);
    if (of(household).filter(other -> other.state() == State.TAKING).isPresent()) {
      throw Problem.conflict("Another table is taken in just now. Wait for its end, or stop it.");
    }
    TableReading reading =
        TableReading.of(reader.table(table), households.of(household), file, MOST_LINES, now);
    jdbc.update("delete from table_import where household_id = ?", household.toString());
    UUID id = UUID.randomUUID();
    jdbc.update(
        "insert into table_import (household_id, id, table_name, file, state, asked_at, stopping,"
            + " line_count, done_lines, taken, there, left_out, said)"
            + " values (?, ?, ?, ?, 'LOOKING', ?, false, ?, 0, 0, 0, 0, ?)",
        household.toString(),
        id.toString(),
        table,
        file,
        Timestamp.from(now),
        reading.lines(),
        stored.write(SaidOfLines.NOTHING));
    return get(household, id);
  }

  /** Takes in what was looked through, or goes on with what was stopped. */
  @Transactional(propagation = Propagation.MANDATORY)
  public ImportView take(UUID household, UUID id) {
    turns.require(household);
    ImportView found = get(household, id);
    if (found.state() != State.LOOKED && found.state() != State.STOPPED) {
      throw Problem.conflict("This cannot be taken in now.");
    }
    if (!found.wrong().isEmpty() && found.state() == State.LOOKED) {
      throw Problem.conflict("Some lines are wrong: put them right in the file first.");
    }
    boolean goesOn = found.state() == State.STOPPED;
    jdbc.update(
        "update table_import set done_lines = if(?, done_lines, 0), taken = if(?, taken, 0),"
            + " there = if(?, there, 0), left_out = if(?, left_out, 0), state = 'TAKING',"
            + " stopping = false, why = null where household_id = ?",
        goesOn,
        goesOn,
        goesOn,
        goesOn,
        household.toString());
    return get(household, id);
  }

  /** Stops after the piece that is at hand; what was taken in stays. */
  @Transactional(propagation = Propagation.MANDATORY)
  public ImportView stop(UUID household, UUID id) {
    turns.require(household);
    get(household, id);
    jdbc.update(
        "update table_import set stopping = true where household_id = ?"
            + " and state in ('LOOKING', 'TAKING')",
        household.toString());
    return get(household, id);
  }

  /** Puts it out of sight; what was taken in stays. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void forget(UUID household, UUID id) {
    turns.require(household);
    ImportView found = get(household, id);
    if (found.state() == State.TAKING) {
      throw Problem.conflict("Stop it first.");
    }
    jdbc.update("delete from table_import where household_id = ?", household.toString());
  }

  /** Reads all that waits, a piece of each in turn. Only ever run by one instance at a time. */
  void runDue() {
    List<UUID> waiting = waiting();
    readings.keySet().retainAll(ids(waiting));
    while (!waiting.isEmpty()) {
      waiting.forEach(this::piece);
      waiting = waiting();
    }
    readings.clear();
  }

  private List<UUID> waiting() {
    return jdbc.queryForList(
        "select household_id from table_import where state in ('LOOKING', 'TAKING')"
            + " order by asked_at",
        UUID.class);
  }

  private List<UUID> ids(List<UUID> waiting) {
    return waiting.stream()
        .flatMap(household -> of(household).stream())
        .map(ImportView::id)
        .toList();
  }

  private void piece(UUID household) {
    try {
      Optional<ImportView> found = of(household);
      if (found.isPresent() && stopped(household)) {
        readings.remove(found.get().id());
        turns.take(household, () -> stopped(household, found.get()));
      } else if (found.isPresent() && found.get().state() == State.LOOKING) {
        look(household, found.get());
      } else if (found.isPresent() && found.get().state() == State.TAKING) {
        takeIn(household, found.get());
      }
    } catch (RuntimeException e) {
      LOG.warn("A table could not be read in.", e);
      readings.clear();
      turns.take(household, () -> set(household, State.FAILED, Problem.why(e)));
    }
  }

  /** What was only looked at leaves nothing. */
  private void stopped(UUID household, ImportView view) {
    if (view.state() == State.LOOKING) {
      jdbc.update("delete from table_import where household_id = ?", household.toString());
    } else {
      set(household, State.STOPPED, null);
    }
  }

  private boolean stopped(UUID household) {
    return jdbc.queryForList(
            "select stopping from table_import where household_id = ?",
            Boolean.class,
            household.toString())
        .contains(true);
  }

  private TableReading reading(UUID household, ImportView view) {
    return readings.computeIfAbsent(
        view.id(),
        id -> {
          Household keeper = households.of(household);
          String file =
              jdbc.queryForObject(
                  "select file from table_import where household_id = ?",
                  String.class,
                  household.toString());
          return TableReading.of(
              reader.table(view.table()),
              keeper,
              java.util.Objects.requireNonNull(file),
              MOST_LINES,
              households.now(keeper));
        });
  }

  /**
   * A turn that lost against another is taken again, and what it did is rolled back in the database
   * but not in the memory: then reading begins anew, and passes over what is there.
   */
  private final class Tries {
    private boolean tried;

    TableReading reading(UUID household, ImportView view) {
      if (tried) {
        readings.remove(view.id());
      }
      tried = true;
      return TableImports.this.reading(household, view);
    }
  }

  private void look(UUID household, ImportView view) {
    Tries tries = new Tries();
    TableReading reading =
        turns.take(
            household,
            () -> {
              TableReading known = tries.reading(household, view);
              known.next(PIECE);
              turns.leaveNothing();
              return known;
            });
    turns.take(
        household,
        () -> {
          write(
              household,
              reading,
              reading.done(),
              reading.taken(),
              reading.there(),
              reading.leftOut());
          if (reading.atEnd()) {
            readings.remove(view.id());
            set(household, State.LOOKED, null);
          }
        });
  }

  private void takeIn(UUID household, ImportView view) {
    Tries tries = new Tries();
    turns.take(
        household,
        () -> {
          TableReading reading = tries.reading(household, view);
          if (reading.done() < view.done()) {
            // Gone through again after a stop: those lines are there, and counted already.
            reading.until(Math.min(view.done(), reading.done() + PIECE));
          } else {
            int taken = reading.taken();
            int there = reading.there();
            int left = reading.leftOut();
            reading.next(PIECE);
            write(
                household,
                reading,
                reading.done(),
                view.taken() + reading.taken() - taken,
                view.there() + reading.there() - there,
                view.leftOut() + reading.leftOut() - left);
          }
          if (reading.anyWrong()) {
            // It was right when it was looked through: something changed meanwhile.
            readings.remove(view.id());
            turns.leaveNothing();
          } else if (reading.atEnd()) {
            reading.end();
            readings.remove(view.id());
            set(household, State.DONE, null);
          }
        });
    if (of(household).filter(now -> now.state() == State.TAKING).isPresent()
        && !readings.containsKey(view.id())) {
      turns.take(
          household,
          () -> set(household, State.FAILED, "A line is wrong that was right before: look again."));
    }
  }

  private void write(
      UUID household, TableReading reading, int done, int taken, int there, int leftOut) {
    jdbc.update(
        "update table_import set done_lines = ?, taken = ?, there = ?, left_out = ?, said = ?"
            + " where household_id = ?",
        done,
        taken,
        there,
        leftOut,
        stored.write(new SaidOfLines(reading.left(), reading.wrong(), reading.unknown())),
        household.toString());
  }

  private void set(UUID household, State state, @Nullable String why) {
    jdbc.update(
        "update table_import set state = ?, stopping = false, why = ? where household_id = ?",
        state.name(),
        why == null ? null : why.substring(0, Math.min(WHY, why.length())),
        household.toString());
  }
}
