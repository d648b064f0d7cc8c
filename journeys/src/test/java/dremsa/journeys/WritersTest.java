package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Many hands at once, at one server and at two, and a database that goes away meanwhile. */
class WritersTest {
  private static final int WRITERS = 8;
  private static final long SECONDS = Long.getLong("dremsa.writers.seconds", 3);

  /** Notes go to a new run after so many: a run's log is bounded. */
  private static final int NOTES_OF_A_RUN = 2500;

  private static DatabaseLine line;
  private static ServerProcess one;
  private static ServerProcess two;

  @BeforeAll
  static void twoServers() throws IOException {
    line = DatabaseLine.open();
    one =
        ServerProcess.startAt(
            ServerProcess.Database.at(line.url()), "none", "--dremsa.scheduler=false");
    two = ServerProcess.start("none", "--dremsa.scheduler=false");
  }

  @AfterAll
  static void end() throws Exception {
    one.close();
    two.close();
    line.close();
  }

  /** A household whose runs are written to. */
  private static final class Pot {
    private final Caller caller;
    private final List<String> runs = new ArrayList<>();
    private int notes;

    Pot() throws IOException {
      caller = Caller.withHousehold(one.address());
      next();
    }

    private void next() throws IOException {
      Caller.Answer run =
          caller.post(
              "/api/batches",
              Map.of(
                  "formulaId",
                  "lemon-balm-spray",
                  "target",
                  Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))));
      runs.add("/api/batches/" + run.body().at("/id").asString());
    }

    synchronized String place() throws IOException {
      if (++notes % NOTES_OF_A_RUN == 0) {
        next();
      }
      return runs.get(runs.size() - 1);
    }
  }

  @ParameterizedTest
  @CsvSource({"1,1", "8,1", "1,2", "8,2"})
  void noWriterIsRefusedNothingIsLostOrDoubled(int households, int servers) throws Exception {
    List<Pot> pots = new ArrayList<>();
    for (int i = 0; i < households; i++) {
      pots.add(new Pot());
    }
    Map<Integer, Integer> answers = new ConcurrentHashMap<>();
    Queue<String> taken = new ConcurrentLinkedQueue<>();
    Queue<String> odd = new ConcurrentLinkedQueue<>();
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
    List<Thread> writers = new ArrayList<>();
    for (int w = 0; w < WRITERS; w++) {
      Pot pot = pots.get(w % households);
      String address = w % servers == 0 ? one.address() : two.address();
      String name = "w" + w + "-";
      Thread writer =
          new Thread(
              () -> {
                Caller caller = pot.caller.elsewhere(address);
                for (int i = 0; System.nanoTime() < end; i++) {
                  write(caller, pot, name + i, answers, taken, odd);
                }
              });
      writers.add(writer);
      writer.start();
    }
    for (Thread writer : writers) {
      writer.join();
    }
    System.out.printf(
        "%d writers, %d households, %d servers, %d s: answers %s, %d notes taken%n",
        WRITERS, households, servers, SECONDS, answers, taken.size());
    assertThat(odd).isEmpty();
    assertThat(answers.keySet()).containsExactly(200);
    List<String> kept = new ArrayList<>();
    for (Pot pot : pots) {
      for (String run : pot.runs) {
        pot.caller
            .get(run)
            .body()
            .at("/log")
            .forEach(entry -> kept.add(pots.indexOf(pot) + entry.at("/words").asString()));
      }
    }
    assertThat(kept).doesNotHaveDuplicates().hasSameSizeAs(taken);
  }

  /** Every third tap is sent twice at the same moment, as an impatient phone does. */
  private static void write(
      Caller caller,
      Pot pot,
      String words,
      Map<Integer, Integer> answers,
      Queue<String> taken,
      Queue<String> odd) {
    try {
      String path = pot.place() + "/entries";
      Map<String, Object> note = Map.of("kind", "NOTE", "words", words);
      String key = UUID.randomUUID().toString();
      Thread twin =
          new Thread(
              () -> {
                try {
                  Caller.Answer again = caller.post(path, note, key);
                  answers.merge(again.status(), 1, Integer::sum);
                } catch (IOException e) {
                  odd.add("twin: " + e);
                }
              });
      boolean twice = words.hashCode() % 3 == 0;
      if (twice) {
        twin.start();
      }
      Caller.Answer answer = caller.post(path, note, key);
      answers.merge(answer.status(), 1, Integer::sum);
      if (answer.status() == 200) {
        taken.add(words);
      } else {
        odd.add(answer.toString());
      }
      if (twice) {
        twin.join();
      }
    } catch (IOException e) {
      odd.add(e.toString());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** While the database is away that is said, and nothing more; it comes back by itself. */
  @Test
  void aDatabaseThatIsAwayIsSaidAndComesBack() throws Exception {
    Pot pot = new Pot();
    AtomicBoolean over = new AtomicBoolean();
    Map<Integer, Integer> answers = new ConcurrentHashMap<>();
    Queue<String> odd = new ConcurrentLinkedQueue<>();
    Queue<String> taken = new ConcurrentLinkedQueue<>();
    List<Thread> writers = new ArrayList<>();
    for (int w = 0; w < WRITERS; w++) {
      String name = "before-" + w + "-";
      Thread writer =
          new Thread(
              () -> {
                for (int i = 0; !over.get(); i++) {
                  write(pot.caller, pot, name + i, answers, taken, odd);
                }
              });
      writers.add(writer);
      writer.start();
    }
    // Right among what they write.
    while (taken.size() < 3 * WRITERS) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(1));
    }
    line.cut();
    for (String path : List.of("/api/bottles", "/api/session", "/api/household", "/api/bottles")) {
      Caller.Answer away = pot.caller.get(path);
      assertThat(away.status()).as(away.toString()).isEqualTo(503);
      assertThat(away.body().at("/type").asString()).isEqualTo("urn:dremsa:problem:database-away");
      assertThat(away.retryAfter()).isNotEmpty();
    }
    over.set(true);
    for (Thread writer : writers) {
      writer.join();
    }
    assertThat(answers.keySet()).as(odd.toString()).containsOnly(200, 503);
    String path = pot.place() + "/entries";
    Map<String, Object> note = Map.of("kind", "NOTE", "words", "while it was away");
    assertThat(pot.caller.post(path, note, "the same tap").status()).isEqualTo(503);
    line.mend();
    Caller.Answer answer = pot.caller.post(path, note, "the same tap");
    for (int i = 0; answer.status() == 503 && i < 400; i++) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
      answer = pot.caller.post(path, note, "the same tap");
    }
    assertThat(answer.status()).as(answer.toString()).isEqualTo(200);
    // What was done at one server is known at the other, whichever process hashes it.
    Caller.Answer repeated = pot.caller.elsewhere(two.address()).post(path, note, "the same tap");
    assertThat(repeated.status()).as(repeated.toString()).isEqualTo(200);
    List<String> kept =
        repeated.body().at("/log").valueStream().map(e -> e.at("/words").asString()).toList();
    assertThat(kept).doesNotHaveDuplicates().containsAll(taken).contains("while it was away");
  }
}
