package dremsa.server.safekeeping;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Turns;
import dremsa.server.backup.Backup;
import dremsa.server.http.Problem;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/**
 * Puts every household into a file of its own once a night, and reads it back before it counts. A
 * night that was slept through is made up for in the morning. Each good one puts off the warning
 * that comes when there is none for three days: it comes even if nothing here runs any more.
 */
@Service
class Safekeeping {
  private static final Logger LOG = LoggerFactory.getLogger(Safekeeping.class);

  /** Nobody is at the hob then; by the household's own clock. */
  private static final LocalTime NIGHT = LocalTime.of(3, 0);

  /** After a try that failed. */
  private static final Duration AGAIN = Duration.ofHours(1);

  private static final Duration WARNED_AFTER = Duration.ofDays(3);
  private static final String SUBJECT = "backup";
  private static final int WHY = 300;

  private final BackupFolder folder;
  private final Backup backup;
  private final Households households;
  private final Turns turns;
  private final Reminders reminders;
  private final JdbcTemplate jdbc;

  Safekeeping(
      BackupFolder folder,
      Backup backup,
      Households households,
      Turns turns,
      Reminders reminders,
      JdbcTemplate jdbc) {
    this.folder = folder;
    this.backup = backup;
    this.households = households;
    this.turns = turns;
    this.reminders = reminders;
    this.jdbc = jdbc;
  }

  /**
   * How a household's backups stand.
   *
   * @param goodAt when the last one read back whole
   * @param why the last try failed; null when it did not
   */
  record State(@Nullable Instant goodAt, @Nullable Instant triedAt, @Nullable String why) {}

  State state(UUID household) {
    return jdbc
        .query(
            "select good_at, tried_at, why from kept_backup where household_id = ?",
            (row, n) ->
                new State(
                    moment(row.getTimestamp(1)), moment(row.getTimestamp(2)), row.getString(3)),
            household.toString())
        .stream()
        .findFirst()
        .orElse(new State(null, null, null));
  }

  private static @Nullable Instant moment(@Nullable Timestamp at) {
    return at == null ? null : at.toInstant();
  }

  /** Makes those that are due. One that fails keeps no other from being made. */
  void keepDue() {
    if (folder.root().isEmpty()) {
      return;
    }
    for (UUID id : households.all()) {
      try {
        keepIfDue(id);
      } catch (RuntimeException e) {
        // Deleted meanwhile, say: the others go on.
        LOG.warn("A backup could not be thought of.", e);
      }
    }
  }

  /** Makes a household's, if it is due. */
  void keepIfDue(UUID id) {
    Household household = households.of(id);
    State state = state(id);
    Instant now = households.now(household);
    if (state.triedAt() == null) {
      // The first try is still to come: the warning counts from now.
      turns.take(id, () -> warn(household, now));
    }
    if (due(household, state, now)) {
      keep(household);
    }
  }

  private static boolean due(Household household, State state, Instant now) {
    if (state.why() != null
        && state.triedAt() != null
        && now.isBefore(state.triedAt().plus(AGAIN))) {
      return false;
    }
    LocalDate day = household.day(now);
    boolean night = !now.atZone(household.zone()).toLocalTime().isBefore(NIGHT);
    LocalDate wanted = night ? day : day.minusDays(1);
    return state.goodAt() == null || household.day(state.goodAt()).isBefore(wanted);
  }

  /**
   * Makes a household's backup now.
   *
   * @return the file; empty when it failed, which is written down
   */
  Optional<Path> keep(Household household) {
    Instant now = households.now(household);
    try {
      Path made = backup.write(household.id());
      try {
        backup.verify(made);
        Path kept = folder.keep(household.id(), household.name(), household.day(now), made);
        folder.tidy(household.id());
        turns.take(
            household.id(),
            () -> {
              put(household.id(), now, true, null);
              warn(household, now);
            });
        return Optional.of(kept);
      } finally {
        Files.deleteIfExists(made);
      }
    } catch (IOException | UncheckedIOException | Problem e) {
      LOG.warn("The backup of household {} failed.", household.id(), e);
      turns.take(household.id(), () -> put(household.id(), now, false, Problem.why(e)));
      return Optional.empty();
    }
  }

  private void put(UUID household, Instant now, boolean good, @Nullable String why) {
    String words = why == null ? null : why.substring(0, Math.min(WHY, why.length()));
    Timestamp at = Timestamp.from(now);
    jdbc.update(
        "insert into kept_backup (household_id, good_at, tried_at, why) values (?, ?, ?, ?)"
            + " on duplicate key update good_at = if(?, values(good_at), good_at),"
            + " tried_at = values(tried_at), why = values(why)",
        household.toString(),
        good ? at : null,
        at,
        words,
        good);
  }

  private void warn(Household household, Instant good) {
    reminders.replace(
        household.id(),
        SUBJECT,
        List.of(
            new Due(
                "backup:" + good,
                good.plus(WARNED_AFTER),
                Due.Kind.LATE,
                "No good backup for three days",
                "What you brew and keep stands in one place only. Look why, under the household's"
                    + " name, or fetch a file by hand.",
                "/kitchen#backup")));
  }
}
