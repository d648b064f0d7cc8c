package dremsa.journeys;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** The packaged server as a process of its own, so that it can be killed for real. */
final class ServerProcess implements AutoCloseable {
  private final int port;
  private final Database database;
  private final List<String> more;
  private Process process;

  private ServerProcess(int port, Database database, List<String> more) {
    this.port = port;
    this.database = database;
    this.more = more;
  }

  /** Where a database is, and who may use it. */
  record Database(String url, String user, String password) {
    /** The one of all tests. */
    static Database ofTheTests() {
      String url = System.getenv("DREMSA_TEST_DB_URL");
      if (url == null) {
        throw new IllegalStateException("The journeys need a MariaDB: run ./dremsa test.");
      }
      return at(url);
    }

    /** The one of all tests, found elsewhere. */
    static Database at(String url) {
      return new Database(
          url, System.getenv("DREMSA_TEST_DB_USER"), System.getenv("DREMSA_TEST_DB_PASSWORD"));
    }
  }

  /**
   * Starts it on a free port of loopback.
   *
   * @param demo none, load or reset
   * @param more arguments, kept for starting it again
   */
  static ServerProcess start(String demo, String... more) throws IOException {
    return startAt(Database.ofTheTests(), demo, more);
  }

  /**
   * Starts it on a free port of loopback.
   *
   * @param database where it finds its database
   */
  static ServerProcess startAt(Database database, String demo, String... more) throws IOException {
    int port;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    ServerProcess server = new ServerProcess(port, database, List.of(more));
    server.launch(demo);
    return server;
  }

  private void launch(String demo) throws IOException {
    ProcessBuilder builder = new ProcessBuilder(PackagedServer.command());
    builder
        .command()
        .addAll(
            List.of(
                "--server.port=" + port,
                "--dremsa.demo=" + demo,
                "--dremsa.sign-up=open",
                "--dremsa.movable-clock=true"));
    builder.command().addAll(more);
    builder.environment().put("DREMSA_DB_URL", database.url());
    builder.environment().put("DREMSA_DB_USER", database.user());
    builder.environment().put("DREMSA_DB_PASSWORD", database.password());
    File log = new File("target/server-" + port + ".log");
    builder.redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(log));
    process = builder.start();
    long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(3);
    while (!healthy()) {
      if (!process.isAlive() || System.nanoTime() > end) {
        throw new IllegalStateException("the server did not start; see journeys/" + log);
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
    }
    PackagedServer.started();
  }

  private boolean healthy() {
    try {
      HttpRequest request =
          HttpRequest.newBuilder(URI.create(address() + "/actuator/health")).build();
      return HttpClient.newHttpClient()
              .send(request, HttpResponse.BodyHandlers.discarding())
              .statusCode()
          == 200;
    } catch (IOException e) {
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  String address() {
    return "http://127.0.0.1:" + port;
  }

  /** As kill -9 does: no chance to say goodbye. */
  void kill() throws InterruptedException {
    process.destroyForcibly();
    process.waitFor();
  }

  /** Starts it again on the same port, with what is in the database. */
  void again() throws IOException {
    again("load");
  }

  /** Starts it again on the same port, with or without the demo. */
  void again(String demo) throws IOException {
    launch(demo);
  }

  @Override
  public void close() throws InterruptedException {
    process.destroy();
    if (!process.waitFor(20, TimeUnit.SECONDS)) {
      kill();
    }
  }
}
