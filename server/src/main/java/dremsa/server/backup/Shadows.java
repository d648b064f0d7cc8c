package dremsa.server.backup;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Lays empty tables of the same names over those whose rows are counted, for this connection alone.
 * What is tried out goes into them; a file that is refused then has not even moved a counter, which
 * no rolling back would put back.
 */
final class Shadows implements AutoCloseable {
  private final JdbcTemplate jdbc;
  private final List<KeptTable> tables;

  private Shadows(JdbcTemplate jdbc, List<KeptTable> tables) {
    this.jdbc = jdbc;
    this.tables = tables;
  }

  static Shadows over(JdbcTemplate jdbc, List<KeptTable> counted) {
    Shadows shadows = new Shadows(jdbc, counted);
    try {
      counted.forEach(table -> jdbc.execute(shadowOf(jdbc, table)));
    } catch (RuntimeException e) {
      shadows.close();
      throw e;
    }
    return shadows;
  }

  /**
   * "Like" cannot be said of a table of the same name; and no table of a connection has references.
   */
  private static String shadowOf(JdbcTemplate jdbc, KeptTable table) {
    String made =
        jdbc.queryForObject(
            "show create table " + table.name(), (row, n) -> row.getString("Create Table"));
    return made.lines()
        .filter(line -> !line.strip().startsWith("CONSTRAINT "))
        .collect(Collectors.joining("\n"))
        .replaceFirst("CREATE TABLE", "CREATE TEMPORARY TABLE")
        .replaceFirst(",(?=\\n\\))", "");
  }

  /** The tables below are seen again. */
  @Override
  public void close() {
    tables.forEach(table -> jdbc.execute("drop temporary table if exists " + table.name()));
  }
}
