import { Button, NumberInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, keys, ProblemError } from '../../api/client';
import { useFormula, useHousehold } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { formatFor } from '../../kit/format';
import { capital } from '../../kit/words';
import { Waiting } from '../../kit/states';
import { ForWhom } from '../people/ForWhom';
import { Deliberate } from './Deliberate';
import { Otherwise } from './Otherwise';
import { Pours } from './Pours';
import { StartWhen, whenBody, type When } from './StartWhen';
import { TargetForm } from './TargetForm';
import { draftPlan, wantedWords, type Draft } from './target';
import { useMeasuring, type FormulaView } from './useMeasuring';
import { WeighOut } from './WeighOut';
import './predictions.css';
import { plural } from './words';
import { Loaded } from '../../kit/Loaded';

// The amounts come first; the pictures are loaded while they are read.
const Forecast = lazy(async () => ({ default: (await import('./Forecast')).Forecast }));

/** Measure: exact amounts for what is wanted in the bottle, how it goes, how long it keeps. */
export function MeasurePage() {
  const { id = '' } = useParams();
  const formula = useFormula(id);
  return <Loaded of={formula}>{(data) => <Measure key={id} id={id} formula={data} />}</Loaded>;
}

function Measure({ id, formula }: { id: string; formula: FormulaView }) {
  const household = useHousehold();
  const format = formatFor(household.data);
  const navigate = useNavigate();
  const client = useQueryClient();
  const plant = formula.ingredients.find((i) => i.plant);
  const [reason, setReason] = useState('');
  const [when, setWhen] = useState<When>({ kind: 'NOW', at: '' });
  const { draft, change, p, asking, shelf, standing } = useMeasuring(
    id,
    formula,
    whenBody(when, format),
  );
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
  const problem = brew.error ?? asking;
  const stale = Boolean(asking);
  const heldBy = plant ? plural(plant.kind) : 'the plants';
  return (
    <main className="page" id="main">
      <p className="soft">
        <Link to={`/choose/${id}`}>{formula.formula.name}</Link> · {formula.method.toLowerCase()}
      </p>
      <h1 className="below-l">{wantedWords(draft, plant?.name)}</h1>
      <div className="measure">
        <div className="ask stack">
          <TargetForm draft={draft} plant={plant?.name} error={problem} onChange={change} />
          <ForWhom formula={id} onAmount={(ml) => change({ kind: 'VOLUME', ml, unit: 'ml' })} />
          {problem instanceof ProblemError && (
            <p className="trouble" role="alert">
              {problem.message}
            </p>
          )}
        </div>
        <aside className="amounts">
          {p && (
            <WeighOut
              title={`${formula.formula.name}: ${wantedWords(draft, plant?.name)}`}
              prediction={p}
              stale={stale}
            />
          )}
          {p?.conflicts.map((c) => (
            <p key={c.what + c.batch} className="caution">
              <b>
                {capital(c.what)} is in use till{' '}
                {format.soon(c.until, Date.parse(household.data?.now ?? ''))}
              </b>{' '}
              (<Link to={`/brew/${c.batch}`}>{c.brew}</Link>), and no other is free.
            </p>
          ))}
          {p?.freeFrom && p.conflicts.length > 0 && (
            <div>
              <Button
                fullWidth
                className="wraps"
                variant="outline"
                onClick={() => setWhen({ kind: 'START', at: format.localOf(p.freeFrom!) })}
              >
                Begin when all is free,{' '}
                {format.soon(p.freeFrom, Date.parse(household.data?.now ?? ''))}
              </Button>
            </div>
          )}
          {p && (
            <Deliberate prediction={p} reason={reason} error={brew.error} onChange={setReason} />
          )}
          <StartWhen
            when={when}
            plan={stale ? undefined : p}
            format={format}
            error={brew.error ?? problem}
            onChange={setWhen}
          />
          <ShopPrice draft={draft} onChange={change} />
        </aside>
        <div className="brew-it">
          <Button
            fullWidth
            size="lg"
            onClick={() => brew.mutate()}
            loading={brew.isPending}
            disabled={!p || (stale && !brew.error) || (when.kind !== 'NOW' && !when.at)}
          >
            {when.kind === 'NOW' ? 'Brew it now' : 'Put it on the bench'}
          </Button>
        </div>
        <div className="pictures stack">
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
            <Suspense fallback={<Waiting />}>
              <Forecast
                prediction={p}
                stale={stale}
                draft={draft}
                heldBy={heldBy}
                format={format}
                onChange={change}
              />
            </Suspense>
          )}
          <p className="soft small">
            Drag the dark edge of the bottles or the line that ends the long step; arrow keys do the
            same.
          </p>
        </div>
      </div>
    </main>
  );
}

function ShopPrice({
  draft,
  onChange,
}: {
  draft: Draft;
  onChange: (part: Partial<Draft>) => void;
}) {
  return (
    <details className="shop">
      <summary>Against a shop price</summary>
      <div className="row end">
        <NumberInput
          label="Price"
          w={100}
          decimalScale={2}
          value={draft.shopPrice}
          onChange={(shopPrice) => onChange({ shopPrice })}
        />
        <NumberInput
          label="For, mL"
          w={100}
          value={draft.shopMl}
          onChange={(shopMl) => onChange({ shopMl })}
        />
      </div>
    </details>
  );
}
