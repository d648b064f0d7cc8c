import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, keys, type FormulaView, type Step, type StepPlan } from '../../api/client';
import { useFormula, usePrediction } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { duration, figure, useFormat } from '../../kit/format';
import { done, tell } from '../../kit/states';
import { BrewLine } from '../../signature/BrewLine';
import { AsNote } from '../notes/AsNote';
import { ChooseLinks } from './ChooseLinks';
import { stepWords } from './words';
import { Loaded } from '../../kit/Loaded';

/** A formula: how it goes, what is in it, how it varies, what was brewed from it. */
export function FormulaPage() {
  const { id = '' } = useParams();
  const formula = useFormula(id);
  return <Loaded of={formula}>{(data) => <View key={id} id={id} view={data} />}</Loaded>;
}

function View({ id, view }: { id: string; view: FormulaView }) {
  const format = useFormat();
  const prediction = usePrediction({
    formulaId: id,
    target: { kind: 'VOLUME', amount: { value: 500, unit: 'ml' } },
    ranges: false,
  });
  const p = prediction.data;
  return (
    <main className="page" id="main">
      <ChooseLinks />
      <p className="soft">
        <Link to={`/learn?find=${encodeURIComponent(view.method)}`}>{view.method}</Link>
        {view.copiedFrom && ` · began as ${view.copiedFrom}`}
      </p>
      <h1>{view.formula.name}</h1>
      <p className="narrow">{view.formula.about}</p>
      <Actions id={id} view={view} />
      <div className="two above-l">
        <div className="stack">
          <section aria-labelledby="goes">
            <h2 id="goes">How it goes{p ? `: about ${duration(p.totalMinutes)}` : ''}</h2>
            {prediction.isError && <p className="trouble">{prediction.error.message}</p>}
            {p && <BrewLine prediction={p} format={format} />}
            <Steps steps={view.formula.steps} planned={p?.steps} />
            {view.formula.branches?.map((b, i) => (
              <div key={b.name}>
                <h3>
                  {Math.round(b.share! * 100)} % {b.name}
                </h3>
                <Steps
                  steps={b.steps}
                  planned={p?.ways[i]?.prediction.steps.slice(view.formula.steps.length + 1)}
                />
              </div>
            ))}
          </section>
          {view.schools.length > 0 && (
            <section aria-labelledby="schools">
              <h2 id="schools">Where makers disagree</h2>
              {view.schools.map((s) => (
                <div key={s.id} className="stack above">
                  <h3>
                    <Link to={`/learn?find=${encodeURIComponent(s.question)}`}>{s.question}</Link>
                  </h3>
                  <ul className="plain">
                    {s.choices.map((c) => (
                      <li key={c.id}>
                        <b>{c.name}</b>
                        {c.ours ? ' (ours)' : ''}: {c.says} {c.ours && c.why}
                      </li>
                    ))}
                  </ul>
                </div>
              ))}
            </section>
          )}
        </div>
        <aside className="stack">
          <section className="sheet" aria-labelledby="inside">
            <h2 id="inside">What is in it</h2>
            <ul className="lines above-s">
              {view.formula.ingredients.map((line, i) => (
                <li key={line.key} className="figure-line">
                  <span className="strong">{view.ingredients[i]?.name}</span>
                  <span className="strong">{share(line)}</span>
                  <span className="soft small">
                    {view.ingredients[i]?.inci || view.ingredients[i]?.kind}
                  </span>
                </li>
              ))}
            </ul>
            {p && p.findings.length > 0 && (
              <div className="stack above">
                {p.findings.map((f) => (
                  <p key={f.code + f.place + f.what} className="caution">
                    <b>{f.what}</b> {f.cure}
                  </p>
                ))}
              </div>
            )}
          </section>
          <Variants id={id} view={view} />
          <Kept view={view} />
          <Brewed view={view} />
          <AsNote id={id} name={view.formula.name} />
        </aside>
      </div>
    </main>
  );
}

function share(line: FormulaView['formula']['ingredients'][number]): string {
  if (line.parts != null) return `${figure(line.parts)} parts`;
  if (line.percent != null) return `${figure(line.percent)} % of the brew`;
  return `${figure(line.dropsPer100Ml ?? 0)} drops in 100 mL`;
}

