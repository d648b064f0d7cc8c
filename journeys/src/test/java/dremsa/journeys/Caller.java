package dremsa.journeys;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to a server without a browser; the same cookies go to every server it is pointed at. */
final class Caller {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final CookieManager cookies;
  private final HttpClient http;
  private String address;

  private Caller(String address, CookieManager cookies, HttpClient http) {
    this.address = address;
    this.cookies = cookies;
    this.http = http;
  }

  private Caller(String address, CookieManager cookies) {
    this(
        address,
        cookies,
        HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(2))
            .build());
  }

  /** An answer; the body of what is no JSON is empty. */
  record Answer(int status, String retryAfter, JsonNode body) {}

  /** Somebody with a household of their own. */
  static Caller withHousehold(String address) throws IOException {
    Caller caller = new Caller(address, new CookieManager());
    caller.get("/api/session");
    Answer made =
        caller.post(
            "/api/households",
            Map.of(
                "name", "Test kitchen",
                "signIn", "c" + UUID.randomUUID().toString().substring(0, 12),
                "password", "correct horse",
                "measures", "METRIC",
                "fahrenheit", false,
                "timeZone", "Europe/Dublin",
                "kitchen", Map.of("roomC", 21, "fridgeC", 5, "largestJarMl", 2000)));
    if (made.status() != 201) {
      throw new AssertionError(made);
    }
    return caller;
  }

  /** Somebody in the demo kitchen. */
  static Caller ofTheDemo(String address) throws IOException {
    Caller caller = new Caller(address, new CookieManager());
    caller.get("/api/session");
    caller.post("/api/session/demo", Map.of());
    caller.get("/api/session");
    return caller;
  }

  /** Somebody else with the same cookies, at another server. */
  Caller elsewhere(String other) {
    return new Caller(other, cookies, http);
  }

  /** Goes on at another server. */
  Caller at(String other) {
    address = other;
    return this;
  }

  Answer get(String path) throws IOException {
    return send("GET", path, null, "");
  }

  Answer post(String path, Object body) throws IOException {
    return send("POST", path, body, UUID.randomUUID().toString());
  }

  Answer post(String path, Object body, String key) throws IOException {
    return send("POST", path, body, key);
  }

  private Answer send(String method, String path, Object body, String key) throws IOException {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(address + path))
            .timeout(Duration.ofSeconds(20))
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
    if (body != null) {
      request
          .header("Content-Type", "application/json")
          .header("X-XSRF-TOKEN", token())
          .header("Idempotency-Key", key);
    }
    try {
      HttpResponse<String> answer =
          http.send(request.build(), HttpResponse.BodyHandlers.ofString());
      String text = answer.body().strip();
      boolean json = text.startsWith("{") || text.startsWith("[");
      String retryAfter = answer.headers().firstValue("Retry-After").orElse("");
      return new Answer(
          answer.statusCode(), retryAfter, json ? JSON.readTree(text) : JSON.createObjectNode());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Its cookies and its client, for an answer that has no end. */
  HttpClient client() {
    return http;
  }

  String address() {
    return address;
  }

  private String token() {
    return cookies.getCookieStore().getCookies().stream()
        .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
        .map(java.net.HttpCookie::getValue)
        .findFirst()
        .orElse("");
  }
}
