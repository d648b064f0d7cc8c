package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.accounts.Turns;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** The plan through HTTP: proposed, taken, tried otherwise, begun, and made again. */
class PlanTest {
  private static final long DAY = 24 * 3600;

  private final Visitor owner = Visitor.withHousehold();
  private LocalDate today;
  private String ada;

  @BeforeEach
  void begin() {
    today = LocalDate.parse(owner.get("/api/people").text("/today"));
    ada = somebody("Ada", today.plusDays(2));
    somebody("Bo", today.plusDays(5));
  }

  /** Somebody who wants gel every week. */
  private String somebody(String name, LocalDate first) {
    Visitor.Answer made =
        owner.post(
            "/api/people", Map.of("name", name, "hair", Map.of("stretchedCm", 35), "usual", false));
    String id = made.text("/person/id");
    Map<String, Object> occasion =
        Map.of(
            "key",
            "wash",
            "kind",
            "WASH_DAY",
            "name",
            "Wash day",
            "repeat",
            Map.of("first", first.toString(), "rule", "FREQ=WEEKLY"),
            "time",
            "10:00:00",
            "slots",
            List.of(
                Map.of("kind", "STYLER", "choices", List.of(Map.of("formula", "linseed-gel")))));
    Visitor.Answer kept =
        owner.put(
            "/api/people/" + id + "/routine",
            Map.of(
                "version",
                made.at("/person/version").asLong(),
                "routine",
                Map.of("occasions", List.of(occasion))));
    assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    return id;
  }

  private Visitor.Answer plan() {
    Visitor.Answer plan = owner.get("/api/plan");
    assertThat(plan.status()).as(plan.body().toString()).isEqualTo(200);
    return plan;
  }

  private static List<Map<String, Object>> brews(JsonNode of) {
    List<Map<String, Object>> all = new ArrayList<>();
    of.valueStream()
        .forEach(
            brew -> {
              Map<String, Object> form = new HashMap<>();
              form.put("day", brew.get("day").asString());
              form.put("formula", brew.get("formula").asString());
              form.put("millilitres", brew.get("millilitres").asDouble());
              form.put("pinned", brew.get("pinned").asBoolean());
              all.add(form);
            });
    return all;
  }

  private Visitor.Answer take(List<Map<String, Object>> brews, long version) {
    return owner.put("/api/plan", Map.of("brews", brews, "version", version));
  }

  private Visitor.Answer taken() {
    Visitor.Answer plan = plan();
    Visitor.Answer taken = take(brews(plan.at("/proposal/brews")), plan.at("/version").asLong());
    assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
    return taken;
  }

  @Test
  void aPlanIsProposedAndTaken() {
    Visitor.Answer plan = plan();
    assertThat(plan.at("/agreed").isNull()).isTrue();
    assertThat(plan.at("/proposal/brews").size()).isPositive();
    assertThat(plan.at("/proposal/without").size()).as(plan.body().toString()).isZero();
    JsonNode first = plan.at("/proposal/brews/0");
    assertThat(first.get("why").get(0).asString()).startsWith("For Ada's wash day (styler) on ");
    assertThat(first.get("millilitres").asDouble() % 5).isZero();

    Visitor.Answer taken = taken();
    assertThat(taken.at("/agreed/brews").size()).isEqualTo(plan.at("/proposal/brews").size());
    assertThat(taken.at("/changed").asBoolean()).isFalse();
    assertThat(take(List.of(), plan.at("/version").asLong()).status()).isEqualTo(409);
    // What the plan takes is on the shopping list, water is not.
    String shopping = owner.get("/api/shopping").body().toString();
    assertThat(shopping).contains("Linseed").contains("the plan takes").doesNotContain("Water");
    assertThat(owner.get("/api/formulas/linseed-gel/planned").at("/next/millilitres").asDouble())
        .isPositive();
  }

  @Test
  void whatIfTellsWhoGoesWithout() {
    Visitor.Answer plan = plan();
    Map<String, Object> brew = new HashMap<>(brews(plan.at("/proposal/brews")).get(0));
    String late = today.plusDays(4).toString();
    brew.put("day", late);
    Visitor.Answer moved = owner.post("/api/plan/what-if", Map.of("brews", List.of(brew)));
    assertThat(moved.at("/without/0/words").asString()).isEqualTo("Ada's wash day (styler)");
    assertThat(moved.at("/doable").asBoolean()).as("Saturday is free").isTrue();
    brew.put("day", today.plusDays(3).toString());
    Visitor.Answer friday = owner.post("/api/plan/what-if", Map.of("brews", List.of(brew)));
    assertThat(friday.at("/doable").asBoolean()).as("Friday is not").isFalse();
    Visitor.Answer off = owner.post("/api/plan/what-if", Map.of("off", List.of(today.toString())));
    assertThat(off.at("/without/0/words").asString()).isEqualTo("Ada's wash day (styler)");
    assertThat(off.at("/obstacles/0").asString()).contains("ready 1 day after it is brewed");
  }

