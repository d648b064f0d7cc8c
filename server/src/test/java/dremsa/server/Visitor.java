package dremsa.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A browser without a screen: keeps cookies, sends the CSRF token, reads JSON. */
public final class Visitor {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /**
   * When every household of the tests begins: a Tuesday morning in its own time zone, whatever time
   * it is where the tests run, so that no day's end falls differently from run to run.
   */
  public static final Instant START = Instant.parse("2030-03-05T10:00:00Z");

  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final String address;
  private String name;

  public Visitor() {
    this(TestServer.address());
  }

  /** Of another server than the one that the tests share. */
  public Visitor(String address) {
    this.address = address;
  }

  /** An answer: its status and its body. */
  public record Answer(int status, JsonNode body) {
    public JsonNode at(String pointer) {
      return body.at(pointer);
    }

    public String text(String pointer) {
      return body.at(pointer).asString();
    }

    /** The fields that a problem names. */
    public List<String> fields() {
      return body.at("/errors").valueStream().map(e -> e.get("field").asString()).toList();
    }
  }

  /** Somebody with a household of their own, made just now. */
  public static Visitor withHousehold() {
    Visitor visitor = new Visitor();
    visitor.name = "v" + UUID.randomUUID().toString().substring(0, 12);
    Answer made = visitor.post("/api/households", visitor.household());
    if (made.status() != 201) {
      throw new AssertionError(made);
    }
    Instant now = Instant.parse(visitor.get("/api/household").text("/now"));
    visitor.moveClock(Duration.between(now, START).getSeconds());
    return visitor;
  }

  /** The form that makes a household. */
  public Map<String, Object> household() {
    if (name == null) {
      name = "v" + UUID.randomUUID().toString().substring(0, 12);
    }
    return Map.of(
        "name", "Test kitchen",
        "signIn", name,
        "password", "correct horse",
        "measures", "METRIC",
        "fahrenheit", false,
        "timeZone", "Europe/Dublin",
        "kitchen", Map.of("roomC", 21, "fridgeC", 5, "largestJarMl", 2000));
  }

  public String name() {
    return name;
  }

  public Answer get(String path) {
    return send("GET", path, null, Map.of());
  }

  public Answer post(String path, Object body) {
    return send("POST", path, JSON.writeValueAsString(body), Map.of());
  }

  public Answer put(String path, Object body) {
    return send("PUT", path, JSON.writeValueAsString(body), Map.of());
  }

  public Answer post(String path, Object body, String idempotencyKey) {
    return send(
        "POST", path, JSON.writeValueAsString(body), Map.of("Idempotency-Key", idempotencyKey));
  }

  /** A file as it is sent, with its type, how long it may be kept, and the length told of it. */
  public record File(int status, String type, String caching, long length, byte[] bytes) {}

  /** Fetches a file. */
  public File file(String path) {
    return fetched(HttpRequest.newBuilder(URI.create(address + path)).build());
  }

  /** Asks, and leaves the answer unread. */
  public File postFor(String path, Object body) {
    if (token().isEmpty()) {
      get("/api/session");
    }
    return fetched(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header("X-XSRF-TOKEN", token())
            .POST(BodyPublishers.ofString(JSON.writeValueAsString(body)))
            .build());
  }

  private File fetched(HttpRequest request) {
    try {
      HttpResponse<byte[]> answer = http.send(request, HttpResponse.BodyHandlers.ofByteArray());
      return new File(
          answer.statusCode(),
          answer.headers().firstValue("Content-Type").orElse(""),
          answer.headers().firstValue("Cache-Control").orElse(""),
          answer.headers().firstValueAsLong("Content-Length").orElse(-1),
          answer.body());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Fetches a file that is too large for the memory. */
  public void fileInto(String path, Path into) {
    try {
      http.send(
          HttpRequest.newBuilder(URI.create(address + path)).build(),
          HttpResponse.BodyHandlers.ofFile(into));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Fetches a file that is made for a form. */
  public File print(String path, Object form) {
    if (token().isEmpty()) {
      get("/api/session");
    }
    return fetched(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header("X-XSRF-TOKEN", token())
            .POST(BodyPublishers.ofString(JSON.writeValueAsString(form)))
            .build());
  }

  /** Sends a file. */
  public Answer upload(String path, String type, byte[] bytes) {
    return upload(path, type, BodyPublishers.ofByteArray(bytes));
  }

  /** Sends a file that is too large for the memory. */
  public Answer upload(String path, String type, Path file) throws IOException {
    return upload(path, type, BodyPublishers.ofFile(file));
  }

  private Answer upload(String path, String type, HttpRequest.BodyPublisher body) {
    if (token().isEmpty()) {
      get("/api/session");
    }
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", type)
            .header("X-XSRF-TOKEN", token())
            .POST(body)
            .build();
    return exchange(request);
  }

  /** Sends a body as it is, well-formed or not. */
  public Answer raw(String path, String body) {
    return send("POST", path, body, Map.of());
  }

  public Answer delete(String path) {
    return send("DELETE", path, null, Map.of());
  }

  public void moveClock(long seconds) {
    post("/api/test/clock", Map.of("seconds", seconds));
  }

  /** The cookies and the token of this visitor, for a request that is built elsewhere. */
  public HttpRequest.Builder signed(HttpRequest.Builder request) {
    if (token().isEmpty()) {
      get("/api/session");
    }
    String all =
        cookies.getCookieStore().getCookies().stream()
            .filter(cookie -> !cookie.getName().equals("DREMSA_DEVICE"))
            .map(cookie -> cookie.getName() + "=" + cookie.getValue())
            .collect(java.util.stream.Collectors.joining("; "));
    return request.header("Cookie", all).header("X-XSRF-TOKEN", token());
  }

  private Answer send(String method, String path, String body, Map<String, String> headers) {
    if (!method.equals("GET") && token().isEmpty()) {
      get("/api/session");
    }
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(address + path))
            .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
    if (body != null) {
      request.header("Content-Type", "application/json");
    }
    headers.forEach(request::header);
    if (!method.equals("GET")) {
      request.header("X-XSRF-TOKEN", token());
    }
    return exchange(request.build());
  }

  private Answer exchange(HttpRequest request) {
    try {
      HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
      JsonNode json =
          answer.body().isBlank() || !answer.body().stripLeading().matches("(?s)[\\[{].*")
              ? JSON.createObjectNode()
              : JSON.readTree(answer.body());
      return new Answer(answer.statusCode(), json);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private String token() {
    return cookies.getCookieStore().getCookies().stream()
        .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
        .map(HttpCookie::getValue)
        .findFirst()
        .orElse("");
  }
}
