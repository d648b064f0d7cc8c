package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.server.PublishedApi.Operation;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Requests that are wrong in a random way, to every operation of the published document: each is
 * answered with its reason, none with a failure of the server's own.
 */
class MalformedTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int REQUESTS = Integer.getInteger("dremsa.malformed", 1500);

  private static final List<String> NODES =
      List.of(
          "null",
          "1e999",
          "-1e999",
          "1e-9",
          "-1",
          "0",
          "9e15",
          "99999999999999999999",
          "true",
          "\"\"",
          "\"NaN\"",
          "\"Infinity\"",
          "\"\\u0000\"",
          "\"x\"",
          "[]",
          "[null]",
          "{}",
          "{\"a\":null}",
          "\"2030-02-30\"",
          "\"-999999999-01-01T00:00:00Z\"",
          "\"+999999999-12-31\"",
          "\"00000000-0000-0000-0000-000000000000\"",
          "[[[[[[[[[]]]]]]]]]");
  private static final List<String> TYPES =
      List.of(
          "*/*",
          "application/*",
          "multipart/form-data",
          "multipart/form-data; boundary=",
          "text/plain",
          "application/json;charset=utf-99",
          "application/json;;",
          "json",
          ";",
          "image/jpeg",
          "text/csv",
          "application/zip",
          "application/x-www-form-urlencoded",
          "image/*");
  private static final List<byte[]> BODIES =
      List.of(
          "".getBytes(StandardCharsets.UTF_8),
          "{".getBytes(StandardCharsets.UTF_8),
          "null".getBytes(StandardCharsets.UTF_8),
          "[]".getBytes(StandardCharsets.UTF_8),
          "NaN".getBytes(StandardCharsets.UTF_8),
          "\"x\"".getBytes(StandardCharsets.UTF_8),
          "{\"a\":1}{\"b\":2}".getBytes(StandardCharsets.UTF_8),
          new byte[] {(byte) 0xff, (byte) 0xfe, 0x7b},
          new byte[] {(byte) 0xef, (byte) 0xbb, (byte) 0xbf, 0x7b, 0x7d},
          ("[".repeat(3000)).getBytes(StandardCharsets.UTF_8));
  private static final List<String> WORDS =
      List.of(
          "NaN",
          "Infinity",
          "-1",
          "1e999",
          "99999999999999999999",
          "",
          "%00",
          "..%2F..",
          "x".repeat(300),
          "00000000-0000-0000-0000-000000000000",
          "%F0%9F%8C%BF",
          "1%20or%201",
          "-0",
          "%FF%FE",
          "2147483648");

  private static Visitor owner;
  private static PublishedApi api;
  private static List<String> ids;

  private final Random dice = new Random(29);
  private final HttpClient http = HttpClient.newHttpClient();

  @BeforeAll
  static void aHouseholdWithSomethingOfEverything() throws Exception {
    owner = Visitor.withHousehold();
    byte[] file = Parcel.lived(owner);
    ids = Parcel.of(file).ids();
    api = PublishedApi.read(new Random(30), ids);
  }

  @Test
  void noneIsAFailureOfOurs() throws Exception {
    List<Operation> operations =
        // What signs out would end the test, and households are made enough elsewhere.
        api.operations().stream()
            .filter(op -> !op.path().matches("/api/(session.*|households|restore)"))
            .toList();
    assertThat(operations).hasSizeGreaterThan(90);
    Map<String, Integer> failures = new TreeMap<>();
    Map<Integer, Integer> answers = new TreeMap<>();
    for (int i = 0; i < REQUESTS; i++) {
      Operation op = operations.get(i % operations.size());
      HttpRequest request = request(op);
      HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
      answers.merge(answer.statusCode() / 100, 1, Integer::sum);
      // A device that does not answer is no failure of ours, told in whatever form was asked for.
      boolean device =
          answer.statusCode() == 503 && op.path().matches(".*/(device-reading|following)");
      if (answer.statusCode() >= 500 && !device) {
        failures.merge(op.method() + " " + op.path() + " " + answer.body(), 1, Integer::sum);
      }
    }
    System.out.println("malformed requests by the hundred of their answer: " + answers);
    assertThat(failures).isEmpty();
    assertThat(answers.get(4)).as("most are wrong, and said so").isGreaterThan(REQUESTS / 2);
  }

  private HttpRequest request(Operation op) {
    StringBuilder path = new StringBuilder(op.path());
    StringBuilder query = new StringBuilder();
    for (JsonNode parameter : op.told().path("parameters")) {
      String name = parameter.get("name").stringValue();
      switch (parameter.get("in").stringValue()) {
        case "path" -> {
          String mark = "{" + name + "}";
          int at = path.indexOf(mark);
          path.replace(at, at + mark.length(), segment());
        }
        case "query" -> {
          if (dice.nextBoolean()) {
            query.append(query.isEmpty() ? "?" : "&").append(name).append('=').append(pick(WORDS));
          }
        }
        default -> {
          // Headers are drawn below.
        }
      }
    }
    HttpRequest.Builder request =
        owner.signed(HttpRequest.newBuilder(URI.create(TestServer.address() + path + query)));
    boolean writes = !op.method().equals("GET");
    if (writes && dice.nextInt(4) == 0) {
      request.header(
          "Idempotency-Key", pick(List.of("k", "é".repeat(50), "x".repeat(500), " ", "a b", "k")));
    }
    if (dice.nextInt(12) == 0) {
      request.header(
          "Accept", pick(List.of("x", "*", "text/html", "application/*", ";q=x", "image/png")));
    }
    JsonNode content = op.told().path("requestBody").path("content");
    boolean odd = dice.nextInt(8) == 0;
    if (writes && !content.isMissingNode()) {
      request.header("Content-Type", odd ? pick(TYPES) : content.propertyNames().iterator().next());
    } else if (writes && odd) {
      request.header("Content-Type", pick(TYPES));
    }
    return request
        .method(op.method(), writes ? body(content) : HttpRequest.BodyPublishers.noBody())
        .build();
  }

  private String segment() {
    return dice.nextInt(3) == 0
        ? pick(WORDS.stream().filter(w -> !w.isEmpty()).toList())
        : pick(ids);
  }

  private <T> T pick(List<T> from) {
    return from.get(dice.nextInt(from.size()));
  }

  private HttpRequest.BodyPublisher body(JsonNode content) {
    if (content.isMissingNode() || dice.nextInt(10) == 0) {
      return HttpRequest.BodyPublishers.ofByteArray(pick(BODIES));
    }
    JsonNode schema = content.values().iterator().next().path("schema");
    JsonNode whole = api.example(schema);
    for (int i = dice.nextInt(3); i > 0; i--) {
      whole = spoilt(whole);
    }
    return HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(whole));
  }

  /** The same with one node of it replaced, taken out, or put where there is none. */
  private JsonNode spoilt(JsonNode whole) {
    List<JsonNode> containers = new ArrayList<>();
    collect(whole, containers);
    JsonNode wrong = JSON.readTree(pick(NODES));
    if (containers.isEmpty()) {
      return wrong;
    }
    JsonNode at = pick(containers);
    if (at instanceof ObjectNode object) {
      List<String> names = new ArrayList<>(object.propertyNames());
      if (names.isEmpty() || dice.nextInt(10) == 0) {
        object.set("neverHeardOf", wrong);
      } else if (dice.nextInt(4) == 0) {
        object.remove(pick(names));
      } else {
        object.set(pick(names), wrong);
      }
    } else if (at instanceof ArrayNode list) {
      list.add(wrong);
    }
    return whole;
  }

  private static void collect(JsonNode node, List<JsonNode> into) {
    if (node.isContainer()) {
      into.add(node);
      node.values().forEach(child -> collect(child, into));
    }
  }
}
