package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** People, what they bear, and their wash days, through HTTP. */
class PeopleTest {
  /** The first Sunday after the day on which every test begins. */
  private static final String SUNDAY = "2030-03-10";

  private static final long DAY = 24 * 3600;

  private final Visitor owner = Visitor.withHousehold();

  private Visitor.Answer person(String name, Map<String, Object> hair) {
    Visitor.Answer made = owner.post("/api/people", Map.of("name", name, "hair", hair));
    assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
    return made;
  }

  private Visitor.Answer curly(String name) {
    return person(
        name,
        Map.of("stretchedCm", 35, "unstretchedCm", 28, "pattern", "CURLY", "porosity", "LOW"));
  }

  private static Map<String, Object> head(String person, List<Map<String, Object>> places) {
    return Map.of("person", person, "occasion", "wash", "planned", SUNDAY, "places", places);
  }

  private static Map<String, Object> take(int place, UUID bottle, double ml) {
    return Map.of(
        "place",
        place,
        "takes",
        List.of(Map.of("bottle", bottle, "millilitres", ml)),
        "minutes",
        20);
  }

  private double left(UUID bottle) {
    return owner.get("/api/bottles/" + bottle).at("/bottle/leftMl").asDouble();
  }

  private Visitor.Answer sheet(Object... people) {
    List<Map<String, Object>> heads =
        java.util.Arrays.stream(people)
            .map(p -> Map.<String, Object>of("person", p, "occasion", "wash", "planned", SUNDAY))
            .toList();
    return owner.post("/api/sheets", Map.of("day", SUNDAY, "heads", heads));
  }

  private JsonNode occasion(String state) {
    return owner
        .get("/api/weeks?days=14")
        .at("/occasions")
        .valueStream()
        .filter(each -> each.get("state").asString().equals(state))
        .findFirst()
        .orElse(null);
  }

  @Test
  void somebodyIsKnownByANameAloneAndByAsMuchAsIsTold() {
    Visitor.Answer bare = owner.post("/api/people", Map.of("name", "Bo"));
    assertThat(bare.text("/person/age")).isEqualTo("grown up");
    assertThat(bare.at("/limits/0/days").asInt()).as("porosity not known").isEqualTo(14);
    Visitor.Answer ada = curly("Ada");
    assertThat(ada.at("/person/shrinkage").asDouble()).isCloseTo(0.2, within(1e-9));
    assertThat(ada.text("/person/occasions/0/words")).isEqualTo("Sundays");
    Map<String, Object> told = new HashMap<>();
    told.put("version", ada.at("/person/version").asLong());
    told.put("name", "Ada");
    told.put(
        "hair",
        Map.of("born", 2026, "unsuited", List.of(Map.of("family", "SCENTS")), "light", true));
    Visitor.Answer changed = owner.put("/api/people/" + ada.text("/person/id"), told);
    assertThat(changed.text("/person/age")).isEqualTo("3 to 6");
    assertThat(owner.put("/api/people/" + ada.text("/person/id"), told).status())
        .as("seen before it was changed")
        .isEqualTo(409);
  }

  @Test
  void whatCannotBeIsRefusedAtItsPlace() {
    assertThat(
            owner.post("/api/people", Map.of("name", "Old", "hair", Map.of("born", 1830))).fields())
        .containsExactly("hair.born");
    assertThat(
            owner
                .post("/api/people", Map.of("name", "X", "hair", Map.of("stretchedCm", 900)))
                .fields())
        .containsExactly("hair.stretchedCm");
    assertThat(
            owner
                .post(
                    "/api/people",
                    Map.of(
                        "name",
                        "X",
                        "hair",
                        Map.of("unsuited", List.of(Map.of("material", "moon-dust")))))
                .fields())
        .containsExactly("hair.unsuited[0].material");
    assertThat(owner.post("/api/people", Map.of("name", " ")).fields()).containsExactly("name");
    Visitor.Answer ada = curly("Ada");
    for (Map.Entry<String, String> wrong :
        Map.of(
                "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30", "never",
                "FREQ=MINUTELY", "Once a day",
                "now and then", "no rule")
            .entrySet()) {
      Visitor.Answer refused =
          owner.put(
              "/api/people/" + ada.text("/person/id") + "/routine",
              Map.of(
                  "version",
                  0,
                  "routine",
                  Map.of(
                      "occasions",
                      List.of(
                          Map.of(
                              "key",
                              "w",
                              "kind",
                              "WASH_DAY",
                              "name",
                              "Wash",
                              "repeat",
                              Map.of("first", SUNDAY, "rule", wrong.getKey()),
                              "slots",
                              List.of(Map.of("kind", "RINSE")))))));
      assertThat(refused.fields()).containsExactly("routine.occasions[0].repeat.rule");
      assertThat(refused.text("/detail")).contains(wrong.getValue());
    }
    Visitor.Answer sixty =
        owner.put(
            "/api/people/" + ada.text("/person/id") + "/routine",
            Map.of(
                "version",
                0,
                "routine",
                Map.of(
                    "occasions",
                    List.of(
                        Map.of(
                            "key",
                            "w",
                            "kind",
                            "WASH_DAY",
                            "name",
                            "Wash",
                            "repeat",
                            Map.of("first", SUNDAY, "rule", "FREQ=DAILY"),
                            "slots",
                            java.util.Collections.nCopies(60, Map.of("kind", "RINSE")))))));
    assertThat(sixty.text("/detail")).contains("not 60");
  }

