package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Products side by side on one head, through HTTP. */
class TrialTest {
  private final Visitor owner = Visitor.withHousehold();
  private final String ada =
      owner.post("/api/people", Map.of("name", "Ada", "usual", false)).text("/person/id");

  private Visitor.Answer begin(List<String> products, List<String> sections, boolean blind) {
    return owner.post(
        "/api/trials",
        Map.of("person", ada, "products", products, "sections", sections, "blind", blind));
  }

  private Visitor.Answer score(JsonNode trial, Map<String, Map<String, Double>> scores) {
    return owner.put(
        "/api/trials/" + trial.get("id").asString() + "/scores",
        Map.of("version", trial.get("version").asLong(), "scores", scores));
  }

  private Visitor.Answer end(JsonNode trial) {
    return owner.put(
        "/api/trials/" + trial.get("id").asString() + "/end",
        Map.of("version", trial.get("version").asLong()));
  }

  private static JsonNode newest(Visitor.Answer trials) {
    assertThat(trials.status()).as(trials.body().toString()).isEqualTo(200);
    return trials.at("/trials/0");
  }

  @Test
  void jarsAreDrawnByLotAndToldAtTheEnd() {
    JsonNode begun = newest(begin(List.of("Gel", "Oil"), List.of("LEFT", "RIGHT", "BACK"), true));

    assertThat(begun.get("name").asString()).isEqualTo("Ada");
    assertThat(begun.get("jars").asInt()).isEqualTo(2);
    assertThat(begun.get("products")).isEmpty();
    Set<Integer> jars = new HashSet<>();
    begun.get("on").valueStream().forEach(each -> jars.add(each.get("jar").asInt()));
    assertThat(jars).containsExactlyInAnyOrder(0, 1);
    JsonNode inThem =
        owner.get("/api/trials/" + begun.get("id").asString() + "/jars").at("/products");
    assertThat(inThem).hasSize(2);

    JsonNode scored = newest(score(begun, Map.of("SLIP", Map.of("0", 4.0, "1", 2.0))));
    assertThat(scored.get("products")).isEmpty();
    Visitor.Answer over = end(scored);
    assertThat(newest(over).get("products")).isEqualTo(inThem);
    assertThat(over.text("/verdicts/0/lines/0/words"))
        .startsWith(inThem.get(0).asString() + " slipped better in 1 of 1 trial;")
        .contains("not settled");
    // What is over is not scored again.
    assertThat(score(newest(over), Map.of()).status()).isEqualTo(409);
  }

  @Test
  void severalTrialsOfTheSameProductsAreJudgedTogether() {
    for (int i = 0; i < 6; i++) {
      JsonNode begun = newest(begin(List.of("Gel", "Oil"), List.of("LEFT", "RIGHT"), false));
      boolean gelFirst = begun.at("/products/0").asString().equals("Gel");
      Map<String, Double> scores = Map.of(gelFirst ? "0" : "1", 5.0, gelFirst ? "1" : "0", 3.0);
      end(newest(score(begun, Map.of("HOLD", scores))));
    }
    end(
        newest(
            score(
                newest(begin(List.of("Gel", "Tea"), List.of("LEFT", "RIGHT"), false)),
                Map.of("HOLD", Map.of("0", 2.0, "1", 2.0)))));

    Visitor.Answer all = owner.get("/api/trials");

    assertThat(all.at("/verdicts")).hasSize(2);
    assertThat(all.text("/verdicts/0/lines/0/words"))
        .isEqualTo(
            "Gel held better in 6 of 6 trials; by chance alone that happens about one time in 32:"
                + " settled.");
    assertThat(all.at("/verdicts/0/lines/0/settled").asBoolean()).isTrue();
    assertThat(all.at("/verdicts/1/lines/0/settled").asBoolean()).isFalse();
  }

  @Test
  void whatIsNoTrialIsRefusedAtItsField() {
    for (Visitor.Answer refused :
        List.of(
            begin(List.of("Gel", "Gel"), List.of("LEFT", "RIGHT"), false),
            begin(List.of("Gel"), List.of("LEFT", "RIGHT"), false))) {
      assertThat(refused.status()).isEqualTo(400);
      assertThat(refused.text("/errors/0/field")).startsWith("products");
    }
    Visitor.Answer narrow = begin(List.of("Gel", "Oil", "Tea"), List.of("LEFT", "RIGHT"), false);
    assertThat(narrow.text("/errors/0/field")).isEqualTo("sections");
    JsonNode begun = newest(begin(List.of("Gel", "Oil"), List.of("LEFT", "RIGHT"), false));
    Visitor.Answer high = score(begun, Map.of("SLIP", Map.of("0", 6.0)));
    assertThat(high.text("/errors/0/field")).isEqualTo("scores.SLIP.0");
    assertThat(high.text("/errors/0/message")).isEqualTo("This is scored from 1 to 5.");
    assertThat(score(begun, Map.of("SLIP", Map.of("7", 3.0))).status()).isEqualTo(400);
    assertThat(end(begun).status()).isEqualTo(409);
    assertThat(owner.get("/api/trials").at("/trials")).hasSize(1);
  }

  @Test
  void twoPeopleAtOneTrial() {
    JsonNode begun = newest(begin(List.of("Gel", "Oil"), List.of("LEFT", "RIGHT"), false));
    score(begun, Map.of("SLIP", Map.of("0", 4.0)));

    assertThat(score(begun, Map.of("SLIP", Map.of("1", 2.0))).status()).isEqualTo(409);
    assertThat(owner.get("/api/trials").at("/trials/0/scores")).hasSize(1);
    assertThat(owner.delete("/api/trials/" + UUID.randomUUID()).status()).isEqualTo(404);
    assertThat(Visitor.withHousehold().delete("/api/trials/" + begun.get("id").asString()).status())
        .isEqualTo(404);
    assertThat(owner.delete("/api/trials/" + begun.get("id").asString()).at("/trials")).isEmpty();
  }

  @Test
  void oneIsRemindedOfTheTickedTimesUntilItIsOver() {
    Map<String, Object> form =
        Map.of(
            "person",
            ada,
            "products",
            List.of("Gel", "Oil"),
            "sections",
            List.of("LEFT", "RIGHT"),
            "blind",
            true,
            "lookHours",
            List.of(24, 6));
    JsonNode begun = newest(owner.post("/api/trials", form));
    owner.moveClock(7 * 3600);
    assertThat(owner.get("/api/messages").body().toString()).contains("Look at the trial");
    end(newest(score(begun, Map.of("SLIP", Map.of("0", 4.0)))));
    owner.moveClock(30 * 3600);
    String told = owner.get("/api/messages").body().toString();
    assertThat(told.split("Look at the trial", -1)).hasSize(2);
    Map<String, Object> never =
        Map.of(
            "person",
            ada,
            "products",
            List.of("Gel", "Oil"),
            "sections",
            List.of("LEFT", "RIGHT"),
            "blind",
            true,
            "lookHours",
            List.of(0));
    assertThat(owner.post("/api/trials", never).status()).isEqualTo(400);
  }
}
