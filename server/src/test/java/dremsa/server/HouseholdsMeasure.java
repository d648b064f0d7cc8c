package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Measures what one household notices of many others, each with 200 batches, and what a prediction
 * costs beside a sign of life; {@code ./dremsa bench} runs it. It reports figures of this machine.
 */
@EnabledIfSystemProperty(named = "dremsa.measure", matches = "true")
class HouseholdsMeasure {
  private static final String NAME = "dremsa_many";
  private static final List<Integer> STEPS =
      Arrays.stream(System.getProperty("dremsa.households", "1,100,1000").split(","))
          .map(Integer::valueOf)
          .toList();
  private static final int BATCHES = 200;
  private static final int WARM_UP = Integer.getInteger("dremsa.measure.warm-up", 300);
  private static final int ROUNDS = Integer.getInteger("dremsa.measure.rounds", 400);

  /** Of these every household has its own way, or none. */
  private static final Set<String> NOT_COPIED =
      Set.of(
          "account",
          "idempotency",
          "feed",
          "audit",
          "table_import",
          "push_subscription",
          "push_delivery");

  private static ConfigurableApplicationContext app;
  private static JdbcTemplate jdbc;
  private static Visitor owner;

  @BeforeAll
  static void aServerOfItsOwn() throws Exception {
    assertThat(TestServer.address()).isNotEmpty();
    String shared = System.getenv("DREMSA_TEST_DB_URL");
    try (Connection there =
        DriverManager.getConnection(
            shared,
            System.getenv("DREMSA_TEST_DB_USER"),
            System.getenv("DREMSA_TEST_DB_PASSWORD"))) {
      there.createStatement().execute("drop database if exists " + NAME);
      there.createStatement().execute("create database " + NAME + " character set utf8mb4");
    }
    app =
        TurnGuard.lookingAway(
            () -> TestServer.on(shared.replaceFirst("/[^/]+$", "/" + NAME), "--dremsa.backups="));
    jdbc = app.getBean(JdbcTemplate.class);
    owner =
        new Visitor("http://127.0.0.1:" + app.getEnvironment().getProperty("local.server.port"));
    owner.post("/api/households", owner.household());
    lived();
  }

  @AfterAll
  static void end() {
    app.close();
  }

