package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.jdbc.datasource.init.ScriptUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A database that an earlier version made (the demo household with its running batches, dumped) is
 * brought to the present form, and everything in it keeps as long as that version said.
 */
class EarlierDatabaseTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String NAME = "dremsa_before";

  private static ConfigurableApplicationContext server;
  private static Visitor owner;
  private static JsonNode before;

  private static byte[] resource(String name) throws IOException {
    try (InputStream in = EarlierDatabaseTest.class.getResourceAsStream("/before/" + name)) {
      return in.readAllBytes();
    }
  }

  private static Connection connect(String url) throws SQLException {
    return DriverManager.getConnection(
        url, System.getenv("DREMSA_TEST_DB_USER"), System.getenv("DREMSA_TEST_DB_PASSWORD"));
  }

  @BeforeAll
  static void restore() throws Exception {
    // The shared server first: it begins to watch the turns when it has started.
    assertThat(TestServer.address()).isNotEmpty();
    String shared = System.getenv("DREMSA_TEST_DB_URL");
    String url = shared.replaceFirst("/[^/]+$", "/" + NAME);
    try (Connection there = connect(shared)) {
      there.createStatement().execute("drop database if exists " + NAME);
      there.createStatement().execute("create database " + NAME + " character set utf8mb4");
    }
    byte[] dump;
    try (InputStream packed =
        new GZIPInputStream(EarlierDatabaseTest.class.getResourceAsStream("/before/demo.sql.gz"))) {
      dump = packed.readAllBytes();
    }
    try (Connection here = connect(url)) {
      here.createStatement().execute("set foreign_key_checks = 0");
      ScriptUtils.executeSqlScript(here, new ByteArrayResource(dump));
      // Of what the demo did not do, taken back again: it counts for no date.
      for (String event : List.of("'SCHOOL', 'PRACTICE+', null, null", "'JOINED', '', 80, '{}'")) {
        here.createStatement()
            .execute(
                "insert into bottle_event (household_id, bottle_id, change_id, happened_at, kind,"
                    + " cause, own_ml, other, undone)"
                    + " select household_id, id, uuid(), filled_at, "
                    + event
                    + ", true from bottle order by code, number limit 1");
      }
    }
    before = JSON.readTree(new String(resource("dates.json"), StandardCharsets.UTF_8));
    server = TurnGuard.lookingAway(() -> TestServer.on(url));
    owner =
        new Visitor("http://127.0.0.1:" + server.getEnvironment().getProperty("local.server.port"));
    assertThat(
            owner
                .post("/api/session", Map.of("signIn", "sorrel", "password", "allotment-31"))
                .status())
        .isEqualTo(200);
    Instant now = Instant.parse(owner.get("/api/household").text("/now"));
    owner.moveClock(Duration.between(now, Instant.parse(before.get("at").asString())).getSeconds());
  }

  @AfterAll
  static void close() {
    server.close();
  }

  @Test
  void everyBottleKeepsAsLongAsBefore() {
    JsonNode bottles = owner.get("/api/bottles").body().get("bottles");
    List<String> now = new ArrayList<>();
    for (JsonNode line : bottles) {
      JsonNode keeping = owner.get("/api/bottles/" + line.get("id").asString()).at("/keeping");
      now.add(
          String.join(
              " ",
              line.get("code").asString(),
              line.get("number").asString(),
              line.get("place").asString(),
              line.get("lastDay").asString(),
              keeping.get("keepingClass").asString(),
              keeping.get("lastDay").asString(),
              keeping.get("clock").asString()));
    }
    assertThat(now).isEqualTo(strings(before.get("bottles"))).hasSizeGreaterThan(5);
  }

  @Test
  void everyRunGoesOnAsBefore() {
    List<String> now = new ArrayList<>();
    for (JsonNode run : owner.get("/api/batches/running").body()) {
      Visitor.Answer view = owner.get("/api/batches/" + run.get("id").asString());
      now.add(
          String.join(
              " ",
              view.text("/code"),
              view.text("/status"),
              view.text("/step"),
              String.valueOf(view.at("/prediction/steps").size()),
              view.text("/prediction/keeping/lastDay"),
              view.text("/prediction/keeping/keepingClass")));
    }
    assertThat(now).isEqualTo(strings(before.get("runs"))).hasSizeGreaterThan(1);
  }

  @Test
  void whatWasUsedBecameRowsOfItsOwn() throws SQLException {
    String url = server.getEnvironment().getProperty("spring.datasource.url");
    try (Connection here = connect(url);
        var rows =
            here.createStatement()
                .executeQuery(
                    "select (select count(*) from bottle_use), (select count(*) from happening"
                        + " where kind in ('TAKEN', 'FINISHED') and millilitres > 0"
                        + " and bottle_id is not null and coalesce(told, '') not like '%BREWED%')")) {
      rows.next();
      assertThat(rows.getInt(1)).isEqualTo(rows.getInt(2)).isPositive();
    }
  }

  @Test
  void whatHappenedIsToldByOneForm() throws SQLException {
    String url = server.getEnvironment().getProperty("spring.datasource.url");
    List<String> said = new ArrayList<>();
    try (Connection here = connect(url);
        var rows =
            here.createStatement()
                .executeQuery("select json_remove(said, '$.now') from bottle_event order by id")) {
      while (rows.next()) {
        said.add(rows.getString(1).replace("\"", "").replace(" ", ""));
      }
    }
    assertThat(said)
        .containsExactly(
            "{schemaVersion:2,kind:MOVED,place:ROOM}",
            "{schemaVersion:2,kind:MOVED,place:FREEZER}",
            "{schemaVersion:2,kind:WARMED,hours:5,celsius:23.5,cause:Leftout}",
            "{schemaVersion:2,kind:SCHOOL,before:{school:PRACTICE,cleanWorking:true}}",
            "{schemaVersion:2,kind:JOINED,ownMl:80,other:{}}");
  }

  @Test
  void whyItWasThrownAwayIsKnownAsBefore() throws SQLException {
    String url = server.getEnvironment().getProperty("spring.datasource.url");
    try (Connection here = connect(url);
        var rows =
            here.createStatement()
                .executeQuery(
                    "select count(*), sum(json_value(h.told, '$.reason') = b.end_reason),"
                        + " sum(h.detail like '%:%' and h.detail not regexp '^[A-Z]+:')"
                        + " from happening h join bottle b on b.id = h.bottle_id"
                        + " where h.kind = 'DISCARDED'")) {
      rows.next();
      assertThat(rows.getInt(2)).isEqualTo(rows.getInt(1)).isPositive();
      assertThat(rows.getInt(3)).as("of which some have a note").isPositive();
    }
  }

  private static List<String> strings(JsonNode lines) {
    return lines.valueStream().map(JsonNode::asString).toList();
  }
}
