package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Formulas of a household's own: made, changed by two, kept, taken in and out. */
class FormulasTest {
  private final Visitor owner = Visitor.withHousehold();

  private Visitor.Answer made(Map<String, Object> how) {
    Visitor.Answer made = owner.post("/api/formulas", how);
    assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
    return made;
  }

  private Visitor.Answer save(String id, JsonNode formula, long version) {
    return owner.put("/api/formulas/" + id, Map.of("formula", formula, "version", version));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "HOT_INFUSION",
        "DECOCTION",
        "SEED_GEL",
        "STARCH_WATER",
        "TINCTURE",
        "INFUSED_OIL",
        "BLEND"
      })
  void aFormulaBegunFromAMethodCanBeBrewed(String method) {
    Visitor.Answer made = made(Map.of("method", method, "name", "First " + method));
    Visitor.Answer asked =
        owner.post(
            "/api/predictions",
            Map.of(
                "formulaId",
                made.text("/id"),
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 200, "unit", "ml"))));
    assertThat(asked.status()).as(asked.body().toString()).isEqualTo(200);
    assertThat(owner.get("/api/formulas").at("/0/name").asString()).isEqualTo("First " + method);
  }

  @Test
  void twoWhoChangeOneFormulaLoseNothing() {
    Visitor.Answer made = made(Map.of("copyOf", "lemon-balm-spray"));
    String id = made.text("/id");
    ObjectNode mine = (ObjectNode) made.at("/formula").deepCopy();
    mine.put("about", "Mine.");
    ObjectNode theirs = (ObjectNode) made.at("/formula").deepCopy();
    theirs.put("about", "Theirs.");
    assertThat(save(id, mine, 0).at("/version").asLong()).isEqualTo(1);
    Visitor.Answer late = save(id, theirs, 0);
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.text("/detail")).contains("another tab");
    assertThat(owner.get("/api/formulas/" + id).text("/formula/about")).isEqualTo("Mine.");
    // What could not be kept is kept as a formula of its own.
    made(Map.of("formula", theirs, "name", "The other one"));
    assertThat(owner.get("/api/formulas").body().size()).isEqualTo(2 + builtIn());
  }

  private int builtIn() {
    return Visitor.withHousehold().get("/api/formulas").body().size();
  }

  @Test
  void aBuiltInFormulaStaysAndAStrangersIsNotThere() {
    JsonNode spray = owner.get("/api/formulas/lemon-balm-spray").at("/formula");
    assertThat(save("lemon-balm-spray", spray, 0).status()).isEqualTo(409);
    String id = made(Map.of("copyOf", "lemon-balm-spray")).text("/id");
    Visitor stranger = Visitor.withHousehold();
    assertThat(stranger.get("/api/formulas/" + id).status()).isEqualTo(404);
    assertThat(stranger.put("/api/formulas/" + id, Map.of("formula", spray, "version", 0)).status())
        .isEqualTo(404);
    assertThat(stranger.delete("/api/formulas/" + id).status()).isEqualTo(404);
  }

  @Test
  void whatIsAddedGoesWhereItsKindBelongsAndKeepsItsAmountInAnotherUnit() {
    JsonNode gel = owner.get("/api/formulas/linseed-gel").at("/formula");
    Visitor.Answer with =
        owner.raw(
            "/api/formulas/with", "{\"material\":\"sodium-benzoate\",\"formula\":" + gel + "}");
    assertThat(with.status()).as(with.body().toString()).isEqualTo(200);
    JsonNode line = with.at("/ingredients").get(with.at("/ingredients").size() - 1);
    assertThat(line.get("percent").asDouble()).isPositive();
    Visitor.Answer parts =
        owner.raw(
            "/api/formulas/measured",
            "{\"key\":\"sodium-benzoate\",\"unit\":\"PARTS\",\"formula\":" + with.body() + "}");
    assertThat(parts.status()).as(parts.body().toString()).isEqualTo(200);
    JsonNode other = parts.at("/ingredients").get(parts.at("/ingredients").size() - 1);
    assertThat(other.get("parts").asDouble())
        .isPositive()
        .isNotEqualTo(line.get("percent").asDouble());
    assertThat(
            owner
                .raw(
                    "/api/formulas/measured",
                    "{\"key\":\"linseed\",\"unit\":\"DROPS\",\"formula\":" + gel + "}")
                .fields())
        .hasSize(1)
        .first()
        .asString()
        .startsWith("formula.ingredients[");
    assertThat(
            owner
                .raw("/api/formulas/with", "{\"material\":\"unicorn\",\"formula\":" + gel + "}")
                .fields())
        .containsExactly("material");
  }

  @Test
  void takenAwayItComesBackWhole() {
    Visitor.Answer made = made(Map.of("copyOf", "linseed-gel"));
    String id = made.text("/id");
    assertThat(owner.delete("/api/formulas/" + id).status()).isEqualTo(204);
    assertThat(owner.get("/api/formulas/" + id).status()).isEqualTo(404);
    Visitor.Answer back = owner.post("/api/formulas/" + id + "/bring-back", Map.of());
    assertThat(back.at("/formula")).isEqualTo(made.at("/formula"));
  }

  @Test
  void brewingKeepsTheStateThatItWasBrewedFrom() {
    Visitor.Answer made = made(Map.of("copyOf", "lemon-balm-spray", "name", "Ours"));
    String id = made.text("/id");
    brew(id);
    ObjectNode changed = (ObjectNode) made.at("/formula").deepCopy();
    ((ObjectNode) changed.at("/ingredients/1")).put("parts", 80);
    save(id, changed, 0);
    brew(id);
    Visitor.Answer view = owner.get("/api/formulas/" + id);
    assertThat(view.at("/kept").size()).isEqualTo(2);
    assertThat(view.text("/kept/0/differences/0"))
        .startsWith("Lemon balm leaf, dried: 80 parts instead of");
    assertThat(view.at("/brewed").size()).isEqualTo(2);
    assertThat(view.at("/brewed/0/version").asInt()).isEqualTo(2);
    assertThat(view.text("/copiedFrom")).isEqualTo("Lemon balm spray");
    assertThat(view.at("/differences").size()).isEqualTo(2);
    assertThat(
            owner
                .post("/api/formulas/" + id + "/versions", Map.of("note", "good"))
                .at("/number")
                .asInt())
        .as("nothing changed since")
        .isEqualTo(2);
  }

  private void brew(String id) {
    Visitor.Answer run =
        owner.post(
            "/api/batches",
            Map.of(
                "formulaId",
                id,
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 200, "unit", "ml"))));
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
  }

  @Test
  void namesOfAnyScriptAreKeptAndMarkupIsOnlyText() {
    for (String name :
        List.of("<script>alert(1)</script>", "שמן רוזמרין", "🌿 Tea", "x".repeat(120))) {
      assertThat(made(Map.of("copyOf", "linseed-gel", "name", name)).text("/formula/name"))
          .isEqualTo(name);
    }
    assertThat(
            owner
                .post("/api/formulas", Map.of("copyOf", "linseed-gel", "name", "x".repeat(300)))
                .fields())
        .containsExactly("name");
  }

  private static JsonSchema schema() {
    return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
        .getSchema(FormulasTest.class.getResourceAsStream("/static/schemas/formulas-1.json"));
  }

  @Test
  void everyFormulaGoesOutByThePublishedSchemaAndComesBackTheSame() {
    JsonSchema schema = schema();
    for (JsonNode line : owner.get("/api/formulas").body()) {
      String id = line.get("id").asString();
      Visitor.Answer file = owner.get("/api/formulas/" + id + "/file");
      assertThat(schema.validate(file.body().toString(), InputFormat.JSON)).as(id).isEmpty();
      Visitor.Answer read =
          owner.post("/api/formulas/read", Map.of("text", file.body().toString()));
      assertThat(read.at("/formulas/0/faults").size()).as(read.body().toString()).isZero();
      assertThat(read.at("/formulas/0/formula")).isEqualTo(file.at("/formulas/0"));
    }
    assertThat(schema.validate("{\"format\":\"x\"}", InputFormat.JSON)).isNotEmpty();
  }

  @Test
  void aHowToGoesOutInSchemaOrgTermsAndComesBackWhole() {
    Visitor.Answer howTo = owner.get("/api/formulas/linseed-rosemary/howto?millilitres=500");
    // Terms of schema.org HowTo, HowToSupply and HowToStep (from memory).
    assertThat(howTo.text("/@type")).isEqualTo("HowTo");
    assertThat(howTo.text("/supply/0/@type")).isEqualTo("HowToSupply");
    assertThat(howTo.text("/step/0/@type")).isEqualTo("HowToStep");
    assertThat(java.time.Duration.parse(howTo.text("/totalTime")).toMinutes()).isBetween(20L, 400L);
    Visitor.Answer read = owner.post("/api/formulas/read", Map.of("text", howTo.body().toString()));
    assertThat(read.at("/formulas/0/formula"))
        .isEqualTo(owner.get("/api/formulas/linseed-rosemary").at("/formula"));
    assertThat(owner.get("/api/formulas/linseed-gel/howto?millilitres=1").status()).isEqualTo(400);
  }

  @Test
  void aRecipeOfAnybodysIsReadAsANoteAndWhatIsAGuessIsTold() {
    String recipe =
        """
        {"@context":"https://schema.org","@type":"Recipe","name":"<b>Kitchen rinse</b>",
         "recipeIngredient":["1/2 l water","2 tbsp dried sage","a dragon scale","2 tbsp hackberry leaf",
           "1 T honey"],
         "recipeInstructions":[{"@type":"HowToStep","text":"Bring the water to a boil."},
           {"@type":"HowToStep","text":"Add the sage and simmer for 12 minutes. Cool, strain."},
           {"@type":"HowToStep","text":"Stir in the honey."}]}
        """;
    Visitor.Answer read = owner.post("/api/formulas/read", Map.of("text", recipe));
    assertThat(read.text("/formulas/0/name")).isEqualTo("Kitchen rinse");
    assertThat(read.at("/formulas/0/formula/ingredients").findValuesAsString("material"))
        .containsExactly("water", "sage", "honey");
    assertThat(read.at("/formulas/0/formula/steps").findValuesAsString("kind"))
        .containsExactly("combine", "heat", "combine", "boil", "cool", "strain", "add", "bottle");
    assertThat(read.text("/formulas/0/formula/method")).isEqualTo("DECOCTION");
    List<String> places = read.at("/formulas/0/unread").findValuesAsString("place");
    assertThat(places)
        .contains("recipeIngredient[2]", "recipeIngredient[3]", "recipeIngredient[4]");
    assertThat(places).doesNotContain("recipeIngredient[0]", "recipeInstructions[1]");
    Visitor.Answer taken =
        owner.post(
            "/api/formulas/take", Map.of("formulas", List.of(read.at("/formulas/0/formula"))));
    assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "{",
        "[[[[[[",
        "{\"formulas\":[",
        "null",
        "7",
        "{\"@type\":\"Movie\"}",
        "{\"version\":99,\"formulas\":[{}]}"
      })
  void whatIsNoFormulaIsSaidToBeNone(String text) {
    Visitor.Answer read = owner.post("/api/formulas/read", Map.of("text", text));
    assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
    assertThat(read.at("/formulas").size()).isZero();
    assertThat(read.text("/faults/0/words")).isNotBlank();
  }

  @Test
  void aHostileFileIsRefusedAtItsPlacesAndNothingIsTakenHalf() {
    String file =
        """
        {"format":"dremsa-formulas","version":1,"formulas":[
          {"name":"Good","method":"BLEND","ingredients":[{"key":"w","material":"water","parts":5}],
           "steps":[{"kind":"combine","vessel":"BOWL","liquid":"ROOM","ingredients":["w"]},{"kind":"bottle","container":"JAR"}]},
          {"name":"Bad","method":"BLEND","ingredients":[{"key":"w","material":"moonlight","parts":-5}],
           "steps":[{"kind":"dance"}]},
          {"name":"Strange","method":"SORCERY","ingredients":[],"steps":[]},
          {"name":"Typo","methd":"BLEND"}]}
        """;
    JsonNode read = owner.post("/api/formulas/read", Map.of("text", file)).body();
    assertThat(read.at("/formulas").size()).isEqualTo(4);
    assertThat(read.at("/formulas/0/faults").size()).isZero();
    assertThat(read.at("/formulas/1/faults/0/place").asString())
        .isEqualTo("formulas[1].ingredients[0].parts");
    assertThat(read.at("/formulas/2/faults/0/place").asString()).isEqualTo("formulas[2].method");
    assertThat(read.at("/formulas/3/faults/0/place").asString()).startsWith("formulas[3]");
    int before = owner.get("/api/formulas").body().size();
    Map<String, Object> bad = new HashMap<>();
    bad.put("name", "Bad");
    bad.put("method", "BLEND");
    bad.put("ingredients", List.of(Map.of("key", "w", "material", "water", "parts", -5)));
    bad.put("steps", List.of(Map.of("kind", "bottle", "container", "JAR")));
    assertThat(
            owner
                .post(
                    "/api/formulas/take",
                    Map.of("formulas", List.of(read.at("/formulas/0/formula"), bad)))
                .fields())
        .containsExactly("formulas[1].ingredients[0].parts");
    assertThat(owner.get("/api/formulas").body().size()).isEqualTo(before);
  }

  @Test
  void aFileOfFiftyMegabytesIsTooLarge() {
    assertThat(
            owner.raw("/api/formulas/read", "{\"text\":\"" + "x".repeat(50 << 20) + "\"}").status())
        .isEqualTo(413);
  }

  @Test
  void anOwnFormulaThatNamesWhatIsGoneStaysInTheListAndSaysSo() {
    owner.put(
        "/api/materials/garden-mint",
        Map.of("id", "garden-mint", "name", "Garden mint", "kind", "LEAF"));
    Visitor.Answer made = made(Map.of("copyOf", "lemon-balm-spray"));
    ObjectNode changed = (ObjectNode) made.at("/formula").deepCopy();
    ((ObjectNode) changed.at("/ingredients/1")).put("material", "garden-mint");
    String id = made.text("/id");
    assertThat(save(id, changed, 0).status()).isEqualTo(200);
    owner.delete("/api/materials/garden-mint");
    JsonNode line = owner.get("/api/formulas").at("/0");
    assertThat(line.get("problem").asString()).contains("garden-mint");
    assertThat(owner.get("/api/formulas/" + id).status()).isEqualTo(200);
  }
}
