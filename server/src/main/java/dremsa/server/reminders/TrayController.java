package dremsa.server.reminders;

import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The message tray: what was told, and what is still to come. */
@RestController
@RequestMapping("/api/messages")
@Transactional
class TrayController {
  private static final int PAGE = 40;
  private static final int COMING = 30;

  private final JdbcTemplate jdbc;
  private final Households households;

  TrayController(JdbcTemplate jdbc, Households households) {
    this.jdbc = jdbc;
    this.households = households;
  }

  /** One message. */
  record MessageLine(
      long id,
      Instant at,
      Due.Kind kind,
      String title,
      String words,
      String link,
      boolean unread) {}

  /** Something that will be told. */
  record ComingLine(Instant at, Due.Kind kind, String title, String words, String link) {}

  /**
   * The tray.
   *
   * @param unread how many in all
   * @param messages the newest first
   * @param coming the next first
   * @param now the server's time
   */
  record Tray(
      int unread, List<MessageLine> messages, List<ComingLine> coming, boolean more, Instant now) {}

  @GetMapping
  Tray tray(@AuthenticationPrincipal Member member, @RequestParam(defaultValue = "0") int page) {
    if (page < 0 || page > 100_000) {
      throw Problem.invalid(FieldProblem.range("page", page, "There is no such page.", 0, 100_000));
    }
    String household = member.household().toString();
    List<MessageLine> messages =
        jdbc.query(
            "select id, due_at, kind, title, words, link, read_at from message"
                + " where household_id = ? order by id desc limit ? offset ?",
            (row, n) ->
                new MessageLine(
                    row.getLong(1),
                    row.getTimestamp(2).toInstant(),
                    Due.Kind.valueOf(row.getString(3)),
                    row.getString(4),
                    row.getString(5),
                    row.getString(6),
                    row.getTimestamp(7) == null),
            household,
            PAGE + 1,
            page * PAGE);
    List<ComingLine> coming =
        jdbc.query(
            "select due_at, kind, title, words, link from reminder where household_id = ?"
                + " order by due_at, title, id limit ?",
            (row, n) ->
                new ComingLine(
                    row.getTimestamp(1).toInstant(),
                    Due.Kind.valueOf(row.getString(2)),
                    row.getString(3),
                    row.getString(4),
                    row.getString(5)),
            household,
            COMING);
    Integer unread =
        jdbc.queryForObject(
            "select count(*) from message where household_id = ? and read_at is null",
            Integer.class,
            household);
    return new Tray(
        unread == null ? 0 : unread,
        messages.subList(0, Math.min(PAGE, messages.size())),
        coming,
        messages.size() > PAGE,
        households.now(member.household()));
  }

  @PostMapping("/{id}/read")
  void read(@AuthenticationPrincipal Member member, @PathVariable long id) {
    markRead(member.household(), "and id = ?", id);
  }

  @PostMapping("/read")
  void readAll(@AuthenticationPrincipal Member member) {
    markRead(member.household(), "and id > ?", 0);
  }

  private void markRead(UUID household, String which, long id) {
    jdbc.update(
        "update message set read_at = ? where household_id = ? and read_at is null " + which,
        Timestamp.from(households.now(household)),
        household.toString(),
        id);
  }
}
