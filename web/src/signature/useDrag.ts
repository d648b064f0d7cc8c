import { useRef } from 'react';

/** A finger that only touches moves so many pixels without meaning it. */
const NUDGE = 6;

/**
 * Makes a part of a picture draggable along one axis, by pointer and by keys.
 *
 * @param value the present value
 * @param range lowest and highest
 * @param step what one arrow key moves; with Shift ten times that
 * @param perPixel how much the value moves for one screen pixel to the right, or upwards
 * @param onChange told the new value, held within the range
 */
export function useDrag(
  axis: 'x' | 'y',
  value: number,
  range: [number, number],
  step: number,
  perPixel: () => number,
  onChange: (value: number) => void,
) {
  const from = useRef<{ at: number; value: number; moved: boolean } | null>(null);
  const hold = (v: number) => Math.min(range[1], Math.max(range[0], Math.round(v / step) * step));
  const place = (e: React.PointerEvent) => (axis === 'x' ? e.clientX : -e.clientY);
  return {
    role: 'slider',
    tabIndex: 0,
    'aria-valuenow': Math.round(value),
    'aria-valuemin': range[0],
    'aria-valuemax': range[1],
    'aria-orientation': axis === 'x' ? ('horizontal' as const) : ('vertical' as const),
    className: axis === 'x' ? 'handle' : 'handle up-down',
    onPointerDown: (e: React.PointerEvent) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      from.current = { at: place(e), value, moved: false };
    },
    onPointerMove: (e: React.PointerEvent) => {
      if (from.current && (from.current.moved || Math.abs(place(e) - from.current.at) > NUDGE)) {
        from.current.moved = true;
        const moved = from.current.value + (place(e) - from.current.at) * perPixel();
        onChange(hold(moved));
      }
    },
    onPointerUp: () => {
      from.current = null;
    },
    onKeyDown: (e: React.KeyboardEvent) => {
      const more = e.key === 'ArrowRight' || e.key === 'ArrowUp';
      const less = e.key === 'ArrowLeft' || e.key === 'ArrowDown';
      if (more || less) {
        e.preventDefault();
        onChange(hold(value + (more ? 1 : -1) * step * (e.shiftKey ? 10 : 1)));
      } else if (e.key === 'Home' || e.key === 'End') {
        e.preventDefault();
        onChange(range[e.key === 'Home' ? 0 : 1]);
      }
    },
  };
}
