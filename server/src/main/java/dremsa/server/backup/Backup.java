package dremsa.server.backup;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.http.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes a household into one file, as it is at one moment: all of it is read in one transaction,
 * row by row. The file is whole before anything of it is sent.
 */
@Service
public class Backup {
  /** Rows that the database sends together. */
  private static final int FETCHED = 200;

  private final Tables tables;
  private final Spool spool;
  private final JdbcTemplate jdbc;
  private final JdbcTemplate rows;
  private final Households households;
  private final TransactionTemplate reading;

  Backup(
      Tables tables,
      Spool spool,
      DataSource database,
      Households households,
      PlatformTransactionManager manager) {
    this.tables = tables;
    this.spool = spool;
    this.jdbc = new JdbcTemplate(database);
    this.rows = new JdbcTemplate(database);
    this.rows.setFetchSize(FETCHED);
    this.households = households;
    this.reading = new TransactionTemplate(manager);
    this.reading.setReadOnly(true);
    // All of it as it is at one moment.
    this.reading.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
  }

  /** Photos make most of a file: how much there must be room for at least. */
  private long photoBytes(UUID household) {
    long sum = 0;
    for (KeptTable table : tables.all()) {
      if (table.picture().isPresent()) {
        Long bytes =
            jdbc.queryForObject(
                "select coalesce(sum(length("
                    + table.picture().get().name()
                    + ")), 0) from "
                    + table.name()
                    + " where household_id = ?",
                Long.class,
                household.toString());
        sum += bytes == null ? 0 : bytes;
      }
    }
    return sum;
  }

  /** A file with the household in it; whoever takes it deletes it. */
  public Path write(UUID household) {
    return spool.made(
        photoBytes(household),
        out ->
            reading.executeWithoutResult(
                status -> {
                  try (ZipOutputStream zip = new ZipOutputStream(out)) {
                    write(household, zip);
                  } catch (IOException e) {
                    throw new UncheckedIOException(e);
                  }
                }));
  }

  /**
   * Reads a file back: its manifest, its sums, its rows and its photos. Nothing is written.
   *
   * @throws Problem when it is not whole, with what is wrong
   */
  public void verify(Path file) {
    try {
      new Archive(file).read(new Inspection(tables));
    } catch (DamagedException e) {
      throw Problem.conflict("It does not read back: " + Problem.why(e) + ".");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What the household in a file is called. */
  public String nameIn(Path file) {
    Inspection inspection = new Inspection(tables);
    try {
      new Archive(file).read(inspection);
    } catch (DamagedException e) {
      throw Problem.conflict("It is not whole: " + Problem.why(e) + ".");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return inspection.head().household().name();
  }

  private void write(UUID id, ZipOutputStream zip) throws IOException {
    Household household = households.of(id);
    entry(
        zip,
        ArchiveForm2.HEAD,
        new Archive.Head(
            Archive.FORM,
            ArchiveForm2.VERSION,
            new Archive.Settings(
                household.name(),
                household.measureSystem().name(),
                household.fahrenheit(),
                household.zone().getId(),
                household.school().name())));
    Map<String, Manifest.Part> parts = new LinkedHashMap<>();
    for (KeptTable table : tables.all()) {
      parts.put(table.name(), table(id, table, zip));
    }
    Tally photos = new Tally();
    for (KeptTable table : tables.all()) {
      if (table.picture().isPresent()) {
        photos(id, table, zip, photos);
      }
    }
    entry(
        zip, Manifest.NAME, new Manifest(Archive.FORM, ArchiveForm2.VERSION, parts, photos.done()));
  }

  private static void entry(ZipOutputStream zip, String name, Object content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(Archive.JSON.writeValueAsBytes(content));
    zip.closeEntry();
  }

  private Manifest.Part table(UUID household, KeptTable table, ZipOutputStream zip)
      throws IOException {
    zip.putNextEntry(new ZipEntry(ArchiveForm2.TABLES + table.name() + ArchiveForm2.LINES));
    Tally tally = new Tally();
    rows.query(
        table.select(),
        row -> {
          byte[] line = (line(table, row) + "\n").getBytes(java.nio.charset.StandardCharsets.UTF_8);
          tally.one(line);
          try {
            zip.write(line);
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        },
        household.toString());
    zip.closeEntry();
    return tally.done();
  }

  private static String line(KeptTable table, ResultSet row) throws SQLException {
    ObjectNode line = Archive.JSON.createObjectNode();
    for (Column column : table.inLine()) {
      if (row.getObject(column.name()) == null) {
        line.putNull(column.name());
      } else {
        line.putPOJO(column.name(), column.form().write(row, column.name()));
      }
    }
    return Archive.JSON.writeValueAsString(line);
  }

  private void photos(UUID household, KeptTable table, ZipOutputStream zip, Tally tally)
      throws IOException {
    List<String> ids =
        jdbc.queryForList(
            "select id from " + table.name() + " where household_id = ? order by " + table.order(),
            String.class,
            household.toString());
    String content = table.picture().orElseThrow().name();
    for (String id : ids) {
      byte[] photo =
          Objects.requireNonNull(
              jdbc.queryForObject(
                  "select " + content + " from " + table.name() + " where id = ?",
                  byte[].class,
                  id));
      tally.one(photo);
      zip.putNextEntry(asItIs(Archive.PHOTOS + id + ".jpg", photo));
      zip.write(photo);
      zip.closeEntry();
    }
  }

  /** A JPEG packs no better: it is stored as it is. */
  private static ZipEntry asItIs(String name, byte[] content) {
    CRC32 sum = new CRC32();
    sum.update(content);
    ZipEntry entry = new ZipEntry(name);
    entry.setMethod(ZipEntry.STORED);
    entry.setSize(content.length);
    entry.setCrc(sum.getValue());
    return entry;
  }
}
