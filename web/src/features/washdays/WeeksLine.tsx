import { useId, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { PersonLine, Weeks } from '../../api/client';
import type { Format } from '../../kit/format';
import { HairMark } from '../../signature/HairMark';
import { Patterns } from '../../signature/Patterns';
import { daysBetween, isOpen } from './words';

/** A band is so thick at most, px, and so thick for a mL. */
const THICKEST = 24;
const ROW = 46;

/** A bottle, or a brew that will be one, as a band. */
export interface LineBand {
  id: string;
  name: string;
  brewing: boolean;
  /** The plan would have it brewed. */
  planned?: boolean;
  from: string;
  lastDay: string;
  leftMl: number;
  endMl: number;
  frozen: boolean;
  serves: { day: string; millilitres: number }[];
}

interface Props {
  view: Weeks;
  people: PersonLine[];
  format: Format;
  /** Of the plan, where one is looked at; else of what stands. */
  bands?: LineBand[];
  /** Who goes without something, by the plan. */
  short?: (person: string, day: string) => boolean;
  /** What stands below the bands, as wide as they. */
  below?: (dates: string[], wide: number) => ReactNode;
}

/**
 * The weeks on a line: heads at their occasions above, bottles as bands below, as thick as what is
 * left in them, thinning where they are used, to the torn edge of their last day.
 */
export function WeeksLine({ view, people, format, bands: planned, short, below }: Props) {
  const id = useId().replaceAll(':', '');
  const days = daysBetween(view.from, view.to) + 1;
  const wide = 58;
  const width = days * wide;
  const x = (day: string) => daysBetween(view.from, day) * wide;
  const dates = Array.from({ length: days }, (_, i) =>
    new Date(Date.parse(`${view.from}T00:00:00Z`) + i * 86_400_000).toISOString().slice(0, 10),
  );
  const all: LineBand[] = planned ?? view.bands;
  const most = Math.max(100, ...all.map((b) => b.leftMl));
  const bands = all.filter((b) => b.lastDay >= view.from && b.from <= view.to);
  const without = (o: Weeks['occasions'][number]) =>
    short
      ? isOpen(o) && short(o.person, o.day)
      : view.without.some(
          (w) => w.person === o.person && w.day === o.day && w.occasion === o.occasion,
        );
  const stack = Math.max(1, ...dates.map((d) => view.occasions.filter((o) => o.day === d).length));
  return (
    <div className="weeks-line" role="region" aria-label="The weeks on a line" tabIndex={0}>
      <div className="weeks-heads" style={{ width, height: 30 + stack * 48 }}>
        {dates.map((d) => (
          <span
            key={d}
            className={`weeks-day${d === view.today ? ' today' : ''}`}
            style={{ left: x(d), width: wide }}
          >
            {format.tagDay(d, view.today)}
          </span>
        ))}
        {dates.map((d) =>
          view.occasions
            .filter((o) => o.day === d)
            .map((o, i) => {
              const person = people.find((p) => p.id === o.person);
              return (
                <Link
                  key={o.person + o.occasion + o.planned}
                  to={isOpen(o) ? `/use/sheet?day=${d}` : `/use/people/${o.person}`}
                  className={`weeks-head ${o.state}${without(o) ? ' short' : ''}`}
                  style={{ left: x(d), top: 28 + i * 48, width: wide }}
                  aria-label={`${format.day(d)}: ${o.name}, ${o.occasionName}${without(o) ? ', something is missing' : ''}`}
                >
                  {person && (
                    <HairMark
                      hair={person.hair}
                      lengthCm={person.lengthCm}
                      shrinkage={person.shrinkage}
                      up={person.up}
                      size={26}
                    />
                  )}
                  <span>{o.name}</span>
                </Link>
              );
            }),
        )}
      </div>
      <svg
        width={width}
        height={bands.length * ROW + 8}
        role="img"
        aria-label={bands
          .map(
            (b) =>
              `${b.name}: ${Math.round(b.leftMl)} mL till ${format.day(b.lastDay)}, then ${Math.round(b.endMl)} mL left`,
          )
          .join('; ')}
      >
        <Patterns id={id} />
        {dates.map((d) => (
          <path
            key={d}
            d={`M${x(d)} 0v${bands.length * ROW + 8}`}
            stroke="var(--cloth)"
            strokeWidth="1"
          />
        ))}
        {bands.map((b, i) => (
          <Band
            key={b.id}
            band={b}
            view={view}
            y={i * ROW}
            x={x}
            wide={wide}
            scale={THICKEST / most}
            hatch={`${id}-early`}
          />
        ))}
      </svg>
      {below?.(dates, wide)}
    </div>
  );
}

function Band({
  band,
  view,
  y,
  x,
  wide,
  scale,
  hatch,
}: {
  band: LineBand;
  view: Weeks;
  y: number;
  x: (day: string) => number;
  wide: number;
  scale: number;
  hatch: string;
}) {
  const from = Math.max(0, x(band.from < view.from ? view.from : band.from));
  const end = x(band.lastDay > view.to ? view.to : band.lastDay) + wide;
  const torn = band.lastDay <= view.to;
  const base = y + ROW - 6;
  const top: string[] = [];
  let left = band.leftMl;
  const thick = () => (left < 0.5 ? 0 : Math.max(2.5, left * scale));
  top.push(`M${from} ${base}V${base - thick()}`);
  for (const day of [...new Set(band.serves.map((s) => s.day))].sort()) {
    if (day > view.to) break;
    top.push(`H${x(day) + wide / 2}`);
    left -= band.serves.filter((s) => s.day === day).reduce((sum, s) => sum + s.millilitres, 0);
    top.push(`V${base - thick()}`);
  }
  const last = base - thick();
  top.push(
    torn
      ? `H${end - 6}l5 ${(base - last) * 0.3}l-6 ${(base - last) * 0.3}l5 ${(base - last) * 0.4}`
      : `H${end}V${base}`,
  );
  return (
    <g>
      <path
        d={`${top.join('')}Z`}
        fill={
          band.frozen
            ? `url(#${hatch})`
            : band.planned
              ? 'var(--paper)'
              : band.brewing
                ? 'var(--steam)'
                : 'var(--woad-pale)'
        }
        stroke="var(--ink)"
        strokeWidth="1.6"
        strokeDasharray={band.planned ? '5 3' : undefined}
      />
      <text x={Math.max(from, 2) + 6} y={y + 11} className="band-name">
        {band.name}
        {band.planned
          ? ', planned'
          : band.brewing
            ? ', brewing'
            : band.frozen
              ? ', frozen'
              : ''}{' '}
        {Math.round(band.leftMl)} mL
      </text>
    </g>
  );
}
