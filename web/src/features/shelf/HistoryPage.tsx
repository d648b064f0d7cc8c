import { Button, Checkbox } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useHistory, useSession } from '../../api/queries';
import { useFormat } from '../../kit/format';
import { Empty, Failed, Waiting } from '../../kit/states';
import { happened } from './words';

/** Everything that ever happened, the newest first. */
export function HistoryPage() {
  const history = useHistory();
  const format = useFormat();
  const me = useSession().data?.called;
  const [undone, setUndone] = useState(false);
  if (history.isPending) return <Waiting />;
  const all = history.data?.pages.flatMap((p) => p.lines) ?? [];
  const lines = undone ? all : all.filter((l) => !l.undone);
  // Who did it matters where it was not always the same.
  const others = all.some((l) => l.doneBy && l.doneBy !== me);
  const days = [...new Set(lines.map((l) => format.dateOf(l.at)))];
  return (
    <main className="page reading" id="main">
      <p className="soft">
        <Link to="/keep">The shelf</Link>
      </p>
      <h1>Everything that happened</h1>
      {history.isError && <Failed error={history.error} again={() => history.refetch()} />}
      {history.isSuccess && all.length === 0 && (
        <Empty title="Nothing has happened yet.">
          <p>Every brew, every bottle and every spoonful will stand here.</p>
        </Empty>
      )}
      {all.some((l) => l.undone) && (
        <Checkbox
          className="above-s"
          size="md"
          label="Show what was taken back too"
          checked={undone}
          onChange={(e) => setUndone(e.currentTarget.checked)}
        />
      )}
      {days.map((day) => (
        <section className="above-l" key={day}>
          <h2>{format.dayLong(day)}</h2>
          <ul className="lines">
            {lines
              .filter((l) => format.dateOf(l.at) === day)
              .map((l) => (
                <li key={l.id} className="spread">
                  <span className={l.undone ? 'undone' : ''}>
                    <Link to={l.bottleId ? `/keep/${l.bottleId}` : `/brew/${l.batchId}`}>
                      {l.name} {l.code}
                    </Link>{' '}
                    {happened(l)}
                    {others && l.doneBy && <span className="soft"> – {l.doneBy}</span>}
                  </span>
                  <span className="soft small">{format.clock(l.at)}</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {history.hasNextPage && (
        <Button
          variant="outline"
          mt="lg"
          onClick={() => history.fetchNextPage()}
          loading={history.isFetchingNextPage}
        >
          Earlier
        </Button>
      )}
    </main>
  );
}
