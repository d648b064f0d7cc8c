import { useElementSize } from '@mantine/hooks';
import { useNavigate } from 'react-router';
import type { ForetoldBatch } from '../../api/client';
import { figure, type Format } from '../../kit/format';
import { share, ticks } from './words';

/** A batch takes at least and at most so much, px: many are scrolled, few are spread. */
const LEAST = 26;
const MOST = 72;
const TALL = 230;
const LEFT = 52;
const TOP = 16;

/**
 * Each batch against what was foretold without learning: the band is where it was foretold from
 * those before it, the dot is how it came out. The band narrows as the kitchen teaches.
 */
export function Narrowing({ batches, format }: { batches: ForetoldBatch[]; format: Format }) {
  const navigate = useNavigate();
  const { ref, width } = useElementSize();
  const counting = batches.filter((b) => b.standing === 'COUNTS');
  if (counting.length === 0) return null;
  const ends = counting.flatMap((b) => [share(b, b.low), share(b, b.high), share(b, b.real)]);
  const [from, to] = [Math.min(-0.02, ...ends), Math.max(0.02, ...ends)];
  const y = (s: number) => TOP + ((to - s) / (to - from)) * (TALL - 2 * TOP);
  const each = Math.max(LEAST, Math.min(MOST, (width - LEFT - 8) / counting.length));
  const x = (i: number) => LEFT + (i + 0.5) * each;
  const wide = LEFT + counting.length * each + 8;
  const line = (of: (b: ForetoldBatch) => number) =>
    counting.map((b, i) => `${x(i)} ${y(share(b, of(b)))}`);
  const band = `M${line((b) => b.high).join('L')}L${line((b) => b.low)
    .reverse()
    .join('L')}Z`;
  return (
    <div
      ref={ref}
      className="narrowing"
      role="group"
      aria-label="Batches against what was foretold"
      tabIndex={0}
    >
      <svg width={wide} height={TALL + 18}>
        {ticks(from, to).map((t) => (
          <g key={t}>
            <path
              d={`M${LEFT} ${y(t)}H${wide}`}
              stroke="var(--ink)"
              strokeWidth={t === 0 ? 1.5 : 0.3}
            />
            <text x={LEFT - 8} y={y(t) + 4} textAnchor="end" className="band-name">
              {t > 0 ? '+' : ''}
              {figure(t * 100)} %
            </text>
          </g>
        ))}
        <path d={band} fill="var(--woad-pale)" opacity="0.7" />
        <path
          d={`M${line((b) => b.predicted).join('L')}`}
          fill="none"
          stroke="var(--woad)"
          strokeWidth="2"
        />
        {counting.map((b, i) => (
          <circle
            key={b.id}
            className="foretold-dot"
            cx={x(i)}
            cy={y(share(b, b.real))}
            r="5"
            fill={b.real < b.low || b.real > b.high ? 'var(--madder)' : 'var(--ink)'}
            stroke="var(--paper)"
            onClick={() => void navigate(`/brew/${b.id}`)}
          >
            <title>
              {b.code}, {format.day(format.dateOf(b.at))}: {format.ml(b.real)}, foretold{' '}
              {format.ml(b.predicted)} ({format.ml(b.low)} to {format.ml(b.high)})
            </title>
          </circle>
        ))}
        <text x={LEFT} y={TALL + 12} className="band-name">
          {format.day(format.dateOf(counting[0]!.at))}
        </text>
        {counting.length > 4 && (
          <text x={wide - 8} y={TALL + 12} textAnchor="end" className="band-name">
            {format.day(format.dateOf(counting[counting.length - 1]!.at))}
          </text>
        )}
      </svg>
      <p className="soft small">
        0 % is what the model foretells without having learned. Line and band: foretold from the
        batches before, 19 of 20 within the band. Dots: what was measured.
      </p>
    </div>
  );
}
