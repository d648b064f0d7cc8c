package dremsa.server.audit;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Writes down what matters when somebody asks later who had the keys: into the database, for the
 * keepers of the household, and into a log of its own, for whoever runs the server. Within a
 * transaction it is told when that has come about, and not when it was rolled back.
 */
@Component
public class Audit {
  /** The name of the log; the application's settings give it a file of its own. */
  static final String LOG_NAME = "dremsa.audit";

  private static final Logger LOG = LoggerFactory.getLogger(LOG_NAME);
  private static final Duration KEPT = Duration.ofDays(400);
  private static final int WHO = 60;
  private static final int ABOUT = 200;

  private final JdbcTemplate jdbc;
  private final Clock clock;

  Audit(JdbcTemplate jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** What is written down. */
  public enum What {
    HOUSEHOLD_MADE,
    SIGNED_IN,
    WRONG_PASSWORD,
    SIGNED_OUT_ELSEWHERE,
    PASSWORD_CHANGED,
    PASSWORD_RECOVERED,
    RECOVERY_CODES_MADE,
    PASSKEY_ADDED,
    PASSKEY_TAKEN_AWAY,
    INVITED,
    INVITATION_TAKEN_BACK,
    JOINED,
    ROLE_CHANGED,
    TAKEN_AWAY,
    LEFT,
    BACKUP_FETCHED,
    RESTORED,
    HOUSEHOLD_DELETED
  }

  /**
   * A line of the record.
   *
   * @param who as the household calls them, or the name that was tried; null when it is not known
   * @param address where it came from; null when it did not come over the network
   * @param about in words, the rest of it; may be empty
   */
  public record AuditLine(
      long id,
      Instant at,
      What what,
      @Nullable String who,
      @Nullable String address,
      String about) {}

  /** Writes a line. */
  public void tell(
      What what,
      @Nullable UUID household,
      @Nullable String who,
      @Nullable String address,
      String about) {
    String shortWho = who == null ? null : cut(who, WHO);
    String shortAbout = cut(about, ABOUT);
    jdbc.update(
        "insert into audit (at, what, household_id, who, address, about) values (?, ?, ?, ?, ?, ?)",
        Timestamp.from(clock.instant()),
        what.name(),
        household == null ? null : household.toString(),
        shortWho,
        address,
        shortAbout);
    afterwards(
        () ->
            LOG.info(
                "what={} household={} who={} address={} about={}",
                what,
                household,
                quoted(shortWho),
                address,
                quoted(shortAbout)));
  }

  private static void afterwards(Runnable log) {
    if (!TransactionSynchronizationManager.isSynchronizationActive()) {
      log.run();
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            log.run();
          }
        });
  }

  /** On one line, whatever somebody typed as a name. */
  private static @Nullable String quoted(@Nullable String text) {
    return text == null ? null : '"' + text.replaceAll("[\\p{Cntrl}\"]", "?") + '"';
  }

  private static String cut(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most);
  }

  /**
   * A household's lines, the newest first.
   *
   * @param before only those before this number
   */
  public List<AuditLine> of(UUID household, long before, int most) {
    return jdbc.query(
        "select id, at, what, who, address, about from audit"
            + " where household_id = ? and id < ? order by id desc limit ?",
        (row, n) ->
            new AuditLine(
                row.getLong(1),
                row.getTimestamp(2).toInstant(),
                What.valueOf(row.getString(3)),
                row.getString(4),
                row.getString(5),
                row.getString(6)),
        household.toString(),
        before,
        most);
  }

  /** What is older than a year and a bit is nobody's business any more. */
  @Scheduled(fixedDelay = 24, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  @Transactional
  public void forgetOld() {
    jdbc.update("delete from audit where at < ?", Timestamp.from(clock.instant().minus(KEPT)));
  }
}
