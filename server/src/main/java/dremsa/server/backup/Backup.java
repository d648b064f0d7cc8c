package dremsa.server.backup;

import dremsa.core.keep.School;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.backup.Tables.Table;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes a household into one file and reads it back into an empty one. All ids are made anew on
 * reading, so that a file can stand twice in one database; everything else comes back as it was.
 */
@Service
public class Backup {
  static final String FORM = "dremsa-backup";
  static final int VERSION = 1;
  private static final String DATA = "household.json";
  private static final String PHOTOS = "photos/";

  private static final long MOST_DATA_BYTES = 64L * 1024 * 1024;
  private static final long MOST_PHOTO_BYTES = 4L * 1024 * 1024;
  private static final int MOST_PHOTOS = 20_000;

  private static final Pattern ID =
      Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

  private final JdbcTemplate jdbc;
  private final JsonMapper json;
  private final Households households;

  Backup(JdbcTemplate jdbc, JsonMapper json, Households households) {
    this.jdbc = jdbc;
    this.json = json;
    this.households = households;
  }

  /** What stands in the file beside the photos. */
  record File(
      String form,
      int version,
      Settings household,
      Map<String, List<Map<String, Object>>> tables) {}

  /** The household's own settings. */
  record Settings(
      String name, String measures, boolean fahrenheit, String timeZone, String school) {}

