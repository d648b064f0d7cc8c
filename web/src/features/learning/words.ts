import type { ForetoldBatch, Trial } from '../../api/client';

/** How far an amount lies from what was foretold without learning, share. */
export const share = (b: ForetoldBatch, millilitres: number) => millilitres / b.uncalibrated - 1;

/** The name that comes up most often, the first of those that come up as often. */
export function mostOften(batches: ForetoldBatch[]): string {
  const times = new Map<string, number>();
  for (const b of batches) times.set(b.name, (times.get(b.name) ?? 0) + 1);
  return [...times].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
}

/** Lines of an axis of lengths, cm: at most seven. */
export function steps(low: number, high: number): number[] {
  const step = [0.5, 1, 2, 5, 10, 20, 50].find((s) => (high - low) / s <= 6) ?? 100;
  const all: number[] = [];
  for (let cm = Math.ceil(low / step) * step; cm <= high + 1e-9; cm += step) all.push(cm);
  return all;
}

/** Lines of an axis of shares, so far apart that there are at most eight. */
export function ticks(from: number, to: number): number[] {
  const step = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1].find((s) => (to - from) / s <= 8) ?? 2;
  const all: number[] = [];
  for (let n = Math.ceil(from / step); n * step <= to + 1e-9; n++) all.push(n * step || 0);
  return all;
}

/** Scores by what was scored, then by the number of the jar. */
export type Scores = Record<string, Record<string, number>>;

/** Scores of a trial, as they are written down. */
export function scoresOf(trial: Trial): Scores {
  const all: Scores = {};
  for (const s of trial.scores) (all[s.criterion] ??= {})[s.jar] = s.score;
  return all;
}

/** What a jar is called: what is in it, or its number while nobody is to know. */
export const jarName = (trial: Trial, jar: number) => trial.products[jar] ?? `Jar ${jar + 1}`;
