import { Button } from '@mantine/core';
import { Link, Navigate, useParams } from 'react-router';
import { useHousehold, useRunning } from '../../api/queries';
import { useServerClock } from '../../kit/clock';
import { formatFor } from '../../kit/format';
import { Empty, Failed, Waiting } from '../../kit/states';
import { inFront } from './calls';
import { Lanes } from './Lanes';
import { Pots } from './Pots';
import { RunBench } from './RunBench';

/** Brew: every pot that is on now, each in its lane, and the one that wants hands in front. */
export function BenchPage() {
  const { id } = useParams();
  const running = useRunning();
  const household = useHousehold();
  const format = formatFor(household.data);
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  if (running.isPending || household.isPending) return <Waiting />;
  const runs = inFront(running.data ?? [], now);
  // What wants hands first opens; from then on the maker chooses, and no tap makes the screen jump.
  if (!id && runs[0]) return <Navigate to={`/brew/${runs[0].id}`} replace />;
  const shown = id;
  return (
    <main className="page bench" id="main">
      {running.isError && runs.length === 0 && (
        <Failed error={running.error} again={() => running.refetch()} />
      )}
      {!id && <h1>On the bench</h1>}
      {running.data?.length === 0 && !id && (
        <Empty title="Nothing is brewing.">
          <p>Choose a formula, measure it, and its steps are laid out here.</p>
          <div>
            <Button component={Link} to="/choose">
              Choose a brew
            </Button>
          </div>
        </Empty>
      )}
      {(runs.length > 1 || (runs.length === 1 && runs[0]!.id !== shown)) && (
        <>
          <div className="lanes-wide">
            <Lanes runs={runs} now={now} format={format} selected={shown} />
          </div>
          <nav className="pots-narrow" aria-label="Pots on the bench">
            <Pots runs={runs} now={now} format={format} selected={shown} />
          </nav>
        </>
      )}
      {shown && <RunBench key={shown} id={shown} />}
    </main>
  );
}
