import { Button, Checkbox, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { FormulaLine, StoreLine } from '../../api/client';
import { useCalled, useFormulas, useFormulasFor, usePeople, useStores } from '../../api/queries';
import { duration } from '../../kit/format';
import { Empty, Failed, Waiting } from '../../kit/states';
import { BottlePicture } from '../../signature/BottlePicture';
import { ChooseLinks } from './ChooseLinks';
import { answers, choices, missing, NOTHING, TIMES, type Search } from './finder';
import { Choice } from '../../kit/Choice';
import './formulas.css';

/** Choose: what can be brewed for this need, with what is there, in the time there is. */
export function FormulasPage() {
  const formulas = useFormulas();
  const stores = useStores();
  const names = useCalled();
  const [search, setSearch] = useState<Search>(NOTHING);
  const people = usePeople();
  const [whom, setWhom] = useState('');
  const suits = useFormulasFor(whom);
  const set = (part: Partial<Search>) => setSearch({ ...search, ...part });
  if (formulas.isPending) return <Waiting />;
  const all = formulas.data ?? [];
  const lots = stores.data?.materials ?? [];
  const notFor = new Map(
    (whom ? (suits.data ?? []) : [])
      .filter((s) => !s.well)
      .map((s) => [s.formula, s.limits.find((l) => l.weight !== 'MIND')?.what ?? '']),
  );
  const found = all
    .filter((f) => answers(f, search, lots, names))
    .sort((a, b) => Number(notFor.has(a.id)) - Number(notFor.has(b.id)));
  return (
    <main className="page" id="main">
      <ChooseLinks />
      <h1>What shall it be?</h1>
      {all.length > 0 && !all.some((f) => f.own) && (
        <section className="note-offer above" aria-label="From a note">
          <p>
            <b>Is there a recipe that somebody told you?</b>
            <br />
            Write it down as it was said: it is read into a formula, with its pot and its date.
          </p>
          <Button component={Link} to="/choose/note">
            Write the note
          </Button>
        </section>
      )}
      {formulas.isError && <Failed error={formulas.error} again={() => formulas.refetch()} />}
      <search className="row end above">
        <TextInput
          className="field-s"
          label="Find"
          type="search"
          placeholder="rosemary, gel, …"
          value={search.words}
          onChange={(e) => set({ words: e.currentTarget.value })}
        />
        <Choice
          className="field-s"
          label="For"
          value={search.need}
          onChange={(need) => set({ need: need! })}
          data={choices(
            all,
            (f) => f.needs,
            (n) => n.need,
            (n) => n.words,
            'Any hair and scalp',
          )}
        />
        {(people.data?.people.length ?? 0) > 0 && (
          <Choice
            className="field-s"
            label="Whose head"
            value={whom}
            onChange={setWhom}
            data={[
              { value: '', label: 'Anybody' },
              ...people.data!.people.map((p) => ({ value: p.id, label: p.name })),
            ]}
          />
        )}
        <Choice
          className="field-s"
          label="Used as"
          value={search.purpose}
          onChange={(purpose) => set({ purpose: purpose! })}
          data={choices(
            all,
            (f) => f.purposeIds.map((id, i) => ({ id, words: f.purposes[i]! })),
            (p) => p.id,
            (p) => p.words,
            'Anything',
          )}
        />
        <Choice
          className="field-s"
          label="Method"
          value={search.method}
          onChange={(method) => set({ method: method! })}
          data={choices(
            all,
            (f) => [f],
            (f) => f.methodId,
            (f) => f.method,
            'Any method',
          )}
        />
        <Choice
          className="field-s"
          label="Ready within"
          value={search.within}
          onChange={(within) => set({ within: within! })}
          data={TIMES}
        />
        <Checkbox
          className="below"
          size="md"
          label="With what is in the stores"
          checked={search.atHand}
          onChange={(e) => set({ atHand: e.currentTarget.checked })}
        />
      </search>
      <p className="soft small above" role="status">
        {found.length === all.length
          ? `${all.length} formulas`
          : `${found.length} of ${all.length} formulas`}
      </p>
      {found.length === 0 && all.length > 0 && (
        <Empty title="Nothing answers all of that">
          <p>Take one wish back, or begin a formula of your own.</p>
          <div className="row">
            <Button variant="outline" onClick={() => setSearch(NOTHING)}>
              Show everything
            </Button>
            <Button component={Link} to="/choose/new">
              Begin a formula
            </Button>
          </div>
        </Empty>
      )}
      <ul className="lines above-s">
        {found.map((f) => (
          <li key={f.id}>
            <Line formula={f} search={search} lots={lots} notFor={notFor.get(f.id)} />
          </li>
        ))}
      </ul>
    </main>
  );
}

function Line({
  formula: f,
  search,
  lots,
  notFor,
}: {
  formula: FormulaLine;
  search: Search;
  lots: StoreLine[];
  /** Why it is not for the head that is looked for. */
  notFor?: string;
}) {
  const lacking = missing(f, lots);
  const served = f.needs.find((n) => n.need === search.need);
  return (
    <article className="formula-line">
      <BottlePicture container={f.container} fill={0.8} tint={f.tint} sizeMl={250} scale={0.8} />
      <div>
        <h2>
          <Link to={`/choose/${f.id}`}>{f.name}</Link>
          {f.own && <span className="mine">ours</span>}
        </h2>
        <p className="soft small">
          {f.method} · {f.purposes.join(', ')} · about {duration(f.usualMinutes)}, hands{' '}
          {duration(f.handsMinutes)}
          {f.strainings > 1 ? ` · strained ${f.strainings} times` : ''}
        </p>
        <p>{f.about}</p>
        <p className="soft small">
          {f.ingredients.join(', ')}
          {lots.length > 0 &&
            (lacking.length === 0
              ? ' · all in the stores'
              : ` · ${lacking.length} not in the stores`)}
        </p>
        {served?.variant && (
          <p className="small">For {served.words}: as its variant, chosen on Measure.</p>
        )}
        {notFor && <p className="caution">{notFor}</p>}
        {f.problem && <p className="trouble">{f.problem}</p>}
      </div>
      <Button
        component={Link}
        to={`/choose/${f.id}/measure${served?.variant ? `?variant=${served.variant}` : ''}`}
        aria-label={`Measure ${f.name}`}
        disabled={Boolean(f.problem)}
      >
        Measure
      </Button>
    </article>
  );
}
