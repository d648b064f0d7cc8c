package dremsa.devices;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.sun.net.httpserver.HttpServer;
import dremsa.devices.StandIn.Device;
import dremsa.devices.StandIn.Failure;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class StandInTest {
  /** A clock that stands until it is moved. */
  private static final class Standing extends Clock {
    private Instant now = Instant.parse("2026-03-02T09:00:00Z");

    @Override
    public Instant instant() {
      return now;
    }

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return this;
    }
  }

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final Standing clock = new Standing();
  private final StandIn standIn = new StandIn(clock, 3);
  private HttpServer server;

  @BeforeEach
  void serve() throws Exception {
    server = Main.serve(0, standIn);
  }

  @AfterEach
  void stop() {
    server.stop(0);
  }

  private record Answer(int status, JsonNode body, String text) {}

  private Answer send(String method, String path, String body) throws Exception {
    HttpResponse<String> answer =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + server.getAddress().getPort() + path))
                    .method(method, HttpRequest.BodyPublishers.ofString(body))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
    boolean csv = answer.body().startsWith("time,");
    return new Answer(
        answer.statusCode(),
        csv ? JSON.createObjectNode() : JSON.readTree(answer.body()),
        answer.body());
  }

  private static PotState steeping(double elapsed) {
    return new PotState("lemon-balm-spray", "HOT_INFUSION", 0.5, List.of(4.0), elapsed);
  }

  @Test
  void theProbeReadsAPotThatCools() {
    standIn.tell(steeping(0));
    double hot = mean(Device.PROBE);
    clock.now = clock.now.plus(Duration.ofMinutes(60));
    double later = mean(Device.PROBE);
    clock.now = clock.now.plus(Duration.ofHours(20));
    double cold = mean(Device.PROBE);
    assertThat(hot).isBetween(80.0, 97.0);
    assertThat(later).isBetween(35.0, hot - 15);
    // The true kitchen is a little warmer than the 21 °C that a household believes.
    assertThat(cold).isCloseTo(21.8, within(0.6));
  }

  private double mean(Device device) {
    return IntStream.range(0, 40)
        .mapToDouble(i -> standIn.read(device).value())
        .average()
        .orElseThrow();
  }

  @Test
  void readingsScatterLikeACheapDevice() {
    standIn.tell(steeping(600));
    double[] values =
        IntStream.range(0, 200).mapToDouble(i -> standIn.read(Device.PROBE).value()).toArray();
    double mean = IntStream.range(0, 200).mapToDouble(i -> values[i]).average().orElseThrow();
    double spread =
        Math.sqrt(
            IntStream.range(0, 200).mapToDouble(i -> Math.pow(values[i] - mean, 2)).sum() / 199);
    assertThat(spread).isBetween(0.25, 0.45);
  }

  @Test
  void theScaleLosesWhatThePlantsHold() {
    standIn.tell(steeping(170));
    double before = mean(Device.SCALE);
    standIn.tell(
        new PotState("lemon-balm-spray", "HOT_INFUSION", 0.5, List.of(4.0, 180.0, 6.0), 0));
    assertThat(mean(Device.SCALE)).isLessThan(before - 20);
  }

  @Test
  void aFormulaOfTheHouseholdsOwnIsSimulatedByItsMethod() {
    standIn.tell(new PotState("own-17", "HOT_INFUSION", 0.5, List.of(4.0), 0));
    assertThat(mean(Device.PROBE)).isGreaterThan(75);
  }

  @Test
  void theProtocolListsReadsAndFails() throws Exception {
    Answer list = send("GET", "/devices", "");
    assertThat(list.body().at("/devices").size()).isEqualTo(4);
    standIn.tell(steeping(0));
    Answer reading = send("GET", "/devices/probe-1/reading", "");
    assertThat(reading.status()).isEqualTo(200);
    assertThat(reading.body().at("/kind").asString()).isEqualTo("THERMOMETER");
    assertThat(reading.body().at("/unit").asString()).isEqualTo("°C");
    assertThat(send("GET", "/devices/nobody/reading", "").status()).isEqualTo(404);
    assertThat(send("GET", "/elsewhere", "").status()).isEqualTo(404);
    assertThat(send("PUT", "/stand-in/pot", "{not json").status()).isEqualTo(400);

    send("PUT", "/stand-in/devices/probe-1/failure", "{\"mode\":\"NO_READING\"}");
    Answer silent = send("GET", "/devices/probe-1/reading", "");
    assertThat(silent.status()).isEqualTo(503);
    assertThat(silent.body().at("/words").asString()).contains("gives no reading");

    send("PUT", "/stand-in/devices/probe-1/failure", "{\"mode\":\"WILD\"}");
    assertThat(send("GET", "/devices/probe-1/reading", "").body().at("/value").asDouble())
        .isEqualTo(400);
    send("PUT", "/stand-in/devices/probe-1/failure", "{\"mode\":\"BATTERY_LOW\"}");
    assertThat(send("GET", "/devices/probe-1/reading", "").body().at("/battery").asDouble())
        .isLessThan(0.1);
  }

  @Test
  void aStuckProbeSaysTheSameWhileThePotCools() {
    standIn.tell(steeping(0));
    double first = standIn.read(Device.PROBE).value();
    standIn.fail(Device.PROBE, Failure.STUCK);
    clock.now = clock.now.plus(Duration.ofMinutes(90));
    assertThat(standIn.read(Device.PROBE).value()).isEqualTo(first);
  }

  @Test
  void theLoggerHandsOutItsDays() throws Exception {
    Answer csv = send("GET", "/devices/fridge-1/log.csv?hours=24", "");
    String[] lines = csv.text().split("\r\n");
    assertThat(lines[0]).isEqualTo("time,celsius");
    assertThat(lines).hasSize(1 + 24 * 6);
    for (int i = 1; i < lines.length; i++) {
      assertThat(Double.parseDouble(lines[i].split(",")[1])).isBetween(2.0, 9.0);
    }
    assertThat(send("GET", "/devices/fridge-1/log?hours=2", "").body().at("/readings").size())
        .isEqualTo(12);
  }
}
