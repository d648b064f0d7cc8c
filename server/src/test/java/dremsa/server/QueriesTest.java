package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** How often the database is asked does not grow with what there is, and stays small. */
class QueriesTest {
  private final Visitor owner = Visitor.withHousehold();

  private static int asked(Runnable request) {
    return TurnGuard.statements(request).size();
  }

  private int reading(String path) {
    return asked(() -> assertThat(owner.get(path).status()).isEqualTo(200));
  }

  private void brew(int times) {
    for (int i = 0; i < times; i++) {
      Kitchenwork.bottled(owner, "lemon-balm-spray", 600);
    }
  }

  private Map<String, Object> seen(String bottle, Map<String, Object> form) {
    Map<String, Object> with = new HashMap<>(form);
    with.put("version", owner.get("/api/bottles/" + bottle).at("/bottle/version").asLong());
    return with;
  }

  @Test
  void listsAskAsOftenForMuchAsForLittle() {
    brew(1);
    List<String> lists =
        List.of(
            "/api/formulas", "/api/bottles", "/api/history", "/api/batches/running", "/api/stores");
    List<Integer> little = lists.stream().map(this::reading).toList();
    brew(3);
    assertThat(lists.stream().map(this::reading).toList()).isEqualTo(little);
    assertThat(little).as(lists.toString()).allMatch(count -> count <= 5);
  }

  @Test
  void aBottlesPageAndATapAskEachThingOnce() {
    brew(1);
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    assertThat(reading("/api/bottles/" + bottle)).isLessThanOrEqualTo(11);
    Map<String, Object> take = seen(bottle, Map.of("millilitres", 20));
    List<String> all =
        TurnGuard.statements(
            () ->
                assertThat(owner.post("/api/bottles/" + bottle + "/take", take).status())
                    .isEqualTo(200));
    assertThat(all).as("a tap and the page that answers it").hasSizeLessThanOrEqualTo(26);
    assertThat(all.stream().filter(sql -> sql.contains("from batch_entry")))
        .as("the batch is reckoned once for the tap and once for its page")
        .hasSizeLessThanOrEqualTo(2);
  }

  @Test
  void whatBefallsTheFridgeReadsEachBatchOnce() {
    brew(2);
    for (int i = 0; i < 2; i++) {
      String bottle = owner.get("/api/bottles").text("/bottles/" + i + "/id");
      Map<String, Object> portions =
          seen(bottle, Map.of("what", "FREEZE_PORTIONS", "portionMl", 30, "millilitres", 90));
      assertThat(owner.post("/api/bottles/" + bottle + "/events", portions).status())
          .isEqualTo(200);
    }
    int bottles = owner.get("/api/bottles").body().get("bottles").size();
    assertThat(bottles).isEqualTo(4);
    List<String> all =
        TurnGuard.statements(
            () ->
                assertThat(
                        owner
                            .post("/api/fridge", Map.of("what", "WARM", "hours", 1, "celsius", 12))
                            .status())
                    .isEqualTo(200));
    assertThat(all.stream().filter(sql -> sql.contains("from batch_entry")))
        .as("two batches in %d bottles", bottles)
        .hasSize(2);
    assertThat(all.stream().filter(sql -> sql.contains("from bottle_event"))).hasSize(1);
    // Each bottle is written: its row, its reminders, a line of the record.
    assertThat(all).hasSizeLessThanOrEqualTo(12 + 4 * bottles);
  }
}
