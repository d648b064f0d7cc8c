package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.security.GeneralSecurityException;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Coming in with what a device holds, on the name that it was made for and nowhere else. */
class PasskeysTest {
  private static final String MINE = "/api/session/passkeys";
  private static final String DOOR = "/api/session/passkey";
  private static final String OPTIONS = "/options";
  private static final Map<String, Object> PASSWORD = Map.of("password", "correct horse");

  private final String origin = TestServer.address().replace("127.0.0.1", "localhost");
  private final Visitor maker = new Visitor(origin);
  private SoftPasskey device;

  /** Many come from the one address of all tests, and here many are refused. */
  @BeforeEach
  @AfterEach
  void nobodyTriedYet() {
    TestServer.bean(JdbcTemplate.class).update("delete from sign_in_try");
  }

  @BeforeEach
  void aHouseholdAndADevice() throws GeneralSecurityException {
    assertThat(maker.post("/api/households", maker.household()).status()).isEqualTo(201);
    device = new SoftPasskey(origin, "localhost");
  }

  private Visitor.Answer make() {
    return maker.post(MINE, device.made(maker.post(MINE + OPTIONS, PASSWORD)));
  }

  private Visitor.Answer comeIn(Visitor stranger) throws GeneralSecurityException {
    return stranger.post(DOOR, device.answer(stranger.post(DOOR + OPTIONS, Map.of())));
  }

  @Test
  void aPasskeyOpensTheDoorWithoutAName() throws GeneralSecurityException {
    assertThat(maker.get(MINE).body()).isEmpty();
    Visitor.Answer made = make();
    assertThat(made.status()).isEqualTo(201);
    assertThat(made.text("/0/label")).contains("localhost");

    Visitor elsewhere = new Visitor(origin);
    assertThat(comeIn(elsewhere).status()).isEqualTo(204);
    assertThat(elsewhere.get("/api/session").text("/signIn")).isEqualTo(maker.name());
    assertThat(elsewhere.get("/api/session").text("/role")).isEqualTo("KEEPER");
    assertThat(maker.get("/api/session/devices").body()).hasSize(2);
    assertThat(maker.get("/api/audit").body().toString())
        .contains("PASSKEY_ADDED", "with a passkey");
    // And again, as a device counts its uses.
    assertThat(comeIn(new Visitor(origin)).status()).isEqualTo(204);
  }

  @Test
  void whoeverMakesOneHasToKnowThePassword() {
    Visitor.Answer no = maker.post(MINE + OPTIONS, Map.of("password", "a guess"));
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.fields()).containsExactly("password");
    assertThat(new Visitor(origin).post(MINE + OPTIONS, PASSWORD).status()).isEqualTo(401);
  }

  @Test
  void anAnswerIsGoodOnceAndOnlyToWhatWasAsked() throws GeneralSecurityException {
    Visitor.Answer asked = maker.post(MINE + OPTIONS, PASSWORD);
    assertThat(asked.text("/user/name")).as("shown on the device").isEqualTo(maker.name());
    Map<String, Object> made = device.made(asked);
    assertThat(maker.post(MINE, made).status()).isEqualTo(201);
    assertThat(maker.post(MINE, made).status()).as("said again").isEqualTo(409);
    maker.post(MINE + OPTIONS, PASSWORD);
    assertThat(maker.post(MINE, made).status()).as("to another question").isEqualTo(400);

    Visitor stranger = new Visitor(origin);
    Map<String, Object> answer = device.answer(stranger.post(DOOR + OPTIONS, Map.of()));
    assertThat(new Visitor(origin).post(DOOR, answer).status())
        .as("overheard, where nothing was asked")
        .isEqualTo(401);
    assertThat(stranger.post(DOOR, answer).status()).isEqualTo(204);
    assertThat(new Visitor(origin).post(DOOR, answer).status()).as("said again").isEqualTo(401);
  }

  @Test
  void aPageElsewhereCannotPassAnAnswerOn() throws GeneralSecurityException {
    device = new SoftPasskey("https://dremsa.example", "localhost");
    assertThat(make().status()).isEqualTo(400);
    device = new SoftPasskey(origin, "dremsa.example");
    assertThat(make().status()).isEqualTo(400);
    assertThat(maker.get(MINE).body()).isEmpty();
  }

  /** It stands for a password: lying about, it must not open anything. */
  @Test
  void theDeviceHasToAskItsOwner() throws GeneralSecurityException {
    assertThat(make().status()).isEqualTo(201);
    device.asksNobody();
    assertThat(comeIn(new Visitor(origin)).status()).isEqualTo(401);
  }

  @Test
  void takenAwayItOpensNothing() throws GeneralSecurityException {
    String id = make().text("/0/id");
    Visitor other = new Visitor(origin);
    assertThat(other.post("/api/households", other.household()).status()).isEqualTo(201);
    assertThat(other.delete(MINE + "/" + id).status()).as("somebody else's").isEqualTo(404);
    assertThat(maker.delete(MINE + "/" + id).status()).isEqualTo(204);
    assertThat(comeIn(new Visitor(origin)).status()).isEqualTo(401);
  }

  @Test
  void itGoesWithItsOwner() throws GeneralSecurityException {
    Visitor.Answer made = make();
    assertThat(made.status()).isEqualTo(201);
    assertThat(maker.post("/api/household/end", PASSWORD).status()).isEqualTo(204);
    assertThat(comeIn(new Visitor(origin)).status()).isEqualTo(401);
    assertThat(
            TestServer.bean(JdbcTemplate.class)
                .queryForList(
                    "select 1 from user_credentials where credential_id = ?", made.text("/0/id")))
        .isEmpty();
  }

  @Test
  void nonsenseIsRefusedInWords() {
    Visitor stranger = new Visitor(origin);
    assertThat(stranger.post(DOOR, Map.of()).fields()).containsExactly("credential");
    stranger.post(DOOR + OPTIONS, Map.of());
    Visitor.Answer no = stranger.post(DOOR, Map.of("credential", Map.of("id", "!", "type", 3)));
    assertThat(no.status()).isEqualTo(401);
    assertThat(no.text("/detail")).contains("not known here");
    maker.post(MINE + OPTIONS, PASSWORD);
    assertThat(maker.post(MINE, Map.of("credential", Map.of("rawId", "AA"))).status())
        .isEqualTo(400);
  }
}
