package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import dremsa.devices.Main;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The bench opens without a line, and what is due reaches a phone whose page is closed. */
class LockedPhoneTest {
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Test
  void thePageOpensWithoutALineAndACallArrivesWhenItIsClosed() throws Exception {
    HttpServer devices = Main.start(0, 5);
    String standIn = "http://127.0.0.1:" + devices.getAddress().getPort();
    try (ServerProcess server = ServerProcess.start("reset", "--dremsa.devices.url=" + standIn)) {
      String subscribed;
      String run;
      try (Browser phone = Browser.phone(server.address())) {
        phone.go("/");
        phone.tap("Look around the demo kitchen");
        phone.see("Fridge");
        phone.go("/choose/lemon-balm-spray/measure");
        phone.see("keeps till");
        phone.tap("Brew it now");
        phone.until(() -> phone.path().matches("/brew/[0-9a-f-]{36}"));
        phone.see("Pour just-boiled water over");
        run = phone.path();
        subscribed = subscribe(phone, standIn);
        withoutALine(phone, server);
      }
      // The page is closed. A moment before the steep is due its time begins to run.
      Caller kitchen = Caller.ofTheDemo(server.address());
      JsonNode steep = kitchen.get("/api/batches/" + run.substring("/brew/".length())).body();
      Instant due = Instant.parse(steep.at("/window/usualAt").asString());
      long ahead = Duration.between(Instant.parse(steep.get("now").asString()), due).toSeconds();
      kitchen.post("/api/test/clock", java.util.Map.of("seconds", ahead - 2));
      JsonNode call = arrived(standIn + "/stand-in/push/" + subscribed, run, "Has it drawn?");
      assertThat(call.at("/message/title").asString()).contains("Lemon balm spray");
    } finally {
      devices.stop(0);
    }
  }

  /** The server is gone: the page opens all the same, takes a tap, and sends it later. */
  private static void withoutALine(Browser phone, ServerProcess server) throws Exception {
    phone.script("await navigator.serviceWorker.ready;");
    phone.until(
        () -> Boolean.TRUE.equals(phone.script("return !!navigator.serviceWorker.controller;")));
    phone.reload();
    phone.see("Pour just-boiled water over");
    String run = phone.path().substring("/brew/".length());
    phone.until(
        () ->
            Boolean.TRUE.equals(
                phone.script(
                    "return (localStorage.getItem('dremsa-known') ?? '').includes('\""
                        + run
                        + "\"');")));
    server.kill();
    phone.reload();
    phone.see("Pour just-boiled water over");
    phone.see("No line to Dremsa just now");
    phone.tap("Done");
    phone.see("Kept on this device");
    phone.fitsTheWidth("the bench without a line");
    phone.isAccessible("the bench without a line");
    server.again();
    phone.see("until it may be right");
  }

  /** What a browser would do with its push service, done with the stand-in. */
  private static String subscribe(Browser phone, String standIn) throws Exception {
    JsonNode browser = ask("POST", standIn + "/stand-in/push");
    Object status =
        phone.script(
            "const t = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];"
                + "const r = await fetch('/api/push/devices', {method: 'POST', headers:"
                + " {'X-XSRF-TOKEN': t, 'Content-Type': 'application/json'}, body: JSON.stringify({"
                + "endpoint: '"
                + browser.get("endpoint").asString()
                + "', publicKey: '"
                + browser.at("/keys/p256dh").asString()
                + "', secret: '"
                + browser.at("/keys/auth").asString()
                + "', name: 'Locked phone'})}); return r.status;");
    assertThat(((Number) status).intValue()).isBetween(200, 201);
    String endpoint = browser.get("endpoint").asString();
    return endpoint.substring(endpoint.lastIndexOf('/') + 1);
  }

  private static JsonNode arrived(String at, String link, String words) throws Exception {
    long end = System.nanoTime() + Browser.PATIENCE.toNanos();
    while (System.nanoTime() < end) {
      for (JsonNode call : ask("GET", at).get("arrived")) {
        if (call.at("/message/link").asString().equals(link)
            && call.at("/message/words").asString().equals(words)) {
          return call;
        }
      }
      LockSupport.parkNanos(Duration.ofMillis(100).toNanos());
    }
    throw new AssertionError("'" + words + "' did not arrive");
  }

  private static JsonNode ask(String method, String address)
      throws IOException, InterruptedException {
    return JSON.readTree(
        HTTP.send(
                HttpRequest.newBuilder(URI.create(address))
                    .method(method, HttpRequest.BodyPublishers.noBody())
                    .build(),
                HttpResponse.BodyHandlers.ofString())
            .body());
  }
}
