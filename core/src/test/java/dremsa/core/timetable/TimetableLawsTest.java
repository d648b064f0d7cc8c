package dremsa.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever the work is: nothing is taken up twice, and nobody does two things at once. */
class TimetableLawsTest {
  private static final double EVER = Double.POSITIVE_INFINITY;
  private static final double EPS = 1e-6;

  private static Workroom any(Random dice) {
    List<Job> jobs = new ArrayList<>();
    for (int j = 0; j < 2 + dice.nextInt(3); j++) {
      List<Task> tasks = new ArrayList<>();
      for (int t = 0; t < 2 + dice.nextInt(4); t++) {
        double rest = dice.nextBoolean() ? 5 + dice.nextInt(40) : 0;
        double most = dice.nextInt(3) == 0 ? rest + 5 + dice.nextInt(30) : EVER;
        Set<String> uses =
            switch (dice.nextInt(3)) {
              case 0 -> Set.of("hob");
              case 1 -> Set.of("strainer");
              default -> Set.of();
            };
        tasks.add(
            new Task("t" + t, rest > 0 ? 2 : 2 + dice.nextInt(10), rest, most, uses, rest == 0));
      }
      jobs.add(new Job("j" + j, "j" + j, tasks, dice.nextInt(20), OptionalDouble.empty()));
    }
    List<Workroom.Quiet> quiet =
        dice.nextBoolean() ? List.of(new Workroom.Quiet(90, 150)) : List.of();
    return new Workroom(jobs, Map.of("hob", 1 + dice.nextInt(2)), 1 + dice.nextInt(2), quiet);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void whateverTheWorkIs(long seed) {
    Random dice = new Random(seed);
    for (int round = 0; round < 15; round++) {
      Workroom room = any(dice);
      Timetable table = Ordering.of(room, 300);
      assertThat(table.items())
          .hasSize(room.jobs().stream().mapToInt(job -> job.tasks().size()).sum());
      if (table.clash() > 0) {
        continue;
      }
      for (Timetable.Item item : table.items()) {
        Job job = room.jobs().get(item.job());
        assertThat(item.start()).isGreaterThanOrEqualTo(job.notBefore() - EPS);
        before(table, item)
            .ifPresent(end -> assertThat(item.start()).isGreaterThanOrEqualTo(end - EPS));
        double at = item.start() + EPS;
        assertThat(working(table, at)).isLessThanOrEqualTo(room.pairsOfHands());
        for (String what : Set.of("hob", "strainer")) {
          assertThat(held(room, table, what, at)).as(what).isLessThanOrEqualTo(room.count(what));
        }
        for (Workroom.Quiet quiet : room.quiet()) {
          boolean hands = item.handsEnd() > item.start();
          assertThat(
                  hands && item.start() < quiet.to() - EPS && item.handsEnd() > quiet.from() + EPS)
              .isFalse();
        }
      }
    }
  }

  private static OptionalDouble before(Timetable table, Timetable.Item item) {
    return table.items().stream()
        .filter(other -> other.job() == item.job() && other.task() == item.task() - 1)
        .mapToDouble(Timetable.Item::end)
        .findFirst();
  }

  private static long working(Timetable table, double at) {
    return table.items().stream()
        .filter(item -> item.start() <= at && item.handsEnd() > at)
        .count();
  }

  private static long held(Workroom room, Timetable table, String what, double at) {
    return table.items().stream()
        .filter(item -> room.jobs().get(item.job()).tasks().get(item.task()).uses().contains(what))
        .filter(item -> item.start() <= at && until(room, table, item) > at + EPS)
        .count();
  }

  /** What is not let go is held until the job goes on. */
  private static double until(Workroom room, Timetable table, Timetable.Item item) {
    Task task = room.jobs().get(item.job()).tasks().get(item.task());
    if (task.letsGo()) {
      return item.end();
    }
    return table.items().stream()
        .filter(other -> other.job() == item.job() && other.task() == item.task() + 1)
        .mapToDouble(Timetable.Item::start)
        .findFirst()
        .orElse(item.end());
  }

  @Test
  void whatWaitsTooLongIsCountedAndSoIsWhatIsLate() {
    Task quick = new Task("stir", 30, 0, EVER, Set.of(), false);
    Task must = new Task("pour", 2, 5, 10, Set.of(), false);
    Job urgent = new Job("u", "u", List.of(must, quick), 0, OptionalDouble.of(20));
    Workroom room = new Workroom(List.of(urgent), Map.of(), 1, List.of(new Workroom.Quiet(4, 60)));

    Timetable table = Ordering.of(room);

    assertThat(table.overrun()).isCloseTo(60 - 2 - 10, within(1e-3));
    assertThat(table.late()).isCloseTo(90 - 20, within(1e-6));
    assertThat(table.stretches()).hasSize(2);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new Task("back", 1, 10, 5, Set.of(), false))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Workroom(List.of(), Map.of(), 0, List.of()))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(Ordering.of(new Workroom(List.of(), Map.of(), 1, List.of())).end()).isZero();
  }
}
