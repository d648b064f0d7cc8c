package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The craft through the API: what can be asked for, what is read, what is refused. */
class CraftApiTest {
  private static final Visitor OWNER = Visitor.withHousehold();
  private static final String URL = "/api/predictions";

  private static Visitor.Answer ask(String formula, String more) {
    return OWNER.raw(
        URL,
        "{\"formulaId\":\""
            + formula
            + "\",\"target\":{\"kind\":\"VOLUME\",\"amount\":{\"value\":500,\"unit\":\"ml\"}}"
            + (more.isEmpty() ? "" : "," + more)
            + "}");
  }

  private static double grams(Visitor.Answer answer, String ingredient) {
    return answer
        .at("/amounts")
        .valueStream()
        .filter(a -> a.get("ingredient").asString().equals(ingredient))
        .mapToDouble(a -> a.get("grams").asDouble())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aVariantIsAskedForByItsName() {
    double full = grams(ask("lemon-balm-spray", ""), "lemon-balm");
    Visitor.Answer half = ask("lemon-balm-spray", "\"variant\":\"half-strength\"");
    assertThat(half.status()).as(half.body().toString()).isEqualTo(200);
    assertThat(grams(half, "lemon-balm")).isCloseTo(full / 2, within(full * 0.06));
    assertThat(ask("lemon-balm-spray", "\"variant\":\"tasty\"").fields())
        .containsExactly("variant");
  }

  @Test
  void halfABottleIsNoNumberOfBottles() {
    Visitor.Answer answer =
        OWNER.raw(
            URL,
            "{\"formulaId\":\"linseed-gel\",\"target\":{\"kind\":\"BOTTLES\",\"count\":2.5,"
                + "\"size\":{\"value\":100,\"unit\":\"ml\"}}}");
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.fields()).containsExactly("target.count");
    assertThat(answer.at("/errors").get(0).get("message").asString()).contains("whole number");
  }

  @Test
  void everyOfferedVariantAndChoiceOfEveryFormulaCanBeAskedFor() {
    for (JsonNode line : OWNER.get("/api/formulas").body()) {
      String id = line.get("id").asString();
      Visitor.Answer view = OWNER.get("/api/formulas/" + id);
      for (JsonNode variant : view.at("/variants")) {
        Visitor.Answer answer =
            ask(id, "\"ranges\":false,\"variant\":\"" + variant.get("id").asString() + "\"");
        assertThat(answer.status()).as(id + " " + answer.body()).isEqualTo(200);
        assertThat(variant.get("changes").size()).isPositive();
      }
      for (JsonNode school : view.at("/schools")) {
        for (JsonNode choice : school.get("choices")) {
          String taken =
              "\"ranges\":false,\"choices\":{\"%s\":\"%s\"}"
                  .formatted(school.get("id").asString(), choice.get("id").asString());
          Visitor.Answer answer = ask(id, taken);
          assertThat(answer.status()).as(id + taken + answer.body()).isEqualTo(200);
        }
      }
    }
  }

  @Test
  void aRatioAStrengthAndAThicknessAreMet() {
    Visitor.Answer ratio =
        ask(
            "lemon-balm-spray",
            "\"make\":{\"kind\":\"RATIO\",\"ingredient\":\"lemon-balm\",\"value\":40}");
    assertThat(ratio.status()).as(ratio.body().toString()).isEqualTo(200);
    assertThat(grams(ratio, "water") / grams(ratio, "lemon-balm")).isCloseTo(40, within(1.0));
    Visitor.Answer strength =
        ask(
            "lemon-balm-spray",
            "\"make\":{\"kind\":\"STRENGTH\",\"ingredient\":\"lemon-balm\",\"value\":5}");
    assertThat(grams(strength, "lemon-balm")).isCloseTo(25, within(0.2));
    Visitor.Answer thick = ask("linseed-gel", "\"make\":{\"kind\":\"THICKNESS\",\"value\":400}");
    assertThat(thick.status()).as(thick.body().toString()).isEqualTo(200);
    assertThat(thick.at("/thickness/cold").asDouble()).isCloseTo(400, within(4.0));
    assertThat(thick.at("/thicknessMpas/low").asDouble()).isLessThan(400);
    Visitor.Answer never = ask("linseed-gel", "\"make\":{\"kind\":\"THICKNESS\",\"value\":19000}");
    assertThat(never.status()).isEqualTo(422);
    assertThat(never.fields()).containsExactly("make.value");
    assertThat(ask("lemon-balm-spray", "\"make\":{\"kind\":\"THICKNESS\",\"value\":400}").fields())
        .containsExactly("make.ingredient");
    assertThat(ask("linseed-gel", "\"make\":{\"kind\":\"THICKNESS\",\"value\":-1}").fields())
        .containsExactly("make.value");
  }