  @Test
  void theEveningIsWorkedOutAndLaidOnTheBench() {
    String day = taken().at("/agreed/brews/0/day").asString();
    assertThat(day).isEqualTo(today.toString());
    assertThat(owner.get("/api/today").body().toString())
        .contains("Brew ")
        .contains("linseed styling gel today")
        .contains("for Ada's wash day");
    Visitor.Answer evening = owner.get("/api/plan/days/" + day);
    assertThat(evening.status()).as(evening.body().toString()).isEqualTo(200);
    assertThat(evening.at("/lines").size()).isPositive();
    assertThat(evening.at("/picking").toString()).contains("Linseed");
    assertThat(evening.at("/troubles").size()).isZero();
    Visitor.Answer begun = owner.post("/api/plan/days/" + day, Map.of());
    assertThat(begun.status()).as(begun.body().toString()).isEqualTo(201);
    assertThat(begun.at("/batches").size()).isEqualTo(1);
    assertThat(owner.get("/api/batches/running").body().size()).isEqualTo(1);
    // What is on the bench is no plan any more, and feeds the heads all the same.
    Visitor.Answer plan = plan();
    assertThat(plan.at("/agreed/without").size()).as(plan.at("/agreed").toString()).isZero();
    assertThat(plan.at("/agreed/bands/0/id").asString()).startsWith("brew:");
    assertThat(owner.get("/api/plan/days/" + day).status()).isEqualTo(404);
  }

  @Test
  void whatIsMissedIsPlannedAgain() {
    taken();
    owner.moveClock(DAY);
    Visitor.Answer plan = plan();
    assertThat(plan.at("/agreed/without").size()).isPositive();
    assertThat(plan.at("/changed").asBoolean()).isTrue();
    assertThat(plan.at("/proposal/without").size())
        .isLessThanOrEqualTo(plan.at("/agreed/without").size());
  }

  @Test
  void aBetterPlanIsLookedForInTheBackground() {
    assertThat(owner.post("/api/plan/search", Map.of()).status()).isEqualTo(202);
    assertThat(plan().text("/search/state")).isEqualTo("ASKED");
    TestServer.work("searchPlans").run();
    Visitor.Answer done = plan();
    assertThat(done.text("/search/state")).isEqualTo("DONE");
    assertThat(done.at("/proposal/without").size()).isZero();
    // Nothing waits any more, so nothing is done twice.
    TestServer.work("searchPlans").run();
    assertThat(owner.post("/api/plan/search", Map.of()).status()).isEqualTo(202);
    assertThat(owner.delete("/api/plan/search").status()).isEqualTo(204);
    assertThat(plan().text("/search/state")).isEqualTo("STOPPED");
    TestServer.work("searchPlans").run();
    assertThat(plan().text("/search/state")).isEqualTo("STOPPED");
  }

  @Test
  void aJarForAFriendIsPlannedToo() {
    Map<String, Object> jar =
        Map.of(
            "formula",
            "lemon-balm-spray",
            "millilitres",
            250,
            "by",
            today.plusDays(6).toString(),
            "words",
            "A jar for a friend");
    Visitor.Answer plan = owner.post("/api/plan/demands", jar);
    assertThat(plan.status()).as(plan.body().toString()).isEqualTo(201);
    assertThat(plan.at("/proposal/brews").toString()).contains("lemon-balm-spray");
    String id = plan.text("/demands/0/id");
    assertThat(owner.delete("/api/plan/demands/" + id).at("/demands").size()).isZero();
  }

  @Test
  void settingsSayWhenThereIsTime() {
    Map<String, Object> settings =
        Map.of(
            "evenings",
            List.of(Map.of("day", "SUNDAY", "from", "14:00", "to", "20:00")),
            "off",
            List.of(),
            "freezerMl",
            0,
            "fridgeMl",
            3000);
    Visitor.Answer plan =
        owner.put("/api/plan/settings", Map.of("settings", settings, "version", -1));
    assertThat(plan.status()).as(plan.body().toString()).isEqualTo(200);
    assertThat(plan.at("/proposal/brews").valueStream())
        .allMatch(
            brew -> LocalDate.parse(brew.get("day").asString()).getDayOfWeek().getValue() == 7);
    assertThat(
            owner.put("/api/plan/settings", Map.of("settings", settings, "version", -1)).status())
        .isEqualTo(409);
  }

