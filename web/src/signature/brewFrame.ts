import type { Prediction, StepPlan } from '../api/client';

/** The step whose time matters most: the longest one with a window. */
export function mainStep(steps: StepPlan[]): StepPlan | undefined {
  return steps
    .filter((s) => s.window)
    .sort((a, b) => b.endMinute - b.startMinute - (a.endMinute - a.startMinute))[0];
}

const TOP = 50;
const BOTTOM = 172;
const BAR = { y: BOTTOM + 8, h: 18 };
/** The window stands below the steps: what follows the long step is not hidden by its "late". */
const WINDOW = { y: BAR.y + BAR.h + 5, h: 26 };
const TICKS = [5, 10, 30, 60, 120, 240, 720, 1440, 2880, 10080];

/** Where things stand on a brew line so wide, in the units of its drawing. */
export function brewFrame(prediction: Prediction, w: number, nowMinute: number | undefined) {
  const narrow = w < 560;
  const main = mainStep(prediction.steps);
  const start = main?.startMinute ?? 0;
  const usual = main?.window?.usual ?? 0;
  const longest = main?.window?.longest ?? 0;
  const chosen = main ? main.endMinute - main.startMinute : 0;
  const end = Math.max(
    prediction.totalMinutes * 1.04,
    start + Math.min(longest * 1.15, Math.max(usual * 1.9, chosen * 1.25)),
    (nowMinute ?? 0) * 1.05,
  );
  const x0 = 8;
  const x1 = w - 8;
  const tickEvery = TICKS.find((t) => end / t <= (narrow ? 4 : 7)) ?? 10080;
  const ticks: number[] = [];
  for (let t = tickEvery; t < end * 0.97; t += tickEvery) ticks.push(t);
  return {
    narrow,
    main,
    start,
    longest,
    /** Minutes of the long step, as they stand. */
    chosen,
    end,
    x0,
    x1,
    top: TOP,
    bar: BAR,
    window: WINDOW,
    ticks,
    x: (minute: number) => x0 + (Math.max(0, Math.min(end, minute)) / end) * (x1 - x0),
    y: (c: number) => BOTTOM - (Math.max(0, Math.min(100, c)) / 100) * (BOTTOM - TOP),
  };
}

export type BrewFrame = ReturnType<typeof brewFrame>;
