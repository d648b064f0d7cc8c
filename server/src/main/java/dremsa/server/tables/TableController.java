package dremsa.server.tables;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/**
 * Tables for a spreadsheet, out and in: CSV by RFC 4180, UTF-8, moments in the household's own
 * time.
 */
@RestController
class TableController {
  private static final DateTimeFormatter LOCAL =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss", java.util.Locale.ROOT);

  /** Lines that belong together have the same number there. */
  private static final String CHANGE = "change";

  private final JdbcTemplate jdbc;
  private final Households households;
  private final TableReader reader;
  private final List<HouseholdTable> tables;

  TableController(
      JdbcTemplate jdbc, Households households, TableReader reader, List<HouseholdTable> tables) {
    this.jdbc = jdbc;
    this.households = households;
    this.reader = reader;
    this.tables = tables;
  }

  @Operation(summary = "A table for a spreadsheet", hidden = true)
  @GetMapping("/api/tables/{table}.csv")
  @Nullable ResponseEntity<StreamingResponseBody> write(
      @AuthenticationPrincipal Member member, @PathVariable String table) {
    String sql =
        tables.stream()
            .filter(each -> each.name().equals(table))
            .map(HouseholdTable::query)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("table"));
    Household household = households.of(member.household());
    return ResponseEntity.ok()
        .header("Content-Type", "text/csv;charset=UTF-8")
        .header("Content-Disposition", "attachment; filename=\"dremsa-" + table + ".csv\"")
        .body(
            out -> {
              OutputStreamWriter writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
              write(
                  sql, household.id(), household.zone(), new CSVPrinter(writer, CSVFormat.RFC4180));
              writer.flush();
            });
  }

  @Operation(
      summary = "Reads a table in, or shows what it would do",
      description =
          "The columns are those that the table is written out with, in any order; commas,"
              + " semicolons or tabs between them. A line that stands there already is passed over;"
              + " with a line that is wrong nothing is kept.")
  @WithoutTurn
  @PostMapping(path = "/api/tables/{table}", consumes = "text/csv")
  TableReader.@Nullable TableOutcome read(
      @AuthenticationPrincipal Member member,
      @PathVariable String table,
      @RequestParam(defaultValue = "false") boolean look,
      @RequestBody byte[] file) {
    return reader.read(member.household(), table, CsvText.decode(file), look);
  }

  private void write(String sql, UUID household, ZoneId zone, CSVPrinter csv) {
    int places = (int) sql.chars().filter(c -> c == '?').count();
    jdbc.query(
        sql,
        (ResultSet rows) -> {
          try {
            List<String> header = header(rows);
            csv.printRecord(header);
            Map<String, Integer> changes = new HashMap<>();
            while (rows.next()) {
              csv.printRecord(line(rows, header, zone, changes));
            }
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
          return true;
        },
        Collections.nCopies(places, household.toString()).toArray());
  }

  private static List<String> header(ResultSet rows) throws SQLException {
    List<String> names = new ArrayList<>();
    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
      names.add(rows.getMetaData().getColumnLabel(i));
    }
    return names;
  }

  private static List<Object> line(
      ResultSet rows, List<String> header, ZoneId zone, Map<String, Integer> changes)
      throws SQLException {
    List<Object> line = new ArrayList<>();
    for (int i = 1; i <= header.size(); i++) {
      Object value = rows.getObject(i);
      if (value instanceof Timestamp moment) {
        line.add(LOCAL.format(moment.toInstant().atZone(zone)));
      } else if (value != null && header.get(i - 1).equals(CHANGE)) {
        line.add(changes.computeIfAbsent(value.toString(), id -> changes.size() + 1));
      } else {
        line.add(value instanceof String text ? CsvText.written(text) : value);
      }
    }
    return line;
  }
}