  @ParameterizedTest
  @CsvSource({
    "formula, no-such, brews[0].formula",
    "day, 2020-01-01, brews[0].day",
    "millilitres, 9000, brews[0].millilitres"
  })
  void whatIsWrongIsToldAtItsPlace(String field, String value, String place) {
    Map<String, Object> brew = new HashMap<>(brews(plan().at("/proposal/brews")).get(0));
    brew.put(field, field.equals("millilitres") ? Double.valueOf(value) : value);
    Visitor.Answer no = take(List.of(brew), -1);
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.text("/errors/0/field")).isEqualTo(place);
    assertThat(plan().at("/agreed").isNull()).isTrue();
  }

  @Test
  void fortyHeadsGetAnAnswer() {
    for (int i = 0; i < 18; i++) {
      somebody("P" + i, today.plusDays(i % 7));
    }
    Visitor.Answer plan = plan();
    assertThat(plan.at("/proposal/brews").size()).isPositive();
    assertThat(owner.get("/api/plan?days=85").status()).isEqualTo(400);
  }

  private UUID household() {
    return TestServer.bean(JdbcTemplate.class)
        .queryForObject(
            "select household_id from person where id = ?",
            (row, n) -> UUID.fromString(row.getString(1)),
            ada);
  }

  private void inItsTurn(String sql, Object... values) {
    TestServer.bean(Turns.class)
        .take(household(), () -> TestServer.bean(JdbcTemplate.class).update(sql, values));
  }

  @Test
  void whatAnInstanceThatDiedWasAtIsBegunAgain() {
    owner.post("/api/plan/search", Map.of());
    inItsTurn(
        "update plan_search set state = 'RUNNING' where household_id = ?", household().toString());
    assertThat(plan().text("/search/state")).isEqualTo("RUNNING");
    TestServer.work("searchPlans").run();
    assertThat(plan().text("/search/state")).isEqualTo("DONE");
  }

  @Test
  void anAnswerCountsOnlyForWhatItWasFoundFor() {
    owner.post("/api/plan/search", Map.of());
    TestServer.work("searchPlans").run();
    String before = plan().at("/proposal/brews").toString();
    somebody("Cai", today.plusDays(1));
    assertThat(plan().at("/proposal/brews").toString()).isNotEqualTo(before);
  }

  /** A row as it was kept when there were plans first. */
  @Test
  void settingsAsTheyWereKeptAreRead() {
    taken();
    inItsTurn(
        "update brew_plan set settings = ? where household_id = ?",
        "{\"schemaVersion\":3,\"evenings\":[{\"day\":\"SUNDAY\",\"from\":\"14:00:00\","
            + "\"to\":\"20:30:00\"}],\"off\":[\"2030-03-10\"],\"freezerMl\":750.0,"
            + "\"fridgeMl\":3000.0}",
        household().toString());
    Visitor.Answer plan = plan();
    assertThat(plan.text("/settings/evenings/0/day")).isEqualTo("SUNDAY");
    assertThat(plan.text("/settings/off/0")).isEqualTo("2030-03-10");
    assertThat(plan.at("/settings/freezerMl").asDouble()).isEqualTo(750);
    assertThat(plan.at("/evenings").valueStream())
        .noneMatch(evening -> evening.get("day").asString().equals("2030-03-10"));
  }

  @Test
  void severalBrewsOfAnEveningShareIt() {
    List<Map<String, Object>> two = new ArrayList<>();
    for (String formula : List.of("linseed-gel", "birch-sage-decoction")) {
      two.add(Map.of("day", today.toString(), "formula", formula, "millilitres", 250));
    }
    assertThat(take(two, -1).status()).isEqualTo(200);
    Visitor.Answer evening = owner.get("/api/plan/days/" + today);
    assertThat(evening.at("/brews").size()).isEqualTo(2);
    assertThat(evening.at("/picking").valueStream())
        .anyMatch(pick -> pick.get("brews").size() == 2);
    double busy = 0;
    for (JsonNode line : evening.at("/lines").values()) {
      double at = java.time.Instant.parse(line.get("at").asString()).getEpochSecond() / 60.0;
      assertThat(at).isGreaterThanOrEqualTo(busy - 0.1);
      busy = at + line.get("minutes").asDouble();
    }
    Visitor.Answer both = owner.post("/api/plan/days/" + today, Map.of());
    assertThat(both.at("/batches").size()).isEqualTo(2);
  }

  @Test
  void anotherDaysBrewsAreNotBegunToday() {
    String later = today.plusDays(2).toString();
    take(List.of(Map.of("day", later, "formula", "linseed-gel", "millilitres", 200)), -1);
    Visitor.Answer no = owner.post("/api/plan/days/" + later, Map.of());
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.fields()).containsExactly("day");
    assertThat(owner.get("/api/batches/running").body().size()).isZero();
  }

  @Test
  void aSpoiltBottleIsPlannedAround() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    taken();
    Visitor.Answer bottle = owner.get("/api/bottles/" + gel);
    owner.post(
        "/api/bottles/" + gel + "/discard",
        Map.of("version", bottle.at("/bottle/version").asLong(), "reason", "SMELL", "note", ""));
    Visitor.Answer plan = plan();
    assertThat(plan.at("/agreed/without").size()).isPositive();
    assertThat(plan.at("/changed").asBoolean()).isTrue();
    assertThat(plan.at("/proposal/without").size()).isLessThan(plan.at("/agreed/without").size());
  }
}
