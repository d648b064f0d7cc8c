/**
 * Taps that were not taken yet: no line to the server, nobody signed in, a server with too much to
 * do. They stay on this device and are sent again until they are taken, with how long ago they were
 * made, so that the server sets them at their time.
 */
export interface PendingTap {
  /** The same tap always carries the same key: sent twice, it counts once. */
  key: string;
  /** The run that it belongs to. */
  run: string;
  path: string;
  body: Record<string, unknown>;
  words: string;
  /** Who made it; it is sent when the same one is signed in. */
  who?: string;
  /** Why it was not taken the last time. */
  why?: string;
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

function replace(tap: PendingTap) {
  write(pendingTaps().map((t) => (t.key === tap.key ? tap : t)));
}

export function dropTap(key: string) {
  write(pendingTaps().filter((t) => t.key !== key));
}

/** What is sent of a tap: its body with how long ago it was made. */
export function bodyOf(tap: PendingTap, now: number): Record<string, unknown> {
  return { ...tap.body, secondsAgo: Math.max(0, Math.round((now - tap.at) / 1000)) };
}

/**
 * Sends what waits, the oldest first; stops at the first that still is not taken.
 *
 * @param send resolves when it was taken, rejects with `passing` when it may be taken later
 * @param refused told of a tap that the server refuses for good; it is dropped
 * @param who is signed in; the taps of others wait for them
 */
export async function sendPending(
  send: (path: string, body: Record<string, unknown>, key: string) => Promise<void>,
  refused: (tap: PendingTap, error: unknown) => void,
  now: () => number,
  who?: string,
): Promise<number> {
  let sent = 0;
  for (const tap of [...pendingTaps()]) {
    if (tap.who !== undefined && tap.who !== who) continue;
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
      const { passing, message } = error as { passing?: boolean; message?: string };
      if (passing) {
        if (tap.why !== message) replace({ ...tap, why: message });
        return sent;
      }
      dropTap(tap.key);
      refused(tap, error);
    }
  }
  return sent;
}
