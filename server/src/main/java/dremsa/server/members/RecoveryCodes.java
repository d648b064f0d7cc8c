package dremsa.server.members;

import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.Code;
import dremsa.server.accounts.Member;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Codes to print, each good for one new password; only their hashes are kept. */
@Component
class RecoveryCodes {
  static final int MADE = 8;

  private final JdbcTemplate jdbc;
  private final Accounts accounts;
  private final Clock clock;

  RecoveryCodes(JdbcTemplate jdbc, Accounts accounts, Clock clock) {
    this.jdbc = jdbc;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Makes new ones; earlier ones are worth nothing any more. */
  @Transactional
  public List<String> make(UUID account) {
    List<String> codes = Stream.generate(Code::make).limit(MADE).toList();
    jdbc.update("delete from recovery_code where account_id = ?", account.toString());
    Timestamp now = Timestamp.from(clock.instant());
    jdbc.batchUpdate(
        "insert into recovery_code (account_id, code_hash, made_at) values (?, ?, ?)",
        codes.stream()
            .map(code -> new Object[] {account.toString(), Code.hash(code), now})
            .toList());
    return codes;
  }

  RecoveryController.CodesLeft left(UUID account) {
    return jdbc.queryForObject(
        "select count(*), max(made_at) from recovery_code where account_id = ?",
        (row, n) ->
            new RecoveryController.CodesLeft(
                row.getInt(1),
                row.getTimestamp(2) == null ? null : row.getTimestamp(2).toInstant()),
        account.toString());
  }

  /** Whose code it is, if it is one of this name. */
  Optional<Member> owner(String signIn, String code) {
    return accounts
        .bySignIn(signIn)
        .filter(
            member ->
                !jdbc.queryForList(
                        "select 1 from recovery_code where account_id = ? and code_hash = ?",
                        member.accountId().toString(),
                        Code.hash(code))
                    .isEmpty());
  }

  /**
   * Uses a code up.
   *
   * @return whether it was still there
   */
  @Transactional
  public boolean use(UUID account, String code) {
    return jdbc.update(
            "delete from recovery_code where account_id = ? and code_hash = ?",
            account.toString(),
            Code.hash(code))
        == 1;
  }
}
