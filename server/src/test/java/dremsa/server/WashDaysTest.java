package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Sheets, weeks and limits through HTTP, where somebody asks for something else, or wrongly. */
class WashDaysTest {
  private static final long DAY = 24 * 3600;

  private final Visitor owner = Visitor.withHousehold();
  private String today;

  @BeforeEach
  void begin() {
    today = owner.get("/api/people").text("/today");
  }

  /** Somebody with one occasion a day, of the places named. */
  private String daily(String name, Map<String, Object> hair, String... places) {
    Visitor.Answer made =
        owner.post("/api/people", Map.of("name", name, "hair", hair, "usual", false));
    assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
    String id = made.text("/person/id");
    List<Map<String, Object>> slots = new ArrayList<>();
    for (String place : places) {
      slots.add(Map.of("kind", place));
    }
    keep(id, "FREQ=DAILY", slots);
    return id;
  }

  private Visitor.Answer keep(String id, String rule, List<Map<String, Object>> slots) {
    long version = owner.get("/api/people/" + id).at("/person/version").asLong();
    Map<String, Object> occasion =
        Map.of(
            "key",
            "wash",
            "kind",
            "WASH_DAY",
            "name",
            "Wash day",
            "repeat",
            Map.of("first", today, "rule", rule),
            "time",
            "19:00:00",
            "slots",
            slots);
    return owner.put(
        "/api/people/" + id + "/routine",
        Map.of("version", version, "routine", Map.of("occasions", List.of(occasion))));
  }

  private Map<String, Object> asked(String person, Object... wishes) {
    Map<String, Object> head = new HashMap<>();
    head.put("person", person);
    head.put("occasion", "wash");
    head.put("planned", today);
    head.put("wishes", List.of(wishes));
    return head;
  }

  private Visitor.Answer sheet(Object... heads) {
    return owner.post("/api/sheets", Map.of("day", today, "heads", List.of(heads)));
  }

  private Visitor.Answer done(String person, UUID bottle, double ml) {
    today = owner.get("/api/people").text("/today");
    Map<String, Object> head = new HashMap<>(asked(person));
    head.remove("wishes");
    head.put(
        "places",
        List.of(Map.of("place", 0, "takes", List.of(Map.of("bottle", bottle, "millilitres", ml)))));
    return owner.post("/api/wash-days", Map.of("heads", List.of(head)));
  }