function Actions({ id, view }: { id: string; view: FormulaView }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const once = useOnce();
  const copy = useMutation({
    mutationFn: () => {
      const body = { copyOf: id };
      return once(body, (key) =>
        ask(api.POST('/api/formulas', { params: { header: { 'Idempotency-Key': key } }, body })),
      );
    },
    onSuccess: async (made) => {
      await client.invalidateQueries({ queryKey: keys.formulas });
      await navigate(`/choose/${made.id}/change`);
    },
    onError: tell,
  });
  const path = { params: { path: { id } } };
  const back = useMutation({
    mutationFn: () => ask(api.POST('/api/formulas/{id}/bring-back', path)),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: keys.formulas });
      await navigate(`/choose/${id}`);
    },
    onError: tell,
  });
  const away = useMutation({
    mutationFn: () => ask(api.DELETE('/api/formulas/{id}', path)),
    onSuccess: async () => {
      await navigate('/choose');
      await client.invalidateQueries({ queryKey: keys.formulas });
      done(`${view.formula.name} was taken away`, () => back.mutate());
    },
    onError: tell,
  });
  return (
    <div className="row above">
      <Button component={Link} to={`/choose/${id}/measure`}>
        Measure
      </Button>
      {view.own && (
        <Button variant="outline" component={Link} to={`/choose/${id}/change`}>
          Change
        </Button>
      )}
      <Button variant="outline" onClick={() => copy.mutate()} loading={copy.isPending}>
        {view.own ? 'Copy' : 'Make it ours'}
      </Button>
      <Button variant="outline" component={Link} to={`/choose/${id}/card`}>
        Card to print
      </Button>
      <Button variant="subtle" component="a" href={`/api/formulas/${id}/file`} download>
        File
      </Button>
      <Button variant="subtle" component="a" href={`/api/formulas/${id}/howto`} download>
        JSON-LD
      </Button>
      {view.own && (
        <Button variant="subtle" onClick={() => away.mutate()} loading={away.isPending}>
          Take away
        </Button>
      )}
    </div>
  );
}

function Steps({ steps, planned: plans }: { steps: Step[]; planned: StepPlan[] | undefined }) {
  return (
    <ol className="steps">
      {steps.map((step, i) => {
        const planned = plans?.[i];
        return (
          <li key={i}>
            <h3>
              {planned?.headline ?? stepWords(step)}
              {step.window && (
                <span className="soft">
                  {' '}
                  {duration(step.window.shortest!)} to {duration(step.window.longest!)}, usually{' '}
                  {duration(step.window.usual!)}
                </span>
              )}
            </h3>
            {step.guide?.how && <p>{step.guide.how}</p>}
            {step.guide?.cue && (
              <p>
                <b>Look for:</b> {step.guide.cue}
              </p>
            )}
            {step.guide?.early && (
              <p className="soft">
                <b>Too soon:</b> {step.guide.early}
              </p>
            )}
            {step.guide?.late && (
              <p className="soft">
                <b>Too long:</b> {step.guide.late}
              </p>
            )}
            {planned?.cautions.map((c) => (
              <p key={c} className="caution">
                {c}
              </p>
            ))}
          </li>
        );
      })}
    </ol>
  );
}

function Variants({ id, view }: { id: string; view: FormulaView }) {
  if (view.variants.length === 0) return null;
  return (
    <section aria-labelledby="variants">
      <h2 id="variants">Variants</h2>
      <ul className="lines above-s">
        {view.variants.map((v) => (
          <li key={v.id}>
            <Link to={`/choose/${id}/measure?variant=${v.id}`}>{v.name}</Link>
            <p className="small">{v.why}</p>
            <p className="soft small">{v.differences.join('; ')}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Kept({ view }: { view: FormulaView }) {
  const format = useFormat();
  const [shown, setShown] = useState(3);
  if (!view.own) return null;
  return (
    <section aria-labelledby="kept">
      <h2 id="kept">Versions</h2>
      {view.differences.length > 0 && (
        <p className="soft small">
          Since it began as {view.copiedFrom}: {view.differences.join('; ')}.
        </p>
      )}
      {view.kept.length === 0 && (
        <p className="soft small">A version is kept whenever something is brewed from it.</p>
      )}
      <ul className="lines">
        {view.kept.slice(0, shown).map((k) => (
          <li key={k.number}>
            <b>{k.number}</b> <span className="soft">{format.moment(k.at)}</span> {k.note}
            <p className="small">
              {k.differences.length > 0 ? k.differences.join('; ') : 'the first one'}
            </p>
          </li>
        ))}
      </ul>
      {view.kept.length > shown && (
        <Button variant="subtle" onClick={() => setShown(1000)}>
          All {view.kept.length}
        </Button>
      )}
    </section>
  );
}

function Brewed({ view }: { view: FormulaView }) {
  const format = useFormat();
  return (
    <section aria-labelledby="brewed">
      <h2 id="brewed">Brewed from it</h2>
      {view.brewed.length === 0 ? (
        <p className="soft small">Nothing yet.</p>
      ) : (
        <ul className="lines">
          {view.brewed.slice(0, 8).map((b) => (
            <li key={b.id} className="figure-line">
              <span>
                <Link to={`/brew/${b.id}`}>{b.code}</Link>
                {b.version != null && <span className="soft"> version {b.version}</span>}
              </span>
              <span>
                {b.bottledMl != null
                  ? format.ml(b.bottledMl)
                  : b.status === 'RUNNING'
                    ? 'running'
                    : 'given up'}
              </span>
              <span className="soft small">{format.moment(b.startedAt)}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
