import type { Run } from '../../api/client';

/** The predicted temperature at this moment, °C, between the moments of the trace around it. */
export function celsiusNow(run: Run, now: number): number {
  const minute = (now - Date.parse(run.startedAt)) / 60_000;
  const trace = run.prediction.trace;
  const after = trace.findIndex((p) => p.minute >= minute);
  if (after <= 0) return trace[after === 0 ? 0 : trace.length - 1]!.celsius;
  const a = trace[after - 1]!;
  const b = trace[after]!;
  const share = b.minute === a.minute ? 1 : (minute - a.minute) / (b.minute - a.minute);
  return a.celsius + share * (b.celsius - a.celsius);
}