  /** Writes a household. */
  @Transactional(readOnly = true)
  public void write(UUID id, OutputStream out) throws IOException {
    Household household = households.of(id);
    Map<String, List<Map<String, Object>>> tables = new LinkedHashMap<>();
    Map<String, byte[]> photos = new LinkedHashMap<>();
    for (Table table : Tables.ALL) {
      tables.put(
          table.name(),
          jdbc.query(table.select(), (row, n) -> row(table, row, photos), id.toString()));
    }
    File file =
        new File(
            FORM,
            VERSION,
            new Settings(
                household.name(),
                household.measureSystem().name(),
                household.fahrenheit(),
                household.zone().getId(),
                household.school().name()),
            tables);
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry(DATA));
      zip.write(json.writeValueAsBytes(file));
      zip.closeEntry();
      for (Map.Entry<String, byte[]> photo : photos.entrySet()) {
        zip.putNextEntry(new ZipEntry(PHOTOS + photo.getKey() + ".jpg"));
        zip.write(photo.getValue());
        zip.closeEntry();
      }
    }
  }

  private static Map<String, Object> row(Table table, ResultSet row, Map<String, byte[]> photos)
      throws SQLException {
    ResultSetMetaData about = row.getMetaData();
    Map<String, Object> values = new LinkedHashMap<>();
    for (int i = 1; i <= about.getColumnCount(); i++) {
      String column = about.getColumnName(i);
      if (column.equals("household_id") || (table.counted() && column.equals("id"))) {
        continue;
      }
      if (table.name().equals("batch_photo") && column.equals("content")) {
        photos.put(row.getString("id"), row.getBytes(i));
        continue;
      }
      switch (about.getColumnType(i)) {
        case java.sql.Types.DOUBLE -> values.put(column, nullable(row, row.getDouble(i)));
        case java.sql.Types.BIGINT, java.sql.Types.INTEGER ->
            values.put(column, nullable(row, row.getLong(i)));
        case java.sql.Types.BIT, java.sql.Types.BOOLEAN, java.sql.Types.TINYINT ->
            values.put(column, nullable(row, row.getBoolean(i)));
        // Text, ids, days and moments as the database writes them, in UTC.
        default -> values.put(column, row.getString(i));
      }
    }
    return values;
  }

  private static Object nullable(ResultSet row, Object value) throws SQLException {
    return row.wasNull() ? null : value;
  }

  /**
   * Reads a file into a household in which nothing was done yet.
   *
   * @throws Problem when it is no such file, or the household is not empty; nothing is changed then
   */
  @Transactional
  public void read(UUID household, InputStream in) {
    households.changed(household);
    requireEmpty(household);
    try (ZipInputStream zip = new ZipInputStream(in)) {
      ZipEntry first = zip.getNextEntry();
      if (first == null || !first.getName().equals(DATA)) {
        throw refused("This is no backup of Dremsa: " + DATA + " does not stand first in it.");
      }
      File file = json.readValue(new Bounded(zip, MOST_DATA_BYTES), File.class);
      if (file == null || !FORM.equals(file.form()) || file.tables() == null) {
        throw refused("This is no backup of Dremsa.");
      }
      if (file.version() != VERSION) {
        throw refused(
            "This backup has form %d; this Dremsa reads form %d."
                .formatted(file.version(), VERSION));
      }
      Map<String, byte[]> photos = photos(zip, file);
      fill(household, file, photos);
    } catch (JacksonException | IOException e) {
      throw refused("This file is damaged: it ends too early, or was changed.");
    } catch (DataAccessException e) {
      throw refused("This file is damaged: a row in it does not fit.");
    }
  }

  private static Problem refused(String words) {
    return Problem.invalid(FieldProblem.of("file", null, words));
  }

  private void requireEmpty(UUID household) {
    for (String table : List.of("batch", "formula", "lot", "happening", "container_set")) {
      Integer rows =
          jdbc.queryForObject(
              "select count(*) from " + table + " where household_id = ?",
              Integer.class,
              household.toString());
      if (rows != null && rows > 0) {
        throw new Problem(
            HttpStatus.CONFLICT,
            "not-empty",
            "A backup is read into an empty household only. Make a new one for it.",
            List.of());
      }
    }
  }

  private static Map<String, byte[]> photos(ZipInputStream zip, File file) throws IOException {
    TreeSet<String> wanted = new TreeSet<>();
    for (Map<String, Object> row : file.tables().getOrDefault("batch_photo", List.of())) {
      wanted.add(String.valueOf(row.get("id")));
    }
    Map<String, byte[]> photos = new HashMap<>();
    for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
      String name = entry.getName();
      String id =
          name.startsWith(PHOTOS) && name.endsWith(".jpg")
              ? name.substring(PHOTOS.length(), name.length() - 4)
              : "";
      if (!wanted.contains(id) || photos.size() >= MOST_PHOTOS) {
        throw refused("There is something in this file that belongs to no backup: " + name);
      }
      photos.put(id, new Bounded(zip, MOST_PHOTO_BYTES).readAllBytes());
    }
    if (photos.size() < wanted.size()) {
      throw refused(
          "This file is damaged: %d photos are missing.".formatted(wanted.size() - photos.size()));
    }
    return photos;
  }

  private void fill(UUID household, File file, Map<String, byte[]> photos) {
    Map<String, String> anew = anew(file);
    Settings settings = file.household();
    check(settings);
    jdbc.update(
        "update household set measure_system = ?, fahrenheit = ?, time_zone = ?, school = ?"
            + " where id = ?",
        settings.measures(),
        settings.fahrenheit(),
        settings.timeZone(),
        settings.school(),
        household.toString());
    jdbc.update("delete from kitchen where household_id = ?", household.toString());
    for (Table table : Tables.ALL) {
      List<String> columns = columns(table);
      for (Map<String, Object> row : file.tables().getOrDefault(table.name(), List.of())) {
        insert(household, table, columns, row, anew, photos);
      }
    }
  }

  /** What the household could not be opened with is refused. */
  private static void check(Settings settings) {
    try {
      MeasureSystem.valueOf(settings.measures());
      School.valueOf(settings.school());
      ZoneId.of(settings.timeZone());
    } catch (RuntimeException e) {
      throw refused("This file is damaged: its household has no such settings.");
    }
  }

  /** Ids that the file's own rows have, with new ones for them. */
  private static Map<String, String> anew(File file) {
    Map<String, String> anew = new HashMap<>();
    file.tables()
        .values()
        .forEach(
            rows ->
                rows.forEach(
                    row -> {
                      for (String column : List.of("id", "change_id")) {
                        if (row.get(column) instanceof String id) {
                          Matcher found = ID.matcher(id);
                          while (found.find()) {
                            anew.putIfAbsent(found.group(), UUID.randomUUID().toString());
                          }
                        }
                      }
                    }));
    return anew;
  }

  private List<String> columns(Table table) {
    return jdbc.execute(
        (Connection connection) -> {
          List<String> columns = new ArrayList<>();
          try (ResultSet found =
              connection
                  .getMetaData()
                  .getColumns(connection.getCatalog(), null, table.name(), "%")) {
            while (found.next()) {
              columns.add(found.getString("COLUMN_NAME"));
            }
          }
          return columns;
        });
  }

  private void insert(
      UUID household,
      Table table,
      List<String> columns,
      Map<String, Object> row,
      Map<String, String> anew,
      Map<String, byte[]> photos) {
    List<String> names = new ArrayList<>();
    List<Object> values = new ArrayList<>();
    for (Map.Entry<String, Object> cell : row.entrySet()) {
      if (!columns.contains(cell.getKey()) || cell.getKey().equals("household_id")) {
        throw refused(
            "This file is damaged: there is no column '%s' in '%s'."
                .formatted(cell.getKey(), table.name()));
      }
      names.add(cell.getKey());
      values.add(cell.getValue() instanceof String text ? renamed(text, anew) : cell.getValue());
    }
    if (columns.contains("household_id")) {
      names.add("household_id");
      values.add(household.toString());
    }
    if (table.name().equals("batch_photo")) {
      names.add("content");
      values.add(photos.get(String.valueOf(row.get("id"))));
    }
    jdbc.update(
        "insert into %s (%s) values (%s)"
            .formatted(
                table.name(),
                String.join(", ", names),
                String.join(", ", java.util.Collections.nCopies(names.size(), "?"))),
        values.toArray());
  }

  /** A text in which the file's ids are replaced by the new ones, wherever they stand. */
  private static String renamed(String text, Map<String, String> anew) {
    Matcher found = ID.matcher(text);
    StringBuilder changed = new StringBuilder();
    while (found.find()) {
      found.appendReplacement(changed, anew.getOrDefault(found.group(), found.group()));
    }
    return found.appendTail(changed).toString();
  }

  /** Reads no more than so much out of a zip: what unpacks to more is no backup. */
  private static final class Bounded extends FilterInputStream {
    private long left;

    private Bounded(InputStream in, long most) {
      super(in);
      this.left = most;
    }

    @Override
    public int read() throws IOException {
      int b = super.read();
      count(b < 0 ? 0 : 1);
      return b;
    }

    @Override
    public int read(byte[] buffer, int offset, int length) throws IOException {
      int n = super.read(buffer, offset, length);
      count(Math.max(0, n));
      return n;
    }

    private void count(int n) {
      left -= n;
      if (left < 0) {
        throw refused("This file unpacks to far more than a backup has.");
      }
    }

    @Override
    public void close() {
      // The zip goes on after this entry.
    }
  }
}
