package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Several people in one household: invited, working side by side, taken away. */
class MembersTest {
  private final Visitor keeper = Visitor.withHousehold();
  private final JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);

  private static Map<String, Object> door(String name, String password) {
    return Map.of("signIn", name, "password", password);
  }

  @Test
  void whoIsInvitedComesInUnderANameOfTheirOwn() {
    String code = Housemates.invited(keeper, "HELPER");
    Visitor second = new Visitor();
    Visitor.Answer seen = second.post("/api/joining/look", Map.of("code", code));
    assertThat(seen.text("/household")).isEqualTo("Test kitchen");
    assertThat(seen.text("/by")).isEqualTo(keeper.name());
    assertThat(seen.text("/role")).isEqualTo("HELPER");
    assertThat(second.get("/api/session").at("/signIn").isNull()).as("nobody yet").isTrue();

    String name = Housemates.newName();
    assertThat(second.post("/api/joining", Housemates.form(code, "Juniper", name)).status())
        .isEqualTo(201);
    assertThat(second.get("/api/session").text("/called")).isEqualTo("Juniper");
    assertThat(second.get("/api/session").text("/role")).isEqualTo("HELPER");
    assertThat(second.get("/api/household").text("/name")).isEqualTo("Test kitchen");
    assertThat(keeper.get("/api/members").body())
        .extracting(one -> one.get("called").asString() + " " + one.get("me").asBoolean())
        .containsExactlyInAnyOrder("Juniper false", keeper.name() + " true");
    // And again, on another day.
    assertThat(new Visitor().post("/api/session", door(name, Housemates.PASSWORD)).status())
        .isEqualTo(200);
  }

  /** Read aloud or written off a note, a code is typed as people type. */
  @Test
  void aCodeIsKnownHoweverItIsTyped() {
    String code = Housemates.invited(keeper, "GUEST");
    assertThat(code).matches("[A-Z2-7]{4}-[A-Z2-7]{4}-[A-Z2-7]{4}");
    for (String typed :
        List.of(
            code.toLowerCase(),
            " " + code.replace("-", " ") + " ",
            code.replace("-", ""),
            code.replace('O', '0').replace('I', '1').replace('B', '8'))) {
      assertThat(new Visitor().post("/api/joining/look", Map.of("code", typed)).status())
          .as(typed)
          .isEqualTo(200);
    }
  }

  @Test
  void codesAreKeptOnlyAsHashesAndNoTwoAreAlike() {
    Set<String> codes = new HashSet<>();
    for (int i = 0; i < 15; i++) {
      codes.add(Housemates.invited(keeper, "GUEST"));
    }
    assertThat(codes).hasSize(15);
    List<String> kept = jdbc.queryForList("select code_hash from invitation", String.class);
    assertThat(kept).allMatch(hash -> hash.matches("[0-9a-f]{64}"));
    assertThat(keeper.get("/api/invitations").body().toString())
        .doesNotContain(codes.iterator().next());
  }

  @Test
  void aCodeLetsOneInAndIsUsedUp() {
    String code = Housemates.invited(keeper, "HELPER");
    assertThat(
            new Visitor()
                .post("/api/joining", Housemates.form(code, "First", Housemates.newName()))
                .status())
        .isEqualTo(201);
    Visitor.Answer no =
        new Visitor().post("/api/joining", Housemates.form(code, "Second", Housemates.newName()));
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.fields()).containsExactly("code");
    assertThat(keeper.get("/api/invitations").body()).isEmpty();
  }

  @Test
  void ofTwoAtOnceWithOneCodeOneIsLetIn() throws Exception {
    String code = Housemates.invited(keeper, "HELPER");
    ExecutorService hands = Executors.newFixedThreadPool(4);
    List<Future<Integer>> tries =
        java.util.stream.IntStream.range(0, 4)
            .mapToObj(
                i ->
                    hands.submit(
                        () ->
                            new Visitor()
                                .post(
                                    "/api/joining",
                                    Housemates.form(code, "Twin " + i, Housemates.newName()))
                                .status()))
            .toList();
    Map<Integer, Integer> answers = new HashMap<>();
    for (Future<Integer> one : tries) {
      answers.merge(one.get(), 1, Integer::sum);
    }
    hands.shutdown();
    assertThat(answers).containsEntry(201, 1).containsEntry(400, 3);
    assertThat(keeper.get("/api/members").body()).hasSize(2);
  }

  @Test
  void anInvitationRunsOutAndIsTakenBack() {
    String runsOut = Housemates.invited(keeper, "HELPER");
    keeper.moveClock(24 * 3600 - 60);
    assertThat(new Visitor().post("/api/joining/look", Map.of("code", runsOut)).status())
        .as("a minute before")
        .isEqualTo(200);
    keeper.moveClock(61);
    assertThat(new Visitor().post("/api/joining/look", Map.of("code", runsOut)).fields())
        .containsExactly("code");
    assertThat(keeper.get("/api/invitations").body()).isEmpty();

    String back = Housemates.invited(keeper, "GUEST");
    String id = keeper.get("/api/invitations").text("/0/id");
    assertThat(keeper.delete("/api/invitations/" + id).status()).isEqualTo(200);
    assertThat(new Visitor().post("/api/joining/look", Map.of("code", back)).status())
        .isEqualTo(400);
    assertThat(keeper.delete("/api/invitations/" + id).status()).isEqualTo(404);
    assertThat(Visitor.withHousehold().delete("/api/invitations/" + id).status()).isEqualTo(404);
  }

  @Test
  void nobodyInvitesWithoutEnd() {
    for (int i = 0; i < 20; i++) {
      Housemates.invited(keeper, "GUEST");
    }
    assertThat(keeper.post("/api/invitations", Map.of("role", "GUEST", "hours", 24)).status())
        .isEqualTo(409);
  }

  @ParameterizedTest
  @CsvSource({"0, hours", "337, hours"})
  void howLongAnInvitationIsGoodForHasEnds(int hours, String field) {
    assertThat(keeper.post("/api/invitations", Map.of("role", "GUEST", "hours", hours)).fields())
        .containsExactly(field);
  }

  @Test
  void aNameThatSomebodyHasIsRefusedAtItsField() {
    String code = Housemates.invited(keeper, "HELPER");
    Map<String, Object> taken =
        new HashMap<>(Housemates.form(code, keeper.name().toUpperCase(), Housemates.newName()));
    assertThat(new Visitor().post("/api/joining", taken).fields()).containsExactly("called");
    taken.putAll(Housemates.form(code, "Other", keeper.name()));
    assertThat(new Visitor().post("/api/joining", taken).fields()).containsExactly("signIn");
    taken.putAll(Housemates.form(code, "Other", Housemates.newName()));
    taken.put("password", "password1");
    assertThat(new Visitor().post("/api/joining", taken).fields()).containsExactly("password");
    taken.put("password", Housemates.PASSWORD);
    assertThat(new Visitor().post("/api/joining", taken).status())
        .as("the code was not used up by what was refused")
        .isEqualTo(201);
  }

  @Test
  void whatSomebodyMayDoHoldsFromTheirNextRequestOn() {
    Visitor second = Housemates.join(keeper, "HELPER", "Rowan");
    String id = Housemates.id(keeper, "Rowan");
    assertThat(second.get("/api/bottles").status()).isEqualTo(200);
    assertThat(keeper.put("/api/members/" + id, Map.of("role", "GUEST")).status()).isEqualTo(200);
    assertThat(second.get("/api/bottles").status()).isEqualTo(403);
    assertThat(second.get("/api/session").text("/role")).isEqualTo("GUEST");
    assertThat(second.put("/api/members/" + id, Map.of("role", "KEEPER")).status())
        .as("nobody lets themself do more")
        .isEqualTo(403);
    keeper.put("/api/members/" + id, Map.of("role", "KEEPER"));
    assertThat(second.get("/api/invitations").status()).isEqualTo(200);
    assertThat(Visitor.withHousehold().put("/api/members/" + id, Map.of("role", "GUEST")).status())
        .as("from another household")
        .isEqualTo(404);
  }

  @Test
  void whoIsTakenAwayIsOutAtOnceOnAllDevices() {
    String code = Housemates.invited(keeper, "HELPER");
    String name = Housemates.newName();
    Visitor phone = new Visitor();
    phone.post("/api/joining", Housemates.form(code, "Sloe", name));
    Visitor laptop = new Visitor();
    laptop.post("/api/session", door(name, Housemates.PASSWORD));
    assertThat(laptop.get("/api/bottles").status()).isEqualTo(200);
    String id = Housemates.id(keeper, "Sloe");
    assertThat(keeper.delete("/api/members/" + id).body()).hasSize(1);
    for (Visitor device : List.of(phone, laptop)) {
      assertThat(device.get("/api/bottles").status()).isEqualTo(401);
      assertThat(device.get("/api/session").at("/signIn").isNull()).isTrue();
    }
    assertThat(new Visitor().post("/api/session", door(name, Housemates.PASSWORD)).status())
        .isEqualTo(401);
    assertThat(keeper.delete("/api/members/" + id).status()).isEqualTo(404);
  }

  /** A session that outlived its account opens nothing, whatever went wrong. */
  @Test
  void aSessionWithoutAnAccountIsNone() {
    Visitor second = Housemates.join(keeper, "KEEPER", "Bramble");
    String id = Housemates.id(keeper, "Bramble");
    jdbc.update("delete from account where id = ?", id);
    assertThat(second.get("/api/bottles").status()).isEqualTo(401);
  }

  @Test
  void aSessionEndsForGoodAfterHalfAYear() {
    String id = Housemates.id(keeper, keeper.name());
    assertThat(keeper.get("/api/bottles").status()).isEqualTo(200);
    jdbc.update(
        "update SPRING_SESSION set CREATION_TIME = CREATION_TIME - ? where PRINCIPAL_NAME = ?",
        java.time.Duration.ofDays(181).toMillis(),
        id);
    assertThat(keeper.get("/api/bottles").status()).isEqualTo(401);
  }

  @Test
  void aHouseholdIsNeverWithoutAKeeper() {
    String own = Housemates.id(keeper, keeper.name());
    assertThat(keeper.put("/api/members/" + own, Map.of("role", "HELPER")).status()).isEqualTo(409);
    Map<String, String> proof = Map.of("password", "correct horse");
    assertThat(keeper.post("/api/members/me/leave", proof).status()).isEqualTo(409);
    assertThat(keeper.delete("/api/members/" + own).status()).isEqualTo(409);
    Housemates.join(keeper, "KEEPER", "Elder");
    assertThat(keeper.put("/api/members/" + own, Map.of("role", "HELPER")).status()).isEqualTo(200);
  }

  @Test
  void theRecordSaysWhoDidWhat() {
    Visitor helper = Housemates.join(keeper, "HELPER", "Yarrow");
    Kitchenwork.bottled(helper, "lemon-balm-spray", 600);
    String bottle = keeper.get("/api/bottles").text("/bottles/0/id");
    keeper.post(
        "/api/bottles/" + bottle + "/take",
        Map.of(
            "millilitres",
            20,
            "version",
            keeper.get("/api/bottles/" + bottle).at("/bottle/version").asLong()));
    assertThat(by(keeper.get("/api/history").at("/lines"), "TAKEN")).containsOnly(keeper.name());
    assertThat(by(keeper.get("/api/history").at("/lines"), "BOTTLED")).containsOnly("Yarrow");
    assertThat(by(keeper.get("/api/bottles/" + bottle).at("/happenings"), "TAKEN"))
        .containsOnly(keeper.name());

    // Who deletes themself is named nowhere any more; what they did stays.
    assertThat(helper.post("/api/members/me/leave", Map.of("password", "not this one")).fields())
        .containsExactly("password");
    assertThat(
            helper.post("/api/members/me/leave", Map.of("password", Housemates.PASSWORD)).status())
        .isEqualTo(204);
    assertThat(helper.get("/api/bottles").status()).isEqualTo(401);
    JsonNode lines = keeper.get("/api/history").at("/lines");
    assertThat(by(lines, "BOTTLED")).containsOnly("null");
    assertThat(by(lines, "TAKEN")).containsOnly(keeper.name());
  }

  private static List<String> by(JsonNode lines, String kind) {
    return lines
        .valueStream()
        .filter(line -> line.get("kind").asString().equals(kind))
        .map(line -> line.get("doneBy").asString("null"))
        .toList();
  }

  @Test
  void somebodyIsCalledSomethingElse() {
    Housemates.join(keeper, "HELPER", "Mallow");
    assertThat(keeper.put("/api/members/me", Map.of("called", "Mallow")).fields())
        .containsExactly("called");
    assertThat(keeper.put("/api/members/me", Map.of("called", " ")).fields())
        .containsExactly("called");
    assertThat(keeper.put("/api/members/me", Map.of("called", " Alder ")).status()).isEqualTo(200);
    assertThat(keeper.get("/api/session").text("/called")).isEqualTo("Alder");
  }

  @Test
  void devicesAreListedAndSignedOut() {
    Visitor phone = new Visitor();
    phone.post("/api/session", door(keeper.name(), "correct horse"));
    Visitor.Answer listed = keeper.get("/api/session/devices");
    assertThat(listed.body()).hasSize(2);
    assertThat(listed.body()).filteredOn(d -> d.get("here").asBoolean()).hasSize(1);
    String sessions = jdbc.queryForList("select SESSION_ID from SPRING_SESSION", String.class) + "";
    assertThat(listed.body()).allMatch(d -> !sessions.contains(d.get("id").asString()));
    String other =
        listed
            .body()
            .valueStream()
            .filter(d -> !d.get("here").asBoolean())
            .findFirst()
            .orElseThrow()
            .get("id")
            .asString();
    assertThat(Visitor.withHousehold().delete("/api/session/devices/" + other).status())
        .as("somebody else's device")
        .isEqualTo(404);
    assertThat(keeper.delete("/api/session/devices/" + other).status()).isEqualTo(204);
    assertThat(phone.get("/api/bottles").status()).isEqualTo(401);
    assertThat(keeper.get("/api/bottles").status()).isEqualTo(200);

    phone.post("/api/session", door(keeper.name(), "correct horse"));
    assertThat(keeper.delete("/api/session/devices").status()).isEqualTo(204);
    assertThat(phone.get("/api/bottles").status()).isEqualTo(401);
    assertThat(keeper.get("/api/session/devices").body()).hasSize(1);
  }

  @Test
  void aForgottenPasswordIsReplacedWithACodeFromPaper() {
    assertThat(keeper.get("/api/session/recovery-codes").at("/left").asInt()).isZero();
    assertThat(keeper.post("/api/session/recovery-codes", Map.of("password", "wrong")).fields())
        .containsExactly("password");
    Visitor.Answer made =
        keeper.post("/api/session/recovery-codes", Map.of("password", "correct horse"));
    List<String> codes = made.at("/codes").valueStream().map(code -> code.asString()).toList();
    assertThat(codes).hasSize(8).doesNotHaveDuplicates();
    Visitor elsewhere = new Visitor();
    Map<String, Object> form = new HashMap<>();
    form.put("signIn", keeper.name());
    form.put("code", "AAAA-BBBB-CCCC");
    form.put("password", "kettle violet thursday");
    assertThat(elsewhere.post("/api/session/recovery", form).fields()).containsExactly("code");
    form.put("code", codes.get(3).toLowerCase());
    form.put("password", "12345678");
    assertThat(elsewhere.post("/api/session/recovery", form).fields())
        .as("the code is not used up by a bad password")
        .containsExactly("password");
    form.put("password", "kettle violet thursday");
    assertThat(elsewhere.post("/api/session/recovery", form).status()).isEqualTo(204);
    assertThat(elsewhere.get("/api/household").status()).isEqualTo(200);
    assertThat(keeper.get("/api/household").status()).as("signed out elsewhere").isEqualTo(401);
    assertThat(elsewhere.get("/api/session/recovery-codes").at("/left").asInt()).isEqualTo(7);
    assertThat(new Visitor().post("/api/session/recovery", form).fields())
        .as("each is good for once")
        .containsExactly("code");
    assertThat(
            new Visitor()
                .post("/api/session", door(keeper.name(), "kettle violet thursday"))
                .status())
        .isEqualTo(200);
  }

  @Test
  void newCodesMakeTheOldOnesWorthless() {
    String old =
        keeper
            .post("/api/session/recovery-codes", Map.of("password", "correct horse"))
            .text("/codes/0");
    keeper.post("/api/session/recovery-codes", Map.of("password", "correct horse"));
    Map<String, Object> form =
        Map.of("signIn", keeper.name(), "code", old, "password", "kettle violet thursday");
    assertThat(new Visitor().post("/api/session/recovery", form).fields()).containsExactly("code");
  }

  @Test
  void aHouseholdIsDeletedByAKeeperWhoProvesIt() {
    Visitor helper = Housemates.join(keeper, "HELPER", "Teasel");
    Map<String, String> proof = Map.of("password", "correct horse");
    assertThat(helper.post("/api/household/end", Map.of("password", Housemates.PASSWORD)).status())
        .isEqualTo(403);
    assertThat(keeper.post("/api/household/end", Map.of("password", "wrong")).fields())
        .containsExactly("password");
    assertThat(keeper.get("/api/household").status()).as("still there").isEqualTo(200);
    String household =
        jdbc.queryForObject(
            "select household_id from account where sign_in = ?", String.class, keeper.name());
    assertThat(keeper.post("/api/household/end", proof).status()).isEqualTo(204);
    assertThat(keeper.get("/api/household").status()).isEqualTo(401);
    assertThat(helper.get("/api/household").status()).isEqualTo(401);
    List<String> tables =
        jdbc.queryForList(
            "select c.table_name from information_schema.columns c join information_schema.tables t"
                + " using (table_schema, table_name) where c.table_schema = database()"
                + " and c.column_name = 'household_id' and t.table_type = 'BASE TABLE'"
                + " and c.table_name <> 'audit'",
            String.class);
    assertThat(tables).hasSizeGreaterThan(30);
    for (String table : tables) {
      assertThat(
              jdbc.queryForObject(
                  "select count(*) from " + table + " where household_id = ?",
                  Long.class,
                  household))
          .as(table)
          .isZero();
    }
    assertThat(
            jdbc.queryForList(
                "select what from audit where household_id = ?", String.class, household))
        .as("the record outlives it")
        .contains("HOUSEHOLD_MADE", "INVITED", "JOINED", "HOUSEHOLD_DELETED");
  }

  @Test
  void keepersReadWhoCameIn() {
    new Visitor().post("/api/session", door(keeper.name(), "wrong"));
    new Visitor().post("/api/session", door(keeper.name(), "correct horse"));
    Housemates.join(keeper, "GUEST", "Campion");
    List<String> lines =
        keeper
            .get("/api/audit")
            .body()
            .valueStream()
            .map(line -> line.get("what").asString())
            .toList();
    assertThat(lines)
        .containsExactly("JOINED", "INVITED", "SIGNED_IN", "WRONG_PASSWORD", "HOUSEHOLD_MADE");
    long last = keeper.get("/api/audit").at("/4/id").asLong();
    assertThat(keeper.get("/api/audit?before=" + last).body()).isEmpty();
    assertThat(keeper.get("/api/audit").text("/1/about")).isEqualTo("as guest");
    assertThat(Visitor.withHousehold().get("/api/audit").body())
        .as("another household's")
        .hasSize(1);
  }
}
