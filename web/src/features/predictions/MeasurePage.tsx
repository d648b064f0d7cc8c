import { Button, Checkbox, NumberInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, keys, ProblemError } from '../../api/client';
import { useFormula, useHousehold, usePrediction, useShelf } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { duration, formatFor } from '../../kit/format';
import { HangsOn } from '../../kit/HangsOn';
import { Failed, Waiting } from '../../kit/states';
import { BrewLine, KeepingBand, WaterAccount } from '../../signature';
import { Deliberate } from './Deliberate';
import { Otherwise } from './Otherwise';
import { Pours } from './Pours';
import { StartWhen, whenBody, type When } from './StartWhen';
import { TargetForm } from './TargetForm';
import { draftPlan, draftQuestion, loadDraft, saveDraft, wantedWords, type Draft } from './target';
import { FillInto } from './FillInto';
import { WeighOut } from './WeighOut';
import { HowSure } from './HowSure';
import { Why } from './Why';
import './predictions.css';
import { coolWords, plural, rangeWords } from './words';

/** Measure: exact amounts for what is wanted in the bottle, how it goes, how long it keeps. */
export function MeasurePage() {
  const { id = '' } = useParams();
  const formula = useFormula(id);
  if (formula.isPending) return <Waiting />;
  if (formula.isError) {
    return (
      <main className="page" id="main">
        <Failed error={formula.error} again={() => formula.refetch()} />
      </main>
    );
  }
  return <Measure key={id} id={id} formula={formula.data} />;
}

type FormulaView = NonNullable<ReturnType<typeof useFormula>['data']>;

