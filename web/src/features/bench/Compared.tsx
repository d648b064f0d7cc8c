import { useElementSize } from '@mantine/hooks';
import { useId } from 'react';
import type { Run } from '../../api/client';
import { duration, figure, type Format } from '../../kit/format';
import { Patterns } from '../../signature/Patterns';

interface Props {
  comparison: NonNullable<Run['comparison']>;
  over: boolean;
  format: Format;
}

/** Predicted against real, in one picture: the steps on one scale, and what came of it. */
export function Compared({ comparison, over, format }: Props) {
  const id = useId().replaceAll(':', '');
  const { ref, width: seen } = useElementSize();
  const w = Math.max(300, seen || 700);
  const sum = (of: 'plannedMinutes' | 'realMinutes') =>
    comparison.steps.reduce((all, s) => all + (s[of] ?? 0), 0);
  const longest = Math.max(1, sum('plannedMinutes'), sum('realMinutes'));
  const row = (of: 'plannedMinutes' | 'realMinutes', y: number) => {
    let at = 0;
    return comparison.steps.map((s, i) => {
      const from = at;
      at += s[of] ?? 0;
      const x = (from / longest) * (w - 10) + 5;
      const width = ((s[of] ?? 0) / longest) * (w - 10);
      const other = of === 'realMinutes' ? s.plannedMinutes : s.realMinutes;
      const off = of === 'realMinutes' && (other == null || Math.abs((s[of] ?? 0) - other) > 1);
      return (
        <g key={i}>
          <rect
            x={x}
            y={y}
            width={Math.max(1, width)}
            height="26"
            fill={
              of === 'plannedMinutes'
                ? `url(#${id}-early)`
                : off
                  ? 'var(--weld-pale)'
                  : 'var(--nettle)'
            }
            stroke="var(--ink)"
          >
            <title>{`${s.headline}: ${duration(s[of] ?? 0)}`}</title>
          </rect>
          {width > 92 && (
            <text
              x={x + 5}
              y={y + 18}
              fontSize="12.5"
              style={{
                fill:
                  of === 'realMinutes'
                    ? off
                      ? 'var(--on-weld)'
                      : 'var(--on-colour)'
                    : 'var(--ink)',
              }}
              className={of === 'plannedMinutes' ? 'halo' : undefined}
            >
              {s.headline.slice(0, Math.floor(width / 7.2))}
            </text>
          )}
        </g>
      );
    });
  };
  return (
    <section aria-labelledby="compared" ref={ref}>
      <h2 id="compared">{over ? 'Predicted and real' : 'Predicted, and as it goes'}</h2>
      <svg
        width="100%"
        viewBox={`0 0 ${w} 98`}
        role="img"
        aria-label={`Planned ${duration(sum('plannedMinutes'))}, ${over ? 'took' : 'takes'} ${duration(sum('realMinutes'))}`}
      >
        <Patterns id={id} />
        <text x="5" y="13" fontSize="13" className="soft">
          planned, {duration(sum('plannedMinutes'))}
        </text>
        {row('plannedMinutes', 18)}
        {row('realMinutes', 48)}
        <text x="5" y="92" fontSize="13" className="soft">
          {over ? 'real' : 'as it goes'}, {duration(sum('realMinutes'))}
        </text>
      </svg>
      <table className="compared">
        <thead>
          <tr>
            <td />
            <th>planned</th>
            <th>{over ? 'real' : 'as it goes'}</th>
          </tr>
        </thead>
        <tbody>
          {comparison.figures.map((f) => (
            <tr key={f.name}>
              <th scope="row">{f.name}</th>
              <td>{value(f.planned, f.unit)}</td>
              <td className={changed(f.planned, f.real) ? 'strong' : ''}>
                {value(f.real, f.unit)}
              </td>
            </tr>
          ))}
          {comparison.band && (
            <tr>
              <th scope="row">As thick as</th>
              <td>{comparison.plannedBand}</td>
              <td className={comparison.band === comparison.plannedBand ? '' : 'strong'}>
                {comparison.band}
              </td>
            </tr>
          )}
          <tr>
            <th scope="row">Last day</th>
            <td>{format.day(comparison.plannedLastDay)}</td>
            <td className={comparison.lastDay === comparison.plannedLastDay ? '' : 'strong'}>
              {format.day(comparison.lastDay)}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

function value(amount: number, unit: string): string {
  return unit === 'min' ? duration(amount) : `${figure(amount)} ${unit}`;
}

/** Off by more than a twentieth. */
function changed(planned: number, real: number): boolean {
  return Math.abs(real - planned) > Math.max(1, Math.abs(planned) * 0.05);
}
