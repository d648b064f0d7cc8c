package dremsa.server.reminders;

import java.time.Instant;

/**
 * Something to be told at its time.
 *
 * @param occasion unique within the household; the same one is told once
 * @param kind how loudly
 * @param title what it is about, e.g. the brew's name
 * @param words what to do
 * @param link the screen that it is done on
 */
public record Due(String occasion, Instant at, Kind kind, String title, String words, String link) {
  /** How loudly it is told; each has its own sound. */
  public enum Kind {
    SOON,
    NOW,
    LATE
  }
}
