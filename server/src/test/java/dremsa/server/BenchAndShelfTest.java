package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

class BenchAndShelfTest {
  private final Visitor owner = Visitor.withHousehold();

  private static Map<String, Object> wanted(String formula, int bottles, double size) {
    return Map.of(
        "formulaId",
        formula,
        "target",
        Map.of("kind", "BOTTLES", "count", bottles, "size", Map.of("value", size, "unit", "ml")));
  }

  private Visitor.Answer start(String formula) {
    Visitor.Answer run = owner.post("/api/batches", wanted(formula, 2, 250));
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
    return run;
  }

  private Visitor.Answer finish(Visitor.Answer run, Map<String, Object> more) {
    Map<String, Object> form = new HashMap<>(more);
    form.putIfAbsent("version", run.at("/version").asLong());
    form.putIfAbsent("cueSeen", true);
    form.putIfAbsent("anyway", true);
    return owner.post(
        "/api/batches/" + run.text("/id") + "/steps/" + run.at("/step").asInt() + "/finish", form);
  }

  private static final Map<String, Object> TWO =
      Map.of(
          "bottles",
          List.of(
              Map.of("container", "SPRAY", "sizeMl", 250, "millilitres", 240),
              Map.of("container", "SPRAY", "sizeMl", 250, "millilitres", 240)));

  /** Takes a lemon balm batch to the shelf; the clock moves three hours. */
  private Visitor.Answer bottled() {
    Visitor.Answer run = finish(start("lemon-balm-spray"), Map.of());
    owner.moveClock(3 * 3600);
    run = finish(run, Map.of());
    run = finish(run, Map.of("measuredMl", 488));
    run = finish(run, TWO);
    assertThat(run.text("/status")).as(run.body().toString()).isEqualTo("BOTTLED");
    return run;
  }

  @Test
  void aWholeJobFromPotToDiscard() {
    Visitor.Answer run = bottled();
    assertThat(run.at("/prediction/steps/1/endMinute").asDouble()).isCloseTo(180, within(2.0));
    assertThat(run.text("/done/1/timing")).isEqualTo("RIGHT");

    Visitor.Answer shelf = owner.get("/api/bottles");
    assertThat(shelf.at("/bottles").size()).isEqualTo(2);
    String id = shelf.text("/bottles/0/id");
    LocalDate last = LocalDate.parse(shelf.text("/bottles/0/lastDay"));
    LocalDate today = LocalDate.parse(shelf.text("/today"));
    assertThat(last).isBetween(today.plusDays(4), today.plusDays(6));
    assertThat(run.text("/prediction/keeping/lastDay")).isEqualTo(last.toString());

    Visitor.Answer bottle =
        owner.post("/api/bottles/" + id + "/take", Map.of("version", 0, "millilitres", 40));
    assertThat(bottle.at("/bottle/leftMl").asDouble()).isEqualTo(200);
    assertThat(bottle.text("/keeping/lastDay")).isEqualTo(last.toString());

    bottle =
        owner.post(
            "/api/bottles/" + id + "/discard",
            Map.of("version", 1, "reason", "SMELL", "note", "odd"));
    assertThat(bottle.text("/bottle/status")).isEqualTo("DISCARDED");
    assertThat(owner.get("/api/bottles").at("/bottles").size()).isEqualTo(1);
    bottle = owner.post("/api/bottles/" + id + "/undo", Map.of("version", 2));
    assertThat(bottle.text("/bottle/status")).isEqualTo("STANDING");
    assertThat(bottle.at("/bottle/leftMl").asDouble()).isEqualTo(200);
    bottle = owner.post("/api/bottles/" + id + "/finish", Map.of("version", 3));
    assertThat(bottle.text("/bottle/status")).isEqualTo("FINISHED");

    List<String> kinds =
        owner
            .get("/api/history")
            .at("/lines")
            .valueStream()
            .map(l -> l.get("kind").asString())
            .toList();
    assertThat(kinds)
        .containsExactly(
            "FINISHED",
            "DISCARDED",
            "TAKEN",
            "BOTTLED",
            "STEP_DONE",
            "STEP_DONE",
            "STEP_DONE",
            "STEP_DONE",
            "STARTED");
  }

  @Test
  void theTimerIsTheServers() {
    Visitor.Answer run = finish(start("lemon-balm-spray"), Map.of());
    Instant right = Instant.parse(run.text("/window/rightFrom"));
    assertThat(Duration.between(Instant.parse(run.text("/window/startedAt")), right))
        .isEqualTo(Duration.ofHours(2));
    owner.moveClock(90 * 60);
    Visitor.Answer later = owner.get("/api/batches/" + run.text("/id"));
    assertThat(later.text("/window/rightFrom")).isEqualTo(run.text("/window/rightFrom"));
    assertThat(Duration.between(Instant.parse(later.text("/now")), right))
        .isBetween(Duration.ofMinutes(29), Duration.ofMinutes(31));
  }

  @Test
  void beingLateShortensTheKeepingAtOnce() {
    Visitor.Answer run = finish(start("lemon-balm-spray"), Map.of());
    String before = run.text("/prediction/keeping/runsOut");
    owner.moveClock(30 * 3600);
    String after = owner.get("/api/batches/" + run.text("/id")).text("/prediction/keeping/runsOut");
    // Thirty hours on the counter at 21 °C cost about four times their length.
    assertThat(Duration.between(Instant.parse(after), Instant.parse(before)))
        .isGreaterThan(Duration.ofHours(40));
  }

  @Test
  void powderIsStrainedTwice() {
    Visitor.Answer run = start("nettle-powder-spray");
    List<String> kinds =
        run.at("/prediction/steps").valueStream().map(s -> s.get("kind").asString()).toList();
    assertThat(kinds).containsSubsequence("strain", "strain", "bottle");
  }

