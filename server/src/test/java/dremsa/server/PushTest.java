package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is due reaches the pocket: by Web Push (RFC 8030, 8188, 8291, 8292), against a stand-in that
 * is written from the RFCs and reads and checks each call as a browser and its service do.
 */
class PushTest extends RunWork {
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static JsonNode ask(String method, String path, String body) {
    try {
      return JSON.readTree(
          HTTP.send(
                  HttpRequest.newBuilder(URI.create(TestServer.DEVICES + path))
                      .method(method, HttpRequest.BodyPublishers.ofString(body))
                      .build(),
                  HttpResponse.BodyHandlers.ofString())
              .body());
    } catch (IOException e) {
      throw new AssertionError(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  private final JsonNode browser = ask("POST", "/stand-in/push", "");
  private final String endpoint = browser.get("endpoint").asString();
  private final String id = endpoint.substring(endpoint.lastIndexOf('/') + 1);

  private Map<String, Object> device(String at) {
    return Map.of(
        "endpoint",
        at,
        "publicKey",
        browser.at("/keys/p256dh").asString(),
        "secret",
        browser.at("/keys/auth").asString(),
        "name",
        "Kitchen phone");
  }

  private JsonNode arrived() {
    return ask("GET", "/stand-in/push/" + id, "").get("arrived");
  }

  private static void until(BooleanSupplier there) {
    Instant end = Instant.now().plus(Duration.ofSeconds(60));
    while (!there.getAsBoolean()) {
      assertThat(Instant.now()).isBefore(end);
      Thread.onSpinWait();
    }
  }

  @Test
  void whatIsDueArrivesSealedAndSigned() {
    ok(owner.post("/api/push/devices", device(endpoint)));
    Visitor.Answer run = finish(start("lemon-balm-spray", 400));
    owner.moveClock(4 * 3600);
    until(() -> arrived().size() >= 2);
    JsonNode call =
        arrived()
            .valueStream()
            .filter(a -> a.at("/message/words").asString().equals("Has it drawn?"))
            .findFirst()
            .orElseThrow();
    assertThat(call.at("/message/title").asString()).contains("Lemon balm spray");
    assertThat(call.at("/message/link").asString()).isEqualTo("/brew/" + run.text("/id"));
    assertThat(call.get("urgency").asString()).isEqualTo("high");
    assertThat(call.get("ttl").asInt()).isEqualTo(3600);
    until(() -> !ok(owner.get("/api/push")).at("/devices/0/lastAt").isNull());
    assertThat(ok(owner.get("/api/push")).at("/devices/0/problem").isNull()).isTrue();
  }

  @Test
  void aTryArrivesAndOnlyAtItsOwnDevice() {
    Visitor.Answer kept = ok(owner.post("/api/push/devices", device(endpoint)));
    // Subscribed again, it is the same device.
    kept = ok(owner.post("/api/push/devices", device(endpoint)));
    assertThat(kept.at("/devices").size()).isEqualTo(1);
    assertThat(kept.text("/publicKey")).hasSize(87);
    String device = "/api/push/devices/" + kept.text("/devices/0/id");
    ok(owner.post(device + "/try", Map.of()));
    until(() -> arrived().size() == 1);
    Visitor other = Visitor.withHousehold();
    assertThat(other.post(device + "/try", Map.of()).status()).isEqualTo(404);
    assertThat(other.delete(device).status()).isEqualTo(404);
    assertThat(ok(owner.delete(device)).at("/devices").size()).isZero();
  }

  @Test
  void aServiceThatFailsIsToldAndOneThatForgotTheDeviceIsNotAskedAgain() {
    Visitor.Answer kept = ok(owner.post("/api/push/devices", device(endpoint)));
    String device = "/api/push/devices/" + kept.text("/devices/0/id");
    ask("PUT", "/stand-in/push/" + id + "/failure", "{\"mode\":\"BUSY\"}");
    ok(owner.post(device + "/try", Map.of()));
    until(() -> ok(owner.get("/api/push")).text("/devices/0/problem").contains("503"));
    ask("PUT", "/stand-in/push/" + id + "/failure", "{\"mode\":\"GONE\"}");
    ok(owner.post(device + "/try", Map.of()));
    until(() -> ok(owner.get("/api/push")).at("/devices").isEmpty());
    assertThat(arrived().size()).isZero();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "http://push.example.com/x",
        "https://localhost/x",
        "https://127.0.0.1/x",
        "https://10.1.2.3/x",
        "https://192.168.1.1/x",
        "https://172.20.0.9/x",
        "https://169.254.169.254/latest",
        "https://100.64.0.1/x",
        "https://0.0.0.0/x",
        "https://[::1]/x",
        "https://[fd00::1]/x",
        "https://[fe80::1]/x",
        "https://[::ffff:10.0.0.1]/x",
        "https://router/x",
        "https://router.local/x",
        "https://user@push.example.com/x",
        "https://8.8.8.8:8443/x",
        "file:///etc/passwd",
        "gopher://x",
        "not an address",
      })
  void nothingIsSentIntoAHomeNetwork(String address) {
    Visitor.Answer no = owner.post("/api/push/devices", device(address));
    assertThat(no.status()).as(address).isEqualTo(400);
    assertThat(no.fields()).as(address).containsExactly("endpoint");
  }

  @Test
  void onlyThePathOfTheStandInIsLetThrough() {
    for (String path : List.of("/devices", "/push/../devices", "/stand-in/pot", "")) {
      assertThat(owner.post("/api/push/devices", device(TestServer.DEVICES + path)).fields())
          .as(path)
          .containsExactly("endpoint");
    }
  }
}
