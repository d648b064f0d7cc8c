package dremsa.server.accounts;

import dremsa.server.http.Problem;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Slows down guessing: after five wrong passwords for a name, each further try waits longer. */
@Component
class SignInThrottle {
  private static final int FREE_TRIES = 5;
  private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
  private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

  private final JdbcTemplate jdbc;
  private final Clock clock;

  SignInThrottle(JdbcTemplate jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** Refuses a try that comes too early. */
  void check(String signIn) {
    record Failures(int number, Instant last) {}
    List<Failures> found =
        jdbc.query(
            "select failures, last_at from sign_in_failure where sign_in = ?",
            (row, n) -> new Failures(row.getInt(1), row.getTimestamp(2).toInstant()),
            signIn);
    if (found.isEmpty() || found.get(0).number() < FREE_TRIES) {
      return;
    }
    int more = Math.min(10, found.get(0).number() - FREE_TRIES);
    Duration wait = FIRST_WAIT.multipliedBy(1L << more);
    Instant open = found.get(0).last().plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait);
    if (clock.instant().isBefore(open)) {
      long seconds = Math.max(1, Duration.between(clock.instant(), open).toSeconds());
      throw new Problem(
          HttpStatus.TOO_MANY_REQUESTS,
          "too-many-tries",
          "Too many wrong passwords for this name. Try again in " + seconds + " seconds.",
          List.of());
    }
  }

  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void failed(String signIn) {
    jdbc.update(
        "insert into sign_in_failure (sign_in, failures, last_at) values (?, 1, ?)"
            + " on duplicate key update failures = failures + 1, last_at = values(last_at)",
        signIn,
        Timestamp.from(clock.instant()));
  }

  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void succeeded(String signIn) {
    jdbc.update("delete from sign_in_failure where sign_in = ?", signIn);
  }
}
