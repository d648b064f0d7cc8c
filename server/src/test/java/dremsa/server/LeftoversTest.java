package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What stays in the strainer: on the shelf for its second use, then compost. */
class LeftoversTest {
  private final Visitor owner = Visitor.withHousehold();

  private List<JsonNode> leftovers() {
    return owner.get("/api/leftovers").body().valueStream().toList();
  }

  private JsonNode only() {
    assertThat(leftovers()).hasSize(1);
    return leftovers().get(0);
  }

  private Visitor.Answer end(JsonNode line, String outcome, Double grams) {
    Map<String, Object> form = new HashMap<>();
    form.put("version", line.get("version").asLong());
    form.put("outcome", outcome);
    form.put("driedGrams", grams);
    return owner.post("/api/leftovers/" + line.get("id").asString() + "/end", form);
  }

  private Visitor.Answer undo(JsonNode line) {
    return owner.post(
        "/api/leftovers/" + line.get("id").asString() + "/undo",
        Map.of("version", line.get("version").asLong()));
  }

  private String hops() {
    Kitchenwork.bottled(owner, "hop-water-bath", 250);
    return only().get("id").asString();
  }

  @Test
  void budsOfAWaterBathWaitToBeDriedUntilTheDayIsOver() {
    hops();
    JsonNode hops = only();
    assertThat(hops.get("use").asString()).isEqualTo("DRY_FOR_OIL");
    assertThat(hops.get("outcome").asString()).isEqualTo("OPEN");
    assertThat(hops.get("wetGrams").asDouble()).isGreaterThan(hops.get("dryGrams").asDouble());
    assertThat(hops.get("lastDay").asString()).isEqualTo(owner.get("/api/bottles").text("/today"));
    assertThat(hops.get("over").asBoolean()).isFalse();
    owner.moveClock(24 * 3600);
    assertThat(only().get("over").asBoolean()).isTrue();
    // In the evening of its day somebody was told.
    assertThat(owner.get("/api/messages").body().toString()).contains("Left over: ");
  }

  @Test
  void whatIsCompostOnlyIsSaidButTakesNoRoom() {
    Visitor.Answer run = Kitchenwork.atBottling(owner, "linseed-gel", 250);
    assertThat(run.text("/leftover/use")).isEqualTo("COMPOST");
    assertThat(run.text("/leftover/why")).contains("no second gel");
    Kitchenwork.bottle(owner, run, "JAR", 250, 240);
    assertThat(leftovers()).isEmpty();
  }

  @Test
  void driedItGoesIntoTheStoresAndComesBackOut() {
    hops();
    double wet = only().get("wetGrams").asDouble();
    assertThat(end(only(), "DRIED", null).fields()).containsExactly("driedGrams");
    assertThat(end(only(), "DRIED", wet + 1).fields()).containsExactly("driedGrams");
    assertThat(end(only(), "DRIED", 9.0).status()).isEqualTo(200);
    assertThat(owner.get("/api/stores").body().toString()).contains("left over from ");
    assertThat(only().get("outcome").asString()).isEqualTo("DRIED");
    assertThat(undo(only()).status()).isEqualTo(200);
    assertThat(owner.get("/api/stores").at("/lots").size()).isZero();
    assertThat(only().get("outcome").asString()).isEqualTo("OPEN");
    assertThat(undo(only()).status()).isEqualTo(409);
  }

  @Test
  void whatBecameOfItIsOnRecord() {
    hops();
    assertThat(end(only(), "OPEN", null).fields()).containsExactly("outcome");
    assertThat(end(only(), "COMPOSTED", null).status()).isEqualTo(200);
    assertThat(end(only(), "USED", null).status()).isEqualTo(409);
    assertThat(owner.get("/api/history").body().toString()).contains("composted");
    assertThat(undo(only()).status()).isEqualTo(200);
    assertThat(end(only(), "USED", null).status()).isEqualTo(200);
    assertThat(owner.get("/api/history").body().toString()).contains("steep it in oil");
  }

  @Test
  void twoPeopleEndItOnce() {
    hops();
    JsonNode seen = only();
    assertThat(end(seen, "COMPOSTED", null).status()).isEqualTo(200);
    assertThat(end(seen, "USED", null).status()).isEqualTo(409);
    assertThat(Visitor.withHousehold().get("/api/leftovers").body().size()).isZero();
  }

  @Test
  void aBottlingTakenBackTakesItAlong() {
    Visitor.Answer run = Kitchenwork.atBottling(owner, "hop-water-bath", 250);
    Visitor.Answer done = Kitchenwork.bottle(owner, run, "JAR", 250, 240);
    only();
    owner.post(
        "/api/batches/" + done.text("/id") + "/undo",
        Map.of("version", done.at("/version").asLong()));
    assertThat(leftovers()).isEmpty();
  }

  @Test
  void eachBatchLeavesItsOwn() {
    Visitor.Answer done = Kitchenwork.atBottling(owner, "hop-water-bath", 250);
    Kitchenwork.bottle(owner, done, "JAR", 250, 240);
    Kitchenwork.bottled(owner, "hop-water-bath", 250);
    assertThat(leftovers()).hasSize(2);
  }
}
