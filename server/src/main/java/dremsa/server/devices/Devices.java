package dremsa.server.devices;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Asks the devices of the kitchen, over the local protocol of docs/devices.md. */
@Service
public class Devices {
  private static final int MOST_BYTES = 1_000_000;

  private final JsonMapper json;
  private final String address;
  private final Duration patience;
  private final HttpClient http;

  /**
   * @param patience a device that answers later than this is taken as silent
   */
  Devices(
      JsonMapper json,
      @Value("${dremsa.devices.url}") String address,
      @Value("${dremsa.devices.patience}") Duration patience) {
    this.patience = patience;
    this.http = HttpClient.newBuilder().connectTimeout(patience).build();
    this.json = json;
    this.address = address.endsWith("/") ? address.substring(0, address.length() - 1) : address;
  }

  /**
   * A device that is there.
   *
   * @param battery 0 to 1; null where it does not say
   */
  public record Device(String id, DeviceKind kind, String name, @Nullable Double battery) {}

  record DeviceList(List<Device> devices) {}

  /** What a silent device says instead of a reading. */
  record Silence(String problem, String words) {}

  /**
   * The devices that answer.
   *
   * @throws DeviceException when nobody answers
   */
  public List<Device> list() {
    return get("/devices", DeviceList.class).devices();
  }

  /**
   * One reading.
   *
   * @param pot told to the stand-in first, which simulates it; a real device ignores it
   * @throws DeviceException when the device is silent, or answers what nobody understands
   */
  public DeviceReading read(String device, PotState pot) {
    tell(pot);
    DeviceReading reading =
        get(
            "/devices/" + URLEncoder.encode(device, StandardCharsets.UTF_8) + "/reading",
            DeviceReading.class);
    if (!Double.isFinite(reading.value()) || reading.kind() == null) {
      throw new DeviceException("The device answered, but with no number.");
    }
    return reading;
  }

  private void tell(PotState pot) {
    try {
      http.send(
          request("/stand-in/pot")
              .header("Content-Type", "application/json")
              .PUT(HttpRequest.BodyPublishers.ofString(json.writeValueAsString(pot)))
              .build(),
          HttpResponse.BodyHandlers.discarding());
    } catch (IOException e) {
      throw away();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw away();
    }
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(address + path)).timeout(patience);
  }

  private DeviceException away() {
    return new DeviceException("No devices answer at " + address + ". Are they switched on?");
  }

  private <T> T get(String path, Class<T> type) {
    HttpResponse<byte[]> answer;
    try {
      answer = http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
    } catch (IOException e) {
      throw away();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw away();
    }
    try {
      if (answer.statusCode() == 503) {
        throw new DeviceException(json.readValue(answer.body(), Silence.class).words());
      }
      if (answer.statusCode() == 404) {
        throw new DeviceException("There is no such device any more.");
      }
      if (answer.statusCode() != 200 || answer.body().length > MOST_BYTES) {
        throw new DeviceException("The device answered something else than a reading.");
      }
      return json.readValue(answer.body(), type);
    } catch (JacksonException e) {
      throw new DeviceException("The device answered something that is no reading.");
    }
  }
}
