package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Notes in plain words through HTTP: read, settled, kept, written, and the household's words. */
class NotesTest {
  private static final String GEL =
      "1/4 c linseed, 2 1/2 c water, boil 6 min stirring, squeeze through cloth. Keeps a month in the"
          + " fridge.";
  private static final String SPOONS = "2 T dried sage, 500 ml boiling water, 1 h, strain";

  private final Visitor owner = Visitor.withHousehold();

  private JsonNode read(String text, Map<String, String> answers) {
    Visitor.Answer answer = owner.post("/api/notes/read", Map.of("text", text, "answers", answers));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer.body();
  }

  private Visitor.Answer keep(String text, Map<String, String> answers) {
    return owner.post(
        "/api/notes", Map.of("note", Map.of("text", text, "answers", answers), "name", ""));
  }

  private static JsonNode guess(JsonNode read) {
    for (JsonNode stretch : read.get("stretches")) {
      if (stretch.get("certainty").asString().equals("GUESS")) {
        return stretch;
      }
    }
    throw new AssertionError("no guess in " + read);
  }

  @Test
  void aNoteIsReadWithItsPotAndItsDateAndNothingIsKept() {
    int before = owner.get("/api/formulas").body().size();
    JsonNode read = read(GEL, Map.of());
    assertThat(read.at("/method/method").asString()).isEqualTo("SEED_GEL");
    assertThat(read.get("guesses").asInt()).isZero();
    assertThat(read.at("/asWritten/bottledMl/value").asDouble()).isBetween(250.0, 600.0);
    assertThat(read.at("/asWritten/keeping/lastDay").asString()).isNotBlank();
    assertThat(read.at("/beside/0").asString())
        .startsWith("Written: Keeps a month in the fridge. Dremsa: ")
        .contains("the shorter counts");
    assertThat(read.at("/steps/0/words").asString())
        .isEqualTo("Put together in the pot: Linseed, whole; Water");
    assertThat(owner.get("/api/formulas").body()).hasSize(before);
  }

  @Test
  void theFirstLineAloneHasAPotAlready() {
    JsonNode read = read("1/4 cup linseed", Map.of());
    assertThat(read.at("/asWritten/bottledMl/value").asDouble()).isPositive();
    assertThat(read.get("ingredients").findValuesAsString("name"))
        .containsExactly("Linseed, whole", "Water");
    assertThat(guess(read).get("taken").asString()).contains("no amount is written");
    assertThat(read("", Map.of()).get("formula").isNull()).isTrue();
    assertThat(read("hello", Map.of()).get("stretches").size()).isEqualTo(1);
  }

  @Test
  void whatIsAGuessIsSettledBeforeItIsKept() {
    JsonNode read = read(SPOONS, Map.of());
    JsonNode guess = guess(read);
    assertThat(guess.at("/options").findValuesAsString("value")).containsExactly("tbsp", "tsp");
    assertThat(keep(SPOONS, Map.of()).status()).isEqualTo(400);
    assertThat(keep(SPOONS, Map.of()).fields()).containsExactly("answers");

    Map<String, String> answers = Map.of(guess.get("key").asString(), "tsp");
    Visitor.Answer kept = keep(SPOONS, answers);
    assertThat(kept.status()).as(kept.body().toString()).isEqualTo(201);
    JsonNode formula = owner.get("/api/formulas/" + kept.text("/id")).body().get("formula");
    assertThat(formula.get("method").asString()).isEqualTo("HOT_INFUSION");
    assertThat(read(GEL + " Spray on hair. Blorp!", Map.of()).at("/formula/about").asString())
        .isEqualTo("Keeps a month in the fridge. Spray on hair. Not read: Blorp.");
    assertThat(formula.at("/ingredients/0/parts").asDouble()).isBetween(1.0, 2.0);
  }

  @Test
  void aCorrectionMadeTwiceIsRememberedAndCanBeForgotten() {
    JsonNode guess = guess(read(SPOONS, Map.of()));
    Map<String, String> answers = Map.of(guess.get("key").asString(), "tsp");
    keep(SPOONS, answers);
    assertThat(read(SPOONS, Map.of()).get("guesses").asInt()).isEqualTo(1);
    assertThat(owner.get("/api/notes/words").body()).isEmpty();
    keep(SPOONS, answers);

    assertThat(read("5 T dried thyme, 1 l water", Map.of()).get("guesses").asInt()).isZero();
    // A small letter is another word.
    assertThat(read("5 t dried thyme, 1 l water", Map.of()).get("guesses").asInt()).isEqualTo(1);
    JsonNode words = owner.get("/api/notes/words").body();
    assertThat(words).hasSize(1);
    assertThat(words.at("/0/says").asString()).isEqualTo("T");
    assertThat(words.at("/0/means").asString()).isEqualTo("tsp");

    String word = words.at("/0/word").asString();
    assertThat(owner.delete("/api/notes/words?word=" + word).status()).isEqualTo(204);
    assertThat(owner.delete("/api/notes/words?word=" + word).status()).isEqualTo(404);
    assertThat(read(SPOONS, Map.of()).get("guesses").asInt()).isEqualTo(1);
    assertThat(Visitor.withHousehold().get("/api/notes/words").body()).isEmpty();
  }

  @Test
  void anUnknownHerbBecomesAMaterialOfTheHousehold() {
    String text = "20 g hackberry leaves, 600 ml water, boil 10 min, strain";
    JsonNode guess = guess(read(text, Map.of()));
    Map<String, String> answers = Map.of(guess.get("key").asString(), "new:LEAF");
    JsonNode settled = read(text, answers);
    assertThat(settled.at("/newMaterials/0").asString())
        .isEqualTo("Hackberry leaf, dried, dried leaf");
    assertThat(settled.at("/asWritten/bottledMl/value").asDouble()).isPositive();
    Visitor.Answer kept = keep(text, answers);
    assertThat(kept.status()).as(kept.body().toString()).isEqualTo(201);
    assertThat(owner.get("/api/materials").body().findValuesAsString("id"))
        .contains("hackberry-leaf-dried");
    // From now on it has its name.
    assertThat(read(text, Map.of()).get("guesses").asInt()).isZero();
  }

