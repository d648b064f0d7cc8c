package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The start command itself: it serves at the first try after any kill, or says why it does not. */
class StartTest {
  private final Path root = Path.of(System.getProperty("dremsa.root")).toAbsolutePath().normalize();
  private final Path home = Path.of("target", "start-home").toAbsolutePath();
  private final int port = freePort();

  private static int freePort() {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A command that runs, and the file that holds what it says. */
  private record Running(Process process, Path said) {
    String text() throws IOException {
      return Files.readString(said);
    }

    /** Waits until it says this, which it must before it ends. */
    void says(String words) throws IOException {
      long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(4);
      while (!text().contains(words)) {
        if (!process.isAlive() && !text().contains(words) || System.nanoTime() > end) {
          throw new AssertionError("it does not say '" + words + "' but:\n" + text());
        }
        LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
      }
    }
  }

  private Running command(String word, String saidIn) throws IOException {
    ProcessBuilder builder = new ProcessBuilder("./dremsa", word);
    builder.directory(root.toFile());
    builder.environment().put("DREMSA_HOME", home.toString());
    builder.environment().put("DREMSA_PORT", String.valueOf(port));
    Path said = home.resolve(saidIn);
    builder.redirectErrorStream(true).redirectOutput(new File(said.toString()));
    return new Running(builder.start(), said);
  }

  private static void clear(Path folder) throws IOException {
    if (Files.exists(folder)) {
      try (Stream<Path> all = Files.walk(folder)) {
        for (Path path : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
          Files.delete(path);
        }
      }
    }
    Files.createDirectories(folder);
  }

  /** Ends the process whose id is in a file, as kill -9 does. */
  private static void kill(Path file) throws IOException {
    ProcessHandle.of(Long.parseLong(Files.readString(file).strip()))
        .ifPresent(ProcessHandle::destroyForcibly);
  }

  private Path database() throws IOException {
    // Where the data had to go elsewhere, this folder has none.
    Path here = home.resolve("db/data/server.pid");
    if (Files.exists(here)) {
      return here;
    }
    try (Stream<Path> elsewhere = Files.list(Path.of("/var/lib"))) {
      return elsewhere
          .map(folder -> folder.resolve("db/data/server.pid"))
          .filter(Files::exists)
          .max(java.util.Comparator.comparing(pid -> pid.toFile().lastModified()))
          .orElseThrow();
    }
  }

  @Test
  void itServesAtTheFirstTryAfterAnyKill() throws Exception {
    clear(home);
    // What is tested is built already.
    Files.createFile(home.resolve("built"));
    Running first = command("start", "first.txt");
    try {
      first.says("Dremsa is ready at http://127.0.0.1:" + port);
      Caller caller = Caller.withHousehold("http://127.0.0.1:" + port);

      // The application alone: the command that started it brings it back.
      kill(home.resolve("app.pid"));
      first.says("It serves again.");
      assertThat(first.text()).contains("it was killed");
      assertThat(caller.get("/api/kitchen").status()).isEqualTo(200);

      // Another one is told, not left without a word.
      Running other = command("start", "other.txt");
      assertThat(other.process().waitFor()).isEqualTo(1);
      assertThat(other.text()).contains("Dremsa runs already");

      // All of it at once, and started again.
      Path database = database();
      first.process().destroyForcibly().waitFor();
      kill(home.resolve("app.pid"));
      kill(database);
      Running second = command("start", "second.txt");
      second.says("Dremsa is ready");
      assertThat(caller.get("/api/kitchen").status()).as("nothing was lost").isEqualTo(200);

      Running stop = command("stop", "stop.txt");
      assertThat(stop.process().waitFor()).isZero();
      assertThat(second.process().waitFor()).isZero();
      assertThat(second.text()).contains("Stopped.");
    } finally {
      command("stop", "end.txt").process().waitFor();
    }
  }
}
