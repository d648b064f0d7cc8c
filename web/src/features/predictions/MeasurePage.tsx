import { Button } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, keys, newKey, ProblemError, type Prediction } from '../../api/client';
import { useFormula, useHousehold, usePrediction } from '../../api/queries';
import { duration, formatFor } from '../../app/format';
import { Failed, Waiting } from '../../app/states';
import { BrewLine, KeepingBand, mainStep, WaterAccount } from '../../signature';
import { TargetForm } from './TargetForm';
import { draftTarget, loadDraft, saveDraft, wantedWords, type Draft } from './target';
import { WeighOut } from './WeighOut';

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
  const [draft, setDraft] = useState<Draft>(() => loadDraft(id));
  const change = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    saveDraft(id, next);
  };
  const [asked] = useDebouncedValue(draft, 60);
  const steps = (d: Draft) =>
    Object.entries(d.minutes).map(([index, minutes]) => ({ index: Number(index), minutes }));
  const prediction = usePrediction({
    formulaId: id,
    target: draftTarget(asked, plant?.key),
    steps: steps(asked),
  });
  const key = useRef(newKey());
  const brew = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/batches', {
          params: { header: { 'Idempotency-Key': key.current } },
          body: { formulaId: id, target: draftTarget(draft, plant?.key), steps: steps(draft) },
        }),
      ),
    onSuccess: async (run) => {
      await client.invalidateQueries({ queryKey: keys.all });
      await navigate(`/brew/${run.id}`);
    },
    onError: () => {
      // Refused means not carried out: the next try is another request.
      key.current = newKey();
    },
  });
  const problem = brew.error ?? prediction.error;
  const p = prediction.data;
  const stale = Boolean(prediction.error);
  const heldBy = plant ? plural(plant.kind) : 'the plants';
  return (
    <main className="page" id="main">
      <p className="soft">
        {formula.formula.name} · {formula.method.toLowerCase()}
      </p>
      <h1 style={{ marginBottom: 14 }}>{wantedWords(draft, plant?.name)}</h1>
      <div className="two">
        <div className="stack">
          <TargetForm draft={draft} plant={plant?.name} error={problem} onChange={change} />
          {problem instanceof ProblemError && (
            <p className="trouble" role="alert">
              {problem.message}
            </p>
          )}
          {p && (
            <div className="stack" style={{ opacity: stale ? 0.35 : 1 }}>
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
                <p className="soft small">{rangeWords(p)}</p>
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
                <p className="soft small">{coolWords(p, format.celsius)}</p>
              </section>
              <section aria-labelledby="keeps">
                <div className="beside">
                  <div>
                    <h2 id="keeps">
                      {p.keeping.useNow
                        ? 'use it now, nothing keeps'
                        : `keeps till ${format.day(p.keeping.lastDay)}`}
                    </h2>
                    <p className="soft small">{p.keeping.reasons[1]?.words}</p>
                  </div>
                  <KeepingBand
                    keeping={p.keeping}
                    bottledAt={Date.parse(p.bottledAt)}
                    format={format}
                  />
                </div>
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
            </div>
          )}
        </div>
        <aside>
          {p && <WeighOut prediction={p} stale={stale} />}
          <Button
            fullWidth
            mt="md"
            size="lg"
            onClick={() => brew.mutate()}
            loading={brew.isPending}
            disabled={!p || stale}
          >
            Brew it now
          </Button>
          <p className="soft small" style={{ marginTop: 12 }}>
            Drag the dark edge of the bottles or the line that ends the steep; arrow keys do the
            same.
            {Object.keys(draft.minutes).length > 0 && (
              <Button variant="subtle" size="compact-sm" onClick={() => change({ minutes: {} })}>
                Back to the usual times
              </Button>
            )}
          </p>
        </aside>
      </div>
    </main>
  );
}

function plural(kind: string): string {
  if (kind.includes('leaf')) return 'the leaves';
  if (kind.includes('seed')) return 'the seeds';
  if (kind.includes('flower')) return 'the flowers';
  return kind.includes('powder') ? 'the powder' : 'the plants';
}

function rangeWords(p: Prediction): string {
  const { low, value, high } = p.bottledMl;
  if (low == null || high == null) return '';
  return `About ${Math.round(value)} mL to bottle; between ${Math.round(low)} and ${Math.round(high)} mL, as cloths, lids and plants differ.`;
}

function coolWords(p: Prediction, celsius: (c: number) => string): string {
  const strain = p.landmarks.find((l) => l.id === 'STRAIN');
  const main = mainStep(p.steps);
  const cool =
    strain?.minute == null
      ? `It is still above ${celsius(strain?.celsius ?? 60)} at the end: strain with care.`
      : `Cool enough to strain (${celsius(strain.celsius)}) after ${duration(strain.minute)}.`;
  return main ? `${cool} ${main.guide.late}` : cool;
}
