package dremsa.journeys;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * The packaged server, laid out once so that it starts quickly: unpacked, and with an archive of
 * the classes that its first start loaded. What it does is the same.
 */
final class PackagedServer {
  private static final Path HOME = Path.of("target", "server");
  private static final Path CLASSES = HOME.resolve("classes.lst");
  private static final Path ARCHIVE = HOME.resolve("classes.jsa");

  private static boolean unpacked;
  private static boolean archived;

  private PackagedServer() {}

  private static String java() {
    return System.getProperty("java.home") + "/bin/java";
  }

  private static Path jar() {
    return HOME.resolve("app").resolve(Path.of(System.getProperty("dremsa.jar")).getFileName());
  }

  /** The command that starts it, without arguments of its own. */
  static synchronized List<String> command() throws IOException {
    unpack();
    List<String> command = new ArrayList<>(List.of(java(), "-XX:TieredStopAtLevel=1", "-Xmx512m"));
    if (Files.exists(ARCHIVE)) {
      command.add("-XX:SharedArchiveFile=" + ARCHIVE.toAbsolutePath());
    } else if (!archived) {
      command.add("-XX:DumpLoadedClassList=" + CLASSES.toAbsolutePath());
    }
    command.add("-XX:+ExitOnOutOfMemoryError");
    command.add("-jar");
    command.add(jar().toAbsolutePath().toString());
    return command;
  }

  private static void unpack() throws IOException {
    if (unpacked) {
      return;
    }
    Files.createDirectories(HOME);
    Files.deleteIfExists(ARCHIVE);
    run(
        List.of(
            java(),
            "-Djarmode=tools",
            "-jar",
            System.getProperty("dremsa.jar"),
            "extract",
            "--force",
            "--destination",
            HOME.resolve("app").toString()));
    unpacked = true;
  }

  /** One has started and loaded all that it starts with; without an archive it goes more slowly. */
  static synchronized void started() throws IOException {
    if (archived || !Files.exists(CLASSES)) {
      return;
    }
    archived = true;
    Path made = HOME.resolve("making.jsa");
    run(
        List.of(
            java(),
            "-Xshare:dump",
            "-Xmx512m",
            "-XX:SharedClassListFile=" + CLASSES.toAbsolutePath(),
            "-XX:SharedArchiveFile=" + made.toAbsolutePath(),
            "-jar",
            jar().toAbsolutePath().toString()));
    if (Files.exists(made)) {
      Files.move(made, ARCHIVE);
    }
  }

  private static void run(List<String> command) throws IOException {
    try {
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(new File(HOME.toFile(), "laid-out.log"))
              .start();
      if (!process.waitFor(3, TimeUnit.MINUTES)) {
        process.destroyForcibly();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }
}
