package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;

/**
 * A server opened to a home network: the demo's door is shut, and after the first household no more
 * are made.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DoorsTest {
  private static final String NAME = "dremsa_doors";

  private static ConfigurableApplicationContext app;
  private static String address;

  @BeforeAll
  static void open() throws Exception {
    assertThat(TestServer.address()).isNotEmpty();
    String shared = System.getenv("DREMSA_TEST_DB_URL");
    try (Connection there =
        DriverManager.getConnection(
            shared,
            System.getenv("DREMSA_TEST_DB_USER"),
            System.getenv("DREMSA_TEST_DB_PASSWORD"))) {
      there.createStatement().execute("drop database if exists " + NAME);
      there.createStatement().execute("create database " + NAME + " character set utf8mb4");
    }
    app =
        TurnGuard.lookingAway(
            () ->
                TestServer.on(
                    shared.replaceFirst("/[^/]+$", "/" + NAME),
                    "--dremsa.sign-up=first",
                    "--dremsa.demo=load",
                    "--dremsa.demo-door=false",
                    "--dremsa.hosts=brew.example",
                    "--dremsa.base-address=https://kettle.example:8443"));
    Environment environment = app.getEnvironment();
    address = "http://127.0.0.1:" + environment.getProperty("local.server.port");
  }

  @AfterAll
  static void shut() {
    app.close();
  }

  @Test
  @Order(1)
  void theDemoIsThereButNobodyEntersIt() {
    Visitor stranger = new Visitor(address);
    assertThat(stranger.get("/api/session").at("/demo").asBoolean()).isFalse();
    assertThat(stranger.post("/api/session/demo", Map.of()).status()).isEqualTo(404);
    Map<String, String> published = Map.of("signIn", "sorrel", "password", "allotment-31");
    assertThat(stranger.post("/api/session", published).status()).isEqualTo(401);
  }

  @Test
  @Order(2)
  void theFirstHouseholdIsMadeAndNoOther() {
    Visitor first = new Visitor(address);
    assertThat(first.get("/api/session").at("/signUp").asBoolean())
        .as("the demo counts for nothing")
        .isTrue();
    assertThat(first.post("/api/households", first.household()).status()).isEqualTo(201);
    Visitor second = new Visitor(address);
    assertThat(second.get("/api/session").at("/signUp").asBoolean()).isFalse();
    Visitor.Answer no = second.post("/api/households", second.household());
    assertThat(no.status()).isEqualTo(403);
    assertThat(no.text("/type")).endsWith("sign-up-closed");
    // An invitation is the way in.
    Visitor.Answer invited = first.post("/api/invitations", Map.of("role", "HELPER", "hours", 1));
    assertThat(invited.text("/link")).startsWith("https://kettle.example:8443/join#");
    assertThat(invited.at("/reachable").asBoolean()).isTrue();
    assertThat(
            second
                .post(
                    "/api/joining",
                    Housemates.form(invited.text("/code"), "Second", Housemates.newName()))
                .status())
        .isEqualTo(201);
  }

  private static int asked(String host) throws Exception {
    URI server = URI.create(address);
    try (Socket socket = new Socket("127.0.0.1", server.getPort())) {
      socket
          .getOutputStream()
          .write(
              ("GET /api/session HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return Integer.parseInt(answer.substring(9, 12));
    }
  }

  /** A page whose own name was made to lead to this machine speaks under that name. */
  @ParameterizedTest
  @ValueSource(strings = {"evil.example", "evil.example:8080", "127.0.0.1.evil.example", "brew"})
  void aNameThatIsNotOursIsRefused(String host) throws Exception {
    assertThat(asked(host)).isEqualTo(400);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "localhost",
        "127.0.0.1:8080",
        "192.168.1.20",
        "[::1]:8080",
        "brew.example",
        "BREW.example",
        "kettle.example:8443"
      })
  void ourNamesAndAddressesAreAnswered(String host) throws Exception {
    assertThat(asked(host)).isEqualTo(200);
  }

  /** On this machine's own address nobody else can follow it; the page says so. */
  @Test
  void itIsSaidWhetherAPhoneCanReachTheLink() {
    Visitor keeper = Visitor.withHousehold();
    Visitor.Answer made = keeper.post("/api/invitations", Map.of("role", "GUEST", "hours", 1));
    assertThat(made.text("/link")).isEqualTo(TestServer.address() + "/join#" + made.text("/code"));
    assertThat(made.at("/reachable").asBoolean()).isFalse();
  }

  /** What the picture holds is what a phone's camera reads out of it. */
  @Test
  void theCodesPictureReadsAsItsLink() throws Exception {
    Visitor keeper = Visitor.withHousehold();
    Visitor.Answer made = keeper.post("/api/invitations", Map.of("role", "GUEST", "hours", 1));
    assertThat(Qr.read(made.at("/size").asInt(), made.text("/path"))).isEqualTo(made.text("/link"));
  }
}
