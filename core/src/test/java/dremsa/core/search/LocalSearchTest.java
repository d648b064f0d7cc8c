package dremsa.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.search.LocalSearch.Ends;
import dremsa.core.search.LocalSearch.Range;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class LocalSearchTest {
  private static final Duration LONG = Duration.ofMinutes(1);
  private static final int[] VALUES = {60, 100, 120};
  private static final int[] WEIGHTS = {10, 20, 30};
  private static final List<Range> KNAPSACK = Collections.nCopies(3, new Range(0, 1, 0));

  /** Common practice as a first knapsack: 160 is the dearest at hand, 220 fits in 50. */
  private static Weight knapsack(int[] taken) {
    int value = 0;
    int weight = 0;
    for (int i = 0; i < taken.length; i++) {
      value += taken[i] * VALUES[i];
      weight += taken[i] * WEIGHTS[i];
    }
    return new Weight(Math.max(0, weight - 50), 0, 280 - value);
  }

  @Test
  void findsWhatIsBestAndTellsEachStepThere() {
    List<int[]> heard = new ArrayList<>();

    int[] found = LocalSearch.best(KNAPSACK, LocalSearchTest::knapsack, ends(500), heard::add);

    assertThat(found).containsExactly(0, 1, 1);
    assertThat(heard).isNotEmpty();
    assertThat(heard.get(heard.size() - 1)).containsExactly(0, 1, 1);
  }

  @Test
  void theSameQuestionHasTheSameAnswer() {
    List<Range> many = Collections.nCopies(12, new Range(-3, 9, 0));
    int[] first = LocalSearch.best(many, LocalSearchTest::rugged, ends(40), found -> {});

    assertThat(LocalSearch.best(many, LocalSearchTest::rugged, ends(40), found -> {}))
        .isEqualTo(first);
  }

  private static Weight rugged(int[] numbers) {
    return new Weight(0, 0, Math.abs(Arrays.hashCode(numbers) % 10_007));
  }

  @Test
  void endsWithWhatIsEnoughOrWhenItIsStopped() {
    AtomicInteger enough = new AtomicInteger();
    LocalSearch.best(
        KNAPSACK,
        numbers -> {
          enough.incrementAndGet();
          return knapsack(numbers);
        },
        new Ends(1_000_000, LONG, 60, () -> false),
        found -> {});
    AtomicInteger stopped = new AtomicInteger();
    LocalSearch.best(
        KNAPSACK,
        numbers -> {
          stopped.incrementAndGet();
          return knapsack(numbers);
        },
        new Ends(1_000_000, LONG, 0, () -> true),
        found -> {});

    assertThat(enough.get()).isLessThan(10_000);
    assertThat(stopped.get()).isLessThan(10_000);
  }

  @Test
  void keepsWhatItBeginsWithWhereThereIsNothingToDo() {
    assertThat(LocalSearch.best(KNAPSACK, LocalSearchTest::knapsack, ends(0), found -> {}))
        .containsExactly(0, 0, 0);
    assertThat(LocalSearch.best(List.of(), LocalSearchTest::knapsack, ends(9), found -> {}))
        .isEmpty();
    assertThatThrownBy(() -> new Range(0, 4, 5)).isInstanceOf(IllegalArgumentException.class);
  }

  private static Ends ends(long moves) {
    return new Ends(moves, LONG);
  }
}
