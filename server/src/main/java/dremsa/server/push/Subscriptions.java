package dremsa.server.push;

import dremsa.server.accounts.Member;
import dremsa.server.http.Problem;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The devices that a household wants to be called on. */
@Service
class Subscriptions {
  /** More devices than a home has are a mistake. */
  private static final int MOST = 30;

  private final JdbcTemplate jdbc;
  private final PushKeys keys;
  private final Clock clock;

  Subscriptions(JdbcTemplate jdbc, PushKeys keys, Clock clock) {
    this.jdbc = jdbc;
    this.keys = keys;
    this.clock = clock;
  }

  String publicKey() {
    return keys.pair().publicKey();
  }

  List<PushController.Called> of(UUID household) {
    return jdbc.query(
        "select id, name, endpoint, made_at, last_at, problem from push_subscription"
            + " where household_id = ? order by made_at, id",
        (row, n) -> {
          Timestamp last = row.getTimestamp(5);
          return new PushController.Called(
              UUID.fromString(row.getString(1)),
              row.getString(2),
              URI.create(row.getString(3)).getHost(),
              row.getTimestamp(4).toInstant(),
              last == null ? null : last.toInstant(),
              row.getString(6));
        },
        household.toString());
  }

  /** The id, if it is one of this household's. */
  UUID get(UUID household, UUID id) {
    return of(household).stream()
        .map(PushController.Called::id)
        .filter(id::equals)
        .findFirst()
        .orElseThrow(() -> Problem.notFound("device that is called"));
  }

  /** An address belongs to one browser: signed in elsewhere, it calls for the new household. */
  @Transactional
  void keep(Member member, PushController.Subscribe form) {
    String hash = DigestUtils.sha256Hex(form.endpoint().getBytes(StandardCharsets.UTF_8));
    jdbc.update("delete from push_subscription where endpoint_hash = ?", hash);
    if (of(member.household()).size() >= MOST) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "full",
          "Thirty devices are called already: take one out first.",
          List.of());
    }
    jdbc.update(
        "insert into push_subscription (id, household_id, account_id, name, endpoint,"
            + " endpoint_hash, public_key, secret, made_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
        UUID.randomUUID().toString(),
        member.household().toString(),
        member.accountId().toString(),
        form.name().strip(),
        form.endpoint(),
        hash,
        form.publicKey(),
        form.secret(),
        Timestamp.from(clock.instant()));
  }

  @Transactional
  void forget(UUID household, UUID id) {
    jdbc.update(
        "delete from push_subscription where household_id = ? and id = ?",
        household.toString(),
        id.toString());
  }
}
