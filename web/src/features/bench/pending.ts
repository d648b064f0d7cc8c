/**
 * Taps that found no line to the server. They stay on this device and are sent as soon as it
 * answers, with how long ago they were made, so that the server sets them at their time.
 */
export interface PendingTap {
  /** The same tap always carries the same key: sent twice, it counts once. */
  key: string;
  /** The run that it belongs to. */
  run: string;
  path: string;
  body: Record<string, unknown>;
  words: string;
  /** When it was made, by this device's clock (ms). */
  at: number;
}

const STORE = 'dremsa-pending-taps';
/** A device that was off longer than this asks the maker instead. */
export const LONGEST_MS = 24 * 3600_000;
const listeners = new Set<() => void>();
let known: PendingTap[] | undefined;

function read(): PendingTap[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(STORE) ?? '[]');
    return Array.isArray(kept) ? (kept as PendingTap[]) : [];
  } catch {
    return [];
  }
}

function write(taps: PendingTap[]) {
  known = taps;
  try {
    localStorage.setItem(STORE, JSON.stringify(taps));
  } catch {
    // A full or forbidden store: the tap lives as long as this page does.
  }
  listeners.forEach((tell) => tell());
}

/** The taps that wait; the same array until it changes. */
export function pendingTaps(): PendingTap[] {
  known ??= read();
  return known;
}

export function onPending(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

export function keepTap(tap: PendingTap) {
  write([...pendingTaps().filter((t) => t.key !== tap.key), tap]);
}

export function dropTap(key: string) {
  write(pendingTaps().filter((t) => t.key !== key));
}

/** What is sent of a tap: its body with how long ago it was made. */
export function bodyOf(tap: PendingTap, now: number): Record<string, unknown> {
  return { ...tap.body, secondsAgo: Math.max(0, Math.round((now - tap.at) / 1000)) };
}

/**
 * Sends what waits, the oldest first; stops at the first that still finds no line.
 *
 * @param send resolves when it was taken, rejects with `offline` when nobody answered
 * @param refused told of a tap that the server did not take; it is dropped
 */
export async function sendPending(
  send: (path: string, body: Record<string, unknown>, key: string) => Promise<void>,
  refused: (tap: PendingTap, error: unknown) => void,
  now: () => number,
): Promise<number> {
  let sent = 0;
  for (const tap of [...pendingTaps()]) {
    if (now() - tap.at > LONGEST_MS) {
      dropTap(tap.key);
      refused(tap, new Error('It waited longer than a day.'));
      continue;
    }
    try {
      await send(tap.path, bodyOf(tap, now()), tap.key);
      dropTap(tap.key);
      sent++;
    } catch (error) {
      if ((error as { offline?: boolean }).offline) return sent;
      dropTap(tap.key);
      refused(tap, error);
    }
  }
  return sent;
}
