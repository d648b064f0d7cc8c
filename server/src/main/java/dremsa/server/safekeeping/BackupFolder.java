package dremsa.server.safekeeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.text.Normalizer;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** A folder for each household, in it a file for each day. */
@Component
class BackupFolder {
  private static final String ENDING = ".zip";
  private static final int LONGEST_NAME = 40;

  private final Optional<Path> root;

  BackupFolder(@Value("${dremsa.backups}") String root) {
    this.root = root.isBlank() ? Optional.empty() : Optional.of(Path.of(root).toAbsolutePath());
  }

  /**
   * A file that stands there.
   *
   * @param day that it was made on, in the household's zone
   */
  record Kept(LocalDate day, long bytes, Path file) {}

  /** Where backups go; empty where none are kept. */
  Optional<Path> root() {
    return root;
  }

  /** A household's own folder, by its name, told apart by its id. */
  private Path of(UUID household, String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFKD)
            .replaceAll("\\p{M}", "")
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String cut = plain.substring(0, Math.min(LONGEST_NAME, plain.length()));
    String id = household.toString().substring(0, 8);
    return root.orElseThrow().resolve(cut.isEmpty() ? id : cut + "-" + id);
  }

  /** What stands there of a household, the newest first. */
  List<Kept> of(UUID household) {
    if (root.isEmpty() || !Files.isDirectory(root.get())) {
      return List.of();
    }
    String id = household.toString().substring(0, 8);
    try (Stream<Path> folders = Files.list(root.get())) {
      return folders
          .filter(Files::isDirectory)
          .filter(folder -> folder.getFileName().toString().matches("(.*-)?" + id))
          .flatMap(BackupFolder::files)
          .sorted((a, b) -> b.day().compareTo(a.day()))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Stream<Kept> files(Path folder) {
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .flatMap(
              file ->
                  day(file)
                      .map(
                          day -> {
                            try {
                              return new Kept(day, Files.size(file), file);
                            } catch (IOException e) {
                              throw new UncheckedIOException(e);
                            }
                          })
                      .stream())
          .toList()
          .stream();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Optional<LocalDate> day(Path file) {
    String name = file.getFileName().toString();
    try {
      return name.endsWith(ENDING)
          ? Optional.of(LocalDate.parse(name.substring(0, name.length() - ENDING.length())))
          : Optional.empty();
    } catch (DateTimeException e) {
      // Somebody else's file; it is left alone.
      return Optional.empty();
    }
  }

  /** Lays a verified file down as the one of a day; it is there whole or not at all. */
  Path keep(UUID household, String name, LocalDate day, Path verified) throws IOException {
    Path folder = Files.createDirectories(of(household, name));
    Path part = folder.resolve(day + ".part");
    Files.copy(verified, part, StandardCopyOption.REPLACE_EXISTING);
    try (var channel =
        java.nio.channels.FileChannel.open(part, java.nio.file.StandardOpenOption.WRITE)) {
      channel.force(true);
    }
    Path kept = folder.resolve(day + ENDING);
    Files.move(part, kept, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    return kept;
  }

  /** Deletes what the rotation no longer keeps. */
  void tidy(UUID household) throws IOException {
    List<Kept> all = of(household);
    Set<LocalDate> stay = Rotation.kept(all.stream().map(Kept::day).toList());
    for (Kept one : all) {
      if (!stay.contains(one.day())) {
        Files.deleteIfExists(one.file());
      }
    }
  }
}
