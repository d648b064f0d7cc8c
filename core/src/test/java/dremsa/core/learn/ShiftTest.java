package dremsa.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ShiftTest {
  private static final LocalDate FIRST = LocalDate.of(2026, 3, 2);

  /**
   * Sleep gained with two drugs: Student, The probable error of a mean, Biometrika 6 (1908). The
   * interval of Welch's comparison, -3.3654832 to 0.2054832, is from memory of a statistics
   * package's own example.
   */
  @Test
  void studentsSleepDataGiveWelchsInterval() {
    List<Double> one = List.of(0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0);
    List<Double> other = List.of(1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4);
    Shift shift = Shift.of(other, one, 0.1);
    assertThat(shift.difference()).isCloseTo(-1.58, within(1e-9));
    assertThat(shift.low().getAsDouble()).isCloseTo(-3.3654832, within(1e-6));
    assertThat(shift.high().getAsDouble()).isCloseTo(0.2054832, within(1e-6));
    assertThat(shift.settled()).isFalse();
    assertThat(shift.more().getAsInt()).isBetween(1, 8);
  }

  /** Student's t with 9 degrees: 2.262157, as printed in any table. */
  @Test
  void theIntervalOfAMeanIsStudents() {
    List<Double> ten = List.of(1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0);
    Mean mean = Mean.of(ten);
    double half = 2.262157 * Math.sqrt(55.0 / 6 / 10);
    assertThat(mean.value()).isEqualTo(5.5);
    assertThat(mean.low().getAsDouble()).isCloseTo(5.5 - half, within(1e-5));
    assertThat(Mean.of(List.of(4.0)).low()).isEmpty();
    assertThat(Mean.of(List.of()).value()).isNaN();
  }

  @Test
  void tooFewTellNothingAndSayHowManyAreWanted() {
    Shift shift = Shift.of(List.of(3.0), List.of(5.0, 5.0), 1);
    assertThat(shift.low()).isEmpty();
    assertThat(shift.settled()).isFalse();
    assertThat(shift.words(Criterion.SLIP, "with version 1", "with version 2"))
        .isEqualTo(
            "slip: 3.0 with version 1 (1), 5.0 with version 2 (2): too few to tell, at least 3 of"
                + " each.");
    assertThat(Shift.of(List.of(), List.of(4.0), 1).words(Criterion.SLIP, "with 1", "with 2"))
        .isEqualTo("slip: no judgement yet with 1.");
  }

  @Test
  void wherelessIsBetterTheLowerOneIsTheBetter() {
    Shift shift = Shift.of(List.of(20.0, 22.0, 21.0, 19.0), List.of(9.0, 10.0, 8.0, 9.0), 1);
    assertThat(shift.settled()).isTrue();
    assertThat(shift.words(Criterion.DETANGLING, "with the old one", "with the new one"))
        .endsWith("it was better with the new one.");
    assertThat(shift.words(Criterion.SLIP, "with the old one", "with the new one"))
        .endsWith("it was better with the old one.");
  }

  /** Where all judge alike chance is not nothing: a scale of whole steps tells no finer. */
  @Test
  void alikeJudgementsDoNotMakeAProof() {
    assertThat(Shift.of(List.of(4.0, 4.0, 4.0), List.of(4.0, 4.0, 4.0), 1).settled()).isFalse();
    Shift one = Shift.of(List.of(3.0, 3.0, 3.0), List.of(4.0, 4.0, 4.0), 1);
    assertThat(one.high().getAsDouble() - one.low().getAsDouble()).isGreaterThan(0.5);
  }

  /** A law: of products that are alike not more than about one in twenty is called better. */
  @Test
  void chanceAloneIsSeldomCalledADifference() {
    Random dice = new Random(7);
    int settled = 0;
    for (int i = 0; i < 2000; i++) {
      List<Double> a = new ArrayList<>();
      List<Double> b = new ArrayList<>();
      for (int n = 0; n < 6; n++) {
        a.add((double) Math.round(Math.min(5, Math.max(1, 3 + dice.nextGaussian()))));
        b.add((double) Math.round(Math.min(5, Math.max(1, 3 + dice.nextGaussian()))));
      }
      settled += Shift.of(a, b, 1).settled() ? 1 : 0;
    }
    assertThat(settled / 2000.0).isBetween(0.01, 0.06);
  }

  private static Course course(List<LocalDate> uses, List<Course.Judged> judged) {
    return new Course("Nettle rinse", FIRST, 4, 3, uses, judged, Set.of());
  }

  @Test
  void aCourseSaysHowFarTheRhythmWasKeptUp() {
    List<LocalDate> uses = new ArrayList<>();
    for (int day = 0; day < 28; day += 3) {
      uses.add(FIRST.plusDays(day));
      uses.add(FIRST.plusDays(day));
    }
    uses.add(FIRST.minusDays(2));
    Course kept = course(uses, List.of());
    LocalDate end = kept.last();
    assertThat(end).isEqualTo(FIRST.plusDays(27));
    assertThat(kept.wanted(end)).isEqualTo(10);
    assertThat(kept.ticks(end)).hasSize(10);
    assertThat(kept.keptUp(end)).isTrue();
    assertThat(kept.words(end))
        .containsExactly(
            "Nettle rinse was used on 10 of 10 days that the rhythm asks for.",
            "Nothing was judged before it or in its second half: nothing can be told.");
    assertThat(course(uses.subList(0, 6), List.of()).words(end).get(0))
        .endsWith("too seldom to say what it does.");
    assertThat(kept.wanted(FIRST.minusDays(1))).isZero();
    assertThat(kept.words(FIRST)).anyMatch(each -> each.equals("It goes on for 27 more days."));
  }

  @Test
  void whatWasJudgedBeforeIsHeldAgainstItsSecondHalf() {
    List<Course.Judged> judged = new ArrayList<>();
    for (int i = 1; i <= 4; i++) {
      judged.add(new Course.Judged(FIRST.minusDays(7L * i), Criterion.FLAKES, 4));
      judged.add(new Course.Judged(FIRST.plusDays(15 + 3L * i), Criterion.FLAKES, 2));
    }
    // What was judged in its first half, and long before, says nothing of it.
    judged.add(new Course.Judged(FIRST.plusDays(2), Criterion.FLAKES, 5));
    judged.add(new Course.Judged(FIRST.minusDays(90), Criterion.FLAKES, 1));
    Course course = course(List.of(), judged);
    Shift shift = course.shifts().get(Criterion.FLAKES);
    assertThat(shift.before().n()).isEqualTo(4);
    assertThat(shift.after().value()).isEqualTo(2);
    assertThat(shift.settled()).isTrue();
    assertThat(course.words(course.last()))
        .anyMatch(each -> each.contains("it was better in its second half"))
        .anyMatch(each -> each.startsWith("One person and one course"));
    Course stressed = new Course("x", FIRST, 4, 3, List.of(), judged, Set.of(Confounder.STRESS));
    assertThat(stressed.words(course.last()))
        .anyMatch(each -> each.contains("something else changed too: stress"));
  }

  @Test
  void aRhythmIsWithinItsCourse() {
    assertThatThrownBy(() -> new Course("x", FIRST, 1, 9, List.of(), List.of(), Set.of()))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Course("x", FIRST, 60, 9, List.of(), List.of(), Set.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
