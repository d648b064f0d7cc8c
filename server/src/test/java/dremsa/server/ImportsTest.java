package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.accounts.Turns;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Long tables are read in piece by piece: looked through, taken in, stopped, gone on with. */
class ImportsTest {
  private final Visitor owner = Visitor.withHousehold();
  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  private static String batches(int from, int number) {
    return Stream.concat(
            Stream.of("code,formula,started,bottled_ml"),
            IntStream.range(from, from + number)
                .mapToObj(i -> "T" + i + ",lemon-balm-spray,2030-02-01 10:00," + (300 + i % 5)))
        .collect(Collectors.joining("\r\n"));
  }

  private Visitor.Answer begin(String table, String csv) {
    return owner.upload(
        "/api/imports?table=" + table,
        "text/csv;charset=UTF-8",
        csv.getBytes(StandardCharsets.UTF_8));
  }

  private static void work() {
    TestServer.work("readTables").run();
  }

  private Visitor.Answer looked(String table, String csv) {
    Visitor.Answer begun = begin(table, csv);
    assertThat(begun.status()).as(begun.body().toString()).isEqualTo(201);
    work();
    return owner.get("/api/imports");
  }

  private long there() {
    return jdbc.queryForObject(
        "select count(*) from batch b join account a using (household_id) where a.sign_in = ?",
        Long.class,
        owner.name());
  }

  private Visitor.Answer post(String id, String what) {
    return owner.post("/api/imports/" + id + "/" + what, Map.of());
  }

  @Test
  void itIsLookedThroughAndThenTakenIn() {
    Visitor.Answer begun = begin("batches", batches(0, 120));
    assertThat(begun.text("/state")).isEqualTo("LOOKING");
    assertThat(begun.at("/lines").asInt()).isEqualTo(120);
    work();
    Visitor.Answer looked = owner.get("/api/imports");
    assertThat(looked.text("/0/state")).isEqualTo("LOOKED");
    assertThat(looked.at("/0/taken").asInt()).isEqualTo(120);
    assertThat(looked.at("/0/done").asInt()).isEqualTo(120);
    assertThat(there()).as("nothing is kept yet").isZero();

    String id = looked.text("/0/id");
    assertThat(post(id, "take").text("/state")).isEqualTo("TAKING");
    work();
    Visitor.Answer done = owner.get("/api/imports");
    assertThat(done.text("/0/state")).isEqualTo("DONE");
    assertThat(done.at("/0/taken").asInt()).isEqualTo(120);
    assertThat(there()).isEqualTo(120);

    // Once more: all of it is there.
    assertThat(looked("batches", batches(0, 120)).at("/0/there").asInt()).isEqualTo(120);
    assertThat(owner.delete("/api/imports/" + owner.get("/api/imports").text("/0/id")).status())
        .isEqualTo(204);
    assertThat(owner.get("/api/imports").body()).isEmpty();
  }

  /** As the file goes out, in pieces or at once: the same tables come out of it. */
  @Test
  void whatWasWrittenOutIsReadInTheSameInPieces() {
    for (int i = 0; i < 3; i++) {
      Kitchenwork.bottled(owner, "lemon-balm-spray", 600);
    }
    Visitor other = Visitor.withHousehold();
    other.moveClock(
        Duration.between(Visitor.START, Instant.parse(owner.get("/api/household").text("/now")))
                .toSeconds()
            + 60);
    for (String table : List.of("batches", "bottles", "events")) {
      String csv =
          new String(owner.file("/api/tables/" + table + ".csv").bytes(), StandardCharsets.UTF_8);
      Visitor.Answer begun =
          other.upload(
              "/api/imports?table=" + table,
              "text/csv;charset=UTF-8",
              csv.getBytes(StandardCharsets.UTF_8));
      work();
      Visitor.Answer looked = other.get("/api/imports");
      assertThat(looked.at("/0/wrong")).as(table).isEmpty();
      other.post("/api/imports/" + begun.text("/id") + "/take", Map.of());
      work();
      assertThat(other.get("/api/imports").text("/0/state")).as(table).isEqualTo("DONE");
      assertThat(
              new String(
                      other.file("/api/tables/" + table + ".csv").bytes(), StandardCharsets.UTF_8)
                  .lines()
                  .sorted())
          .containsExactlyElementsOf(csv.lines().sorted().toList());
    }
  }

