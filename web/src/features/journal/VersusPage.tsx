import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { api, ask, keys, type Formula, type FormulaView, type Versus } from '../../api/client';
import {
  useFormula,
  useFormulas,
  usePrediction,
  useVersus,
  useWaste,
  type Side,
} from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { duration, figure, useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { done, tell } from '../../kit/states';
import { capital, WORDS } from '../../kit/words';
import { LearnLinks } from '../learning/LearnLinks';
import './journal.css';

type Judged = Versus['judged'][number];

const OF = { kind: 'VOLUME', amount: { value: 300, unit: 'ml' } } as const;
const A_YEAR = 12;

/** Learn: two formulas, or two versions of one, side by side: foretold, measured, judged. */
export function VersusPage() {
  const [params, setParams] = useSearchParams();
  const format = useFormat();
  const left = sideOf(params.get('left'));
  const right = sideOf(params.get('right'));
  const versus = useVersus(left, right);
  const set = (side: 'left' | 'right', value: string) => {
    const next = new URLSearchParams(params);
    next.set(side, value);
    setParams(next, { replace: true });
  };
  return (
    <main className="page" id="main">
      <LearnLinks />
      <div className="stack wide">
        <h1>Side by side</h1>
        <div className="row end">
          <PickSide
            label="This"
            value={params.get('left') ?? ''}
            onChange={(v) => set('left', v)}
          />
          <PickSide
            label="And this"
            value={params.get('right') ?? ''}
            onChange={(v) => set('right', v)}
          />
        </div>
        {left && right ? (
          <Loaded part of={versus}>
            {(view) => <Held view={view} left={left} right={right} format={format} />}
          </Loaded>
        ) : (
          <p className="soft">
            Choose two formulas for one purpose, or two versions of one. Scores come from the
            journal, yields from what you measured.
          </p>
        )}
      </div>
    </main>
  );
}

/** `linseed-gel` or `own-…@2`. */
function sideOf(text: string | null): Side | undefined {
  if (!text) return undefined;
  const [formula, version] = text.split('@');
  return { formula: formula!, ...(version && { version: Number(version) }) };
}

function PickSide({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
}) {
  const formulas = useFormulas();
  const id = value.split('@')[0]!;
  return (
    <>
      <Choice
        label={label}
        placeholder="choose"
        data={(formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }))}
        value={id}
        onChange={onChange}
      />
      {id.startsWith('own-') && (
        <PickVersion id={id} label={label} value={value} onChange={onChange} />
      )}
    </>
  );
}

function PickVersion({
  id,
  label,
  value,
  onChange,
}: {
  id: string;
  label: string;
  value: string;
  onChange: (v: string) => void;
}) {
  const formula = useFormula(id);
  const kept = formula.data?.kept ?? [];
  if (kept.length === 0) return null;
  return (
    <Choice
      label={`${label}: which version`}
      placeholder="as it is now"
      data={kept.map((k) => ({
        value: `${id}@${k.number}`,
        label: `${k.number}${k.note && `, ${k.note}`}`,
      }))}
      value={value.includes('@') ? value : ''}
      onChange={(v) => onChange(v || id)}
    />
  );
}

