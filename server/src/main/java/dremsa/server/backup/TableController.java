package dremsa.server.backup;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Hidden;
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
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Tables for a spreadsheet: CSV by RFC 4180, UTF-8, moments in the household's own time. */
@RestController
@Hidden
class TableController {
  private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss");

  /** What can be had; each names its columns as the file's header does. */
  private static final Map<String, String> TABLES =
      Map.of(
          "batches",
          "select code, formula_name as name, formula_id as formula, status, started_at as started,"
              + " ended_at as ended, bottled_ml, scale from batch where household_id = ?"
              + " order by started_at, code",
          "bottles",
          "select code, number, name, container, size_ml, filled_ml, left_ml, place,"
              + " filled_at as filled, last_day, marked, school, printed_day, status,"
              + " end_reason as reason, ended_at as ended from bottle where household_id = ?"
              + " order by filled_at, code, number",
          "events",
          "select h.happened_at as time, h.kind, b.code, t.number as bottle, h.millilitres,"
              + " h.detail, h.undone from happening h join batch b on b.id = h.batch_id"
              + " left join bottle t on t.id = h.bottle_id where h.household_id = ?"
              + " order by h.happened_at, h.id",
          "readings",
          "select e.entered_at as time, b.code, e.step_index + 1 as step, e.kind, e.amount,"
              + " e.subject, e.words, e.source from batch_entry e join batch b on b.id = e.batch_id"
              + " where e.household_id = ? order by e.entered_at, e.id",
          "stores",
          "select material_id as material, origin, grams, left_grams, got_on, opened_on, price,"
              + " place, note, ended_at as ended from lot where household_id = ?"
              + " order by got_on, material_id");

  private final JdbcTemplate jdbc;
  private final Households households;

  TableController(JdbcTemplate jdbc, Households households) {
    this.jdbc = jdbc;
    this.households = households;
  }

  @GetMapping("/api/tables/{table}.csv")
  ResponseEntity<StreamingResponseBody> table(
      @AuthenticationPrincipal Member member, @PathVariable String table) {
    String sql = TABLES.get(table);
    if (sql == null) {
      throw Problem.notFound("table");
    }
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

  private void write(String sql, UUID household, ZoneId zone, CSVPrinter csv) {
    jdbc.query(
        sql,
        (ResultSet rows) -> {
          try {
            csv.printRecord(header(rows));
            while (rows.next()) {
              csv.printRecord(line(rows, zone));
            }
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
          return null;
        },
        household.toString());
  }

  private static List<String> header(ResultSet rows) throws SQLException {
    List<String> names = new ArrayList<>();
    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
      names.add(rows.getMetaData().getColumnLabel(i));
    }
    return names;
  }

  private static List<Object> line(ResultSet rows, ZoneId zone) throws SQLException {
    List<Object> line = new ArrayList<>();
    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
      Object value = rows.getObject(i);
      line.add(
          value instanceof Timestamp moment
              ? LOCAL.format(moment.toInstant().atZone(zone))
              : value);
    }
    return line;
  }
}
