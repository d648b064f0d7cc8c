package dremsa.server.reminders;

import dremsa.server.accounts.ClockMoved;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what is due and writes it to the tray at its time. A message's occasion is unique in the
 * database: two instances that find the same reminder due write one message.
 */
@Service
public class Reminders {
  private static final int AT_ONCE = 500;

  private final JdbcTemplate jdbc;
  private final Clock clock;
  private final boolean movableClock;

  Reminders(
      JdbcTemplate jdbc, Clock clock, @Value("${dremsa.movable-clock}") boolean movableClock) {
    this.jdbc = jdbc;
    this.clock = clock;
    this.movableClock = movableClock;
  }

  /** Replaces all that is still due about a subject. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void replace(UUID household, String subject, List<Due> dues) {
    jdbc.update(
        "delete from reminder where household_id = ? and subject = ?",
        household.toString(),
        subject);
    for (Due due : dues) {
      jdbc.update(
          "insert ignore into reminder"
              + " (household_id, subject, occasion, due_at, kind, title, words, link)"
              + " values (?, ?, ?, ?, ?, ?, ?, ?)",
          household.toString(),
          subject,
          due.occasion(),
          Timestamp.from(due.at()),
          due.kind().name(),
          cut(due.title(), 160),
          cut(due.words(), 400),
          due.link());
    }
  }

  private static String cut(String words, int most) {
    return words.length() <= most ? words : words.substring(0, most - 1) + "…";
  }

  /** A moved clock makes due what is due then, so that tests need not wait for the scheduler. */
  @EventListener
  @Transactional
  public void clockMoved(ClockMoved event) {
    writeDue();
  }

  private record Row(long id, UUID household) {}

  /**
   * Writes all that is due now to the trays. Safe to call from anywhere, any number of times.
   *
   * @return how many messages were written
   */
  @Transactional
  public int writeDue() {
    Instant now = clock.instant();
    String moved = movableClock ? "timestampadd(second, h.clock_offset_seconds, ?)" : "?";
    List<Row> due =
        jdbc.query(
            "select r.id, r.household_id from reminder r join household h on h.id = r.household_id"
                + " where r.due_at <= "
                + moved
                + " order by r.due_at limit "
                + AT_ONCE,
            (row, n) -> new Row(row.getLong(1), UUID.fromString(row.getString(2))),
            Timestamp.from(now));
    int written = 0;
    TreeSet<UUID> told = new TreeSet<>();
    for (Row row : due) {
      // Households in one order, each locked by its own row first: two instances never wait in a
      // ring.
      if (told.add(row.household())) {
        jdbc.update(
            "update household set revision = revision + 1 where id = ?",
            row.household().toString());
      }
    }
    for (Row row : due) {
      written +=
          jdbc.update(
              "insert ignore into message"
                  + " (household_id, occasion, due_at, written_at, kind, title, words, link)"
                  + " select household_id, occasion, due_at, ?, kind, title, words, link"
                  + " from reminder where id = ?",
              Timestamp.from(now),
              row.id());
      jdbc.update("delete from reminder where id = ?", row.id());
    }
    return written;
  }
}
