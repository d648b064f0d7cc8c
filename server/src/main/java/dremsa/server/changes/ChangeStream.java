package dremsa.server.changes;

import java.io.IOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Keeps the open streams of this instance and polls the database for the revisions of their
 * households, so that a change made through another instance is seen too.
 */
@Component
class ChangeStream {
  private static final long LONGEST_MS = TimeUnit.MINUTES.toMillis(30);

  /** A stream is closed at the latest this many polls after its session ended. */
  private static final int SESSION_CHECK_EVERY = 20;

  private final JdbcTemplate jdbc;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private int polls;

  ChangeStream(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  private static final class Listener {
    private final UUID household;
    private final String session;
    private final SseEmitter emitter = new SseEmitter(LONGEST_MS);
    private long told = -1;

    Listener(UUID household, String session) {
      this.household = household;
      this.session = session;
    }
  }

  SseEmitter open(UUID household, String session) {
    Listener listener = new Listener(household, session);
    Runnable gone = () -> listeners.remove(listener);
    listener.emitter.onCompletion(gone);
    listener.emitter.onTimeout(listener.emitter::complete);
    listener.emitter.onError(e -> gone.run());
    listeners.add(listener);
    return listener.emitter;
  }

  /** An open stream would hold up the end of the server: its page asks again when it is back. */
  @EventListener(ContextClosedEvent.class)
  void end() {
    listeners.forEach(listener -> listener.emitter.complete());
  }

  @Scheduled(fixedDelay = 700, timeUnit = TimeUnit.MILLISECONDS)
  void poll() {
    if (listeners.isEmpty()) {
      return;
    }
    polls++;
    if (polls % SESSION_CHECK_EVERY == 0) {
      closeEnded();
    }
    Set<UUID> households = new HashSet<>();
    listeners.forEach(listener -> households.add(listener.household));
    Map<UUID, Long> revisions = new HashMap<>();
    jdbc.query(
        "select id, revision from household_state where id in (" + marks(households.size()) + ")",
        row -> {
          revisions.put(UUID.fromString(row.getString(1)), row.getLong(2));
        },
        households.stream().map(UUID::toString).toArray());
    for (Listener listener : listeners) {
      Long revision = revisions.get(listener.household);
      if (revision == null) {
        listener.emitter.complete();
      } else if (revision != listener.told) {
        listener.told = revision;
        send(listener, SseEmitter.event().name("revision").data(revision));
      } else if (polls % SESSION_CHECK_EVERY == 0) {
        // A word now and then finds out whether anybody still listens.
        send(listener, SseEmitter.event().comment("still here"));
      }
    }
  }

  private void closeEnded() {
    Set<String> alive =
        new HashSet<>(
            jdbc.queryForList(
                "select session_id from live_session where session_id in ("
                    + marks(listeners.size())
                    + ")",
                String.class,
                listeners.stream().map(listener -> listener.session).toArray()));
    for (Listener listener : listeners) {
      if (!alive.contains(listener.session)) {
        listener.emitter.complete();
      }
    }
  }

  private static String marks(int number) {
    return String.join(",", java.util.Collections.nCopies(Math.max(1, number), "?"));
  }

  private void send(Listener listener, SseEmitter.SseEventBuilder event) {
    try {
      listener.emitter.send(event);
    } catch (IOException | IllegalStateException e) {
      listeners.remove(listener);
    }
  }
}
