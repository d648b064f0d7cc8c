package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.PublishedApi.Operation;
import dremsa.server.reminders.Reminders;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Whatever a page asks of the database is found by an index, so that a household is served alike
 * among one and among thousands: the database's own plan of every question is read.
 */
class IndexesTest {
  /** One row for the whole installation, or a handful: nothing to look up. */
  private static final Set<String> SMALL = Set.of("push_key", "scheduled_tasks");

  private static Visitor owner;
  private static PublishedApi api;
  private static List<String> ids;

  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  @BeforeAll
  static void aLivedInHousehold() throws Exception {
    owner = Visitor.withHousehold();
    ids = Parcel.of(Parcel.lived(owner)).ids();
    api = PublishedApi.read(new Random(11), ids);
  }

  /** What a line of a plan says of one table. */
  private record Access(String table, String type, String possible, String sql) {}

  private List<Access> plan(TurnGuard.Asked asked) {
    return jdbc.query(
        "explain " + asked.sql(),
        (row, n) ->
            new Access(
                row.getString("table"),
                row.getString("type"),
                row.getString("possible_keys"),
                asked.sql()),
        asked.parameters().toArray());
  }

  private List<String> withoutIndex(Map<String, TurnGuard.Asked> asked) {
    List<String> bad = new ArrayList<>();
    for (TurnGuard.Asked one : asked.values()) {
      for (Access access : plan(one)) {
        boolean ofTable =
            access.table() != null
                && !access.table().startsWith("<")
                && !SMALL.contains(access.table().toLowerCase());
        // With few rows the database may read all of them; what counts is that it need not.
        boolean whole = "ALL".equals(access.type()) && access.possible() == null;
        if (ofTable && whole) {
          bad.add(access.table() + ": " + access.sql().replaceAll("\\s+", " "));
        }
      }
    }
    return bad.stream().distinct().toList();
  }

  private static void ask(Operation op, Map<String, TurnGuard.Asked> all) {
    List<String> some =
        op.path().contains("{") ? ids.subList(0, Math.min(60, ids.size())) : List.of("");
    for (String id : some) {
      String path = op.path().replaceAll("\\{day}", "2030-03-05").replaceAll("\\{[^}]*}", id);
      TurnGuard.questions(() -> owner.get(path)).forEach(a -> all.putIfAbsent(a.sql(), a));
    }
  }

  @Test
  void everyQuestionOfEveryPageIsFoundByAnIndex() throws IOException {
    Map<String, TurnGuard.Asked> asked = new LinkedHashMap<>();
    for (Operation op : api.operations()) {
      if (op.method().equals("GET")) {
        ask(op, asked);
      }
    }
    assertThat(asked).as("questions in all").hasSizeGreaterThan(60);
    assertThat(withoutIndex(asked)).isEmpty();
  }

  /** What is looked for all the time over all households: due reminders, waiting work, pushes. */
  @Test
  void whatIsRepeatedLooksUpByAnIndexToo() {
    Map<String, TurnGuard.Asked> asked = new LinkedHashMap<>();
    List<Runnable> repeated = new ArrayList<>();
    repeated.add(TestServer.bean(Reminders.class)::writeDue);
    for (String work : List.of("searchPlans", "calibrateKitchens", "readTables", "sendPushes")) {
      repeated.add(TestServer.work(work));
    }
    for (Runnable work : repeated) {
      TurnGuard.questions(work).forEach(a -> asked.putIfAbsent(a.sql(), a));
    }
    assertThat(asked).hasSizeGreaterThanOrEqualTo(4);
    assertThat(withoutIndex(asked)).isEmpty();
  }

  /** The plan reader itself: a question that no index serves is found out. */
  @Test
  void aQuestionWithoutAnIndexIsFoundOut() {
    TurnGuard.Asked whole =
        new TurnGuard.Asked("select id from bottle where code = ?", List.of("LBS-1"));
    assertThat(withoutIndex(Map.of(whole.sql(), whole))).hasSize(1);
  }
}
