package dremsa.server.accounts;

import dremsa.server.http.Problem;
import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing. A try is counted before the password is looked at, so that many at once are
 * no more than many one after another: by the name that is tried, by the address it comes from, and
 * on a device that somebody signed in on before by that device alone. After the free tries of each
 * the next has to wait, longer every time.
 */
@Component
class SignInThrottle {
  private static final int FREE_BY_NAME = 5;
  private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
  private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

  /** What was tried so long ago counts no more. */
  private static final Duration FORGOTTEN = Duration.ofDays(1);

  private final JdbcTemplate jdbc;
  private final Clock clock;
  private final int freeByAddress;

  SignInThrottle(
      JdbcTemplate jdbc,
      Clock clock,
      @Value("${dremsa.sign-in.tries-by-address}") int freeByAddress) {
    this.jdbc = jdbc;
    this.clock = clock;
    this.freeByAddress = freeByAddress;
  }

  /**
   * Counts a try.
   *
   * @param device the hash of a device that this account was signed in on before; null on any other
   * @throws Problem 429 when it comes too early; it is not counted then
   */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void count(String signIn, String address, @Nullable String device) {
    if (device != null) {
      count("device:" + device, FREE_BY_NAME);
    } else {
      // Always in this order, so that no two tries wait for each other.
      count("address:" + address, freeByAddress);
      count("name:" + signIn, FREE_BY_NAME);
    }
  }

  /** Counts a try that goes at no name, as with a code, by its address alone. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void countAddress(String address) {
    count("address:" + address, freeByAddress);
  }

  /** The last counted try of this address was right, and does not count. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void addressWasRight(String address) {
    jdbc.update(
        "update sign_in_try set tries = tries - 1 where subject = ? and tries > 0",
        (Object) ("address:" + address).getBytes(StandardCharsets.UTF_8));
  }

  private void count(String subject, int free) {
    Timestamp now = Timestamp.from(clock.instant());
    byte[] key = subject.getBytes(StandardCharsets.UTF_8);
    // Makes the row where there is none, and takes it: others that try now wait here.
    jdbc.update(
        "insert into sign_in_try (subject, tries, last_at) values (?, 0, ?)"
            + " on duplicate key update tries = if(last_at < ?, 0, tries)",
        key,
        now,
        Timestamp.from(clock.instant().minus(FORGOTTEN)));
    record Tries(int number, Instant last) {}
    Tries found =
        jdbc.queryForObject(
            "select tries, last_at from sign_in_try where subject = ? for update",
            (row, n) -> new Tries(row.getInt(1), row.getTimestamp(2).toInstant()),
            key);
    Instant open = found.last().plus(wait(found.number() - free));
    if (clock.instant().isBefore(open)) {
      long seconds = Math.max(1, Duration.between(clock.instant(), open).toSeconds());
      throw new Problem(
          HttpStatus.TOO_MANY_REQUESTS,
          "too-many-tries",
          "Too many tries. Try again in " + seconds + " seconds.",
          List.of());
    }
    jdbc.update(
        "update sign_in_try set tries = tries + 1, last_at = ? where subject = ?", now, key);
  }

  private static Duration wait(int over) {
    if (over < 0) {
      return Duration.ZERO;
    }
    Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(10, over));
    return wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
  }

  /** The password was right: the name starts afresh, and of the address this try does not count. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void succeeded(String signIn, String address, @Nullable String device) {
    if (device != null) {
      forget("device:" + device);
      return;
    }
    addressWasRight(address);
    forget("name:" + signIn);
  }

  private void forget(String subject) {
    jdbc.update(
        "delete from sign_in_try where subject = ?",
        (Object) subject.getBytes(StandardCharsets.UTF_8));
  }

  /** Names that nobody tries any more are not kept. */
  @Scheduled(fixedDelay = 1, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  @Transactional
  public void forgetOld() {
    jdbc.update(
        "delete from sign_in_try where last_at < ?",
        Timestamp.from(clock.instant().minus(FORGOTTEN)));
  }
}
