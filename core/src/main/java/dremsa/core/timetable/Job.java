package dremsa.core.timetable;

import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;

/**
 * Tasks one after the other.
 *
 * @param notBefore minute at which the first of them may begin
 * @param readyBy minute by which the last should be over; empty where it does not matter
 */
public record Job(
    String id, String name, List<Task> tasks, double notBefore, OptionalDouble readyBy) {
  public Job {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(readyBy, "readyBy");
    tasks = List.copyOf(tasks);
  }
}
