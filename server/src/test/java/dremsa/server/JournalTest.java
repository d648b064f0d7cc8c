package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The journal, courses, two versions side by side, and what went wrong, through HTTP. */
class JournalTest {
  private static final long DAY = 24 * 3600;

  private final Visitor owner = Visitor.withHousehold();
  private final String ada =
      owner.post("/api/people", Map.of("name", "Ada", "usual", false)).text("/person/id");

  private static Visitor.Answer fine(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
    return answer;
  }

  private String batch(String formula) {
    return fine(owner.post(
            "/api/batches",
            Map.of(
                "formulaId",
                formula,
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 300, "unit", "ml")))))
        .text("/id");
  }

  private Visitor.Answer write(Map<String, Object> entry) {
    return owner.post("/api/journal", entry);
  }

  private JsonNode journal(String query) {
    return fine(owner.get("/api/journal" + query)).body();
  }

  @Test
  void aBatchHasAPageWithWhatWasWrittenAndScored() {
    String gel = batch("linseed-gel");
    fine(
        write(
            Map.of(
                "batch",
                gel,
                "person",
                ada,
                "words",
                "Slippery; a good wash",
                "scores",
                Map.of("SLIP", 5, "HOLD", 3),
                "beside",
                List.of("STRESS"))));

    JsonNode page = journal("").at("/pages/0");

    assertThat(page.get("kind").asString()).isEqualTo("BATCH");
    assertThat(page.get("title").asString()).isEqualTo("Linseed styling gel");
    assertThat(page.at("/entries/0/name").asString()).isEqualTo("Ada");
    assertThat(page.at("/entries/0/scores")).hasSize(2);
    assertThat(page.at("/entries/0/beside/0").asString()).isEqualTo("STRESS");
    assertThat(owner.get("/api/batches/" + gel + "/journal").body()).hasSize(1);
  }

  @Test
  void aPageIsFoundByAnotherNameOfWhatIsInIt() {
    batch("linseed-gel");
    assertThat(journal("?words=flax").get("pages")).hasSize(1);
    assertThat(journal("?words=alsi").get("pages")).hasSize(1);
    assertThat(journal("?words=methi").get("pages")).isEmpty();
  }

  @Test
  void anEntryIsChangedAndTakenAwayAndTheSlowerOneIsTold() {
    String id = fine(write(Map.of("words", "First"))).text("/id");
    JsonNode first = journal("").at("/pages/0/entries/0");
    long version = first.get("version").asLong();
    Map<String, Object> second = Map.of("version", version, "words", "Second");
    fine(owner.put("/api/journal/" + id, second));
    assertThat(owner.put("/api/journal/" + id, second).status()).isEqualTo(409);
    assertThat(journal("").at("/pages/0/entries/0/words").asString()).isEqualTo("Second");
    fine(owner.delete("/api/journal/" + id));
    assertThat(journal("").get("pages")).isEmpty();
  }

  @Test
  void whatCannotBeIsRefusedAtItsField() {
    assertThat(write(Map.of("scores", Map.of("SLIP", 9))).text("/errors/0/field"))
        .isEqualTo("scores.SLIP");
    assertThat(write(Map.of("scores", Map.of("DETANGLING", -1))).status()).isEqualTo(400);
    assertThat(write(Map.of("words", "  ")).text("/errors/0/field")).isEqualTo("words");
    assertThat(write(Map.of("words", "x", "day", "2090-01-01")).text("/errors/0/field"))
        .isEqualTo("day");
    assertThat(write(Map.of("words", "x", "batch", ada)).status()).isEqualTo(404);
    assertThat(write(Map.of("words", "x".repeat(5000))).status()).isEqualTo(400);
  }

  @Test
  void pagesAreFoundByWordsAndFollowedByFormulaAndPerson() {
    String gel = batch("linseed-gel");
    fine(
        write(
            Map.of(
                "batch",
                gel,
                "words",
                "strings hung from the spoon",
                "scores",
                Map.of("SLIP", 4))));
    fine(write(Map.of("batch", gel, "person", ada, "scores", Map.of("SLIP", 2))));
    fine(
        write(
            Map.of("person", ada, "words", "itchy after the rinse", "scores", Map.of("ITCH", 3))));

    assertThat(journal("?words=spoon").get("pages")).hasSize(1);
    assertThat(journal("?words=nowhere").get("pages")).isEmpty();
    // The form that keeps an entry is not what was written.
    for (String kept : List.of("schemaVersion", "scores", "beside", "SLIP")) {
      assertThat(journal("?words=" + kept).get("pages")).as(kept).isEmpty();
    }
    assertThat(journal("?words=SPOON").get("pages")).hasSize(1);
    assertThat(journal("?words=%25").get("pages")).isEmpty();
    assertThat(journal("?words=Linseed").at("/pages/0/title").asString())
        .isEqualTo("Linseed styling gel");
    JsonNode ofGel = journal("?formula=linseed-gel");
    assertThat(ofGel.at("/timelines/0/points")).hasSize(2);
    assertThat(ofGel.at("/timelines/0/mean/value").asDouble()).isEqualTo(3);
    JsonNode hers = journal("?person=" + ada);
    assertThat(hers.get("timelines")).hasSize(2);
    assertThat(hers.get("pages")).hasSize(2);
    // What was long ago is a window further back.
    owner.moveClock(100 * DAY);
    JsonNode now = journal("");
    assertThat(now.get("pages")).isEmpty();
    assertThat(journal("?until=" + now.get("earlier").asString()).get("pages")).hasSize(2);
  }

  @Test
  void aCourseSaysWhatWasKeptUpAndWhatCannotBeTold() {
    Visitor.Answer begun =
        fine(
            owner.post(
                "/api/courses",
                Map.of(
                    "person", ada, "formula", "birch-sage-decoction", "weeks", 4, "everyDays", 7)));
    JsonNode course = begun.at("/courses/0");
    assertThat(course.get("product").asString()).isEqualTo("Birch and sage decoction");
    assertThat(course.get("wanted").asInt()).isEqualTo(1);
    assertThat(course.get("words").valueStream().map(JsonNode::asString).toList())
        .anyMatch(each -> each.startsWith("Nothing was judged before it"));
    owner.moveClock(20 * DAY);
    fine(write(Map.of("person", ada, "scores", Map.of("FLAKES", 2), "beside", List.of("FOOD"))));
    String path = "/api/courses/" + course.get("id").asString();
    Map<String, Object> change =
        Map.of("version", course.get("version").asLong(), "beside", List.of("HEAT"), "over", true);
    JsonNode over = fine(owner.put(path, change)).at("/courses/0");
    assertThat(over.get("endedAt").isNull()).isFalse();
    assertThat(over.get("beside")).hasSize(2);
    assertThat(over.get("words").toString()).contains("flakes: no judgement yet before it.");
    assertThat(owner.put(path, change).status()).isEqualTo(409);
    assertThat(
            owner
                .post(
                    "/api/courses",
                    Map.of("person", ada, "formula", "hop-soak", "weeks", 1, "everyDays", 20))
                .text("/errors/0/field"))
        .isEqualTo("everyDays");
    fine(owner.delete(path));
  }

  @Test
  void twoFormulasAreHeldSideBySide() {
    for (int i = 0; i < 3; i++) {
      fine(write(Map.of("batch", batch("linseed-gel"), "scores", Map.of("SLIP", 5))));
      fine(write(Map.of("batch", batch("quince-gel"), "scores", Map.of("SLIP", 2))));
    }
    Visitor.Answer versus = fine(owner.get("/api/versus?left=linseed-gel&right=quince-gel"));
    assertThat(versus.at("/judged/0/settled").asBoolean()).isTrue();
    assertThat(versus.text("/judged/0/words")).endsWith("it was better with Linseed styling gel.");
    assertThat(versus.at("/left/yields")).isEmpty();
    assertThat(owner.get("/api/versus?left=hop-soak&right=hop-soak").status()).isEqualTo(400);
    assertThat(owner.get("/api/versus?left=hop-soak&right=none-such").status()).isEqualTo(404);
  }

  @Test
  void whatWentWrongIsAskedOfABatchOrOfAFormula() {
    String gel = batch("linseed-light");
    Visitor.Answer causes = fine(owner.get("/api/causes?symptom=TOO_THIN&batch=" + gel));
    assertThat(causes.text("/name")).isEqualTo("Light linseed lotion");
    assertThat(causes.at("/causes").size()).isBetween(1, 5);
    assertThat(causes.text("/causes/0/next")).contains("The model then gives");
    assertThat(causes.at("/usual")).isNotEmpty();
    assertThat(
            fine(owner.get("/api/causes?symptom=BLOCKED_NOZZLE&formula=linseed-gel"))
                .text("/causes/0/words"))
        .contains("too thick for a spray head");
    assertThat(owner.get("/api/causes?symptom=TOO_THIN").status()).isEqualTo(400);
    assertThat(owner.get("/api/causes?symptom=PURPLE&formula=linseed-gel").status()).isEqualTo(404);
  }

  @Test
  void howThickABatchWasIsSaidOfABatchAndAsksForACalibration() {
    assertThat(write(Map.of("thickness", "GEL")).text("/errors/0/field")).isEqualTo("thickness");
    String gel = batch("linseed-gel");
    fine(write(Map.of("batch", gel, "thickness", "GEL")));
    assertThat(journal("").at("/pages/0/entries/0/thickness").asString()).isEqualTo("GEL");
    assertThat(owner.get("/api/calibration").text("/state")).isIn("ASKED", "RUNNING", "DONE");
  }

  @Test
  void aDayOnAHeadHasPhotosDrawnAnew() throws java.io.IOException {
    java.io.ByteArrayOutputStream jpeg = new java.io.ByteArrayOutputStream();
    javax.imageio.ImageIO.write(new java.awt.image.BufferedImage(40, 30, 1), "jpg", jpeg);
    String day = owner.get("/api/people").text("/today");
    String path = "/api/people/" + ada + "/days/" + day + "/photos";
    String id = fine(owner.upload(path, "image/jpeg", jpeg.toByteArray())).text("/id");
    fine(write(Map.of("person", ada, "words", "see the picture")));
    assertThat(journal("").at("/pages/0/photos/0/id").asString()).isEqualTo(id);
    assertThat(owner.file("/api/journal/photos/" + id).status()).isEqualTo(200);
    assertThat(owner.upload(path, "image/jpeg", new byte[] {1, 2, 3}).status()).isEqualTo(400);
    assertThat(
            owner
                .upload(path.replace(day, "2090-01-01"), "image/jpeg", jpeg.toByteArray())
                .text("/errors/0/field"))
        .isEqualTo("day");
    assertThat(Visitor.withHousehold().file("/api/journal/photos/" + id).status()).isEqualTo(404);
    fine(owner.delete("/api/journal/photos/" + id));
    assertThat(journal("").at("/pages/0/photos")).isEmpty();
  }

  /**
   * Scores count for the version that was brewed; each is named, and one that was not kept is not.
   */
  @Test
  void twoVersionsOfAFormulaAreToldApart() {
    Visitor.Answer own =
        owner.post("/api/formulas", Map.of("copyOf", "linseed-gel", "name", "Our gel"));
    String id = own.text("/id");
    String path = "/api/formulas/" + id;
    fine(owner.post(path + "/versions", Map.of("note", "first")));
    for (int i = 0; i < 3; i++) {
      fine(write(Map.of("batch", batch(id), "scores", Map.of("HOLD", 2))));
    }
    JsonNode view = owner.get(path).body();
    tools.jackson.databind.node.ObjectNode formula =
        (tools.jackson.databind.node.ObjectNode) view.get("formula").deepCopy();
    ((tools.jackson.databind.node.ObjectNode) formula.at("/ingredients/1")).put("parts", 100);
    fine(owner.put(path, Map.of("version", view.get("version").asLong(), "formula", formula)));
    fine(owner.post(path + "/versions", Map.of("note", "more seed")));
    for (int i = 0; i < 3; i++) {
      fine(write(Map.of("batch", batch(id), "scores", Map.of("HOLD", 5))));
    }

    Visitor.Answer versus =
        fine(
            owner.get("/api/versus?left=" + id + "&leftVersion=1&right=" + id + "&rightVersion=2"));

    assertThat(versus.at("/left/batches").asInt()).isEqualTo(3);
    assertThat(versus.at("/right/batches").asInt()).isEqualTo(3);
    assertThat(versus.at("/judged/0/left/value").asDouble()).isEqualTo(2);
    assertThat(versus.at("/judged/0/right/value").asDouble()).isEqualTo(5);
    assertThat(versus.text("/judged/0/words")).endsWith("it was better with version 2.");
    assertThat(versus.at("/left/handsMinutes").asDouble()).isPositive();
    assertThat(
            owner
                .get("/api/versus?left=" + id + "&leftVersion=1&right=" + id + "&rightVersion=7")
                .status())
        .isEqualTo(404);
  }

  /** What is written out is known again when it is read in, and comes back where it is gone. */
  @Test
  void theJournalAndTheTrialsGoOutAsCsvAndComeBack() {
    String id =
        fine(write(
                Map.of(
                    "person",
                    ada,
                    "words",
                    "soft, \"really\"",
                    "scores",
                    Map.of("SOFTNESS", 4.5),
                    "beside",
                    List.of("HEAT"))))
            .text("/id");
    Map<String, Object> trial =
        Map.of(
            "person",
            ada,
            "products",
            List.of("Gel", "Oil"),
            "sections",
            List.of("LEFT", "RIGHT"),
            "blind",
            false);
    JsonNode begun = fine(owner.post("/api/trials", trial)).at("/trials/0");
    String path = "/api/trials/" + begun.get("id").asString();
    JsonNode scored =
        fine(owner.put(
                path + "/scores",
                Map.of("version", 0, "scores", Map.of("HOLD", Map.of("0", 3.0, "1", 5.0)))))
            .at("/trials/0");
    fine(owner.put(path + "/end", Map.of("version", scored.get("version").asLong())));
    for (String table : List.of("journal", "trials")) {
      byte[] out = owner.file("/api/tables/" + table + ".csv").bytes();
      assertThat(new String(out, java.nio.charset.StandardCharsets.UTF_8)).contains("Ada");
      assertThat(owner.upload("/api/tables/" + table, "text/csv", out).body().toString())
          .contains("\"taken\":0");
      fine(owner.delete(table.equals("journal") ? "/api/journal/" + id : path));
      assertThat(owner.upload("/api/tables/" + table, "text/csv", out).body().toString())
          .contains("\"taken\":1");
    }
    JsonNode entry = journal("").at("/pages/0/entries/0");
    assertThat(entry.get("words").asString()).isEqualTo("soft, \"really\"");
    assertThat(entry.at("/scores/0/score").asDouble()).isEqualTo(4.5);
    assertThat(entry.at("/beside/0").asString()).isEqualTo("HEAT");
    assertThat(owner.get("/api/trials").at("/trials")).hasSize(1);
  }

  private Visitor.Answer readIn(String table, String csv) {
    return owner.upload(
        "/api/tables/" + table, "text/csv", csv.getBytes(java.nio.charset.StandardCharsets.UTF_8));
  }

  /** Nothing of a file is kept in which a line is wrong, and the line says what. */
  private static void refused(Visitor.Answer answer, String file) {
    assertThat(answer.at("/kept").asBoolean()).as(file).isFalse();
    assertThat(answer.at("/wrong")).as(file + answer.body()).hasSize(1);
  }

  /** A list kept by hand needs a day and words; what is wrong in it is told at its column. */
  @Test
  void aJournalKeptByHandIsReadInAndWhatIsWrongInItIsTold() {
    Visitor.Answer taken = fine(readIn("journal", "day,words\n2026-03-01,first wash\n"));
    assertThat(taken.body().toString()).contains("\"taken\":1");
    for (String wrong :
        List.of(
            "day,words\n2090-01-01,later\n",
            "day,words\n,no day\n",
            "day,words\nyesterday,which\n",
            "day,words,scores\n2026-03-01,x,SLIP:9\n",
            "day,words,scores\n2026-03-01,x,LUCK:3\n",
            "day,words,scores\n2026-03-01,x,SLIP\n",
            "day,words,beside\n2026-03-01,x,MOON\n",
            "day,words,thickness\n2026-03-01,x,ROCK\n",
            "day,words\n2026-03-01,\n")) {
      refused(readIn("journal", wrong), wrong);
    }
    for (String leftOut :
        List.of(
            "day,person,words\n2026-03-01,Nobody,x\n", "day,batch,words\n2026-03-01,QQQ-1,x\n")) {
      assertThat(fine(readIn("journal", leftOut)).body().toString())
          .as(leftOut)
          .contains("\"taken\":0");
    }
    assertThat(journal("?words=first").get("pages")).hasSize(1);
    assertThat(journal("?words=x").get("pages")).isEmpty();
  }

  @Test
  void aTrialThatIsNoneIsNotReadIn() {
    String head = "begun,ended,person,trial\n2026-03-01 10:00,2026-03-02 10:00,";
    for (String wrong : List.of("Ada,nonsense\n", "Ada,{}\n", "Ada,\n")) {
      refused(readIn("trials", head + wrong), wrong);
    }
    String good =
        "\"{\"\"products\"\":[\"\"A\"\",\"\"B\"\"],\"\"on\"\":{\"\"LEFT\"\":0,\"\"RIGHT\"\":1},"
            + "\"\"blind\"\":false,\"\"scores\"\":{\"\"SLIP\"\":{\"\"0\"\":4,\"\"1\"\":2}}}\"\n";
    assertThat(fine(readIn("trials", head + "Nobody," + good)).body().toString())
        .contains("\"taken\":0");
    assertThat(fine(readIn("trials", head + "Ada," + good)).body().toString())
        .contains("\"taken\":1");
    assertThat(owner.get("/api/trials").text("/verdicts/0/lines/0/words")).startsWith("A slipped");
  }
}
