import { useElementSize } from '@mantine/hooks';
import type { Debrief } from '../api/client';
import { duration, type Format } from '../kit/format';

type Line = Debrief['yours'];
const TALL = 230;
const TOP = 24;
const BOTTOM = 150;
const TICKS = [5, 10, 30, 60, 120, 240, 720, 1440, 2880];

/** A brew as it went over a brew as it goes well: temperature over time, the steps below. */
export function TwoLines({ yours, good, format }: { yours: Line; good: Line; format: Format }) {
  const { ref, width } = useElementSize();
  const w = Math.max(300, width || 800);
  const end = Math.max(yours.minutes, good.minutes, 1) * 1.02;
  const x = (minute: number) => 8 + (Math.min(end, minute) / end) * (w - 16);
  const y = (c: number) => BOTTOM - (Math.max(0, Math.min(100, c)) / 100) * (BOTTOM - TOP);
  const path = (l: Line) => `M${l.points.map((p) => `${x(p.minute)} ${y(p.celsius)}`).join('L')}`;
  const every = TICKS.find((t) => end / t <= (w < 560 ? 4 : 8)) ?? 10080;
  const ticks = Array.from({ length: Math.floor(end / every) }, (_, i) => (i + 1) * every);
  const words = `Yours took ${duration(yours.minutes)}, a good one ${duration(good.minutes)}. ${yours.steps
    .map((s, i) => {
      const g = good.steps[i];
      return `${s.headline}: ${duration(s.end - s.start)}${g ? `, well ${duration(g.end - g.start)}` : ''}`;
    })
    .join('; ')}.`;
  return (
    <figure className="flush" ref={ref}>
      <svg width="100%" viewBox={`0 0 ${w} ${TALL}`} role="img" aria-label={words}>
        {[100, 60, 40].map((c) => (
          <g key={c}>
            <path d={`M8 ${y(c)}H${w - 8}`} stroke="var(--ink)" strokeWidth="0.3" />
            <text x={w - 8} y={y(c) - 3} textAnchor="end" className="band-name">
              {format.celsius(c)}
            </text>
          </g>
        ))}
        {ticks.map((t) => (
          <text key={t} x={x(t)} y={14} fontSize="13" textAnchor="middle" className="soft">
            {duration(t)}
          </text>
        ))}
        <path
          d={path(good)}
          fill="none"
          stroke="var(--woad)"
          strokeWidth="3"
          strokeDasharray="7 5"
        />
        <path d={path(yours)} fill="none" stroke="var(--madder)" strokeWidth="3.5" />
        {[
          { line: good, top: BOTTOM + 12, name: 'a good one', fill: 'var(--woad)' },
          { line: yours, top: BOTTOM + 46, name: 'yours', fill: 'var(--madder)' },
        ].map(({ line, top, name, fill }) => (
          <g key={name}>
            <text x={8} y={top + 8} className="band-name">
              {name}, {duration(line.minutes)}
            </text>
            {line.steps.map((s) => (
              <rect
                key={`${s.start}/${s.headline}`}
                x={x(s.start)}
                y={top + 12}
                width={Math.max(2, x(s.end) - x(s.start))}
                height={14}
                fill={fill}
                stroke="var(--linen)"
                strokeWidth="1.5"
              >
                <title>{`${s.headline}, ${duration(s.end - s.start)}`}</title>
              </rect>
            ))}
          </g>
        ))}
      </svg>
    </figure>
  );
}
