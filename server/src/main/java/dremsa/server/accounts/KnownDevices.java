package dremsa.server.accounts;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.apache.commons.codec.digest.DigestUtils;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.WebUtils;

/**
 * Knows devices on which somebody signed in before, by a cookie of which only the hash is kept. It
 * opens nothing: it only lets tries on that device be counted apart.
 */
@Component
class KnownDevices {
  private static final String COOKIE = "DREMSA_DEVICE";
  private static final Duration KEPT = Duration.ofDays(400);
  private static final int LONGEST = 100;

  private final JdbcTemplate jdbc;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  KnownDevices(JdbcTemplate jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** The hash of this device, if the account was signed in on it before. */
  @Nullable String of(@Nullable Account account, HttpServletRequest request) {
    Optional<String> hash = token(request).map(DigestUtils::sha256Hex);
    if (account == null || hash.isEmpty()) {
      return null;
    }
    return jdbc
        .queryForList(
            "select token_hash from known_device where token_hash = ? and account_id = ?",
            String.class,
            hash.get(),
            account.id().toString())
        .stream()
        .findFirst()
        .orElse(null);
  }

  private static Optional<String> token(HttpServletRequest request) {
    Cookie cookie = WebUtils.getCookie(request, COOKIE);
    return Optional.ofNullable(cookie)
        .map(Cookie::getValue)
        .filter(value -> !value.isEmpty() && value.length() <= LONGEST);
  }

  /** Somebody has signed in on this device. */
  @Transactional
  public void met(UUID account, HttpServletRequest request, HttpServletResponse response) {
    Timestamp now = Timestamp.from(clock.instant());
    int known =
        token(request)
            .map(
                token ->
                    jdbc.update(
                        "update known_device set used_at = ? where token_hash = ? and account_id = ?",
                        now,
                        DigestUtils.sha256Hex(token),
                        account.toString()))
            .orElse(0);
    if (known > 0) {
      return;
    }
    byte[] bytes = new byte[32];
    random.nextBytes(bytes);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    jdbc.update(
        "insert into known_device (token_hash, account_id, used_at) values (?, ?, ?)",
        DigestUtils.sha256Hex(token),
        account.toString(),
        now);
    response.addHeader(
        HttpHeaders.SET_COOKIE,
        ResponseCookie.from(COOKIE, token)
            .httpOnly(true)
            .secure(request.isSecure())
            .sameSite("Lax")
            .path("/api/session")
            .maxAge(KEPT)
            .build()
            .toString());
  }

  /** Devices that were not seen for so long are strangers again. */
  @Scheduled(fixedDelay = 24, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  @Transactional
  public void forgetOld() {
    jdbc.update(
        "delete from known_device where used_at < ?", Timestamp.from(clock.instant().minus(KEPT)));
  }
}
