package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.accounts.Turns;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Measures the shelf's first page beside a long history; {@code ./dremsa bench} runs it. It asserts
 * what is on the page, and reports how long it takes: a figure of this machine, no verdict.
 */
@EnabledIfSystemProperty(named = "dremsa.measure", matches = "true")
class ShelfMeasure {
  private static final int FEW = 50;
  private static final int MANY = 50_000;
  private static final int STANDING = 25;
  private static final int WARM_UP = 150;
  private static final int ROUNDS = 600;

  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  @Test
  void theFirstPageBesideFewAndManyBatches() {
    Visitor few = withBatches(FEW);
    Visitor many = withBatches(MANY);
    for (Visitor visitor : List.of(few, many)) {
      assertThat(visitor.get("/api/bottles").at("/bottles").size()).isEqualTo(STANDING);
    }
    for (int i = 0; i < WARM_UP; i++) {
      nanos(few);
      nanos(many);
    }
    long[] ofFew = new long[ROUNDS];
    long[] ofMany = new long[ROUNDS];
    // In turn, so that both see the same machine.
    for (int i = 0; i < ROUNDS; i++) {
      ofFew[i] = nanos(few);
      ofMany[i] = nanos(many);
    }
    report(FEW, ofFew);
    report(MANY, ofMany);
    System.out.printf(
        Locale.ROOT,
        "The shelf's p95 beside %d batches is %.2f times that beside %d.%n",
        MANY,
        at(ofMany, 0.95) / at(ofFew, 0.95),
        FEW);
  }

  private static long nanos(Visitor visitor) {
    long begin = System.nanoTime();
    assertThat(visitor.get("/api/bottles").status()).isEqualTo(200);
    return System.nanoTime() - begin;
  }

  private static void report(int batches, long[] nanos) {
    System.out.printf(
        Locale.ROOT,
        "Shelf with %d bottles beside %d batches: median %.2f ms, p95 %.2f ms of %d requests.%n",
        STANDING,
        batches,
        at(nanos, 0.5),
        at(nanos, 0.95),
        nanos.length);
  }

  private static double at(long[] nanos, double share) {
    long[] sorted = nanos.clone();
    Arrays.sort(sorted);
    return sorted[(int) Math.min(sorted.length - 1, Math.ceil(share * sorted.length))] / 1e6;
  }

  /** Some batches: one is brewed, the others are its copies with a bottle each. */
  private Visitor withBatches(int count) {
    Visitor visitor = Visitor.withHousehold();
    Kitchenwork.bottled(visitor, "lemon-balm-spray", 250);
    String household =
        jdbc.queryForObject(
            "select household_id from account where sign_in = ?", String.class, visitor.name());
    TestServer.bean(Turns.class)
        .take(UUID.fromString(household), () -> copyBatches(household, count));
    return visitor;
  }

  private void copyBatches(String household, int count) {
    Map<String, Object> seed =
        jdbc.queryForMap("select id from batch where household_id = ?", household);
    String batch = seed.get("id").toString();
    jdbc.update(copies("batch", "id", "uuid()", "code", "concat('X-', seq)", count), batch);
    jdbc.update(
        "insert into batch_step (household_id, batch_id, step_index, started_at, ended_at, timing, cue_seen, note,"
            + " skipped, extended_min, water_ml, water_c)"
            + " select b.household_id, b.id, s.step_index, s.started_at, s.ended_at, s.timing, s.cue_seen, s.note,"
            + " s.skipped, s.extended_min, s.water_ml, s.water_c from batch b join batch_step s"
            + " on s.batch_id = ? where b.household_id = ? and b.id <> ?",
        batch,
        household,
        batch);
    for (int i = 0; i < 4; i++) {
      jdbc.update(
          "insert into happening (household_id, batch_id, happened_at, kind, detail, undone)"
              + " select household_id, id, started_at, 'STEP_DONE', 'Strain', false from batch"
              + " where household_id = ?",
          household);
    }
    String bottle =
        jdbc.queryForObject(
            "select id from bottle where household_id = ?", String.class, household);
    jdbc.update(copies("bottle", "id", "uuid()", "number", "seq + 1", STANDING), bottle);
    jdbc.update(
        "insert into bottle ("
            + bottleColumns()
            + ") select "
            + bottleColumns()
                .replaceFirst("\\bid\\b", "uuid()")
                .replaceFirst("\\bbatch_id\\b", "b.other")
                .replaceFirst("\\bstatus\\b", "'FINISHED'")
            + " from bottle t join (select id as other from batch where household_id = ?) b"
            + " where t.id = ?",
        household,
        bottle);
  }

  private String bottleColumns() {
    return String.join(", ", columns("bottle"));
  }

  private List<String> columns(String table) {
    return jdbc.queryForList(
        "select column_name from information_schema.columns where table_schema = database()"
            + " and table_name = ? order by ordinal_position",
        String.class,
        table);
  }

  /** Copies of a row, until there are so many of it. */
  private String copies(
      String table, String id, String newId, String other, String newOther, int count) {
    List<String> names = columns(table);
    String values =
        String.join(
            ", ",
            names.stream()
                .map(n -> n.equals(id) ? newId : n.equals(other) ? newOther : "`" + n + "`")
                .toList());
    return "insert into %s (%s) select %s from %s, seq_2_to_%d where id = ?"
        .formatted(
            table,
            String.join(", ", names.stream().map(n -> "`" + n + "`").toList()),
            values,
            table,
            count);
  }
}
