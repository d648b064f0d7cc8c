import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useHousehold, useRunning } from '../../api/queries';
import { useServerClock } from '../../app/clock';
import { formatFor } from '../../app/format';
import { Empty, Failed, Waiting } from '../../app/states';
import { WindowBar } from '../../signature';

/** Brew: every pot that is on now. */
export function BenchPage() {
  const running = useRunning();
  const household = useHousehold();
  const format = formatFor(household.data);
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  if (running.isPending) return <Waiting />;
  return (
    <main className="page" id="main">
      <h1>On the bench</h1>
      {running.isError && <Failed error={running.error} again={() => running.refetch()} />}
      {running.data?.length === 0 && (
        <Empty title="Nothing is brewing.">
          <p>Choose a formula, measure it, and its steps are laid out here.</p>
          <div>
            <Button component={Link} to="/choose">
              Choose a brew
            </Button>
          </div>
        </Empty>
      )}
      <ul className="lines" style={{ marginTop: 12 }}>
        {running.data?.map((run) => (
          <li key={run.id} className="row" style={{ justifyContent: 'space-between' }}>
            <div style={{ flex: '1 1 260px' }}>
              <p className="soft small">
                {run.name} · {run.code} · step {run.step + 1} of {run.steps}
              </p>
              <h2>{run.headline}</h2>
              {run.window && (
                <p className="small">
                  right from {format.clock(run.window.rightFrom)}, late from{' '}
                  {format.moment(run.window.lateFrom)}
                </p>
              )}
            </div>
            <div style={{ flex: '1 1 240px', maxWidth: 420 }}>
              {run.window && (
                <WindowBar
                  startedAt={Date.parse(run.window.startedAt)}
                  rightFrom={Date.parse(run.window.rightFrom)}
                  lateFrom={Date.parse(run.window.lateFrom)}
                  now={now}
                />
              )}
            </div>
            <Button component={Link} to={`/brew/${run.id}`} aria-label={`Go to ${run.name}`}>
              Go to it
            </Button>
          </li>
        ))}
      </ul>
    </main>
  );
}
