import type { Run } from '../api/client';
import recorded from './run.json';

/** A rinse that steeps, as the server described it in the demo kitchen (its trace thinned out). */
export const STEEPING = recorded as unknown as Run;

/** The same run, come to the filling of its bottles. */
export const FILLING: Run = {
  ...STEEPING,
  step: 4,
  window: undefined,
  done: [
    ...STEEPING.done,
    ...[3, 4].map((n) => ({ ...STEEPING.done[0]!, startedAt: `2026-11-25T15:${40 + n}:00Z` })),
  ],
};

/** A moment of the steep, so many minutes after it began. */
export const inTheSteep = (minutes: number) =>
  Date.parse(STEEPING.window!.startedAt) + minutes * 60_000;