  /** Two alike lines are two, also when they fall into different pieces. */
  @Test
  void alikeLinesFarApartStayTwo() {
    List<String> lines = new ArrayList<>();
    lines.add("material,origin,grams,got_on");
    lines.add("sage,BOUGHT,30,2030-01-01");
    for (int i = 0; i < 80; i++) {
      lines.add("rosemary,BOUGHT," + (10 + i) + ",2030-01-02");
    }
    lines.add("sage,BOUGHT,30,2030-01-01");
    String csv = String.join("\n", lines);
    Visitor.Answer looked = looked("stores", csv);
    assertThat(looked.at("/0/taken").asInt()).isEqualTo(82);
    post(looked.text("/0/id"), "take");
    work();
    assertThat(owner.get("/api/imports").at("/0/taken").asInt()).isEqualTo(82);
    assertThat(looked("stores", csv).at("/0/there").asInt()).isEqualTo(82);
  }

  @Test
  void aWrongLineIsNamedAndNothingCanBeTakenIn() {
    String csv = batches(0, 60) + "\r\nW1,lemon-balm-spray,tomorrow,300";
    Visitor.Answer looked = looked("batches", csv);
    assertThat(looked.text("/0/state")).isEqualTo("LOOKED");
    assertThat(looked.at("/0/wrong/0/line").asInt()).isEqualTo(62);
    assertThat(looked.text("/0/wrong/0/column")).isEqualTo("started");
    assertThat(post(looked.text("/0/id"), "take").status()).isEqualTo(409);
    assertThat(there()).isZero();
  }

  @Test
  void whileItIsLookedThroughItIsStoppedAndLeavesNothing() {
    String id = begin("batches", batches(0, 60)).text("/id");
    post(id, "stop");
    work();
    assertThat(owner.get("/api/imports").body()).isEmpty();
    assertThat(post(id, "take").status()).isEqualTo(404);
  }

  /** Stopped by hand, or where a server died: what is there stays, and is counted once. */
  @Test
  void itIsStoppedAndGoneOnWith() {
    String id = looked("batches", batches(0, 90)).text("/0/id");
    post(id, "take");
    post(id, "stop");
    work();
    Visitor.Answer stopped = owner.get("/api/imports");
    assertThat(stopped.text("/0/state")).isEqualTo("STOPPED");
    assertThat(stopped.at("/0/done").asInt()).isZero();
    // As if a server had died after it took in 40 of them.
    owner.upload(
        "/api/tables/batches",
        "text/csv;charset=UTF-8",
        batches(0, 40).getBytes(StandardCharsets.UTF_8));
    UUID household =
        jdbc.queryForObject(
            "select household_id from account where sign_in = ?", UUID.class, owner.name());
    TestServer.bean(Turns.class)
        .take(
            household,
            () -> {
              jdbc.update(
                  "update table_import set state = 'TAKING', done_lines = 40, taken = 40"
                      + " where id = ?",
                  id);
            });
    work();
    Visitor.Answer done = owner.get("/api/imports");
    assertThat(done.text("/0/state")).isEqualTo("DONE");
    assertThat(done.at("/0/taken").asInt()).isEqualTo(90);
    assertThat(done.at("/0/there").asInt()).isZero();
    assertThat(there()).isEqualTo(90);
  }

  @Test
  void oneAtATimeIsTakenIn() {
    String id = looked("batches", batches(0, 30)).text("/0/id");
    post(id, "take");
    assertThat(begin("batches", batches(50, 30)).status()).isEqualTo(409);
    assertThat(owner.delete("/api/imports/" + id).status()).isEqualTo(409);
    work();
    assertThat(post(id, "take").status()).as("it is done").isEqualTo(409);
    assertThat(begin("batches", batches(50, 30)).status()).isEqualTo(201);
  }

  @Test
  void anotherHouseholdSeesAndStopsNothing() {
    String id = looked("batches", batches(0, 30)).text("/0/id");
    Visitor stranger = Visitor.withHousehold();
    assertThat(stranger.get("/api/imports").body()).isEmpty();
    for (String what : List.of("take", "stop")) {
      assertThat(stranger.post("/api/imports/" + id + "/" + what, Map.of()).status())
          .isEqualTo(404);
    }
    assertThat(stranger.delete("/api/imports/" + id).status()).isEqualTo(404);
    assertThat(post(UUID.randomUUID().toString(), "take").status()).isEqualTo(404);
  }

  @Test
  void whatIsNoTableIsRefusedAtOnce() {
    assertThat(begin("batches", "").status()).isEqualTo(400);
    assertThat(begin("batches", "colour,shape\nred,round").fields()).containsExactly("file");
    assertThat(begin("spoons", batches(0, 3)).status()).isEqualTo(404);
    assertThat(owner.get("/api/imports").body()).isEmpty();
  }
}
