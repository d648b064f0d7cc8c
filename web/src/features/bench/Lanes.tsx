import { useElementSize } from '@mantine/hooks';
import { useId } from 'react';
import { Link } from 'react-router';
import type { RunLine } from '../../api/client';
import { countdown, duration, type Format } from '../../kit/format';
import { Patterns } from '../../signature/Patterns';
import { horizon } from './calls';
import './bench.css';

interface Props {
  runs: RunLine[];
  now: number;
  format: Format;
  /** The run that is looked at. */
  selected?: string;
}

const ROW = 58;
const TOP = 26;

/** All that runs, each in its lane, on one axis of time; a tap on a lane brings it in front. */
export function Lanes({ runs, now, format, selected }: Props) {
  const id = useId().replaceAll(':', '');
  const { ref, width } = useElementSize();
  const w = Math.max(280, width || 900);
  const names = w < 620 ? 0 : 190;
  const { from, to } = horizon(runs, now);
  const x = (t: number) =>
    names + ((Math.min(to, Math.max(from, t)) - from) / (to - from)) * (w - names - 6);
  const minutes = (to - from) / 60_000;
  const every = [5, 10, 15, 30, 60, 120, 360, 720, 1440, 2880, 10_080].find(
    (m) => minutes / m <= (names ? 8 : 5),
  )!;
  const ticks: number[] = [];
  const first = Math.ceil(from / (every * 60_000)) * every * 60_000;
  for (let t = first; t < to; t += every * 60_000) ticks.push(t);
  return (
    <div ref={ref} className="lanes">
      <svg
        width="100%"
        viewBox={`0 0 ${w} ${TOP + runs.length * ROW + 4}`}
        role="img"
        aria-label={`${runs.length} brews on one line of time`}
      >
        <Patterns id={id} />
        {ticks.map((t) => (
          <g key={t}>
            <path
              d={`M${x(t)} ${TOP - 4}V${TOP + runs.length * ROW}`}
              stroke="var(--cloth)"
              strokeWidth="2"
            />
            {Math.abs(x(t) - x(now)) > 44 && (
              <text x={x(t) + 3} y="15" fontSize="12.5" className="soft">
                {every >= 1440 ? format.moment(t).slice(0, 6) : format.clock(t)}
              </text>
            )}
          </g>
        ))}
        {/* Under the lanes: between them it is seen, and it crosses no words in them. */}
        <path
          d={`M${x(now)} ${TOP - 8}V${TOP + runs.length * ROW}`}
          stroke="var(--woad)"
          strokeWidth="3.5"
        />
        {runs.map((run, row) => {
          const y = TOP + row * ROW;
          const mark = run.id === selected;
          return (
            <g key={run.id}>
              {mark && (
                <rect x="0" y={y} width={w} height={ROW - 4} fill="var(--cloth)" opacity=".5" />
              )}
              {names > 0 && (
                <text x="6" y={y + 24} fontSize="15" fontWeight="700">
                  {short(run.name, 22)}
                </text>
              )}
              {names > 0 && (
                <text x="6" y={y + 43} fontSize="13" className="soft">
                  {short(next(run, now, format), 27)}
                </text>
              )}
              {run.lane
                .filter((s) => Date.parse(s.to) > from && Date.parse(s.from) < to)
                .map((s) => {
                  const a = x(Date.parse(s.from));
                  const b = Math.max(a + 3, x(Date.parse(s.to)));
                  const hands = s.needsHands;
                  return (
                    <g key={s.index}>
                      <rect
                        x={a}
                        y={y + 8}
                        width={b - a}
                        height="26"
                        fill={
                          s.state === 'NOW'
                            ? 'var(--woad)'
                            : s.state === 'DONE'
                              ? 'var(--ink-soft)'
                              : s.state === 'SKIPPED'
                                ? 'none'
                                : hands
                                  ? 'var(--woad-pale)'
                                  : `url(#${id}-early)`
                        }
                        stroke="var(--ink)"
                        strokeWidth={s.state === 'NOW' ? 2.5 : 1}
                        strokeDasharray={s.state === 'SKIPPED' ? '3 3' : undefined}
                      >
                        <title>{`${s.headline}: ${format.moment(s.from)} to ${format.moment(s.to)}${hands ? ', hands needed' : ''}`}</title>
                      </rect>
                      {b - a > 64 && (
                        <text
                          x={a + 6}
                          y={y + 26}
                          fontSize="13"
                          fontWeight="600"
                          style={{
                            fill:
                              s.state === 'NOW' || s.state === 'DONE'
                                ? 'var(--on-colour)'
                                : 'var(--ink)',
                          }}
                          className={s.state === 'COMING' && !hands ? 'halo' : undefined}
                        >
                          {short(s.headline, Math.floor((b - a - 10) / 7))}
                        </text>
                      )}
                      {hands && s.state !== 'DONE' && (
                        <path
                          d={`M${a} ${y + 38}h${Math.max(8, b - a)}`}
                          stroke="var(--ink)"
                          strokeWidth="4"
                        />
                      )}
                    </g>
                  );
                })}
              {run.moments
                .filter((m) => m.kind !== 'SOON')
                .map((m) => Date.parse(m.at))
                .filter((t) => t > now && t < to)
                .map((t) => (
                  <circle key={t} cx={x(t)} cy={y + 44} r="4.5" fill="var(--ink)" />
                ))}
            </g>
          );
        })}
        <text
          x={x(now) + (x(now) > w - 40 ? -5 : 5)}
          y={15}
          fontSize="12.5"
          fontWeight="800"
          textAnchor={x(now) > w - 40 ? 'end' : 'start'}
          className="halo"
        >
          now
        </text>
      </svg>
      <nav aria-label="Brews on the bench" className="lane-doors">
        {runs.map((run) => (
          <Link
            key={run.id}
            to={`/brew/${run.id}`}
            aria-current={run.id === selected ? 'true' : undefined}
            style={{ top: TOP + runs.indexOf(run) * ROW, height: ROW - 4 }}
          >
            <span className={names ? 'sr' : 'lane-name'}>
              {run.name} – {next(run, now, format)}
            </span>
          </Link>
        ))}
      </nav>
    </div>
  );
}

function short(words: string, most: number): string {
  return words.length <= most ? words : `${words.slice(0, Math.max(1, most - 1)).trimEnd()}…`;
}

/** The next word of a run: what, and when. */
function next(run: RunLine, now: number, format: Format): string {
  if (run.status === 'PLANNED') {
    const away = Date.parse(run.startedAt) - now;
    return away <= 0 ? 'begin now' : `begins ${format.moment(run.startedAt)}`;
  }
  if (!run.hands) return run.headline.toLowerCase();
  const away = Date.parse(run.hands.at) - now;
  if (away <= 0) return `now: ${run.needsHands ? run.headline.toLowerCase() : 'look at it'}`;
  return away < 3_600_000 ? `hands in ${countdown(away)}` : `hands in ${duration(away / 60_000)}`;
}