  @Test
  void aWashDayTakesFromItsBottlesOnceAndGivesBack() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    String ada = curly("Ada").text("/person/id");
    double before = left(gel);
    Visitor.Answer sheet = sheet(ada);
    // Place 6 is the styler of the usual routine for curls.
    assertThat(sheet.text("/heads/0/places/6/portions/0/bottle")).isEqualTo(gel.toString());
    double dose = sheet.at("/heads/0/places/6/portions/0/millilitres").asDouble();
    assertThat(dose).isEqualTo(50);
    Map<String, Object> form = Map.of("heads", List.of(head(ada, List.of(take(6, gel, dose)))));
    Visitor.Answer done = owner.post("/api/wash-days", form, "once");
    assertThat(done.status()).as(done.body().toString()).isEqualTo(200);
    assertThat(owner.post("/api/wash-days", form, "once").body()).isEqualTo(done.body());
    assertThat(left(gel)).isCloseTo(before - 50, within(1e-6));
    Visitor.Answer second = owner.post("/api/wash-days", form, "another phone");
    assertThat(second.status()).isEqualTo(409);
    assertThat(left(gel)).as("nothing taken twice").isCloseTo(before - 50, within(1e-6));
    JsonNode use = owner.get("/api/people/" + ada).at("/uses/0");
    assertThat(use.get("slot").asString()).isEqualTo("STYLER");
    assertThat(use.get("minutes").asDouble()).isEqualTo(20);
    assertThat(owner.get("/api/bottles/" + gel).text("/happenings/0/detail"))
        .isEqualTo("Ada, styler");
    assertThat(occasion("DONE").get("done").asString()).isEqualTo(done.text("/washDays/0"));
    owner.post("/api/wash-days/" + done.text("/washDays/0") + "/undo", Map.of());
    assertThat(left(gel)).isCloseTo(before, within(1e-6));
    assertThat(occasion("DONE")).isNull();
    assertThat(owner.get("/api/people/" + ada).at("/uses/0/undone").asBoolean()).isTrue();
  }

  @Test
  void nothingIsTakenThatIsNotThereOrWasNotBrewedYet() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 200);
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 200);
    String ada = curly("Ada").text("/person/id");
    double before = left(spray);
    Visitor.Answer tooMuch =
        owner.post(
            "/api/wash-days",
            Map.of("heads", List.of(head(ada, List.of(take(5, spray, 20), take(6, gel, 900))))));
    assertThat(tooMuch.fields()).containsExactly("heads[0].places[1].takes[0].millilitres");
    assertThat(left(spray)).as("all or nothing").isEqualTo(before);
    Visitor.Answer before1 =
        owner.post(
            "/api/wash-days",
            Map.of("hoursAgo", 500, "heads", List.of(head(ada, List.of(take(6, gel, 20))))));
    assertThat(before1.fields()).containsExactly("heads[0].places[0].takes[0].at");
    Visitor.Answer nobody =
        owner.post(
            "/api/wash-days",
            Map.of("heads", List.of(head(UUID.randomUUID().toString(), List.of()))));
    assertThat(nobody.status()).isEqualTo(404);
  }

  @Test
  void aMissedOneMovesOnAndOneIsPutOnAnotherDay() {
    String ada = curly("Ada").text("/person/id");
    owner.moveClock(6 * DAY);
    JsonNode carried = occasion("CARRIED");
    assertThat(carried.get("planned").asString()).isEqualTo(SUNDAY);
    assertThat(carried.get("day").asString()).isEqualTo("2030-03-11");
    Map<String, Object> move = new HashMap<>();
    move.put("person", ada);
    move.put("occasion", "wash");
    move.put("planned", SUNDAY);
    move.put("to", "2030-03-13");
    assertThat(owner.post("/api/wash-days/move", move).status()).isEqualTo(200);
    assertThat(occasion("MOVED").get("day").asString()).isEqualTo("2030-03-13");
    move.put("to", "2030-02-01");
    assertThat(owner.post("/api/wash-days/move", move).fields()).containsExactly("to");
    move.remove("to");
    owner.post("/api/wash-days/move", move);
    assertThat(occasion("SKIPPED")).isNull();
    assertThat(
            owner
                .get("/api/weeks?from=2030-03-08&days=10")
                .at("/occasions")
                .valueStream()
                .filter(each -> each.get("planned").asString().equals(SUNDAY))
                .map(each -> each.get("state").asString()))
        .contains("SKIPPED");
    move.put("back", true);
    owner.post("/api/wash-days/move", move);
    assertThat(occasion("CARRIED")).isNotNull();
  }

  @Test
  void aReactionMarksTheProductForThatHeadAlone() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    String ada = curly("Ada").text("/person/id");
    String bo = curly("Bo").text("/person/id");
    Visitor.Answer page =
        owner.post(
            "/api/people/" + ada + "/reactions", Map.of("bottle", gel, "sign", "IRRITATION"));
    assertThat(page.text("/reactions/0/suspects/0/why")).isEqualTo("It was new on this head.");
    assertThat(page.text("/ifItReacts")).contains("doctor");
    JsonNode heads = owner.get("/api/bottles/" + gel + "/heads").body();
    assertThat(heads.at("/0/well").asBoolean()).isFalse();
    assertThat(heads.at("/1/well").asBoolean()).isTrue();
    Visitor.Answer both = sheet(ada, bo);
    assertThat(both.at("/heads/0/places/6/portions").size()).isZero();
    assertThat(both.at("/heads/1/places/6/portions").size()).isEqualTo(1);
    owner.delete("/api/people/" + ada + "/reactions/" + page.text("/reactions/0/id"));
    assertThat(sheet(ada).at("/heads/0/places/6/portions").size()).isEqualTo(1);
  }

  @Test
  void aTestOnTheArmIsCalledAfterTwoDaysAndSettlesIt() {
    String ada = curly("Ada").text("/person/id");
    Visitor.Answer begun =
        owner.post("/api/people/" + ada + "/tests", Map.of("material", "linseed"));
    String test = begun.text("/tests/0/id");
    assertThat(calendar()).contains("Test on the arm: Ada");
    owner.moveClock(2 * DAY + 60);
    assertThat(owner.get("/api/messages?page=0").body().toString())
        .contains("Test on the arm: Ada");
    Visitor.Answer seen =
        owner.put(
            "/api/people/" + ada + "/tests/" + test, Map.of("version", 0, "result", "REACTED"));
    assertThat(seen.text("/tests/0/result")).isEqualTo("REACTED");
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    assertThat(owner.get("/api/bottles/" + gel + "/heads").text("/0/limits/0/kind"))
        .isEqualTo("REACTED");
    assertThat(owner.put("/api/people/" + ada + "/tests/" + test, Map.of("version", 0)).status())
        .isEqualTo(409);
  }

  private String calendar() {
    return new String(
        owner.file("/api/shelf.ics").bytes(), java.nio.charset.StandardCharsets.UTF_8);
  }

  @Test
  void whoIsTakenAwayIsNamedNowhereAndWhatWasUsedStays() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    String ada = curly("Adamantia").text("/person/id");
    String bo = curly("Bo").text("/person/id");
    List<Map<String, Object>> both =
        List.of(head(ada, List.of(take(6, gel, 40))), head(bo, List.of(take(6, gel, 40))));
    owner.post("/api/wash-days", Map.of("heads", both));
    double left = left(gel);
    owner.moveClock(5 * DAY);
    long version = owner.get("/api/people/" + ada).at("/person/version").asLong();
    assertThat(owner.delete("/api/people/" + ada + "?version=" + version).status()).isEqualTo(200);
    assertThat(left(gel)).isEqualTo(left);
    JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
    assertThat(
            jdbc.queryForObject(
                "select sum(millilitres) from bottle_use where bottle_id = ?", Double.class, gel))
        .isEqualTo(80.0);
    assertThat(owner.get("/api/bottles/" + gel).at("/happenings").valueStream())
        .extracting(line -> line.get("detail").asString())
        .containsExactlyInAnyOrder("Bo, styler", "styler");
    for (String path :
        List.of(
            "/api/bottles/" + gel,
            "/api/history?page=0",
            "/api/messages?page=0",
            "/api/weeks",
            "/api/people")) {
      assertThat(owner.get(path).body().toString()).as(path).doesNotContain("Adamantia");
    }
    assertThat(calendar()).doesNotContain("Adamantia");
    for (String table : List.of("head_use", "wash_day", "patch_test", "reaction")) {
      assertThat(
              jdbc.queryForObject(
                  "select count(*) from " + table + " where person_id = ?", Integer.class, ada))
          .isZero();
    }
  }

  @Test
  void aWashDayUnderWayTimesTheHairOnTheServersClock() {
    UUID mask = Kitchenwork.bottled(owner, "amla-paste", 300);
    String ada = person("Ada", Map.of("stretchedCm", 35, "porosity", "NORMAL")).text("/person/id");
    Map<String, Object> routine =
        Map.of(
            "occasions",
            List.of(
                Map.of(
                    "key",
                    "wash",
                    "kind",
                    "WASH_DAY",
                    "name",
                    "Wash day",
                    "repeat",
                    Map.of("first", SUNDAY, "rule", "FREQ=WEEKLY;BYDAY=SU"),
                    "slots",
                    List.of(Map.of("kind", "SHAMPOO"), Map.of("kind", "MASK")))));
    Visitor.Answer kept =
        owner.put("/api/people/" + ada + "/routine", Map.of("version", 0, "routine", routine));
    assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    String day = kept.text("/today");
    Map<String, Object> form =
        Map.of(
            "day",
            day,
            "heads",
            List.of(Map.of("person", ada, "occasion", "wash", "planned", SUNDAY)));
    Visitor.Answer run = owner.post("/api/wash-runs", form, "begin");
    assertThat(run.text("/sheet/heads/0/places/1/portions/0/bottle")).isEqualTo(mask.toString());
    assertThat(owner.post("/api/wash-runs", form, "begin").text("/id")).isEqualTo(run.text("/id"));
    String at = "/api/wash-runs/" + run.text("/id");
    owner.post(at + "/steps", Map.of("head", 0, "step", 0), "s0");
    assertThat(owner.post(at + "/steps", Map.of("head", 0, "step", 0), "x").status())
        .isEqualTo(409);
    Visitor.Answer resting = owner.post(at + "/steps", Map.of("head", 0, "step", 1), "s1");
    assertThat(resting.at("/progress/0/done").asInt()).isEqualTo(2);
    assertThat(resting.text("/progress/0/rest/then")).contains("Rinse");
    owner.moveClock(30 * 60 + 5);
    assertThat(owner.get("/api/messages?page=0").body().toString()).contains("Rinse it out");
    owner.moveClock(16 * 60);
    assertThat(owner.get("/api/messages?page=0").body().toString())
        .contains("It has been on long enough");
    long version = owner.get("/api/wash-runs").at("/0/version").asLong();
    Visitor.Answer back = owner.post(at + "/undo", Map.of("version", version));
    assertThat(back.at("/progress/0/done").asInt()).isEqualTo(1);
    Map<String, Object> done =
        Map.of("run", run.text("/id"), "heads", List.of(head(ada, List.of(take(1, mask, 40)))));
    assertThat(owner.post("/api/wash-days", done).status()).isEqualTo(200);
    assertThat(owner.get("/api/wash-runs").body().size()).isZero();
  }

  @Test
  void aThawIsToldTheEveningBefore() {
    String ada = curly("Ada").text("/person/id");
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 100);
    Map<String, Object> freeze = new HashMap<>(Map.of("what", "MOVE", "place", "FREEZER"));
    freeze.put("version", owner.get("/api/bottles/" + gel).at("/bottle/version").asLong());
    assertThat(owner.post("/api/bottles/" + gel + "/events", freeze).status()).isEqualTo(200);
    owner.post("/api/people", Map.of("name", "Bo"));
    JsonNode weeks = owner.get("/api/weeks?days=14").body();
    assertThat(weeks.at("/before/0/kind").asString()).isEqualTo("THAW");
    assertThat(weeks.at("/before/0/at").asString()).startsWith("2030-03-09T");
    assertThat(calendar()).contains("Thaw: ").contains("Wash day: Ada");
    assertThat(sheet(ada).text("/before/0/kind")).isEqualTo("THAW");
    owner.moveClock(5 * DAY);
    assertThat(owner.get("/api/messages?page=0").body().toString()).contains("from the freezer");
  }

  @Test
  void theSheetPrintsOnOnePageAndATableOfUsesGoesOutAndIn() throws Exception {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 300);
    String ada = curly("Ada").text("/person/id");
    Visitor.File pdf =
        owner.print(
            "/api/sheets/print",
            Map.of(
                "day",
                SUNDAY,
                "heads",
                List.of(Map.of("person", ada, "occasion", "wash", "planned", SUNDAY))));
    try (org.apache.pdfbox.pdmodel.PDDocument paper =
        org.apache.pdfbox.Loader.loadPDF(pdf.bytes())) {
      assertThat(paper.getNumberOfPages()).isEqualTo(1);
      String text = new org.apache.pdfbox.text.PDFTextStripper().getText(paper);
      assertThat(text).contains("Ada").contains("50 mL of").contains("towels");
    }
    owner.post("/api/wash-days", Map.of("heads", List.of(head(ada, List.of(take(6, gel, 40))))));
    byte[] table = owner.file("/api/tables/uses.csv").bytes();
    Visitor other = Visitor.withHousehold();
    other.moveClock(DAY);
    Visitor.Answer alone = other.upload("/api/tables/uses", "text/csv", table);
    assertThat(alone.body().toString()).contains("nobody called Ada");
    other.post("/api/people", Map.of("name", "Ada"));
    other.upload("/api/tables/uses", "text/csv", table);
    String there = other.get("/api/people").text("/people/0/id");
    JsonNode use = other.get("/api/people/" + there).at("/uses/0");
    assertThat(use.get("millilitres").asDouble()).isEqualTo(40);
    assertThat(use.get("slot").asString()).isEqualTo("STYLER");
    assertThat(new String(other.file("/api/tables/uses.csv").bytes(), "UTF-8"))
        .isEqualTo(new String(table, "UTF-8"));
  }

  @Test
  void ofABottleSomeIsTakenForSomebody() {
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 300);
    String ada = curly("Ada").text("/person/id");
    Map<String, Object> take = new HashMap<>();
    take.put("version", owner.get("/api/bottles/" + spray).at("/bottle/version").asLong());
    take.put("millilitres", 12);
    take.put("person", ada);
    take.put("purpose", "LEAVE_IN");
    Visitor.Answer taken = owner.post("/api/bottles/" + spray + "/take", take);
    assertThat(taken.text("/happenings/0/detail")).isEqualTo("Ada, leave-in spray");
    assertThat(owner.get("/api/people/" + ada).at("/uses/0/millilitres").asDouble()).isEqualTo(12);
    take.put("version", taken.at("/bottle/version").asLong());
    take.put("person", UUID.randomUUID());
    assertThat(owner.post("/api/bottles/" + spray + "/take", take).fields())
        .containsExactly("person");
    owner.post(
        "/api/bottles/" + spray + "/undo", Map.of("version", taken.at("/bottle/version").asLong()));
    assertThat(owner.get("/api/people/" + ada).at("/uses/0/undone").asBoolean()).isTrue();
  }

  @Test
  void aWashDayGoesOnWithoutWhoIsTakenAway() {
    String ada = curly("Ada").text("/person/id");
    String bo = curly("Bo").text("/person/id");
    List<Map<String, Object>> heads =
        java.util.stream.Stream.of(ada, bo)
            .map(p -> Map.<String, Object>of("person", p, "occasion", "wash", "planned", SUNDAY))
            .toList();
    String today = owner.get("/api/people").text("/today");
    Visitor.Answer run = owner.post("/api/wash-runs", Map.of("day", today, "heads", heads));
    owner.post("/api/wash-runs/" + run.text("/id") + "/steps", Map.of("head", 1, "step", 0));
    owner.delete("/api/people/" + ada + "?version=0");
    Visitor.Answer left = owner.get("/api/wash-runs");
    assertThat(left.at("/0/sheet/heads").size()).isEqualTo(1);
    assertThat(left.text("/0/sheet/heads/0/name")).isEqualTo("Bo");
    assertThat(left.at("/0/progress/0/done").asInt()).isEqualTo(1);
    owner.delete("/api/people/" + bo + "?version=0");
    assertThat(owner.get("/api/wash-runs").body().size()).isZero();
  }
}
