package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
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
  void aPasswordIsChangedByWhoKnowsItAndEndsTheSessionsElsewhere() {
    Visitor owner = Visitor.withHousehold();
    Visitor elsewhere = new Visitor();
    Map<String, String> before = Map.of("signIn", owner.name(), "password", "correct horse");
    assertThat(elsewhere.post("/api/session", before).status()).isEqualTo(200);
    String path = "/api/session/password";
    String better = "kettle violet thursday";
    assertThat(owner.put(path, Map.of("old", "wrong", "password", better)).fields())
        .containsExactly("old");
    assertThat(owner.put(path, Map.of("old", "correct horse", "password", "12345678")).fields())
        .containsExactly("password");
    assertThat(owner.put(path, Map.of("old", "correct horse", "password", better)).status())
        .isEqualTo(204);
    assertThat(owner.get("/api/household").status()).isEqualTo(200);
    assertThat(elsewhere.get("/api/household").status()).as("signed out there").isEqualTo(401);
    assertThat(elsewhere.post("/api/session", before).status()).isEqualTo(401);
    Map<String, String> after = Map.of("signIn", owner.name(), "password", better);
    assertThat(elsewhere.post("/api/session", after).status()).isEqualTo(200);
    assertThat(new Visitor().put(path, Map.of("old", better, "password", "x")).status())
        .isEqualTo(401);
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

  private static Map<String, Object> door(String name, String password) {
    return Map.of("signIn", name, "password", password);
  }

  /** Fifty letters with accents are a hundred bytes; bcrypt by itself reads 72. */
  @Test
  void aLongPasswordIsTakenWhole() {
    Visitor owner = new Visitor();
    Map<String, Object> form = new HashMap<>(owner.household());
    String password = "éàüßøåñçêîôûëïöâäùÿæœðþłžšřčěůýťďňÅØÆÇÑÜÖÄÉÈÊËÎÏÔ";
    form.put("password", password);
    assertThat(owner.post("/api/households", form).status()).isEqualTo(201);
    owner.delete("/api/session");
    String nearly = password.substring(0, 49) + "X";
    assertThat(owner.post("/api/session", door(owner.name(), nearly)).status()).isEqualTo(401);
    assertThat(owner.post("/api/session", door(owner.name(), password)).status()).isEqualTo(200);
  }

  /** Common practice: these head every list of passwords that were guessed. */
  @ParameterizedTest
  @ValueSource(
      strings = {"password", "12345678", "qwertyuiop", "iloveyou", "Password1", "test kitchen"})
  void aPasswordThatEverybodyGuessesIsRefused(String password) {
    Visitor visitor = new Visitor();
    Map<String, Object> form = new HashMap<>(visitor.household());
    form.put("password", password);
    Visitor.Answer no = visitor.post("/api/households", form);
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.fields()).containsExactly("password");
  }

  @Test
  void aPasswordKeptTheOldWayIsKeptAnewAtTheNextSignIn() {
    Visitor owner = Visitor.withHousehold();
    jdbc.update(
        "update account set password_hash = ? where sign_in = ?",
        "{bcrypt}" + new BCryptPasswordEncoder().encode("correct horse"),
        owner.name());
    for (int i = 0; i < 2; i++) {
      assertThat(owner.post("/api/session", door(owner.name(), "correct horse")).status())
          .isEqualTo(200);
      passwordsOf(owner.name()).startsWith("{bcrypt-sha256}");
    }
  }

  private org.assertj.core.api.AbstractStringAssert<?> passwordsOf(String name) {
    return assertThat(
        jdbc.queryForObject(
            "select password_hash from account where sign_in = ?", String.class, name));
  }

  /** Sixty guesses at the same moment are no more than sixty one after another. */
  @Test
  void manyGuessesAtOnceAreCountedOneByOne() throws Exception {
    Visitor owner = Visitor.withHousehold();
    ExecutorService hands = Executors.newFixedThreadPool(20);
    List<Future<Integer>> tries = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      String guess = "guess number " + i;
      tries.add(
          hands.submit(
              () -> new Visitor().post("/api/session", door(owner.name(), guess)).status()));
    }
    Map<Integer, Integer> answers = new HashMap<>();
    for (Future<Integer> one : tries) {
      answers.merge(one.get(), 1, Integer::sum);
    }
    hands.shutdown();
    assertThat(answers).containsEntry(401, 5).containsEntry(429, 55);
    // A stranger who guesses keeps nobody out who has signed in there before.
    assertThat(new Visitor().post("/api/session", door(owner.name(), "correct horse")).status())
        .as("on an unknown device")
        .isEqualTo(429);
    assertThat(owner.post("/api/session", door(owner.name(), "correct horse")).status())
        .as("on the owner's own")
        .isEqualTo(200);
  }

  /** One address that goes through many names is slowed down as well; others are not. */
  @Test
  void guessesFromOneAddressAreCountedTogether() throws Exception {
    List<Integer> answers = new ArrayList<>();
    for (int i = 0; i < TestServer.TRIES_BY_ADDRESS + 1; i++) {
      answers.add(fromAddress("127.0.0.9", "nobody-" + i));
    }
    assertThat(answers.subList(0, TestServer.TRIES_BY_ADDRESS)).containsOnly(401);
    assertThat(answers).last().isEqualTo(429);
    assertThat(fromAddress("127.0.0.10", "nobody-again")).isEqualTo(401);
  }

  private static int fromAddress(String address, String name) throws Exception {
    URI server = URI.create(TestServer.address());
    String body = "{\"signIn\":\"" + name + "\",\"password\":\"whatever it is\"}";
    try (Socket socket = new Socket()) {
      socket.bind(new InetSocketAddress(address, 0));
      socket.connect(new InetSocketAddress("127.0.0.1", server.getPort()));
      socket
          .getOutputStream()
          .write(
              ("POST /api/session HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n"
                      + "Content-Type: application/json\r\nCookie: XSRF-TOKEN=t\r\n"
                      + "X-XSRF-TOKEN: t\r\nContent-Length: "
                      + body.length()
                      + "\r\n\r\n"
                      + body)
                  .getBytes(StandardCharsets.UTF_8));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return Integer.parseInt(answer.substring(9, 12));
    }
  }

  /** What whoever runs the server may know is told on its machine, and through no proxy. */
  @Test
  void theActuatorTellsNoStrangers() throws Exception {
    assertThat(actuator("health", "")).isEqualTo(200);
    assertThat(actuator("health", "X-Forwarded-For: 192.0.2.7\r\n")).isEqualTo(200);
    for (String what : new String[] {"metrics", "sbom", "sbom/application"}) {
      assertThat(actuator(what, "")).as(what).isEqualTo(200);
      assertThat(actuator(what, "X-Forwarded-For: 192.0.2.7\r\n")).as(what).isEqualTo(401);
      assertThat(actuator(what, "Forwarded: for=192.0.2.7\r\n")).as(what).isEqualTo(401);
    }
    assertThat(actuator("env", "")).as("not opened at all").isEqualTo(404);
  }

  private static int actuator(String what, String header) throws Exception {
    URI server = URI.create(TestServer.address());
    try (Socket socket = new Socket("127.0.0.1", server.getPort())) {
      socket
          .getOutputStream()
          .write(
              ("GET /actuator/"
                      + what
                      + " HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n"
                      + header
                      + "\r\n")
                  .getBytes(StandardCharsets.UTF_8));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return Integer.parseInt(answer.substring(9, 12));
    }
  }
}
