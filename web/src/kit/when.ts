import type { Format } from './format';

/**
 * A local date and time of the household ("2026-10-25T01:30") as an instant. In an hour that the
 * clocks repeat the earlier one is meant; in one that they leave out, the time after it.
 */
export function zonedInstant(local: string, format: Format): string {
  const wanted = Date.parse(local + ':00Z');
  let instant = wanted;
  // The offset at the guess, then at the corrected guess: enough for any zone's change.
  for (let i = 0; i < 3; i++) {
    const shown = Date.parse(format.localOf(instant) + ':00Z');
    const next = instant - (shown - wanted);
    if (next === instant) break;
    instant = next;
  }
  const earlier = instant - 3_600_000;
  if (format.localOf(earlier) === local) instant = earlier;
  return new Date(instant).toISOString();
}
