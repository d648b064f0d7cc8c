package dremsa.server.http;

import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lets a phone repeat a request whose answer it never saw. Key, request and answer are written in
 * the transaction of the work itself, so either all of it happened or none.
 */
@Component
public class Idempotency {
  private static final int KEPT_DAYS = 3;
  private static final int LONGEST_KEY = 80;

  private final JdbcTemplate jdbc;
  private final JsonMapper json;
  private final JsonMapper canonical;
  private final Clock clock;

  Idempotency(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
    this.jdbc = jdbc;
    this.json = json;
    this.canonical =
        json.rebuild()
            .enable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();
    this.clock = clock;
  }

  /**
   * Does the work once for a key. It runs in the household's turn: a second device with the same
   * key has waited for the first one's transaction, and finds its answer here.
   *
   * @param key from the header, compared by its bytes; without one the work is simply done
   * @param request what was asked; the same key with another request is refused
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public <T> T once(UUID household, String key, Object request, Class<T> type, Supplier<T> work) {
    if (key == null || key.isBlank()) {
      return work.get();
    }
    byte[] bytes = key.getBytes(StandardCharsets.UTF_8);
    if (bytes.length > LONGEST_KEY) {
      throw Problem.invalid(
          FieldProblem.of("Idempotency-Key", null, "A key has at most 80 characters."));
    }
    String hash = hash(request);
    Optional<Kept> kept = find(household, bytes);
    if (kept.isPresent()) {
      if (!kept.get().hash().equals(hash)) {
        throw new Problem(
            HttpStatus.CONFLICT, "key-reused", "This key was used for another request.", List.of());
      }
      return json.readValue(kept.get().response(), type);
    }
    T answer = work.get();
    jdbc.update(
        "insert into idempotency values (?, ?, ?, 200, ?, ?)",
        household.toString(),
        bytes,
        hash,
        json.writeValueAsString(answer),
        Timestamp.from(clock.instant()));
    return answer;
  }

  private record Kept(String hash, String response) {}

  private Optional<Kept> find(UUID household, byte[] key) {
    return jdbc
        .query(
            "select request_hash, response from idempotency where household_id = ? and idempotency_key = ?",
            (row, n) -> new Kept(row.getString(1), row.getString(2)),
            household.toString(),
            key)
        .stream()
        .findFirst();
  }

  /** Forgets keys that no phone will repeat any more. */
  @Scheduled(fixedDelay = 6, initialDelay = 1, timeUnit = java.util.concurrent.TimeUnit.HOURS)
  @Transactional
  public void forgetOld() {
    jdbc.update(
        "delete from idempotency where created_at < ?",
        Timestamp.from(clock.instant().minus(KEPT_DAYS, ChronoUnit.DAYS)));
  }

  /**
   * What was asked, as a number that is the same in every process: maps and records are written in
   * the order of their names.
   */
  private String hash(Object request) {
    return DigestUtils.sha256Hex(canonical.writeValueAsBytes(request));
  }
}
