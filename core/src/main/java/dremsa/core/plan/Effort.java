package dremsa.core.plan;

import java.time.Duration;
import java.util.function.BooleanSupplier;

/**
 * How long a better plan is looked for.
 *
 * @param moves so many ways are tried at most; the answer hangs on this, not on the machine
 * @param longest never longer than this; it ends a search on a slow machine only
 * @param enough it ends where no plan can be better by more than this share
 * @param stopped asked now and then whether somebody wants it to end
 */
public record Effort(long moves, Duration longest, double enough, BooleanSupplier stopped) {
  /** Some seconds on a usual machine. */
  public static final Effort USUAL = new Effort(60_000, Duration.ofSeconds(5), 0.01, () -> false);
}
