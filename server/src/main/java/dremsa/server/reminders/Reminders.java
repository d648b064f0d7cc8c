package dremsa.server.reminders;

import dremsa.server.accounts.ClockMoved;
import dremsa.server.accounts.Turns;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
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
  private final Turns turns;
  private final ApplicationEventPublisher events;

  Reminders(
      JdbcTemplate jdbc,
      Clock clock,
      @Value("${dremsa.movable-clock}") boolean movableClock,
      Turns turns,
      ApplicationEventPublisher events) {
    this.events = events;
    this.jdbc = jdbc;
    this.clock = clock;
    this.movableClock = movableClock;
    this.turns = turns;
  }

  /** Replaces all that is still due about a subject. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void replace(UUID household, String subject, List<Due> dues) {
    turns.require(household);
    jdbc.update(
        "delete from reminder where household_id = ? and subject = ?",
        household.toString(),
        subject);
    jdbc.batchUpdate(
        "insert ignore into reminder"
            + " (household_id, subject, occasion, due_at, kind, title, words, link)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
        dues.stream()
            .map(
                due ->
                    new Object[] {
                      household.toString(),
                      subject,
                      due.occasion(),
                      Timestamp.from(due.at()),
                      due.kind().name(),
                      cut(due.title(), 160),
                      cut(due.words(), 400),
                      due.link()
                    })
            .toList());
  }

  /** Takes what was told of a subject out of the tray as well: nobody is to be named any more. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void forget(UUID household, String subject) {
    turns.require(household);
    String of = subject + "%";
    jdbc.update(
        "delete from message where household_id = ? and occasion like ?", household.toString(), of);
    jdbc.update(
        "delete from reminder where household_id = ? and occasion like ?",
        household.toString(),
        of);
  }

  private static String cut(String words, int most) {
    return words.length() <= most ? words : words.substring(0, most - 1) + "…";
  }

  /**
   * Something that will be due.
   *
   * @param occasion unique, stable while it stays the same thing
   */
  public record Coming(String occasion, Instant at, String title, String words) {}

  /** What calls for hands, of the subjects that begin so, the soonest first. */
  public List<Coming> coming(UUID household, String subjects, int most) {
    return jdbc.query(
        "select occasion, due_at, title, words from reminder where household_id = ?"
            + " and subject like ? and kind = 'NOW' order by due_at limit ?",
        (row, n) ->
            new Coming(
                row.getString(1),
                row.getTimestamp(2).toInstant(),
                row.getString(3),
                row.getString(4)),
        household.toString(),
        subjects + "%",
        most);
  }

  /** A moved clock makes due what is due then, so that tests need not wait for the scheduler. */
  @EventListener
  public void clockMoved(ClockMoved event) {
    turns.take(event.household(), () -> write(event.household()));
  }

  /**
   * Writes all that is due now to the trays, each household's in a turn of its own. A household
   * that somebody else writes to at this moment waits for the next time, so that it holds up no
   * other. Safe to call from anywhere, any number of times.
   */
  public void writeDue() {
    List<UUID> waiting =
        jdbc.query(
            "select distinct r.household_id from reminder r join household_state h on h.id = r.household_id"
                + " where r.due_at <= "
                + moved()
                + " limit "
                + AT_ONCE,
            (row, n) -> UUID.fromString(row.getString(1)),
            Timestamp.from(clock.instant()));
    waiting.forEach(household -> turns.takeIfFree(household, () -> write(household)));
  }

  private String moved() {
    return movableClock ? "timestampadd(second, h.clock_offset_seconds, ?)" : "?";
  }

  private void write(UUID household) {
    Timestamp now = Timestamp.from(clock.instant());
    List<Waiting> due =
        jdbc.query(
            "select r.id, r.occasion, r.kind, r.title, r.words, r.link from reminder r"
                + " join household_state h on h.id = r.household_id"
                + " where r.household_id = ? and r.due_at <= "
                + moved()
                + " order by r.due_at, r.title, r.id limit "
                + AT_ONCE,
            (row, n) ->
                new Waiting(
                    row.getLong(1),
                    new MessageWritten(
                        household,
                        row.getString(2),
                        Due.Kind.valueOf(row.getString(3)),
                        row.getString(4),
                        row.getString(5),
                        row.getString(6))),
            household.toString(),
            now);
    for (Waiting waiting : due) {
      int written =
          jdbc.update(
              "insert ignore into message"
                  + " (household_id, occasion, due_at, written_at, kind, title, words, link)"
                  + " select household_id, occasion, due_at, ?, kind, title, words, link"
                  + " from reminder where id = ?",
              now,
              waiting.id());
      jdbc.update("delete from reminder where id = ?", waiting.id());
      if (written == 1) {
        events.publishEvent(waiting.message());
      }
    }
  }

  private record Waiting(long id, MessageWritten message) {}
}
