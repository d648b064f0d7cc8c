package dremsa.server.http;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lets a phone repeat a request whose answer it never saw. Key, request and answer are written in
 * the transaction of the work itself, so either all of it happened or none.
 */
@Component
public class Idempotency {
  private static final int KEPT_DAYS = 3;

  private final JdbcTemplate jdbc;
  private final JsonMapper json;
  private final Clock clock;

  Idempotency(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
    this.jdbc = jdbc;
    this.json = json;
    this.clock = clock;
  }

  /**
   * Does the work once for a key.
   *
   * @param key from the header; without one the work is simply done
   * @param request what was asked; the same key with another request is refused
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public <T> T once(UUID household, String key, Object request, Class<T> type, Supplier<T> work) {
    if (key == null || key.isBlank()) {
      return work.get();
    }
    if (key.length() > 80) {
      throw Problem.invalid(
          FieldProblem.of("Idempotency-Key", null, "A key has at most 80 characters."));
    }
    String hash = hash(request);
    // Claiming the key first makes a second device wait here for the first one's transaction.
    int claimed =
        jdbc.update(
            "insert ignore into idempotency values (?, ?, ?, 0, '', ?)",
            household.toString(),
            key,
            hash,
            Timestamp.from(clock.instant()));
    if (claimed == 0) {
      return earlier(household, key, hash, type);
    }
    T answer = work.get();
    jdbc.update(
        "update idempotency set status = 200, response = ? where household_id = ? and idempotency_key = ?",
        json.writeValueAsString(answer),
        household.toString(),
        key);
    return answer;
  }

  private <T> T earlier(UUID household, String key, String hash, Class<T> type) {
    record Kept(String hash, String response) {}
    List<Kept> kept =
        jdbc.query(
            "select request_hash, response from idempotency where household_id = ? and idempotency_key = ?",
            (row, n) -> new Kept(row.getString(1), row.getString(2)),
            household.toString(),
            key);
    if (kept.isEmpty() || !kept.get(0).hash().equals(hash)) {
      throw new Problem(
          HttpStatus.CONFLICT, "key-reused", "This key was used for another request.", List.of());
    }
    return json.readValue(kept.get(0).response(), type);
  }

  /** Forgets keys that no phone will repeat any more. */
  @Scheduled(fixedDelay = 6, initialDelay = 1, timeUnit = java.util.concurrent.TimeUnit.HOURS)
  @Transactional
  public void forgetOld() {
    jdbc.update(
        "delete from idempotency where created_at < ?",
        Timestamp.from(clock.instant().minus(KEPT_DAYS, ChronoUnit.DAYS)));
  }

  private String hash(Object request) {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      byte[] body = json.writeValueAsString(request).getBytes(StandardCharsets.UTF_8);
      return HexFormat.of().formatHex(digest.digest(body));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
