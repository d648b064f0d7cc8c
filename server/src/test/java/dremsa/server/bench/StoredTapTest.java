package dremsa.server.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.brew.Reading;
import dremsa.core.formula.Window;
import dremsa.server.wire.Stored;
import jakarta.validation.Validation;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

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
                  Map.of(
                      Reading.VOLUME, 480.0,
                      Reading.TEMPERATURE, 40.5,
                      Reading.WEIGHT, 490.0,
                      Reading.PH, 5.1),
                  "clear",
                  false,
                  2,
                  50,
                  20),
              new StepDone.State(LATER, null, null, false, Map.of(), "", false, 0, 0, 0)),
          "{}",
          "{\"1\":5.0}");

  private final Stored stored =
      new Stored(
          Validation.buildDefaultValidatorFactory().getValidator(),
          List.of(EarlierReadings.readingsOfTaps()));

  private static String golden(String name) throws IOException {
    try (InputStream golden = StoredTapTest.class.getResourceAsStream("/golden/" + name)) {
      return new String(golden.readAllBytes(), StandardCharsets.UTF_8).strip();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"v1/tap.json", "v3/tap.json"})
  void whatAnyVersionWroteIsRead(String name) throws IOException {
    assertThat(stored.read(golden(name), Batch.Memento.class)).isEqualTo(STATE);
  }

  @Test
  void itIsWrittenAsThePresentVersionDoes() throws IOException {
    JsonMapper json = JsonMapper.builder().build();
    assertThat(json.readTree(stored.write(STATE))).isEqualTo(json.readTree(golden("v3/tap.json")));
  }

  @Test
  void readingsOfABackupWithAColumnForEachAreRead() {
    ObjectNode row = JsonMapper.builder().build().createObjectNode();
    row.put("measured_ml", 480).putNull("measured_c").put("measured_ph", 5.1).put("note", "clear");
    EarlierReadings.lift(row, stored);
    assertThat(stored.readings(row.get("readings").stringValue()))
        .isEqualTo(Map.of(Reading.VOLUME, 480.0, Reading.PH, 5.1));
    assertThat(row.propertyNames()).containsExactlyInAnyOrder("note", "readings");
  }

  @Test
  void everyReadingIsALineOfTheLogToo() {
    assertThat(Reading.values())
        .allSatisfy(kind -> assertThat(BatchEntry.Kind.of(kind)).isNotNull());
  }
}
