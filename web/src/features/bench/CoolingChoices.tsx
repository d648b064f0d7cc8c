import { Button } from '@mantine/core';
import type { Run } from '../../api/client';
import { useCooling } from '../../api/queries';
import { duration, type Format } from '../../kit/format';
import type { useTap } from './useTaps';
import './bench.css';

interface Props {
  run: Run;
  now: number;
  format: Format;
  tap: ReturnType<typeof useTap>;
}

/** When it is cool enough for what, and what another way to cool would change. */
export function CoolingChoices({ run, now, format, tap }: Props) {
  const cooling = useCooling(run.id, run.version);
  const view = cooling.data;
  const cools = view?.step === run.step;
  const longest = Math.max(1, ...(view?.ways.map((w) => w.toStep ?? 0) ?? []));
  return (
    <section aria-labelledby="cooling">
      <h2 id="cooling">Cooling</h2>
      <ul className="lines">
        {run.landmarks
          .filter((l) => l.at)
          .map((l) => {
            const at = Date.parse(l.at!);
            return (
              <li key={l.id} className="figure-line">
                <span>
                  {l.words} ({format.celsius(l.celsius)})
                </span>
                <span className="strong">{at <= now ? 'now' : format.clock(at)}</span>
                <span className="soft small">
                  {at > now && `in ${duration((at - now) / 60_000)}`}
                  {l.low && l.high && l.low !== l.high && at > now
                    ? `, between ${format.clock(l.low)} and ${format.clock(l.high)}`
                    : ''}
                </span>
              </li>
            );
          })}
        <li className="figure-line">
          <span>to bottle</span>
          <span className="strong">{format.clock(run.prediction.bottledAt)}</span>
          <span className="soft small">about</span>
        </li>
      </ul>
      {view && view.ways.length > 0 && (
        <>
          <p className="soft small above">
            {cools
              ? `Other ways from now on, down to ${format.celsius(view.toC)}:`
              : `Ways to cool when it comes to it, down to ${format.celsius(view.toC)}:`}
          </p>
          <ul className="lines ways-to-cool">
            {view.ways.map((w) => (
              <li key={w.way + w.cover}>
                <span className={w.planned ? 'strong' : ''}>
                  {w.words}
                  {w.planned && ' (as it is planned)'}
                </span>
                <span className="bar" aria-hidden="true">
                  <i style={{ width: `${((w.toStep ?? longest) / longest) * 100}%` }} />
                </span>
                <span>
                  <b>{w.toStep == null ? 'never gets there' : duration(w.toStep)}</b>
                  <span className="soft small">
                    {' '}
                    keeps till {format.day(w.lastDay)}, {Math.round(w.bottledMl)} mL
                  </span>
                </span>
                {!w.planned && cools && (
                  <Button
                    className="touch"
                    variant="outline"
                    onClick={() =>
                      tap.mutate({
                        path: `/steps/${run.step}/cooling`,
                        body: { version: run.version, way: w.way, cover: w.cover },
                        words: w.words,
                      })
                    }
                    aria-label={`Cool ${w.words}`}
                  >
                    Do this
                  </Button>
                )}
              </li>
            ))}
          </ul>
          {view.yardstick && <p className="soft small">{view.yardstick}</p>}
        </>
      )}
    </section>
  );
}
