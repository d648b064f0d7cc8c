package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.node.ObjectNode;

class AccountsTest {
  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  @Test
  void nobodyIsLetInWithoutASession() {
    Visitor stranger = new Visitor();
    long before = sessions();
    assertThat(stranger.get("/api/bottles").status()).isEqualTo(401);
    assertThat(stranger.get("/api/bottles").text("/type")).endsWith("signed-out");
    assertThat(sessions()).as("a stranger makes no session rows").isEqualTo(before);
  }

  private long sessions() {
    return jdbc.queryForObject("select count(*) from SPRING_SESSION", Long.class);
  }

  @Test
  void aHouseholdIsMadeOnceAndCanBeEnteredAgain() {
    Visitor first = Visitor.withHousehold();
    assertThat(first.get("/api/household").text("/name")).isEqualTo("Test kitchen");
    assertThat(new Visitor().post("/api/households", first.household()).fields())
        .containsExactly("signIn");

    Visitor second = new Visitor();
    Map<String, String> right =
        Map.of("signIn", first.name().toUpperCase(), "password", "correct horse");
    assertThat(second.post("/api/session", right).status()).isEqualTo(200);
    assertThat(second.get("/api/household").status()).isEqualTo(200);
    assertThat(second.delete("/api/session").status()).isEqualTo(204);
    assertThat(second.get("/api/household").status()).isEqualTo(401);
  }

  @Test
  void guessingIsSlowedDown() {
    Visitor owner = Visitor.withHousehold();
    Visitor guesser = new Visitor();
    Map<String, String> wrong = Map.of("signIn", owner.name(), "password", "wrong");
    for (int i = 0; i < 5; i++) {
      assertThat(guesser.post("/api/session", wrong).status()).isEqualTo(401);
    }
    assertThat(guesser.post("/api/session", wrong).status()).isEqualTo(429);
    Map<String, String> right = Map.of("signIn", owner.name(), "password", "correct horse");
    assertThat(guesser.post("/api/session", right).status())
        .as("not even the right one, for a while")
        .isEqualTo(429);
  }

  @Test
  void everyWrongFieldIsNamed() {
    Visitor visitor = new Visitor();
    Map<String, Object> form = new HashMap<>(visitor.household());
    form.put("name", "");
    form.put("password", "short");
    form.put("kitchen", Map.of("roomC", 80, "fridgeC", 5, "largestJarMl", 2000));
    Visitor.Answer answer = visitor.post("/api/households", form);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.fields()).containsExactlyInAnyOrder("name", "password", "kitchen.roomC");
    assertThat(
            answer
                .body()
                .at("/errors")
                .valueStream()
                .filter(e -> e.get("field").asString().equals("kitchen.roomC"))
                .findFirst()
                .orElseThrow()
                .get("high")
                .asDouble())
        .isEqualTo(45);

    form = new HashMap<>(visitor.household());
    form.put("timeZone", "Europe/Atlantis");
    assertThat(visitor.post("/api/households", form).fields()).containsExactly("timeZone");
    form.put("measures", "FURLONGS");
    assertThat(visitor.post("/api/households", form).fields()).containsExactly("measures");
  }

  @Test
  void passwordsAreKeptOnlyAsHashes() {
    Visitor owner = Visitor.withHousehold();
    String kept =
        jdbc.queryForObject(
            "select password_hash from account where sign_in = ?", String.class, owner.name());
    assertThat(kept).startsWith("{bcrypt-sha256}").doesNotContain("horse");
  }

  @Test
  void twoPeopleChangingTheHouseholdMeetAConflict() {
    Visitor owner = Visitor.withHousehold();
    Visitor.Answer seen = owner.get("/api/household");
    Map<String, Object> change =
        new HashMap<>(
            Map.of(
                "name",
                "Ours",
                "measures",
                "US",
                "fahrenheit",
                true,
                "timeZone",
                "America/New_York",
                "school",
                "PRACTICE",
                "version",
                seen.at("/version").asLong()));
    assertThat(owner.put("/api/household", change).text("/name")).isEqualTo("Ours");
    assertThat(owner.put("/api/household", change).status()).isEqualTo(409);
  }

  @Test
  void aKitchenIsSavedWithItsVersion() {
    Visitor owner = Visitor.withHousehold();
    Visitor.Answer seen = owner.get("/api/kitchen");
    assertThat(seen.at("/kitchen/vessels").size()).isGreaterThan(3);
    ObjectNode changed = (ObjectNode) seen.body();
    ((ObjectNode) changed.get("kitchen")).put("roomC", 17.5);
    assertThat(owner.put("/api/kitchen", changed).at("/kitchen/roomC").asDouble()).isEqualTo(17.5);
    ((ObjectNode) changed.get("kitchen")).put("roomC", 25);
    assertThat(owner.put("/api/kitchen", changed).status()).isEqualTo(409);
    ((ObjectNode) changed.get("kitchen")).put("roomC", 60);
    assertThat(owner.put("/api/kitchen", changed).fields()).containsExactly("kitchen.roomC");
    assertThat(owner.get("/api/kitchen").at("/kitchen/roomC").asDouble()).isEqualTo(17.5);
  }
}