  @Test
  void aTapRepeatedByAPhoneCountsOnce() {
    String key = UUID.randomUUID().toString();
    Visitor.Answer once = owner.post("/api/batches", wanted("lemon-balm-spray", 1, 250), key);
    Visitor.Answer again = owner.post("/api/batches", wanted("lemon-balm-spray", 1, 250), key);
    assertThat(again.text("/id")).isEqualTo(once.text("/id"));
    assertThat(owner.get("/api/batches/running").body().size()).isEqualTo(1);
    assertThat(owner.post("/api/batches", wanted("lemon-balm-spray", 2, 250), key).status())
        .isEqualTo(409);
  }

  @Test
  void twoDevicesFinishingOneStepAreSettled() {
    Visitor.Answer run = start("lemon-balm-spray");
    List<Integer> answers =
        IntStream.range(0, 6)
            .mapToObj(i -> CompletableFuture.supplyAsync(() -> finish(run, Map.of()).status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .toList();
    assertThat(answers).containsOnly(200, 409).containsOnlyOnce(200);
    assertThat(owner.get("/api/batches/" + run.text("/id")).at("/step").asInt()).isEqualTo(1);
  }

  @Test
  void theLastTapCanBeTakenBack() {
    Visitor.Answer run = bottled();
    String path = "/api/batches/" + run.text("/id") + "/undo";
    Visitor.Answer open = owner.post(path, Map.of("version", run.at("/version").asLong()));
    assertThat(open.text("/status")).isEqualTo("RUNNING");
    assertThat(owner.get("/api/bottles").at("/bottles").size()).isZero();
    Visitor.Answer closed = finish(open, TWO);
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    owner.post("/api/bottles/" + bottle + "/take", Map.of("version", 0, "millilitres", 10));
    assertThat(owner.post(path, Map.of("version", closed.at("/version").asLong())).status())
        .as("used bottles are not taken back")
        .isEqualTo(409);
  }

  @Test
  void readingsOutOfReasonAreRefusedAtTheirPlace() {
    Visitor.Answer run = finish(finish(start("lemon-balm-spray"), Map.of()), Map.of());
    for (Object ml : List.of(0, -3, 5000, "NaN")) {
      Visitor.Answer no = finish(run, Map.of("readings", Map.of("VOLUME", ml)));
      assertThat(no.status()).as(no.body().toString()).isEqualTo(400);
      assertThat(no.fields()).containsExactly("readings.VOLUME");
    }
    assertThat(finish(run, Map.of("measuredC", 400)).fields())
        .as("under its earlier name too")
        .containsExactly("readings.TEMPERATURE");
    run = finish(run, Map.of("measuredMl", 490));
    assertThat(finish(run, Map.of()).fields()).containsExactly("bottles");
    assertThat(
            finish(
                    run,
                    Map.of(
                        "bottles",
                        List.of(Map.of("container", "SPRAY", "sizeMl", 250, "millilitres", 300))))
                .fields())
        .containsExactly("bottles[0].millilitres");
    assertThat(
            finish(
                    run,
                    Map.of(
                        "bottles",
                        List.of(Map.of("container", "JAR", "sizeMl", 2000, "millilitres", 900))))
                .fields())
        .containsExactly("bottles");
    assertThat(owner.get("/api/batches/" + run.text("/id")).at("/step").asInt()).isEqualTo(3);
  }

  @Test
  void nobodySeesOrTouchesAnotherHousehold() {
    Visitor.Answer run = bottled();
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    Visitor other = Visitor.withHousehold();
    assertThat(other.get("/api/batches/" + run.text("/id")).status()).isEqualTo(404);
    assertThat(other.get("/api/bottles/" + bottle).status()).isEqualTo(404);
    assertThat(
            other
                .post("/api/bottles/" + bottle + "/take", Map.of("version", 0, "millilitres", 1))
                .status())
        .isEqualTo(404);
    assertThat(other.post("/api/bottles/" + bottle + "/undo", Map.of("version", 0)).status())
        .isEqualTo(404);
    assertThat(other.get("/api/history").at("/lines").size()).isZero();
    assertThat(other.get("/api/bottles/not-a-bottle").status()).isEqualTo(404);
  }

  @Test
  void moreThanIsLeftIsRefused() {
    bottled();
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    for (Object ml : List.of(0, -1, 241, "Infinity")) {
      Visitor.Answer no =
          owner.post("/api/bottles/" + bottle + "/take", Map.of("version", 0, "millilitres", ml));
      assertThat(no.status()).isEqualTo(400);
      assertThat(no.fields()).containsExactly("millilitres");
    }
    assertThat(owner.get("/api/bottles").at("/bottles/0/leftMl").asDouble()).isEqualTo(240);
  }

  @Test
  void everyChangeBumpsTheHouseholdsRevision() {
    JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
    String sql =
        "select h.revision from household h join account a on a.household_id = h.id where a.sign_in = ?";
    long before = jdbc.queryForObject(sql, Long.class, owner.name());
    finish(start("lemon-balm-spray"), Map.of());
    assertThat(jdbc.queryForObject(sql, Long.class, owner.name())).isEqualTo(before + 2);
  }

  @Test
  void aRunGivenUpLeavesTheBench() {
    Visitor.Answer run = start("fennel-seed-rinse");
    Visitor.Answer over =
        owner.post(
            "/api/batches/" + run.text("/id") + "/give-up",
            Map.of("version", run.at("/version").asLong(), "reason", "spilled"));
    assertThat(over.text("/status")).isEqualTo("GIVEN_UP");
    assertThat(owner.get("/api/batches/running").body().size()).isZero();
  }
}
