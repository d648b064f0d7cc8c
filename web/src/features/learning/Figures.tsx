import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Figure, TaughtFigure } from '../../api/client';
import { figure } from '../../kit/format';
import { useLearningChoice } from './useLearningChoice';

const WIDE = 320;

/** What the kitchen taught, figure by figure; each can be put back. */
export function Figures({ figures }: { figures: TaughtFigure[] }) {
  const told = figures.filter((f) => f.told);
  const open = figures.filter((f) => !f.told);
  return (
    <section aria-labelledby="figures" className="above-l">
      <h2 id="figures">Figure by figure</h2>
      {told.length === 0 && <p>Nothing can be told yet: a few more batches will.</p>}
      <ul className="lines">
        {told.map((f) => (
          <Line key={f.knob} of={f} />
        ))}
      </ul>
      {open.length > 0 && (
        <>
          <h3>Cannot be told yet</h3>
          <p className="soft">
            {open.map((f) => f.words).join('; ')}. The batches so far would have come out nearly the
            same whatever it is, so it stays as it was believed to be.
          </p>
        </>
      )}
    </section>
  );
}

const range = (f: Figure) => `${figure(f.value)} (${figure(f.low!)} to ${figure(f.high!)})`;

function Line({ of }: { of: TaughtFigure }) {
  const { use } = useLearningChoice();
  const { before, after } = of;
  return (
    <li className="taught">
      <div>
        <p>
          <b>{of.words}</b>
          {!of.inUse && <span className="soft"> · put back, not used</span>}
        </p>
        <Ranges before={before} after={after} />
        <p>
          {range(before)} → <b>{range(after)}</b> {after.unit}
        </p>
        <p className="soft small">
          {after.source}:{' '}
          {of.batches.slice(-6).map((b, i) => (
            <span key={b.id}>
              {i > 0 && ', '}
              <Link to={`/brew/${b.id}`}>{b.code}</Link>
            </span>
          ))}
          {of.batches.length > 6 && ` and ${of.batches.length - 6} before`}
        </p>
      </div>
      <Button
        variant="outline"
        aria-label={`${of.inUse ? 'Put back' : 'Use again'}: ${of.words}`}
        loading={use.isPending}
        onClick={() => use.mutate({ knob: of.knob, inUse: !of.inUse })}
      >
        {of.inUse ? 'Put it back' : 'Use it'}
      </Button>
    </li>
  );
}

/** Believed before, pale; learned, solid; on one line. */
function Ranges({ before, after }: { before: Figure; after: Figure }) {
  const least = Math.min(before.low!, after.low!);
  const most = Math.max(before.high!, after.high!);
  const x = (value: number) => 6 + ((value - least) / (most - least || 1)) * (WIDE - 12);
  return (
    <svg viewBox={`0 0 ${WIDE} 26`} className="taught-range" aria-hidden>
      <path
        d={`M${x(before.low!)} 8H${x(before.high!)}`}
        stroke="var(--woad-pale)"
        strokeWidth="10"
      />
      <path d={`M${x(before.value)} 2V14`} stroke="var(--ink)" strokeWidth="1.5" />
      <path d={`M${x(after.low!)} 20H${x(after.high!)}`} stroke="var(--woad)" strokeWidth="6" />
      <path d={`M${x(after.value)} 14V26`} stroke="var(--ink)" strokeWidth="2.5" />
    </svg>
  );
}
