import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, keys, type Practices } from '../../api/client';
import { useFormulas, usePeople, usePractices } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { Trouble } from '../../kit/Trouble';
import { LearnLinks } from '../learning/LearnLinks';
import './practice.css';

/** Learn: exercises at a simulated pot, each for one mistake, and any formula without a task. */
export function PracticesPage() {
  const practices = usePractices();
  const format = useFormat();
  return (
    <main className="page" id="main">
      <LearnLinks />
      <Loaded part of={practices}>
        {(view) => <Bench view={view} format={format} />}
      </Loaded>
    </main>
  );
}

function Bench({ view, format }: { view: Practices; format: Format }) {
  const client = useQueryClient();
  const go = useNavigate();
  const people = usePeople();
  const [person, setPerson] = useState('');
  const begin = useMutation({
    mutationFn: (what: { exercise?: string; formula?: string }) =>
      ask(api.POST('/api/practices', { body: { ...what, ...(person && { person }) } })),
    onSuccess: (made) => {
      client.setQueryData(keys.practice(made.id), made);
      void client.invalidateQueries({ queryKey: keys.practices });
      void go(`/learn/practice/${made.id}`);
    },
  });
  const open = view.practices.filter((p) => !p.endedAt);
  const over = view.practices.filter((p) => p.endedAt);
  return (
    <div className="stack wide">
      <div className="spread practice-head">
        <h1>A pot that nothing spoils in</h1>
        {(people.data?.people.length ?? 0) > 0 && (
          <Choice
            label="Who practises?"
            placeholder="nobody in particular"
            data={people.data!.people.map((p) => ({ value: p.id, label: p.name }))}
            value={person}
            onChange={setPerson}
          />
        )}
      </div>
      <p>
        Each is for one mistake that costs makers a batch. The pot is the model of your bench; at
        the end it tells what each difference cost.
      </p>
      <Trouble error={begin.error} />
      {open.length > 0 && (
        <section aria-label="Under way">
          <h2>Under way</h2>
          <ul className="lines">
            {open.map((p) => (
              <li key={p.id}>
                <Link to={`/learn/practice/${p.id}`}>{p.title}</Link>{' '}
                <span className="soft">
                  {p.name && `${p.name}, `}since {format.day(format.dateOf(p.begunAt))}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <ul className="exercises">
        {view.exercises.map((e) => (
          <li key={e.id} className="sheet stack">
            <h2>{e.title}</h2>
            <p>{e.task}</p>
            <p className="soft small">{e.aims.map((a) => `${a.words}: ${a.wanted}`).join(' · ')}</p>
            <div className="row">
              <Button
                className="touch"
                loading={begin.isPending && begin.variables.exercise === e.id}
                onClick={() => begin.mutate({ exercise: e.id })}
                aria-label={`Begin: ${e.title}`}
              >
                Begin
              </Button>
              <span className="soft small">{e.best.map(bestWords).join('; ')}</span>
            </div>
          </li>
        ))}
      </ul>
      <Free begin={(formula) => begin.mutate({ formula })} />
      {over.length > 0 && (
        <details>
          <summary>{over.length} over</summary>
          <ul className="lines">
            {over.map((p) => (
              <li key={p.id}>
                <Link to={`/learn/practice/${p.id}`}>{p.title}</Link>{' '}
                <span className="soft">
                  {p.name && `${p.name}, `}
                  {format.day(format.dateOf(p.begunAt))}: {p.reached} of {p.asked} reached
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

type Best = Practices['exercises'][number]['best'][number];

function bestWords(b: Best): string {
  const who = b.name ? `${b.name}: ` : '';
  return `${who}${b.reached} of ${b.asked} at best, ${b.times === 1 ? 'once' : `${b.times} times`}`;
}

/** Any formula, in the own kitchen. */
function Free({ begin }: { begin: (formula: string) => void }) {
  const formulas = useFormulas();
  const [formula, setFormula] = useState<string | null>(null);
  return (
    <section className="row end" aria-label="Without a task">
      <Choice
        label="Any formula, in your own kitchen"
        placeholder="choose"
        data={(formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }))}
        value={formula}
        onChange={setFormula}
      />
      <Button variant="outline" disabled={!formula} onClick={() => formula && begin(formula)}>
        Practise it
      </Button>
    </section>
  );
}
