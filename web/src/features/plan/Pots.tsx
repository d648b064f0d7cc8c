import { useRef, useState } from 'react';
import type { BrewPlan, Plans } from '../../api/client';
import type { Format } from '../../kit/format';
import { PotMark } from './PotMark';
import './plan.css';

interface Props {
  plan: BrewPlan;
  evenings: Plans['evenings'];
  dates: string[];
  wide: number;
  format: Format;
  onMove: (brew: number, day: string) => void;
}

const TALL = 50;

/**
 * Below the weeks' line: the pots at their evenings. A pot is dragged to another evening, or moved
 * there by the arrow keys.
 */
export function Pots({ plan, evenings, dates, wide, format, onMove }: Props) {
  const [held, setHeld] = useState<{ brew: number; day: string }>();
  const line = useRef<HTMLDivElement>(null);
  const free = new Set(evenings.map((e) => e.day));
  const days = plan.brews.map((b, i) => (held?.brew === i ? held.day : b.day));
  const stack = Math.max(1, ...dates.map((d) => days.filter((on) => on === d).length));
  const at = (x: number) => {
    const box = line.current!.getBoundingClientRect();
    const place = Math.floor((x - box.left) / wide);
    return dates[Math.max(0, Math.min(dates.length - 1, place))]!;
  };
  const step = (brew: number, by: number) => {
    const from = dates.indexOf(plan.brews[brew]!.day);
    for (let i = from + by; i >= 0 && i < dates.length; i += by) {
      if (free.has(dates[i]!)) return onMove(brew, dates[i]!);
    }
  };
  return (
    <div
      ref={line}
      className="pots"
      style={{ width: dates.length * wide, height: 26 + stack * TALL }}
      aria-label="Brews, at their evenings"
      role="group"
    >
      {dates.map((d, i) => (
        <span
          key={d}
          className={`pots-day${free.has(d) ? ' free' : ''}${held?.day === d ? ' over' : ''}`}
          style={{ left: i * wide, width: wide }}
        >
          {free.has(d) ? 'time' : ''}
        </span>
      ))}
      {plan.brews.map((b, i) => {
        const column = dates.indexOf(days[i]!);
        if (column < 0) return null;
        const row = days.slice(0, i).filter((d) => d === days[i]).length;
        return (
          <button
            key={`${b.day}/${b.formula}`}
            type="button"
            className={`pot-mark${b.pinned ? ' pinned' : ''}${held?.brew === i ? ' held' : ''}`}
            style={{ left: column * wide, top: 22 + row * TALL, width: wide }}
            aria-label={`${b.name}, ${Math.round(b.millilitres)} mL, ${format.dayLong(b.day)}. Arrow keys move it to another evening.`}
            onPointerDown={(e) => {
              if (b.pinned) return;
              e.currentTarget.setPointerCapture(e.pointerId);
              setHeld({ brew: i, day: b.day });
            }}
            onPointerMove={(e) => {
              if (held?.brew === i) setHeld({ brew: i, day: at(e.clientX) });
            }}
            onPointerUp={() => {
              if (held && held.brew === i && held.day !== b.day) onMove(i, held.day);
              setHeld(undefined);
            }}
            onPointerCancel={() => setHeld(undefined)}
            onKeyDown={(e) => {
              const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
              if (by !== 0 && !b.pinned) {
                e.preventDefault();
                step(i, by);
              }
            }}
          >
            <PotMark frozen={b.frozenMl > 0} />
            <span>{short(b.name)}</span>
          </button>
        );
      })}
    </div>
  );
}

/** The first word that says what it is. */
const short = (name: string) => name.split(' ')[0]!;
