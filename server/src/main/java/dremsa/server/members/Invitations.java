package dremsa.server.members;

import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.Code;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.Role;
import dremsa.server.accounts.Turns;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Ways in for one more person each, that run out. */
@Component
class Invitations {
  /** Open ones at a time; more is a mistake. */
  static final int MOST = 20;

  private final JdbcTemplate jdbc;
  private final Accounts accounts;
  private final Households households;
  private final Turns turns;
  private final Clock clock;

  Invitations(
      JdbcTemplate jdbc, Accounts accounts, Households households, Turns turns, Clock clock) {
    this.jdbc = jdbc;
    this.accounts = accounts;
    this.households = households;
    this.turns = turns;
    this.clock = clock;
  }

  /**
   * An invitation that stands open.
   *
   * @param by how the household calls whoever invited
   */
  record OpenInvitation(UUID id, Role role, String by, Instant until) {}

  private record Row(UUID id, UUID household, Role role, UUID by, Instant until) {}

  private static final RowMapper<Row> ROW =
      (row, n) ->
          new Row(
              UUID.fromString(row.getString(1)),
              UUID.fromString(row.getString(2)),
              Role.valueOf(row.getString(3)),
              UUID.fromString(row.getString(4)),
              row.getTimestamp(5).toInstant());

  private static final String SELECT =
      "select id, household_id, role, invited_by, ends_at from invitation where ";

  private Instant now(UUID household) {
    return households.now(household);
  }

  /** Those of a household that still let somebody in. */
  List<OpenInvitation> of(UUID household) {
    return jdbc
        .query(
            SELECT + "household_id = ? and ends_at > ? order by ends_at, id",
            ROW,
            household.toString(),
            Timestamp.from(now(household)))
        .stream()
        .map(
            row ->
                new OpenInvitation(
                    row.id(), row.role(), accounts.get(household, row.by()).called(), row.until()))
        .toList();
  }

  /**
   * Makes one.
   *
   * @return its code, which is shown now and never again
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public String make(Member by, UUID id, Role role, Instant until) {
    turns.require(by.household());
    jdbc.update(
        "delete from invitation where household_id = ? and ends_at <= ?",
        by.household().toString(),
        Timestamp.from(now(by.household())));
    if (of(by.household()).size() >= MOST) {
      throw Problem.conflict(
          "There are " + MOST + " open invitations. Take some back before you make another.");
    }
    String code = Code.make();
    jdbc.update(
        "insert into invitation (id, household_id, code_hash, role, invited_by, made_at, ends_at)"
            + " values (?, ?, ?, ?, ?, ?, ?)",
        id.toString(),
        by.household().toString(),
        Code.hash(code),
        role.name(),
        by.accountId().toString(),
        Timestamp.from(now(by.household())),
        Timestamp.from(until));
    return code;
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(UUID household, UUID id) {
    turns.require(household);
    int gone =
        jdbc.update(
            "delete from invitation where household_id = ? and id = ?",
            household.toString(),
            id.toString());
    if (gone == 0) {
      throw Problem.notFound("invitation");
    }
  }

  /** What somebody is invited to. */
  record Into(UUID household, String name, Role role, String by, Instant until) {}

  /**
   * What a code opens.
   *
   * @throws Problem 400 at {@code code} when it opens nothing, or no more
   */
  Into look(String code) {
    Row row =
        row(code)
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of(
                            "code",
                            null,
                            "This code opens nothing. It may be mistyped, used, taken back or"
                                + " run out: ask for a new one.")));
    Household household = households.of(row.household());
    return new Into(
        household.id(),
        household.name(),
        row.role(),
        accounts.get(household.id(), row.by()).called(),
        row.until());
  }

  private Optional<Row> row(String code) {
    return jdbc.query(SELECT + "code_hash = ?", ROW, Code.hash(code)).stream()
        .filter(row -> row.until().isAfter(now(row.household())))
        .findFirst();
  }

  /**
   * Lets somebody in; the invitation is used up. Of two who come at once with the same code one is
   * let in.
   */
  Member use(String code, String called, String signIn, String password) {
    UUID household = look(code).household();
    return turns.take(
        household,
        () -> {
          Into into = look(code);
          jdbc.update("delete from invitation where code_hash = ?", Code.hash(code));
          return accounts.add(household, into.role(), called, signIn, password);
        });
  }
}
