package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What a household owns to fill brews into. */
class ContainersTest {
  private final Visitor owner = Visitor.withHousehold();

  private Visitor.Answer add(String kind, double size, int owned, boolean filter) {
    return owner.post(
        "/api/containers", Map.of("kind", kind, "sizeMl", size, "owned", owned, "filter", filter));
  }

  private JsonNode line(String kind, double size) {
    return owner
        .get("/api/containers")
        .body()
        .valueStream()
        .filter(l -> l.get("kind").asString().equals(kind) && l.get("sizeMl").asDouble() == size)
        .findFirst()
        .orElseThrow();
  }

  private Visitor.Answer sterilise(JsonNode line, int count) {
    return owner.post(
        "/api/containers/" + line.get("id").asString() + "/sterilised",
        Map.of("version", line.get("version").asLong(), "count", count));
  }

  private JsonNode filling(String formula, int count, double size) {
    return owner
        .post(
            "/api/predictions",
            Map.of(
                "formulaId",
                formula,
                "target",
                Map.of(
                    "kind",
                    "BOTTLES",
                    "count",
                    count,
                    "size",
                    Map.of("value", size, "unit", "ml"))))
        .at("/filling");
  }

  @Test
  void whatABrewOnTheBenchWillFillIsPromisedToIt() {
    owner.post(
        "/api/containers", Map.of("kind", "SPRAY", "sizeMl", 250, "owned", 3, "filter", false));
    Visitor.Answer run =
        owner.post(
            "/api/batches",
            Map.of(
                "formulaId",
                "lemon-balm-spray",
                "target",
                Map.of("kind", "BOTTLES", "count", 2, "size", Map.of("value", 250, "unit", "ml"))));
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
    JsonNode line = line("SPRAY", 250);
    assertThat(line.get("free").asInt()).isEqualTo(1);
    assertThat(line.get("full").asInt()).isZero();
    assertThat(line.at("/promised").size()).isEqualTo(2);
    assertThat(line.at("/promised/0").asString()).isEqualTo("Lemon balm spray");
    // The brew itself still has them; another is told that they are taken.
    assertThat(run.at("/prediction/filling/containers/1/owned").asBoolean()).isTrue();
    JsonNode next = filling("lemon-balm-spray", 2, 250);
    assertThat(next.at("/containers/0/owned").asBoolean()).isTrue();
    assertThat(next.at("/containers/1/owned").asBoolean()).isFalse();
  }

  @Test
  void aHouseholdThatOwnsNothingYetIsProposedUsualOnes() {
    JsonNode filling = filling("lemon-balm-spray", 2, 250);
    assertThat(filling.at("/containers").size()).isEqualTo(2);
    assertThat(filling.at("/containers/0/owned").asBoolean()).isFalse();
    assertThat(filling.at("/advice").size()).isZero();
  }

  @Test
  void aFilledBottleIsTakenUntilItIsEmptyAgain() {
    assertThat(add("SPRAY", 250, 3, false).status()).isEqualTo(201);
    assertThat(filling("lemon-balm-spray", 1, 250).at("/advice/0").asString())
        .isEqualTo("Sterilise 1 spray bottle of 250 mL first.");
    assertThat(sterilise(line("SPRAY", 250), 2).status()).isEqualTo(200);
    assertThat(line("SPRAY", 250).get("ready").asInt()).isEqualTo(2);
    assertThat(filling("lemon-balm-spray", 1, 250).at("/advice").size()).isZero();

    Visitor.Answer run = Kitchenwork.atBottling(owner, "lemon-balm-spray", 250);
    Kitchenwork.bottle(owner, run, "SPRAY", 250, 240);
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    JsonNode after = line("SPRAY", 250);
    assertThat(after.get("full").asInt()).isEqualTo(1);
    assertThat(after.get("free").asInt()).isEqualTo(2);
    assertThat(owner.get("/api/bottles/" + bottle).text("/sterilisedAt"))
        .isEqualTo(after.get("sterilisedAt").asString());
    // The brew took three hours: the other one still counts as sterilised.
    assertThat(after.get("ready").asInt()).isEqualTo(1);

    owner.post("/api/bottles/" + bottle + "/finish", Map.of("version", 0));
    JsonNode empty = line("SPRAY", 250);
    assertThat(empty.get("free").asInt()).isEqualTo(3);
    // What was used is to be sterilised again.
    assertThat(empty.get("ready").asInt()).isEqualTo(1);
    owner.moveClock(2 * 24 * 3600);
    assertThat(line("SPRAY", 250).get("ready").asInt()).isZero();
  }