  @Test
  void aDoseIsDrawnToWhatIsReallyUsed() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 500);
    today = owner.get("/api/people").text("/today");
    String ada = daily("Ada", Map.of("stretchedCm", 35), "STYLER");
    assertThat(sheet(asked(ada)).at("/heads/0/places/0/dose/value").asDouble()).isEqualTo(50);
    assertThat(done(ada, gel, 90).status()).isEqualTo(200);
    owner.moveClock(DAY);
    today = owner.get("/api/people").text("/today");
    Visitor.Answer next = sheet(asked(ada));
    assertThat(next.at("/heads/0/places/0/dose/value").asDouble()).isEqualTo(60);
    assertThat(next.text("/heads/0/places/0/doseWords")).contains("90 mL");
  }

  @Test
  void whatIsWishedOtherwiseIsReckonedOtherwise() {
    UUID first = Kitchenwork.bottled(owner, "linseed-gel", 300);
    UUID second = Kitchenwork.bottled(owner, "linseed-gel", 300);
    today = owner.get("/api/people").text("/today");
    String ada = daily("Ada", Map.of("stretchedCm", 35), "STYLER");
    String proposed = sheet(asked(ada)).text("/heads/0/places/0/portions/0/bottle");
    UUID other = proposed.equals(first.toString()) ? second : first;
    JsonNode swapped =
        sheet(asked(ada, Map.of("place", 0, "bottle", other, "millilitres", 33)))
            .at("/heads/0/places/0");
    assertThat(swapped.at("/portions/0/bottle").asString()).isEqualTo(other.toString());
    assertThat(swapped.at("/portions/0/millilitres").asDouble()).isEqualTo(33);
    JsonNode left = sheet(asked(ada, Map.of("place", 0, "leftOut", true))).at("/heads/0/places/0");
    assertThat(left.at("/leftOut").asBoolean()).isTrue();
    assertThat(left.at("/portions").size()).isZero();
    JsonNode gone =
        sheet(asked(ada, Map.of("place", 0, "bottle", UUID.randomUUID()))).at("/heads/0/places/0");
    assertThat(gone.at("/portions").size()).as("a bottle that is not there").isZero();
  }

  @Test
  void twoHeadsNeverTakeMoreThanThereIs() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 100);
    today = owner.get("/api/people").text("/today");
    String ada = daily("Ada", Map.of("stretchedCm", 80, "density", "DENSE"), "STYLER");
    String bo = daily("Bo", Map.of("stretchedCm", 80), "STYLER");
    Visitor.Answer both = sheet(asked(ada), asked(bo));
    double left = owner.get("/api/bottles/" + gel).at("/bottle/leftMl").asDouble();
    double taken = 0;
    for (JsonNode head : both.at("/heads")) {
      for (JsonNode portion : head.at("/places/0/portions")) {
        taken += portion.get("millilitres").asDouble();
      }
    }
    assertThat(taken).isLessThanOrEqualTo(left + 1e-6).isGreaterThan(0);
    assertThat(both.text("/heads/1/places/0/without")).isNotEmpty();
  }

  @Test
  void proteinIsCountedAndTheDayItIsFineAgainIsSaid() {
    UUID ferment = Kitchenwork.bottled(owner, "barley-ferment", 500);
    today = owner.get("/api/people").text("/today");
    String ada = daily("Ada", Map.of("porosity", "NORMAL", "stretchedCm", 15), "RINSE");
    assertThat(done(ada, ferment, 200).status()).isEqualTo(200);
    JsonNode limit = owner.get("/api/people/" + ada).at("/limits/0");
    assertThat(limit.get("load").asDouble()).isEqualTo(1);
    String fine = java.time.LocalDate.parse(today).plusDays(7).toString();
    assertThat(limit.get("fineFrom").asString()).isEqualTo(fine);
    JsonNode heads = owner.get("/api/bottles/" + ferment + "/heads").body();
    assertThat(heads.at("/0/limits/0/kind").asString()).isEqualTo("PROTEIN");
    assertThat(heads.at("/0/limits/0/fineFrom").asString()).isEqualTo(fine);
    assertThat(heads.at("/0/limits/0/own").asBoolean()).isFalse();
    Map<String, Object> own = new HashMap<>();
    own.put("version", owner.get("/api/people/" + ada).at("/person/version").asLong());
    own.put("name", "Ada");
    own.put("hair", Map.of("ownProtein", Map.of("times", 3, "days", 7)));
    JsonNode page = owner.put("/api/people/" + ada, own).body();
    assertThat(page.at("/limits/0/own").asBoolean()).isTrue();
    assertThat(page.at("/limits/0/most").asDouble()).isEqualTo(3);
    assertThat(owner.get("/api/formulas/barley-ferment/heads").at("/0/well").asBoolean()).isTrue();
  }

  @Test
  void formulasAreSaidToSuitOrNot() {
    String ada =
        owner
            .post(
                "/api/people",
                Map.of(
                    "name",
                    "Ada",
                    "hair",
                    Map.of("unsuited", List.of(Map.of("material", "linseed")))))
            .text("/person/id");
    Map<String, Boolean> well = new HashMap<>();
    owner
        .get("/api/people/" + ada + "/formulas")
        .body()
        .forEach(each -> well.put(each.get("formula").asString(), each.get("well").asBoolean()));
    assertThat(well).containsEntry("linseed-gel", false).containsEntry("lemon-balm-spray", true);
    assertThat(well.size()).isGreaterThan(25);
    JsonNode wanted = owner.get("/api/formulas/linseed-gel/wanted").body();
    assertThat(wanted.size()).as("nothing is wanted for whom it does not suit").isZero();
  }

  @ParameterizedTest
  @CsvSource({
    "/api/weeks?days=0,days",
    "/api/weeks?days=85,days",
    "/api/weeks?from=2020-01-01,from",
    "/api/weeks?from=2030-12-01,from"
  })
  void theWeeksHaveTheirBounds(String path, String field) {
    assertThat(owner.get(path).fields()).containsExactly(field);
  }

  @ParameterizedTest
  @ValueSource(doubles = {-1, 60 * 24 * 40})
  void aTestBeganWithinMemory(double hoursAgo) {
    String ada = daily("Ada", Map.of(), "RINSE");
    assertThat(
            owner
                .post(
                    "/api/people/" + ada + "/tests",
                    Map.of("material", "sage", "hoursAgo", hoursAgo))
                .fields())
        .containsExactly("hoursAgo");
  }

  @Test
  void aSheetIsAskedForRightly() {
    String ada = daily("Ada", Map.of(), "RINSE");
    Map<String, Object> nobody = new HashMap<>(asked(UUID.randomUUID().toString()));
    assertThat(sheet(nobody).fields()).containsExactly("heads[0].person");
    Map<String, Object> never = new HashMap<>(asked(ada));
    never.put("occasion", "moonrise");
    assertThat(sheet(never).fields()).containsExactly("heads[0].occasion");
    assertThat(sheet(asked(ada, Map.of("place", 0, "millilitres", -3))).fields())
        .containsExactly("heads[0].wishes[0].millilitres");
    assertThat(
            owner
                .post("/api/sheets", Map.of("day", "2029-01-01", "heads", List.of(asked(ada))))
                .fields())
        .containsExactly("day");
    assertThat(owner.post("/api/sheets", Map.of("day", today, "heads", List.of())).fields())
        .containsExactly("heads");
  }

  @Test
  void whatWasDoneIsWrittenDownRightly() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    today = owner.get("/api/people").text("/today");
    String ada = daily("Ada", Map.of(), "STYLER");
    Map<String, Object> head = new HashMap<>(asked(ada));
    head.remove("wishes");
    head.put("places", List.of(Map.of("place", 7)));
    assertThat(owner.post("/api/wash-days", Map.of("heads", List.of(head))).fields())
        .containsExactly("heads[0].places[0].place");
    head.put("places", List.of(Map.of("place", 0, "minutes", 1e9)));
    assertThat(owner.post("/api/wash-days", Map.of("heads", List.of(head))).fields())
        .containsExactly("heads[0].places[0].minutes");
    Map<String, Object> amount = Map.of("bottle", gel, "amount", "a smidgen of moonlight");
    head.put("places", List.of(Map.of("place", 0, "takes", List.of(amount))));
    assertThat(owner.post("/api/wash-days", Map.of("heads", List.of(head))).fields())
        .containsExactly("heads[0].places[0].takes[0].amount");
    head.put(
        "places",
        List.of(Map.of("place", 0, "takes", List.of(Map.of("bottle", gel, "amount", "a third")))));
    assertThat(owner.post("/api/wash-days", Map.of("heads", List.of(head, head))).fields())
        .containsExactly("heads[1].person");
    Map<String, Object> wrongDay = new HashMap<>(head);
    wrongDay.put("planned", "2030-01-01");
    assertThat(owner.post("/api/wash-days", Map.of("heads", List.of(wrongDay))).fields())
        .containsExactly("heads[0].planned");
    double before = owner.get("/api/bottles/" + gel).at("/bottle/leftMl").asDouble();
    assertThat(owner.post("/api/wash-days", Map.of("heads", List.of(head))).status())
        .isEqualTo(200);
    assertThat(owner.get("/api/bottles/" + gel).at("/bottle/leftMl").asDouble())
        .isCloseTo(before * 2 / 3, org.assertj.core.api.Assertions.within(0.1));
    assertThat(
            owner
                .post(
                    "/api/wash-days/move",
                    Map.of("person", ada, "occasion", "wash", "planned", today, "to", today))
                .status())
        .as("what is done is not moved")
        .isEqualTo(409);
  }

  @Test
  void aWashDayIsCalledInTheMorningAndATakeDownOnItsDay() {
    String down = java.time.LocalDate.parse(today).plusDays(3).toString();
    owner.post(
        "/api/people",
        Map.of(
            "name", "Dot", "hair", Map.of("worn", Map.of("style", "CORNROWS", "takeDown", down))));
    String calendar = new String(owner.file("/api/shelf.ics").bytes(), StandardCharsets.UTF_8);
    assertThat(calendar).contains("Take-down: Dot").contains("Between the braids: Dot");
    owner.moveClock(6 * DAY);
    String told = owner.get("/api/messages?page=0").body().toString();
    assertThat(told).contains("Take-down: Dot").contains("Wash day: Dot");
    assertThat(owner.get("/api/people").at("/people/0/up").asBoolean()).isFalse();
  }

  @Test
  void homeNamesTheHeadsOfToday() {
    daily("Ada", Map.of(), "RINSE");
    daily("Bo", Map.of(), "RINSE");
    JsonNode task = owner.get("/api/today").at("/0");
    assertThat(task.get("kind").asString()).isEqualTo("WASH");
    assertThat(task.get("words").asString()).isEqualTo("Wash day: Ada and Bo");
    assertThat(task.get("id").asString()).isEqualTo(today);
  }

  @Test
  void aHouseholdKeepsSoManyPagesAndNoMore() {
    for (int i = 0; i < 40; i++) {
      assertThat(owner.post("/api/people", Map.of("name", "P" + i)).status()).isEqualTo(200);
    }
    assertThat(owner.post("/api/people", Map.of("name", "P40")).status()).isEqualTo(409);
    assertThat(owner.get("/api/weeks?days=84").status()).isEqualTo(200);
  }

  @Test
  void howOftenTheDatabaseIsAskedDoesNotGrowWithThePeople() {
    daily("P0", Map.of(), "RINSE");
    int one = TurnGuard.statements(() -> owner.get("/api/people")).size();
    int weeks = TurnGuard.statements(() -> owner.get("/api/weeks")).size();
    for (int i = 1; i < 5; i++) {
      daily("P" + i, Map.of(), "RINSE");
    }
    assertThat(TurnGuard.statements(() -> owner.get("/api/people"))).hasSize(one);
    assertThat(TurnGuard.statements(() -> owner.get("/api/weeks"))).hasSize(weeks);
    assertThat(one).isLessThanOrEqualTo(9);
  }

  @Test
  void aPageGoesAlongAsAFileAndIsOfItsHouseholdAlone() {
    String ada = daily("Ada", Map.of("stretchedCm", 31), "RINSE");
    Visitor.File file = owner.file("/api/people/" + ada + "/export");
    assertThat(new String(file.bytes(), StandardCharsets.UTF_8)).contains("\"Ada\"").contains("31");
    Visitor stranger = Visitor.withHousehold();
    assertThat(stranger.get("/api/people/" + ada).status()).isEqualTo(404);
    assertThat(stranger.file("/api/people/" + ada + "/export").status()).isEqualTo(404);
    assertThat(stranger.delete("/api/people/" + ada + "?version=0").status()).isEqualTo(404);
  }

  @Test
  void aRuleIsSaidBeforeItIsKept() {
    JsonNode says =
        owner.post("/api/repeats", Map.of("first", today, "rule", "FREQ=DAILY;INTERVAL=10")).body();
    assertThat(says.get("words").asString()).isEqualTo("every 10 days");
    assertThat(says.at("/days/1").asString())
        .isEqualTo(java.time.LocalDate.parse(today).plusDays(10).toString());
    assertThat(owner.post("/api/repeats", Map.of("first", today, "rule", "FREQ=HOURLY")).fields())
        .containsExactly("rule");
  }

  @Test
  void aTableOfUsesThatIsWrongIsNotKept() {
    daily("Ada", Map.of(), "RINSE");
    String head = "time,person,slot,product,millilitres,protein,essential\n";
    for (String line :
        List.of(
            "2030-03-01 10:00:00,Ada,FOREHEAD,Rinse,40,NONE,",
            "2030-03-01 10:00:00,Ada,RINSE,Rinse,-1,NONE,",
            "2031-03-01 10:00:00,Ada,RINSE,Rinse,40,NONE,",
            "2030-03-01 10:00:00,Ada,RINSE,Rinse,40,PLENTY,",
            "2030-03-01 10:00:00,Ada,RINSE,Rinse,40,NONE,{lavender}")) {
      Visitor.Answer refused =
          owner.upload(
              "/api/tables/uses", "text/csv", (head + line).getBytes(StandardCharsets.UTF_8));
      assertThat(refused.body().toString()).as(line).doesNotContain("\"taken\":1");
    }
    String ada = owner.get("/api/people").text("/people/0/id");
    assertThat(owner.get("/api/people/" + ada).at("/uses").size()).isZero();
    String good = "2030-03-01 10:00:00,Ada,RINSE,Rinse,40,STRONG,";
    owner.upload("/api/tables/uses", "text/csv", (head + good).getBytes(StandardCharsets.UTF_8));
    assertThat(owner.get("/api/people/" + ada).at("/limits/0/load").asDouble())
        .as("old uses count for limits")
        .isEqualTo(1);
  }
}
