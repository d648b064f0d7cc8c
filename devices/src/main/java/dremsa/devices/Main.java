package dremsa.devices;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import dremsa.devices.StandIn.Device;
import dremsa.devices.StandIn.Failure;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.Executors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Serves the stand-in devices over the local protocol, on loopback: {@code Main [port] [seed]}. */
public final class Main {
  private static final int USUAL_PORT = 8095;
  private static final int MOST_BYTES = 64 * 1024;
  private static final long SLOW_MS = 5000;

  private final JsonMapper json = JsonMapper.builder().build();
  private final StandIn standIn;
  private final PushService push;

  private Main(StandIn standIn, PushService push) {
    this.standIn = standIn;
    this.push = push;
  }

  /** Starts the devices. */
  public static void main(String[] arguments) throws IOException {
    int port = arguments.length > 0 ? Integer.parseInt(arguments[0]) : USUAL_PORT;
    long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 7;
    HttpServer server = start(port, seed);
    System.out.println(
        "The stand-in devices answer at http://127.0.0.1:" + server.getAddress().getPort());
  }

  /** Starts the devices by the clock of this machine; port 0 takes a free one. */
  public static HttpServer start(int port, long seed) throws IOException {
    return serve(port, new StandIn(Clock.systemUTC(), seed));
  }

  /** Serves on loopback; port 0 takes a free one. */
  static HttpServer serve(int port, StandIn standIn) throws IOException {
    HttpServer server =
        HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 20);
    server.setExecutor(Executors.newFixedThreadPool(4));
    server.createContext("/", new Main(standIn, new PushService(Clock.systemUTC()))::answer);
    server.start();
    return server;
  }

  private record Said(int status, Object body) {}

  private record DeviceLine(String id, String kind, String name, double battery) {}

  private record FailureOrder(Failure mode) {}

  private void answer(HttpExchange exchange) throws IOException {
    try (exchange) {
      Said said;
      try {
        Optional<Said> pushed = pushed(exchange);
        said =
            pushed.isPresent()
                ? pushed.get()
                : said(
                    exchange.getRequestMethod(),
                    exchange.getRequestURI().getPath().split("/"),
                    Optional.ofNullable(exchange.getRequestURI().getQuery()).orElse(""),
                    exchange.getRequestBody().readNBytes(MOST_BYTES));
      } catch (JacksonException | IllegalArgumentException e) {
        said = new Said(400, problem("BAD_REQUEST", "That is not understood."));
      }
      byte[] body =
          said.body() instanceof String text
              ? text.getBytes(StandardCharsets.UTF_8)
              : json.writeValueAsBytes(said.body());
      exchange
          .getResponseHeaders()
          .set(
              "Content-Type",
              said.body() instanceof String ? "text/csv; charset=utf-8" : "application/json");
      exchange.sendResponseHeaders(said.status(), body.length);
      exchange.getResponseBody().write(body);
    }
  }

  /** What belongs to the stand-in for a browser and its push service; empty for all else. */
  private Optional<Said> pushed(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath();
    String method = exchange.getRequestMethod();
    String base = "http://" + exchange.getRequestHeaders().getFirst("Host");
    String id = path.replaceFirst("^(/stand-in)?/push/?", "").replaceFirst("/failure$", "");
    if (method.equals("POST") && path.equals("/stand-in/push")) {
      return Optional.of(new Said(201, push.subscribe(base)));
    } else if (method.equals("GET") && path.startsWith("/stand-in/push/")) {
      return Optional.of(
          push.arrived(id)
              .map(all -> new Said(200, Map.of("arrived", all)))
              .orElseGet(() -> new Said(404, problem("UNKNOWN", "There is no such browser."))));
    } else if (method.equals("PUT") && path.matches("/stand-in/push/[^/]+/failure")) {
      byte[] body = exchange.getRequestBody().readNBytes(MOST_BYTES);
      boolean there = push.fail(id, json.readValue(body, PushFailure.class).mode());
      return Optional.of(new Said(there ? 200 : 404, Map.of()));
    } else if (method.equals("POST") && path.startsWith("/push/")) {
      Map<String, String> headers = new TreeMap<>();
      exchange
          .getRequestHeaders()
          .forEach((name, values) -> headers.put(name.toLowerCase(Locale.ROOT), values.get(0)));
      byte[] body = exchange.getRequestBody().readNBytes(MOST_BYTES);
      PushService.Answer answer = push.take(id, headers, body, base);
      return Optional.of(new Said(answer.status(), Map.of("words", answer.words())));
    }
    return Optional.empty();
  }

  private record PushFailure(PushService.Failure mode) {}

  private Said said(String method, String[] path, String query, byte[] body) {
    String door = method + " " + (path.length > 1 ? path[1] : "");
    if (door.equals("GET devices") && path.length == 2) {
      List<DeviceLine> lines =
          Arrays.stream(Device.values())
              .map(d -> new DeviceLine(d.id, d.kind, d.title, standIn.battery(d)))
              .toList();
      return new Said(200, Map.of("devices", lines));
    }
    if (door.equals("GET devices") && path.length == 4) {
      Optional<Device> device = device(path[2]);
      if (device.isEmpty()) {
        return new Said(404, problem("UNKNOWN", "There is no such device."));
      }
      return switch (path[3]) {
        case "reading" -> reading(device.get());
        case "log" -> new Said(200, Map.of("readings", standIn.log(hours(query))));
        case "log.csv" -> new Said(200, csv(standIn.log(hours(query))));
        default -> new Said(404, problem("UNKNOWN", "There is nothing here."));
      };
    }
    if (method.equals("PUT") && String.join("/", path).equals("/stand-in/pot")) {
      standIn.tell(json.readValue(body, PotState.class));
      return new Said(200, Map.of());
    }
    if (method.equals("PUT")
        && path.length == 5
        && path[1].equals("stand-in")
        && path[4].equals("failure")) {
      Optional<Device> device = device(path[3]);
      if (device.isEmpty()) {
        return new Said(404, problem("UNKNOWN", "There is no such device."));
      }
      standIn.fail(device.get(), json.readValue(body, FailureOrder.class).mode());
      return new Said(200, Map.of());
    }
    return new Said(404, problem("UNKNOWN", "There is nothing here."));
  }

  private Said reading(Device device) {
    Failure failure = standIn.failureOf(device);
    if (failure == Failure.NO_READING) {
      return new Said(
          503, problem("NO_READING", "The " + device.title + " gives no reading. Is it in?"));
    }
    if (failure == Failure.SLOW) {
      try {
        Thread.sleep(SLOW_MS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
    return new Said(200, standIn.read(device));
  }

  private static Optional<Device> device(String id) {
    return Arrays.stream(Device.values()).filter(d -> d.id.equals(id)).findFirst();
  }

  private static int hours(String query) {
    int hours = query.startsWith("hours=") ? Integer.parseInt(query.substring(6)) : 48;
    return Math.max(1, Math.min(24 * 60, hours));
  }

  private static String csv(List<StandIn.Logged> log) {
    StringBuilder csv = new StringBuilder("time,celsius\r\n");
    log.forEach(l -> csv.append(l.at()).append(',').append(l.value()).append("\r\n"));
    return csv.toString();
  }

  private static Map<String, String> problem(String code, String words) {
    return Map.of("problem", code, "words", words);
  }
}
