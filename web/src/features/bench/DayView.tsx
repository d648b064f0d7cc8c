import { Button } from '@mantine/core';
import type { Run } from '../../api/client';
import { duration, figure, type Format } from '../../kit/format';
import type { useTap } from './useTaps';
import './bench.css';

interface Props {
  run: Run;
  standing: NonNullable<Run['standing']>;
  format: Format;
  tap: ReturnType<typeof useTap>;
}

const STAGES = [
  { id: 'YOUNG', words: 'not sour' },
  { id: 'MILD', words: 'mild' },
  { id: 'FULL', words: 'full' },
  { id: 'STRONG', words: 'strong' },
] as const;

/** A ferment, soak or maceration by the day: how far it is, what was done, when to stop. */
export function DayView({ run, standing, format, tap }: Props) {
  const enter = (kind: string, words: string) =>
    tap.mutate({ path: '/entries', body: { kind }, words, mayWait: true });
  const shakes =
    standing.days.some((d) => d.shakeDue) || run.line.moments.some((m) => m.kind === 'SHAKE');
  const today = standing.days[standing.days.length - 1];
  const spent = standing.budgetHours
    ? Math.min(1, standing.spentHours / standing.budgetHours)
    : undefined;
  const missed = standing.days.slice(0, -1).filter((d) => d.shakeDue && !d.shaken).length;
  return (
    <section aria-labelledby="days">
      <h2 id="days">
        Day {standing.day} of about {standing.of}
      </h2>
      {standing.stage && (
        <>
          <ol className="stages" aria-label="How sour it is">
            {STAGES.map((s) => (
              <li key={s.id} aria-current={s.id === standing.stage ? 'step' : undefined}>
                {s.words}
                {s.id === 'MILD' && standing.mildAt && (
                  <span>{format.moment(standing.mildAt)}</span>
                )}
                {s.id === 'FULL' && standing.fullAt && (
                  <span>{format.moment(standing.fullAt)}</span>
                )}
                {s.id === 'STRONG' && standing.strongAt && (
                  <span>{format.moment(standing.strongAt)}</span>
                )}
              </li>
            ))}
          </ol>
          <p>
            It is <b>{standing.stageWords}</b>, about pH {standing.ph?.toFixed(1)}.{' '}
            {standing.stage === 'YOUNG'
              ? 'Leave it on.'
              : 'Stop it when it smells as you like it: sour, never putrid.'}
          </p>
          {standing.fermentNotSour && (
            <p className="caution">
              Nobody can be sure yet that it is down to pH 4.6. Until its pH is read, or it has
              stood long enough for even a slow ferment, every hour counts against its life.
            </p>
          )}
        </>
      )}
      {!standing.stage && (
        <p>About {Math.round(standing.extractedPercent)} % has gone over by now.</p>
      )}
      {spent !== undefined && standing.spentHours > 0.5 && (
        <p className="soft small">
          Life already spent by standing: {duration(standing.spentHours * 60)} of{' '}
          {duration(standing.budgetHours! * 60)} ({Math.round(spent * 100)} %).
        </p>
      )}
      <ol className="days">
        {standing.days.slice(-21).map((d) => (
          <li key={d.day} data-missed={d.shakeDue && !d.shaken && d !== today ? '' : undefined}>
            <b>{d.day}</b>
            <span>{format.day(d.date)}</span>
            <span>
              {d.shaken ? '✓ shaken' : d.shakeDue ? (d === today ? 'shake' : '– missed') : ''}
            </span>
            <span>
              {[
                d.celsius == null ? '' : format.celsius(d.celsius),
                d.ph == null ? '' : `pH ${figure(d.ph)}`,
                ...d.words,
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
          </li>
        ))}
      </ol>
      {missed > 0 && (
        <p className="soft small">
          {missed === 1 ? 'One day was' : `${missed} days were`} missed. Every few days still works.
        </p>
      )}
      <div className="row">
        {shakes && (
          <Button
            className="touch"
            variant={today?.shaken ? 'outline' : 'filled'}
            onClick={() => enter('SHAKEN', 'Shaken')}
            loading={tap.isPending}
          >
            {today?.shaken ? 'Shaken again' : 'Shaken'}
          </Button>
        )}
      </div>
      <details>
        <summary>Throw it away at</summary>
        <ul>
          {standing.throwAway.map((w) => (
            <li key={w}>{w}</li>
          ))}
        </ul>
      </details>
    </section>
  );
}