  /** 200 batches with a bottle each, twelve of them standing, and one run at the hob. */
  private static void lived() {
    StringBuilder batches = new StringBuilder("code,formula,started,bottled_ml\n");
    StringBuilder bottles =
        new StringBuilder("code,number,container,size_ml,filled_ml,filled,status,ended\n");
    for (int i = 0; i < BATCHES; i++) {
      batches.append("M-").append(i).append(",lemon-balm-spray,2026-02-01 10:00,400\n");
      String status = i < 12 ? "STANDING," : "FINISHED,2026-02-05 10:00";
      bottles
          .append("M-")
          .append(i)
          .append(",1,SPRAY,500,400,2026-02-01 14:00,")
          .append(status)
          .append('\n');
    }
    for (Map.Entry<String, StringBuilder> table :
        Map.of("batches", batches, "bottles", bottles).entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .toList()) {
      Visitor.Answer read =
          owner.upload(
              "/api/tables/" + table.getKey(),
              "text/csv;charset=UTF-8",
              table.getValue().toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
      assertThat(read.at("/kept").asBoolean()).as(read.body().toString()).isTrue();
    }
    assertThat(owner.post("/api/batches", question(400)).status()).isLessThan(300);
  }

  private static final AtomicInteger AMOUNT = new AtomicInteger();

  /** As while somebody drags: no amount comes a second time soon. */
  private static Map<String, Object> next() {
    return question(300 + AMOUNT.incrementAndGet() % 10_000 / 50.0);
  }

  private static Map<String, Object> question(double millilitres) {
    return Map.of(
        "formulaId",
        "lemon-balm-spray",
        "target",
        Map.of("kind", "VOLUME", "amount", Map.of("value", millilitres, "unit", "ml")));
  }

  /** More households, each a copy of the first with ids of its own. */
  private static void grow(int from, int to) {
    String first = jdbc.queryForObject("select id from household limit 1", String.class);
    List<String> tables =
        jdbc.queryForList(
            "select c.table_name from information_schema.columns c join information_schema.tables t"
                + " using (table_schema, table_name) where c.table_schema = database()"
                + " and c.column_name = 'household_id' and t.table_type = 'BASE TABLE'",
            String.class);
    jdbc.execute(
        (Connection connection) -> {
          try (var statement = connection.createStatement()) {
            statement.execute("set foreign_key_checks = 0");
            for (int k = from; k < to; k++) {
              statement.execute(copy("household", "id", first, k));
              for (String table : tables) {
                if (!NOT_COPIED.contains(table)) {
                  statement.execute(copy(table, "household_id", first, k));
                }
              }
            }
            statement.execute("set foreign_key_checks = 1");
          }
          return null;
        });
  }

  /** An id of a copy: the copied one's, with the number of the copy in front. */
  private static String copy(String table, String household, String first, int k) {
    List<Map<String, Object>> columns =
        jdbc.queryForList(
            "select column_name as name, data_type as type, extra from information_schema.columns"
                + " where table_schema = database() and table_name = ? order by ordinal_position",
            table);
    List<String> names = new ArrayList<>();
    List<String> values = new ArrayList<>();
    for (Map<String, Object> column : columns) {
      String name = "`" + column.get("name") + "`";
      if (column.get("extra").toString().contains("auto_increment")) {
        continue;
      }
      names.add(name);
      values.add(
          column.get("type").equals("uuid")
              ? "concat(lpad(hex(" + k + "), 8, '0'), substr(cast(" + name + " as char), 9))"
              : name);
    }
    return "insert into "
        + table
        + " ("
        + String.join(", ", names)
        + ") select "
        + String.join(", ", values)
        + " from "
        + table
        + " where "
        + household
        + " = '"
        + first
        + "'";
  }

  private static final Map<String, Supplier<Visitor.File>> ASKED = new LinkedHashMap<>();

  static {
    ASKED.put("health", () -> owner.file("/actuator/health"));
    ASKED.put("shelf", () -> owner.file("/api/bottles"));
    ASKED.put("bench", () -> owner.file("/api/batches/running"));
    ASKED.put("predictions", () -> owner.postFor("/api/predictions", question(400)));
    ASKED.put(
        "predictions of another amount each", () -> owner.postFor("/api/predictions", next()));
  }

  private static long nanos(Supplier<Visitor.File> request) {
    long begin = System.nanoTime();
    assertThat(request.get().status()).isEqualTo(200);
    return System.nanoTime() - begin;
  }

  private static double p95(List<Long> nanos) {
    List<Long> sorted = nanos.stream().sorted().toList();
    return sorted.get((int) Math.ceil(0.95 * sorted.size()) - 1) / 1e6;
  }

  @Test
  void oneHouseholdAmongMany() {
    ASKED.values().forEach(request -> repeat(WARM_UP, request));
    Map<String, Double> alone = new LinkedHashMap<>();
    int before = 1;
    for (int households : STEPS) {
      grow(before, households);
      before = households;
      jdbc.queryForList("analyze table batch, bottle, happening, reminder, message");
      Map<String, Double> found = new LinkedHashMap<>();
      ASKED.values().forEach(request -> repeat(WARM_UP / 4, request));
      ASKED.forEach((name, request) -> found.put(name, p95(repeat(ROUNDS, request))));
      found.put("due reminders", p95(due()));
      found.forEach(alone::putIfAbsent);
      System.out.printf(
          Locale.ROOT,
          "%d households of %d batches: p95 %s%n",
          households,
          BATCHES,
          found.entrySet().stream()
              .map(
                  e ->
                      String.format(
                          Locale.ROOT,
                          "%s %.1f ms (x%.2f)",
                          e.getKey(),
                          e.getValue(),
                          e.getValue() / alone.get(e.getKey())))
              .collect(Collectors.joining(", ")));
    }
  }

  private static List<Long> repeat(int times, Supplier<Visitor.File> request) {
    List<Long> all = new ArrayList<>();
    for (int i = 0; i < times; i++) {
      all.add(nanos(request));
    }
    return all;
  }

  /** A look for what is due, as the scheduler takes it twice a second. */
  private static List<Long> due() {
    var reminders = app.getBean(dremsa.server.reminders.Reminders.class);
    List<Long> all = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      long begin = System.nanoTime();
      reminders.writeDue();
      all.add(System.nanoTime() - begin);
    }
    return all;
  }

  /** In turn, so that both see the same machine. */
  @Test
  void aPredictionBesideASignOfLife() throws Exception {
    for (int connections : List.of(1, 8)) {
      List<Long> health = new ArrayList<>();
      List<Long> predictions = new ArrayList<>();
      ExecutorService hands = Executors.newFixedThreadPool(connections);
      List<Future<?>> work = new ArrayList<>();
      for (int c = 0; c < connections; c++) {
        work.add(
            hands.submit(
                () -> {
                  for (int i = 0; i < WARM_UP + ROUNDS; i++) {
                    long sign = nanos(ASKED.get("health"));
                    long answer = nanos(ASKED.get("predictions"));
                    if (i >= WARM_UP) {
                      synchronized (health) {
                        health.add(sign);
                        predictions.add(answer);
                      }
                    }
                  }
                }));
      }
      for (Future<?> one : work) {
        one.get();
      }
      hands.shutdown();
      System.out.printf(
          Locale.ROOT,
          "%d connections: health p95 %.1f ms, predictions p95 %.1f ms (x%.2f)%n",
          connections,
          p95(health),
          p95(predictions),
          p95(predictions) / p95(health));
    }
  }
}