function Measure({ id, formula }: { id: string; formula: FormulaView }) {
  const household = useHousehold();
  const format = formatFor(household.data);
  const navigate = useNavigate();
  const client = useQueryClient();
  const plant = formula.ingredients.find((i) => i.plant);
  const [params] = useSearchParams();
  const [draft, setDraft] = useState<Draft>(() => {
    const variant = params.get('variant');
    return variant ? { ...loadDraft(id), variant } : loadDraft(id);
  });
  const shelf = useShelf();
  const standing = useMemo(() => new Set(shelf.data?.bottles.map((b) => b.id) ?? []), [shelf.data]);
  const [reason, setReason] = useState('');
  const [when, setWhen] = useState<When>({ kind: 'NOW', at: '' });
  const change = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    saveDraft(id, next);
  };
  // While something is dragged one question is on its way at a time, always the newest; what makes
  // the ranges is asked for once it rests.
  const [asked, setAsked] = useState(draft);
  const prediction = usePrediction({
    ...draftQuestion(id, asked, formula, standing),
    ranges: false,
  });
  if (!prediction.isFetching && asked !== draft) setAsked(draft);
  const [rested] = useDebouncedValue(asked, 350);
  const ranged = usePrediction(draftQuestion(id, rested, formula, standing));
  const once = useOnce();
  const brew = useMutation({
    mutationFn: () => {
      const body = {
        ...draftPlan(id, draft, formula, standing),
        ...whenBody(when, format),
        override: reason || undefined,
      };
      return once(body, (key) =>
        ask(api.POST('/api/batches', { params: { header: { 'Idempotency-Key': key } }, body })),
      );
    },
    onSuccess: async (run) => {
      await client.invalidateQueries({ queryKey: keys.all });
      await navigate(`/brew/${run.id}`);
    },
  });
  const problem = brew.error ?? prediction.error;
  const atRest = rested === asked && ranged.data && !ranged.isPlaceholderData;
  const p = atRest ? ranged.data : prediction.data;
  const stale = Boolean(prediction.error);
  const heldBy = plant ? plural(plant.kind) : 'the plants';
  return (
    <main className="page" id="main">
      <p className="soft">
        <Link to={`/choose/${id}`}>{formula.formula.name}</Link> · {formula.method.toLowerCase()}
      </p>
      <h1 className="below-l">{wantedWords(draft, plant?.name)}</h1>
      <div className="two">
        <div className="stack">
          <TargetForm draft={draft} plant={plant?.name} error={problem} onChange={change} />
          {problem instanceof ProblemError && (
            <p className="trouble" role="alert">
              {problem.message}
            </p>
          )}
          <Otherwise
            view={formula}
            draft={draft}
            prediction={p}
            error={problem}
            onChange={change}
          />
          <Pours
            formula={formula.formula}
            bottles={shelf.data?.bottles ?? []}
            pours={draft.pours}
            error={problem}
            format={format}
            onChange={(pours) => change({ pours })}
          />
          {p && (
            <div className={stale ? 'stack stale' : 'stack'}>
              <section aria-labelledby="account">
                <h2 id="account" className="sr">
                  The water account
                </h2>
                <WaterAccount
                  water={p.water}
                  bottledMl={p.bottledMl.value}
                  heldBy={heldBy}
                  wantedMl={
                    draft.kind === 'VOLUME' && draft.unit === 'ml'
                      ? Number(draft.ml) || undefined
                      : undefined
                  }
                  onWanted={(ml) => change({ kind: 'VOLUME', ml, unit: 'ml' })}
                />
                <p className="soft small">
                  {rangeWords(p)} Why so much{' '}
                  <Why result="bottled" prediction={p}>
                    in the bottle
                  </Why>
                  ,{' '}
                  <Why result="held" prediction={p}>
                    held
                  </Why>
                  ,{' '}
                  <Why result="steam" prediction={p}>
                    steam
                  </Why>
                  ,{' '}
                  <Why result="cloth" prediction={p}>
                    cloth
                  </Why>
                </p>
                <HowSure prediction={p} format={format} />
              </section>
              {p.findings.map((f) => (
                <p key={f.place + f.code} className="caution">
                  <b>{f.what}</b> {f.why} {f.cure}
                </p>
              ))}
              <section aria-labelledby="goes">
                <h2 id="goes">How it goes</h2>
                <BrewLine
                  prediction={p}
                  format={format}
                  onMinutes={(step, minutes) =>
                    change({ minutes: { ...draft.minutes, [step]: minutes } })
                  }
                />
                <p className="soft small">
                  In all {duration(p.totalMinutes)} <Why result="time" prediction={p} />{' '}
                  {coolWords(p, format.celsius)}
                </p>
              </section>
              <section aria-labelledby="keeps">
                <div className="beside">
                  <div>
                    <h2 id="keeps">
                      {p.keeping.useNow
                        ? 'use it now, nothing keeps'
                        : `keeps till ${format.day(p.keeping.lastDay)}`}
                    </h2>
                    <p className="soft small">
                      {p.keeping.reasons[1]?.words} <Why result="keeps" prediction={p} />
                    </p>
                    <HangsOn keeping={p.keeping} format={format} />
                    {p.mayCountAs.length > 0 && (
                      <p className="caution">
                        Within what is not known it may also count as {p.mayCountAs.join(', or ')}.
                      </p>
                    )}
                  </div>
                  <KeepingBand
                    keeping={p.keeping}
                    bottledAt={Date.parse(p.bottledAt)}
                    format={format}
                  />
                </div>
                <Checkbox
                  size="md"
                  label="Worked clean: sterilised bottle, strained fine, fridge at 5 °C"
                  checked={draft.clean}
                  onChange={(e) => change({ clean: e.currentTarget.checked })}
                />
                <details>
                  <summary>Why this day</summary>
                  {p.keeping.reasons.map((r) => (
                    <p key={r.words} className="reason">
                      {r.words}
                      {r.source && <span className="soft">{r.source}</span>}
                    </p>
                  ))}
                </details>
              </section>
              {p.ways.length === 0 && <FillInto filling={p.filling} />}
              {p.ways.length > 0 && (
                <section aria-labelledby="ways">
                  <h2 id="ways">Then it is divided</h2>
                  <ul className="lines">
                    {p.ways.map((w) => (
                      <li key={w.name} className="figure-line">
                        <span className="strong">{w.name}</span>
                        <span>{format.ml(w.prediction.bottledMl.value)}</span>
                        <span className="soft small">
                          keeps till {format.day(w.prediction.keeping.lastDay)}
                          {w.prediction.thickness && ` · ${w.prediction.thickness.words}`}
                        </span>
                      </li>
                    ))}
                  </ul>
                </section>
              )}
            </div>
          )}
        </div>
        <aside>
          {p && (
            <WeighOut
              title={`${formula.formula.name}: ${wantedWords(draft, plant?.name)}`}
              prediction={p}
              stale={stale}
            />
          )}
          <details className="shop">
            <summary>Against a shop price</summary>
            <div className="row end">
              <NumberInput
                label="Price"
                w={100}
                decimalScale={2}
                value={draft.shopPrice}
                onChange={(shopPrice) => change({ shopPrice })}
              />
              <NumberInput
                label="For, mL"
                w={100}
                value={draft.shopMl}
                onChange={(shopMl) => change({ shopMl })}
              />
            </div>
          </details>
          {p && (
            <Deliberate prediction={p} reason={reason} error={brew.error} onChange={setReason} />
          )}
          <StartWhen when={when} error={brew.error} onChange={setWhen} />
          <Button
            fullWidth
            mt="md"
            size="lg"
            onClick={() => brew.mutate()}
            loading={brew.isPending}
            disabled={!p || (stale && !brew.error) || (when.kind !== 'NOW' && !when.at)}
          >
            {when.kind === 'NOW' ? 'Brew it now' : 'Put it on the bench'}
          </Button>
          <p className="soft small above">
            Drag the dark edge of the bottles or the line that ends the long step; arrow keys do the
            same.
          </p>
        </aside>
      </div>
    </main>
  );
}