  @Test
  void changesAreMadeInTheirOrderAndRefusedAtTheirPlace() {
    Visitor.Answer answer =
        ask(
            "lemon-balm-spray",
            "\"changes\":[{\"kind\":\"INSTEAD\",\"key\":\"lemon-balm\",\"material\":\"nettle-leaf\"},"
                + "{\"kind\":\"TIMES\",\"key\":\"lemon-balm\",\"factor\":2}]");
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    assertThat(answer.at("/amounts").valueStream().map(a -> a.get("name").asString()))
        .contains("Nettle leaf, dried");
    assertThat(
            ask(
                    "lemon-balm-spray",
                    "\"changes\":[{\"kind\":\"WITHOUT\",\"key\":\"lemon-balm\"},"
                        + "{\"kind\":\"TIMES\",\"key\":\"lemon-balm\",\"factor\":2}]")
                .fields())
        .containsExactly("changes[1]");
    assertThat(ask("lemon-balm-spray", "\"changes\":[{\"kind\":\"TIMES\",\"key\":\"x\"}]").fields())
        .containsExactly("changes[0].factor");
  }

  @Test
  void aDividedBrewAnswersEachOfItsWays() {
    Visitor.Answer answer = ask("linseed-two-ways", "");
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    double sum =
        answer
            .at("/ways")
            .valueStream()
            .mapToDouble(way -> way.at("/prediction/bottledMl/value").asDouble())
            .sum();
    assertThat(answer.at("/ways").size()).isEqualTo(2);
    assertThat(sum).isCloseTo(500, within(0.6));
    assertThat(answer.at("/ways/0/prediction/keeping/lastDay").asString())
        .matches("\\d{4}-\\d\\d-\\d\\d");
  }

  @Test
  void pricesGiveACost() {
    Visitor.Answer answer =
        ask(
            "lemon-balm-spray",
            "\"prices\":{\"lemon-balm\":{\"money\":4,\"amount\":{\"value\":100,\"unit\":\"g\"}}},"
                + "\"shopPrice\":{\"money\":9,\"amount\":{\"value\":300,\"unit\":\"ml\"}}");
    double expected = grams(answer, "lemon-balm") * 0.04;
    assertThat(answer.at("/cost/total").asDouble()).isCloseTo(expected, within(1e-9));
    assertThat(answer.at("/cost/per100Ml").asDouble()).isCloseTo(expected / 5, within(0.001));
    assertThat(answer.at("/cost/ofShopPrice").asDouble())
        .isCloseTo(expected / 5 / 3, within(0.001));
    assertThat(answer.at("/cost/unpriced").valueStream().map(JsonNode::asString)).contains("water");
    assertThat(
            ask(
                    "lemon-balm-spray",
                    "\"prices\":{\"gold\":{\"money\":4,\"amount\":{\"value\":1,\"unit\":\"g\"}}}")
                .fields())
        .containsExactly("prices.gold");
  }

  @Test
  void tellsWhatMovesAResultMost() {
    Visitor.Answer answer = ask("linseed-gel", "");
    for (String result :
        List.of("bottled", "held", "steam", "cloth", "time", "strength", "thickness", "keeps")) {
      List<JsonNode> of =
          answer
              .at("/influences")
              .valueStream()
              .filter(i -> i.get("result").asString().equals(result))
              .toList();
      assertThat(of).as(result).isNotEmpty().hasSizeLessThanOrEqualTo(6);
      assertThat(of.get(0).get("what").asString()).isNotBlank();
      assertThat(of.get(0).at("/figure/provenance").asString()).isNotBlank();
    }
    assertThat(answer.at("/keepsHours/low").asDouble())
        .isLessThan(answer.at("/keepsHours/value").asDouble());
    assertThat(ask("linseed-gel", "\"ranges\":false").at("/influences").size()).isZero();
  }

