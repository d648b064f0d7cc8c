import { useRef } from 'react';
import type { Step } from '../../api/client';
import { duration } from '../../kit/format';

type Window = NonNullable<Step['window']>;

/** The window with another usual time: the bounds give way where they must. */
export function stretched(window: Window, usual: number): Window {
  return {
    shortest: Math.min(window.shortest!, usual),
    usual,
    longest: Math.max(window.longest!, usual),
  };
}

/** The step's window on a scale of its own; the usual time is dragged or moved by keys. */
export function TimeBar({
  step,
  name,
  onUsual,
}: {
  step: Step;
  name: string;
  onUsual: (minutes: number) => void;
}) {
  const { shortest = 0, usual = 0, longest = 0 } = step.window!;
  const bar = useRef<HTMLSpanElement>(null);
  const end = Math.max(longest! * 1.25, 1);
  const pc = (m: number) => `${(100 * Math.min(m, end)) / end}%`;
  const size = end > 2880 ? 1440 : end > 600 ? 60 : end > 60 ? 5 : 1;
  const snap = (m: number) => Math.max(size, Math.round(m / size) * size);
  const dragging = useRef(false);
  const at = (x: number) => {
    const box = bar.current!.getBoundingClientRect();
    return snap(((x - box.left) / box.width) * end);
  };
  return (
    <span className="time-bar" ref={bar}>
      <span
        className="right"
        style={{ left: pc(shortest!), width: `calc(${pc(longest!)} - ${pc(shortest!)})` }}
      />
      <span
        role="slider"
        tabIndex={0}
        aria-label={name}
        aria-valuenow={Math.round(usual!)}
        aria-valuemin={0}
        aria-valuemax={Math.round(end)}
        aria-valuetext={duration(usual!)}
        className="usual"
        style={{ left: pc(usual!) }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          dragging.current = true;
        }}
        onPointerMove={(e) => dragging.current && onUsual(at(e.clientX))}
        onPointerUp={() => {
          dragging.current = false;
        }}
        onKeyDown={(e) => {
          if (e.altKey) return;
          const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
          if (by === 0) return;
          e.preventDefault();
          onUsual(snap(usual! + by * size * (e.shiftKey ? 10 : 1)));
        }}
      />
    </span>
  );
}
