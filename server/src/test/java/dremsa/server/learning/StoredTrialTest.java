package dremsa.server.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.learn.Criterion;
import dremsa.core.learn.HeadSection;
import dremsa.core.learn.SectionTrial;
import dremsa.server.Golden;
import dremsa.server.learning.TrialJson.Kept;
import dremsa.server.wire.Stored;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Trials that this version kept, and the one before it without their times, mean what they meant.
 */
class StoredTrialTest {
  private final Stored stored = Golden.stored();

  private Kept trial(int row) {
    return stored.read(Golden.rows("v3/trials.jsonl").get(row), Kept.class);
  }

  @Test
  void jarsAreNamedByWhatIsInThem() {
    SectionTrial trial = trial(0).toCore();
    assertThat(trial.products()).containsExactly("Oil", "Gel");
    assertThat(trial.scores().get(Criterion.SLIP))
        .containsExactlyInAnyOrderEntriesOf(Map.of("Oil", 4.0, "Gel", 2.5));
    assertThat(trial.scores().get(Criterion.HOLD)).containsExactly(Map.entry("Gel", 5.0));
    assertThat(trial(0).on())
        .containsEntry(HeadSection.LEFT, 1)
        .containsEntry(HeadSection.RIGHT, 0);
  }

  @Test
  void whatWasKeptBeforeThereWereTimesHasNone() {
    assertThat(trial(0).lookHours()).isNull();
    assertThat(trial(0).blind()).isTrue();
    assertThat(trial(1).lookHours()).containsExactly(6, 24);
    assertThat(trial(1).blind()).isFalse();
  }

  @Test
  void otherScoresLeaveJarsAndTimesAlone() {
    Kept scored = trial(1).with(Map.of(Criterion.HOLD, Map.of(0, 3.0)));
    assertThat(scored.lookHours()).containsExactly(6, 24);
    assertThat(stored.read(stored.write(scored), Kept.class)).isEqualTo(scored);
  }

  @Test
  void aScoreOfAJarThatIsNotThereIsNoTrial() {
    String row =
        "{\"products\":[\"Oil\",\"Gel\"],\"on\":{\"LEFT\":0,\"RIGHT\":1},\"blind\":false,"
            + "\"scores\":{\"SLIP\":{\"7\":3.0}}}";
    assertThatThrownBy(() -> stored.read(row, Kept.class).toCore())
        .isInstanceOf(RuntimeException.class);
  }
}
