package dremsa.journeys;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Three database nodes that hold the same data, started and stopped by the project's own script.
 */
final class Cluster implements AutoCloseable {
  private static final Path ROOT =
      Path.of(System.getProperty("dremsa.root")).toAbsolutePath().normalize();

  /** Far from the ports of a cluster that somebody runs by hand. */
  private static final String FIRST_PORT = "34410";

  private final Path folder;
  private final Map<String, String> told;

  private Cluster(Path folder, Map<String, String> told) {
    this.folder = folder;
    this.told = told;
  }

  static Cluster start() throws Exception {
    // Where the database's own user may walk, whoever runs the tests.
    Path outer = Files.createTempDirectory("dremsa-cluster");
    Files.setPosixFilePermissions(outer, PosixFilePermissions.fromString("rwxr-xr-x"));
    Path folder = outer.resolve("nodes");
    Map<String, String> told = new HashMap<>();
    for (String line : script("start", folder.toString(), FIRST_PORT).lines().toList()) {
      String[] words = line.split(" ", 2);
      told.put(words[0], words[1]);
    }
    return new Cluster(folder, told);
  }

  /** The cluster, as an instance that prefers this node finds it. */
  ServerProcess.Database preferring(int node) {
    return new ServerProcess.Database(
        told.get("url" + node), told.get("user"), told.get("password"));
  }

  /** As kill -9 does. */
  void kill(int node) throws Exception {
    script("kill", folder.toString(), String.valueOf(node));
  }

  /** A node comes back and fetches what it missed. */
  void rejoin(int node) throws Exception {
    script("rejoin", folder.toString(), String.valueOf(node));
  }

  private static String script(String... words) throws Exception {
    List<String> command = new ArrayList<>(List.of("bash", "scripts/cluster.sh"));
    command.addAll(List.of(words));
    File said = File.createTempFile("cluster", ".txt");
    Process process =
        new ProcessBuilder(command)
            .directory(ROOT.toFile())
            .redirectErrorStream(true)
            .redirectOutput(said)
            .start();
    int code = process.waitFor();
    String text = Files.readString(said.toPath(), StandardCharsets.UTF_8);
    Files.delete(said.toPath());
    if (code != 0) {
      throw new IOException(text);
    }
    return text;
  }

  @Override
  public void close() throws Exception {
    script("stop", folder.toString());
    try (Stream<Path> all = Files.walk(folder.getParent())) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(path);
      }
    }
  }
}