function Held({
  view,
  left,
  right,
  format,
}: {
  view: Versus;
  left: Side;
  right: Side;
  format: Format;
}) {
  const one = useSide(left);
  const other = useSide(right);
  const waste = useWaste(A_YEAR);
  const rows: [string, (s: ReturnType<typeof useSide>, side: Versus['left']) => string][] = [
    ['For 300 mL', (s) => amounts(s.formula, s.p)],
    ['Foretold', (s) => (s.p ? format.ml(s.p.bottledMl.value) : '…')],
    [
      'Measured',
      (_, side) =>
        side.yields.length === 0
          ? 'not measured yet'
          : `${share(side)} of what was foretold; ${side.yields.map((y) => format.ml(y.millilitres)).join(', ')}`,
    ],
    [
      'Thickness, cold',
      (s) => (s.p?.thicknessMpas ? `${figure(s.p.thicknessMpas.value)} mPa·s` : 'not known'),
    ],
    ['Strength', (s) => (s.p ? `${Math.round(s.p.strengthPercent.value)} %` : '…')],
    ['Cost', (s) => (s.p?.cost ? `${figure(s.p.cost.per100Ml)} for 100 mL` : 'no prices')],
    ['Keeps', (s) => (s.p ? `till ${format.day(s.p.keeping.lastDay)}, begun now` : '…')],
    ['Hands busy', (_, side) => duration(side.handsMinutes)],
    [
      'Thrown away in a year',
      (_, side) => {
        const line = waste.data?.formulas.find((f) => f.formulaId === side.formula);
        return line ? `${format.ml(line.thrownMl)} of ${format.ml(line.brewedMl)}` : 'nothing';
      },
    ],
    ['Brewed', (_, side) => (side.batches === 1 ? 'once' : `${side.batches} times`)],
  ];
  return (
    <>
      <table className="versus">
        <thead>
          <tr>
            <td />
            <th scope="col">{named(view.left)}</th>
            <th scope="col">{named(view.right)}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, of]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{of(one, view.left)}</td>
              <td>{of(other, view.right)}</td>
            </tr>
          ))}
          {view.judged.map((j) => (
            <tr key={j.criterion}>
              <th scope="row">{capital(WORDS.criteria[j.criterion])}</th>
              {[j.left, j.right].map((m, i) => (
                <td key={i}>
                  <MeanBar mean={m} criterion={j.criterion} />
                  {mean(m)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <section aria-label="What can be told">
        <h2>What can be told</h2>
        {view.judged.length === 0 ? (
          <p className="soft">Neither was scored in the journal yet.</p>
        ) : (
          <ul className="lines">
            {view.judged.map((j) => (
              <li key={j.criterion}>{j.settled ? <b>{j.words}</b> : j.words}</li>
            ))}
          </ul>
        )}
      </section>
      <div className="row">
        {[
          { side: left, of: one, told: view.left },
          { side: right, of: other, told: view.right },
        ].map(
          ({ side, of, told }) =>
            side.version !== undefined &&
            of.view && (
              <KeepThis key={named(told)} name={named(told)} view={of.view} formula={of.formula!} />
            ),
        )}
      </div>
    </>
  );
}

/** A side's formula, as it was kept or is now, and what is foretold of it. */
function useSide(side: Side) {
  const { data: view } = useFormula(side.formula);
  const formula =
    side.version === undefined
      ? view?.formula
      : view?.kept.find((k) => k.number === side.version)?.formula;
  const prediction = usePrediction(
    formula && side.version !== undefined
      ? { formula, target: OF }
      : { formulaId: side.formula, target: OF },
  );
  return { view, formula, p: prediction.data };
}

const FIVE = 5;

/** A mean as a dot on its scale, with its interval. */
function MeanBar({ mean: m, criterion }: { mean: Judged['left']; criterion: Judged['criterion'] }) {
  if (m.value == null || criterion === 'DETANGLING') return null;
  const x = (v: number) => 8 + ((Math.max(1, Math.min(FIVE, v)) - 1) / (FIVE - 1)) * 144;
  return (
    <svg className="mean-bar" viewBox="0 0 160 20" aria-hidden="true">
      <path d="M8 10H152" stroke="var(--ink-soft)" strokeWidth="1.5" />
      {m.low != null && m.high != null && (
        <rect
          x={x(m.low)}
          y="4"
          width={Math.max(3, x(m.high) - x(m.low))}
          height="12"
          fill="var(--woad-pale)"
        />
      )}
      <circle cx={x(m.value)} cy="10" r="6" fill="var(--woad)" />
    </svg>
  );
}

/** Makes a kept state the present one; the other stays among the kept. */
function KeepThis({ name, view, formula }: { name: string; view: FormulaView; formula: Formula }) {
  const client = useQueryClient();
  const id = view.formula.id!;
  const save = useMutation({
    mutationFn: ({ to, version }: { to: Formula; version: number; back: Formula }) =>
      ask(
        api.PUT('/api/formulas/{id}', { params: { path: { id } }, body: { formula: to, version } }),
      ),
    onSuccess: async (state, { to, back }) => {
      await client.invalidateQueries({ queryKey: keys.all });
      if (back !== to) {
        done(`${name} is the present one`, () =>
          save.mutate({ to: back, version: state.version, back }),
        );
      }
    },
    onError: tell,
  });
  return (
    <Button
      variant="outline"
      loading={save.isPending}
      onClick={() => save.mutate({ to: formula, version: view.version ?? 0, back: view.formula })}
    >
      Keep this one: {name}
    </Button>
  );
}

const named = (side: Versus['left']) =>
  side.version == null ? side.name : `${side.name}, version ${side.version}`;

function amounts(formula: Formula | undefined, p: ReturnType<typeof useSide>['p']): string {
  if (!formula || !p) return '…';
  return p.amounts.map((a) => `${figure(a.grams)} g ${a.name.toLowerCase()}`).join(', ');
}

function share(side: Versus['left']): string {
  const { value, low, high } = side.share;
  const percent = (v: number) => `${Math.round(v * 100)} %`;
  if (value == null) return 'nothing';
  return low != null && high != null
    ? `${percent(value)} (${percent(low)} to ${percent(high)})`
    : percent(value);
}

function mean(m: Judged['left']): string {
  if (m.value == null) return 'not scored';
  const range = m.low != null && m.high != null ? ` (${figure(m.low)} to ${figure(m.high)})` : '';
  return `${figure(m.value)}${range}, ${m.n === 1 ? 'once' : `${m.n} times`}`;
}
