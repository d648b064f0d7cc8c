import { TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Handbook, Material, MethodView } from '../../api/client';
import { useCalled, useHandbook, useMaterials, useMethods } from '../../api/queries';
import { duration } from '../../kit/format';
import { Failed, Waiting } from '../../kit/states';
import { figureWords } from '../../kit/figures';
import { LearnLinks } from '../learning/LearnLinks';
import { WeighSpoon } from './WeighSpoon';
import { seek } from '../../kit/seek';
import './handbook.css';

interface Entry {
  id: string;
  part: string;
  title: string;
  text: string;
  body: React.ReactNode;
}

/** Everything that Dremsa goes by, from the data that it reckons with; found by any word of it. */
export function HandbookPage() {
  const methods = useMethods();
  const handbook = useHandbook();
  const materials = useMaterials();
  const [params, setParams] = useSearchParams();
  // Typed here at once; the address follows, so that what was found can be linked to.
  const [find, setFind] = useState(() => params.get('find') ?? '');
  const names = useCalled();
  const entries = useMemo(
    () => [
      ...(methods.data ?? []).map(method),
      ...(handbook.data ? general(handbook.data) : []),
      ...(methods.data ? schools(methods.data) : []),
      ...(materials.data ?? []).map(material),
      ...(handbook.data ? model(handbook.data) : []),
    ],
    [methods.data, handbook.data, materials.data],
  );
  if (methods.isPending || handbook.isPending || materials.isPending) return <Waiting />;
  const error = methods.error ?? handbook.error ?? materials.error;
  const found = seek(find, entries, names);
  const asked = find.trim() !== '';
  // The answers first, opened; the rest by its place in the book.
  const answers = asked ? found.slice(0, 3) : [];
  const rest = found.slice(answers.length);
  const parts = [...new Set(rest.map((e) => e.part))];
  return (
    <main className="page reading" id="main">
      <LearnLinks />
      <h1>Handbook</h1>
      {error && <Failed error={error} />}
      <TextInput
        className="short around"
        label="Find"
        type="search"
        placeholder="why is my gel watery? linseed, latex, …"
        value={find}
        onChange={(e) => {
          const typed = e.currentTarget.value;
          setFind(typed);
          setParams(typed ? { find: typed } : {}, { replace: true });
        }}
      />
      <p className="soft small" role="status">
        {found.length === 0
          ? 'Nothing says that. Ask it otherwise, or with one word.'
          : `${found.length} of ${entries.length} entries`}
      </p>
      {answers.length > 0 && (
        <section className="above-l" aria-label="Answers">
          <h2>{answers.length === 1 ? 'The answer' : 'What answers it best'}</h2>
          <div className="lines">
            {answers.map((e) => (
              <details key={e.id} id={e.id} open className="entry">
                <summary>
                  {e.title} <span className="soft">{e.part}</span>
                </summary>
                {e.body}
              </details>
            ))}
          </div>
        </section>
      )}
      {parts.map((part) => (
        <section className="above-l" key={part} aria-label={part}>
          <h2>{part}</h2>
          <div className="lines">
            {rest
              .filter((e) => e.part === part)
              .map((e) => (
                <details key={e.id} id={e.id} className="entry">
                  <summary>{e.title}</summary>
                  {e.body}
                </details>
              ))}
          </div>
        </section>
      ))}
    </main>
  );
}

function method(m: MethodView): Entry {
  const guides = m.steps
    .map((s) => [s.headline, s.step.guide?.cue, s.step.guide?.early, s.step.guide?.late].join(' '))
    .join(' ');
  return {
    id: `method-${m.method}`,
    part: 'Methods',
    title: m.name,
    text: [m.about, m.leftovers, ...m.mistakes, ...m.equipment, guides].join(' '),
    body: (
      <div className="stack">
        <p>{m.about}</p>
        <p className="soft">
          {m.equipment.join(', ')} · hands for about {duration(m.handsMinutes)}
          {m.waterToHerb && ` · liquid to herb by weight: ${figureWords(m.waterToHerb)}`}
        </p>
        <ol className="steps">
          {m.steps.map((s, i) => (
            <li key={i}>
              <h3>
                {s.headline}
                {s.step.window && (
                  <span className="soft">
                    {' '}
                    {duration(s.step.window.shortest!)} to {duration(s.step.window.longest!)}
                  </span>
                )}
              </h3>
              {s.step.guide?.cue && <p>Look for: {s.step.guide.cue}</p>}
              {s.step.guide?.early && <p className="soft">Too soon: {s.step.guide.early}</p>}
              {s.step.guide?.late && <p className="soft">Too long: {s.step.guide.late}</p>}
            </li>
          ))}
        </ol>
        <h3>What goes wrong</h3>
        <ul className="plain">
          {m.mistakes.map((x) => (
            <li key={x}>{x}</li>
          ))}
        </ul>
        <p>
          <b>What is left:</b> {m.leftovers}
        </p>
        <p>
          <Link to={`/choose/${m.model}`}>A formula of this method</Link>
        </p>
      </div>
    ),
  };
}

