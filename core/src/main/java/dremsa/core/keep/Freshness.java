package dremsa.core.keep;

import java.time.LocalDate;

/** How near a kept brew is to its last day. */
public enum Freshness {
  /** More than two days left after today. */
  GOOD,
  /** The last day is tomorrow or the day after. */
  SOON,
  /** Today is the last day, or it was for use at once today. */
  LAST_DAY,
  /** To be thrown away. */
  OVER;

  private static final int SOON_DAYS = 2;

  /** How fresh something is on a day. */
  public static Freshness of(LocalDate lastDay, LocalDate today) {
    if (today.isAfter(lastDay)) {
      return OVER;
    }
    if (today.equals(lastDay)) {
      return LAST_DAY;
    }
    return today.plusDays(SOON_DAYS).isBefore(lastDay) ? GOOD : SOON;
  }
}
