import type { RunLine } from '../../api/client';
import { countdown, type Format } from '../../kit/format';

/** Something that is called out when its time comes. */
export interface Call {
  key: string;
  at: number;
  loud: 'soon' | 'now' | 'late';
  words: string;
}

/** The calls of all that runs, the next first. */
export function callsOf(runs: RunLine[]): Call[] {
  return runs
    .flatMap((run) => [
      ...run.moments.map((m) => ({
        key: `${run.id}:${run.step}:${m.kind}:${m.at}`,
        at: Date.parse(m.at),
        loud:
          m.kind === 'SOON'
            ? ('soon' as const)
            : m.kind === 'LATE'
              ? ('late' as const)
              : ('now' as const),
        words: `${run.name}: ${m.words}`,
      })),
      ...(run.status === 'PLANNED'
        ? [
            {
              key: `${run.id}:begin:${run.startedAt}`,
              at: Date.parse(run.startedAt),
              loud: 'now' as const,
              words: `${run.name}: time to begin`,
            },
          ]
        : []),
    ])
    .sort((a, b) => a.at - b.at);
}

/** The calls whose time came between two looks at the clock; the first look calls nothing out. */
export function cameDue(calls: Call[], before: number, now: number): Call[] {
  return calls.filter((c) => c.at > before && c.at <= now);
}

const HUGE = Number.MAX_SAFE_INTEGER;

/** What goes wrong stands in front, then what wants hands first; what waits for its start stands last. */
export function inFront(runs: RunLine[], now: number): RunLine[] {
  const late = (run: RunLine) => (run.window && now > Date.parse(run.window.lateFrom) ? 0 : 1);
  const at = (run: RunLine) =>
    run.status === 'PLANNED' ? HUGE : run.hands ? Date.parse(run.hands.at) : HUGE - 1;
  return [...runs].sort(
    (a, b) => late(a) - late(b) || at(a) - at(b) || a.startedAt.localeCompare(b.startedAt),
  );
}

/** What a pot wants next, for a line that is read at a glance. */
export interface Next {
  /** How long until then, how long over it is, or when. */
  time: string;
  /** What for, within a sentence after the brew's name. */
  words: string;
  state: 'late' | 'now' | 'coming' | 'planned';
}

const DAY_MS = 24 * 3_600_000;

/** The next word of a pot. */
export function nextOf(run: RunLine, now: number, format: Format): Next {
  const at = Date.parse(run.hands?.at ?? run.usualAt ?? run.startedAt);
  const away = at - now;
  if (run.status === 'PLANNED') {
    return away <= 0
      ? { time: 'now', words: 'begin', state: 'now' }
      : { time: format.soon(at, now).replace(/^(?=\d)/, 'at '), words: 'begin', state: 'planned' };
  }
  const words = lowered(run.hands?.words ?? run.headline);
  if (run.window && now > Date.parse(run.window.lateFrom))
    return {
      time: countdown(Date.parse(run.window.lateFrom) - now),
      words: `late, ${words}`,
      state: 'late',
    };
  if (away > 0)
    return { time: away > DAY_MS ? format.soon(at, now) : countdown(away), words, state: 'coming' };
  // What hands are at does not run late: only what waits to be looked at does.
  return { time: run.needsHands ? 'now' : countdown(away), words, state: 'now' };
}

const lowered = (words: string) => words.slice(0, 1).toLowerCase() + words.slice(1);

const NEAR_MS = 8 * 3_600_000;
const HORIZONS = [45, 120, 300, 720, 2160, 7200, 20_160, 86_400].map((m) => m * 60_000);

/**
 * The stretch of time that the lanes show: from a little before now to the end of the present steps
 * that end within some hours, rounded up so that it does not creep. What stands for days runs out of
 * the picture, and does not squeeze the pots on the hob together.
 */
export function horizon(runs: RunLine[], now: number): { from: number; to: number } {
  const on = runs.filter((r) => r.status !== 'PLANNED');
  // What waits for its start is looked at only while nothing runs.
  const ends = (on.length > 0 ? on : runs).map((r) => Date.parse(r.usualAt ?? r.startedAt));
  const near = ends.filter((e) => e - now <= NEAR_MS);
  const last = near.length > 0 ? Math.max(...near) : Math.min(...ends);
  const wanted = Math.max(30 * 60_000, (last - now) * 1.15);
  const ahead = HORIZONS.find((h) => h >= wanted) ?? HORIZONS[HORIZONS.length - 1]!;
  return { from: now - ahead * 0.18, to: now + ahead };
}
