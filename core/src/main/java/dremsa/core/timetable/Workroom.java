package dremsa.core.timetable;

import java.util.List;
import java.util.Map;

/**
 * Jobs, and what there is to do them with.
 *
 * @param there how many there are of what tasks take up; one, where nothing is said
 * @param pairsOfHands 1 or more
 * @param quiet spans in which no hands are to be had
 */
public record Workroom(
    List<Job> jobs, Map<String, Integer> there, int pairsOfHands, List<Quiet> quiet) {
  /** From one minute to another. */
  public record Quiet(double from, double to) {}

  public Workroom {
    jobs = List.copyOf(jobs);
    there = Map.copyOf(there);
    quiet = List.copyOf(quiet);
    if (pairsOfHands < 1) {
      throw new IllegalArgumentException("somebody must be there");
    }
  }

  /** So many of it. */
  int count(String what) {
    return there.getOrDefault(what, 1);
  }

  /** Whether waiting may be wise: something must not wait too long, or is wanted at a time. */
  boolean mayWait() {
    return jobs.stream()
        .anyMatch(
            job ->
                job.readyBy().isPresent()
                    || job.tasks().stream().anyMatch(task -> !Double.isInfinite(task.most())));
  }
}