  @Test
  void aBottlingTakenBackGivesTheBottleBackSterilised() {
    add("SPRAY", 250, 1, false);
    Visitor.Answer run = Kitchenwork.atBottling(owner, "lemon-balm-spray", 250);
    sterilise(line("SPRAY", 250), 1);
    Visitor.Answer bottled = Kitchenwork.bottle(owner, run, "SPRAY", 250, 240);
    assertThat(line("SPRAY", 250).get("ready").asInt()).isZero();
    owner.post(
        "/api/batches/" + bottled.text("/id") + "/undo",
        Map.of("version", bottled.at("/version").asLong()));
    assertThat(line("SPRAY", 250).get("full").asInt()).isZero();
    assertThat(line("SPRAY", 250).get("ready").asInt()).isEqualTo(1);
  }

  @Test
  void aFilterIsWrittenDownForSprayersOnly() {
    add("TRIGGER", 500, 1, true);
    add("JAR", 500, 1, true);
    assertThat(line("TRIGGER", 500).get("filter").asBoolean()).isTrue();
    assertThat(line("JAR", 500).get("filter").asBoolean()).isFalse();
    assertThat(line("JAR", 500).get("thickestMpas").isNull()).isTrue();
    assertThat(line("JAR", 500).get("fillShare").asDouble()).isLessThan(1);
  }

  @Test
  void countsArePutRightAndSortsRemoved() {
    add("JAR", 250, 6, false);
    JsonNode six = line("JAR", 250);
    sterilise(six, 6);
    JsonNode sterile = line("JAR", 250);
    String path = "/api/containers/" + sterile.get("id").asString();
    Map<String, Object> two =
        Map.of("version", sterile.get("version").asLong(), "owned", 2, "filter", false);
    assertThat(owner.put(path, two).status()).isEqualTo(200);
    assertThat(line("JAR", 250).get("ready").asInt()).isEqualTo(2);
    assertThat(owner.put(path, two).status()).isEqualTo(409);
    assertThat(owner.delete(path).body().size()).isZero();
    assertThat(owner.delete(path).status()).isEqualTo(404);
  }

  @ParameterizedTest
  @CsvSource({
    "JAR, 4, 1, sizeMl",
    "JAR, 5001, 1, sizeMl",
    "JAR, 250, 0, owned",
    "JAR, 250, 201, owned"
  })
  void impossibleOnesAreRefusedAtTheirPlace(String kind, double size, int owned, String field) {
    Visitor.Answer refused = add(kind, size, owned, false);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.fields()).containsExactly(field);
  }

  @Test
  void aSortIsWrittenDownOnceAndMoreThanFreeIsNotSterilised() {
    add("JAR", 250, 2, false);
    assertThat(add("JAR", 250.4, 1, false).fields()).containsExactly("sizeMl");
    Visitor.Answer three = sterilise(line("JAR", 250), 3);
    assertThat(three.status()).isEqualTo(400);
    assertThat(three.fields()).containsExactly("count");
    sterilise(line("JAR", 250), 2);
    sterilise(line("JAR", 250), 0);
    assertThat(line("JAR", 250).get("sterilisedAt").isNull()).isTrue();
  }

  @Test
  void nobodySeesOrChangesAnothersContainers() {
    add("JAR", 250, 2, false);
    JsonNode mine = line("JAR", 250);
    Visitor other = Visitor.withHousehold();
    String path = "/api/containers/" + mine.get("id").asString();
    assertThat(other.get("/api/containers").body().size()).isZero();
    assertThat(other.delete(path).status()).isEqualTo(404);
    assertThat(
            List.of(
                other.put(path, Map.of("version", 0, "owned", 1, "filter", false)).status(),
                other.post(path + "/sterilised", Map.of("version", 0, "count", 1)).status()))
        .containsOnly(404);
  }
}
