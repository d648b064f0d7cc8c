package dremsa.server.safekeeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** Which backups stay. */
class RotationTest {
  /** ISO 8601: 2026-W53 ends on Sunday 3 January 2027. */
  private static final LocalDate SUNDAY = LocalDate.of(2027, 1, 3);

  /** As it goes in a household: one is made, what is not kept is deleted. */
  private static Set<LocalDate> lived(LocalDate first, int days) {
    Set<LocalDate> there = new TreeSet<>();
    for (int i = 0; i < days; i++) {
      there.add(first.plusDays(i));
      there.retainAll(Rotation.kept(there));
    }
    return there;
  }

  @Test
  void aWeekOfDaysAndTheFirstOfFourWeeks() {
    Set<LocalDate> kept = lived(SUNDAY.minusDays(60), 61);
    assertThat(kept)
        .containsExactly(
            LocalDate.of(2026, 12, 7),
            LocalDate.of(2026, 12, 14),
            LocalDate.of(2026, 12, 21),
            LocalDate.of(2026, 12, 28),
            LocalDate.of(2026, 12, 29),
            LocalDate.of(2026, 12, 30),
            LocalDate.of(2026, 12, 31),
            LocalDate.of(2027, 1, 1),
            LocalDate.of(2027, 1, 2),
            LocalDate.of(2027, 1, 3));
  }

  @Test
  void aMachineThatWasOffLosesNone() {
    Set<LocalDate> before = lived(SUNDAY.minusDays(60), 61);
    List<LocalDate> after = new ArrayList<>(before);
    after.add(SUNDAY.plusDays(90));
    assertThat(Rotation.kept(after)).hasSizeGreaterThanOrEqualTo(before.size() - 1);
    assertThat(Rotation.kept(after)).contains(SUNDAY.plusDays(90), SUNDAY, SUNDAY.minusDays(5));
  }

  @Test
  void ofFewNothingIsDeleted() {
    assertThat(Rotation.kept(List.of())).isEmpty();
    List<LocalDate> few = IntStream.range(0, 7).mapToObj(SUNDAY::minusDays).toList();
    assertThat(Rotation.kept(few)).containsExactlyInAnyOrderElementsOf(few);
  }

  /**
   * Whatever days there are: the newest stays, never more than eleven, and tidying twice is once.
   */
  @RepeatedTest(200)
  void laws(RepetitionInfo which) {
    Random dice = new Random(which.getCurrentRepetition());
    List<LocalDate> days =
        dice.ints(dice.nextInt(1, 60), 0, 400).mapToObj(SUNDAY::minusDays).distinct().toList();
    Set<LocalDate> kept = Rotation.kept(days);
    assertThat(days).containsAll(kept);
    assertThat(kept).contains(days.stream().max(LocalDate::compareTo).orElseThrow());
    assertThat(kept).hasSizeLessThanOrEqualTo(Rotation.DAILY + Rotation.WEEKLY);
    assertThat(kept).hasSizeGreaterThanOrEqualTo(Math.min(days.size(), Rotation.DAILY));
    assertThat(Rotation.kept(kept)).isEqualTo(kept);
  }
}
