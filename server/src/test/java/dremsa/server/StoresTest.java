package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class StoresTest {
  private final Visitor owner = Visitor.withHousehold();

  private static Map<String, Object> lot(String material, double grams) {
    Map<String, Object> lot = new HashMap<>();
    lot.put("material", material);
    lot.put("origin", "BOUGHT");
    lot.put("amount", Map.of("value", grams, "unit", "g"));
    return lot;
  }

  private Visitor.Answer add(Map<String, Object> lot) {
    Visitor.Answer answer = owner.post("/api/lots", lot);
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(201);
    return answer;
  }

  private static JsonNode line(Visitor.Answer stores, String material) {
    return stores
        .at("/materials")
        .valueStream()
        .filter(m -> m.get("material").asString().equals(material))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aBrewTakesFromTheOldestLotFirstAndIsPaidFromIt() {
    Map<String, Object> old = lot("lemon-balm", 10);
    old.put("gotOn", "2026-01-10");
    old.put("price", 2.0);
    add(old);
    Map<String, Object> young = lot("lemon-balm", 100);
    young.put("price", 5.0);
    add(young);
    Map<String, Object> wanted =
        Map.of(
            "formulaId",
            "lemon-balm-spray",
            "target",
            Map.of("kind", "VOLUME", "amount", Map.of("value", 500, "unit", "ml")));
    Visitor.Answer asked = owner.post("/api/predictions", wanted);
    double grams = asked.at("/amounts/1/grams").asDouble();
    assertThat(grams).isGreaterThan(10);
    assertThat(asked.at("/cost/total").asDouble()).isCloseTo(grams * 0.2, within(1e-9));
    owner.post("/api/batches", wanted);
    JsonNode after = line(owner.get("/api/stores"), "lemon-balm");
    assertThat(after.get("lots").size()).as("the old lot is used up").isEqualTo(1);
    assertThat(after.get("leftGrams").asDouble()).isCloseTo(110 - grams, within(1e-6));
    Visitor.Answer check =
        owner.post("/api/stores/check", Map.of("grams", Map.of("lemon-balm", 500, "linseed", 20)));
    assertThat(check.body().valueStream().mapToDouble(m -> m.get("missingGrams").asDouble()).sum())
        .isCloseTo(500 - (110 - grams) + 20, within(1e-6));
  }

  @Test
  void tooLittleOnRecordStopsNobody() {
    add(lot("lemon-balm", 1));
    Visitor.Answer run =
        owner.post(
            "/api/batches",
            Map.of("formulaId", "lemon-balm-spray", "target", Map.of("kind", "FULL_POT")));
    assertThat(run.status()).isEqualTo(200);
    assertThat(owner.get("/api/stores").at("/materials").size()).isZero();
  }

  @Test
  void aHarvestDriesIntoALotOfTheDriedPlant() {
    Map<String, Object> harvest = lot("mint-fresh", 300);
    harvest.put("origin", "HARVESTED");
    Visitor.Answer stores = add(harvest);
    JsonNode fresh = line(stores, "mint-fresh");
    // Water 84 % fresh and 10 % dried leave about 175 g to the kilogram.
    assertThat(fresh.at("/driesTo/0/share").asDouble()).isBetween(0.15, 0.2);
    String id = fresh.at("/lots/0/id").asString();
    Map<String, Object> dried =
        Map.of(
            "version",
            0,
            "material",
            fresh.at("/driesTo/0/material").asString(),
            "fresh",
            Map.of("value", 300, "unit", "g"),
            "dried",
            Map.of("value", 52, "unit", "g"));
    Visitor.Answer after = owner.post("/api/lots/" + id + "/dry", dried);
    assertThat(after.status()).as(after.body().toString()).isEqualTo(200);
    JsonNode mint = line(after, fresh.at("/driesTo/0/material").asString());
    assertThat(mint.get("leftGrams").asDouble()).isEqualTo(52);
    assertThat(mint.at("/lots/0/driedFrom").asString()).isEqualTo(id);
    Map<String, Object> heavier = new HashMap<>(dried);
    heavier.put("dried", Map.of("value", 400, "unit", "g"));
    String next = line(add(harvest), "mint-fresh").at("/lots/0/id").asString();
    assertThat(owner.post("/api/lots/" + next + "/dry", heavier).fields())
        .containsExactly("dried.value");
    heavier.put("material", "linseed");
    assertThat(owner.post("/api/lots/" + next + "/dry", heavier).fields())
        .containsExactly("material");
  }

  @Test
  void whatRunsOutAndWhatIsOldIsOnTheShoppingList() {
    Map<String, Object> old = lot("sage", 80);
    old.put("gotOn", "2024-01-10");
    add(old);
    add(lot("linseed", 40));
    owner.put("/api/stores/linseed/minimum", Map.of("grams", 100));
    owner.post("/api/shopping", Map.of("words", "Spray bottles"));
    JsonNode list = owner.get("/api/shopping").body();
    assertThat(list.valueStream().map(l -> l.get("words").asString()))
        .contains("Spray bottles", "Linseed, whole", "Sage leaf, dried");
    assertThat(list.toString()).contains("40 g left, you want 100 g").contains("past its best");
    String id = list.at("/0/id").asString();
    assertThat(owner.put("/api/shopping/" + id, Map.of("bought", true)).at("/0/bought").asBoolean())
        .isTrue();
    assertThat(owner.delete("/api/shopping/" + id).status()).isEqualTo(200);
    assertThat(owner.delete("/api/shopping/" + id).status()).isEqualTo(404);
    owner.put("/api/stores/linseed/minimum", Map.of("grams", 0));
    assertThat(owner.get("/api/shopping").toString()).doesNotContain("Linseed");
  }

  @Test
  void weighingTakingAndTakingBack() {
    Visitor.Answer stores = add(lot("hop", 50));
    String id = line(stores, "hop").at("/lots/0/id").asString();
    Visitor.Answer taken =
        owner.post(
            "/api/lots/" + id + "/take",
            Map.of("version", 0, "amount", Map.of("value", 20, "unit", "g")));
    assertThat(line(taken, "hop").get("leftGrams").asDouble()).isEqualTo(30);
    assertThat(
            owner
                .post(
                    "/api/lots/" + id + "/take",
                    Map.of("version", 0, "amount", Map.of("value", 20, "unit", "g")))
                .status())
        .as("somebody was quicker")
        .isEqualTo(409);
    Visitor.Answer weighed =
        owner.post(
            "/api/lots/" + id + "/weigh",
            Map.of("version", 1, "amount", Map.of("value", 26, "unit", "g")));
    assertThat(line(weighed, "hop").get("leftGrams").asDouble()).isEqualTo(26);
    Visitor.Answer back = owner.post("/api/lots/" + id + "/undo", Map.of("version", 2));
    assertThat(line(back, "hop").get("leftGrams").asDouble()).isEqualTo(30);
    Visitor.Answer ended =
        owner.post("/api/lots/" + id + "/end", Map.of("version", 3, "why", "moths"));
    assertThat(ended.at("/materials").size()).isZero();
    Visitor.Answer again = owner.post("/api/lots/" + id + "/undo", Map.of("version", 4));
    assertThat(line(again, "hop").get("leftGrams").asDouble()).isEqualTo(30);
    assertThat(owner.get("/api/lots/" + id + "/happenings").body().size()).isEqualTo(4);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "-5 | hop | 2026-01-01 | 1 | amount.value",
        "0 | hop | 2026-01-01 | 1 | amount.value",
        "1e300 | hop | 2026-01-01 | 1 | amount.value",
        "5 | moonlight | 2026-01-01 | 1 | material",
        "5 | hop | 2099-01-01 | 1 | gotOn",
        "5 | hop | 1066-10-14 | 1 | gotOn",
        "5 | hop | 2026-01-01 | -1 | price"
      })
  void anImpossibleLotIsRefusedAtItsPlace(
      double grams, String material, String got, double price, String field) {
    Map<String, Object> lot = lot(material, grams);
    lot.put("gotOn", got);
    lot.put("price", price);
    Visitor.Answer answer = owner.post("/api/lots", lot);
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
    assertThat(answer.fields()).contains(field);
    assertThat(owner.get("/api/stores").at("/materials").size()).isZero();
  }

  @Test
  void aStrangersLotIsNotThere() {
    String id = line(add(lot("hop", 50)), "hop").at("/lots/0/id").asString();
    Visitor stranger = Visitor.withHousehold();
    assertThat(stranger.post("/api/lots/" + id + "/end", Map.of("version", 0, "why", "")).status())
        .isEqualTo(404);
    assertThat(stranger.get("/api/lots/" + id + "/happenings").status()).isEqualTo(404);
  }

  @Test
  void trialsCalibrateTheHob() {
    Visitor.Answer power =
        owner.post(
            "/api/kitchen/trials/boil",
            Map.of(
                "vessel",
                "pot-18",
                "water",
                Map.of("value", 1, "unit", "l"),
                "fromC",
                18,
                "minutes",
                6));
    assertThat(power.status()).as(power.body().toString()).isEqualTo(200);
    // Energy balance: 343 kJ in six minutes are 953 W, and the pot loses some.
    assertThat(power.at("/value").asDouble()).isBetween(953.0, 1100.0);
    Visitor.Answer kitchen = owner.get("/api/kitchen");
    var hob = (tools.jackson.databind.node.ObjectNode) kitchen.at("/kitchen/hobs/0");
    hob.put("highW", power.at("/value").asDouble());
    hob.set("trial", power.body());
    Visitor.Answer put = owner.put("/api/kitchen", kitchen.body());
    assertThat(put.at("/kitchen/hobs/0/trial/provenance").asString()).isEqualTo("CALIBRATED");
    Visitor.Answer held =
        owner.post(
            "/api/kitchen/trials/weigh",
            Map.of(
                "vessel",
                "pot-18",
                "before",
                Map.of("value", 1500, "unit", "g"),
                "after",
                Map.of("value", 1350, "unit", "g"),
                "minutes",
                10));
    // 150 g in ten minutes are 564 W, of which an open surface of 18 cm loses some 227 by itself.
    assertThat(held.at("/value").asDouble()).isBetween(300.0, 370.0);
    assertThat(
            owner
                .post(
                    "/api/kitchen/trials/boil",
                    Map.of(
                        "vessel",
                        "pot-18",
                        "water",
                        Map.of("value", 2, "unit", "l"),
                        "fromC",
                        18,
                        "minutes",
                        1))
                .fields())
        .containsExactly("minutes");
    assertThat(
            owner
                .post(
                    "/api/kitchen/trials/weigh",
                    Map.of(
                        "vessel",
                        "pot-18",
                        "before",
                        Map.of("value", 1500, "unit", "g"),
                        "after",
                        Map.of("value", 1600, "unit", "g"),
                        "minutes",
                        10))
                .fields())
        .containsExactly("after.value");
  }
}
