import { Button } from '@mantine/core';
import { Link, useParams } from 'react-router';
import type { Run } from '../../api/client';
import { useBatchJournal, useJournal, useRun } from '../../api/queries';
import { useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { Compared } from '../bench/Compared';
import { Story } from '../bench/Story';
import { Entries } from './Entries';
import { WriteEntry } from './WriteEntry';
import './journal.css';

/** A batch’s whole story on one page: planned, happened, came out, photos, words. For print too. */
export function BatchStory() {
  const { id = '' } = useParams();
  const run = useRun(id);
  const format = useFormat();
  return (
    <main className="page story" id="main">
      <Loaded part of={run}>
        {(view) => <Told run={view} format={format} />}
      </Loaded>
    </main>
  );
}

function Told({ run, format }: { run: Run; format: Format }) {
  const written = useBatchJournal(run.id);
  const journal = useJournal({});
  return (
    <div className="stack wide">
      <div className="stack">
        <p className="soft small no-print">
          <Link to="/learn/journal">Journal</Link>
        </p>
        <h1>{run.name}</h1>
        <p className="soft">
          {run.code} · begun {format.moment(run.startedAt)} · keeps till{' '}
          {format.day(run.prediction.keeping.lastDay)}
        </p>
        <div className="row no-print">
          <Button variant="outline" onClick={() => window.print()}>
            Print its story
          </Button>
          <Link to={`/brew/${run.id}`}>Its bench</Link>
          <Link to={`/learn/causes?batch=${run.id}`}>What went wrong?</Link>
        </div>
      </div>
      <section className="stack" aria-label="What was written down">
        <h2>Written down</h2>
        {written.data?.length === 0 && <p className="soft">Nothing yet.</p>}
        {written.data && <Entries entries={written.data} format={format} />}
        {journal.data && (
          <WriteEntry criteria={journal.data.criteria} today={journal.data.today} batch={run.id} />
        )}
      </section>
      {run.photos.length > 0 && (
        <section aria-label="Photos">
          <h2>Photos</h2>
          <div className="story-photos">
            {run.photos.map((p) => (
              <figure key={p.id} className="flush">
                <img
                  src={`/api/batches/${run.id}/photos/${p.id}`}
                  alt={p.caption || `Photo at step ${p.step + 1}`}
                />
                <figcaption className="soft small">
                  {p.caption || run.prediction.steps[p.step]?.headline}
                </figcaption>
              </figure>
            ))}
          </div>
        </section>
      )}
      {run.comparison && (
        <Compared comparison={run.comparison} over={run.status !== 'RUNNING'} format={format} />
      )}
      <Story run={run} format={format} />
      {run.log.length > 0 && (
        <section aria-label="Log">
          <h2>Log</h2>
          <ul className="lines">
            {run.log.map((e) => (
              <li key={e.id}>
                {format.moment(e.at)}: {e.words || `${e.kind.toLowerCase()} ${e.amount ?? ''}`}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
