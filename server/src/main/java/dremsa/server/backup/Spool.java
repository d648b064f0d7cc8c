package dremsa.server.backup;

import dremsa.server.http.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Files in which backups wait on the disk of this machine: whole before they are sent, and whole
 * before they are read in. Few are worked on at a time, and none where the disk would get full.
 */
@Component
class Spool {
  private static final int AT_ONCE = 2;

  /** So much stays free for the database. */
  private static final long KEPT_FREE_BYTES = 512L * 1024 * 1024;

  private static final int LOOK_EVERY_BYTES = 64 * 1024 * 1024;

  private final Semaphore desks = new Semaphore(AT_ONCE);

  /** Writes into a file. */
  interface Writing {
    void to(OutputStream out) throws IOException;
  }

  /**
   * Makes a file and hands it out; whoever takes it deletes it.
   *
   * @param bytes about so many are to come
   */
  Path made(long bytes, Writing writing) {
    take();
    try {
      Path file = Files.createTempFile("dremsa-backup", ".zip");
      try {
        checkRoom(file, bytes);
        try (OutputStream out = Files.newOutputStream(file)) {
          writing.to(out);
        }
        return file;
      } catch (IOException | RuntimeException e) {
        Files.deleteIfExists(file);
        throw e;
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      desks.release();
    }
  }

  /** Keeps what comes in a file for as long as the work with it takes. */
  <T> T filled(InputStream in, Function<Path, T> work) {
    take();
    try {
      Path file = Files.createTempFile("dremsa-restore", ".zip");
      try {
        copy(in, file);
        return work.apply(file);
      } finally {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      desks.release();
    }
  }

  private static void copy(InputStream in, Path file) throws IOException {
    byte[] buffer = new byte[1 << 16];
    long sinceLook = LOOK_EVERY_BYTES;
    try (OutputStream out = Files.newOutputStream(file)) {
      for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
        sinceLook += n;
        if (sinceLook >= LOOK_EVERY_BYTES) {
          checkRoom(file, LOOK_EVERY_BYTES);
          sinceLook = 0;
        }
        out.write(buffer, 0, n);
      }
    }
  }

  private void take() {
    try {
      if (desks.tryAcquire(5, TimeUnit.SECONDS)) {
        return;
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    throw Problem.busy();
  }

  private static void checkRoom(Path file, long bytes) throws IOException {
    if (Files.getFileStore(file).getUsableSpace() < bytes + KEPT_FREE_BYTES) {
      throw new Problem(
          HttpStatus.INSUFFICIENT_STORAGE,
          "no-room",
          "The disk of the machine that Dremsa runs on is nearly full. Make room on it first.",
          List.of());
    }
  }
}
