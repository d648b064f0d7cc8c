package dremsa.server.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.formula.Window;
import dremsa.server.wire.Stored;
import jakarta.validation.Validation;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A tap that an earlier version kept can still be taken back. */
class StoredTapTest {
  private static final Instant THEN = Instant.parse("2026-11-24T10:00:00Z");
  private static final Instant LATER = Instant.parse("2026-11-24T10:05:00Z");

  private static final Batch.Memento STATE =
      new Batch.Memento(
          Batch.Status.RUNNING,
          1,
          THEN,
          null,
          null,
          List.of(
              new StepDone.State(
                  THEN,
                  LATER,
                  Window.Timing.RIGHT,
                  true,
                  480.0,
                  40.5,
                  490.0,
                  5.1,
                  "clear",
                  false,
                  2,
                  50,
                  20),
              new StepDone.State(
                  LATER, null, null, false, null, null, null, null, "", false, 0, 0, 0)),
          "{}",
          "{\"1\":5.0}");

  @Test
  void theFirstVersionIsReadAndWrittenTheSame() throws IOException {
    Stored stored = new Stored(Validation.buildDefaultValidatorFactory().getValidator());
    try (InputStream golden = StoredTapTest.class.getResourceAsStream("/golden/v1/tap.json")) {
      String row = new String(golden.readAllBytes(), StandardCharsets.UTF_8).strip();
      assertThat(stored.read(row, Batch.Memento.class)).isEqualTo(STATE);
      assertThat(stored.write(STATE))
          .isEqualTo(row.replaceFirst("\\{", "{\"schemaVersion\":" + Stored.VERSION + ","));
    }
  }
}
