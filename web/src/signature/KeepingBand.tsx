import { useElementSize } from '@mantine/hooks';
import { useId } from 'react';
import type { Verdict } from '../api/client';
import type { Format } from '../kit/format';
import { Patterns } from './Patterns';

const HOUR = 3_600_000;

interface Props {
  keeping: Verdict;
  /** When it was, or will be, bottled. */
  bottledAt: number;
  format: Format;
  /** Draws today's mark. */
  now?: number;
}

/** Life used and life left, in days, with the warm hours that cost most in front. */
export function KeepingBand({ keeping, bottledAt, format, now }: Props) {
  const id = useId().replaceAll(':', '');
  const { ref, width } = useElementSize();
  const w = Math.max(280, width || 700);
  const end = new Date(keeping.runsOut).getTime();
  const costShown = keeping.lostHours * HOUR;
  const total = Math.max(HOUR, costShown + (end - bottledAt));
  const x0 = 2;
  const x1 = w - 20;
  const x = (t: number) =>
    x0 + (Math.max(0, Math.min(total, t - bottledAt + costShown)) / total) * (x1 - x0);
  const days: { date: string; a: number; b: number }[] = [];
  let t = bottledAt;
  while (t < end && days.length < 400) {
    const date = format.dateOf(t);
    let b = t + HOUR;
    while (b < end && format.dateOf(b) === date) b += HOUR;
    days.push({ date, a: t, b: Math.min(b, end) });
    t = b;
  }
  const lastDayEnd = days.find((d) => d.date > keeping.lastDay)?.a ?? end;
  const each = (x1 - x0) / Math.max(1, total / (24 * HOUR));
  const every = Math.ceil((each > 70 ? 52 : 60) / each);
  const dearest = keeping.spent[0];
  const y = 4;
  const h = 34;
  return (
    <figure className="flush" ref={ref}>
      <svg width="100%" viewBox={`0 0 ${w} 74`} role="group" aria-label="The keeping band">
        <title>{`Last day ${format.dayLong(keeping.lastDay)}.`}</title>
        <Patterns id={id} />
        {costShown > 0 && (
          <rect
            x={x0}
            y={y}
            width={Math.max(2, x(bottledAt) - x0)}
            height={h}
            fill={`url(#${id}-spent)`}
            stroke="var(--ink)"
            strokeWidth="2"
          />
        )}
        <path
          d={`M${x(bottledAt)} ${y} H${x1} l14 ${h / 2} l-14 ${h / 2} H${x(bottledAt)} z`}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {now !== undefined && now > bottledAt && (
          <rect
            x={x(bottledAt)}
            y={y + 1}
            width={Math.max(0, x(now) - x(bottledAt))}
            height={h - 2}
            fill="var(--woad-pale)"
          />
        )}
        <path
          d={`M${x(lastDayEnd)} ${y} H${x1} l14 ${h / 2} l-14 ${h / 2} H${x(lastDayEnd)} z`}
          fill="var(--cloth)"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {days.map((d, i) => (
          <g key={d.date}>
            {i > 0 && d.a < lastDayEnd && (
              <path d={`M${x(d.a)} ${y}v${h}`} stroke="var(--ink-soft)" />
            )}
            {i % every === 0 && x(d.b) - x(d.a) > (each > 70 ? 52 : 28) && d.b <= lastDayEnd && (
              <text x={(x(d.a) + x(d.b)) / 2} y={y + 22} fontSize="13.5" textAnchor="middle">
                {each > 70 ? format.day(d.date).slice(0, 6) : format.day(d.date).slice(0, 3)}
              </text>
            )}
          </g>
        ))}
        {costShown > 0 && dearest && (
          <text x={x0} y={y + h + 18} fontSize="13" className="soft">
            {dearest.cause.split(',')[0]!.toLowerCase()}
          </text>
        )}
        <path
          d={`M${x(lastDayEnd) - 1} ${y - 3}v${h + 8}`}
          stroke="var(--madder)"
          strokeWidth="4"
        />
        <text
          x={Math.max(60, x(lastDayEnd) - 6)}
          y={y + h + 20}
          fontSize="13.5"
          fontWeight="700"
          textAnchor="end"
          style={{ fill: 'var(--madder)' }}
        >
          last day ends
        </text>
        {now !== undefined && now > bottledAt && now < end && (
          <g>
            <path d={`M${x(now)} ${y - 3}v${h + 6}`} stroke="var(--woad)" strokeWidth="4" />
            {x(lastDayEnd) - x(now) > 130 && (costShown === 0 || x(now) > 150) && (
              <text x={x(now)} y={y + h + 20} fontSize="13" fontWeight="700" textAnchor="middle">
                now
              </text>
            )}
          </g>
        )}
      </svg>
    </figure>
  );
}
