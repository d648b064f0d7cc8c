package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The packaged server as processes that are killed, and two of them on one database. */
class FaultsTest {
  private static final int KILLS = Integer.getInteger("dremsa.kills", 10);

  private static Map<String, Object> wanted(String formula) {
    return Map.of(
        "formulaId",
        formula,
        "target",
        Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml")));
  }

  /**
   * Taps go on without a pause while the server is killed at a random one of them, ten times. What
   * was answered must be there afterwards; what was not answered may or may not be, but only once.
   */
  @Test
  void nothingAcknowledgedIsLostThroughTenKills() throws Exception {
    Random dice = new Random(41);
    try (ServerProcess server = ServerProcess.start("none", "--dremsa.scheduler=false")) {
      Caller caller = Caller.withHousehold(server.address());
      JsonNode run = caller.post("/api/batches", wanted("lemon-balm-spray")).body();
      String path = "/api/batches/" + run.at("/id").asString();
      List<String> acknowledged = new CopyOnWriteArrayList<>();
      int named = 0;
      long steps = 0;
      for (int kill = 0; kill < KILLS; kill++) {
        AtomicBoolean over = new AtomicBoolean();
        int from = named;
        Thread taps = new Thread(() -> tapOn(caller, path, "k" + from, acknowledged, over));
        int before = acknowledged.size();
        taps.start();
        int after = before + 1 + dice.nextInt(25);
        await(() -> acknowledged.size() >= after);
        // Somewhere within the next tap.
        LockSupport.parkNanos(TimeUnit.MICROSECONDS.toNanos(dice.nextInt(9000)));
        server.kill();
        over.set(true);
        taps.join();
        named++;
        server.again();
        JsonNode found = caller.get(path).body();
        List<String> kept =
            found.at("/log").valueStream().map(e -> e.at("/words").asString()).toList();
        assertThat(kept).doesNotHaveDuplicates().containsAll(acknowledged);
        assertThat(kept.size()).isLessThanOrEqualTo(acknowledged.size() + kill + 1);
        // The last tap once more, as a phone that missed the answer sends it: it was done already.
        String last = acknowledged.get(acknowledged.size() - 1);
        Caller.Answer repeated =
            caller.post(path + "/entries", Map.of("kind", "NOTE", "words", last), last);
        assertThat(repeated.status()).as(repeated.body().toString()).isEqualTo(200);
        assertThat(repeated.body().at("/log").size()).isEqualTo(kept.size());
        // A step is finished and taken back between the kills: the run itself goes on too.
        Map<String, Object> tap = new HashMap<>();
        tap.put("version", found.at("/version").asLong());
        tap.put("cueSeen", true);
        Caller.Answer done =
            steps == 0
                ? caller.post(path + "/steps/0/finish", tap)
                : caller.post(path + "/undo", Map.of("version", found.at("/version").asLong()));
        assertThat(done.status()).as(done.body().toString()).isEqualTo(200);
        steps = done.body().at("/step").asLong();
      }
      assertThat(acknowledged.size()).isGreaterThan(KILLS);
    }
  }

  private static void tapOn(
      Caller caller, String path, String name, List<String> acknowledged, AtomicBoolean over) {
    for (int i = 0; i < 500 && !over.get(); i++) {
      String words = name + "-" + i;
      try {
        Caller.Answer answer =
            caller.post(path + "/entries", Map.of("kind", "NOTE", "words", words), words);
        if (answer.status() == 200) {
          acknowledged.add(words);
        }
      } catch (IOException e) {
        // The server is gone: this tap was not acknowledged.
        return;
      }
    }
  }

  private static void await(java.util.function.BooleanSupplier condition) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(40);
    while (!condition.getAsBoolean()) {
      if (System.nanoTime() > end) {
        throw new AssertionError("waited too long");
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(2));
    }
  }

  @Test
  void twoServersServeOneHouseholdAndTellEachReminderOnce() throws Exception {
    try (ServerProcess one = ServerProcess.start("none");
        ServerProcess two = ServerProcess.start("none")) {
      Caller caller = Caller.withHousehold(one.address());
      // Due in some seconds by the servers' own clock: both schedulers look for it.
      Instant soon =
          Instant.parse(caller.get("/api/household").body().at("/now").asString()).plusSeconds(6);
      Map<String, Object> planned = new HashMap<>(wanted("fennel-seed-rinse"));
      planned.put("startAt", soon.toString());
      JsonNode run = caller.post("/api/batches", planned).body();
      assertThat(run.at("/status").asString()).isEqualTo("PLANNED");
      // The session and the run are there at the other server.
      caller.at(two.address());
      String path = "/api/batches/" + run.at("/id").asString();
      assertThat(caller.get(path).body().at("/code")).isEqualTo(run.at("/code"));
      await(() -> told(caller) > 0);
      // Another reminder, told after it, shows that both had time to tell the first again.
      planned.put(
          "startAt",
          Instant.parse(caller.get("/api/household").body().at("/now").asString())
              .plusSeconds(8)
              .toString());
      caller.post("/api/batches", planned);
      await(() -> told(caller) > 1);
      assertThat(told(caller)).isEqualTo(2);
      // One server dies; what is due next is told by the other.
      one.kill();
      planned.put(
          "startAt",
          Instant.parse(caller.get("/api/household").body().at("/now").asString())
              .plusSeconds(4)
              .toString());
      caller.post("/api/batches", planned);
      await(() -> told(caller) > 2);
      Caller.Answer begun =
          caller.post(path + "/begin", Map.of("version", run.at("/version").asLong()));
      assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
    }
  }

  private static long told(Caller caller) {
    try {
      return caller
          .get("/api/messages")
          .body()
          .at("/messages")
          .valueStream()
          .filter(m -> m.at("/words").asString().equals("Time to begin"))
          .count();
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }
}
