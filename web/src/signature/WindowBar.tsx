import { useId } from 'react';
import { Patterns } from './Patterns';

interface Props {
  startedAt: number;
  rightFrom: number;
  lateFrom: number;
  now: number;
}

/** Early, right, late, with now as a cursor; the same three fills as on the brew line. */
export function WindowBar({ startedAt, rightFrom, lateFrom, now }: Props) {
  const id = useId().replaceAll(':', '');
  const end = Math.max(
    startedAt + (lateFrom - startedAt) * 1.18,
    now + (lateFrom - startedAt) * 0.06,
  );
  // The right time is drawn at least as wide as the early one: a window of 2 to 12 hours stays readable.
  const x = (t: number) =>
    4 + (Math.sqrt(Math.max(0, t - startedAt)) / Math.sqrt(end - startedAt)) * 352;
  const state = now < rightFrom ? 'too early' : now <= lateFrom ? 'right' : 'late';
  const words = [
    { word: 'too early', at: x(startedAt), anchor: 'start' as const },
    { word: 'right', at: (x(rightFrom) + x(lateFrom)) / 2, anchor: 'middle' as const },
    { word: 'late', at: 356, anchor: 'end' as const },
  ];
  return (
    <svg width="100%" viewBox="0 0 360 66" role="img" aria-label={`The time is ${state}`}>
      <Patterns id={id} />
      <rect
        x={x(startedAt)}
        y="14"
        width={x(rightFrom) - x(startedAt)}
        height="24"
        fill={`url(#${id}-early)`}
      />
      <rect
        x={x(rightFrom)}
        y="14"
        width={x(lateFrom) - x(rightFrom)}
        height="24"
        fill="var(--nettle)"
      />
      <rect x={x(lateFrom)} y="14" width={356 - x(lateFrom)} height="24" fill="var(--weld-pale)" />
      <path d="M4 14h352v24h-352z" fill="none" stroke="var(--ink)" strokeWidth="2" />
      <path d={`M${x(rightFrom)} 14v24M${x(lateFrom)} 14v24`} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M${x(now)} 4v44`} stroke="var(--ink)" strokeWidth="5" />
      {words.map((w) => (
        <text
          key={w.word}
          x={w.at}
          y="60"
          fontSize="14"
          textAnchor={w.anchor}
          fontWeight={w.word === state ? 800 : 400}
        >
          {w.word}
        </text>
      ))}
    </svg>
  );
}
