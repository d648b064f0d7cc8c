package dremsa.server.http;

import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Knows when the database is away. The first request that cannot reach it finds out; from then on
 * every other is answered at once, until the database answers again.
 */
@Component
class Outage {
  private static final Logger LOG = LoggerFactory.getLogger(Outage.class);

  private final DataSource database;
  private volatile boolean away;

  Outage(DataSource database) {
    this.database = database;
  }

  boolean lasts() {
    return away;
  }

  /** Whether a failure is the database's being away. */
  boolean isOne(Throwable failure) {
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof SQLTransientConnectionException
          || t instanceof SQLNonTransientConnectionException
          || t instanceof SQLRecoverableException
          // What the pool says of a connection that was lost meanwhile has no state at all.
          || (t instanceof SQLException sql
              && (sql.getSQLState() == null || sql.getSQLState().startsWith("08")))) {
        return true;
      }
    }
    return false;
  }

  /** The answer to a request that could not reach it. */
  ResponseEntity<ProblemDetail> began() {
    if (!away) {
      LOG.warn("The database does not answer.");
    }
    away = true;
    return answer();
  }

  static ResponseEntity<ProblemDetail> answer() {
    return ProblemHandler.answer(
        HttpStatus.SERVICE_UNAVAILABLE,
        "database-away",
        "Dremsa cannot reach its records at this moment. Try again in a few seconds: what you send"
            + " again with the same key is done once.",
        List.of());
  }

  @Scheduled(fixedDelay = 500, timeUnit = TimeUnit.MILLISECONDS)
  void look() {
    if (!away) {
      return;
    }
    try (var connection = database.getConnection()) {
      if (connection.isValid(1)) {
        away = false;
        LOG.info("The database answers again.");
      }
    } catch (SQLException e) {
      LOG.debug("still away", e);
    }
  }
}
