package dremsa.journeys;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/** What an open page is told of changes. */
final class LiveChanges implements AutoCloseable {
  private static final int LONGEST_S = 5;

  private final InputStream stream;
  private final BlockingQueue<String> told = new LinkedBlockingQueue<>();

  private LiveChanges(InputStream stream) {
    this.stream = stream;
    Thread reader = new Thread(this::read, "live-changes");
    reader.setDaemon(true);
    reader.start();
  }

  static LiveChanges of(Caller caller) throws IOException, InterruptedException {
    return new LiveChanges(
        caller
            .client()
            .send(
                HttpRequest.newBuilder(URI.create(caller.address() + "/api/changes")).build(),
                HttpResponse.BodyHandlers.ofInputStream())
            .body());
  }

  private void read() {
    try (BufferedReader lines =
        new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (line.startsWith("data:")) {
          told.add(line);
        }
      }
    } catch (IOException e) {
      // Closed by whoever opened it.
    }
  }

  /** Whether something is told within seconds. */
  boolean next() throws InterruptedException {
    return told.poll(LONGEST_S, TimeUnit.SECONDS) != null;
  }

  @Override
  public void close() throws IOException {
    stream.close();
  }
}