  @Test
  void whatIsNotForAChildIsSaidForAChild() {
    String withOil =
        "\"changes\":[{\"kind\":\"WITH\",\"ingredient\":{\"key\":\"p\",\"material\":\"peppermint-essential\",\"percent\":0.4}}]";
    assertThat(codes(ask("lemon-balm-spray", withOil))).doesNotContain("NOT_FOR_THIS_PERSON");
    assertThat(codes(ask("lemon-balm-spray", withOil + ",\"wearer\":\"CHILD_3_TO_6\"")))
        .contains("NOT_FOR_THIS_PERSON");
  }

  private static List<String> codes(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer.at("/findings").valueStream().map(f -> f.get("code").asString()).toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1 1/2 tbsp | lemon-balm | 0.5 | 6.0",
        "¼ c | linseed | 38 | 45",
        "2-3 sprigs | rosemary-fresh | 2 | 20",
        "a glass | water | 199 | 200.5",
        "100 mL of buds | clove | 20 | 60",
        "2,5 g | nettle-leaf | 2.5 | 2.5"
      })
  void readsAmountsAsMakersTypeThem(String text, String material, double from, double to) {
    Visitor.Answer answer = amount(text, material);
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    assertThat(answer.at("/grams").asDouble()).isBetween(from, to);
    assertThat(answer.at("/lowGrams").asDouble())
        .isLessThanOrEqualTo(answer.at("/grams").asDouble());
    assertThat(answer.at("/beside").size()).isPositive();
  }

  private static Visitor.Answer amount(String text, String material) {
    return OWNER.get(
        "/api/amounts?text="
            + java.net.URLEncoder.encode(text, java.nio.charset.StandardCharsets.UTF_8)
            + "&material="
            + material);
  }

  @Test
  void whatIsNoAmountIsRefusedWhereItStops() {
    assertThat(amount("lots and lots", "nettle-leaf").fields()).containsExactly("text");
    assertThat(amount("", "nettle-leaf").status()).isEqualTo(400);
    assertThat(amount("5 g", "moonlight").status()).isEqualTo(404);
    assertThat(amount("12 drops", "nettle-leaf").at("/slips/0/code").asString())
        .isEqualTo("DROPS_OF_SOLID");
    assertThat(amount("3 tbsp", "peppermint-essential").at("/slips/0/severity").asString())
        .isEqualTo("ERROR");
  }

  @Test
  void gumsStandInForEachOther() {
    Visitor.Answer answer = OWNER.get("/api/materials/linseed/substitutes?grams=30");
    assertThat(answer.body().valueStream().map(o -> o.get("material").asString())).contains("chia");
    assertThat(OWNER.get("/api/materials/linseed/substitutes?grams=-1").fields())
        .containsExactly("grams");
    assertThat(OWNER.get("/api/materials/moonlight/substitutes").status()).isEqualTo(404);
  }

  @Test
  void aHouseholdsOwnFigureOverridesAndIsForgottenAgain() {
    Visitor own = Visitor.withHousehold();
    JsonNode before =
        own.post(
                URL,
                Map.of(
                    "formulaId",
                    "lemon-balm-spray",
                    "ranges",
                    false,
                    "target",
                    Map.of("kind", "FULL_POT")))
            .body();
    Map<String, Object> thirsty =
        Map.of(
            "id", "lemon-balm",
            "name", "Lemon balm from the plot",
            "kind", "LEAF",
            "figures", Map.of("HOLD", Map.of("value", 9, "low", 8, "high", 10)));
    Visitor.Answer put = own.put("/api/materials/lemon-balm", thirsty);
    assertThat(put.status()).as(put.body().toString()).isEqualTo(200);
    assertThat(put.at("/figures/HOLD/provenance").asString()).isEqualTo("HOUSEHOLD");
    assertThat(put.at("/figures/DENSITY/value").asDouble()).isPositive();
    JsonNode after =
        own.post(
                URL,
                Map.of(
                    "formulaId",
                    "lemon-balm-spray",
                    "ranges",
                    false,
                    "target",
                    Map.of("kind", "FULL_POT")))
            .body();
    assertThat(after.at("/bottledMl/value").asDouble())
        .isLessThan(before.at("/bottledMl/value").asDouble());
    assertThat(own.delete("/api/materials/lemon-balm").status()).isEqualTo(204);
    assertThat(own.delete("/api/materials/lemon-balm").status()).isEqualTo(404);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"id\":\"x\",\"name\":\"X\",\"kind\":\"LEAF\",\"figures\":{\"DENSITY\":{\"value\":-1}}} | figures.DENSITY.value",
        "{\"id\":\"x\",\"name\":\"X\",\"kind\":\"LEAF\",\"figures\":{\"HOLD\":{\"value\":5,\"low\":6}}} | figures.HOLD.value",
        "{\"id\":\"x\",\"name\":\"X\",\"kind\":\"STONE\"} | kind",
        "{\"id\":\"X y\",\"name\":\"X\",\"kind\":\"LEAF\"} | id",
        "{\"id\":\"x\",\"name\":\"\",\"kind\":\"LEAF\"} | name",
        "{\"id\":\"y\",\"name\":\"Y\",\"kind\":\"LEAF\"} | id"
      })
  void anImpossibleMaterialIsRefusedAtItsPlace(String body, String field) {
    Visitor.Answer answer =
        OWNER.put("/api/materials/x", new tools.jackson.databind.json.JsonMapper().readTree(body));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
    assertThat(answer.fields()).contains(field);
  }

  @Test
  void allSeventeenMethodsCanBeReadWithTheirSchools() {
    JsonNode methods = OWNER.get("/api/methods").body();
    assertThat(methods.size()).isEqualTo(17);
    for (JsonNode method : methods) {
      assertThat(method.get("steps").size()).as(method.get("name").asString()).isPositive();
      assertThat(method.get("mistakes").size()).isPositive();
      assertThat(method.get("leftovers").asString()).isNotBlank();
      assertThat(method.get("equipment").size()).isPositive();
      assertThat(method.get("handsMinutes").asDouble()).isPositive();
    }
    JsonNode handbook = OWNER.get("/api/handbook").body();
    for (String part :
        List.of(
            "hardStops",
            "beliefs",
            "cautions",
            "keepingClasses",
            "parameters",
            "explained",
            "sources")) {
      assertThat(handbook.get(part).size()).as(part).isGreaterThan(4);
    }
    assertThat(handbook.toString()).doesNotContain("Infinity").doesNotContain("NaN");
  }

  @Test
  void aFormulaThatUsesItselfOrTooMuchIsRefusedAtItsPlace() {
    String circle =
        """
        {"id":"linseed-gel","name":"Snake","method":"BLEND","ingredients":[
          {"key":"w","material":"water","parts":100},
          {"key":"b","material":"brew:burdock-gel-blend","parts":40}],
         "steps":[{"kind":"combine","vessel":"BOWL","liquid":"ROOM","ingredients":["w","b"]},
          {"kind":"bottle","container":"JAR"}]}
        """;
    Visitor.Answer answer = inline(circle);
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
    assertThat(answer.fields()).containsExactly("formula.ingredients[1].material");
    String long500 =
        "{\"name\":\"Long\",\"method\":\"BLEND\",\"ingredients\":[{\"key\":\"w\",\"material\":\"water\",\"parts\":100}],\"steps\":["
            + "{\"kind\":\"blend\",\"window\":{\"shortest\":1,\"usual\":1,\"longest\":1}},"
                .repeat(499)
            + "{\"kind\":\"bottle\",\"container\":\"JAR\"}]}";
    assertThat(inline(long500).fields()).containsExactly("formula.steps");
    String yearLong =
        """
        {"name":"Year","method":"DECOCTION","ingredients":[{"key":"w","material":"water","parts":1000}],
         "steps":[{"kind":"combine","vessel":"POT","liquid":"ROOM","ingredients":["w"]},{"kind":"heat"},
          {"kind":"boil","level":"ROLLING","window":{"shortest":1,"usual":525600,"longest":525600}},
          {"kind":"bottle","container":"JAR"}]}
        """;
    Visitor.Answer year = inline(yearLong);
    assertThat(year.status()).isEqualTo(400);
    assertThat(year.fields()).containsExactly("formula.steps[2].window.longest");
    assertThat(year.text("/detail")).contains("1440 min");
    Visitor.Answer day = inline(yearLong.replace("525600", "1400"));
    assertThat(day.status()).isEqualTo(422);
    assertThat(day.text("/detail")).contains("more than the Large pot takes");
    assertThat(inline(yearLong.replace("525600", "9000000")).fields())
        .containsExactly("formula.steps[2].window.usual");
  }

  private static Visitor.Answer inline(String formula) {
    return OWNER.raw(
        URL,
        "{\"formula\":"
            + formula
            + ",\"target\":{\"kind\":\"VOLUME\",\"amount\":{\"value\":50,\"unit\":\"ml\"}}}");
  }

  @Test
  void whatDoesNotFitTheJarIsOfferedInBatches() {
    Visitor.Answer answer =
        OWNER.raw(
            URL,
            "{\"formulaId\":\"lemon-balm-spray\",\"target\":{\"kind\":\"VOLUME\",\"amount\":{\"value\":4,\"unit\":\"l\"}}}");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text("/detail")).contains("Brew it in 3 batches.");
  }

  @Test
  void aGelFromTheShelfIsPouredInWithItsAge() {
    Visitor own = Visitor.withHousehold();
    UUID gel = Kitchenwork.bottled(own, "linseed-gel", 500);
    own.moveClock(5 * 24 * 3600);
    Map<String, Object> blend =
        Map.of(
            "formulaId",
            "burdock-gel-blend",
            "target",
            Map.of("kind", "VOLUME", "amount", Map.of("value", 700, "unit", "ml")));
    JsonNode fresh = own.post(URL, blend).body();
    Map<String, Object> poured = new java.util.HashMap<>(blend);
    poured.put("pours", Map.of("brew:linseed-gel", gel));
    Visitor.Answer old = own.post(URL, poured);
    assertThat(old.status()).as(old.body().toString()).isEqualTo(200);
    assertThat(old.text("/keeping/lastDay")).isLessThan(fresh.at("/keeping/lastDay").asString());
    assertThat(old.body().at("/keeping/reasons").toString()).contains("OfPart");

    JsonNode run = own.post("/api/batches", poured).body();
    assertThat(run.at("/prediction/keeping/lastDay").asString())
        .isEqualTo(old.text("/keeping/lastDay"));
    double used = grams(old, "brew:linseed-gel");
    assertThat(own.get("/api/bottles/" + gel).at("/bottle/leftMl").asDouble())
        .isLessThan(500 - used * 0.9);
    poured.put("pours", Map.of("brew:linseed-gel", UUID.randomUUID()));
    assertThat(own.post(URL, poured).fields()).containsExactly("pours.brew:linseed-gel");
  }

  @Test
  void twoPeopleChangingAMaterialMeetAConflict() {
    Visitor owner = Visitor.withHousehold();
    java.util.Map<String, Object> balm =
        new java.util.HashMap<>(
            java.util.Map.of("id", "our-balm", "name", "Our balm", "kind", "LEAF"));
    Visitor.Answer first = owner.put("/api/materials/our-balm", balm);
    assertThat(first.status()).isEqualTo(200);
    balm.put("version", first.at("/version").asLong());
    balm.put("note", "by the shed");
    Visitor.Answer second = owner.put("/api/materials/our-balm", balm);
    assertThat(second.at("/version").asLong()).isGreaterThan(first.at("/version").asLong());
    balm.put("note", "from the old version");
    assertThat(owner.put("/api/materials/our-balm", balm).status()).isEqualTo(409);
    assertThat(owner.get("/api/materials").body())
        .filteredOn(m -> m.get("id").asString().equals("our-balm"))
        .allMatch(m -> m.get("note").asString().equals("by the shed"));
  }
}
