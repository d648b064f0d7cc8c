package dremsa.core.timetable;

import java.util.Objects;
import java.util.Set;

/**
 * A piece of work, and what goes on by itself after it.
 *
 * @param words what is done
 * @param hands minutes of work at its beginning; 0 where nobody need be there
 * @param rest minutes that it then goes on alone, before the next task of the job
 * @param most minutes after the work by which the next task must have begun; infinite where it may
 *     wait for ever
 * @param uses what it takes up, by name, from its beginning until the next task of the job begins
 * @param letsGo it takes that up only until its rest is over
 */
public record Task(
    String words, double hands, double rest, double most, Set<String> uses, boolean letsGo) {
  public Task {
    Objects.requireNonNull(words, "words");
    uses = Set.copyOf(uses);
    if (!(hands >= 0 && rest >= 0 && most >= rest)) {
      throw new IllegalArgumentException("a task takes no time backwards: " + words);
    }
  }
}
