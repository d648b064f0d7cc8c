import { Button } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import type { Causes } from '../../api/client';
import { useCauses, useFormulas, useJournal } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { useFormat } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { capital, WORDS } from '../../kit/words';
import { LearnLinks } from '../learning/LearnLinks';
import './faults.css';

type Symptom = Causes['symptom'];
const SYMPTOMS = Object.keys(WORDS.symptoms) as Symptom[];

/** Learn: what is wrong with a batch, what explains it best, and what helps now and next time. */
export function CausesPage() {
  const [params, setParams] = useSearchParams();
  const journal = useJournal({});
  const formulas = useFormulas();
  const format = useFormat();
  const symptom = SYMPTOMS.find((s) => s === params.get('symptom'));
  const batch = params.get('batch') ?? undefined;
  const formula = batch ? undefined : (params.get('formula') ?? undefined);
  const asked = {
    ...(symptom && { symptom }),
    ...(batch && { batch }),
    ...(formula && { formula }),
  };
  const causes = useCauses(asked);
  const set = (changes: Record<string, string>) => {
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(changes)) {
      if (value) next.set(name, value);
      else next.delete(name);
    }
    setParams(next, { replace: true });
  };
  const batches = (journal.data?.pages ?? []).filter((p) => p.batch);
  return (
    <main className="page" id="main">
      <LearnLinks />
      <div className="stack wide">
        <h1>What went wrong?</h1>
        <div className="row end">
          <Choice
            label="With which batch"
            placeholder="none of these"
            data={[
              ...batches.map((p) => ({
                value: p.batch!,
                label: `${p.code} ${p.title}, ${format.day(p.day)}`,
              })),
              ...(batch && !batches.some((p) => p.batch === batch)
                ? [{ value: batch, label: 'the batch you came from' }]
                : []),
            ]}
            value={batch ?? ''}
            onChange={(b) => set({ batch: b, formula: '' })}
          />
          {!batch && (
            <Choice
              label="Or with which formula, nothing written down"
              placeholder="choose"
              data={(formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }))}
              value={formula ?? ''}
              onChange={(f) => set({ formula: f })}
            />
          )}
        </div>
        <div className="row" role="group" aria-label="What is wrong with it">
          {SYMPTOMS.map((s) => (
            <Button
              key={s}
              className="touch"
              variant={s === symptom ? 'filled' : 'outline'}
              aria-pressed={s === symptom}
              onClick={() => set({ symptom: s })}
            >
              {capital(WORDS.symptoms[s])}
            </Button>
          ))}
        </div>
        {symptom && (batch || formula) ? (
          <Loaded part of={causes}>
            {(view) => <Told view={view} />}
          </Loaded>
        ) : (
          <p className="soft">
            Choose what it was, and what is wrong. The model is asked what each departure does to
            what you see.
          </p>
        )}
      </div>
    </main>
  );
}

function Told({ view }: { view: Causes }) {
  return (
    <>
      <section aria-label="What explains it best">
        <h2>
          {view.name}, {WORDS.symptoms[view.symptom]}
        </h2>
        {view.causes.length === 0 ? (
          <p>Nothing that was written down explains it.</p>
        ) : (
          <ol className="causes">
            {view.causes.map((c) => (
              <li key={c.words} className="sheet stack">
                <p>
                  <b>{c.words}</b>{' '}
                  <span className="soft small">
                    {c.recorded ? 'as written down' : 'supposed, nobody wrote it down'}
                    {c.step && ` · ${c.step}`}
                  </span>
                </p>
                <p>
                  <span className="soft">Now:</span> {c.now}
                </p>
                <p>
                  <span className="soft">Next time:</span> {c.next}
                </p>
              </li>
            ))}
          </ol>
        )}
      </section>
      {view.usual.length > 0 && (
        <section aria-label="The usual causes">
          <h2>What makers of this method commonly get wrong</h2>
          <ul className="lines">
            {view.usual.map((u) => (
              <li key={u}>{u}</li>
            ))}
          </ul>
        </section>
      )}
      <p className="soft small">
        <Link to="/learn/practice">Practise it</Link> where nothing is spoilt.
      </p>
    </>
  );
}
