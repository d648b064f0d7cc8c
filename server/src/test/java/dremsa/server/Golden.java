package dremsa.server;

import dremsa.server.wire.Stored;
import jakarta.validation.Validation;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Rows as a version wrote them, each on a line of its own. */
public final class Golden {
  private Golden() {}

  /** The rows of a file: {@code "v3/entries.jsonl"}. */
  public static List<String> rows(String file) {
    try (InputStream in = Golden.class.getResourceAsStream("/golden/" + file)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip().lines().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Reads and writes them. */
  public static Stored stored() {
    return new Stored(Validation.buildDefaultValidatorFactory().getValidator(), List.of());
  }
}
