package dremsa.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.brew.Thickness;
import dremsa.core.learn.Confounder;
import dremsa.core.learn.Criterion;
import dremsa.server.Golden;
import dremsa.server.journal.JournalJson.KeptCourse;
import dremsa.server.journal.JournalJson.KeptEntry;
import dremsa.server.wire.Stored;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Entries and courses that this version kept mean what they meant, and nothing else is an entry.
 */
class StoredEntryTest {
  private final Stored stored = Golden.stored();

  private KeptEntry entry(int row) {
    return stored.read(Golden.rows("v3/entries.jsonl").get(row), KeptEntry.class);
  }

  @Test
  void anEntryMeansWhatItMeant() {
    assertThat(entry(0))
        .isEqualTo(
            new KeptEntry(
                "Held till the next wash; \"crunchy\" for an hour.",
                Map.of(Criterion.HOLD, 4.0, Criterion.DETANGLING, 12.5),
                List.of(Confounder.HEAT, Confounder.STRESS),
                Thickness.GEL));
  }

  @Test
  void whatNobodySaidOfThicknessStaysUnsaid() {
    assertThat(entry(1).thickness()).isNull();
    assertThat(entry(1).scores()).containsExactly(Map.entry(Criterion.FLAKES, 2.0));
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    assertThat(stored.read(stored.write(entry(0)), KeptEntry.class)).isEqualTo(entry(0));
    assertThat(stored.read(stored.write(entry(1)), KeptEntry.class)).isEqualTo(entry(1));
  }

  @Test
  void aCourseMeansWhatItMeant() {
    KeptCourse course = stored.read(Golden.rows("v3/course.json").get(0), KeptCourse.class);
    assertThat(course.beside()).containsExactly(Confounder.SEASON, Confounder.NEW_BRAIDS);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"words\":\"x\",\"scores\":{\"SLIP\":9},\"beside\":[]}",
        "{\"words\":\"x\",\"scores\":{\"SLIP\":null},\"beside\":[]}",
        "{\"words\":\"x\",\"scores\":{\"LUCK\":3},\"beside\":[]}",
        "{\"words\":\"x\",\"scores\":{},\"beside\":[\"MOON\"]}",
        "{\"words\":\"x\",\"scores\":{},\"beside\":[],\"thickness\":\"ROCK\"}",
        "{\"schemaVersion\":99,\"words\":\"x\",\"scores\":{},\"beside\":[]}",
        "[]"
      })
  void whatIsNoEntryIsRefused(String row) {
    assertThatThrownBy(() -> stored.read(row, KeptEntry.class))
        .isInstanceOf(RuntimeException.class);
  }
}
