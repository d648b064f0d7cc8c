package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.server.PublishedApi.Operation;
import dremsa.server.accounts.Turns;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** Every operation of the published document, asked by those who have no business with it. */
class StrangersTest {
  private static final String OPEN =
      "/api/(session|session/demo|session/recovery|session/passkey|session/passkey/options|households|joining|joining/look)";

  private static Visitor victim;
  private static byte[] theirs;
  private static List<String> ids;
  private static PublishedApi api;

  private final HttpClient http = HttpClient.newHttpClient();

  /** The body of the last request. */
  private String sent = "";

  @BeforeAll
  static void somebodysHousehold() throws Exception {
    victim = Visitor.withHousehold();
    theirs = Parcel.lived(victim);
    ids = Parcel.of(theirs).ids();
    api = PublishedApi.read(new Random(3), ids);
  }

  private HttpResponse<String> ask(HttpRequest.Builder request, Operation op) throws Exception {
    HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.noBody();
    sent = "";
    if (op.writes() && !op.content().isMissingNode()) {
      String type = op.content().propertyNames().iterator().next();
      request.header("Content-Type", type);
      sent = api.example(op.content().get(type).get("schema")).toString();
      body = HttpRequest.BodyPublishers.ofString(sent);
    }
    return http.send(
        request.method(op.method(), body).build(), HttpResponse.BodyHandlers.ofString());
  }

  private static URI at(String path) {
    return URI.create(TestServer.address() + path);
  }

  private static String filled(String path, String id) {
    return path.replaceAll("\\{(index|entry)}", "0")
        .replaceAll("\\{[^}]*}", Matcher.quoteReplacement(id));
  }

  @Test
  void nobodyIsLetInWithoutASession() throws Exception {
    List<String> let = new ArrayList<>();
    for (Operation op : api.operations()) {
      if (!op.path().matches(OPEN)) {
        // With a token of its own making: it is the session that is missing.
        HttpRequest.Builder request =
            HttpRequest.newBuilder(at(filled(op.path(), ids.get(0))))
                .header("Cookie", "XSRF-TOKEN=mine; DREMSA=nothing")
                .header("X-XSRF-TOKEN", "mine");
        if (ask(request, op).statusCode() != 401) {
          let.add(op.method() + " " + op.path());
        }
      }
    }
    assertThat(let).isEmpty();
  }

  @Test
  void nothingIsWrittenWithoutTheTokenOfThePage() throws Exception {
    List<String> let = new ArrayList<>();
    for (Operation op : api.operations()) {
      if (op.writes()) {
        String cookies =
            victim
                .signed(HttpRequest.newBuilder(at("/")))
                .build()
                .headers()
                .firstValue("Cookie")
                .orElseThrow();
        for (String token : List.of("", "somebody-elses")) {
          HttpRequest.Builder request =
              HttpRequest.newBuilder(at(filled(op.path(), ids.get(0)))).header("Cookie", cookies);
          if (!token.isEmpty()) {
            request.header("X-XSRF-TOKEN", token);
          }
          if (ask(request, op).statusCode() != 403) {
            let.add(op.method() + " " + op.path());
          }
        }
      }
    }
    assertThat(let).isEmpty();
    assertThat(told(victim)).as("nothing was changed").isEqualTo(told(theirs));
  }

  @Test
  void anotherHouseholdReachesNothing() throws Exception {
    Visitor stranger = Visitor.withHousehold();
    List<String> reached = new ArrayList<>();
    int asked = 0;
    for (Operation op : api.operations()) {
      boolean byId = op.path().contains("{");
      if (op.path().matches(OPEN) || op.path().contains("{material}")) {
        continue;
      }
      for (String id : byId ? ids : List.of("")) {
        HttpResponse<String> answer =
            ask(stranger.signed(HttpRequest.newBuilder(at(filled(op.path(), id)))), op);
        asked++;
        boolean mine = op.path().startsWith("/api/materials/") && op.writes();
        boolean found = byId && answer.statusCode() < 400 && !mine;
        // What the stranger wrote itself may be said again.
        boolean tells =
            answer.statusCode() < 400
                && ids.stream()
                    .filter(i -> !id.equals(i) && !sent.contains(i))
                    .anyMatch(answer.body()::contains);
        if (found || tells || answer.body().contains("green \\\"hay")) {
          reached.add(op.method() + " " + op.path() + " " + id + " " + answer.statusCode());
        }
      }
    }
    assertThat(reached).isEmpty();
    assertThat(asked).isGreaterThan(400);
    assertThat(told(victim)).as("nothing was changed").isEqualTo(told(theirs));
  }

  /** Whatever a program gets wrong: the database itself keeps households apart. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "batch_step",
        "batch_tap",
        "batch_entry",
        "batch_photo",
        "formula_version",
        "bottle",
        "bottle_event",
        "happening",
        "lot_happening",
        "leftover"
      })
  void noRowHangsBelowAnotherHousehold(String table) {
    JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
    List<UUID> households =
        List.of(victim, Visitor.withHousehold()).stream()
            .map(
                visitor ->
                    UUID.fromString(
                        jdbc.queryForObject(
                            "select household_id from account where sign_in = ?",
                            String.class,
                            visitor.name())))
            .toList();
    assertThatThrownBy(
            () ->
                TestServer.bean(Turns.class)
                    .take(
                        households.get(0),
                        () -> {
                          jdbc.update(
                              "update "
                                  + table
                                  + " set household_id = ? where household_id = ? limit 1",
                              households.get(1).toString(),
                              households.get(0).toString());
                        }))
        .isInstanceOf(DataIntegrityViolationException.class);
  }

  private static String told(Visitor visitor) throws Exception {
    return told(visitor.file("/api/backup.zip").bytes());
  }

  /** All rows but those that time goes on in. */
  private static String told(byte[] backup) throws Exception {
    Parcel parcel = Parcel.of(backup);
    return List.of(
            "batch",
            "batch_step",
            "batch_entry",
            "bottle",
            "bottle_event",
            "lot",
            "formula",
            "container_set",
            "leftover",
            "fridge_event",
            "happening",
            "kitchen")
        .stream()
        .map(table -> parcel.text("tables/" + table + ".ndjson"))
        .reduce("", String::concat);
  }
}
