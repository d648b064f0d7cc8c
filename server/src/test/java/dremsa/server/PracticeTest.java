package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Practising at simulated pots, through HTTP. */
class PracticeTest {
  private static final long DAY = 24 * 3600;

  private final Visitor owner = Visitor.withHousehold();

  private JsonNode begin(String exercise) {
    return fine(owner.post("/api/practices", Map.of("exercise", exercise)));
  }

  private static JsonNode fine(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer.body();
  }

  private static String path(JsonNode practice) {
    return "/api/practices/" + practice.get("id").asString();
  }

  private Visitor.Answer tries(JsonNode practice, String kind, String what, double value) {
    return owner.post(
        path(practice) + "/acts",
        Map.of(
            "version",
            practice.get("version").asLong(),
            "kind",
            kind,
            "what",
            what,
            "value",
            value));
  }

  private JsonNode act(JsonNode practice, String kind, String what, double value) {
    return fine(tries(practice, kind, what, value));
  }

  private JsonNode next(JsonNode practice) {
    return act(practice, "NEXT", "", 0);
  }

  private JsonNode pass(JsonNode practice, double minutes) {
    return fine(
        owner.post(
            path(practice) + "/pass",
            Map.of("version", practice.get("version").asLong(), "minutes", minutes)));
  }

  private JsonNode look(JsonNode practice) {
    return fine(owner.get(path(practice)));
  }

  /** Nettle powder, done well but for the paper. */
  private JsonNode powder(String way) {
    JsonNode now = next(begin("through-paper"));
    now = next(pass(now, 150));
    now = next(pass(now, 5));
    now = act(now, "CHOOSE", way, 0);
    now = next(pass(now, 5));
    return next(pass(now, 5));
  }

  @Test
  void aPracticeIsDoneWithTheHandsAndTellsWhatEachDifferenceCost() {
    JsonNode over = powder("once");

    assertThat(over.get("over").asBoolean()).isTrue();
    JsonNode debrief = over.get("debrief");
    assertThat(debrief.at("/reached/1/words").asString()).isEqualTo("powder left in it");
    assertThat(debrief.at("/reached/1/ok").asBoolean()).isFalse();
    assertThat(debrief.at("/differences/0/words").asString()).contains("Once is enough");
    assertThat(debrief.at("/yours/points")).hasSizeGreaterThan(10);
    assertThat(debrief.at("/good/steps")).hasSize(5);
    assertThat(tries(over, "NEXT", "", 0).status()).isEqualTo(409);
  }

  @Test
  void theBestOfEachPersonIsKept() {
    powder("once");
    powder("paper");
    String ada =
        owner.post("/api/people", Map.of("name", "Ada", "usual", false)).text("/person/id");
    fine(owner.post("/api/practices", Map.of("exercise", "through-paper", "person", ada)));

    JsonNode all = fine(owner.get("/api/practices"));
    String hers = "/api/practices/" + all.at("/practices/0/id").asString();
    assertThat(owner.get(hers).text("/person")).isEqualTo(ada);

    JsonNode exercise =
        all.get("exercises")
            .valueStream()
            .filter(each -> each.get("id").asString().equals("through-paper"))
            .findFirst()
            .orElseThrow();
    // What Ada has only begun is no result.
    assertThat(exercise.get("best")).hasSize(1);
    assertThat(exercise.at("/best/0/reached").asInt()).isEqualTo(2);
    assertThat(exercise.at("/best/0/times").asInt()).isEqualTo(2);
    assertThat(all.get("practices")).hasSize(3);
    assertThat(all.get("exercises").size()).isGreaterThanOrEqualTo(12);
  }

  @Test
  void thePotsTimeGoesAsFastAsItIsSetAndCanBeHeld() {
    JsonNode now = begin("too-soon");
    owner.moveClock(30);
    assertThat(look(now).get("minute").asDouble()).isCloseTo(0.5, within(0.2));
    now = fine(owner.put(path(now) + "/pace", Map.of("version", version(now), "pace", 120)));
    double before = now.get("minute").asDouble();
    owner.moveClock(30);
    assertThat(look(now).get("minute").asDouble() - before).isCloseTo(60, within(15.0));
    now = fine(owner.put(path(now) + "/pace", Map.of("version", version(now), "pace", 0)));
    double held = now.get("minute").asDouble();
    owner.moveClock(2 * DAY);
    assertThat(look(now).get("minute").asDouble()).isEqualTo(held);
  }

  private static long version(JsonNode practice) {
    return practice.get("version").asLong();
  }

