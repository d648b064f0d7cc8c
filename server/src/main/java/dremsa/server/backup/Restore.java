package dremsa.server.backup;

import dremsa.core.keep.School;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/**
 * Reads a backup into a household in which nothing was done yet. The file is read through once
 * before anything is written, then written into the household in one turn, and everything in it is
 * opened as its screens would open it before it counts. Ids are given anew.
 */
@Service
public class Restore {
  private static final Logger LOG = LoggerFactory.getLogger(Restore.class);

  private final Tables tables;
  private final Spool spool;
  private final JdbcTemplate jdbc;
  private final EntityManager entities;
  private final Households households;
  private final Turns turns;

  Restore(
      Tables tables,
      Spool spool,
      JdbcTemplate jdbc,
      EntityManager entities,
      Households households,
      Turns turns) {
    this.tables = tables;
    this.spool = spool;
    this.jdbc = jdbc;
    this.entities = entities;
    this.households = households;
    this.turns = turns;
  }

  /**
   * Reads a file in.
   *
   * @throws Problem when it is no such file, or the household is not empty; nothing is changed then
   */
  public void read(UUID household, InputStream in) {
    requireEmpty(household);
    spool.filled(
        in,
        file -> {
          try {
            read(household, file);
          } catch (DamagedException e) {
            throw refused(Problem.why(e));
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
          return true;
        });
  }

  private void read(UUID household, Path path) throws IOException {
    Archive archive = new Archive(path);
    Inspection inspection = new Inspection(tables);
    archive.read(inspection);
    Archive.Settings settings = checked(inspection.head().household());
    turns.take(
        household,
        () -> {
          requireEmpty(household);
          tell(household, settings);
          fill(household, archive, inspection.ids());
        });
  }

  private void fill(UUID household, Archive archive, Ids ids) {
    Instant now = households.now(household);
    try (Shadows shadows = Shadows.over(jdbc, tables.counted())) {
      Filling all = new Filling(jdbc, tables, household, ids, table -> true);
      archive.read(all);
      entities.clear();
      open(household, now);
      entities.clear();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (DataIntegrityViolationException e) {
      throw new DamagedException("a row in it does not fit to the others");
    }
    try {
      archive.read(new Filling(jdbc, tables, household, ids, KeptTable::counted));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    tables.keepers().forEach(keeper -> keeper.planAgain(household, now));
  }

  private void open(UUID household, Instant now) {
    try {
      tables.keepers().forEach(keeper -> keeper.open(household, now));
    } catch (DamagedException e) {
      throw e;
    } catch (RuntimeException e) {
      LOG.info("A backup cannot be opened.", e);
      throw new DamagedException("what stands in it cannot be opened");
    }
  }

  private void tell(UUID household, Archive.Settings settings) {
    households.settle(
        household,
        MeasureSystem.valueOf(settings.measures()),
        settings.fahrenheit(),
        ZoneId.of(settings.timeZone()),
        School.valueOf(settings.school()));
    tables.keepers().forEach(keeper -> keeper.makeRoom(household));
  }

  /** What the household could not be opened with is refused. */
  private static Archive.Settings checked(Archive.Settings settings) {
    try {
      MeasureSystem.valueOf(settings.measures());
      School.valueOf(settings.school());
      ZoneId.of(settings.timeZone());
      if (settings.timeZone().length() <= 60) {
        return settings;
      }
    } catch (IllegalArgumentException | NullPointerException | DateTimeException e) {
      // Told below.
    }
    throw new DamagedException("its household has settings that do not exist");
  }

  private void requireEmpty(UUID household) {
    for (KeptTable table : tables.all()) {
      if (table.name().equals("kitchen")) {
        // Every household has one from its beginning.
        continue;
      }
      Integer rows =
          jdbc.queryForObject(
              "select count(*) from (select 1 from "
                  + table.name()
                  + " where household_id = ? limit 1) r",
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

  private static Problem refused(String why) {
    return Problem.invalid(
        FieldProblem.of(
            "file", null, "This file was not read in: " + why + ". Nothing was changed."));
  }
}
