package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import tools.jackson.databind.JsonNode;

/**
 * Measures what four practised pots at 120 times cost, each looked at as its page does, once for
 * each second of the household's clock; {@code ./dremsa bench} runs it. What it tells is the
 * processor time of a second of all four, server and visitors together, so that the server's is
 * less: figures of this machine, no verdict.
 */
@EnabledIfSystemProperty(named = "dremsa.measure", matches = "true")
class PracticeMeasure {
  private static final int SECONDS = Integer.getInteger("dremsa.measure.seconds", 300);
  private static final int WARM = 100;
  private static final List<String> POTS =
      List.of("too-soon", "to-the-bottom", "under-the-lid", "looks-like-water");

  @Test
  void fourPotsAtFullPace() {
    Visitor owner = Visitor.withHousehold();
    List<String> paths = new ArrayList<>();
    for (String exercise : POTS) {
      JsonNode pot = owner.post("/api/practices", Map.of("exercise", exercise)).body();
      String path = "/api/practices/" + pot.get("id").asString();
      Visitor.Answer next = act(owner, path, pot, Map.of("kind", "NEXT"));
      Visitor.Answer hot = act(owner, path, next.body(), Map.of("kind", "HEAT", "value", 0.4));
      owner.put(path + "/pace", Map.of("version", hot.at("/version").asLong(), "pace", 120));
      paths.add(path);
    }
    look(owner, paths, WARM);
    long before = processorNanos();
    look(owner, paths, SECONDS);
    double share = (processorNanos() - before) / 1e9 / SECONDS;
    System.out.printf(
        Locale.ROOT,
        "four practised pots at 120 times: %.1f %% of a core, with those who look%n",
        100 * share);
    assertThat(owner.get(paths.get(0)).at("/minute").asDouble()).isGreaterThan(60);
  }

  private static Visitor.Answer act(
      Visitor owner, String path, JsonNode pot, Map<String, Object> what) {
    Map<String, Object> form = new java.util.HashMap<>(what);
    form.put("version", pot.get("version").asLong());
    Visitor.Answer done = owner.post(path + "/acts", form);
    assertThat(done.status()).as(done.body().toString()).isEqualTo(200);
    return done;
  }

  /** A second of the household's clock after another, as fast as they come. */
  private static void look(Visitor owner, List<String> paths, int seconds) {
    for (int second = 0; second < seconds; second++) {
      owner.moveClock(1);
      for (String path : paths) {
        assertThat(owner.get(path).status()).isEqualTo(200);
      }
    }
  }

  private static long processorNanos() {
    return ((com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean())
        .getProcessCpuTime();
  }
}
