package dremsa.server.push;

import dremsa.server.reminders.Due;
import dremsa.server.reminders.MessageWritten;
import dremsa.server.reminders.Repeated;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.security.GeneralSecurityException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jose4j.lang.JoseException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sends what was written to a tray to the devices of its household. A call is kept in the same
 * transaction as its message, sent as soon as that stands, and sent again for an hour where the
 * push service does not take it; so it outlives a kill. Each is claimed by the instance that sends
 * it. A service that knows the device no more has it taken out.
 */
@Component
class Deliveries {
  private static final Logger LOG = LoggerFactory.getLogger(Deliveries.class);
  private static final int AT_ONCE = 50;
  private static final Duration CONNECT = Duration.ofSeconds(4);

  /** A claim holds so long: whoever made it is done by then, or dead. */
  private static final Duration CLAIM = Duration.ofSeconds(15);

  private static final int GONE = 410;
  private static final int NOT_FOUND = 404;
  private static final int TOO_LARGE = 413;

  private final JdbcTemplate jdbc;
  private final PushKeys keys;
  private final PushAddress addresses;
  private final JsonMapper json;
  private final Clock clock;
  private final String subject;
  private final ExecutorService senders = Executors.newFixedThreadPool(4, Deliveries::daemon);
  private final HttpClient http =
      HttpClient.newBuilder()
          .connectTimeout(CONNECT)
          // Where it leads was not looked at.
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();

  Deliveries(
      JdbcTemplate jdbc,
      PushKeys keys,
      PushAddress addresses,
      JsonMapper json,
      Clock clock,
      @Value("${dremsa.push.subject}") String subject) {
    this.jdbc = jdbc;
    this.keys = keys;
    this.addresses = addresses;
    this.json = json;
    this.clock = clock;
    this.subject = subject;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "push");
    thread.setDaemon(true);
    return thread;
  }

  @PreDestroy
  void close() {
    senders.shutdownNow();
  }

  /** What was written is to be sent to every device of its household. */
  @EventListener
  void written(MessageWritten message) {
    int kept =
        jdbc.update(
            "insert into push_delivery (household_id, subscription_id, occasion, kind, title,"
                + " words, link, made_at, next_at) select household_id, id, ?, ?, ?, ?, ?, ?, ?"
                + " from push_subscription where household_id = ?",
            message.occasion(),
            message.kind().name(),
            message.title(),
            message.words(),
            message.link(),
            now(),
            now(),
            message.household().toString());
    if (kept > 0) {
      soon();
    }
  }

  /** Calls one device now, to hear whether it arrives. */
  void tryOut(UUID household, UUID subscription) {
    jdbc.update(
        "insert into push_delivery (household_id, subscription_id, occasion, kind, title, words,"
            + " link, made_at, next_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
        household.toString(),
        subscription.toString(),
        "try:" + UUID.randomUUID(),
        Due.Kind.NOW.name(),
        "Dremsa",
        "So it calls when a pot is due.",
        "/tray",
        now(),
        now());
    soon();
  }

  private Timestamp now() {
    return Timestamp.from(clock.instant());
  }

  /** Sends as soon as what was written stands. */
  private void soon() {
    if (!TransactionSynchronizationManager.isSynchronizationActive()) {
      senders.execute(this::sendDue);
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            senders.execute(Deliveries.this::sendDue);
          }
        });
  }

  private record Call(
      long id,
      String subscription,
      String endpoint,
      String publicKey,
      String secret,
      String occasion,
      String kind,
      String title,
      String words,
      String link,
      Instant madeAt,
      Timestamp nextAt,
      int tries) {}

  /** Sends what is due to be sent; safe to call from anywhere, any number of times. */
  void sendDue() {
    List<Call> calls =
        jdbc.query(
            "select d.id, s.id, s.endpoint, s.public_key, s.secret, d.occasion, d.kind, d.title,"
                + " d.words, d.link, d.made_at, d.next_at, d.tries from push_delivery d"
                + " join push_subscription s on s.id = d.subscription_id"
                + " where d.next_at <= ? order by d.id limit "
                + AT_ONCE,
            (row, n) ->
                new Call(
                    row.getLong(1),
                    row.getString(2),
                    row.getString(3),
                    row.getString(4),
                    row.getString(5),
                    row.getString(6),
                    row.getString(7),
                    row.getString(8),
                    row.getString(9),
                    row.getString(10),
                    row.getTimestamp(11).toInstant(),
                    row.getTimestamp(12),
                    row.getInt(13)),
            now());
    calls.stream().filter(this::claim).forEach(call -> senders.execute(() -> send(call)));
  }

  private boolean claim(Call call) {
    return jdbc.update(
            "update push_delivery set next_at = ?, tries = tries + 1 where id = ? and next_at = ?",
            Timestamp.from(clock.instant().plus(CLAIM)),
            call.id(),
            call.nextAt())
        == 1;
  }

  private void send(Call call) {
    String problem = tell(call);
    jdbc.update(
        "update push_subscription set last_at = ?, problem = ? where id = ?",
        now(),
        problem,
        call.subscription());
    boolean old = call.madeAt().isBefore(clock.instant().minus(Sealing.WORTH));
    if (problem == null || old) {
      jdbc.update("delete from push_delivery where id = ?", call.id());
    } else {
      // 2, 4, 8 ... seconds, at most two minutes apart.
      long wait = Math.min(120, 1L << Math.min(7, call.tries() + 1));
      jdbc.update(
          "update push_delivery set next_at = ? where id = ?",
          Timestamp.from(clock.instant().plusSeconds(wait)),
          call.id());
    }
  }

  /** Why it did not arrive; null when it did. */
  private @Nullable String tell(Call call) {
    String refused = addresses.refused(call.endpoint()).orElse(null);
    if (refused != null) {
      return refused;
    }
    try {
      HttpRequest request =
          new Sealing(keys.pair(), subject)
              .request(
                  call.endpoint(),
                  call.publicKey(),
                  call.secret(),
                  json.writeValueAsString(
                      Map.of(
                          "title", call.title(),
                          "words", call.words(),
                          "link", call.link(),
                          "tag", call.occasion(),
                          "kind", call.kind())),
                  !call.kind().equals(Due.Kind.SOON.name()));
      int status = http.send(request, HttpResponse.BodyHandlers.discarding()).statusCode();
      if (status == GONE || status == NOT_FOUND) {
        jdbc.update("delete from push_subscription where id = ?", call.subscription());
        return null;
      }
      return status / 100 == 2
          ? null
          : status == TOO_LARGE
              ? "The push service found it too long."
              : "The push service answered " + status + ".";
    } catch (IOException e) {
      return "The push service does not answer.";
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "Interrupted while sending.";
    } catch (GeneralSecurityException | JoseException | IllegalArgumentException e) {
      LOG.warn("A call could not be sealed: {}", e.toString());
      return "Its key is not understood.";
    }
  }

  @Bean
  static Repeated sendPushes(Deliveries deliveries) {
    return new Repeated("send-pushes", Duration.ofSeconds(2), deliveries::sendDue);
  }
}
