package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.PublishedApi.Operation;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Who may do what, operation by operation: what the rules say is held against a list that a person
 * read. A door that is new is a keeper's until it stands in the list otherwise.
 */
class RightsTest {
  private static final Path LIST = Path.of("src/test/resources/rights/least-role.txt");

  /** Not in the published document: files, and what is no JSON. */
  private static final List<String> BESIDE =
      List.of(
          "GET /api/backup.zip",
          "GET /api/tables/batches.csv",
          "POST /api/restore",
          "GET /api/changes",
          "GET /api/bottles.ics",
          "GET /api/waste.csv");

  private static PublishedApi api;
  private static Visitor helper;
  private static Visitor guest;

  private final HttpClient http = HttpClient.newHttpClient();

  @BeforeAll
  static void aHousehold() throws IOException {
    api = PublishedApi.read(new Random(5), List.of(UUID.randomUUID().toString()));
    Visitor keeper = Visitor.withHousehold();
    helper = Housemates.join(keeper, "HELPER", "Hawthorn");
    guest = Housemates.join(keeper, "GUEST", "Gorse");
  }

  private boolean refused(Visitor who, String method, String path, Operation op) throws Exception {
    HttpRequest.Builder request =
        who.signed(
            HttpRequest.newBuilder(
                URI.create(
                    TestServer.address()
                        + path.replaceAll("\\{(index|entry)}", "0")
                            .replaceAll("\\{day}", "2030-03-05")
                            .replaceAll("\\{[^}]*}", UUID.randomUUID().toString()))));
    HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.noBody();
    if (op != null && op.writes() && !op.content().isMissingNode()) {
      request.header("Content-Type", op.content().propertyNames().iterator().next());
      // No form is like this: nothing is done, whoever asks.
      body = HttpRequest.BodyPublishers.ofString("[]");
    }
    HttpResponse<String> answer =
        http.send(request.method(method, body).build(), HttpResponse.BodyHandlers.ofString());
    return answer.statusCode() == 403 && answer.body().contains("not-yours");
  }

  private String least(String method, String path, Operation op) throws Exception {
    if (!refused(guest, method, path, op)) {
      return "GUEST ";
    }
    return refused(helper, method, path, op) ? "KEEPER" : "HELPER";
  }

  @Test
  void whatEachOperationAsksForIsAsItIsWrittenDown() throws Exception {
    List<String> found = new ArrayList<>();
    for (Operation op : api.operations()) {
      // Signing out, leaving and the streams of changes have tests of their own.
      if (!op.path().matches("/api/(session|session/demo|session/devices.*|changes)")
          || !op.writes()) {
        found.add(least(op.method(), op.path(), op) + " " + op.method() + " " + op.path());
      }
    }
    for (String line : BESIDE) {
      String[] parts = line.split(" ");
      if (!line.endsWith("/changes")) {
        found.add(least(parts[0], parts[1], null) + " " + line);
      }
    }
    if (Boolean.getBoolean("dremsa.rights.write")) {
      Files.writeString(LIST, String.join("\n", found.stream().sorted().toList()) + "\n");
    }
    assertThat(found).containsExactlyInAnyOrderElementsOf(Files.readAllLines(LIST));
  }

  @Test
  void aGuestSeesTheBenchAndNothingElse() {
    assertThat(guest.get("/api/batches/running").status()).isEqualTo(200);
    assertThat(guest.get("/api/household").status()).isEqualTo(200);
    for (String path : List.of("/api/bottles", "/api/people", "/api/journal", "/api/today")) {
      Visitor.Answer no = guest.get(path);
      assertThat(no.status()).as(path).isEqualTo(403);
      assertThat(no.text("/type")).endsWith("not-yours");
    }
  }

  @Test
  void aHelperBrewsAndUsesButChangesNoKitchen() {
    assertThat(Kitchenwork.bottled(helper, "lemon-balm-spray", 600)).isNotNull();
    String bottle = helper.get("/api/bottles").text("/bottles/0/id");
    assertThat(
            helper
                .post(
                    "/api/bottles/" + bottle + "/take",
                    java.util.Map.of(
                        "millilitres",
                        20,
                        "version",
                        helper.get("/api/bottles/" + bottle).at("/bottle/version").asLong()))
                .status())
        .isEqualTo(200);
    assertThat(helper.put("/api/kitchen", helper.get("/api/kitchen").body()).status())
        .isEqualTo(403);
    assertThat(helper.file("/api/backup.zip").status()).isEqualTo(403);
    assertThat(helper.get("/api/invitations").status()).isEqualTo(403);
    assertThat(helper.get("/api/audit").status()).isEqualTo(403);
  }
}