  @Test
  void whatIsLeftOpenForAWeekIsHeldAfterAnHourAndGoesOnFromThere() {
    JsonNode begun = begin("too-soon");
    owner.moveClock(7 * DAY);

    JsonNode later = look(begun);

    assertThat(later.get("leftAlone").asBoolean()).isTrue();
    assertThat(later.get("pace").asDouble()).isZero();
    assertThat(later.get("minute").asDouble()).isCloseTo(60, within(0.01));
    JsonNode goesOn = next(later);
    assertThat(goesOn.get("leftAlone").asBoolean()).isFalse();
    assertThat(goesOn.get("minute").asDouble()).isCloseTo(60, within(0.1));
    assertThat(goesOn.get("step").asInt()).isEqualTo(1);
  }

  @Test
  void twoTabsAtOnePotAreToldAndNothingIsLost() {
    JsonNode one = next(begin("too-soon"));
    JsonNode done = act(one, "HEAT", "", 1);

    Visitor.Answer late = tries(one, "LID", "", 1);

    assertThat(late.status()).isEqualTo(409);
    assertThat(late.text("/detail")).contains("another tab or phone");
    assertThat(look(done).get("heat").asDouble()).isEqualTo(1);
    assertThat(look(done).get("lid").asBoolean()).isFalse();
  }

  @Test
  void whatCannotBeIsRefusedAtItsPlace() {
    JsonNode now = begin("thirsty-seed");
    assertThat(tries(now, "HEAT", "", 1).text("/errors/0/message"))
        .isEqualTo("There is no pot on the hob at this step.");
    assertThat(tries(now, "WEIGH", "water", -3).status()).isEqualTo(400);
    assertThat(tries(now, "WEIGH", "sand", 3).status()).isEqualTo(400);
    Map<String, Object> pace = new HashMap<>(Map.of("version", version(now), "pace", 500));
    assertThat(owner.put(path(now) + "/pace", pace).status()).isEqualTo(400);
    assertThat(
            owner
                .post(path(now) + "/pass", Map.of("version", version(now), "minutes", 1e7))
                .status())
        .isEqualTo(400);
    assertThat(owner.post("/api/practices", Map.of("exercise", "no-such")).status()).isEqualTo(400);
    assertThat(owner.post("/api/practices", Map.of()).status()).isEqualTo(400);
    assertThat(version(look(now))).isEqualTo(version(now));
  }

  @Test
  void anyFormulaIsPractisedInTheOwnKitchen() {
    JsonNode free = fine(owner.post("/api/practices", Map.of("formula", "birch-sage-decoction")));
    assertThat(free.get("exercise").asString()).isEqualTo("free");
    assertThat(free.get("title").asString()).isEqualTo("Birch and sage decoction");
    JsonNode hot = act(next(free), "HEAT", "", 1);
    hot = act(pass(hot, 3), "MEASURE", "", 0);
    assertThat(hot.at("/measured/celsius").asDouble()).isGreaterThan(90);
    assertThat(hot.get("looks").valueStream().map(JsonNode::asString).toList())
        .contains("It steams hard.");
    assertThat(List.of(owner.delete(path(free)).status(), owner.get(path(free)).status()))
        .containsExactly(200, 404);
  }

  /** Whatever is done, the acts are the state: read back after a restore it is the same pot. */
  @Test
  void aPracticeInABackupIsTheSamePot() {
    JsonNode hot = act(next(begin("too-soon")), "HEAT", "", 1);
    hot = pass(hot, 2);
    hot = fine(owner.put(path(hot) + "/pace", Map.of("version", version(hot), "pace", 0)));
    byte[] file = owner.file("/api/backup.zip").bytes();
    Visitor other = Visitor.withHousehold();
    assertThat(other.upload("/api/restore", "application/zip", file).status()).isEqualTo(200);
    String id = other.get("/api/practices").text("/practices/0/id");
    JsonNode again = other.get("/api/practices/" + id).body();
    assertThat(again.get("looks")).isEqualTo(look(hot).get("looks"));
    assertThat(again.get("pot")).isEqualTo(look(hot).get("pot"));
    assertThat(again.get("step").asInt()).isEqualTo(1);
    // It goes on from there.
    Visitor.Answer more =
        other.post(
            "/api/practices/" + id + "/acts",
            Map.of("version", again.get("version").asLong(), "kind", "STIR"));
    assertThat(more.status()).as(more.body().toString()).isEqualTo(200);
  }

  @Test
  void theHouseholdsOldestPracticesMakeRoom() {
    JsonNode first = begin("yellow-sap");
    for (int step = 0; step < 7; step++) {
      first = next(first);
    }
    assertThat(first.get("over").asBoolean()).isTrue();
    assertThat(first.at("/debrief/reached/1/ok").asBoolean()).isFalse();
    for (int i = 0; i < 300; i++) {
      begin("yellow-sap");
    }
    JsonNode all = fine(owner.get("/api/practices")).get("practices");
    assertThat(all).hasSize(300);
    assertThat(owner.get(path(first)).status()).isEqualTo(404);
  }
}