  @Test
  void theSameTapTwiceKeepsOneFormula() {
    Map<String, Object> body = Map.of("note", Map.of("text", GEL), "name", "Our gel");
    Visitor.Answer first = owner.post("/api/notes", body, "tap-1");
    Visitor.Answer again = owner.post("/api/notes", body, "tap-1");
    assertThat(again.text("/id")).isEqualTo(first.text("/id"));
    assertThat(owner.get("/api/formulas").body().findValuesAsString("name"))
        .filteredOn("Our gel"::equals)
        .hasSize(1);
  }

  @Test
  void aFormulaGoesOutAsANoteAndComesBackTheSame() {
    for (String id : List.of("linseed-gel", "linseed-two-ways", "barley-ferment")) {
      String note = owner.get("/api/formulas/" + id + "/note").text("/text");
      JsonNode read = read(note, Map.of());
      assertThat(read.get("guesses").asInt()).isZero();
      Map<String, Object> there =
          comparable(owner.get("/api/formulas/" + id).body().get("formula"));
      assertThat(comparable(read.get("formula"))).as(note).isEqualTo(there);
    }
    assertThat(owner.get("/api/formulas/moonlight/note").status()).isEqualTo(404);
  }

  private static Map<String, Object> comparable(JsonNode formula) {
    Map<String, Object> all = new HashMap<>();
    formula.propertyStream().forEach(p -> all.put(p.getKey(), p.getValue()));
    all.remove("id");
    return all;
  }

  @Test
  void aBookOrALongListOfAnswersIsRefusedAtItsPlace() {
    assertThat(owner.post("/api/notes/read", Map.of("text", "x".repeat(4001))).fields())
        .containsExactly("text");
    Map<String, String> many = new HashMap<>();
    for (int i = 0; i < 201; i++) {
      many.put("what:" + i, "none");
    }
    assertThat(owner.post("/api/notes/read", Map.of("text", "sage", "answers", many)).fields())
        .containsExactly("answers");
    assertThat(keep("hello", Map.of()).fields()).containsExactly("text");
    assertThat(read(GEL, Map.of("what:linseed#1", "moonlight")).get("guesses").asInt()).isZero();
  }

  @Test
  void anotherMethodCanBeChosenAndItsStepsAreFilledIn() {
    String text = "30 g dried sage\n1 litre water";
    JsonNode read = read(text, Map.of());
    assertThat(read.get("otherMethods").size()).isPositive();
    String other = read.at("/otherMethods/0/method").asString();
    JsonNode settled = read(text, Map.of("method", other));
    assertThat(settled.at("/method/method").asString()).isEqualTo(other);
    assertThat(settled.at("/steps/1/filledIn").asBoolean()).isTrue();
    assertThat(read(text, Map.of("method", "MOONLIGHT")).at("/method/method").asString())
        .isEqualTo(read.at("/method/method").asString());
  }

  @Test
  void itSaysHowFarTheRecipeGoes() {
    JsonNode read = read("30 g dried sage, 1 litre boiling water, 1 h, strain", Map.of());
    assertThat(read.at("/beside/0").asString()).contains("on medium hair").contains("For 2 heads");
  }

  @Test
  void aSpoonOfEssentialOilIsAskedAboutAndTheCheckSaysHowMuchTooMuchItIs() {
    String text = "500 ml water, 20 g linseed, boil 6 min, strain, 1 tbsp tea tree oil";
    JsonNode read = read(text, Map.of());
    assertThat(read.get("guesses").asInt()).isPositive();
    assertThat(read.at("/asWritten/findings").findValuesAsString("severity")).contains("ERROR");
  }

  @Test
  void aDraftWithNothingToBrewHasNoPotAndSaysSo() {
    JsonNode read = read("0.01 g linseed, 0.02 g water", Map.of());
    assertThat(read.get("formula").isNull()).isFalse();
    assertThat(read.get("asWritten").isNull()).isTrue();
    assertThat(read.get("beside")).isEmpty();
  }

  @Test
  void wordsOfTheHouseAreInItsBackup() {
    JsonNode guess = guess(read(SPOONS, Map.of()));
    Map<String, String> answers = Map.of(guess.get("key").asString(), "tsp");
    keep(SPOONS, answers);
    keep(SPOONS, answers);
    byte[] backup = owner.file("/api/backup.zip").bytes();
    Visitor other = Visitor.withHousehold();
    Visitor.Answer restored = other.upload("/api/restore", "application/zip", backup);
    assertThat(restored.status()).as(restored.body().toString()).isEqualTo(200);
    assertThat(other.get("/api/notes/words").body().findValuesAsString("says"))
        .containsExactly("T");
  }

  @Test
  void whatAnotherHouseholdCallsItsThingsIsNotReadHere() {
    String text = "20 g hackberry leaves, 600 ml water, boil 10 min, strain";
    JsonNode guess = guess(read(text, Map.of()));
    keep(text, Map.of(guess.get("key").asString(), "new:LEAF"));
    Visitor stranger = Visitor.withHousehold();
    JsonNode there = stranger.post("/api/notes/read", Map.of("text", text)).body();
    assertThat(there.get("guesses").asInt()).isEqualTo(1);
    assertThat(new Visitor().post("/api/notes/read", Map.of("text", text)).status()).isEqualTo(401);
  }
}
