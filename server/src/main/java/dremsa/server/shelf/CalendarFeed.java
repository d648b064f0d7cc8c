package dremsa.server.shelf;

import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The private address of a household's calendar; only a hash of its token is kept. */
@Component
class CalendarFeed {
  private static final int TOKEN_BYTES = 32;

  private final JdbcTemplate jdbc;
  private final SecureRandom random = new SecureRandom();

  CalendarFeed(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  boolean made(UUID household) {
    Integer count =
        jdbc.queryForObject(
            "select count(*) from feed where household_id = ?",
            Integer.class,
            household.toString());
    return count != null && count > 0;
  }

  /** Makes a token, told this once; an earlier one no longer counts. */
  String make(UUID household, Instant now) {
    byte[] bytes = new byte[TOKEN_BYTES];
    random.nextBytes(bytes);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    jdbc.update(
        "replace into feed (household_id, token_hash, made_at) values (?, ?, ?)",
        household.toString(),
        DigestUtils.sha256Hex(token),
        Timestamp.from(now));
    return token;
  }

  void revoke(UUID household) {
    jdbc.update("delete from feed where household_id = ?", household.toString());
  }

  /** Whose token it is. */
  Optional<UUID> household(String token) {
    return jdbc
        .query(
            "select household_id from feed where token_hash = ?",
            (row, n) -> UUID.fromString(row.getString(1)),
            DigestUtils.sha256Hex(token))
        .stream()
        .findFirst();
  }
}
