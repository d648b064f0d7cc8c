package dremsa.server.reminders;

import java.time.Duration;

/**
 * Work that one instance at a time repeats; every bean of this type is taken up by the scheduler.
 *
 * @param name unique, stable across versions
 * @param every from the end of one run to the start of the next
 */
public record Repeated(String name, Duration every, Runnable work) {
  void run() {
    work.run();
  }
}
