package dremsa.server.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.brew.PotNow;
import dremsa.core.material.Materials;
import dremsa.core.practice.Act;
import dremsa.core.practice.Exercises;
import dremsa.core.practice.PracticeRun;
import dremsa.server.Golden;
import dremsa.server.practice.PracticeJson.KeptPractice;
import dremsa.server.wire.Stored;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Acts that this version kept are done as they were; and the clock of a pot. */
class StoredPracticeTest {
  private static final Instant NOON = Instant.parse("2026-11-24T12:00:00Z");

  private final Stored stored = Golden.stored();

  private KeptPractice practice(int row) {
    return stored.read(Golden.rows("v3/practices.jsonl").get(row), KeptPractice.class);
  }

  @Test
  void actsMeanWhatTheyMeant() {
    assertThat(practice(0).toCore())
        .containsExactly(
            new Act(181.5, Act.Kind.NEXT, "", 0),
            new Act(182, Act.Kind.HEAT, "", 1),
            new Act(190, Act.Kind.LID, "", 1),
            new Act(320.25, Act.Kind.STIR, "", 0));
    assertThat(practice(1).toCore())
        .extracting(Act::kind, Act::what)
        .contains(
            org.assertj.core.groups.Tuple.tuple(Act.Kind.WEIGH, "water"),
            org.assertj.core.groups.Tuple.tuple(Act.Kind.CHOOSE, "shelf"));
  }

  /** Whoever comes back after years finds the same pot. */
  @Test
  void keptActsMakeAPotThatIsHotUnderItsLid() {
    PracticeRun run =
        PracticeRun.of(
            Exercises.find("under-the-lid").orElseThrow(),
            Materials.standard(),
            practice(0).toCore(),
            330);
    PotNow pot = run.pot();
    assertThat(run.step()).isEqualTo(1);
    assertThat(run.lid()).isTrue();
    assertThat(run.heat()).isEqualTo(1);
    assertThat(pot.celsius()).isCloseTo(100, within(0.5));
  }

  @Test
  void oneMoreActIsKeptBehindTheOthersAndReadAgain() {
    KeptPractice more = practice(0).with(new Act(400, Act.Kind.NEXT, "", 0));
    KeptPractice again = stored.read(stored.write(more), KeptPractice.class);
    assertThat(again.toCore()).hasSize(5).endsWith(new Act(400, Act.Kind.NEXT, "", 0));
  }

  @Test
  void whatIsNoActIsRefused() {
    for (String act :
        List.of(
            "{\"second\":-1,\"kind\":\"NEXT\",\"value\":0}",
            "{\"second\":1,\"kind\":\"DANCE\",\"value\":0}")) {
      String row = "{\"formula\":null,\"kitchen\":null,\"acts\":[" + act + "]}";
      assertThatThrownBy(() -> stored.read(row, KeptPractice.class).toCore())
          .as(act)
          .isInstanceOf(RuntimeException.class);
    }
  }

  private static PracticeRow row() {
    return new PracticeRow(UUID.randomUUID(), null, "too-soon", 4, NOON, "{}");
  }

  @Test
  void thePotsTimeGoesOnAsFastAsItIsSet() {
    PracticeRow row = row();
    assertThat(row.second(NOON.plusSeconds(30))).isEqualTo(30);
    row.goesOn(30, 60, NOON.plusSeconds(30));
    assertThat(row.second(NOON.plusSeconds(40))).isEqualTo(630);
    row.goesOn(630, 0, NOON.plusSeconds(40));
    assertThat(row.second(NOON.plus(Duration.ofDays(3)))).isEqualTo(630);
    assertThat(row.leftAlone(NOON.plus(Duration.ofDays(3)))).isFalse();
  }

  @Test
  void nobodyAtItForAnHourHoldsIt() {
    PracticeRow row = row();
    row.goesOn(0, 2, NOON);
    Instant week = NOON.plus(Duration.ofDays(7));
    assertThat(row.second(week)).isEqualTo(7200);
    assertThat(row.leftAlone(week)).isTrue();
    assertThat(row.leftAlone(NOON.plus(Duration.ofMinutes(59)))).isFalse();
    // A clock that was put back does not run it backwards.
    assertThat(row.second(NOON.minusSeconds(500))).isZero();
  }

  @Test
  void whatIsOverStandsStill() {
    PracticeRow row = row();
    row.goesOn(90, 1, NOON);
    row.ended(NOON, 3);
    assertThat(row.second(NOON.plusSeconds(1000))).isEqualTo(90);
    assertThat(row.leftAlone(NOON.plus(Duration.ofDays(2)))).isFalse();
    assertThat(row.reached()).isEqualTo(3);
  }
}