function plain(part: string, id: string, title: string, text: string): Entry {
  return { id, part, title, text, body: <p>{text}</p> };
}

function general(h: Handbook): Entry[] {
  return [
    ...h.cautions.map((c, i) => plain('Cautions', `caution-${i}`, c.split(/[:.]/)[0]!, c)),
    ...h.hardStops.map((s, i) =>
      plain(
        'Throw it away at any age',
        `stop-${i}`,
        s.words,
        s.normalForFerment
          ? 'A ferment bubbles a little and smells sourish; putrid, pink or furry is a stop there too.'
          : 'Whatever its date says.',
      ),
    ),
    // A belief never stands there as if it were true.
    ...h.beliefs.map((b, i) =>
      plain('Beliefs that are not so', `belief-${i}`, `Not so: “${b.claim}”`, b.answer),
    ),
    ...h.keepingClasses.map(keeping),
    ...h.wearers.map((w) =>
      plain(
        'Essential oils by head',
        `wearer-${w.id}`,
        w.words,
        w.essentialPercent === 0
          ? 'No essential oil.'
          : `All essential oils together at most ${w.essentialPercent} % of the finished brew (our house limit).`,
      ),
    ),
  ];
}

/** How long a class keeps, each figure with its range and where it comes from. */
function keeping(k: Handbook['keepingClasses'][number]): Entry {
  const rows = k.schools.flatMap((s) => {
    const by = `${s.school.toLowerCase()} school`;
    return [
      s.budget && [`Life at 5 °C, ${by}`, figureWords(s.budget)],
      [`At most after straining, ${by}`, figureWords(s.cap)],
    ].filter((row): row is [string, string] => Boolean(row));
  });
  const first = k.schools[0];
  if (first?.room) rows.push(['At room temperature', figureWords(first.room)]);
  if (first?.published) rows.push(['Published figure', figureWords(first.published)]);
  rows.push(['Frozen', figureWords(k.freezer)]);
  return {
    id: `keep-${k.keepingClass}`,
    part: 'How long it keeps',
    title: k.words,
    text: rows.flat().join(' '),
    body: (
      <ul className="plain">
        {rows.map(([what, said]) => (
          <li key={what}>
            <b>{what}:</b> {said}
          </li>
        ))}
      </ul>
    ),
  };
}

function schools(methods: MethodView[]): Entry[] {
  const all = new Map(methods.flatMap((m) => m.schools).map((s) => [s.id, s]));
  return [...all.values()].map((s) => ({
    id: `school-${s.id}`,
    part: 'Where makers disagree',
    title: s.question,
    text: s.choices.map((c) => [c.name, c.says, c.why].join(' ')).join(' '),
    body: (
      <ul className="plain">
        {s.choices.map((c) => (
          <li key={c.id}>
            <b>{c.name}</b>
            {c.ours ? ' (ours)' : ''}: {c.says} {c.ours && c.why}
          </li>
        ))}
      </ul>
    ),
  }));
}

function material(m: Material): Entry {
  const figures = Object.entries(m.figures ?? {});
  return {
    id: `material-${m.id}`,
    part: 'Materials',
    title: m.name,
    text: [m.inci, m.kindWords, m.note, ...figures.map(([, f]) => f.source)].join(' '),
    body: (
      <div className="stack">
        <p>
          {m.kindWords}
          {m.inci ? ` · ${m.inci}` : ''}
          {m.own ? ' · this household’s own' : ''}
        </p>
        {m.note && <p className="caution">{m.note}</p>}
        <ul className="plain">
          {figures.map(([property, f]) => (
            <li key={property}>
              <b>{property.toLowerCase().replaceAll('_', ' ')}</b>: {figureWords(f)}
            </li>
          ))}
        </ul>
        {m.figures?.DENSITY && <WeighSpoon material={m} />}
      </div>
    ),
  };
}

function model(h: Handbook): Entry[] {
  return [
    ...h.explained.map((e) => ({
      ...plain('How it is reckoned', `why-${e.result}`, e.title, e.words),
      body: (
        <>
          <p>{e.words}</p>
          {e.source && <p className="soft">{e.source}</p>}
        </>
      ),
    })),
    ...h.parameters.map((p) =>
      plain('Numbers of the model', `parameter-${p.id}`, p.words, figureWords(p.figure)),
    ),
    ...h.sources.map((s, i) =>
      plain('Sources', `source-${i}`, s, 'Named by figures of this handbook.'),
    ),
  ];
}
