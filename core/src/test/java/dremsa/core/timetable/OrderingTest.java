package dremsa.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

class OrderingTest {
  private static final double EVER = Double.POSITIVE_INFINITY;

  /** Machine and time of each operation. */
  private static final int[][] FT06 = {
    {2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6},
    {1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4},
    {2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7},
    {1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9},
    {2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1},
    {1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1}
  };

  /** Fisher and Thompson, Industrial Scheduling (1963), 6 by 6: the optimum is 55; from memory. */
  @Test
  void theJobShopOfSixBySix() {
    List<Job> jobs = new ArrayList<>();
    for (int job = 0; job < FT06.length; job++) {
      List<Task> tasks = new ArrayList<>();
      for (int i = 0; i < FT06[job].length; i += 2) {
        tasks.add(
            new Task("operation", 0, FT06[job][i + 1], EVER, Set.of("m" + FT06[job][i]), true));
      }
      jobs.add(job("j" + job, tasks));
    }
    Timetable table = Ordering.of(new Workroom(jobs, Map.of(), 1, List.of()), 60_000);

    assertThat(table.clash()).isZero();
    assertThat(table.end()).isCloseTo(55, within(1e-9));
  }

  @Test
  void aBoilIsStrainedInTimeWhileAnotherPotIsFilled() {
    Job boil =
        job(
            "boil",
            List.of(
                new Task("set on", 5, 20, 25, Set.of("hob"), false),
                new Task("strain", 5, 0, EVER, Set.of("strainer"), false)));
    Job steep =
        job(
            "steep",
            List.of(
                new Task("pour over", 5, 15, 20, Set.of("hob"), false),
                new Task("strain", 5, 0, EVER, Set.of("strainer"), false)));

    Timetable table =
        Ordering.of(new Workroom(List.of(boil, steep), Map.of("hob", 2), 1, List.of()));

    assertThat(table.clash()).isZero();
    assertThat(table.overrun()).isZero();
    assertThat(table.end()).isLessThanOrEqualTo(40);
  }

  @Test
  void oneHobIsTakenInTurnsAndNobodyIsWokenAtNight() {
    List<Task> tasks =
        List.of(
            new Task("set on", 5, 30, 40, Set.of("hob"), false),
            new Task("strain", 5, 0, EVER, Set.of(), false));
    Workroom room =
        new Workroom(
            List.of(job("a", tasks), job("b", tasks)),
            Map.of(),
            1,
            List.of(new Workroom.Quiet(50, 500)));

    Timetable table = Ordering.of(room);

    assertThat(table.clash()).isZero();
    assertThat(table.overrun()).isZero();
    assertThat(table.items()).allMatch(item -> item.handsEnd() <= 50 || item.start() >= 500);
  }

  @Test
  void readyByIsKeptWhereItCanBe() {
    List<Task> tasks = List.of(new Task("stir", 20, 10, EVER, Set.of(), false));
    Job early = new Job("e", "e", tasks, 0, OptionalDouble.of(30));

    Timetable table =
        Ordering.of(
            new Workroom(List.of(job("a", tasks), job("b", tasks), early), Map.of(), 1, List.of()));

    assertThat(table.late()).isZero();
    assertThat(table.stretches()).hasSize(1);
  }

  private static Job job(String id, List<Task> tasks) {
    return new Job(id, id, tasks, 0, OptionalDouble.empty());
  }
}
